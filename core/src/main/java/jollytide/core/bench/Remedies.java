package jollytide.core.bench;

import static jollytide.core.units.Quantities.within;

import jollytide.core.air.AirLine;
import jollytide.core.exchange.Bubbles;
import org.jspecify.annotations.Nullable;

/**
 * What is changed. {@link #NONE} changes nothing.
 *
 * @param ventilationTimes the room's ventilation over today's: 1 as it is, 3 for a window ajar
 * @param nobodyHome the room's air is that of outdoors
 * @param line a hose from outdoors to the skimmer; null without
 * @param lineMouth air at the hose's mouth; null for the ordinary outdoor air
 * @param mediaPass share of the CO2 that scrubber media before the skimmer let through; 1 without
 * @param freshShare of the skimmer's air; the rest is its own exhaust led back. 1 without recirculation
 * @param skimmerShare what the skimmer still draws: below 1 for a clogged venturi, above for a larger one
 * @param surfaceTimes transfer through the open surfaces over today's: outlets tilted up, lids off
 * @param stone bubbles in room air; null without
 * @param hydroxideMeqPerLPerDay of the day's alkalinity given as limewater or hydroxide in place of today's source
 */
public record Remedies(
        double ventilationTimes,
        boolean nobodyHome,
        @Nullable AirLine line,
        @Nullable DailyAir lineMouth,
        double mediaPass,
        double freshShare,
        double skimmerShare,
        double surfaceTimes,
        @Nullable Bubbles stone,
        double hydroxideMeqPerLPerDay) {
    public static final Remedies NONE = new Remedies(1, false, null, null, 1, 1, 1, 1, null, 0);

    public Remedies {
        within("ventilationTimes", ventilationTimes, 0.1, 50, "");
        within("mediaPass", mediaPass, 0, 1, "");
        within("freshShare", freshShare, 0, 1, "");
        within("skimmerShare", skimmerShare, 0, 5, "");
        within("surfaceTimes", surfaceTimes, 0, 10, "");
        within("hydroxideMeqPerLPerDay", hydroxideMeqPerLPerDay, 0, 3, "meq/(L·day)");
    }
}
