package jollytide.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** axe finds nothing, by day and night, wide and narrow; nothing is wider than its window. */
class AccessibilityIT extends BrowserTest {
    private static final Path AXE = Path.of("../web/node_modules/axe-core/axe.min.js");
    private static final Path LOGGER = Path.of("../core/src/test/resources/loggers/old-desktop.csv");

    @ParameterizedTest(name = "{0}, {1}, {2}")
    @CsvSource({
        "house, desktop, day",
        "house, phone, night",
        "staircase, desktop, day",
        "staircase, phone, night",
        "today, desktop, day",
        "today, phone, night",
        "history, desktop, day",
        "history, phone, night",
        "bench, desktop, night",
        "bench, phone, day",
        "gas-balance, desktop, day",
        "gas-balance, phone, night",
        "twin, desktop, night",
        "twin, phone, day",
        "oxygen-margin, desktop, night",
        "oxygen-margin, phone, day",
        "media, phone, day",
        "dosing, desktop, day",
        "dosing, phone, night",
        "upkeep, desktop, day",
        "upkeep, phone, night",
        "upkeep done, phone, day",
        "schedule, desktop, night",
        "schedule, phone, day",
        "rule of a lane, phone, night",
        "supplies, desktop, night",
        "supplies, phone, day",
        "new line, desktop, night",
        "mixing card, desktop, day",
        "mixing card, phone, night",
        "day of a line, phone, day",
        "share sheet, phone, night",
        "compared days, desktop, day",
        "readiness, desktop, day",
        "readiness, phone, night",
        "outage, phone, day",
        "transport, phone, night",
        "handbook, phone, night",
        "bring, desktop, day",
        "questions, phone, night",
        "add-to-log, desktop, night",
        "add-to-log, phone, day",
        "calculators, desktop, day",
        "calculators, phone, night",
        "description, desktop, day",
        "description, phone, night",
        "settings, desktop, night",
        "settings, phone, day",
        "settings?part=homes, desktop, day",
        "settings?part=access, phone, night",
        "begin, phone, day",
        "welcome, desktop, day",
        "parts, desktop, day",
        "parts, phone, night",
        "effects, desktop, night",
        "effects, phone, day",
        "suspects, desktop, day",
        "suspects, phone, night",
        "experiment, desktop, day",
        "experiment, phone, night",
        "probe, desktop, day",
        "probe, phone, night",
        "probe sheet, desktop, day",
        "working sheet, phone, night"
    })
    void axeFindsNothing(String screen, String window, String theme) throws IOException {
        Page page = visitor(window.equals("phone") ? PHONE : DESKTOP);
        page.addInitScript("localStorage.setItem('theme', '" + theme + "')");
        switch (screen) {
            case "welcome", "parts" -> page.navigate("/" + screen);
            case "begin", "settings", "settings?part=homes", "settings?part=access", "house" -> {
                page.request().post("/api/v1/session/demo");
                page.navigate("/" + screen);
            }
            default -> {
                page.request().post("/api/v1/session/demo");
                String tank = "/tank/" + tankOf(page, "Lantern Reef") + "/";
                switch (screen) {
                    case "probe sheet" -> {
                        page.navigate(tank + "staircase");
                        button(page, "Check the probe").click();
                    }
                    case "working sheet" -> {
                        page.navigate(tank + "staircase");
                        button(page, "Show the working").click();
                    }
                    case "share sheet" -> {
                        page.navigate(tank + "today");
                        button(page, "share").click();
                    }
                    case "upkeep done" -> {
                        page.navigate(tank + "upkeep");
                        button(page, "Done").first().click();
                        button(page, "How").first().click();
                    }
                    case "rule of a lane" -> {
                        page.navigate(tank + "schedule");
                        button(page, "add a rule for skimmer").click();
                        choose(page.getByLabel("When"), "GATE");
                    }
                    case "new line" -> {
                        page.navigate(tank + "dosing");
                        button(page, "Add a dosing line").click();
                    }
                    case "mixing card" -> {
                        page.navigate(tank + "dosing");
                        page.getByText("Mixing card and label").click();
                        page.getByText("level teaspoons").waitFor();
                    }
                    case "day of a line" -> {
                        page.navigate(tank + "dosing");
                        button(page, "Show the effect on the day").click();
                        page.getByText("Dashed: the low if all dosing stops").waitFor();
                    }
                    case "compared days" -> {
                        page.navigate(tank + "history");
                        button(page, "Compare days").click();
                    }
                    case "questions" -> {
                        page.navigate(tank + "bring");
                        fileInput(page).setInputFiles(LOGGER);
                        page.getByText("Preview").waitFor();
                    }
                    case "effects" -> page.navigate(tank + "effects?at=" + awaySince(page, tank));
                    default -> page.navigate(tank + screen);
                }
            }
        }
        if (screen.equals("twin")) {
            page.getByText("Measure next").waitFor();
        }
        if (screen.equals("suspects")) {
            page.getByText("Parts your tank doesn’t have").waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        }
        if (screen.equals("bench")) {
            page.getByText("What this model is based on").waitFor();
        }
        if (screen.equals("effects")) {
            // Its cards are made one after the other.
            page.getByText("Room and water readings explain all of the change.")
                    .waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        } else if (screen.equals("house")) {
            // Its rows are computed one after the other.
            page.getByText("without power, with kit").nth(2).waitFor(new Locator.WaitForOptions().setTimeout(90_000));
        } else {
            page.waitForLoadState(LoadState.NETWORKIDLE);
        }
        page.getByRole(AriaRole.HEADING).first().waitFor();
        assertThat(violations(page)).isEmpty();
        assertThat(page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth"))
                .isEqualTo(0);
    }

    /** When the demo's people went away for nine days. */
    private static String awaySince(Page page, String tank) {
        Matcher away = Pattern.compile("\"at\":\"([^\"]+)\",\"what\":\"BEGAN\",\"title\":\"away for nine days\"")
                .matcher(page.request()
                        .get("/api/v1" + tank.replace("/tank/", "/tanks/") + "effects")
                        .text());
        assertThat(away.find()).isTrue();
        return away.group(1);
    }

    private static String tankOf(Page page, String name) {
        Matcher tank = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"(?:(?!\"id\":).)*\"name\":\"" + name + "\"")
                .matcher(page.request().get("/api/v1/tanks").text());
        assertThat(tank.find()).isTrue();
        return tank.group(1);
    }

    private static List<String> violations(Page page) throws IOException {
        // By evaluate, not as a script element: the page's policy forbids scripts that are not its own.
        page.evaluate(Files.readString(AXE));
        @SuppressWarnings("unchecked")
        Map<String, List<Map<String, Object>>> result =
                (Map<String, List<Map<String, Object>>>) page.evaluate("axe.run(document)");
        return result.get("violations").stream()
                .map(v -> v.get("id") + ": " + v.get("nodes").toString().replaceAll("(?s)^(.{0,600}).*", "$1"))
                .toList();
    }
}
