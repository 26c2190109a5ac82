package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Do → Supplies: what is in the cupboard, and what must be bought. */
class SuppliesIT extends BrowserTest {
    private static Locator supply(Page page, String name) {
        return page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.HEADING, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)))));
    }

    /** The can's lime is counted twice: what it takes stands beside when more is ordered. */
    @Test
    void theDemosCupboardSaysWhatToBuy() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Supplies");
        Locator lime = supply(page, "lime");
        assertThat(lime).containsText("from your counts");
        assertThat(lime).containsText("order by");
        Locator list = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("To buy"));
        assertThat(list).containsText("fish food: 3 × 100 g");
        assertThat(page.getByText("Power costs")).isVisible();
    }

    /** On a phone, from nothing: kept, counted in pounds, bought, taken back, given up and kept again. */
    @Test
    void somethingIsKeptCountedAndBought() {
        Page page = visitor(PHONE);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/supplies"));
        assertThat(page.getByText("No supplies yet")).isVisible();
        button(page, "Add a supply").click();
        Locator form = page.getByRole(AriaRole.DIALOG);
        choose(form.getByLabel("What"), "OWN");
        page.getByLabel("Name", exactly()).fill("salt");
        page.getByLabel("Use a day").fill("100");
        page.getByLabel("A package holds").fill("5000");
        button(form, "Add").click();
        Locator salt = supply(page, "salt");
        assertThat(salt).containsText("Not counted yet");
        button(salt, "Counted or bought").click();
        salt.getByLabel("How much").fill("-3");
        button(salt, "Add").click();
        assertThat(salt.getByRole(AriaRole.ALERT)).isVisible();
        salt.getByLabel("How much").fill("2");
        choose(salt.getByLabel("in", new Locator.GetByLabelOptions().setExact(true)), "LB");
        button(salt, "Add").click();
        assertThat(salt).containsText("About 907 g left");
        assertThat(page.getByText("salt: 2 × 5000 g")).isVisible();
        assertThat(page.getByText("Added.", new Page.GetByTextOptions().setExact(true))
                        .last())
                .isVisible();
        button(page, "Undo").last().click();
        assertThat(salt).containsText("Not counted yet");
        button(salt, "Remove").click();
        assertThat(page.getByText("No supplies yet")).isVisible();
        button(page, "Restore").click();
        assertThat(salt).containsText("Not counted yet");
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }
}
