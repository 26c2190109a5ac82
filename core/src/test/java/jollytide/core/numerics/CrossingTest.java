package jollytide.core.numerics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class CrossingTest {
    @Test
    void findsTheRoot() {
        assertThat(Crossing.of(x -> x * x - 2, 0, 2, 1e-10)).isCloseTo(Math.sqrt(2), within(1e-10));
        assertThat(Crossing.of(x -> x < 0.3 ? -1 : x, 0, 1, 1e-10))
                .as("over a step")
                .isCloseTo(0.3, within(1e-9));
    }

    @Test
    void neverGoesBeyond() {
        for (double a = 0.05; a < 1; a += 0.05) {
            double at = a;
            assertThat(Crossing.of(x -> x * x * x - at, 0, 1, 1e-3)).isBetween(Math.cbrt(a) - 1e-3, Math.cbrt(a));
        }
    }

    @Test
    void endsWhereItPassesNowhere() {
        assertThat(Crossing.of(x -> x + 1, 0, 2, 1e-9)).isZero();
        assertThat(Crossing.of(x -> x, 0, 2, 1e-9)).as("at once").isZero();
        assertThat(Crossing.of(x -> x - 3, 0, 2, 1e-9)).isEqualTo(2);
        assertThat(Crossing.of(x -> x, 1, 2, 1e-9)).as("before it begins").isEqualTo(1);
    }
}
