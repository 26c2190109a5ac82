package jollytide.core.aftermath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import jollytide.core.fit.Reading;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What is tested after filters stood still, and for how long. */
class AftermathTest {
    private static final Instant BACK = Instant.parse("2026-10-01T06:00:00Z");
    private static final Seawater WATER = new Seawater(35, 25);

    private static Instant hours(double h) {
        return BACK.plus(Duration.ofMinutes(Math.round(60 * h)));
    }

    /** One test a day, twelve hours after the mains came back and on. */
    private static List<Reading> daily(double... mgPerL) {
        return IntStream.range(0, mgPerL.length)
                .mapToObj(i -> new Reading(hours(12 + 24 * i), mgPerL[i]))
                .toList();
    }

    private static @Nullable Aftermath after(
            List<Reading> ammonia, List<Reading> nitrite, List<Aftermath.Changed> changed, double atH) {
        return Aftermath.of(BACK, ammonia, nitrite, changed, WATER, 8.2, hours(atH));
    }

    @Test
    void bothAreTestedDailyUntilTwoZeros() {
        Aftermath first = Objects.requireNonNull(after(List.of(), List.of(), List.of(), 1));
        assertThat(first.testBy()).isEqualTo(BACK);
        assertThat(first.day()).isEqualTo(1);
        assertThat(first.spike()).isNull();
        Aftermath second = Objects.requireNonNull(after(daily(0.1, 0), daily(0, 0.1), List.of(), 40));
        assertThat(second.testBy()).isEqualTo(hours(60));
        assertThat(second.day()).isEqualTo(2);
        assertThat(after(daily(0.1, 0, 0), daily(0, 0.1, 0), List.of(), 61)).isNotNull();
        assertThat(after(daily(0.1, 0, 0, 0), daily(0, 0.1, 0, 0), List.of(), 85))
                .isNull();
    }

    /** Only ammonia was tested: nitrite is still due. */
    @Test
    void oneOfBothIsNotEnough() {
        assertThat(Objects.requireNonNull(after(daily(0, 0, 0), List.of(), List.of(), 61))
                        .testBy())
                .isEqualTo(BACK);
    }

    /** Two tests of one afternoon are one. */
    @Test
    void zerosLieHalfADayApart() {
        List<Reading> twice = List.of(new Reading(hours(12), 0), new Reading(hours(14), 0));
        assertThat(after(twice, twice, List.of(), 15)).isNotNull();
    }

    /**
     * 1.5 mg/L of nitrogen at pH 8.2 NBS, 25 °C and S 35: 6.0 % of it are poisonous, 0.09 mg/L. Down to 0.025 takes 72 % of
     * new water: twice 47 %.
     */
    @Test
    void aSpikeIsBroughtDown() {
        Aftermath.Spike spike =
                Objects.requireNonNull(Objects.requireNonNull(after(daily(1.5), daily(0), List.of(), 13))
                        .spike());
        assertThat(spike.poisonousMgPerL()).isCloseTo(0.090, within(0.002));
        assertThat(spike.times()).isEqualTo(2);
        assertThat(Math.pow(1 - spike.share(), spike.times()) * spike.poisonousMgPerL())
                .isCloseTo(0.025, within(1e-9));
        assertThat(spike.share()).isCloseTo(0.473, within(0.01));
        List<Aftermath.Changed> once = List.of(new Aftermath.Changed(hours(12.5), 0.473));
        assertThat(Objects.requireNonNull(after(daily(1.5), daily(0), once, 13)).spike())
                .isNull();
        // What was changed before the test is in it already.
        List<Aftermath.Changed> before = List.of(new Aftermath.Changed(hours(11), 0.473));
        assertThat(Objects.requireNonNull(after(daily(1.5), daily(0), before, 13))
                        .spike())
                .isNotNull();
    }

    /** Without an outage it begins with what a test found; three weeks later nobody is asked any more. */
    @Test
    void whatATestFoundIsFollowed() {
        Aftermath found =
                Objects.requireNonNull(Aftermath.of(null, daily(0.3), List.of(), List.of(), WATER, 8.2, hours(20)));
        assertThat(found.testBy()).isEqualTo(hours(12));
        assertThat(Aftermath.of(null, daily(0), daily(0), List.of(), WATER, 8.2, hours(20)))
                .isNull();
        assertThat(after(List.of(), List.of(), List.of(), 24 * 22)).isNull();
        assertThat(Aftermath.of(null, List.of(), List.of(), List.of(), WATER, 8.2, hours(20)))
                .isNull();
    }
}
