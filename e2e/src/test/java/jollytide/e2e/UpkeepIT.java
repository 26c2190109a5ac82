package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is looked after, and when it is due again. */
class UpkeepIT extends BrowserTest {
    private static Locator task(Page page, String name) {
        return page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHasText(name))
                .first();
    }

    /** A year of looks has moved what is assumed; how it is done stands beside it, with who could be hurt. */
    @Test
    void theDemosYear() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Upkeep");
        assertThat(page.getByText(Pattern.compile("things are due$"))).isVisible();
        Locator venturi = task(page, "Rinse the skimmer’s venturi");
        assertThat(venturi).containsText("28 days assumed where it runs 24 h a day, adjusted by what 6 looks found");
        assertThat(venturi.getByRole(AriaRole.IMG)).hasAttribute("aria-label", Pattern.compile("Done 12 times"));
        button(venturi, "How").click();
        assertThat(venturi).containsText("Unplug the skimmer’s pump");
        assertThat(venturi).containsText("should have been sooner");
    }

    /** On a phone, from nothing: taken up, done with what was found, undone, put off, given up and taken up again. */
    @Test
    void somethingIsTakenUpDoneAndPutOff() {
        Page page = visitor(PHONE);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/upkeep"));
        assertThat(page.getByText("No upkeep tasks yet")).isVisible();
        button(page, "Add a task").click();
        choose(page.getByLabel("What", new Page.GetByLabelOptions().setExact(true)), "SKIMMER_CUP");
        exactly(page, "Add").click();
        Locator cup = task(page, "Empty and wipe the skimmer’s cup");
        assertThat(cup).containsText("due today");
        assertThat(cup).containsText("Last time unknown");
        button(cup, "In a week").click();
        assertThat(cup).containsText("moved to");
        // The undo that is meant is there once its notice is.
        assertThat(page.getByText("Moved by a week.").last()).isVisible();
        button(page, "Undo").last().click();
        assertThat(cup).containsText("due today");
        button(cup, "Done").click();
        button(cup, "just right").click();
        assertThat(cup).containsText("Done today; every 7 days (assumed).");
        assertThat(page.getByText(Pattern.compile("^Nothing is due until"))).isVisible();
        button(cup, "How").click();
        page.getByLabel("Every (empty: from what you find)").fill("3.5");
        button(cup, "Save").click();
        assertThat(cup).containsText("every 3.5 days, as you set");
        button(cup, "Remove task").click();
        assertThat(page.getByText("Removed tasks", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        // What was changed before may be undone still, too.
        assertThat(page.getByText("Task removed.").last()).isVisible();
        button(page, "Undo").last().click();
        assertThat(cup).containsText("every 3.5 days, as you set");
        button(cup, "How").click();
        button(cup, "Remove task").click();
        button(page, "Restore").click();
        assertThat(cup).containsText("every 3.5 days, as you set");
    }
}
