package jollytide.server.forecast;

import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.forecast.ForecastService.ScoreView;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How a twin's forecasts did. */
@RestController
class ForecastController {
    private final ForecastService forecasts;

    ForecastController(ForecastService forecasts) {
        this.forecasts = forecasts;
    }

    /** Each day of the last thirty as it was forecast at its beginning, and as it came. */
    @GetMapping("/api/v1/tanks/{tankId}/forecasts")
    ScoreView score(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return forecasts.score(who.keeperId(), tankId);
    }
}
