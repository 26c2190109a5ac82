package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Loggers' files through the browser, and the months that come of them. */
class LoggersFileIT extends BrowserTest {
    private static final Path LOGGERS = Path.of("../core/src/test/resources/loggers");
    private Page page;

    @BeforeEach
    void tank() {
        page = visitor(DESKTOP);
        newKeeperWithTank(page);
        link("or import a logger’s file").click();
    }

    private Locator link(String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    private void say(String answer) {
        page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(answer))
                .click();
    }

    private void give(String name) {
        fileInput(page).setInputFiles(LOGGERS.resolve(name));
    }

    private void give(String name, String text) {
        fileInput(page).setInputFiles(new FilePayload(name, "text/csv", text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void threeLoggersFilesGoInWithoutAnEdit() {
        give("sump-logger.csv");
        assertThat(page.getByText("No questions left.")).isVisible();
        button(page, "Add to log").click();
        assertThat(page.getByText("144 new readings")).isVisible();
        link("Another file").click();

        give("old-desktop.csv");
        assertThat(page.getByText("One question is open.")).isVisible();
        assertThat(button(page, "Add to log")).isDisabled();
        say("local time with summer time (Europe/Amsterdam)");
        assertThat(page.getByText("Suggested: meters, controllers and kits")).isVisible();
        assertThat(page.getByText("Sun 25 Oct, 00:00").first()).isVisible();
        button(page, "Add to log").click();
        // Where both loggers stood in the same minutes, the log keeps what it had.
        assertThat(page.getByText("differ from the log")).isVisible();
        button(page, "Use the file’s values").click();
        assertThat(page.getByText("The file’s values are used.")).isVisible();
        link("Another file").click();

        give("one-a-line.txt");
        assertThat(page.getByText("Which clock did the logger use?")).isVisible();
        say("local time with summer time (Europe/Amsterdam)");
        choose(
                page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("CO2 living area ppm"))
                        .getByLabel(Pattern.compile("What is it\\?|Choose what this column is")),
                "room");
        if (page.getByText("How does the file write dates?").isVisible()) {
            say("the month comes first");
        }
        button(page, "Add to log").click();
        assertThat(page.getByText("85 new readings")).isVisible();
        link("Show its last day").click();
        assertThat(page.getByText("11 November 2026")).isVisible();
    }

    @Test
    void badLinesAreToldAndAnImportIsTakenOutAgain() {
        give("broken.csv", "time,pH (NBS)\n2026-11-01T00:00:00Z,8.1\n2026-11-01T00:05:00Z,=1+1\nnonsense\n");
        button(page, "Add to log").click();
        assertThat(page.getByText("2 lines could not be imported")).isVisible();
        assertThat(page.getByText("“=1+1” is not a number")).isVisible();
        button(page, "Remove all of it from the log").click();
        assertThat(page.getByText("broken.csv removed from the log.").first()).isVisible();
        give("picture.csv", "\u0000\u0001\u0002");
        assertThat(page.getByText("This is not a text file.")).isVisible();
    }

    @Test
    void monthsAreMovedZoomedAndTakenAlong() throws Exception {
        page = demo(visitor(DESKTOP), "Lantern Reef", "History");
        Locator drawing =
                page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^The log from")));
        assertThat(drawing).isVisible();
        assertThat(page.getByText("windows stay shut").first()).isVisible();
        button(page, "Last week").click();
        assertThat(page).hasURL(Pattern.compile(".*from=.*to=.*"));
        String week = page.getByRole(AriaRole.HEADING).first().innerText();
        page.keyboard().press("ArrowLeft");
        assertThat(page.getByRole(AriaRole.HEADING).first()).not().hasText(week);
        page.keyboard().press("-");
        Download picture = page.waitForDownload(() -> button(page, "PNG").click());
        byte[] png = Files.readAllBytes(picture.path());
        Assertions.assertThat(png).startsWith(0x89, 'P', 'N', 'G').hasSizeGreaterThan(20_000);
        Download table = page.waitForDownload(() -> link("CSV").click());
        Assertions.assertThat(Files.readString(table.path()))
                .startsWith("time,series,value")
                .contains("TANK/PH/PROBE");
    }
}
