package jollytide.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Labels in drawings lie on no other label and over no edge: on a phone, and where 1280 pixels are shown at 200 %. */
class LabelsIT extends BrowserTest {
    private static final double QUIET_WITHIN_MS = 15_000;
    private static final List<String> SCREENS = List.of(
            "today",
            "history",
            "staircase",
            "suspects",
            "effects",
            "gas-balance",
            "twin",
            "probe",
            "bench",
            "schedule",
            "dosing",
            "upkeep",
            "supplies",
            "media",
            "readiness",
            "oxygen-margin",
            "transport");
    /** A letter's own leading may touch; its ink does not. */
    private static final String TOUCHING = """
            () => {
              const found = [];
              for (const svg of document.querySelectorAll('svg')) {
                const box = svg.getBoundingClientRect();
                if (box.width === 0) continue;
                const labels = [...svg.querySelectorAll('text')]
                  .map((t) => ({ words: t.textContent.trim(), at: t.getBoundingClientRect() }))
                  .filter((l) => l.words && l.at.width > 0);
                labels.forEach((a, i) => {
                  if (a.at.left < box.left - 1.5 || a.at.right > box.right + 1.5)
                    found.push(`“${a.words}” is cut at the edge`);
                  for (const b of labels.slice(i + 1)) {
                    const across = Math.min(a.at.right, b.at.right) - Math.max(a.at.left, b.at.left);
                    const down = Math.min(a.at.bottom, b.at.bottom) - Math.max(a.at.top, b.at.top);
                    if (across > 1.5 && down > 4) found.push(`“${a.words}” lies on “${b.words}”`);
                  }
                });
              }
              return found;
            }""";

    /** Until nothing is under way, or for so long: a drawing may be computed anew for longer than is worth waiting. */
    private static void quiet(Page page) {
        try {
            page.waitForLoadState(
                    LoadState.NETWORKIDLE, new Page.WaitForLoadStateOptions().setTimeout(QUIET_WITHIN_MS));
        } catch (TimeoutError stillComputing) {
            // What is drawn by then is looked at.
        }
    }

    @ParameterizedTest(name = "{0}, {1} pixels wide")
    @CsvSource({"Lantern Reef, 390", "Room 6, 390", "Heron, 390", "Lantern Reef, 640", "Room 6, 640", "Heron, 640"})
    void noLabelLiesOnAnother(String tank, int width) {
        Page page = visitor(new int[] {width, 844});
        page.request().post("/api/v1/session/demo");
        Matcher id = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"(?:(?!\"id\":).)*\"name\":\"" + tank + "\"")
                .matcher(page.request().get("/api/v1/tanks").text());
        assertThat(id.find()).isTrue();
        List<String> touching = new ArrayList<>();
        for (String screen : SCREENS) {
            page.navigate("/tank/" + id.group(1) + "/" + screen);
            page.getByRole(AriaRole.HEADING).first().waitFor();
            quiet(page);
            @SuppressWarnings("unchecked")
            List<String> found = (List<String>) page.evaluate(TOUCHING);
            found.forEach(label -> touching.add(screen + ": " + label));
        }
        assertThat(touching).isEmpty();
    }
}
