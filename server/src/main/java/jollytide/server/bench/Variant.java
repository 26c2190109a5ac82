package jollytide.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jollytide.core.air.Enclosure.Door;
import jollytide.core.bench.Remedy.MediaHours;
import jollytide.core.dosing.AlkalinitySource;
import org.jspecify.annotations.Nullable;

/**
 * A set of remedies; what is null stays as it is.
 *
 * @param ventilationTimes the room's air changes over today's
 * @param ventilatorM3PerH a ventilator with heat recovery
 * @param guests adults more than today, all day
 * @param skimmerShare what the skimmer draws, over today
 * @param surfaceTimes exchange through the surfaces, over today
 * @param cabinet how the sump's cabinet stands
 * @param canopy how the display is covered
 * @param limewaterMlPerDay in place of as much of today's alkalinity source
 * @param limewaterStrength share of saturation
 * @param source another source for the day's alkalinity
 * @param sourceDkhPerDay how much of it; all that is dosed today when null
 * @param alkalinityChangeDkh brought up or down and kept there
 * @param warmerByK of the water
 */
public record Variant(
        @Nullable Double ventilationTimes,
        @Nullable Double ventilatorM3PerH,
        @Nullable Boolean nobodyHome,
        @Nullable Integer guests,
        @Valid @Nullable Hose line,
        @Valid @Nullable ScrubberUse media,
        @Nullable Double skimmerShare,
        @Nullable Double surfaceTimes,
        @Nullable Door cabinet,
        @Nullable Door canopy,
        @Valid @Nullable AirStone stone,
        @Nullable Double limewaterMlPerDay,
        @Nullable Double limewaterStrength,
        @Nullable AlkalinitySource source,
        @Nullable Double sourceDkhPerDay,
        @Nullable Double alkalinityChangeDkh,
        @Valid @Nullable Algae refugium,
        @Valid @Nullable ReactorCare reactor,
        @Nullable Double warmerByK) {

    private static final String TIME = "([01]\\d|2[0-3]):[0-5]\\d";
    private static final String TIME_WORDS = "must be a time such as 10:30";

    /**
     * Air at the mouth of an outdoor line that is worse for some hours.
     *
     * @param fromHour local hour, 0 to 23
     * @param toHour local hour; before {@code fromHour} when it crosses midnight
     */
    public record Flue(
            @NotNull Integer fromHour,
            @NotNull Integer toHour,
            @NotNull Double ppm) {}

    /**
     * A hose from outdoors to the skimmer.
     *
     * @param leakMm width of another inlet left open; plugged when null
     */
    public record Hose(
            @NotNull Double lengthM,
            @NotNull Double boreMm,
            @Nullable Double leakMm,
            @Valid @Nullable Flue flue) {}

    /**
     * Scrubber media before the skimmer.
     *
     * @param freshShare of the skimmer's air while in use; the rest is its own exhaust
     * @param gatePh in use below this, NBS scale; with BELOW_PH only
     * @param driesBetween whether fresh air passes them when they are not in use
     */
    public record ScrubberUse(
            @NotNull Double massKg,
            @NotNull Double freshShare,
            @NotNull MediaHours hours,
            @Nullable Double gatePh,
            @NotNull Boolean driesBetween,
            @Nullable Boolean chokes) {}

    /** A stone in room air. */
    public record AirStone(
            @NotNull Double airLPerH,
            @NotNull Double diameterMm,
            @NotNull Double depthM) {}

    /** A refugium under its own lamp. */
    public record Algae(
            @NotNull Double mmolPerH,

            @NotNull @Pattern(regexp = TIME, message = TIME_WORDS)
            String on,

            @NotNull @Pattern(regexp = TIME, message = TIME_WORDS)
            String off) {}

    /** What is put behind the calcium reactor. */
    public record ReactorCare(
            @NotNull Double secondChamberShare, @NotNull Double dripShare) {}
}
