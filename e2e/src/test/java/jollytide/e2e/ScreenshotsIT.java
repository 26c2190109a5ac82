package jollytide.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes the pictures of docs/screenshots anew: {@code ./test -Dscreenshots=true -Dit.test=ScreenshotsIT}. */
@EnabledIfSystemProperty(named = "screenshots", matches = "true")
class ScreenshotsIT extends BrowserTest {
    private static final Path DIR = Path.of("../docs/screenshots");

    @Test
    void takeThem() {
        Page house = visitor(DESKTOP);
        house.request().post("/api/v1/session/demo");
        house.navigate("/house");
        house.getByText("without power, with kit").nth(2).waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        house.getByText(Pattern.compile("need you today")).waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        take("house", house);
        Page today = demo(visitor(DESKTOP), "Lantern Reef", "Today");
        today.getByText("mg/L expected").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        today.getByText("on the daily low").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        take("today", today);
        take("today-phone", demo(visitor(PHONE), "Lantern Reef", "Today"));
        take("history", demo(visitor(DESKTOP), "Lantern Reef", "History"));
        Page bring = demo(visitor(DESKTOP), "Heron", "Add to log");
        bring.navigate(bring.url().replaceAll("/add-to-log.*", "/bring"));
        fileInput(bring).setInputFiles(Path.of("../core/src/test/resources/loggers/old-desktop.csv"));
        bring.getByText("Preview").waitFor();
        take("bring", bring);
        take("staircase", demo(visitor(DESKTOP), "Lantern Reef", "Staircase"));
        Page bench = demo(visitor(DESKTOP), "Lantern Reef", "Bench");
        bench.getByLabel("Outdoor air hose to the skimmer").check();
        bench.getByText("removes the source").waitFor();
        take("bench", bench);
        Page balance = demo(visitor(DESKTOP), "Lantern Reef", "Gas balance");
        balance.getByText("Does the skimmer need more air")
                .first()
                .waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        take("gas-balance", balance);
        Page twin = demo(visitor(DESKTOP), "Lantern Reef", "Twin");
        twin.getByText("Measure next").waitFor();
        take("twin", twin);
        Page suspects = demo(visitor(DESKTOP), "Lantern Reef", "Suspects");
        suspects.navigate(suspects.url().replaceAll("/suspects.*", "/suspects?since=" + crusted()));
        suspects.getByText("Parts your tank doesn’t have").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        suspects.getByText("The skimmer is clogged, worn or overflowing")
                .first()
                .click();
        take("suspects", suspects);
        Page effects = demo(visitor(DESKTOP), "Lantern Reef", "Effects");
        effects.getByText("Every change, newest first").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        effects.getByText(Pattern.compile("^Comparing \\d"))
                .waitFor(new Locator.WaitForOptions()
                        .setState(WaitForSelectorState.HIDDEN)
                        .setTimeout(180_000));
        take("effects", effects);
        take("oxygen-margin", demo(visitor(DESKTOP), "Lantern Reef", "Oxygen margin"));
        Page readiness = demo(visitor(DESKTOP), "Lantern Reef", "Readiness");
        readiness.getByText("If the power fails tonight").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        take("readiness", readiness);
        take("dosing", demo(visitor(DESKTOP), "Lantern Reef", "Dosing"));
        take("upkeep", demo(visitor(DESKTOP), "Lantern Reef", "Upkeep"));
        Page schedule = demo(visitor(DESKTOP), "Lantern Reef", "Schedule");
        button(schedule, "Use this template").click();
        schedule.getByText("Dashed: the saved schedule.").waitFor();
        schedule.getByLabel("Another time").fill("19:37:12");
        // Without the notice that it was put in.
        schedule.waitForTimeout(13_000);
        schedule.evaluate("window.scrollTo(0, 0)");
        take("schedule", schedule);
        take("transport-phone", demo(visitor(PHONE), "Heron", "Transport"));
        Page outage = demo(visitor(PHONE), "Heron", "Outage");
        button(outage, "Power is out").click();
        outage.getByText("Watch the animals").first().waitFor();
        take("outage-phone", outage);
        button(outage, "Power is back").click();
        Page welcome = visitor(DESKTOP);
        welcome.navigate("/welcome");
        take("welcome", welcome);
    }

    /** A day on which the demo's venturi had crusted over, 76 days before its log's end. */
    private static LocalDate crusted() {
        return LocalDate.now(ZoneId.of("Europe/Amsterdam")).minusDays(76);
    }

    private static void take(String name, Page page) {
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.waitForTimeout(800);
        page.screenshot(new Page.ScreenshotOptions().setPath(DIR.resolve(name + ".png")));
    }
}
