package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A keeper with a fresh account types the worked case and is told what would settle it. */
class WorkedCaseIT extends BrowserTest {

    @ParameterizedTest
    @ValueSource(strings = {"desktop", "phone"})
    void fromFirstVisitToVerdict(String window) {
        Page page = visitor(window.equals("phone") ? PHONE : DESKTOP);
        newKeeperWithTank(page);
        enter(page, "pH", "7.84");
        enter(page, "Alkalinity", "8,5");
        enter(page, "Temperature", "25.5");
        enter(page, "Salinity", "35");
        enter(page, "CO2 in the room", "830");
        button(page, "Save 5 readings").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Show the staircase"))
                .click();

        assertThat(page.locator("[data-verdict]")).hasAttribute("data-verdict", "TOO_CLOSE");
        assertThat(page.getByText("Room and tank add about the same.")).isVisible();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("CO2 staircase")))
                .hasAttribute("aria-label", Pattern.compile(".*outdoors 420 ppm; room 830 ppm; water 13\\d\\d ppm.*"));
        assertThat(page.getByText(Pattern.compile("CO2 in the water: 128\\d µatm \\(990–1660\\)")))
                .isVisible();

        button(page, "Show the working").click();
        assertThat(page.getByText("Weiss 1974", new Page.GetByTextOptions().setExact(false))
                        .first())
                .isVisible();
        page.keyboard().press("Escape");

        // The check that decides: a probe that two buffers have confirmed.
        button(page, "Check the probe").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add the pH of the checked probe"))
                .click();
        assertThat(page.getByLabel("Method for pH")).hasAttribute("data-value", "PROBE_CHECKED");
        enter(page, "pH", "7.70");
        button(page, "Save").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Show the staircase"))
                .click();
        assertThat(page.locator("[data-verdict]")).hasAttribute("data-verdict", "TANK_DOMINATES");
    }
}
