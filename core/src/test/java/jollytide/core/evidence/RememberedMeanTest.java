package jollytide.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.Drawn;
import org.junit.jupiter.api.Test;

class RememberedMeanTest {
    private static final Instant NOW = Instant.parse("2026-11-12T08:00:00Z");

    private static Observation hoursAgo(double hours, double value) {
        return new Observation(value, Method.METER, NOW.minusSeconds((long) (hours * 3600)));
    }

    @Test
    void aSingleReadingIsItsOwnMean() {
        assertThat(RememberedMean.of(List.of(hoursAgo(5, 900)), NOW, 12)
                        .orElseThrow()
                        .value())
                .isCloseTo(900, within(1e-9));
        assertThat(RememberedMean.of(List.of(hoursAgo(0, 900)), NOW, 12)
                        .orElseThrow()
                        .value())
                .isCloseTo(900, within(1e-9));
    }

    @Test
    void tooOldOrInTheFutureDoesNotCount() {
        assertThat(RememberedMean.of(List.of(hoursAgo(37, 900), hoursAgo(-1, 900)), NOW, 12))
                .isEmpty();
    }

    @Test
    void constantAirIsRemembered() {
        Drawn.times(300, 20261124, drawn -> {
            double ppm = drawn.between(300, 5000);
            double tau = drawn.between(1, 40);
            List<Observation> steady =
                    IntStream.range(0, 30).mapToObj(h -> hoursAgo(h * 0.7, ppm)).toList();
            assertThat(RememberedMean.of(steady, NOW, tau).orElseThrow().value())
                    .isCloseTo(ppm, within(1e-6));
        });
    }

    /** Against τ dx/dt = air − x, stepped by brute force through a night whose air rises from 500 to 1100 ppm. */
    @Test
    void solvesTheSettlingEquation() {
        double tau = 10;
        List<Observation> night = IntStream.rangeClosed(0, 30)
                .mapToObj(h -> hoursAgo(30 - h, 500 + 20 * h))
                .toList();
        double x = 0;
        double weight = 0;
        double dt = 1e-3;
        for (double hour = 0; hour < 30; hour += dt) {
            x += dt / tau * (500 + 20 * (hour + dt / 2) - x);
            weight += dt / tau * (1 - weight);
        }
        assertThat(RememberedMean.of(night, NOW, tau).orElseThrow().value()).isCloseTo(x / weight, within(0.1));
    }

    @Test
    void recentAirCountsMore() {
        double rising = RememberedMean.of(List.of(hoursAgo(20, 400), hoursAgo(0, 1200)), NOW, 8)
                .orElseThrow()
                .value();
        assertThat(rising).isBetween(850.0, 1200.0);
    }
}
