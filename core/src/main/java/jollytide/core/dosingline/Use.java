package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Reading;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;

/**
 * What animals and precipitation take out of the water a day: what arrived from test to test less what the tests moved by.
 *
 * @param perDay with its 90 % band: meq/L of alkalinity, or mg/L of calcium
 * @param arrivedPerDay between the first test and the last
 * @param changedPerDay what the tests show to be left over of that
 * @param tests on which that rests
 */
public record Use(Estimate perDay, Estimate arrivedPerDay, Estimate changedPerDay, int tests) {
    /** What arrived between two times, in what tests are read in. */
    @FunctionalInterface
    public interface Arrivals {
        Estimate between(Instant from, Instant until);
    }

    /** Scatter of one test of alkalinity, meq/L: 0.1 dKH. From memory. */
    public static final double ALKALINITY_TEST = 0.036;
    /** Scatter of one test of calcium, mg/L. From memory. */
    public static final double CALCIUM_TEST = 10;

    private static final int LEAST_TESTS = 3;
    private static final double NINETY = 1.645;
    private static final double BOTH_SIDES = 0.95;

    /**
     * By a straight line through the tests, each less what had arrived by then: so a plan that was changed on the way is no
     * use of the animals.
     *
     * @param tests of some weeks, in their order
     * @param scatter of one test at least
     * @return null with too few tests, or all on one day
     */
    public static @Nullable Use of(List<Reading> tests, Arrivals arrivals, double scatter) {
        if (tests.size() < LEAST_TESTS) {
            return null;
        }
        Instant first = tests.get(0).at();
        SimpleRegression line = new SimpleRegression();
        tests.forEach(t -> line.addData(
                days(first, t.at()), t.value() - arrivals.between(first, t.at()).value()));
        if (line.getXSumSquares() <= 0) {
            return null;
        }
        // What tests show of their own scatter, or what such tests scatter by at least.
        double known = NINETY * scatter / Math.sqrt(line.getXSumSquares());
        double shown =
                new TDistribution(tests.size() - 2.0).inverseCumulativeProbability(BOTH_SIDES) * line.getSlopeStdErr();
        double half = tests.size() > LEAST_TESTS ? Math.max(known, shown) : known;
        double use = -line.getSlope();
        Instant last = tests.get(tests.size() - 1).at();
        Estimate arrived = arrivals.between(first, last).times(1 / days(first, last));
        double changed = arrived.value() - use;
        double up = Math.hypot(half, arrived.high() - arrived.value());
        double down = Math.hypot(half, arrived.value() - arrived.low());
        return new Use(
                new Estimate(use, use - down, use + up),
                arrived,
                new Estimate(changed, changed - half, changed + half),
                tests.size());
    }

    private static double days(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0;
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
