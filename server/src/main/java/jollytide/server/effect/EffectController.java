package jollytide.server.effect;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import jollytide.core.unnoted.Cause;
import jollytide.server.account.SignedIn;
import jollytide.server.effect.AbsenceViews.AbsencesView;
import jollytide.server.effect.DriftViews.DriftsView;
import jollytide.server.effect.EffectViews.EffectCard;
import jollytide.server.effect.EffectViews.EffectsView;
import jollytide.server.effect.UnnotedViews.UnnotedView;
import jollytide.server.problem.KnownDay;
import jollytide.server.setup.Computes;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Did it help? */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/effects")
class EffectController {
    private final EffectService effects;
    private final UnnotedService unnoted;
    private final DriftService drifts;
    private final AbsenceService absences;

    EffectController(EffectService effects, UnnotedService unnoted, DriftService drifts, AbsenceService absences) {
        this.effects = effects;
        this.unnoted = unnoted;
        this.drifts = drifts;
        this.absences = absences;
    }

    /** A card for each change; those that are not made yet are without what was found. */
    @GetMapping
    EffectsView all(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return effects.all(who.keeperId(), tankId);
    }

    /** One of them, made if it is not yet: a few seconds. */
    @Computes
    @GetMapping("/{at}")
    EffectCard one(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable Instant at) {
        return effects.one(who.keeperId(), tankId, at);
    }

    /** Any days beside any later ones, both ends of each included: a few seconds. */
    @Computes
    @GetMapping("/between")
    EffectCard between(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam LocalDate from,
            @RequestParam LocalDate until,
            @RequestParam LocalDate after,
            @RequestParam LocalDate end) {
        return effects.between(
                who.keeperId(),
                tankId,
                KnownDay.of("from", from),
                KnownDay.of("until", until),
                KnownDay.of("after", after),
                KnownDay.of("end", end));
    }

    /** How pH and the room moved whenever nobody was home, and once somebody was again. */
    @GetMapping("/absences")
    AbsencesView absences(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return absences.absences(who.keeperId(), tankId);
    }

    /** Changes that nobody noted; searches one stretch of the log that is not searched yet: some seconds. */
    @Computes
    @GetMapping("/unnoted")
    UnnotedView unnoted(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return unnoted.searched(who.keeperId(), tankId);
    }

    /** Stretches in which the room or alkalinity rose or fell: what meters and tests show of themselves. */
    @Computes
    @GetMapping("/drifts")
    DriftsView drifts(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return drifts.drifts(who.keeperId(), tankId);
    }

    /** Says that one of them was nothing. */
    @PutMapping("/unnoted/{from}/{cause}/dismissal")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void dismiss(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable LocalDate from,
            @PathVariable Cause cause) {
        unnoted.dismiss(who.keeperId(), tankId, KnownDay.of("from", from), cause);
    }

    /** Takes that back. */
    @DeleteMapping("/unnoted/{from}/{cause}/dismissal")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable LocalDate from,
            @PathVariable Cause cause) {
        unnoted.takeBack(who.keeperId(), tankId, KnownDay.of("from", from), cause);
    }
}
