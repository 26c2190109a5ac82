package jollytide.server.dosing;

import jakarta.validation.Valid;
import java.util.UUID;
import jollytide.core.dosingline.LineRules;
import jollytide.server.account.SignedIn;
import jollytide.server.dosing.ByHandService.Amount;
import jollytide.server.dosing.ByHandService.ByHandView;
import jollytide.server.dosing.ByHandService.ChangeSum;
import jollytide.server.dosing.ByHandService.NewAddition;
import jollytide.server.dosing.ByHandService.NewTopOff;
import jollytide.server.dosing.ByHandService.NewWaterChange;
import jollytide.server.dosing.ByHandService.Water;
import jollytide.server.dosing.DosingController.Made;
import jollytide.server.setup.Computes;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Single additions and water changes. */
@Computes
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/by-hand")
class ByHandController {
    private final ByHandService byHand;

    ByHandController(ByHandService byHand) {
        this.byHand = byHand;
    }

    @GetMapping
    ByHandView list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return byHand.list(who.keeperId(), tankId);
    }

    @PostMapping("/additions")
    @ResponseStatus(HttpStatus.CREATED)
    Made add(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewAddition body) {
        return new Made(byHand.add(who.keeperId(), tankId, body));
    }

    /** What it would do, and into which portions it is parted; nothing is kept. */
    @PostMapping("/additions/preview")
    LineRules.Parted sum(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody Amount body) {
        return byHand.sum(who.keeperId(), tankId, body);
    }

    @PostMapping("/water-changes")
    @ResponseStatus(HttpStatus.CREATED)
    Made change(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewWaterChange body) {
        return new Made(byHand.change(who.keeperId(), tankId, body));
    }

    @PostMapping("/top-offs")
    @ResponseStatus(HttpStatus.CREATED)
    Made topOff(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewTopOff body) {
        return new Made(byHand.topOff(who.keeperId(), tankId, body));
    }

    @PostMapping("/water-changes/preview")
    ChangeSum sum(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody Water body) {
        return byHand.sum(who.keeperId(), tankId, body);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forget(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        byHand.forget(who.keeperId(), tankId, id);
    }
}
