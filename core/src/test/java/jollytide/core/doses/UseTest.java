package jollytide.core.doses;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Reading;
import org.junit.jupiter.api.Test;

/** Tanks of which it is known what they use. */
class UseTest {
    private static final Instant START = Instant.parse("2026-10-01T18:00:00Z");
    private static final double DKH = 20 / 56.0774;

    private static List<Reading> tests(int n, double everyDays, double perDay, double scatter, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return IntStream.range(0, n)
                .mapToObj(i -> new Reading(
                        START.plus(Duration.ofMinutes(Math.round(1440 * everyDays * i))),
                        3 + perDay * everyDays * i + scatter * random.nextGaussian()))
                .toList();
    }

    /** 0.5 dKH a day arrived, and tests fell by 0.1 a day: 0.6 is used. */
    @Test
    void whatArrivedLessWhatIsLeftOver() {
        Use use = Objects.requireNonNull(
                Use.of(tests(5, 7, -0.1 * DKH, 0, 1), Estimate.exact(0.5 * DKH), Use.ALKALINITY_TEST));
        assertThat(use.perDay().value()).isCloseTo(0.6 * DKH, within(1e-9));
        assertThat(use.changedPerDay().value()).isCloseTo(-0.1 * DKH, within(1e-9));
        assertThat(use.perDay().high() - use.perDay().value()).isCloseTo(1.645 * 0.036 / Math.sqrt(490), within(1e-6));
    }

    @Test
    void whatArrivedIsInTheBand() {
        Estimate arrived = new Estimate(0.2, 0.15, 0.22);
        Use use = Objects.requireNonNull(Use.of(tests(5, 7, 0, 0, 1), arrived, Use.ALKALINITY_TEST));
        assertThat(use.perDay().low()).isLessThan(0.15);
        assertThat(use.perDay().high()).isBetween(0.22, 0.23);
    }

    @Test
    void itsBandHolds() {
        long held = IntStream.range(0, 200)
                .filter(seed -> Objects.requireNonNull(
                                Use.of(tests(5, 7, -0.02, 0.036, seed), Estimate.exact(0.08), Use.ALKALINITY_TEST))
                        .perDay()
                        .holds(0.1))
                .count();
        assertThat(held).isGreaterThanOrEqualTo(175);
    }

    /** 20.04 mg/L of calcium go with 1 meq/L into calcium carbonate: 40.078 ÷ 2, by its formula. */
    @Test
    void calciumGoesWithAlkalinity() {
        Use alkalinity = new Use(new Estimate(0.1, 0.08, 0.12), Estimate.exact(0), 4);
        Use calcium = new Use(new Estimate(2.004, 1.5, 2.5), Estimate.exact(0), 4);
        Estimate ratio = Objects.requireNonNull(Use.calciumPerMeq(calcium, alkalinity));
        assertThat(ratio.value()).isCloseTo(40.078 / 2, within(0.01));
        assertThat(ratio.low()).isCloseTo(1.5 / 0.12, within(1e-9));
        assertThat(ratio.high()).isCloseTo(2.5 / 0.08, within(1e-9));
        assertThat(Use.calciumPerMeq(null, alkalinity)).isNull();
        assertThat(Use.calciumPerMeq(calcium, new Use(new Estimate(0.1, -0.1, 0.3), Estimate.exact(0), 4)))
                .isNull();
    }

    /** 0.4 dKH arrived a day before and 0.5 since; tests stood, and then fell by 0.1: from 0.4 to 0.6 a day. */
    @Test
    void useBeforeAChangeAndSince() {
        UseStep step = Objects.requireNonNull(UseStep.of(
                tests(6, 7, 0, 0, 1),
                Estimate.exact(0.4 * DKH),
                tests(6, 7, -0.1 * DKH, 0, 1),
                Estimate.exact(0.5 * DKH)));
        assertThat(step.changed().value()).isCloseTo(0.2 * DKH, within(1e-9));
        double half = step.before().perDay().high() - step.before().perDay().value();
        assertThat(step.changed().high() - step.changed().value()).isCloseTo(half * Math.sqrt(2), within(1e-9));
        assertThat(step.said()).isEqualTo(UseStep.Said.ROSE);
        assertThat(UseStep.of(tests(6, 7, 0, 0, 1), Estimate.exact(0), tests(2, 7, 0, 0, 1), Estimate.exact(0)))
                .isNull();
    }

    /** Where nothing changed at most about one in ten says that it did. */
    @Test
    void useThatStayedIsSeldomCalledChanged() {
        long called = IntStream.range(0, 300)
                .filter(seed -> Objects.requireNonNull(UseStep.of(
                                        tests(6, 7, -0.02, 0.036, 2L * seed),
                                        Estimate.exact(0.08),
                                        tests(5, 7, -0.02, 0.036, 2L * seed + 1),
                                        Estimate.exact(0.08)))
                                .said()
                        != UseStep.Said.NOT_TOLD)
                .count();
        assertThat(called).isLessThanOrEqualTo(36);
    }

    @Test
    void twoTestsOrOneDayTellNothing() {
        assertThat(Use.of(tests(2, 7, 0, 0, 1), Estimate.exact(0), Use.ALKALINITY_TEST))
                .isNull();
        assertThat(Use.of(tests(4, 0, 0, 0, 1), Estimate.exact(0), Use.ALKALINITY_TEST))
                .isNull();
    }
}
