package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is dosed, and what arrives of it. */
class DosingIT extends BrowserTest {
    private static Locator line(Page page, String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A fortnight in which a quarter was missing stands in the levels that nobody looked at. */
    @Test
    void theCansTellOfThePumpThatFellShort() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Dosing");
        Locator limewater = line(page, "limewater");
        assertThat(limewater).containsText("Working normally");
        assertThat(limewater.getByRole(AriaRole.IMG))
                .hasAttribute("aria-label", Pattern.compile("7[3-7] % of the plan"));
        assertThat(page.getByText(Pattern.compile("dKH a day: "))).isVisible();
    }

    /** From an empty account to a label: refused with what is allowed, then kept, and called as soon as levels tell. */
    @Test
    void aLineIsPlannedRefusedKeptAndCalled() {
        Page page = visitor(PHONE);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/dosing"));
        assertThat(page.getByText("No dosing lines yet")).isVisible();
        button(page, "Add a dosing line").click();
        page.getByLabel("Name").fill("kalkwasser");
        assertThat(page.getByText("goggles, gloves and a dust mask").first()).isVisible();
        page.getByLabel("The vessel holds").fill("1600");
        page.getByLabel("Planned a day").fill("60000");
        when(page, "Since", "2025-10-01T08:00");
        button(page, "Add dosing line").click();
        assertThat(page.getByText(Pattern.compile("Salinity would fall"))).isVisible();
        page.getByLabel("Planned a day").fill("60");
        button(page, "Add dosing line").click();
        Locator made = line(page, "kalkwasser");
        assertThat(made).containsText("Log a filling, then a level");
        choose(made.getByLabel("Note", new Locator.GetByLabelOptions().setExact(true)), "FILLED");
        when(made, "at", "2025-10-01T08:00");
        button(made, "Add to log").click();
        assertThat(made).containsText("Filled to 1600 mL");
        choose(made.getByLabel("Note", new Locator.GetByLabelOptions().setExact(true)), "LEVEL");
        made.getByLabel("Level").fill("60");
        when(made, "at", "2025-11-06T20:00");
        button(made, "Add to log").click();
        assertThat(made).containsText(Pattern.compile("only 6[89]–7[12] % of plan"));
        assertThat(made).containsText("Air in the dosing line");
        button(page, "Undo").first().click();
        assertThat(made).containsText("Read the level once more");
        page.getByText("Mixing card and label").click();
        assertThat(line(page, "Label")).containsText("CAUSTIC");
    }

    /** What the twin makes of the can, how it is mixed, and the label that stands on it. */
    @Test
    void theCanHasItsDayItsCardAndItsLabel() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Dosing");
        Locator limewater = line(page, "limewater");
        button(page, "Show the effect on the day").click();
        assertThat(limewater.getByRole(
                        AriaRole.IMG, new Locator.GetByRoleOptions().setName(Pattern.compile("^Forecast"))))
                .isVisible();
        assertThat(limewater).containsText("Dashed: the low if all dosing stops");
        page.getByText("Mixing card and label").click();
        // 5 L × 0.0203 mol/L × 74.09 g/mol, and three tenths more.
        assertThat(page.getByText("9.8 g, about 3.5 level teaspoons")).isVisible();
        Locator label = line(page, "Label");
        assertThat(label).containsText("CAUSTIC");
        assertThat(label).containsText("rinse long with water, get medical help");
        page.getByLabel("Mix another amount").fill("2500");
        assertThat(page.getByText("4.9 g, about 1.5 level teaspoons")).isVisible();
    }

    /** Washing soda by the spoon and a water change: what they would do, kept, and taken back. */
    @Test
    void whatIsPutInByHandIsPartedAndKept() {
        Page page = visitor(PHONE);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/dosing"));
        Locator byHand = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Dosed by hand"));
        byHand.getByLabel("How much").fill("60");
        byHand.getByLabel("Pure (washing soda: 37)").fill("37");
        assertThat(byHand).containsText(Pattern.compile("Dose [0-9.]+ g at a time"));
        byHand.getByLabel("How much").fill("9000");
        assertThat(byHand).containsText("would harm your animals");
        byHand.getByLabel("How much").fill("6");
        assertThat(byHand).containsText("Dose it dissolved, a little at a time");
        button(byHand, "Add to log").click();
        assertThat(byHand).containsText("6 g of soda ash (37 % pure)");
        button(page, "Undo").last().click();
        assertThat(byHand).not().containsText("6 g of soda ash");
        choose(byHand.getByLabel("What", new Locator.GetByLabelOptions().setExact(true)), "WATER");
        byHand.getByLabel("How much").fill("20");
        assertThat(byHand).containsText("of the water: alkalinity goes from");
        button(byHand, "Add to log").click();
        assertThat(byHand).containsText("20 L of new water");
    }

    /** Calcium that would meet soda is refused until both have their times. */
    @Test
    void calciumIsPlannedApart() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/dosing"));
        planned(page, "soda", "SODA_ASH", null);
        planned(page, "calcium", "CALCIUM_CHLORIDE", null);
        assertThat(page.getByText("calcium carbonate would precipitate")).isVisible();
        button(page, "Cancel").click();
        Locator soda = line(page, "soda");
        choose(soda.getByLabel("Note", new Locator.GetByLabelOptions().setExact(true)), "TIMES");
        soda.getByLabel("Doses a day").fill("12");
        when(soda, "The first at", "00:00");
        button(soda, "Add to log").click();
        assertThat(soda).containsText("12 doses from 00:00");
        planned(page, "calcium", "CALCIUM_CHLORIDE", "01:00");
        assertThat(line(page, "calcium")).containsText("12 doses from 01:00");
    }

    private static void planned(Page page, String name, String solute, String first) {
        button(page, "Add a dosing line").click();
        page.getByLabel("Name").fill(name);
        choose(page.getByLabel("What is dosed"), solute);
        page.getByLabel("Strength, share of saturation").fill("10");
        page.getByLabel("The vessel holds").fill("500");
        page.getByLabel("Planned a day").fill("10");
        if (first != null) {
            choose(page.getByLabel("Timing"), "CLOCK");
            when(page.getByRole(AriaRole.DIALOG), "The first at", first);
        }
        button(page, "Add dosing line").click();
    }
}
