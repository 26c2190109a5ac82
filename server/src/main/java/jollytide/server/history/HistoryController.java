package jollytide.server.history;

import java.time.Instant;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.history.HistoryService.HistoryView;
import jollytide.server.history.HistoryService.LogSpan;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A tank's log over any stretch of time. */
@RestController
class HistoryController {
    private final HistoryService history;

    HistoryController(HistoryService history) {
        this.history = history;
    }

    /** How far the log reaches. */
    @GetMapping("/api/v1/tanks/{tankId}/history/span")
    LogSpan span(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return history.span(who.keeperId(), tankId);
    }

    /**
     * As many points as can be told apart, with every extreme kept. Helpers read what happened, but neither the keeper's
     * notes of it nor who was home when.
     *
     * @param from by default the beginning of the log
     * @param to by default its end
     * @param width of the drawing in pixels, 50 to 4000
     */
    @GetMapping("/api/v1/tanks/{tankId}/history")
    HistoryView history(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @Nullable Instant from,
            @RequestParam(required = false) @Nullable Instant to,
            @RequestParam(defaultValue = "1000") int width) {
        HistoryView all = history.history(who.keeperId(), tankId, from, to, width);
        return who.guest() == null ? all : all.forHelpers();
    }
}
