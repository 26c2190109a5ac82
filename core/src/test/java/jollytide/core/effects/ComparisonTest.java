package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ComparisonTest {
    /** Worked by hand; common practice, no source: three days before a fan, one after it. */
    @Test
    void threeDaysBeforeAndOneAfterAreThin() {
        Comparison lows = Comparison.raw(List.of(7.75, 7.72, 7.71), List.of(7.81), 0);
        assertThat(lows.raw()).isCloseTo(0.09, within(1e-9));
        assertThat(lows.scatter()).isCloseTo(0.02, within(0.001));
        // Scatter 0.0208 of three days, Student's t of two degrees at 95 % 2.920: 2.920 · 0.0208 · √(1/3 + 1) = 0.070.
        assertThat(lows.left().band().low()).isCloseTo(0.09 - 0.0703, within(0.0005));
        Comparison highs = Comparison.raw(List.of(7.92, 7.89), List.of(7.98), 0);
        assertThat(highs.raw()).isCloseTo(0.075, within(1e-9));
        Comparison single = Comparison.raw(List.of(7.9), List.of(8.0), 0);
        assertThat(single.left().low()).isNull();
        assertThat(single.left().claimed()).isFalse();
        assertThat(single.scatter()).isNull();
    }

    /** Hodges and Lehmann 1963: of 1, 2, 3 and 2, 4, 9 the nine differences are -1 … 8, their median 2. */
    @Test
    void oneOddDayDoesNotMoveIt() {
        assertThat(Shift.between(new double[] {1, 2, 3}, new double[] {2, 4, 9}))
                .isEqualTo(2);
        assertThat(Shift.between(new double[] {1, 2, 3}, new double[] {2, 4, 900}))
                .isEqualTo(2);
    }

    @Test
    void rawIsWhatIsExplainedAndWhatIsLeft() {
        List<Double> before = List.of(7.80, 7.82, 7.81, 7.79);
        List<Double> after = List.of(7.95, 7.93, 7.97, 7.94);
        Comparison.Expected tank = new Comparison.Expected(
                before, before.stream().map(v -> v + 0.05).toList());
        Comparison c = Comparison.of(before, after, List.of(tank), 0);
        assertThat(c.raw()).isCloseTo(c.explained() + c.left().value(), within(1e-12));
        assertThat(c.left().value()).isCloseTo(0.09, within(0.012));
        assertThat(c.left().claimed()).isTrue();
        assertThat(c.chance()).isLessThan(0.01);
    }

    /** What the tanks behind the log do not agree on, and what the probe leaves open, is in the band. */
    @Test
    void doubtWidensTheBand() {
        List<Double> days = List.of(7.80, 7.82, 7.81, 7.79, 7.8, 7.81);
        Comparison.Expected same = new Comparison.Expected(days, days);
        Comparison.Expected other =
                new Comparison.Expected(days, days.stream().map(v -> v + 0.06).toList());
        double alone = width(Comparison.of(days, days, List.of(same), 0));
        assertThat(width(Comparison.of(days, days, List.of(same, other), 0)))
                .isCloseTo(Math.hypot(alone, 2 * 1.645 * 0.06), within(1e-6));
        assertThat(width(Comparison.of(days, days, List.of(same), 0.03))).isGreaterThan(alone + 0.05);
    }

    private static double width(Comparison c) {
        return c.left().band().high() - c.left().band().low();
    }

    /** Days that follow each other (a week of guests) are fewer than they look: nine bands in ten hold all the same. */
    @Test
    void theBandHoldsNothingWhereNothingChanged() {
        Random random = new Random(20261126);
        for (double persistence : new double[] {0, 0.4}) {
            for (int n : new int[] {2, 3, 7}) {
                int claimed = 0;
                for (int i = 0; i < 200; i++) {
                    List<Double> days = days(random, 2 * n + 2, persistence);
                    claimed += Comparison.raw(days.subList(0, n), days.subList(n + 2, 2 * n + 2), 0)
                                    .left()
                                    .claimed()
                            ? 1
                            : 0;
                }
                assertThat(claimed / 200.0)
                        .as("%d days, persistence %s", n, persistence)
                        .isLessThan(persistence == 0 ? 0.14 : 0.21);
            }
        }
    }

    private static List<Double> days(Random random, int n, double persistence) {
        List<Double> days = new ArrayList<>();
        double now = random.nextGaussian() / Math.sqrt(1 - persistence * persistence);
        for (int i = 0; i < n; i++) {
            days.add(7.9 + 0.02 * now);
            now = persistence * now + random.nextGaussian();
        }
        return days;
    }

    /** Benjamini and Hochberg 1995, the worked example of their section 3.2: four of fifteen stand at 0.05; from memory. */
    @Test
    void ofManyCardsThoseStandThatFewAreByChance() {
        List<Double> chances = List.of(
                0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.3240, 0.4262, 0.5719, 0.6528,
                0.7590, 1.0);
        assertThat(ManyCards.stand(chances, 0.05)).filteredOn(stands -> stands).hasSize(4);
        assertThat(ManyCards.stand(List.of(), 0.05)).isEmpty();
        assertThat(ManyCards.stand(List.of(0.03))).containsExactly(true);
    }
}
