package jollytide.server.dosing;

import jakarta.validation.Valid;
import java.util.UUID;
import jollytide.core.dosingline.MixingCard;
import jollytide.server.account.SignedIn;
import jollytide.server.dosing.DosingViews.DosingView;
import jollytide.server.dosing.DosingViews.NewGuard;
import jollytide.server.dosing.DosingViews.NewLine;
import jollytide.server.dosing.DosingViews.NewLineNote;
import jollytide.server.dosing.DosingViews.NewPlace;
import jollytide.server.dosing.DosingViews.NewPlan;
import jollytide.server.dosing.DosingViews.NewTimes;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Lines that dose a tank, and their reservoirs. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/dosing")
class DosingController {
    private final DosingService doses;

    DosingController(DosingService doses) {
        this.doses = doses;
    }

    /** What was made. */
    record Made(UUID id) {}

    @GetMapping
    DosingView list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return doses.list(who.keeperId(), tankId);
    }

    /** Refused, with what is allowed at most, where a rule stops its plan. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    Made add(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewLine body) {
        return new Made(doses.add(who.keeperId(), tankId, body));
    }

    /** Another amount a day from then on; refused as a new line's is. */
    @PostMapping("/{id}/plans")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void plan(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewPlan body) {
        doses.plan(who.keeperId(), tankId, id, body);
    }

    /** At other times of the day; refused as a new line's are. */
    @PutMapping("/{id}/times")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void times(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewTimes body) {
        doses.times(who.keeperId(), tankId, id, body);
    }

    /** Where its hose ends; refused as a new line's is. */
    @PutMapping("/{id}/place")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void place(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewPlace body) {
        doses.place(who.keeperId(), tankId, id, body);
    }

    /** What prevents a siphon, and what stops a stuck pump. */
    @PutMapping("/{id}/guard")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void guard(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewGuard body) {
        doses.guard(who.keeperId(), tankId, id, body);
    }

    /** How its vessel is filled: what is weighed out, each step with its caution, the label. */
    @GetMapping("/{id}/card")
    MixingCard card(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable Double ml,
            @RequestParam(required = false) @Nullable Double assay) {
        return doses.card(who.keeperId(), tankId, id, ml, assay);
    }

    /** After an outage: the return runs, and somebody saw that. Refused before it has run for half an hour. */
    @PostMapping("/go-on")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void goOn(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        doses.goOn(who.keeperId(), tankId);
    }

    /** A level, a filling, bubbles, or something that was changed. */
    @PostMapping("/{id}/notes")
    @ResponseStatus(HttpStatus.CREATED)
    Made note(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewLineNote body) {
        return new Made(doses.note(who.keeperId(), tankId, id, body));
    }

    @DeleteMapping("/{id}/notes/{noteId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @PathVariable UUID noteId) {
        doses.forget(who.keeperId(), tankId, id, noteId);
    }

    /** Nothing is dosed by it any more. */
    @PostMapping("/{id}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        doses.end(who.keeperId(), tankId, id);
    }

    /** Takes an end back. */
    @DeleteMapping("/{id}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void reopen(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        doses.reopen(who.keeperId(), tankId, id);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        doses.delete(who.keeperId(), tankId, id);
    }

    /** Takes a deletion back. */
    @PostMapping("/{id}/remembered")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remember(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        doses.remember(who.keeperId(), tankId, id);
    }
}
