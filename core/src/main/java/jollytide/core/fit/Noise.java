package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How the readings scatter about the right tank: what is left over half an hour later is {@code persistence} times what
 * was left before, and something new (an autoregressive process of first order). Ten days of half hours count as far
 * fewer readings so.
 *
 * @param persistence over half an hour, 0 to below 1
 * @param fresh standard deviation of what is new each half hour, in the reading's unit
 */
record Noise(double persistence, double fresh) {
    private static final double MOST_PERSISTENCE = 0.985;
    private static final double HALF_HOUR_S = 1800;
    /** From the median of absolute values to a standard deviation, for a normal distribution. */
    private static final double FROM_MEDIAN = 1.4826;
    /** What is left further out than this counts less, as Huber (1964) has it, in standard deviations. */
    private static final double OUTLIER = 2;

    /** What is left over all in all, standard deviation. */
    double all() {
        return fresh / Math.sqrt(1 - persistence * persistence);
    }

    /** Estimated from what is left; outliers count little. */
    static Noise of(List<Reading> readings, double[] left, double least) {
        double scale = Math.max(least, FROM_MEDIAN * median(left));
        double cross = 0;
        double square = 0;
        for (int i = 1; i < left.length; i++) {
            if (halfHours(readings, i) < 1.5) {
                double before = clipped(left[i - 1], scale);
                cross += before * clipped(left[i], scale);
                square += before * before;
            }
        }
        double persistence = square == 0 ? 0 : Math.max(0, Math.min(MOST_PERSISTENCE, cross / square));
        Noise shape = new Noise(persistence, 1);
        double fresh = FROM_MEDIAN * median(shape.whitened(readings, left));
        return new Noise(persistence, Math.max(least, fresh));
    }

    private static double clipped(double value, double scale) {
        return Math.max(-3 * scale, Math.min(3 * scale, value));
    }

    private static double median(double[] values) {
        double[] sizes = Arrays.stream(values).map(Math::abs).sorted().toArray();
        return sizes.length == 0 ? 0 : sizes[sizes.length / 2];
    }

    /** What is new in each of them, in standard deviations: independent of each other, if the noise is such. */
    double[] whitened(List<Reading> readings, double[] left) {
        return IntStream.range(0, left.length)
                .mapToDouble(i -> {
                    if (i == 0) {
                        return left[0] / all();
                    }
                    double carried = Math.pow(persistence, halfHours(readings, i));
                    double spread = all() * Math.sqrt(1 - carried * carried);
                    return (left[i] - carried * left[i - 1]) / Math.max(fresh, spread);
                })
                .toArray();
    }

    /** The square roots of their weights. */
    static double[] weights(double[] whitened) {
        return Arrays.stream(whitened)
                .map(w -> Math.abs(w) <= OUTLIER ? 1 : Math.sqrt(OUTLIER / Math.abs(w)))
                .toArray();
    }

    private static double halfHours(List<Reading> readings, int i) {
        Instant before = readings.get(i - 1).at();
        return Math.max(0.01, Duration.between(before, readings.get(i).at()).toMillis() / 1000.0 / HALF_HOUR_S);
    }
}
