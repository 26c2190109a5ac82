package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class NoiseTest {
    private static final Instant START = Instant.parse("2026-09-14T00:00:00Z");
    private static final int N = 4000;

    private static List<Reading> halfHours(int n) {
        return IntStream.range(0, n)
                .mapToObj(i -> new Reading(START.plus(Duration.ofMinutes(30L * i)), 8))
                .toList();
    }

    private static double[] process(double persistence, double fresh) {
        Random random = new Random(4);
        double[] left = new double[N];
        left[0] = fresh / Math.sqrt(1 - persistence * persistence) * random.nextGaussian();
        for (int i = 1; i < N; i++) {
            left[i] = persistence * left[i - 1] + fresh * random.nextGaussian();
        }
        return left;
    }

    private static double deviation(double[] values) {
        return Math.sqrt(Arrays.stream(values).map(v -> v * v).average().orElseThrow());
    }

    @Test
    void findsTheProcessThatMadeIt() {
        Noise found = Noise.of(halfHours(N), process(0.9, 0.01), 0.001);
        assertThat(found.persistence()).isCloseTo(0.9, within(0.03));
        assertThat(found.fresh()).isCloseTo(0.01, within(0.0007));
        assertThat(found.all()).isCloseTo(0.01 / Math.sqrt(1 - 0.81), within(0.003));
    }

    @Test
    void whatIsNewIsIndependent() {
        double[] white = new Noise(0.9, 0.01).whitened(halfHours(N), process(0.9, 0.01));
        assertThat(deviation(white)).isCloseTo(1, within(0.04));
        double together = IntStream.range(1, N)
                .mapToDouble(i -> white[i] * white[i - 1])
                .average()
                .orElseThrow();
        assertThat(together).isCloseTo(0, within(0.05));
    }

    /** After a gap nothing is carried over: a reading counts as the first one does. */
    @Test
    void aGapForgets() {
        List<Reading> readings = new ArrayList<>(halfHours(2));
        readings.add(new Reading(START.plus(Duration.ofDays(20)), 8));
        Noise noise = new Noise(0.9, 0.01);
        double[] white = noise.whitened(readings, new double[] {0.02, 0.02, 0.02});
        assertThat(white[0]).isCloseTo(0.02 / noise.all(), within(1e-9));
        assertThat(white[1]).isCloseTo(0.002 / 0.01, within(1e-9));
        assertThat(white[2]).isCloseTo(white[0], within(1e-6));
    }

    @Test
    void outliersCountLess() {
        double[] left = process(0.8, 0.01);
        for (int i = 50; i < N; i += 100) {
            left[i] += 1;
        }
        assertThat(Noise.of(halfHours(N), left, 0.001).fresh()).isCloseTo(0.01, within(0.001));
        assertThat(Noise.weights(new double[] {-1.5, 2, 8, -32})).containsExactly(1, 1, 0.5, 0.25);
    }

    @Test
    void noProbeIsPerfect() {
        assertThat(Noise.of(halfHours(100), new double[100], 0.004).fresh()).isEqualTo(0.004);
    }
}
