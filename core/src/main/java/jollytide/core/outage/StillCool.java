package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

/**
 * How much colder than usual the water still is from an outage before this one. The heater brings it back at a rate that
 * is assumed. For oxygen it is not counted on: warm water is the early side there.
 *
 * @param likelyK as it likely went
 * @param mostK where heat was lost fastest and came back slowest
 */
public record StillCool(double likelyK, double mostK) {
    public static final StillCool NONE = new StillCool(0, 0);

    /** What heaters of usual size bring back in an hour: a watt a litre makes 0.9 K, less what the tank loses. From memory. */
    private static final double LIKELY_K_PER_H = 0.5;

    private static final double LEAST_K_PER_H = 0.25;
    private static final double MOST_K = 30;

    public StillCool {
        within("likelyK", likelyK, 0, MOST_K, "K");
        within("mostK", mostK, likelyK, MOST_K, "K");
    }

    static StillCool of(double likelyK, double mostK) {
        double likely = Math.max(0, Math.min(MOST_K, likelyK));
        return new StillCool(likely, Math.max(likely, Math.min(MOST_K, mostK)));
    }

    /** After so many hours with its heater on. */
    public StillCool heated(double hours) {
        return of(likelyK - LIKELY_K_PER_H * hours, mostK - LEAST_K_PER_H * hours);
    }
}
