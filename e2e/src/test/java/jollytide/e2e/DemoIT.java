package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The demo's three tanks, the keys and the sums. */
class DemoIT extends BrowserTest {

    @Test
    void theDoorOpensOnAllTanks() {
        Page page = visitor(DESKTOP);
        page.navigate("/");
        button(page, "Explore the demo").click();
        assertThat(page.getByText(Pattern.compile("things? needs? you today\\.|Nothing needs you now\\.")))
                .isVisible();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Lantern Reef").setExact(true))
                .click();
        assertThat(page.locator("header button")).hasText("Lantern Reef");
        assertThat(page.locator("[data-verdict]")).hasAttribute("data-verdict", "TOO_CLOSE");
    }

    @Test
    void theStaircaseMovesThroughTheDay() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Staircase");
        assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("dark");
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("before lights-off"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING).first()).containsText("lit");
        assertThat(page.locator("[data-verdict]")).hasAttribute("data-verdict", "IN_BAND_NOW");
        page.reload();
        assertThat(page.locator("[data-verdict]")).hasAttribute("data-verdict", "IN_BAND_NOW");
    }

    @Test
    void keysReachEveryPlace() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Staircase");
        page.keyboard().press("1");
        assertThat(page).hasURL(Pattern.compile(".*/today"));
        page.keyboard().press("3");
        assertThat(page).hasURL(Pattern.compile(".*/bench"));
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Dark theme");
        page.keyboard().press("Escape");
        page.keyboard().press("/");
        assertThat(page.getByLabel("Screen or tank")).isFocused();
        page.keyboard().type("heron: stair");
        page.keyboard().press("Enter");
        assertThat(page.locator("header button")).hasText("Heron");
        assertThat(page.locator("[data-verdict]")).hasAttribute("data-verdict", "TANK_DOMINATES");
        page.keyboard().press("n");
        assertThat(page.locator("html")).hasAttribute("data-theme", "night");
    }

    @Test
    void pastDaysAreLinksAndEventsStandOnTheirDay() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/today?day=2026-01-05"));
        assertThat(page.getByText("Monday, 5 January 2026")).isVisible();
        assertThat(page.getByText("No pH on this day.")).isVisible();
        page.keyboard().press("ArrowLeft");
        assertThat(page.getByText("Sunday, 4 January 2026")).isVisible();
        assertThat(page).hasURL(Pattern.compile(".*day=2026-01-04"));
        page.keyboard().press("e");
        page.getByLabel("What", new Page.GetByLabelOptions().setExact(true)).fill("window open");
        // An event on a past day's page is of that day.
        assertThat(page.locator("[data-when='2026-01-04T12:00']")).containsText("When it began");
        when(page, "When it began", "2026-01-04T13:20");
        button(page, "Add").click();
        assertThat(page.getByText("window open")).isVisible();
        button(page, "Undo").click();
        assertThat(page.getByText("window open")).isHidden();
    }

    @Test
    void theDemosDayHasACurve() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Today");
        button(page, "Previous day").click();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^pH on"))))
                .hasAttribute("aria-label", Pattern.compile("pH on .*: low 7\\.[789].* high 8\\.[0123].*"));
    }

    @Test
    void sumsAnswerWhileOneTypes() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Calculators");
        field(page, "pH").fill("7.84");
        field(page, "Alkalinity").fill("8,5");
        field(page, "Temperature").fill("25,5");
        field(page, "Salinity").fill("35");
        assertThat(page.getByText("128", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        field(page, "pH").fill("9.5");
        field(page, "Alkalinity").fill("1");
        assertThat(page.getByText("the smallest possible is 1.4").first()).isVisible();
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Oxygen"))
                .click();
        field(page, "Temperature").fill("25");
        field(page, "Salinity").fill("0");
        assertThat(page.getByText("8.26")).isVisible();
    }

    /** Days read off a picture are compared; a range is no day's reading. */
    @Test
    void daysThatWereReadOffAreComparedAndARangeIsRefused() {
        Page page = demo(visitor(PHONE), "Lantern Reef", "Calculators");
        page.getByRole(AriaRole.TAB, new Page.GetByRoleOptions().setName("Before and after"))
                .click();
        assertThat(page.getByText("+0.090")).isVisible();
        assertThat(page.getByText("Not enough days: fewer than three on one side."))
                .isVisible();
        field(page, "The same of each day after").fill("7.6–7.8");
        assertThat(page.getByText("A range is not a reading").first()).isVisible();
        assertThat(page.getByText("+0.090")).not().isVisible();
    }

    @Test
    void anAddressThatIsNobodysSaysSo() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Staircase");
        page.navigate("/tank/00000000-0000-0000-0000-000000000000/staircase");
        assertThat(page.getByText("There is nothing at this address.")).isVisible();
    }
}
