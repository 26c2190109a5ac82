package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A tank that changes: what was done, what was described wrongly, and a probe that stood in its buffers. */
class ChaptersIT extends BrowserTest {

    private Page withOneReading() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        enter(page, "pH", "8.02");
        button(page, "Save").click();
        assertThat(page.getByText("Reading saved.").first()).isVisible();
        return page;
    }

    private static void open(Page page, String screen) {
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/" + screen));
    }

    private static Locator sheet(Page page) {
        return page.getByRole(AriaRole.DIALOG);
    }

    @Test
    void whatWasTriedIsDoneMendedAndTakenOff() {
        Page page = withOneReading();
        open(page, "bench");
        page.getByLabel("Outdoor air hose to the skimmer").check();
        assertThat(page.getByText("removes the source").first()).isVisible();
        button(page, "I have done this").click();
        sheet(page)
                .getByLabel("What", new Locator.GetByLabelOptions().setExact(true))
                .fill("hose to the garden");
        button(page, "Add to log").click();
        assertThat(page.getByText(Pattern.compile("Forecast saved: \\+0\\.\\d\\d"))
                        .first())
                .isVisible();
        assertThat(page.getByText("Active changes")).isVisible();
        open(page, "history");
        Locator changed = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What changed"));
        assertThat(changed).containsText("In the model: hose, still active. Forecast then: daily low");
        button(page, "Correct “hose to the garden”").click();
        sheet(page).getByLabel("Note").fill("through the cat flap");
        button(page, "Save").click();
        assertThat(changed).containsText("through the cat flap");
        open(page, "bench");
        button(page, "“hose to the garden” removed").click();
        assertThat(page.getByText("“hose to the garden” ended.").first()).isVisible();
        assertThat(page.getByText("Active changes")).isHidden();
    }

    @Test
    void aTankThatChangedHasTwoChaptersAndAMistakeHasOne() {
        Page page = withOneReading();
        open(page, "description");
        page.getByLabel("Net water").fill("400");
        button(page, "Save").click();
        assertThat(sheet(page)).containsText("Did the tank change, or was this wrong?");
        button(page, "The description was wrong: correct it").click();
        assertThat(page.getByText("Description saved.").first()).isVisible();
        page.getByLabel("Air the skimmer draws").fill("300");
        button(page, "Save").click();
        button(page, "The tank changed: start a new chapter").click();
        assertThat(sheet(page)).isHidden();
        open(page, "history");
        Locator chapters = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chapters"));
        assertThat(chapters).containsText("from the beginning");
        assertThat(chapters).containsText("changed: its skimmer");
        chapters.getByText("Correct description").click();
        assertThat(page.getByText("as it was").first()).isVisible();
        page.getByLabel("Air the skimmer draws").fill("-3");
        button(page, "Save").click();
        assertThat(page.getByText("as it was").first()).isVisible();
        page.getByLabel("Air the skimmer draws").fill("250");
        button(page, "Save").click();
        assertThat(page.getByText("Chapter corrected").first()).isVisible();
        assertThat(chapters).containsText("changed: its skimmer");
        chapters.getByText("Correct description").click();
        assertThat(page.getByLabel("Air the skimmer draws")).hasValue("250");
        page.getByText("Undo").first().click();
        assertThat(page.getByLabel("Air the skimmer draws")).not().hasValue("250");
        page.getByLabel("Air the skimmer draws").fill("300");
        button(page, "Save").click();
        assertThat(page.getByText("The two are merged").first()).isVisible();
        assertThat(chapters).isHidden();
    }

    @Test
    void aChapterThatWasNoneIsJoined() {
        Page page = withOneReading();
        open(page, "description");
        page.getByLabel("Air the skimmer draws").fill("300");
        button(page, "Save").click();
        button(page, "The tank changed: start a new chapter").click();
        assertThat(sheet(page)).isHidden();
        open(page, "history");
        Locator chapters = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Chapters"));
        button(page, "Correct end date").click();
        button(page, "Merge these two chapters").click();
        assertThat(chapters).isHidden();
    }

    @Test
    void aProbeStandsInItsBuffers() {
        Page page = withOneReading();
        open(page, "probe");
        assertThat(page.getByText("we assume an error of ±0.1")).isVisible();
        page.getByLabel("The meter showed").first().fill("10.1");
        page.getByLabel("The meter showed").last().fill("7.1");
        assertThat(page.getByText("the buffers are swapped")).isVisible();
        page.getByLabel("The meter showed").first().fill("7.06");
        page.getByLabel("The meter showed").last().fill("10.06");
        assertThat(page.getByText("Slope 100 %, offset −4 mV. A good probe.")).isVisible();
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("left the meter unchanged"))
                .click();
        exactly(page, "Save").click();
        assertThat(page.getByText("This probe reads 0.06 too high, and we correct that, ±0.02."))
                .isVisible();
        assertThat(page.locator("header")).containsText("corrected");
        assertThat(page.locator("header")).containsText("7.96");
    }
}
