package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Plan, outage, report; with the server gone in the middle, and with the card alone. */
class OutageIT extends BrowserTest {

    private static void throughAnOutage(Page page, String tank) {
        page.navigate(page.url().replaceAll("/[a-z]+$", "/outage"));
        button(page, "The power is out").click();
        assertThat(page.getByText("No power for")).isVisible();
        assertThat(page.getByText("Look at the animals").first()).isVisible();
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Predicted oxygen"))))
                .isVisible();
        button(page, "Done").first().click();
        assertThat(page.getByText(Pattern.compile("Start: ")).first()).isVisible();

        page.context().setOffline(true);
        button(page, "✕ They gasp").first().click();
        assertThat(page.getByText("They gasp: aerate this minute")).isVisible();
        button(page, "Done").first().click();
        assertThat(page.getByText("The server does not answer. Go on")).isVisible();
        assertThat(page.getByText(Pattern.compile("\\(\\d waiting\\)"))).isVisible();

        page.context().setOffline(false);
        page.evaluate("window.dispatchEvent(new Event('online'))");
        assertThat(page.getByText("The server does not answer. Go on")).isHidden();
        page.getByLabel("Oxygen, measured").first().fill("5,6");
        button(page, "Note").first().click();
        button(page, "They are calm").first().click();
        assertThat(page.getByText("They gasp: aerate this minute")).isHidden();
        page.waitForResponse(
                r -> r.url().endsWith("/end"),
                () -> button(page, "The power is back").click());
        assertThat(page.getByText("The power was out for")).isVisible();
        assertThat(page.getByText("Return pump and circulation first").first()).isVisible();
        assertThat(page.getByText(Pattern.compile(tank + ": the animals gasp|" + tank + ":\\s+the animals gasp"))
                        .first())
                .isVisible();
        assertThat(page.getByText(Pattern.compile("5\\.6 mg/L")).first()).isVisible();
    }

    @Test
    void heronGoesThroughAnOutageOnAPhone() {
        Page page = demo(visitor(PHONE), "Heron", "Readiness");
        assertThat(page.getByText("Narrowboat, without power")).isVisible();
        assertThat(page.getByText("30.0 h, tested")).isVisible();
        throughAnOutage(page, "Heron");
    }

    @Test
    void lanternReefGoesThroughAnOutage() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Readiness");
        assertThat(page.getByText("Quayside House, without power")).isVisible();
        assertThat(page.getByText("Its label (100 W for 23 min) would promise 11.3 h"))
                .isVisible();
        throughAnOutage(page, "Lantern Reef");
    }

    @Test
    void theKitIsNotedAndTested() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/enter.*", "/readiness"));
        assertThat(page.getByText("Nothing aerates without the mains")).isVisible();
        button(page, "Something for the kit").click();
        page.getByLabel("What it is").fill("battery pump");
        page.getByLabel("Air", new Page.GetByLabelOptions().setExact(true)).fill("90");
        page.getByLabel("It takes").fill("0.6");
        page.getByLabel("How many cells").fill("4");
        button(page, "Into the kit").click();
        assertThat(page.getByText("battery pump: never tested")).isVisible();
        button(page, "test it").click();
        page.getByLabel("It ran for").fill("40");
        button(page, "Note the test").click();
        assertThat(page.getByText("40.0 h, tested")).isVisible();
    }

    /** The card works from a file, without server and network; its log is brought in twice and counts once. */
    @Test
    void theCardWorksAlone(@TempDir Path dir) {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/enter.*", "/readiness"));
        Download saved =
                page.waitForDownload(() -> page.getByText("Save the card").click());
        Path file = dir.resolve("card.html");
        saved.saveAs(file);

        Page card = visitor(PHONE);
        card.context().setOffline(true);
        card.navigate(file.toUri().toString());
        card.getByText("The power is out: start the clock").click();
        assertThat(card.getByText("Look at the animals").first()).isVisible();
        card.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Done"))
                .first()
                .click();
        card.getByText("They gasp", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(card.getByText("Gasping: aerate this minute")).isVisible();
        card.reload();
        assertThat(card.getByText("Gasping: aerate this minute")).isVisible();
        card.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("The power is back"))
                .click();
        assertThat(card.getByText("Return pump and circulation first").first()).isVisible();
        Download log = card.waitForDownload(() -> card.getByText("Save the log").click());
        Path notes = dir.resolve("log.json");
        log.saveAs(notes);

        for (int i = 0; i < 2; i++) {
            page.navigate(page.url().replaceAll("/[a-z]+$", "/outage"));
            page.evaluate("localStorage.clear()");
            page.reload();
            page.getByLabel("The file that the card saved").setInputFiles(notes);
            assertThat(page.getByText("The power was out for")).isVisible();
            assertThat(page.getByText("2 notes:")).isVisible();
        }
        page.getByText("All of the restart").click();
        assertThat(page.locator("body")).not().containsText("4 notes");
    }

    @Test
    void aHaulIsReckoned() {
        Page page = demo(visitor(PHONE), "Heron", "Haul");
        assertThat(page.getByText("They arrive")).isVisible();
        page.getByLabel("Water", new Page.GetByLabelOptions().setExact(true)).fill("1");
        assertThat(page.getByText("then oxygen falls below 5 mg/L")).isVisible();
        assertThat(page.getByText("On arrival", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.title()).isNotBlank();
    }
}
