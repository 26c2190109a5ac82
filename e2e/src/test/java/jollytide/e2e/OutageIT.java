package jollytide.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Plan, outage, report; with the server gone in the middle, and with the card alone. */
class OutageIT extends BrowserTest {
    /** The first of a server that has just started, with three tanks to fit. */
    private static final LocatorAssertions.IsVisibleOptions ONCE_COMPUTED =
            new LocatorAssertions.IsVisibleOptions().setTimeout(90_000);

    /** Opens the outage screen twice: the second time everything that it stands on is kept on the device. */
    private static void readyForTheDark(Page page) {
        page.evaluate("navigator.serviceWorker.ready.then(() => null)");
        page.waitForResponse(
                r -> r.url().endsWith("/outages/plan"),
                () -> page.navigate(page.url().replaceAll("/[a-z]+$", "/outage")));
        page.waitForFunction("Object.keys(localStorage).some((k) => k.startsWith('outage-plan-'))");
        assertThat(button(page, "Power is out")).isVisible();
    }

    private static void clockRuns(Page page) {
        assertThat(page.getByText("No power for")).isVisible();
        assertThat(page.getByText("Watch the animals").first()).isVisible();
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^Predicted oxygen"))))
                .isVisible();
        button(page, "Done").first().click();
        assertThat(page.getByText(Pattern.compile("^(Start|Check that it runs): "))
                        .first())
                .isVisible();
    }

    private static void logWithoutServer(Page page) {
        button(page, "✕ They gasp").first().click();
        assertThat(page.getByText("Animals gasp: aerate now")).isVisible();
        button(page, "Running").first().click();
        assertThat(page.getByText("The server does not answer. Go on")).isVisible();
        assertThat(page.getByText(Pattern.compile("\\(\\d to send\\)"))).isVisible();
    }

    private static void backToTheReport(Page page, String tank) {
        page.evaluate("window.dispatchEvent(new Event('online'))");
        assertThat(page.getByText("The server does not answer. Go on")).isHidden();
        page.getByLabel("Oxygen, measured", new Page.GetByLabelOptions().setExact(true))
                .first()
                .fill("5,6");
        button(page, "Log: Oxygen, measured").first().click();
        button(page, "They breathe calmly").first().click();
        assertThat(page.getByText("Animals gasp: aerate now")).isHidden();
        page.getByText("Meals, warmth, ammonia").first().click();
        page.getByLabel("Room temperature", new Page.GetByLabelOptions().setExact(true))
                .fill("14");
        button(page, "Log: Room temperature").click();
        assertThat(page.getByText("Logged: 14 °C.")).isVisible();
        page.waitForResponse(
                r -> r.url().endsWith("/end"),
                () -> button(page, "Power is back").click());
        assertThat(page.getByText("The power was out for")).isVisible();
        assertThat(page.getByText("Return pump and circulation first").first()).isVisible();
        assertThat(page.getByText(Pattern.compile(tank + ":\\s+the animals gasp"))
                        .first())
                .isVisible();
        assertThat(page.getByText(Pattern.compile("5\\.6 mg/L")).first()).isVisible();
    }

