package jollytide.server.twin;

import java.time.LocalDate;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.setup.Computes;
import jollytide.server.twin.TwinService.TwinView;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the twin knows of a tank. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/twin")
class TwinController {
    private final TwinService twin;

    TwinController(TwinService twin) {
        this.twin = twin;
    }

    /** Each unknown before and after the log, what is left over, what fits as well; now or at the end of a day. */
    @Computes
    @GetMapping
    TwinView twin(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @Nullable LocalDate day) {
        return twin.twin(who.keeperId(), tankId, day);
    }
}
