package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The first page with more than one tank, a first visit from there, and addresses from before screens had today's names. */
class HouseIT extends BrowserTest {
    private static final double SLOW_MS = 90_000;
    private static final int MOST_CLICKS = 12;

    private int clicks;

    private void click(Locator what) {
        what.click();
        clicks++;
        Page page = what.page();
        assertThat(page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth"))
                .as("scrolls sideways at " + page.url())
                .isEqualTo(0);
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void eachTankHasARowTheMostUrgentFirst() {
        Page page = visitor(DESKTOP);
        page.request().post("/api/v1/session/demo");
        page.navigate("/house");
        Locator rows = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Tanks"))
                .getByRole(AriaRole.LISTITEM);
        assertThat(rows).hasCount(3);
        List<String> said = rows.allInnerTexts();
        List<Integer> urgency = said.stream()
                .map(row -> row.contains("Below your action level") ? 0 : row.contains("Below your goal") ? 1 : 2)
                .toList();
        assertThat(urgency).isSorted();
        for (Locator row : rows.all()) {
            assertThat(row.getByText("without power, with kit")).isVisible(new IsVisibleOptions().setTimeout(SLOW_MS));
            assertThat(row.getByText("mg/L, lowest tonight")).isVisible();
        }
    }

    /** From the welcome page to why pH is low, one change tried, and that change kept: in at most twelve clicks. */
    @ParameterizedTest
    @ValueSource(strings = {"desktop", "phone"})
    void aFirstVisit(String window) {
        clicks = 0;
        Page page = visitor(window.equals("phone") ? PHONE : DESKTOP);
        page.navigate("/");
        click(button(page, "Explore the demo"));
        click(link(page, "Lantern Reef"));
        click(link(page, "Why is it low?"));
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Why is it low?")))
                .isVisible(new IsVisibleOptions().setTimeout(SLOW_MS));
        click(link(page, "Try"));
        click(page.getByLabel("Outdoor air hose to the skimmer"));
        assertThat(page.getByText("removes the source").first()).isVisible(new IsVisibleOptions().setTimeout(SLOW_MS));
        page.getByLabel("Save this set as").fill("hose to the front");
        click(page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save").setExact(true)));
        assertThat(page.getByText("Saved.", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(clicks).isLessThanOrEqualTo(MOST_CLICKS);
    }

    @ParameterizedTest
    @CsvSource({
        "enter, add-to-log",
        "ledger, gas-balance",
        "sums, calculators",
        "programme, schedule",
        "doses, dosing",
        "stock, supplies",
        "margin, oxygen-margin",
        "haul, transport",
        "notes, handbook"
    })
    void formerAddressesLeadToTheSameScreen(String former, String today) {
        Page page = visitor(DESKTOP);
        page.request().post("/api/v1/session/demo");
        page.navigate("/");
        link(page, "Heron").click();
        assertThat(page).hasURL(Pattern.compile(".*/today"));
        page.navigate(page.url().replace("/today", "/" + former + "?measure=PH"));
        assertThat(page).hasURL(Pattern.compile(".*/" + today + "(\\?.*)?"));
        assertThat(page.getByRole(AriaRole.HEADING).first()).isVisible();
    }
}