    /** On a phone, whose way to the server breaks and comes back. */
    @Test
    void heronGoesThroughAnOutageOnAPhone() {
        Page page = demo(visitor(PHONE), "Heron", "Readiness");
        assertThat(page.getByText("Narrowboat, without power")).isVisible(ONCE_COMPUTED);
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("30 h")))
                .containsText("tested");
        readyForTheDark(page);
        button(page, "Power is out").click();
        clockRuns(page);
        page.context().setOffline(true);
        logWithoutServer(page);
        page.context().setOffline(false);
        backToTheReport(page, "Heron");
    }

    /** A house of many tanks has one list; what is the same for all is done for all at once, and taken back so. */
    @Test
    void aHouseOfManyTanksHasOneList() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        String id = page.url().replaceAll(".*/tank/([0-9a-f-]+).*", "$1");
        page.evaluate("""
                async (id) => {
                  const get = async (path) => (await fetch('/api/v1' + path)).json();
                  const tank = await get('/tanks/' + id);
                  const token = /XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1];
                  for (const name of ['Pool two', 'Pool three', 'Pool four']) {
                    const made = await fetch('/api/v1/rooms/' + tank.roomId + '/tanks', {
                      method: 'POST',
                      headers: {
                        'Content-Type': 'application/json',
                        'X-XSRF-TOKEN': decodeURIComponent(token),
                      },
                      body: JSON.stringify({ ...tank.description, name }),
                    });
                    if (!made.ok) throw new Error(await made.text());
                  }
                }""", id);
        page.navigate("/tank/" + id + "/outage");
        button(page, "Power is out").click();
        assertThat(page.getByText("The whole house")).isVisible();
        assertThat(page.getByText("every tank", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.locator("details[data-tank]")).hasCount(4);
        // A second tap of the same hurry finds nothing to press.
        button(page, "Done").click();
        assertThat(button(page, "Done").first()).isDisabled();
        page.getByText(Pattern.compile("^The whole list")).click();
        assertThat(page.getByText("Watch the animals (every tank) ✓")).isVisible();
        button(page, "Open again: Watch the animals").click();
        assertThat(page.getByText("Watch the animals (every tank) ✓")).isHidden();
        page.getByText("Pool three").click();
        assertThat(page.locator("details[data-tank='Pool three']").getByText("Oxygen now, predicted:"))
                .isVisible();
    }

    /** The server stops in the middle; the page is closed, opened again without it, and tells what it holds afterwards. */
    @Test
    void lanternReefGoesThroughAnOutageWithTheServerStopped() throws IOException, InterruptedException {
        Page page = demo(visitor(DESKTOP), "Lantern Reef", "Readiness");
        assertThat(page.getByText("Quayside House, without power")).isVisible();
        assertThat(page.getByText("By the label (100 W for 23 min) you would expect 11.3 h"))
                .isVisible();
        readyForTheDark(page);
        button(page, "Power is out").click();
        clockRuns(page);
        String address = page.url();
        RunningApp.stop();
        try {
            logWithoutServer(page);
            Page again = secondTab(page);
            page.close();
            again.navigate(address);
            assertThat(again.getByText("Animals gasp: aerate now")).isVisible();
            assertThat(again.getByText("The server does not answer. Go on")).isVisible();
            page = again;
        } finally {
            RunningApp.startAgain();
        }
        backToTheReport(page, "Lantern Reef");
    }

    /** The server is gone before anybody pressed: the clock begins by the plan that the device kept. */
    @Test
    void anOutageBeginsWithoutTheServer() {
        Page page = visitor(PHONE);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/readiness"));
        readyForTheDark(page);
        page.context().setOffline(true);
        button(page, "Power is out").click();
        clockRunsByHand(page);
        assertThat(page.getByText("Predictions are from")).isVisible();
        button(page, "Power is back").click();
        assertThat(page.getByText("The power was out for")).isVisible();
        assertThat(page.getByText("Return pump and circulation first").first()).isVisible();
        page.context().setOffline(false);
        // Start and end go as one.
        page.waitForResponse(
                r -> r.url().endsWith("/outages") && r.request().method().equals("POST") && r.status() == 200,
                () -> page.evaluate("window.dispatchEvent(new Event('online'))"));
        page.reload();
        assertThat(page.getByText(Pattern.compile("Watch the animals\\s+done"))).isVisible();
    }

    private static void clockRunsByHand(Page page) {
        assertThat(page.getByText("No power for")).isVisible();
        button(page, "Done").first().click();
        assertThat(page.getByText("Aerate by hand").first()).isVisible();
    }

    @Test
    void theKitIsNotedAndTested() {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/readiness"));
        assertThat(page.getByText("Nothing aerates without mains power")).isVisible();
        button(page, "Add equipment").click();
        field(page, "Equipment").fill("battery pump");
        page.getByLabel("Air", new Page.GetByLabelOptions().setExact(true)).fill("90");
        field(page, "Power").fill("0.6");
        page.getByLabel("Number of cells").fill("4");
        button(page, "Add to kit").click();
        Locator pump = page.getByRole(AriaRole.LISTITEM)
                .filter(new Locator.FilterOptions().setHas(button(page, "Edit battery pump")));
        assertThat(pump).containsText("not tested");
        assertThat(page.getByText("battery pump: never tested").first()).isVisible();
        exactly(page, "Test").click();
        page.getByLabel("Run time").fill("40");
        button(page, "Save test").click();
        assertThat(pump).containsText("40 h");
        assertThat(pump).not().containsText("not tested");
        button(page, "Edit battery pump").click();
        assertThat(page.getByLabel("Number of cells")).hasValue("4");
        page.getByLabel("Where it is kept").fill("under the stairs");
        exactly(page, "Save").click();
        assertThat(page.getByText("under the stairs").first()).isVisible();
        assertThat(pump).containsText("40 h");
        assertThat(pump).not().containsText("not tested");
        when(page, "From", "18:00");
        assertThat(page.getByText("battery pump: lasts")).isVisible();
        Download dates = page.waitForDownload(
                () -> page.getByText("Export to a calendar (iCalendar file)").click());
        assertThat(dates.suggestedFilename()).isEqualTo("due.ics");
        button(page, "Create a calendar address").click();
        String address =
                page.getByLabel("Subscribe to this address in your calendar").inputValue();
        APIResponse read = page.request().get(address);
        assertThat(read.text()).startsWith("BEGIN:VCALENDAR");
        button(page, "Revoke").click();
        assertThat(page.getByText("This address no longer works.").first()).isVisible();
        assertThat(page.request().get(address).status()).isEqualTo(404);
    }

    /** The card works from a file, without server and network; its log is brought in twice and counts once. */
    @Test
    void theCardWorksAlone(@TempDir Path dir) {
        Page page = visitor(DESKTOP);
        newKeeperWithTank(page);
        page.navigate(page.url().replaceAll("/add-to-log.*", "/readiness"));
        Download saved =
                page.waitForDownload(() -> page.getByText("Save the card").click());
        Path file = dir.resolve("card.html");
        saved.saveAs(file);

        Page card = visitor(PHONE);
        card.context().setOffline(true);
        card.navigate(file.toUri().toString());
        card.getByText("Power is out: start the clock").click();
        assertThat(card.getByText("Watch the animals").first()).isVisible();
        card.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Done"))
                .first()
                .click();
        card.getByText("Animals gasp", new Page.GetByTextOptions().setExact(true))
                .click();
        assertThat(card.getByText("Aerate at once. Pour")).isVisible();
        card.reload();
        assertThat(card.getByText("Aerate at once. Pour")).isVisible();
        card.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Power is back"))
                .click();
        assertThat(card.getByText("Return pump and circulation first").first()).isVisible();
        Download log = card.waitForDownload(() -> button(card, "Save the log").click());
        Path notes = dir.resolve("log.json");
        log.saveAs(notes);

        for (int i = 0; i < 2; i++) {
            page.navigate(page.url().replaceAll("/[a-z]+$", "/outage"));
            page.evaluate("localStorage.clear()");
            page.reload();
            fileInput(page).setInputFiles(notes);
            assertThat(page.getByText("The power was out for")).isVisible();
            assertThat(page.getByText("2 notes:")).isVisible();
        }
        page.getByText("All of the restart").click();
        assertThat(page.locator("body")).not().containsText("4 notes");
    }

    @Test
    void aTransportIsComputed() {
        Page page = demo(visitor(PHONE), "Heron", "Transport");
        assertThat(page.getByText("Within limits", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        choose(page.getByLabel("Aerated on the way"), "no");
        assertThat(page.getByText("after that, oxygen may fall below 5 mg/L")).isVisible();
        assertThat(page.getByText("On arrival", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.getByText("Wash quarantine gear before it goes back into the display."))
                .isVisible();
    }
}
