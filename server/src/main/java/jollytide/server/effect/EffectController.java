package jollytide.server.effect;

import java.time.Instant;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.effect.EffectViews.EffectCard;
import jollytide.server.effect.EffectViews.EffectsView;
import jollytide.server.setup.Computes;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Did it help? */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/effects")
class EffectController {
    private final EffectService effects;

    EffectController(EffectService effects) {
        this.effects = effects;
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
}
