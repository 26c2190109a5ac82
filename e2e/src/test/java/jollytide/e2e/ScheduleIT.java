package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** One day, every device: built by hand, looked through, mended, saved. */
class ScheduleIT extends BrowserTest {
    private static final String SOUND = "No conflicts";

    private Page schedule(int[] size) {
        Page page = visitor(size);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/schedule"));
        assertThat(heading(page, SOUND)).isVisible();
        return page;
    }

    private static Locator heading(Page page, String name) {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator form(Page page) {
        return page.getByRole(AriaRole.DIALOG);
    }

    private static void add(Page page) {
        button(form(page), "Add").click();
        assertThat(form(page)).hasCount(0);
    }

    private static void window(Page page, String name, String from, String until) {
        button(page, "Add a time window").click();
        form(page).getByLabel("Name").fill(name);
        when(form(page), "Begins at", from);
        when(form(page), "Ends at", until);
        add(page);
    }

    private static void rule(Page page, String lane, String state) {
        button(page, lane + ": add a rule").click();
        choose(form(page).getByLabel("State"), state);
        add(page);
    }

    /** The row of a lane at the playhead. */
    private static Locator at(Page page, String time, String lane) {
        page.getByLabel("Another time").fill(time);
        return page.getByRole(AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^" + lane)));
    }

    private static void bubbleHour(Page page) {
        window(page, "bubble hour", "19:00", "20:00");
        button(page, "Add a device").click();
        form(page).getByLabel("Name").fill("stone at the return");
        add(page);
        rule(page, "stone at the return", "ON");
        rule(page, "flow pumps, right", "WAVE");
        rule(page, "flow pumps, left", "OFF");
    }

    @Test
    void theBubbleHourIsBuiltByHandAndItsMissingSurgesAreFoundAndMendedByOnePress() {
        Page page = schedule(DESKTOP);
        bubbleHour(page);
        assertThat(heading(page, "One conflict")).isVisible();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Conflicts")))
                .containsText("Two surges at full power are missing");
        button(page, "Add two surges").click();
        assertThat(heading(page, SOUND)).isVisible();

        Locator right = at(page, "19:05:10", "flow pumps, right");
        assertThat(right).containsText("off, 20 s left of 30 s");
        assertThat(right).containsText("bubble hour");
        assertThat(at(page, "20:00:30", "flow pumps, left")).containsText("after bubble hour");
        assertThat(at(page, "20:05:30", "flow pumps, left")).containsText("after bubble hour");
        assertThat(at(page, "20:06", "flow pumps, left")).containsText("no rule");

        button(page, "Undo").click();
        assertThat(heading(page, "One conflict")).isVisible();
        button(page, "Redo").click();
        assertThat(heading(page, SOUND)).isVisible();
        button(page, "Save").click();
        assertThat(page.getByText("Schedule saved.").first()).isVisible();
        page.reload();
        assertThat(page.getByText("· saved")).isVisible();
        assertThat(page.getByText("after “bubble hour”: on for 1 min at once, on for 1 min after 5 min")
                        .first())
                .isVisible();
    }

    /** Pumps off while the fish are fed: in the day at once, and let go one by one. */
    @Test
    void pumpsAreHeldByHand() {
        Page page = schedule(PHONE);
        button(page, "Hold").click();
        Locator hand = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Hold by hand"));
        assertThat(hand).containsText(Pattern.compile("flow pumps, left off until \\d\\d:\\d\\d"));
        assertThat(page.getByRole(
                        AriaRole.ROW, new Page.GetByRoleOptions().setName(Pattern.compile("^flow pumps, right"))))
                .containsText("held by hand");
        button(hand, "Release flow pumps, left").click();
        assertThat(hand).not().containsText("flow pumps, left off until");
        assertThat(hand).containsText("flow pumps, right off until");
        assertThat(page.getByText("follows its schedule again").first()).isVisible();
        button(page, "Undo").last().click();
        assertThat(hand).containsText(Pattern.compile("flow pumps, left off until \\d\\d:\\d\\d"));
        hand.getByLabel("for").fill("0");
        assertThat(button(hand, "Hold")).isDisabled();
    }

    /** On a phone, by keys alone where a finger would draw. */
    @Test
    void edgesAndPlayheadGoByKeys() {
        Page page = schedule(PHONE);
        window(page, "bubble hour", "19:00", "20:00");
        Locator begins =
                page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("bubble hour, " + "beginning"));
        begins.press("ArrowRight");
        assertThat(begins).hasAttribute("aria-valuetext", "19:05");
        assertThat(page.getByText("19:05 to 20:00")).isVisible();
        Locator playhead = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Playhead"));
        playhead.press("Home");
        assertThat(playhead).hasAttribute("aria-valuetext", "00:00");
        playhead.press("PageUp");
        playhead.press("ArrowRight");
        assertThat(heading(page, "At 01:01")).isVisible();
    }

    @Test
    void anEdgeIsDrawnElsewhere() {
        Page page = schedule(DESKTOP);
        window(page, "bubble hour", "19:00", "20:00");
        Locator ends = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("bubble hour, end"));
        ends.scrollIntoViewIfNeeded();
        var box = ends.boundingBox();
        page.mouse().move(box.x + 12, box.y + 12);
        page.mouse().down();
        page.mouse().move(box.x + 12 + 60, box.y + 12);
        page.mouse().up();
        assertThat(page.getByText(Pattern.compile("19:00 to 21:[0-5][05]"))).isVisible();
        button(page, "Undo").click();
        assertThat(page.getByText("19:00 to 20:00")).isVisible();
    }

