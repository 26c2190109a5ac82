package jollytide.server.twin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import jollytide.core.description.TankParameters;
import jollytide.server.account.SignedIn;
import jollytide.server.measure.SetRequest;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.setup.Computes;
import jollytide.server.twin.BenchService.BenchView;
import jollytide.server.twin.BenchService.VariantView;
import jollytide.server.twin.GasBalanceService.GasBalanceView;
import jollytide.server.twin.KeptSets.KeptSet;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** MeasureSet tried on a computed twin of the tank, and the twin's gas balance. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}")
class BenchController {
    private final BenchService bench;
    private final GasBalanceService gasBalance;
    private final KeptSets kept;

    BenchController(BenchService bench, GasBalanceService gasBalance, KeptSets kept) {
        this.bench = bench;
        this.gasBalance = gasBalance;
        this.kept = kept;
    }

    /**
     * What is put on the tank, and what is taken off it.
     *
     * @param without events of what stands on it; null for none
     */
    record VariantRequest(
            @NotNull @Size(max = 20) List<@NotNull @Valid PutMeasure> measures,
            @Nullable @Size(max = 20) Set<@NotNull UUID> without) {
        SetRequest set() {
            return new SetRequest(measures);
        }

        Set<UUID> withoutEvents() {
            return without == null ? Set.of() : without;
        }
    }

    /**
     * What to run.
     *
     * @param tanks those that could be behind the log, as the bench offers them
     * @param days to draw, 2 when null
     */
    record ForecastRequest(
            @NotEmpty @Size(max = 7) List<@NotNull TankParameters> tanks,
            @NotEmpty @Size(max = 5) List<@NotNull @Valid VariantRequest> variants,
            @Nullable @Min(1) @Max(14) Integer days) {}

    record NewSet(
            @NotBlank @Size(max = 60) String name,
            @NotNull @Size(max = 20) List<@NotNull @Valid PutMeasure> measures) {}

    /** The tank as it is, and the tanks that could be behind its log. */
    @Computes
    @GetMapping("/bench")
    BenchView bench(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return bench.bench(who.keeperId(), tankId);
    }

    @Computes
    @PostMapping("/bench/forecast")
    List<VariantView> forecast(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @Valid @RequestBody ForecastRequest request) {
        return bench.forecast(who.keeperId(), tankId, request);
    }

    @GetMapping("/bench/sets")
    List<KeptSet> sets(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return kept.list(who.keeperId(), tankId);
    }

    /** Keeps a set; one of the same name is replaced. */
    @PostMapping("/bench/sets")
    KeptSet keep(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @Valid @RequestBody NewSet request) {
        return kept.keep(who.keeperId(), tankId, request.name(), new SetRequest(request.measures()));
    }

    @DeleteMapping("/bench/sets/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId, @PathVariable UUID id) {
        kept.drop(who.keeperId(), tankId, id);
    }

    /** The balance of both gases at a moment of an ordinary day, and over the day before it. */
    @Computes
    @GetMapping("/gas-balance")
    GasBalanceView gasBalance(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(defaultValue = "LIGHTS_ON") GasBalanceService.Hour hour) {
        return gasBalance.gasBalance(who.keeperId(), tankId, hour);
    }
}
