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

/**
 * What is where, on a phone and where 1280 pixels are shown at 200 %: labels in drawings lie on no other label and over no
 * edge, what a thumb must hit is large enough, and a screen's main action is soon reached by the keyboard.
 */
class LayoutIT extends BrowserTest {
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
            "transport",
            "add-to-log",
            "outage",
            "calculators",
            "handbook",
            "bring");
    private static final int PHONE_WIDTH = 390;
    private static final int STOPS = 10;
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

    /**
     * Below 44 pixels either way (WCAG 2.2, criterion 2.5.5). Its exception for links in a sentence holds; things in a
     * drawing have their like in a list beside it; a label that wraps its field, or a link that fills its row, counts whole.
     */
    private static final String SMALL = """
            () => {
              const found = [];
              for (const el of document.querySelectorAll(
                'a[href], button, input, summary, textarea, [role=tab], [role=slider]')) {
                const style = getComputedStyle(el);
                const own = el.getBoundingClientRect();
                if (own.width === 0 || style.visibility === 'hidden') continue;
                if (el.closest('svg, [aria-hidden=true], .sr-only')) continue;
                const inSentence = [...el.parentElement.childNodes].some(
                  (n) => n !== el && n.textContent.trim() && !(n.nodeType === 1 && n.matches('a, button')));
                if (style.display === 'inline' && inSentence) continue;
                const fills = getComputedStyle(el, '::after').position === 'absolute';
                const whole = fills ? el.offsetParent : el.closest('label') ?? el;
                const { width, height } = whole.getBoundingClientRect();
                if (width < 43.5 || height < 43.5) {
                  const name = el.ariaLabel ?? el.textContent;
                  found.push(`“${name}” is ${Math.round(width)} by ${Math.round(height)}`);
                }
              }
              return found;
            }""";
    /** Stops of the tab key from where the skip link leads to the main action; 0 where the screen has none. */
    private static final String STOPS_BEFORE_MAIN = """
            () => {
              const stops = [...document.querySelectorAll(
                '#page a[href], #page button:not([disabled]), #page input, #page summary, #page [tabindex="0"]')]
                .filter((el) => el.getBoundingClientRect().width > 0 && el.tabIndex >= 0);
              return stops.findIndex((el) => el.classList.contains('bg-accent') && el.classList.contains('text-on-accent')) + 1;
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
    void labelsTargetsAndTheMainActionAreWhereTheyShouldBe(String tank, int width) {
        Page page = visitor(new int[] {width, 844});
        page.request().post("/api/v1/session/demo");
        Matcher id = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"(?:(?!\"id\":).)*\"name\":\"" + tank + "\"")
                .matcher(page.request().get("/api/v1/tanks").text());
        assertThat(id.find()).isTrue();
        List<String> wrong = new ArrayList<>();
        for (String screen : SCREENS) {
            page.navigate("/tank/" + id.group(1) + "/" + screen);
            page.getByRole(AriaRole.HEADING).first().waitFor();
            quiet(page);
            said(page, TOUCHING).forEach(label -> wrong.add(screen + ": " + label));
            if (width == PHONE_WIDTH) {
                said(page, SMALL).forEach(target -> wrong.add(screen + ": " + target));
            }
            int stops = (int) page.evaluate(STOPS_BEFORE_MAIN);
            if (stops > STOPS) {
                wrong.add(screen + ": its main action is " + stops + " stops away");
            }
        }
        assertThat(wrong).isEmpty();
    }

    @SuppressWarnings("unchecked")
    private static List<String> said(Page page, String script) {
        return (List<String>) page.evaluate(script);
    }
}
