package jollytide.server.upkeep;

import jakarta.validation.Valid;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.upkeep.UpkeepViews.ChoreEdit;
import jollytide.server.upkeep.UpkeepViews.Later;
import jollytide.server.upkeep.UpkeepViews.NewChore;
import jollytide.server.upkeep.UpkeepViews.NewTick;
import jollytide.server.upkeep.UpkeepViews.UpkeepView;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What is looked after on a tank. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/upkeep")
class UpkeepController {
    private final UpkeepService upkeep;

    UpkeepController(UpkeepService upkeep) {
        this.upkeep = upkeep;
    }

    /** What was begun or ticked off. */
    record Kept(UUID id) {}

    @GetMapping
    UpkeepView list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return upkeep.list(who.keeperId(), tankId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Kept add(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewChore body) {
        return new Kept(upkeep.add(who.keeperId(), tankId, body));
    }

    /** Another name, or as often as its keeper wants. */
    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void edit(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody ChoreEdit body) {
        upkeep.edit(who.keeperId(), tankId, id, body);
    }

    /** It was done: the next time is counted from then. */
    @PostMapping("/{id}/done")
    @ResponseStatus(HttpStatus.CREATED)
    Kept done(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewTick body) {
        return new Kept(upkeep.done(who.keeperId(), tankId, id, body));
    }

    /** Undo of that. */
    @DeleteMapping("/{id}/done/{doneId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undo(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @PathVariable UUID doneId) {
        upkeep.undo(who.keeperId(), tankId, id, doneId);
    }

    /** Not today. */
    @PutMapping("/{id}/later")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void later(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody Later body) {
        upkeep.later(who.keeperId(), tankId, id, body);
    }

    /** It is not looked after any more; what was done stays. */
    @PostMapping("/{id}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        upkeep.end(who.keeperId(), tankId, id);
    }

    /** Undo of an end. */
    @DeleteMapping("/{id}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void goOn(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        upkeep.goOn(who.keeperId(), tankId, id);
    }
}
