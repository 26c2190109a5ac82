package jollytide.core.staircase;

import jollytide.core.evidence.Observation;
import org.jspecify.annotations.Nullable;

/**
 * What the 24 hours around the moment hold besides it: a tank may be in its band before lights-on and far below it when
 * the room is full.
 *
 * @param lowest pH on the NBS scale; null without readings
 * @param highest likewise
 * @param rise between two alkalinity tests; null without two
 */
public record DayAround(
        @Nullable Observation lowest,
        @Nullable Observation highest,
        @Nullable AlkalinityRise rise) {
    public static final DayAround UNKNOWN = new DayAround(null, null, null);

    /**
     * Two alkalinity tests within a day.
     *
     * @param byDkh the later less the earlier
     * @param errorDkh one standard error of that difference
     */
    public record AlkalinityRise(double fromDkh, double byDkh, double errorDkh) {
        /** More than this in a day harms, whatever pH says. Common practice. */
        static final double MOST_DKH_PER_DAY = 1;

        /** Above the limit, and by more than twice what the two tests may be off. */
        boolean tooFast() {
            return byDkh > Math.max(MOST_DKH_PER_DAY, 2 * errorDkh);
        }
    }
}
