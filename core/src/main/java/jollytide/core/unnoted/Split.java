package jollytide.core.unnoted;

import java.util.stream.IntStream;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Days before a change and after it.
 *
 * @param from the first that may be compared
 * @param day the first that shows the change, {@code end} the first that shows all of it
 * @param until the first that may no longer be compared
 */
record Split(int from, int day, int end, int until, Cause cause) {
    /** Days on each side that are compared. */
    static final int MOST_DAYS = 14;

    static final int LEAST_DAYS = 3;
    private static final int LONGEST_RAMP = 7;
    /** Of the derivative with the size. */
    private static final double STEP = 0.05;

    int first() {
        return Math.max(from, day - MOST_DAYS);
    }

    int last() {
        return Math.min(until, end + MOST_DAYS);
    }

    double share() {
        return 1.0 / (last() - end) + 1.0 / (day - first());
    }

    RealVector moved(Leftover tank) {
        return tank.left(end, last()).subtract(tank.left(first(), day));
    }

    Split by(Cause other) {
        return new Split(from, day, end, until, other);
    }

    /** By how much the cause lessens the squares, to first order. */
    double evidence(Leftover tank) {
        return evidence(tank, moved(tank), share());
    }

    private double evidence(Leftover tank, RealVector moved, double share) {
        RealVector shape = tank.shape(cause, end, last());
        double along = tank.noise().product(shape, moved, share);
        return along * along / tank.noise().product(shape, shape, share);
    }

    /** The least that is left of it when any one day had not been: an odd day is no change. */
    double evidenceWithoutOneDay(Leftover tank) {
        int before = day - first();
        int after = last() - end;
        return IntStream.range(first(), last())
                .filter(d -> d < day || d >= end)
                .mapToDouble(d -> {
                    boolean early = d < day;
                    int others = (early ? before : after) - 1;
                    RealVector odd = tank.left(d)
                            .subtract(early ? tank.left(first(), day) : tank.left(end, last()))
                            .mapDivide(others);
                    RealVector moved =
                            early ? moved(tank).add(odd) : moved(tank).subtract(odd);
                    double share = early ? 1.0 / after + 1.0 / others : 1.0 / before + 1.0 / others;
                    return evidence(tank, moved, share);
                })
                .min()
                .orElseThrow();
    }

    /**
     * By how much the size is another where another tank that could be behind the log is, one standard deviation of
     * all of those (first order).
     */
    double deviation(Leftover tank, double size) {
        double here = further(tank, size);
        return Math.sqrt(tank.neighbours().stream()
                .mapToDouble(other -> further(other, size) - here)
                .map(d -> d * d)
                .sum());
    }

    private double further(Leftover tank, double size) {
        RealVector change = tank.change(cause, size, end, last());
        RealVector slope =
                tank.change(cause, size + STEP, end, last()).subtract(change).mapDivide(STEP);
        return tank.noise().product(slope, moved(tank).subtract(change), share())
                / tank.noise().product(slope, slope, share());
    }

    double squares(Leftover tank, double size) {
        RealVector rest = moved(tank).subtract(tank.change(cause, size, end, last()));
        return tank.noise().product(rest, rest, share());
    }

    /** The size that the cause would have on each day alone, to first order. */
    double[] daily(Leftover tank) {
        RealVector usual = tank.left(first(), day);
        RealVector shape = tank.shape(cause, end, last());
        double own = tank.noise().product(shape, shape, 1);
        return IntStream.range(first(), last())
                .mapToDouble(d -> tank.noise().product(shape, tank.left(d).subtract(usual), 1) / own)
                .toArray();
    }

    /** The straight rise, over a day or several, that the days' own sizes follow best (least squares). */
    Split ramp(Leftover tank) {
        double[] daily = daily(tank);
        Split best = this;
        double least = Double.MAX_VALUE;
        for (int over = 1; over <= LONGEST_RAMP; over++) {
            for (int begin = first() + LEAST_DAYS; begin + over - 1 <= last() - LEAST_DAYS; begin++) {
                SimpleRegression line = new SimpleRegression();
                for (int i = 0; i < daily.length; i++) {
                    double share = (first() + i - begin + 1.0) / over;
                    line.addData(Math.max(0, Math.min(1, share)), daily[i]);
                }
                if (line.getSumSquaredErrors() < least) {
                    least = line.getSumSquaredErrors();
                    best = new Split(from, begin, begin + over - 1, until, cause);
                }
            }
        }
        return best;
    }
}
