package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

import jollytide.core.units.InputException;

/**
 * Where a keeper wants the daily pH to lie, on the NBS scale.
 *
 * @param troughAtLeast goal for the lowest pH of the day
 * @param peakAtMost goal for the highest pH of the day
 * @param actBelow below this something is done at once
 */
public record TargetBand(double troughAtLeast, double peakAtMost, double actBelow) {
    /** Common practice: trough at or above 8.0, peak at or below 8.4, act below 7.8. */
    public static final TargetBand DEFAULT = new TargetBand(8.0, 8.4, 7.8);

    public TargetBand {
        within("troughAtLeast", troughAtLeast, 7, 9, "pH");
        within("peakAtMost", peakAtMost, 7, 9, "pH");
        within("actBelow", actBelow, 7, 9, "pH");
        if (actBelow > troughAtLeast || troughAtLeast >= peakAtMost) {
            throw new InputException(
                    "troughAtLeast",
                    troughAtLeast,
                    "action level ≤ daily low < daily high",
                    "The values must rise: action level, then daily low, then daily high.");
        }
    }
}
