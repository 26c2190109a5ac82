package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.effects.Effect.Verdict;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Logged;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Agitation;
import jollytide.core.measure.AlkalinityChange;
import jollytide.core.measure.MeasureSet;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A change of a tank whose truth is known, told apart from what else went on. */
class EffectTest {
    private static final TankParameters TRUTH = new TankParameters(0.9, 1.2, 0.021, 0.039);
    private static final int DAYS = 20;
    private static final int DAYS_BEFORE = 9;
    private static final Instant CHANGED = Logged.START.plus(Duration.ofHours(24L * DAYS_BEFORE + 18));
    private static final double ALKALINITY = 3.03;
    private static final Doubt NO_DOUBT = new Doubt(0, 0);
    private static final Windows WINDOWS =
            Windows.of(CHANGED, CHANGED, List.of(), Duration.ofDays(2), LocalDate.of(2026, 10, 4), Logged.ZONE);
    /** Guests moved in on the very day. */
    private static double crowded(int hour) {
        return Logged.HOME.applyAsDouble(hour) + (hour >= 24 * DAYS_BEFORE + 18 ? 300 : 0);
    }

    private static List<TwinState> states(RoomCourse room, MeasureSet since) {
        OrdinaryDays days = new OrdinaryDays(Logged.TANK, TRUTH, room);
        List<TwinState> states = new ArrayList<>(
                days.run(days.today(Logged.START), MeasureSet.NONE, Duration.between(Logged.START, CHANGED)));
        TwinState last = states.get(states.size() - 1);
        states.addAll(days.run(last, since, Duration.ofDays(DAYS).minus(Duration.between(Logged.START, CHANGED))));
        return states;
    }

    private static TankLog log(List<Reading> ph, RoomCourse room, double alkalinitySince) {
        List<Reading> tests = IntStream.range(0, DAYS)
                .mapToObj(d -> new Reading(
                        Logged.START.plus(Duration.ofHours(24L * d + 19)),
                        d < DAYS_BEFORE ? ALKALINITY : alkalinitySince))
                .toList();
        return new TankLog(ph, List.of(), room, true, new AlkalinityCourse(tests));
    }

    private static FittedTank before(TankLog all) {
        Instant end = WINDOWS.change().atStartOfDay(Logged.ZONE).toInstant();
        List<Reading> ph = all.ph().stream().filter(r -> r.at().isBefore(end)).toList();
        return Logged.fit(
                Logged.TANK,
                new TankLog(
                        ph,
                        List.of(),
                        all.room(),
                        true,
                        AlkalinityCourse.of(List.of(new Reading(Logged.START, ALKALINITY)))));
    }

    private static Effect effect(TankLog log) {
        return Objects.requireNonNull(Effect.of(
                List.of(log), Logged.TANK, before(log).apart(), WINDOWS, day -> false, NO_DOUBT, Logged.ZONE));
    }

    private static double trough(List<TwinState> states) {
        return Shift.median(DayOfWater.of(Logged.ph(states), Logged.ZONE).stream()
                .filter(d -> WINDOWS.isAfter(d.day()))
                .map(DayOfWater::trough)
                .toList());
    }

    @Test
    void whatTheRoomDidOnTheSameDayIsTakenOff() {
        RoomCourse room = Logged.room(DAYS, EffectTest::crowded);
        MeasureSet livelier = MeasureSet.of(new Agitation(3));
        List<TwinState> with = states(room, livelier);
        double truth = trough(with) - trough(states(room, MeasureSet.NONE));
        Effect effect = effect(log(Logged.ph(with), room, ALKALINITY));
        Comparison trough = effect.trough();
        assertThat(trough.left().band().holds(truth)).isTrue();
        assertThat(trough.left().value()).isCloseTo(truth, within(0.02));
        assertThat(trough.raw()).as("raw").isLessThan(truth - 0.05);
        assertThat(trough.explained()).isLessThan(-0.05);
        assertThat(effect.ofAlkalinity()).isCloseTo(0, within(0.005));
        assertThat(effect.daysBefore()).hasSize(DAYS_BEFORE);
    }

    /**
     * At the same CO2 pH goes about with the logarithm of alkalinity: log10(2.73 / 3.03) = −0.045; at the trough, where
     * the reef's own CO2 moves less buffered water further, a little more.
     */
    @Test
    void whatAlkalinityDidIsTakenOffAndSaid() {
        RoomCourse room = Logged.room(DAYS, Logged.HOME);
        List<TwinState> fallen = states(room, MeasureSet.of(new AlkalinityChange(-0.3)));
        Effect effect = effect(log(Logged.ph(fallen), room, ALKALINITY - 0.3));
        assertThat(effect.ofAlkalinity()).isCloseTo(Math.log10(2.73 / 3.03), within(0.01));
        assertThat(effect.trough().left().value()).isCloseTo(0, within(0.012));
    }

    @Test
    void whatIsPossibleHoldsTheTruth() {
        MeasureSet livelier = MeasureSet.of(new Agitation(3));
        OrdinaryDays days = new OrdinaryDays(Logged.TANK, TRUTH);
        TwinState today = days.today(CHANGED);
        double truth = days.settled(today, livelier).troughPh()
                - days.settled(today, MeasureSet.NONE).troughPh();
        TankLog log = log(
                Logged.ph(states(Logged.room(DAYS, Logged.HOME), MeasureSet.NONE)),
                Logged.room(DAYS, Logged.HOME),
                ALKALINITY);
        List<TankParameters> tanks = before(log).apart();
        Estimate possible =
                Objects.requireNonNull(Effect.possible(Logged.TANK, Logged.TANK.with(livelier), tanks, CHANGED));
        assertThat(possible.holds(truth)).isTrue();
    }

