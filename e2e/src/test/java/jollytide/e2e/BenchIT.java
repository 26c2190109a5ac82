package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Measures on Lantern Reef's twin. */
class BenchIT extends BrowserTest {

    @Test
    void measuresArePlacedComparedAndLinked() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Bench");
        Locator brings = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What to expect"));
        assertThat(brings).containsText("Expected daily low with the current setup");
        page.getByLabel("Outdoor air hose to the skimmer").check();
        assertThat(brings).containsText("hose (6 m, 12.7 mm): removes the source");
        assertThat(brings).containsText("Before drilling, check for");
        page.getByLabel("length").fill("12");
        assertThat(brings).containsText("hose (12 m, 12.7 mm)");
        button(page, "Keep and try another").click();
        page.getByLabel("Scrubber media").check();
        page.getByLabel("of the skimmer’s air is recirculated exhaust").fill("1");
        assertThat(brings).containsText("Leave 2–5 % fresh air in");
        assertThat(brings).containsText("media can drown");
        assertThat(brings.getByLabel(Pattern.compile("^Remove .$"))).hasCount(2);
        page.reload();
        assertThat(brings.getByLabel(Pattern.compile("^Remove .$"))).hasCount(2);
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Forecast"))))
                .hasAttribute(
                        "aria-label", Pattern.compile(".*With the changes, once settled: daily low \\d\\.\\d\\d.*"));
    }

    @Test
    void aSetIsKeptUnderAName() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Bench");
        page.getByLabel("Open a window").check();
        page.getByLabel("Save this set as").fill("window ajar");
        button(page, "Save").last().click();
        assertThat(page.getByText("Saved.", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        button(page, "current setup").click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("window ajar").setExact(true))
                .click();
        assertThat(page.getByLabel("Open a window")).isChecked();
        button(page, "Remove window ajar").click();
        assertThat(page.getByText("window ajar removed.", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
    }

    @Test
    void theGasBalanceOpensItsWorkings() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Gas balance");
        assertThat(page.getByText("Bubbles or surface?")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^skimmer")))
                .first()
                .click();
        assertThat(page.getByText("of what this air could carry")).isVisible();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("the 24 hours before"))
                .click();
        assertThat(page.getByText("photosynthesis").first()).isVisible();
    }

    @Test
    void theMarginAnswersForTheWorstNight() {
        Page page = demo(visitor(PHONE), "Heron", "Oxygen margin");
        assertThat(page.getByText("Is an air stone needed?")).isVisible();
        assertThat(page.getByText("If the power fails at the worst hour")).isVisible();
    }

    @Test
    void aFillOfMediaIsNotedReadAndTakenOut() {
        Page page = demo(visitor(DESKTOP), "Room 6", "Media");
        assertThat(page.getByText("No media in use")).isVisible();
        button(page, "Add a fill").click();
        page.getByLabel("Mass").fill("0,8");
        button(page, "Add fill").click();
        assertThat(page.getByText("0.8 kg of media")).isVisible();
        page.getByLabel("Colour changed, read while in use (the colour can revert at rest)")
                .fill("0.5");
        button(page, "Add this colour").click();
        assertThat(page.getByText("Now 50 % used")).isVisible();
        button(page, "Removed: spent").click();
        assertThat(page.getByText("Earlier fills")).isVisible();
        button(page, "Undo").click();
        assertThat(page.getByText("0.8 kg of media")).isVisible();
    }

    @Test
    void anAirPumpsClaimIsJudged() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Calculators");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Air pump"))
                .click();
        page.getByLabel("Power").fill("56");
        page.getByLabel("Depth of the stone").fill("4.6");
        page.getByLabel("Claimed flow at that depth").fill("12000");
        assertThat(page.getByText("✕ impossible")).isVisible();
        Download saved = page.waitForDownload(() -> button(page, "Save as CSV").click());
        org.assertj.core.api.Assertions.assertThat(saved.suggestedFilename()).isEqualTo("airpump.csv");
    }

    @Test
    void whatStandsAroundATankIsDescribed() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/description"));
        button(page, "Add fish").click();
        page.getByLabel("Fish", new Page.GetByLabelOptions().setExact(true)).fill("clownfish");
        page.getByLabel("How many").fill("2");
        page.getByLabel("Weight of one, about").fill("12");
        choose(page.getByLabel("Cabinet around the sump"), "SHUT");
        button(page, "Save").click();
        assertThat(page.getByText("Description saved.").first()).isVisible();
        page.reload();
        assertThat(page.getByLabel("Weight of one, about")).hasValue("12");
        page.navigate(page.url().replaceAll("/description.*", "/oxygen-margin"));
        assertThat(page.locator("main")).containsText("with 2 fish");
    }

    @Test
    void aTankWithoutALogSaysWhatIsAssumed() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/bench"));
        assertThat(page.getByText("No log to fit yet")).isVisible();
        assertThat(page.getByText(Pattern.compile("Room air (assumed|estimated)")))
                .isVisible();
    }
}
