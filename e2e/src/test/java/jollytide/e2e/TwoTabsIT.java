package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Two tabs edit one description. */
class TwoTabsIT extends BrowserTest {

    @Test
    void theSecondToSaveSeesBothVersions() {
        Page first = visitor(DESKTOP);
        newKeeperWithTank(first);
        String description = first.url().replaceAll("/add-to-log.*", "/description");
        first.navigate(description);
        Page second = secondTab(first);
        second.navigate(description);
        second.getByLabel("Net water").waitFor();

        first.getByLabel("Net water").fill("400");
        button(first, "Save").click();
        assertThat(first.getByText("Description saved.").first()).isVisible();

        second.getByLabel("Name of the tank").fill("Rock pool, renamed");
        button(second, "Save").click();
        assertThat(second.getByRole(AriaRole.DIALOG)).containsText("net volume");
        assertThat(second.getByRole(AriaRole.DIALOG)).containsText("400");
        button(second, "Keep the saved one").click();
        assertThat(second.getByLabel("Net water")).hasValue("400");
        second.getByLabel("Name of the tank").fill("Rock pool, renamed");
        button(second, "Save").click();
        assertThat(second.locator("header button")).hasText(Pattern.compile("Rock pool, renamed"));
    }

    /** A reload in the middle of a form, and the way back: what was typed stands there until it is saved or taken back. */
    @Test
    void whatWasTypedOutlivesAReload() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        String description = page.url().replaceAll("/add-to-log.*", "/description");
        page.navigate(description);
        page.getByLabel("Net water").fill("410");
        page.reload();
        assertThat(page.getByLabel("Net water")).hasValue("410");
        page.goBack();
        page.navigate(description);
        assertThat(page.getByLabel("Net water")).hasValue("410");
        button(page, "Save").click();
        assertThat(page.getByText("Description saved.").first()).isVisible();
        page.getByLabel("Net water").fill("420");
        button(page, "Cancel").click();
        page.reload();
        assertThat(page.getByLabel("Net water")).hasValue("410");
    }

    @Test
    void aRefusalHangsOnItsField() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/description"));
        page.getByLabel("Net water").fill("0");
        button(page, "Save").click();
        assertThat(page.getByText("Net volume must be 1–100,000 L. You entered 0.")
                        .first())
                .isVisible();
        page.getByLabel("Net water").fill("lots");
        button(page, "Save").click();
        assertThat(page.getByText("The volume must be a number.")).isVisible();
    }
}
