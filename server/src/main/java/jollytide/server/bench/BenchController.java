package jollytide.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import jollytide.core.bench.Living;
import jollytide.server.account.SignedIn;
import jollytide.server.bench.BenchService.BenchView;
import jollytide.server.bench.BenchService.VariantView;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Remedies tried on a computed twin of the tank. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}/bench")
class BenchController {
    private final BenchService bench;

    BenchController(BenchService bench) {
        this.bench = bench;
    }

    /**
     * Air at the mouth of an outdoor line that is worse for some hours.
     *
     * @param fromHour local hour, 0 to 23
     * @param toHour local hour; before {@code fromHour} when it crosses midnight
     */
    record Flue(
            @NotNull Integer fromHour,
            @NotNull Integer toHour,
            @NotNull Double ppm) {}

    /** A hose from outdoors to the skimmer. */
    record Hose(
            @NotNull Double lengthM,
            @NotNull Double boreMm,
            @Valid @Nullable Flue flue) {}

    /** A stone in room air. */
    record Stone(
            @NotNull Double airLPerH,
            @NotNull Double diameterMm,
            @NotNull Double depthM) {}

    /**
     * A set of remedies; what is null stays as it is.
     *
     * @param ventilationTimes the room's ventilation over today's
     * @param mediaPass share of the CO2 that media before the skimmer let through
     * @param freshShare of the skimmer's air; the rest is its own exhaust
     * @param skimmerShare what the skimmer draws, over today
     * @param surfaceTimes exchange through the surfaces, over today
     * @param limewaterMlPerDay in place of as much of today's alkalinity source
     * @param limewaterStrength share of saturation
     */
    record Variant(
            @Nullable Double ventilationTimes,
            @Nullable Boolean nobodyHome,
            @Valid @Nullable Hose line,
            @Nullable Double mediaPass,
            @Nullable Double freshShare,
            @Nullable Double skimmerShare,
            @Nullable Double surfaceTimes,
            @Valid @Nullable Stone stone,
            @Nullable Double limewaterMlPerDay,
            @Nullable Double limewaterStrength) {}

    /**
     * What to run.
     *
     * @param tanks those that could be behind the log, as the bench offers them
     */
    record ForecastRequest(
            @NotEmpty @Size(max = 5) List<@NotNull Living> tanks,
            @NotEmpty @Size(max = 5) List<@NotNull @Valid Variant> variants) {}

    /** The tank as it is, and the tanks that could be behind its log. */
    @GetMapping
    BenchView bench(@AuthenticationPrincipal SignedIn who, @PathVariable UUID tankId) {
        return bench.bench(who.keeperId(), tankId);
    }

    @PostMapping("/forecast")
    List<VariantView> forecast(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @Valid @RequestBody ForecastRequest request) {
        return bench.forecast(who.keeperId(), tankId, request);
    }
}
