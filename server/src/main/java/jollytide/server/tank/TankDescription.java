package jollytide.server.tank;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.reef.Stance;
import jollytide.core.twin.Air;
import org.jspecify.annotations.Nullable;

/**
 * A tank in its keeper's words and numbers.
 *
 * @param netVolumeL litres of water, without rock and sand, with the sump
 * @param skimmerAirDrawLPerH air that the skimmer draws; null without skimmer
 * @param parts what else is there; an edit with null leaves it as it was
 */
public record TankDescription(
        @NotBlank @Size(max = 80) String name,
        @NotNull @Size(max = 1000) String about,
        @NotNull Double netVolumeL,
        @NotNull @Size(max = 12) List<@NotNull @Valid WaterSurface> surfaces,
        @Valid @NotNull Light light,
        @Valid @NotNull Band band,
        @NotNull Stance stance,
        @Nullable Double skimmerAirDrawLPerH,
        @NotNull OwnAssumptions assumptions,
        @Valid @Nullable TankParts parts) {

    /** What else is there, where an edit may have left it out. */
    TankParts known() {
        return parts == null ? TankParts.NONE : parts;
    }

    /** With its own parts in place of those that an edit left out. */
    TankDescription over(TankDescription before) {
        return parts != null ? this : with(before.parts);
    }

    private TankDescription with(@Nullable TankParts others) {
        return new TankDescription(
                name, about, netVolumeL, surfaces, light, band, stance, skimmerAirDrawLPerH, assumptions, others);
    }

    /** The same gear under what its keeper calls it, wants of it and assumes today. */
    TankDescription underTodaysWishes(TankDescription today) {
        return new TankDescription(
                today.name,
                today.about,
                netVolumeL,
                surfaces,
                light,
                today.band,
                today.stance,
                skimmerAirDrawLPerH,
                today.assumptions,
                parts);
    }

    static final String TIME = "([01]\\d|2[0-3]):[0-5]\\d";
    static final String TIME_WORDS = "must be a time such as 10:30";

    /**
     * An open surface and how it moves.
     *
     * @param over which air; the room's when null
     */
    public record WaterSurface(
            @NotBlank @Size(max = 80) String name,
            @NotNull Double areaM2,
            @NotNull SurfaceClass motion,
            @Nullable Air over) {}

    /**
     * The light clock.
     *
     * @param off equal to {@code on} when the tank is never lit
     * @param rampMinutes how long the lamps take to come up and to go down; null for lamps that switch
     */
    public record Light(
            @NotNull @Pattern(regexp = TIME, message = TIME_WORDS)
            String on,

            @NotNull @Pattern(regexp = TIME, message = TIME_WORDS)
            String off,

            @NotNull Boolean followsClockChanges,
            @Nullable Integer rampMinutes) {
        public Light {
            // Lamps that switch are one thing, however they were described.
            rampMinutes = rampMinutes == null ? 0 : rampMinutes;
        }
    }

    /** The wanted pH, NBS scale, and why. */
    public record Band(
            @NotNull Double troughAtLeast,
            @NotNull Double peakAtMost,
            @NotNull Double actBelow,
            @NotNull @Size(max = 300) String reason) {}
}
