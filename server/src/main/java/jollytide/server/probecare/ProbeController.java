package jollytide.server.probecare;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.probecare.ProbeService.Balance;
import jollytide.server.probecare.ProbeService.Glass;
import jollytide.server.probecare.ProbeService.Looked;
import jollytide.server.probecare.ProbeService.ProbeView;
import org.jspecify.annotations.Nullable;
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

/** A tank's pH probe. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/probe")
class ProbeController {
    private final ProbeService probe;

    ProbeController(ProbeService probe) {
        this.probe = probe;
    }

    record GlassRequest(
            @NotNull @DecimalMin("5") @DecimalMax("11") Double shownPh,
            @NotNull @DecimalMin("5") @DecimalMax("40") Double glassC,
            @Nullable @DecimalMin("250") @DecimalMax("5000") Double airPpm) {}

    @GetMapping
    ProbeView probe(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return probe.probe(who.keeperId(), tankId);
    }

    /** What a calibration says and what it would move; nothing is kept. */
    @PostMapping("/look")
    Looked look(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewCalibration body) {
        return probe.look(who.keeperId(), tankId, body);
    }

    @PostMapping("/calibrations")
    @ResponseStatus(HttpStatus.CREATED)
    Looked keep(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewCalibration body) {
        return probe.keep(who.keeperId(), tankId, body);
    }

    @DeleteMapping("/calibrations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        probe.delete(who.keeperId(), tankId, id);
    }

    /** What a glass of tank water full of outdoor air should show; nothing is kept. */
    @PostMapping("/air")
    Balance balance(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody GlassRequest body) {
        return probe.balance(who.keeperId(), tankId, new Glass(body.shownPh(), body.glassC(), body.airPpm()));
    }
}
