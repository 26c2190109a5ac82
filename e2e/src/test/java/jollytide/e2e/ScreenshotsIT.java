package jollytide.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes the pictures of docs/screenshots anew: {@code ./test -Dscreenshots=true -Dit.test=ScreenshotsIT}. */
@EnabledIfSystemProperty(named = "screenshots", matches = "true")
class ScreenshotsIT extends BrowserTest {
    private static final Path DIR = Path.of("../docs/screenshots");

    @Test
    void takeThem() {
        take("staircase", demo(visitor(DESKTOP), "Lantern Reef", "Reason"));
        take("staircase-phone", demo(visitor(PHONE), "Lantern Reef", "Reason"));
        take("enter", demo(visitor(DESKTOP), "Lantern Reef", "Read"));
        take("enter-phone", demo(visitor(PHONE), "Lantern Reef", "Read"));
        take("sums", demo(visitor(DESKTOP), "Lantern Reef", "Try"));
        Page description = demo(visitor(DESKTOP), "Lantern Reef", "Reason");
        description.navigate(description.url().replaceAll("/staircase.*", "/description"));
        take("description", description);
        Page welcome = visitor(DESKTOP);
        welcome.navigate("/welcome");
        take("welcome", welcome);
        Page night = demo(visitor(DESKTOP), "Room 6", "Reason");
        night.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("before lights-off"))
                .click();
        night.keyboard().press("n");
        take("staircase-night", night);
    }

    private static void take(String name, Page page) {
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.waitForTimeout(800);
        page.screenshot(new Page.ScreenshotOptions().setPath(DIR.resolve(name + ".png")));
    }
}
