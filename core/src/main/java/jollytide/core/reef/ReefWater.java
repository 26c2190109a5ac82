package jollytide.core.reef;

import jollytide.core.seawater.Seawater;

/**
 * Water as reefs live in at all. Whatever was typed, the twin answers for a reef, above all while the power is out. Wide
 * limits, from memory.
 */
public final class ReefWater {
    private static final double LEAST_SALINITY = 20;
    private static final double MOST_SALINITY = 42;
    private static final double COLDEST_C = 15;
    private static final double WARMEST_C = 34;
    private static final double LEAST_MEQ_PER_L = 0.7;
    private static final double MOST_MEQ_PER_L = 8;

    private ReefWater() {}

    /** The nearest that reefs live in. */
    public static Seawater nearest(double salinity, double temperatureC) {
        return new Seawater(
                Math.max(LEAST_SALINITY, Math.min(MOST_SALINITY, salinity)),
                Math.max(COLDEST_C, Math.min(WARMEST_C, temperatureC)));
    }

    /** Whether a test of alkalinity may be of a reef: beyond, it is a slip or of another water. */
    public static boolean mayHold(double alkalinityMeqPerL) {
        return alkalinityMeqPerL >= LEAST_MEQ_PER_L && alkalinityMeqPerL <= MOST_MEQ_PER_L;
    }
}
