package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Remedies on Lantern Reef's twin. */
class BenchIT extends BrowserTest {

    @Test
    void remediesArePlacedComparedAndLinked() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Bench");
        Locator brings = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What it brings"));
        assertThat(brings).containsText("as it is: changes nothing");
        page.getByLabel("Outdoor line to the skimmer").check();
        assertThat(brings).containsText("6 m of 12.7 mm hose: removes the source");
        assertThat(brings).containsText("Before a wall is drilled");
        page.getByLabel("length").fill("12");
        assertThat(brings).containsText("12 m of 12.7 mm hose");
        button(page, "Keep it, try another").click();
        page.getByLabel("Scrubber media before the skimmer").check();
        page.getByLabel("of the skimmer’s air is its own exhaust, led back").fill("1");
        assertThat(brings).containsText("A closed loop does not renew oxygen.");
        assertThat(brings).containsText("media can drown");
        assertThat(brings.getByRole(AriaRole.ROW)).hasCount(3);
        page.reload();
        assertThat(brings.getByRole(AriaRole.ROW)).hasCount(3);
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Forecast"))))
                .hasAttribute("aria-label", Pattern.compile(".*With the remedies, once settled: trough 8\\..*"));
    }

    @Test
    void aTankWithoutALogSaysWhatIsAssumed() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/enter.*", "/bench"));
        assertThat(page.getByText("No log to fit to yet")).isVisible();
        assertThat(page.getByText("Room air assumed", new Page.GetByTextOptions().setExact(false)))
                .isVisible();
    }
}
