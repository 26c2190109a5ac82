package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.Logged;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Homes that empty, of which it is known how the water follows. */
class AbsenceTest {
    private static final Instant LEFT = Logged.START.plus(Duration.ofHours(8 * 24 + 9));
    private static final Duration DAYS_AWAY = Duration.ofDays(5);
    private static final Instant BACK = LEFT.plus(DAYS_AWAY);
    private static final double END = 0.2;

    /** A day's swing, and beside it a rise of 1 − e^(−t/τ) once they left, back likewise. */
    private static List<Reading> log(double tauH, double end, double noise) {
        return log(tauH, end, noise, 3);
    }

    private static List<Reading> log(double tauH, double end, double noise, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        return IntStream.range(0, 17 * 48)
                .mapToObj(i -> {
                    Instant at = Logged.START.plus(Duration.ofMinutes(30L * i));
                    double swing = 0.15 * Math.sin(2 * Math.PI * (i % 48 - 20) / 48);
                    return new Reading(at, 8 + swing + moved(at, tauH, end) + noise * random.nextGaussian());
                })
                .toList();
    }

    private static double moved(Instant at, double tauH, double end) {
        double since = Duration.between(LEFT, at).toMinutes() / 60.0;
        double backSince = Duration.between(BACK, at).toMinutes() / 60.0;
        double away = since < 0 ? 0 : end * (1 - Math.exp(-since / tauH));
        return backSince < 0 ? away : away - end * (1 - Math.exp(-backSince / tauH));
    }

    private static Absence absence(List<Reading> log, Instant until) {
        return Objects.requireNonNull(Absence.of(log, LEFT, until, t -> false, Logged.ZONE));
    }

    /** Half after τ·ln 2, nine tenths after τ·ln 10, by the formula. */
    @Test
    void tellsHowFastItWentThereAndBack() {
        Absence found = absence(log(10, END, 0.01), BACK);
        assertThat(Objects.requireNonNull(found.cameTo()).mean()).isCloseTo(END, within(0.01));
        for (Absence.Pace pace : List.of(Objects.requireNonNull(found.away()), Objects.requireNonNull(found.back()))) {
            assertThat(pace.half().value()).isCloseTo(10 * Math.log(2), within(1.0));
            assertThat(Objects.requireNonNull(pace.ninety()).value()).isCloseTo(10 * Math.log(10), within(5.0));
        }
        assertThat(found.course().get(0).hours()).isBetween(-24.0, -21.0);
    }

    /** Of logs with other noise, in at least 80 of 100 the nine-in-ten bands hold what is true. */
    @Test
    void itsBandsHold() {
        List<Absence.Pace> paces = IntStream.range(0, 100)
                .mapToObj(seed -> Objects.requireNonNull(
                        absence(log(10, END, 0.01, 100 + seed), BACK).away()))
                .toList();
        assertThat(paces.stream().filter(p -> p.half().holds(10 * Math.log(2)))).hasSizeGreaterThanOrEqualTo(80);
        assertThat(paces.stream().filter(p -> Objects.requireNonNull(p.ninety()).holds(10 * Math.log(10))))
                .hasSizeGreaterThanOrEqualTo(80);
    }

    /** A tank by the twin, in a home that empties: each hour of the clock has an end of its own. */
    @Test
    void readsATankInAHomeThatEmpties() {
        RoomCourse room = Logged.room(
                17,
                h -> h >= 8 * 24 + 9 && h < 8 * 24 + 9 + 24 * DAYS_AWAY.toDays() ? 420 : Logged.HOME.applyAsDouble(h));
        TankParameters tank = new TankParameters(0.9, 1.2, 0.021, 0.039);
        Absence found = absence(Logged.restless(room, tank, d -> tank, 17, 9), BACK);
        assertThat(Objects.requireNonNull(found.cameTo()).mean()).isBetween(0.1, 0.35);
        Absence.Pace away = Objects.requireNonNull(found.away());
        assertThat(away.half().value()).isBetween(2.0, 14.0);
        assertThat(Objects.requireNonNull(away.ninety()).value()).isBetween(8.0, 40.0);
    }

    @Test
    void saysNoPaceOfWhatDidNotMoveOrDidNotLast() {
        assertThat(absence(log(10, 0, 0.02), BACK).away()).isNull();
        Absence aDay = absence(log(10, END, 0.01), LEFT.plus(Duration.ofHours(20)));
        assertThat(aDay.cameTo()).isNull();
        assertThat(aDay.course()).isNotEmpty();
    }

    @Test
    void saysNothingWithoutAWeekBefore() {
        List<Reading> twoDays = log(10, END, 0.01).stream()
                .filter(r -> r.at().isAfter(LEFT.minus(Duration.ofDays(2))))
                .toList();
        @Nullable Absence none = Absence.of(twoDays, LEFT, BACK, t -> false, Logged.ZONE);
        assertThat(none).isNull();
        assertThat(Absence.of(log(10, END, 0.01), LEFT, BACK, t -> t.isBefore(LEFT), Logged.ZONE))
                .isNull();
    }
}
