package jollytide.server.experiment;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import jollytide.core.fit.Experiment;
import jollytide.server.account.SignedIn;
import jollytide.server.experiment.ExperimentViews.AllView;
import jollytide.server.experiment.ExperimentViews.ChosenView;
import jollytide.server.setup.Computes;
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

/** The experiment that would tell more, made. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/experiments")
class ExperimentController {
    private final ExperimentService experiments;

    ExperimentController(ExperimentService experiments) {
        this.experiments = experiments;
    }

    /** @param current null when nothing is planned and nothing goes on */
    record CurrentExperiment(@Nullable ChosenView current) {}

    record NewExperiment(@NotNull Experiment experiment) {}

    /** @param at with an offset, or without one in the home's zone; null for now */
    record Begun(@Nullable @Size(max = 40) String at) {}

    /** @param at as when it was begun */
    record Over(
            @Nullable @Size(max = 40) String at, @NotNull Ended ended) {}

    /** What is planned or goes on, and what those that are over showed. */
    @Computes
    @GetMapping
    AllView all(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return experiments.all(who.keeperId(), tankId);
    }

    /** For every screen. */
    @GetMapping("/current")
    CurrentExperiment current(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return new CurrentExperiment(experiments.current(who.keeperId(), tankId));
    }

    /** Planned for its next hours; refused where the animals' oxygen does not allow it. */
    @Computes
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ChosenView plan(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewExperiment body) {
        return experiments.plan(who.keeperId(), tankId, body.experiment());
    }

    @Computes
    @PostMapping("/{id}/begin")
    ChosenView begin(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody Begun body) {
        return experiments.begin(who.keeperId(), tankId, id, body.at());
    }

    /** Open to helpers, too: whoever is there switches it on again. */
    @PostMapping("/{id}/end")
    ChosenView end(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody Over body) {
        return experiments.end(who.keeperId(), tankId, id, body.at(), body.ended());
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void callOff(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        experiments.callOff(who.keeperId(), tankId, id);
    }
}
