package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import jollytide.core.evidence.Estimate;
import org.junit.jupiter.api.Test;

class ScoreTest {
    @Test
    void whatCameIsCountedInsideOrOutside() {
        Estimate forecast = new Estimate(7.90, 7.85, 7.95);
        Score score = Score.of(List.of(
                        new Score.Pair(forecast, 7.92), new Score.Pair(forecast, 7.85), new Score.Pair(forecast, 7.98)))
                .orElseThrow();
        assertThat(score.n()).isEqualTo(3);
        assertThat(score.inside()).isEqualTo(2);
        assertThat(score.off()).isCloseTo((0.02 + 0.05 + 0.08) / 3, within(1e-9));
        assertThat(score.tooHigh()).isCloseTo((-0.02 + 0.05 - 0.08) / 3, within(1e-9));
        assertThat(Score.of(List.of())).isEmpty();
    }

    @Test
    void fewDaysTellNothingOfHowDaysDiffer() {
        Estimate ordinary = new Estimate(8, 7.95, 8.03);
        assertThat(DayAhead.of(ordinary, List.of(7.8, 8.2))).isEqualTo(ordinary);
        assertThat(DayAhead.of(ordinary, List.of(8.0, 8.0, 8.0))).isEqualTo(ordinary);
    }

    /** Days that differ as the days before did lie inside 9 in 10, when the tank itself is known exactly. */
    @Test
    void theBandHoldsNineInTenOfTheDaysToCome() {
        Random random = new Random(20261126);
        List<Double> days = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            days.add(7.9 + 0.04 * random.nextGaussian());
        }
        Estimate ahead = DayAhead.of(Estimate.exact(7.9), days);
        int inside = 0;
        for (int i = 0; i < 2000; i++) {
            double came = 7.9 + 0.04 * random.nextGaussian();
            inside += came >= ahead.low() && came <= ahead.high() ? 1 : 0;
        }
        assertThat(inside / 2000.0).isBetween(0.87, 0.93);
    }

    /** Also where few days were logged: around their mean a day to come lies inside 9 in 10. */
    @Test
    void fewDaysWidenIt() {
        Random random = new Random(11);
        int inside = 0;
        for (int log = 0; log < 4000; log++) {
            List<Double> days = random.doubles(5, 0, 1)
                    .mapToObj(u -> 7.9 + 0.04 * random.nextGaussian())
                    .toList();
            double mean = days.stream().mapToDouble(d -> d).average().orElseThrow();
            Estimate ahead = DayAhead.of(Estimate.exact(mean), days);
            double came = 7.9 + 0.04 * random.nextGaussian();
            inside += came >= ahead.low() && came <= ahead.high() ? 1 : 0;
        }
        assertThat(inside / 4000.0).isBetween(0.88, 0.92);
    }
}
