package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Entering, slipping, undoing, correcting. */
class EntryIT extends BrowserTest {
    private Page page;
    private Locator log;

    @BeforeEach
    void tank() {
        page = visitor(DESKTOP);
        newKeeperWithTank(page);
        log = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("In the log"));
        assertThat(log).containsText("Nothing yet.");
    }

    @Test
    void slipsAreToldBesideTheFieldAndNothingIsLost() {
        enter(page, "pH", "81");
        enter(page, "CO2 in the room", "830");
        button(page, "Save 2 readings").click();
        assertThat(page.getByText("81 can’t be pH. Allowed: 5 to 11 pH.")).isVisible();
        assertThat(page.getByLabel("CO2 in the room", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("830");
        assertThat(log).containsText("Nothing yet.");
        enter(page, "pH", "eight");
        assertThat(page.getByText("Enter a number.")).isVisible();
        assertThat(button(page, "Save")).isDisabled();
    }

    @Test
    void savingCanBeTakenBack() {
        enter(page, "pH", "8.1");
        page.keyboard().press("Control+Enter");
        assertThat(log).containsText("8.10");
        button(page, "Undo").click();
        assertThat(log).containsText("Nothing yet.");
        assertThat(page.getByLabel("pH", new Page.GetByLabelOptions().setExact(true)))
                .hasValue("8.1");
    }

    /** It stands in the strip, where it was tested, and where new water is noted; another test follows tomorrow. */
    @Test
    void ammoniaThatHarmsIsSaidWhereItIsMended() {
        enter(page, "Ammonia (total)", "6");
        button(page, "Save").click();
        button(page, "Save as typed").click();
        assertThat(page.getByText("ammonia is dangerous").last()).isVisible();
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/dosing"));
        Locator harm = page.locator("p").filter(new Locator.FilterOptions().setHasText("ammonia is dangerous"));
        assertThat(harm).containsText("of the water");
        choose(page.getByLabel("What", new Page.GetByLabelOptions().setExact(true)), "WATER");
        for (int i = 0; i < 4; i++) {
            page.getByLabel("How much").fill("200");
            button(page, "Add to log").click();
            assertThat(page.getByText("200 L of new water")).hasCount(i + 1);
        }
        assertThat(harm).hasCount(0);
    }

    @Test
    void correctingAndTakingOutCanBeTakenBack() {
        enter(page, "pH", "8.1");
        button(page, "Save").click();
        button(page, "Correct pH 8.1").click();
        page.getByLabel("Value").fill("8.02");
        button(page, "Correct").last().click();
        assertThat(log).containsText("8.02");
        button(page, "Undo").last().click();
        assertThat(log).containsText("8.10");
        button(page, "Remove pH 8.1").click();
        assertThat(page.getByText("pH 8.1 removed.").first()).isVisible();
        assertThat(log).containsText("Nothing yet.");
        button(page, "Undo").last().click();
        assertThat(log).containsText("8.10");
    }

    @Test
    void anotherValueForTheSameTimeIsAskedAbout() {
        when(page, "taken now", "2026-01-05T09:55");
        enter(page, "pH", "7.9");
        button(page, "Save").click();
        assertThat(log).containsText("7.90");
        when(page, "taken now", "2026-01-05T09:55");
        enter(page, "pH", "7.8");
        button(page, "Save").click();
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("7.9 NBS scale");
        button(page, "Replace with mine").click();
        assertThat(log).containsText("7.80");
        assertThat(log).not().containsText("7.90");
    }

    @Test
    void theRepeatedHourIsAskedAbout() {
        when(page, "taken now", "2025-10-26T02:30");
        enter(page, "pH", "7.9");
        button(page, "Save").click();
        assertThat(page.getByText("in Europe/Amsterdam")).isVisible();
        button(page, "second (after the clock change)").click();
        assertThat(log).containsText("Sun 26 Oct, 02:30");
    }
}
