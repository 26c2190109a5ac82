package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The skimmer off for two hours, by hand: chosen, begun, called for on every screen, ended, read. */
class ExperimentIT extends BrowserTest {
    private static final Duration UNTIL_BEGIN = Duration.ofMinutes(15);
    private static final Duration HOURS = Duration.ofHours(2);

    /** Lights go on two hours and a quarter from now: the hours before them have nearly come. */
    private Page nearlyTime(int[] size) {
        Page page = visitor(size);
        newKeeperWithTank(page);
        open(page, "description");
        LocalTime on = LocalTime.now(ZoneId.of("Europe/Amsterdam"))
                .truncatedTo(ChronoUnit.MINUTES)
                .plus(UNTIL_BEGIN)
                .plus(HOURS);
        when(page, "Lights on", on.toString());
        when(page, "Lights off", on.plusHours(11).toString());
        page.getByLabel("Area").first().fill("3");
        choose(page.getByLabel("Movement").first(), "BROKEN");
        button(page, "Save").click();
        assertThat(page.getByText("Description saved.").first()).isVisible();
        open(page, "add-to-log");
        enter(page, "pH", "8.02");
        button(page, "Save").click();
        assertThat(page.getByText("Reading saved.").first()).isVisible();
        open(page, "experiment");
        return page;
    }

    private static void open(Page page, String screen) {
        page.navigate(page.url().replaceAll("/[a-z-]+(\\?.*)?$", "/" + screen));
    }

    private static void plan(Page page, String which) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(Pattern.compile("^Plan this: " + which + ".*")))
                .click();
    }

    private static Locator bar(Page page) {
        return page.getByRole(
                AriaRole.REGION,
                new Page.GetByRoleOptions().setName("Experiment").setExact(true));
    }

    @Test
    void itIsChosenBegunEndedAndRead() {
        Page page = nearlyTime(DESKTOP);
        plan(page, "skimmer off for the last two hours");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Planned experiment")))
                .isVisible();
        button(page, "The skimmer is off").click();
        assertThat(bar(page)).containsText(Pattern.compile("Switch it on at \\d\\d:\\d\\d, in 2 h \\d+ min"));
        open(page, "today");
        assertThat(bar(page)).containsText("Stop at once if animals gasp at the surface");
        button(page, "The skimmer runs again").click();
        assertThat(bar(page)).isHidden();
        open(page, "experiment");
        assertThat(page.getByText("No result yet")).isVisible();
        open(page, "history");
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What changed")))
                .containsText("Experiment: skimmer off for the last two hours");
    }

    /** Nobody waits here for two hours: the server's answer is taken for one of a quarter of an hour too late. */
    @Test
    void whoForgetsItIsCalledInRed() {
        Page page = nearlyTime(PHONE);
        plan(page, "skimmer off for the last two hours");
        button(page, "The skimmer is off").click();
        assertThat(bar(page)).isVisible();
        page.route("**/experiments/current", ExperimentIT::late);
        open(page, "today");
        Locator call = page.getByRole(AriaRole.ALERT);
        assertThat(call).containsText("off too long. Switch it on now");
        assertThat(bar(page)).hasCSS("background-color", "rgb(179, 18, 29)");
        assertThat(page).hasTitle("Skimmer on!");
        page.unroute("**/experiments/current");
        button(page, "Skimmer is on: the animals needed it").click();
        assertThat(bar(page)).isHidden();
        open(page, "experiment");
        assertThat(page.getByText("stopped for the animals")).isVisible();
    }

    /** Nothing has to be switched on again in time, and no alarm is red: the timer has them by the next morning. */
    @Test
    void aDayWithoutLampsSaysWhatItIs() {
        Page page = nearlyTime(DESKTOP);
        plan(page, "lamps off for one day");
        assertThat(page.getByText("Take the lamps off their timer before they come on"))
                .isVisible();
        assertThat(page.getByText("Switch the skimmer off")).isHidden();
        button(page, "Cancel").click();
        assertThat(page.getByText("Cancelled.").first()).isVisible();
    }

    private static void late(Route route) {
        String body = route.fetch().text();
        String passed =
                Instant.now().minusSeconds(60).truncatedTo(ChronoUnit.SECONDS).toString();
        route.fulfill(new Route.FulfillOptions()
                .setContentType("application/json")
                .setBody(body.replaceAll("\"lateFrom\":\"[^\"]*\"", "\"lateFrom\":\"" + passed + "\"")));
    }

    @Test
    void whatWasPlannedIsCalledOff() {
        Page page = nearlyTime(DESKTOP);
        plan(page, "skimmer off for the last two hours");
        button(page, "Cancel").click();
        assertThat(page.getByText("Cancelled.").first()).isVisible();
        assertThat(button(page, "Plan this").first()).isVisible();
    }
}
