package jollytide.server.cost;

import jakarta.validation.Valid;
import java.util.UUID;
import jollytide.server.account.SignedIn;
import jollytide.server.cost.RunningCosts.NewConsumer;
import jollytide.server.cost.RunningCosts.RunningCostView;
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

/** What it costs to run a tank. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/consumers")
class RunningCostController {
    private final RunningCosts costs;

    RunningCostController(RunningCosts costs) {
        this.costs = costs;
    }

    record KeptConsumer(UUID id) {}

    @GetMapping
    RunningCostView list(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return costs.list(who.keeperId(), tankId);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    KeptConsumer add(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewConsumer body) {
        return new KeptConsumer(costs.add(who.keeperId(), tankId, body));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void edit(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @PathVariable UUID id,
            @Valid @RequestBody NewConsumer body) {
        costs.edit(who.keeperId(), tankId, id, body);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        costs.delete(who.keeperId(), tankId, id);
    }
}
