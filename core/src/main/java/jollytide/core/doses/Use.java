package jollytide.core.doses;

import java.time.Duration;
import java.util.List;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Reading;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;

/**
 * What animals and precipitation take out of the water a day: what arrived less what tests show was left over.
 *
 * @param perDay with its 90 % band: meq/L of alkalinity, or mg/L of calcium
 * @param changedPerDay what tests show by themselves
 * @param tests on which that rests
 */
public record Use(Estimate perDay, Estimate changedPerDay, int tests) {
    /** Scatter of one test of alkalinity, meq/L: 0.1 dKH. From memory. */
    public static final double ALKALINITY_TEST = 0.036;
    /** Scatter of one test of calcium, mg/L. From memory. */
    public static final double CALCIUM_TEST = 10;

    private static final int LEAST_TESTS = 3;
    private static final double NINETY = 1.645;
    private static final double BOTH_SIDES = 0.95;

    /**
     * @param tests of some weeks, in their order
     * @param arrivedPerDay over the same weeks
     * @param scatter of one test at least
     * @return null with too few tests, or all on one day
     */
    public static @Nullable Use of(List<Reading> tests, Estimate arrivedPerDay, double scatter) {
        if (tests.size() < LEAST_TESTS) {
            return null;
        }
        SimpleRegression line = new SimpleRegression();
        tests.forEach(t ->
                line.addData(Duration.between(tests.get(0).at(), t.at()).toMinutes() / 1440.0, t.value()));
        if (line.getXSumSquares() <= 0) {
            return null;
        }
        // What tests show of their own scatter, or what such tests scatter by at least.
        double known = NINETY * scatter / Math.sqrt(line.getXSumSquares());
        double shown =
                new TDistribution(tests.size() - 2.0).inverseCumulativeProbability(BOTH_SIDES) * line.getSlopeStdErr();
        double half = tests.size() > LEAST_TESTS ? Math.max(known, shown) : known;
        double slope = line.getSlope();
        Estimate changed = new Estimate(slope, slope - half, slope + half);
        double up = Math.hypot(half, arrivedPerDay.high() - arrivedPerDay.value());
        double down = Math.hypot(half, arrivedPerDay.value() - arrivedPerDay.low());
        double use = arrivedPerDay.value() - slope;
        return new Use(new Estimate(use, use - down, use + up), changed, tests.size());
    }

    /**
     * Calcium that is used with each milliequivalent of alkalinity, mg/L for each meq/L: 20.04 (40.078 ÷ 2) where both go
     * into calcium carbonate, skeletons and crusts alike.
     *
     * @return null unless both are known and used
     */
    public static @Nullable Estimate calciumPerMeq(@Nullable Use calcium, @Nullable Use alkalinity) {
        if (calcium == null || alkalinity == null || alkalinity.perDay.low() <= 0 || calcium.perDay.value() <= 0) {
            return null;
        }
        return new Estimate(
                calcium.perDay.value() / alkalinity.perDay.value(),
                Math.max(0, calcium.perDay.low()) / alkalinity.perDay.high(),
                calcium.perDay.high() / alkalinity.perDay.low());
    }
}
