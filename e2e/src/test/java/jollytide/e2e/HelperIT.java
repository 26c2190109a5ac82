package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A keeper invites a helper, who sees and logs and changes nothing else. */
class HelperIT extends BrowserTest {

    @Test
    void aHelperComesInByALinkAndIsPutOutWhenItIsWithdrawn() {
        Page keeper = visitor(DESKTOP);
        newKeeperWithTank(keeper);
        keeper.navigate("/settings?part=helpers");
        keeper.getByLabel("Name of the helper").fill("Jonas");
        button(keeper, "Create a link").click();
        String link = keeper.locator("code", new Page.LocatorOptions().setHasText("/help#"))
                .innerText();
        assertThat(keeper.getByText("no visit yet")).isVisible();

        Page helper = visitor(PHONE);
        helper.navigate(link);
        assertThat(helper.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Power is on")))
                .isVisible();
        assertThat(helper.url()).doesNotContain("help_");
        String outage = helper.url();
        assertThat(helper.getByRole(AriaRole.NAVIGATION).first()).not().containsText("Try");
        helper.navigate(outage.replace("/outage", "/add-to-log"));
        enter(helper, "pH", "8,05");
        button(helper, "Save").click();
        assertThat(helper.getByText("Reading saved.").first()).isVisible();
        assertThat(helper.getByText(Pattern.compile("8\\.05")).first()).isVisible();
        assertThat(helper.getByText("Remove")).hasCount(0);
        assertThat(helper.getByText("import a logger")).hasCount(0);
        helper.navigate(outage.replace("/outage", "/bench"));
        assertThat(helper.getByText("Only the keeper can open this screen.")).isVisible();
        helper.navigate(outage.replace("/outage", "/readiness"));
        assertThat(helper.getByText("Save the card")).isVisible();
        assertThat(button(helper, "Add equipment")).hasCount(0);

        helper.navigate(outage);
        button(helper, "Power is out").click();
        button(helper, "Done").first().click();
        helper.waitForResponse(
                r -> r.url().endsWith("/end"),
                () -> button(helper, "Power is back").click());
        assertThat(helper.getByText(Pattern.compile("done, Jonas"))).isVisible();

        keeper.reload();
        assertThat(keeper.getByText("last visit")).isVisible();
        button(keeper, "Revoke Jonas’s link").click();
        assertThat(keeper.getByText("last visit")).hasCount(0);
        helper.reload();
        assertThat(helper.getByText("Explore the demo")).isVisible();
        helper.navigate(link);
        assertThat(helper.getByText("This link no longer works")).isVisible();
    }
}