    @Test
    void whoSavesSecondSeesBoth() {
        Page first = schedule(DESKTOP);
        Page second = secondTab(first);
        second.navigate(first.url());
        window(second, "feeding", "12:00", "12:10");
        window(first, "bubble hour", "19:00", "20:00");
        button(first, "Save").click();
        assertThat(first.getByText("Schedule saved.").first()).isVisible();
        button(second, "Save").click();
        assertThat(heading(second, "The schedule was changed elsewhere")).isVisible();
        assertThat(second.locator("svg").getByText("bubble hour")).isVisible();
        assertThat(second.locator("svg").getByText("feeding")).isVisible();
        button(second, "Save mine").click();
        assertThat(second.getByText("Schedule saved.").first()).isVisible();
        first.reload();
        assertThat(first.getByText("12:00 to 12:10")).isVisible();
    }

    @Test
    void outAsAFileAndInAgain() throws IOException {
        Page page = schedule(DESKTOP);
        window(page, "feeding", "12:00", "12:10");
        Download file =
                page.waitForDownload(() -> button(page, "Export as a file").click());
        byte[] kept = Files.readAllBytes(file.path());
        button(page, "Undo").click();
        assertThat(page.getByText("12:00 to 12:10")).hasCount(0);
        read(page, "p.json", kept);
        assertThat(page.getByText("12:00 to 12:10")).isVisible();
        read(page, "p.json", "no json".getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByText("p.json is not a schedule file: it is not JSON."))
                .isVisible();
        String strange =
                new String(kept, StandardCharsets.UTF_8).replace("\"lane\": \"display\"", "\"lane\": \"moon\"");
        read(page, "q.json", strange.getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByText("There is no device “moon”")).isVisible();
        read(page, "r.json", "{\"lanes\": 3}".getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByText("r.json was not read")).isVisible();
        assertThat(page.getByText("12:00 to 12:10")).isVisible();
    }

    private static void read(Page page, String name, byte[] bytes) {
        fileInput(page).setInputFiles(new FilePayload(name, "application/json", bytes));
    }

    /** Templates comes with its cautions, and its upkeep goes onto the list by one press. */
    @Test
    void aTemplateComesWithItsCautionsAndItsUpkeep() {
        Page page = schedule(PHONE);
        button(page, "Use this template").click();
        assertThat(page.getByText("can supersaturate the water")).isVisible();
        assertThat(page.getByText("19:00 to 20:00")
                        .or(page.getByText("2 h before lamps-off"))
                        .first())
                .isVisible();
        button(page, "Add the task").first().click();
        assertThat(page.getByText("Upkeep has it every day.").first()).isVisible();
        choose(page.getByLabel("Fitted to this tank"), "REVERSE_REFUGIUM");
        button(page, "Use this template").click();
        assertThat(page.getByText("There is no device for a refugium")).isVisible();
    }

    /** The demo's tank: media by night on its own twin, beside what is saved; then a cut, and a pump that does not obey. */
    @Test
    void theTwinRunsItAndWhatCouldHappenIsDrawn() {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Schedule");
        assertThat(page.getByText("· saved")).isVisible();
        assertThat(at(page, "12:05", "flow pumps, left")).containsText("feeding");
        choose(page.getByLabel("Fitted to this tank"), "NIGHT_MEDIA");
        button(page, "Use this template").click();
        assertThat(page.getByText("a closed loop adds no oxygen")).isVisible();
        Locator twin = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What the model expects"));
        assertThat(twin.getByText("Dashed: the saved schedule.")).isVisible();
        assertThat(twin).containsText(Pattern.compile("1 kg lasts \\d+"));
        assertThat(twin).containsText("saved: ");

        page.getByLabel("Another time").fill("18:00");
        button(page, "Show the power cut").click();
        assertThat(at(page, "18:30", "return pump")).containsText("power cut");
        assertThat(at(page, "19:15", "return pump")).containsText("power is back");
        assertThat(at(page, "21:00", "limewater")).containsText("until you confirm that the return runs");
        assertThat(twin.getByRole(AriaRole.LINK)).hasText("Readiness");
        button(page, "Clear").click();
        page.getByLabel("Another time").fill("14:00");
        choose(page.getByLabel("a device got stuck"), "return");
        choose(page.getByLabel("and stayed"), "OFF");
        button(page, "Show the device").click();
        assertThat(at(page, "15:00", "return pump")).containsText("stuck");
        assertThat(heading(page, "One conflict")).isVisible();

        Download table = page.waitForDownload(
                () -> button(page, "Export this day as a table").click());
        org.assertj.core.api.Assertions.assertThat(table.path())
                .content()
                .startsWith("time,device,state,why")
                .contains("return pump,off,stuck");
    }
}
