package jollytide.core.effects;

import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * By how much days of one time lie above days of another.
 *
 * @param value median of all differences between a day after and one before (Hodges and Lehmann 1963): one odd day does
 *     not move it
 * @param deviation of that, from the days' own scatter; NaN where there is no second day
 * @param freedom of its distribution
 */
record Shift(double value, double deviation, double freedom) {
    /** With fewer days on a side all days tell the scatter of each side: common practice calls that thin. */
    static final int LEAST_DAYS = 3;

    private static final int FROM_DAYS_ON = 6;
    private static final int LONG_BLOCK = 3;
    private static final int SHORT_BLOCK = 2;
    private static final int DRAWS = 500;
    private static final long SEED = 20240607;

    /**
     * @param before at least one, in the days' order; {@code after} likewise
     */
    static Shift of(List<Double> before, List<Double> after) {
        return before.size() < LEAST_DAYS || after.size() < LEAST_DAYS ? few(before, after) : blocks(before, after);
    }

    /** Single days of one side scatter like those of the other. */
    private static Shift few(List<Double> before, List<Double> after) {
        int freedom = before.size() + after.size() - 2;
        double each = freedom == 0 ? Double.NaN : Math.sqrt((squares(before) + squares(after)) / freedom);
        return new Shift(
                between(array(before), array(after)),
                each * Math.sqrt(1.0 / before.size() + 1.0 / after.size()),
                freedom);
    }

    /** Whether nothing tells how the days scatter. */
    boolean unknown() {
        return Double.isNaN(deviation);
    }

    /** Of the differences from their mean. */
    static double squares(List<Double> values) {
        double deviation = values.size() < 2 ? 0 : new StandardDeviation().evaluate(array(values));
        return deviation * deviation * (values.size() - 1);
    }

    private static Shift blocks(List<Double> before, List<Double> after) {
        SplittableRandom random = new SplittableRandom(SEED);
        double[] first = array(before);
        double[] then = array(after);
        double squares = 0;
        double value = between(first, then);
        double[] shifts = new double[DRAWS];
        for (int i = 0; i < DRAWS; i++) {
            shifts[i] = between(drawn(first, random), drawn(then, random));
        }
        double mean = DoubleStream.of(shifts).average().orElseThrow();
        for (double shift : shifts) {
            squares += (shift - mean) * (shift - mean);
        }
        // Blocks of so few days scatter less than the days do: the mean of a sample is nearer to it than the truth is.
        double few = (widening(first.length) + widening(then.length)) / 2;
        return new Shift(
                value,
                Math.sqrt(squares / (DRAWS - 1) * few),
                Math.max(
                        1,
                        (double) first.length / block(first.length) + (double) then.length / block(then.length) - 2));
    }

    /** Half the 90 % interval. */
    double half90() {
        return new TDistribution(freedom).inverseCumulativeProbability(0.95) * deviation;
    }

    static double between(double[] before, double[] after) {
        double[] differences = new double[before.length * after.length];
        int n = 0;
        for (double a : after) {
            for (double b : before) {
                differences[n++] = a - b;
            }
        }
        return new Median().evaluate(differences);
    }

    static double median(List<Double> values) {
        return new Median().evaluate(array(values));
    }

    /** Blocks of days that follow each other, so that what lasts several days counts as one (Künsch 1989). */
    private static double[] drawn(double[] days, SplittableRandom random) {
        int block = block(days.length);
        double[] drawn = new double[days.length];
        int n = 0;
        while (n < drawn.length) {
            int from = random.nextInt(days.length);
            for (int i = 0; i < block && n < drawn.length; i++) {
                drawn[n++] = days[(from + i) % days.length];
            }
        }
        return drawn;
    }

    private static int block(int days) {
        return days >= FROM_DAYS_ON ? LONG_BLOCK : SHORT_BLOCK;
    }

    private static double widening(int days) {
        return days / (double) (days - block(days));
    }

    static double[] array(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }
}
