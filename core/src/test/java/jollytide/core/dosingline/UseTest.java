package jollytide.core.dosingline;

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
                Use.of(tests(5, 7, -0.1 * DKH, 0, 1), daily(Estimate.exact(0.5 * DKH)), Use.ALKALINITY_TEST));
        assertThat(use.perDay().value()).isCloseTo(0.6 * DKH, within(1e-9));
        assertThat(use.changedPerDay().value()).isCloseTo(-0.1 * DKH, within(1e-9));
        assertThat(use.perDay().high() - use.perDay().value()).isCloseTo(1.645 * 0.036 / Math.sqrt(490), within(1e-6));
    }

    @Test
    void whatArrivedIsInTheBand() {
        Estimate arrived = new Estimate(0.2, 0.15, 0.22);
        Use use = Objects.requireNonNull(Use.of(tests(5, 7, 0, 0, 1), daily(arrived), Use.ALKALINITY_TEST));
        assertThat(use.perDay().low()).isLessThan(0.15);
        assertThat(use.perDay().high()).isBetween(0.22, 0.23);
    }

    @Test
    void itsBandHolds() {
        long held = IntStream.range(0, 200)
                .filter(seed -> Objects.requireNonNull(Use.of(
                                tests(5, 7, -0.02, 0.036, seed), daily(Estimate.exact(0.08)), Use.ALKALINITY_TEST))
                        .perDay()
                        .holds(0.1))
                .count();
        assertThat(held).isGreaterThanOrEqualTo(175);
    }

    /** 20.04 mg/L of calcium go with 1 meq/L into calcium carbonate: 40.078 ÷ 2, by its formula. */
    @Test
    void calciumGoesWithAlkalinity() {
        Use alkalinity = used(new Estimate(0.1, 0.08, 0.12));
        Use calcium = used(new Estimate(2.004, 1.5, 2.5));
        Estimate ratio = Objects.requireNonNull(Use.calciumPerMeq(calcium, alkalinity));
        assertThat(ratio.value()).isCloseTo(40.078 / 2, within(0.01));
        assertThat(ratio.low()).isCloseTo(1.5 / 0.12, within(1e-9));
        assertThat(ratio.high()).isCloseTo(2.5 / 0.08, within(1e-9));
        assertThat(Use.calciumPerMeq(null, alkalinity)).isNull();
        assertThat(Use.calciumPerMeq(calcium, used(new Estimate(0.1, -0.1, 0.3))))
                .isNull();
    }

    /** 0.4 dKH arrived a day before and 0.5 since; tests stood, and then fell by 0.1: from 0.4 to 0.6 a day. */
    @Test
    void useBeforeAChangeAndSince() {
        Instant changed = START.plus(Duration.ofDays(40));
        Use.Arrivals arrivals =
                (from, until) -> Estimate.exact((from.isBefore(changed) ? 0.4 : 0.5) * DKH * days(from, until));
        UseStep step = Objects.requireNonNull(
                UseStep.of(tests(6, 7, 0, 0, 1), later(tests(6, 7, -0.1 * DKH, 0, 1)), arrivals));
        assertThat(step.changed().value()).isCloseTo(0.2 * DKH, within(1e-9));
        double half = step.before().perDay().high() - step.before().perDay().value();
        assertThat(step.changed().high() - step.changed().value()).isCloseTo(half * Math.sqrt(2), within(1e-9));
        assertThat(step.said()).isEqualTo(UseStep.Said.ROSE);
        assertThat(UseStep.of(tests(6, 7, 0, 0, 1), tests(2, 7, 0, 0, 1), daily(Estimate.exact(0))))
                .isNull();
    }

    private static List<Reading> later(List<Reading> tests) {
        return tests.stream()
                .map(t -> new Reading(t.at().plus(Duration.ofDays(42)), t.value()))
                .toList();
    }

    /** Where nothing changed at most about one in ten says that it did. */
    @Test
    void useThatStayedIsSeldomCalledChanged() {
        long called = IntStream.range(0, 300)
                .filter(seed -> Objects.requireNonNull(UseStep.of(
                                        tests(6, 7, -0.02, 0.036, 2L * seed),
                                        tests(5, 7, -0.02, 0.036, 2L * seed + 1),
                                        daily(Estimate.exact(0.08))))
                                .said()
                        != UseStep.Said.NOT_TOLD)
                .count();
        assertThat(called).isLessThanOrEqualTo(36);
    }

    /**
     * 0.077 meq/L a day are used. A pump that brings three quarters for eight days, half as much again for seven, then all:
     * what tests did in four weeks beside what arrived in them would be 0.071.
     */
    @Test
    void aPlanThatChangedOnTheWayIsNoUse() {
        double use = 0.077;
        Use.Arrivals arrivals =
                (from, until) -> Estimate.exact(use * (brought(days(START, until)) - brought(days(START, from))));
        List<Reading> tests = IntStream.rangeClosed(0, 8)
                .mapToObj(i -> {
                    double day = 3.5 * i;
                    return new Reading(
                            START.plus(Duration.ofMinutes(Math.round(1440 * day))), 3 + use * (brought(day) - day));
                })
                .toList();
        Use found = Objects.requireNonNull(Use.of(tests, arrivals, Use.ALKALINITY_TEST));
        assertThat(found.perDay().value()).isCloseTo(use, within(1e-9));
        assertThat(found.arrivedPerDay().value()).isCloseTo(use * (6 + 10.5 + 13) / 28, within(1e-6));
        assertThat(found.changedPerDay().value())
                .isCloseTo(found.arrivedPerDay().value() - use, within(1e-9));
    }

    /** Days' worth of use that had been brought by some day. */
    private static double brought(double day) {
        return 0.75 * Math.min(day, 8) + 1.5 * Math.max(0, Math.min(day, 15) - 8) + Math.max(0, day - 15);
    }

    private static double days(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0;
    }

    private static Use.Arrivals daily(Estimate perDay) {
        return (from, until) -> perDay.times(days(from, until));
    }

    private static Use used(Estimate perDay) {
        return new Use(perDay, Estimate.exact(0), Estimate.exact(0), 4);
    }

    @Test
    void twoTestsOrOneDayTellNothing() {
        assertThat(Use.of(tests(2, 7, 0, 0, 1), daily(Estimate.exact(0)), Use.ALKALINITY_TEST))
                .isNull();
        assertThat(Use.of(tests(4, 0, 0, 0, 1), daily(Estimate.exact(0)), Use.ALKALINITY_TEST))
                .isNull();
    }
}
