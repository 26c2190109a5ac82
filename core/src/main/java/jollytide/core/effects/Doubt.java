package jollytide.core.effects;

import static jollytide.core.units.Quantities.within;

import jollytide.core.fit.Priors;

/**
 * What stands between two times besides the days' own scatter, pH, one standard deviation each.
 *
 * @param probe by how much it may have drifted from the one to the other
 * @param tests of alkalinity, whose own scatter passes for a change of the water
 */
public record Doubt(double probe, double tests) {
    /** What a calibration leaves open: ±0.02 for two standard deviations, before it and after it. From memory. */
    private static final double CALIBRATED = 0.014;
    /** Scatter of one alkalinity test: 0.1 dKH, in meq/L. From memory. */
    private static final double TEST_MEQ_PER_L = 0.036;

    public Doubt {
        within("probe", probe, 0, 1, "pH");
        within("tests", tests, 0, 1, "pH");
    }

    /**
     * @param days between the middles of both times
     * @param calibrated whether the probe was calibrated between them
     * @param testsBefore how many tests of alkalinity, {@code testsAfter} likewise; without any on a side it is taken as
     *     unchanged
     */
    public static Doubt of(
            double days, boolean calibrated, int testsBefore, int testsAfter, double alkalinityMeqPerL, Priors priors) {
        double drift = priors.probePhPerDay() * days;
        double perMeq = Math.log10(Math.E) / alkalinityMeqPerL;
        double tests = testsBefore == 0 || testsAfter == 0
                ? 0
                : TEST_MEQ_PER_L * perMeq * Math.sqrt(1.0 / testsBefore + 1.0 / testsAfter);
        return new Doubt(calibrated ? Math.hypot(drift, CALIBRATED) : drift, tests);
    }

    double deviation() {
        return Math.hypot(probe, tests);
    }
}
