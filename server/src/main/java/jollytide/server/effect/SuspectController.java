package jollytide.server.effect;

import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.UUID;
import jollytide.core.suspects.Check;
import jollytide.server.account.SignedIn;
import jollytide.server.effect.SuspectViews.CheckAnswer;
import jollytide.server.effect.SuspectViews.SuspectsView;
import jollytide.server.problem.KnownDay;
import jollytide.server.setup.Computes;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Why is it low? */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/suspects")
class SuspectController {
    private final SuspectService suspects;

    SuspectController(SuspectService suspects) {
        this.suspects = suspects;
    }

    /** Who is to blame; the first time on a day some seconds. */
    @Computes
    @GetMapping
    SuspectsView suspects(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @Nullable LocalDate since) {
        return suspects.suspects(who.keeperId(), tankId, since == null ? null : KnownDay.of("since", since));
    }

    /** Says what was found at a check, now. */
    @PutMapping("/checks/{check}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void check(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable Check check,
            @Valid @RequestBody CheckAnswer given) {
        suspects.check(who.keeperId(), tankId, check, given.answer());
    }

    /** Takes that back. */
    @DeleteMapping("/checks/{check}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void uncheck(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable Check check) {
        suspects.uncheck(who.keeperId(), tankId, check);
    }
}
