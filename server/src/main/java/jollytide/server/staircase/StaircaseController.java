package jollytide.server.staircase;

import java.time.Instant;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.staircase.StaircaseService.MomentName;
import jollytide.server.staircase.StaircaseService.StaircaseView;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where the CO2 comes from. */
@RestController
class StaircaseController {
    private final StaircaseService staircases;

    StaircaseController(StaircaseService staircases) {
        this.staircases = staircases;
    }

    /**
     * The staircase of a tank.
     *
     * @param moment which moment of the day; by default the one that tells most
     * @param at at the last pH reading up to this instant, in place of a moment
     */
    @GetMapping("/api/v1/tanks/{tankId}/staircase")
    StaircaseView staircase(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) MomentName moment,
            @RequestParam(required = false) Instant at) {
        return staircases.staircase(who.keeperId(), tankId, moment, at);
    }
}
