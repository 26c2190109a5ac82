package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Why is it low? The demo's tanks, whose truth stands in docs/demo-history.md. */
class SuspectsIT extends BrowserTest {
    private static final LocatorAssertions.ContainsTextOptions ONCE_COMPARED =
            new LocatorAssertions.ContainsTextOptions().setTimeout(90_000);
    /** The venturi crusts over within four days from the 78th before the log's end on. */
    private static final int CRUSTED_DAYS_AGO = 76;

    private static Locator blamed(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("^Why is it low")));
    }

    @Test
    void whoKeepsATankSteadyIsToldToStop() {
        Page page = demo(visitor(PHONE), "Heron", "Suspects");
        assertThat(blamed(page)).containsText("Nothing looks broken", ONCE_COMPARED);
        assertThat(blamed(page)).containsText("Nothing to change.");
    }

    /** From the day that its keeper remembers to the measured draw, and back. */
    @Test
    void aCrustedVenturiIsBlamedAndConvictedByItsDraw() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Suspects");
        assertThat(blamed(page)).containsText("Parts your tank doesn’t have are left out.", ONCE_COMPARED);
        when(
                page,
                "Low since",
                LocalDate.now(ZoneId.of("Europe/Amsterdam"))
                        .minusDays(CRUSTED_DAYS_AGO)
                        .toString());
        button(page, "Compare from that day").click();
        assertThat(blamed(page)).containsText("as you entered", ONCE_COMPARED);
        assertThat(blamed(page)).containsText(Pattern.compile("skimmer.*(likely|possible)"), ONCE_COMPARED);
        page.getByText("The skimmer is clogged, worn or overflowing").first().click();
        assertThat(blamed(page)).containsText(Pattern.compile("your days look like this cause: \\d+ %"));
        assertThat(blamed(page)).containsText(Pattern.compile("Gas exchange there would be \\d+–\\d+ % lower"));
        Locator checks = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Checks"));
        Locator lowBothWays = checks.getByRole(
                AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^low both ways")));
        if (!lowBothWays.isVisible()) {
            checks.getByText(Pattern.compile("Measure the skimmer.s air", Pattern.CASE_INSENSITIVE))
                    .first()
                    .click();
        }
        lowBothWays.click();
        assertThat(blamed(page)).containsText("The skimmer is clogged, worn or overflowing: the best fit.");
        assertThat(blamed(page)).containsText("You found: low both ways.");
        button(page, "Undo").first().click();
        assertThat(blamed(page)).not().containsText("You found");
    }

    @Test
    void aTankWithoutALogIsToldWhatSpeaks() {
        Page page = visitor(PHONE);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/suspects"));
        assertThat(page.getByText("Not yet enough data to compare days")).isVisible();
        assertThat(page.getByText("Next check")).isVisible();
    }
}
