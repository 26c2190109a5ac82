package jollytide.server.tank;

import java.util.List;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.tank.Removed.RemovedThing;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What was removed within the last day. */
@RestController
@RequestMapping("/api/v1/removed")
class RemovedController {
    private final Removed removed;

    RemovedController(Removed removed) {
        this.removed = removed;
    }

    @GetMapping
    List<RemovedThing> list(@AuthenticationPrincipal SignedIn who) {
        return removed.of(who.keeperId());
    }

    /** It comes back as it was, with all that was in it. */
    @PostMapping("/{id}/undo")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undo(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        removed.undo(who.keeperId(), id);
    }
}