    /** Days far apart are run each by itself: here both lie in one log, and what comes of it is nearly the same. */
    @Test
    void daysInARunOfTheirOwnSayTheSame() {
        RoomCourse room = Logged.room(DAYS, EffectTest::crowded);
        TankLog log = log(Logged.ph(states(room, MeasureSet.of(new Agitation(3)))), room, ALKALINITY);
        Instant then = WINDOWS.change().atStartOfDay(Logged.ZONE).toInstant();
        Instant after = WINDOWS.after().atStartOfDay(Logged.ZONE).toInstant();
        TankLog first = part(log, Instant.EPOCH, then);
        TankLog second = part(log, after, Instant.MAX);
        Effect together = effect(log);
        Effect apart = Objects.requireNonNull(Effect.of(
                List.of(first, second),
                Logged.TANK,
                before(log).apart(),
                WINDOWS,
                day -> false,
                NO_DOUBT,
                Logged.ZONE));
        assertThat(apart.daysAfter()).isEqualTo(together.daysAfter());
        assertThat(apart.trough().raw()).isEqualTo(together.trough().raw());
        assertThat(apart.trough().left().value())
                .isCloseTo(together.trough().left().value(), within(0.01));
    }

    private static TankLog part(TankLog log, Instant from, Instant until) {
        return new TankLog(
                log.ph().stream()
                        .filter(r -> !r.at().isBefore(from) && r.at().isBefore(until))
                        .toList(),
                List.of(),
                log.room(),
                true,
                log.alkalinity());
    }

    @Test
    void withoutATwinNothingIsExplained() {
        RoomCourse room = Logged.room(DAYS, Logged.HOME);
        TankLog log = log(Logged.ph(states(room, MeasureSet.NONE)), room, ALKALINITY);
        Effect raw = Objects.requireNonNull(
                Effect.of(List.of(log), Logged.TANK, List.of(), WINDOWS, day -> false, NO_DOUBT, Logged.ZONE));
        assertThat(raw.explained()).isFalse();
        assertThat(raw.trough().explained())
                .isCloseTo(raw.trough().raw() - raw.trough().left().value(), within(1e-12));
        assertThat(Effect.of(List.of(log), Logged.TANK, List.of(), WINDOWS, day -> true, NO_DOUBT, Logged.ZONE))
                .isNull();
    }

    private static Effect with(int days, double low, double high) {
        List<LocalDate> all = LocalDate.of(2026, 10, 1)
                .datesUntil(LocalDate.of(2026, 10, 1).plusDays(days))
                .toList();
        double middle = (low + high) / 2;
        double deviation = (high - low) / 2 / 1.645;
        Comparison c = new Comparison(
                7.9,
                7.9 + middle,
                middle,
                0,
                new Comparison.Remainder(middle, deviation, deviation, low, high),
                0.02,
                0.5);
        return new Effect(all, all, c, c, c, true, 0);
    }

    @ParameterizedTest
    @CsvSource({
        "3, 0.08, 0.14, 0.10, 0.15, AS_POSSIBLE",
        "3, -0.02, 0.04, 0.10, 0.15, LESS_THAN_POSSIBLE",
        "3, 0.02, 0.06, 0.10, 0.15, LESS_THAN_POSSIBLE",
        "3, 0.20, 0.30, 0.10, 0.15, MORE_THAN_POSSIBLE",
        "3, -0.30, -0.20, -0.15, -0.10, MORE_THAN_POSSIBLE",
        "3, -0.06, -0.02, 0.10, 0.15, LESS_THAN_POSSIBLE",
        "3, -0.02, 0.12, 0.10, 0.15, NOT_TOLD",
        "3, -0.02, 0.02, 0.00, 0.00, NONE_EXPECTED",
        "3, 0.02, 0.06, , , ROSE",
        "3, -0.06, -0.02, , , FELL",
        "3, -0.06, 0.02, , , NOT_TOLD",
        "2, 0.08, 0.14, 0.10, 0.15, THIN",
    })
    void whatCanBeSaidFollowsFromWhatIsLeftAndWhatIsPossible(
            int days, double low, double high, @Nullable Double least, @Nullable Double most, Verdict said) {
        Estimate possible = least == null || most == null ? null : new Estimate((least + most) / 2, least, most);
        assertThat(with(days, low, high).verdict(possible)).isEqualTo(said);
    }

    /**
     * By hand: of five days on each side the deviation is 0.0243; a change of 0.05 is told four times in five from
     * 0.05 / 2.487 = 0.0201 on. With n days after, 0.0243 · √((1/5 + 1/n) / (2/5)) is that at n = 14.
     */
    @Test
    void daysThatAreMissingAreCounted() {
        assertThat(with(5, -0.04, 0.04).moreDays(0.05)).isEqualTo(9);
        assertThat(with(5, -0.04, 0.04).moreDays(0.2)).isZero();
        assertThat(with(5, -0.04, 0.04).moreDays(0.01)).isNull();
        assertThat(with(2, -0.04, 0.04).moreDays(0.05)).isNull();
    }
}
