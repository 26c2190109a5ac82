package jollytide.core.doses;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import jollytide.core.evidence.Estimate;
import org.junit.jupiter.api.Test;

/** 60 mL a day from 1600 mL: three quarters of it in the first ten days, all of it in the next ten. */
class DosedLineTest {
    private static final Instant FILLED = Instant.parse("2026-10-01T08:00:00Z");
    private static final Solution LIMEWATER = new Solution(Solution.Solute.LIMEWATER, 0.0203);
    private static final Schedule SIXTY = new Schedule(List.of(new Schedule.DailyDose(FILLED, 60)));

    private static Instant day(double days) {
        return FILLED.plus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private static Delivered run(double from, double fromMl, double until, double untilMl) {
        return Objects.requireNonNull(Delivered.of(
                List.of(new ReservoirLevel(day(from), fromMl, 5), new ReservoirLevel(day(until), untilMl, 5)), SIXTY));
    }

    private static final DosedLine LINE = new DosedLine(
            LIMEWATER,
            SIXTY,
            null,
            List.of(run(0, 1600, 10, 1150), run(10, 1150, 20, 550)),
            new ReservoirLevel(day(20), 550, 5));

    @Test
    void saysWhatArrivedByTheLevelsOfEachRun() {
        assertThat(LINE.arrivedMl(day(0), day(20)).value()).isCloseTo(450 + 600, within(1e-6));
        assertThat(LINE.arrivedMl(day(5), day(10)).value()).isCloseTo(225, within(1e-6));
        // Since the last level by what it showed.
        assertThat(LINE.arrivedMl(day(20), day(22)).value()).isCloseTo(120, within(1e-6));
        Estimate all = LINE.arrivedMl(day(0), day(20));
        assertThat(all.low()).isLessThan(all.value());
        assertThat(all.high()).isGreaterThan(all.value());
    }

    @Test
    void saysWhenItWillBeEmpty() {
        Estimate left = Objects.requireNonNull(LINE.daysLeft(day(22)));
        assertThat(left.value()).isCloseTo(550 / 60.0 - 2, within(1e-6));
        assertThat(left.low()).isLessThan(left.value());
        assertThat(left.high()).isGreaterThan(left.value());
        assertThat(Objects.requireNonNull(LINE.daysLeft(day(200))).value()).isZero();
    }

    /** Of a line at which nobody looked it is assumed that nine tenths to all of it arrive. */
    @Test
    void whatNobodyLookedAtIsAssumed() {
        DosedLine unseen = new DosedLine(LIMEWATER, SIXTY, null, List.of(), null);
        assertThat(unseen.daysLeft(day(1))).isNull();
        assertThat(unseen.arrivedMl(day(0), day(10))).isEqualTo(new Estimate(600, 540, 630));
        DosedLine nothing = new DosedLine(LIMEWATER, new Schedule(List.of()), null, List.of(), LINE.last());
        assertThat(nothing.daysLeft(day(1))).isNull();
        assertThat(nothing.arrivedMl(day(0), day(10)).value()).isZero();
    }
}
