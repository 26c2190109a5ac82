package jollytide.core.fit;

import java.util.List;
import jollytide.core.evidence.Estimate;
import org.hipparchus.distribution.continuous.TDistribution;

/** A day's trough or peak, forecast at its beginning. */
public final class DayAhead {
    /** Of a distribution: its upper end leaves one in twenty out, as its lower one does. */
    private static final double NINE_IN_TEN = 0.95;
    /** Fewer days tell nothing of how days differ. */
    private static final int LEAST_DAYS = 3;

    private DayAhead() {}

    /**
     * What an ordinary day brings, with the band of the tanks that could be behind the log, widened by how much this
     * tank's days differ among each other: people come and go. So few days know that but roughly (Student 1908).
     *
     * @param ordinary of an ordinary day
     * @param days the same of days that were, since the tank is what it is now
     */
    public static Estimate of(Estimate ordinary, List<Double> days) {
        int n = days.size();
        if (n < LEAST_DAYS) {
            return ordinary;
        }
        double mean = days.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        double squares = days.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum();
        double differ = new TDistribution(n - 1).inverseCumulativeProbability(NINE_IN_TEN)
                * Math.sqrt(squares / (n - 1) * (1 + 1.0 / n));
        return new Estimate(
                ordinary.value(),
                ordinary.value() - Math.hypot(ordinary.value() - ordinary.low(), differ),
                ordinary.value() + Math.hypot(ordinary.high() - ordinary.value(), differ));
    }
}
