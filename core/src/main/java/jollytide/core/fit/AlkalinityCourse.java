package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * A tank's alkalinity through its log: its tests, smoothed as far as their own scatter lets them be parted from the
 * tank's wandering (a random walk seen with white errors; its smoothed course is the least-squares solution).
 *
 * @param smoothed meq/L at the moments of the tests, in their order; empty when it was never tested
 */
public record AlkalinityCourse(List<Reading> smoothed) {
    /** Scatter of one test beside what the whole kit is off: 0.1 dKH, in meq/L. From memory. */
    private static final double SCATTER = 0.036;
    /** How far alkalinity wanders in a day: 0.1 dKH, in meq/L per square root of a day. From memory. */
    private static final double WANDERS = 0.036;
    /** Two tests within so many days are as of one day. */
    private static final double LEAST_DAYS = 0.01;

    public AlkalinityCourse {
        smoothed = List.copyOf(smoothed);
    }

    /** @param tests meq/L, in any order; none when it was never tested */
    public static AlkalinityCourse of(List<Reading> tests) {
        List<Reading> inOrder =
                tests.stream().sorted(Comparator.comparing(Reading::at)).toList();
        int n = inOrder.size();
        if (n == 0) {
            return new AlkalinityCourse(List.of());
        }
        RealMatrix normal = new Array2DRowRealMatrix(n, n);
        RealVector right = new ArrayRealVector(n);
        for (int i = 0; i < n; i++) {
            normal.addToEntry(i, i, 1 / (SCATTER * SCATTER));
            right.setEntry(i, inOrder.get(i).value() / (SCATTER * SCATTER));
            if (i > 0) {
                double days = Math.max(
                        LEAST_DAYS, days(inOrder.get(i - 1).at(), inOrder.get(i).at()));
                double stiff = 1 / (WANDERS * WANDERS * days);
                normal.addToEntry(i, i, stiff);
                normal.addToEntry(i - 1, i - 1, stiff);
                normal.addToEntry(i, i - 1, -stiff);
                normal.addToEntry(i - 1, i, -stiff);
            }
        }
        RealVector found = new CholeskyDecomposition(normal).getSolver().solve(right);
        return new AlkalinityCourse(IntStream.range(0, n)
                .mapToObj(i -> new Reading(inOrder.get(i).at(), found.getEntry(i)))
                .toList());
    }

    public boolean tested() {
        return !smoothed.isEmpty();
    }

    /** At a moment, meq/L: straight between two tests, the nearest one beyond them. */
    public double at(Instant t, double untested) {
        if (smoothed.isEmpty()) {
            return untested;
        }
        Reading before = smoothed.get(0);
        for (Reading next : smoothed) {
            if (next.at().isAfter(t)) {
                double span = days(before.at(), next.at());
                double share = span <= 0 ? 1 : Math.max(0, days(before.at(), t) / span);
                return before.value() + share * (next.value() - before.value());
            }
            before = next;
        }
        return before.value();
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 86.4e6;
    }
}
