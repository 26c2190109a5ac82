package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Reservoirs of which it is known how much was delivered. */
class DeliveredTest {
    private static final Instant FILLED = Instant.parse("2026-10-01T08:00:00Z");
    private static final DosePlan SIXTY = new DosePlan(List.of(new DosePlan.DailyDose(FILLED, 60)));

    private static Instant day(double days) {
        return FILLED.plus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private static Delivered of(ReservoirLevel... levels) {
        return Objects.requireNonNull(Delivered.of(List.of(levels), SIXTY));
    }

    /** Common practice, no source: 1600 mL at 60 mL a day is empty after 26.7 days; after 36 to 37 it was 72 to 74 %. */
    @ParameterizedTest
    @CsvSource({"36, 0, 0.74", "37, 0, 0.72", "36, 60, 0.71", "37, 60, 0.69"})
    void aBottleThatLastedTooLong(double days, double leftMl, double share) {
        Delivered found = of(new ReservoirLevel(FILLED, 1600, 5), new ReservoirLevel(day(days), leftMl, 5));
        assertThat(found.share().value()).isCloseTo(share, within(0.005));
        assertThat(found.fallsShort()).isTrue();
        assertThat(found.tooMuch()).isFalse();
        assertThat(1600 / SIXTY.mlPerDay(FILLED)).isCloseTo(26.7, within(0.05));
    }

    /** Half way through the plan was doubled: what was planned is 300 + 600 mL. */
    @Test
    void followsAPlanThatChanged() {
        DosePlan doubled =
                new DosePlan(List.of(new DosePlan.DailyDose(day(5), 120), new DosePlan.DailyDose(FILLED, 60)));
        Delivered found = Objects.requireNonNull(Delivered.of(
                List.of(new ReservoirLevel(FILLED, 1600, 5), new ReservoirLevel(day(10), 700, 5)), doubled));
        assertThat(found.plannedMl()).isCloseTo(900, within(1e-9));
        assertThat(found.share().value()).isCloseTo(1, within(1e-9));
        assertThat(doubled.mlPerDay(day(-1))).isZero();
        assertThat(doubled.planned(day(-3), day(-1))).isZero();
    }

    @Test
    void moreThanPlannedIsSaidToo() {
        Delivered found = of(new ReservoirLevel(FILLED, 1600, 5), new ReservoirLevel(day(10), 800, 15));
        assertThat(found.tooMuch()).isTrue();
        assertThat(found.fallsShort()).isFalse();
    }

    @Test
    void withoutAPlanNothingIsShort() {
        assertThat(Delivered.of(
                        List.of(new ReservoirLevel(FILLED, 1600, 5), new ReservoirLevel(day(5), 1600, 5)),
                        new DosePlan(List.of())))
                .isNull();
    }

    /** Of 200 bands nine in ten, give or take, hold what is true; each day's dose scatters by a twentieth. */
    @Test
    void itsBandHolds() {
        SplittableRandom random = new SplittableRandom(8);
        long held = IntStream.range(0, 200)
                .filter(k -> {
                    double truth = 0.7 + 0.35 * random.nextDouble();
                    List<ReservoirLevel> levels = new ArrayList<>(List.of(new ReservoirLevel(FILLED, 1600, 1)));
                    double holds = 1600;
                    for (int day = 1; day <= 14; day++) {
                        holds -= 60 * truth * (1 + 0.05 * random.nextGaussian());
                        levels.add(new ReservoirLevel(day(day), holds + 15 * random.nextGaussian(), 15));
                    }
                    return Objects.requireNonNull(Delivered.of(levels, SIXTY))
                            .share()
                            .holds(truth);
                })
                .count();
        assertThat(held).isBetween(168L, 194L);
    }

    /** Levels that jump about by far more than a mark can be read to widen the band. */
    @Test
    void restlessLevelsSayLess() {
        Delivered calm = of(
                new ReservoirLevel(FILLED, 1600, 5),
                new ReservoirLevel(day(2), 1480, 5),
                new ReservoirLevel(day(4), 1360, 5),
                new ReservoirLevel(day(6), 1240, 5));
        Delivered restless = of(
                new ReservoirLevel(FILLED, 1600, 5),
                new ReservoirLevel(day(2), 1400, 5),
                new ReservoirLevel(day(4), 1440, 5),
                new ReservoirLevel(day(6), 1240, 5));
        assertThat(restless.share().high() - restless.share().low())
                .isGreaterThan(5 * (calm.share().high() - calm.share().low()));
        assertThat(restless.fallsShort()).isFalse();
    }
}
