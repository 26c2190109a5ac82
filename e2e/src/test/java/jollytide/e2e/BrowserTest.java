package jollytide.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;

/** Headless Chromium on the running application. Errors in the browser's console fail the test. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
abstract class BrowserTest {
    static final int[] DESKTOP = {1280, 800};
    static final int[] PHONE = {390, 844};
    private static final double PATIENCE_MS = 30_000;
    private static final List<String> REFUSALS = List.of(
            "status of 4",
            // A server that still computes for an earlier test says that it is busy, and the page asks again.
            "status of 503",
            "ERR_INTERNET_DISCONNECTED",
            "ERR_CONNECTION_REFUSED",
            "ERR_CONNECTION_RESET",
            "ERR_SOCKET_NOT_CONNECTED",
            "ERR_EMPTY_RESPONSE",
            "net::ERR_FAILED");

    private Playwright playwright;
    private Browser browser;
    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> complaints = new ArrayList<>();

    @BeforeAll
    void launch() {
        // A first answer of a young server, on a machine that is shared, takes longer than the five seconds of the
        // library.
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS / 2);
        playwright = Playwright.create();
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--no-first-run",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync")));
    }

    @AfterAll
    void close() {
        playwright.close();
    }

    @AfterEach
    void leaveNothingBehind() {
        contexts.forEach(BrowserContext::close);
        contexts.clear();
        List<String> said = List.copyOf(complaints);
        complaints.clear();
        assertThat(said).as("complaints in the browser's console").isEmpty();
    }

    /** A new visitor with a window of this size. */
    Page visitor(int[] size) {
        BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(size[0], size[1])
                .setLocale("en-GB")
                .setTimezoneId("Europe/Amsterdam")
                .setBaseURL(RunningApp.address()));
        contexts.add(context);
        context.setDefaultTimeout(PATIENCE_MS);
        return watched(context.newPage());
    }

    /** A further tab of the same visitor. */
    Page secondTab(Page first) {
        return watched(first.context().newPage());
    }

    private Page watched(Page page) {
        page.onConsoleMessage(message -> {
            // The browser reports every refused request; those that a test provokes are answers, not faults.
            boolean refusal = REFUSALS.stream().anyMatch(message.text()::contains);
            if (message.type().equals("error") && !refusal) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
        return page;
    }

    private static final Map<String, String> PLACES = Map.ofEntries(
            Map.entry("Staircase", "Reason"),
            Map.entry("Suspects", "Reason"),
            Map.entry("Effects", "Reason"),
            Map.entry("Gas balance", "Reason"),
            Map.entry("Twin", "Reason"),
            Map.entry("Experiment", "Reason"),
            Map.entry("Bench", "Try"),
            Map.entry("Calculators", "Try"),
            Map.entry("Schedule", "Do"),
            Map.entry("Dosing", "Do"),
            Map.entry("Upkeep", "Do"),
            Map.entry("Supplies", "Do"),
            Map.entry("Media", "Do"),
            Map.entry("Readiness", "Guard"),
            Map.entry("Outage", "Guard"),
            Map.entry("Oxygen margin", "Guard"),
            Map.entry("Transport", "Guard"),
            Map.entry("Handbook", "Learn"));

    /** Through the demo's door to a tank's screen. */
    static Page demo(Page page, String tank, String screen) {
        page.request().post("/api/v1/session/demo");
        page.navigate("/");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(tank).setExact(true))
                .click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Where the CO2 comes from"))
                .waitFor();
        if (page.viewportSize().width == DESKTOP[0]) {
            // Only the place that is open shows its screens; the demo opens in Read.
            String place = PLACES.getOrDefault(screen, "Read");
            if (!place.equals("Read")) {
                page.getByRole(
                                AriaRole.LINK,
                                new Page.GetByRoleOptions().setName(place).setExact(true))
                        .click();
            }
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName(screen).setExact(true))
                    .click();
        } else {
            page.navigate(page.url()
                    .replaceAll(
                            "/[a-z-]+$", "/" + screen.toLowerCase(Locale.ROOT).replace(' ', '-')));
        }
        return page;
    }

    /** Makes an account and describes one tank, by hand. */
    static void newKeeperWithTank(Page page) {
        page.navigate("/");
        Locator switcher = button(page, "Create an account");
        button(page, "Explore the demo").waitFor();
        if (switcher.isVisible()) {
            switcher.click();
        }
        page.getByLabel("Your name")
                .fill("Keeper " + UUID.randomUUID().toString().substring(0, 8));
        page.getByLabel("Password").fill("tide pool 42");
        button(page, "Create account").click();
        page.getByLabel("Name of the tank").fill("Rock pool");
        page.getByLabel("Net water").fill("420");
        page.getByLabel("Area").fill("0,9");
        page.getByLabel("Air the skimmer draws").fill("500");
        button(page, "Save this tank").click();
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Add what you measured"))
                .waitFor();
    }

    static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    static Locator button(Locator within, String name) {
        return within.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
    }

    /** The button of this name among others whose names begin so. */
    static Locator exactly(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Where a logger's file is chosen; the button in front of it opens the system's own dialog. */
    static Locator fileInput(Page page) {
        return page.locator("input[type=file]");
    }

    static Locator field(Page page, String label) {
        return page.getByRole(
                AriaRole.TEXTBOX, new Page.GetByRoleOptions().setName(label).setExact(true));
    }

    static void enter(Page page, String quantity, String value) {
        field(page, quantity).fill(value);
    }

    /** Chooses from a list by the value that the option stands for. */
    static void choose(Locator list, String value) {
        list.click();
        list.page().locator("[role=option][data-value='" + value + "']").click();
    }

    static void when(Page page, String label, String iso) {
        when(page.locator("body"), label, iso);
    }

    /** Types a day, a time or both, as digits and part by part: "2025-10-01", "08:00", "2025-10-01T08:00". */
    static void when(Locator within, String label, String iso) {
        within.getByRole(
                        AriaRole.GROUP,
                        new Locator.GetByRoleOptions().setName(label).setExact(true))
                .getByRole(AriaRole.SPINBUTTON)
                .first()
                .click();
        within.page().keyboard().type(iso.replaceAll("\\D", ""));
    }
}
