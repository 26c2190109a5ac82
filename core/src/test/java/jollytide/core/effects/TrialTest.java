package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.SplittableRandom;
import jollytide.core.air.AirLine;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Logged;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** A change that was taken back before a whole day had passed, of a tank whose truth is known. */
class TrialTest {
    private static final TankParameters TRUTH = new TankParameters(0.9, 1.2, 0.021, 0.039);
    private static final int DAYS_BEFORE = 9;
    private static final Instant BEGAN = Logged.START.plus(Duration.ofHours(24L * DAYS_BEFORE + 18));
    private static final RoomCourse ROOM = Logged.room(DAYS_BEFORE + 4, Logged.HOME);
    private static final MeasureSet OUTDOOR_AIR =
            MeasureSet.of(new OutdoorLine(new AirLine(4, 25, AirLine.ASSUMED_LOSS), DailyAir.constant(420), 0));

    /** Each day's reef is a little livelier or lazier. */
    private static List<Reading> ph(MeasureSet since, Duration length) {
        SplittableRandom random = new SplittableRandom(11);
        List<TwinState> states = new ArrayList<>();
        TwinState state = new OrdinaryDays(Logged.TANK, TRUTH, ROOM).today(Logged.START);
        while (state.at().isBefore(BEGAN.plus(length))) {
            Instant day = state.at().plus(Duration.ofDays(1));
            Instant next = state.at().isBefore(BEGAN) && day.isAfter(BEGAN) ? BEGAN : day;
            next = next.isAfter(BEGAN.plus(length)) ? BEGAN.plus(length) : next;
            TankParameters today = new TankParameters(
                    TRUTH.skimmerFactor(),
                    TRUTH.surfaceFactor(),
                    TRUTH.respirationMmolPerLPerH() * Math.exp(0.04 * random.nextGaussian()),
                    TRUTH.photosynthesisMmolPerLPerH() * Math.exp(0.04 * random.nextGaussian()));
            List<TwinState> run = new OrdinaryDays(Logged.TANK, today, ROOM)
                    .run(
                            state,
                            state.at().isBefore(BEGAN) ? MeasureSet.NONE : since,
                            Duration.between(state.at(), next));
            states.addAll(run.subList(0, run.size() - 1));
            state = run.get(run.size() - 1);
        }
        return Logged.ph(states);
    }

    private static TankLog log(List<Reading> ph) {
        return new TankLog(ph, List.of(), ROOM, true, new AlkalinityCourse(List.of(new Reading(Logged.START, 3.03))));
    }

    private static @Nullable Trial trial(List<Reading> ph, Duration length, @Nullable Setup since) {
        FittedTank before = Logged.fit(
                Logged.TANK, log(ph.stream().filter(r -> r.at().isBefore(BEGAN)).toList()));
        return Trial.of(
                log(ph),
                Logged.TANK,
                before.apart(),
                since,
                before.apart().subList(0, 3),
                BEGAN,
                BEGAN.plus(length),
                day -> false,
                new Doubt(0, 0),
                Logged.ZONE);
    }

    private static Trial of(MeasureSet done, long hours, @Nullable Setup since) {
        Duration length = Duration.ofHours(hours);
        return Objects.requireNonNull(trial(ph(done, length), length, since));
    }

    /** What such a line adds in these very hours, once most of it has come through. */
    private static double truth(Duration length) {
        OrdinaryDays days = new OrdinaryDays(Logged.TANK, TRUTH, ROOM);
        List<TwinState> until =
                days.run(days.today(Logged.START), MeasureSet.NONE, Duration.between(Logged.START, BEGAN));
        TwinState began = until.get(until.size() - 1);
        return last(days.run(began, OUTDOOR_AIR, length)) - last(days.run(began, MeasureSet.NONE, length));
    }

    private static double last(List<TwinState> run) {
        return run.subList(run.size() / 3, run.size()).stream()
                .mapToDouble(TwinState::phNbs)
                .average()
                .orElseThrow();
    }

    @Test
    void aDayAndANightTellWhereItWouldEnd() {
        Trial trial = of(OUTDOOR_AIR, 26, Logged.TANK.with(OUTDOOR_AIR));
        assertThat(trial.left().value()).isCloseTo(truth(Duration.ofHours(26)), within(0.03));
        assertThat(trial.left().claimed()).isTrue();
        assertThat(trial.through()).isBetween(0.8, 1.0);
        assertThat(Objects.requireNonNull(trial.possible()).low()).isPositive();
        assertThat(Effect.Verdict.of(trial.left(), trial.possible())).isEqualTo(Effect.Verdict.AS_POSSIBLE);
        assertThat(trial.halfHours().get(0).rises()).isCloseTo(0, within(0.02));
    }

    /** The room empties in these hours as on every day: no merit of anything. */
    @Test
    void whatTheDayItselfDoesIsNotTheChanges() {
        Trial trial = of(MeasureSet.NONE, 20, null);
        assertThat(trial.left().claimed()).as("%s", trial.left()).isFalse();
        assertThat(trial.possible()).isNull();
    }

    @Test
    void aShorterTrialIsLessSure() {
        Trial.HalfHour last = of(OUTDOOR_AIR, 8, null).halfHours().get(15);
        assertThat(last.rises()).isPositive();
        assertThat(width(of(OUTDOOR_AIR, 8, null))).isGreaterThan(width(of(OUTDOOR_AIR, 26, null)));
    }

    private static double width(Trial trial) {
        return trial.left().band().high() - trial.left().band().low();
    }

    /** Three days before it are too few for a band, and so are hours that nobody logged. */
    @Test
    void whereTooLittleWasLoggedNothingIsSaid() {
        Duration length = Duration.ofHours(20);
        List<Reading> ph = ph(OUTDOOR_AIR, length);
        Instant late = BEGAN.minus(Duration.ofDays(3));
        assertThat(trial(ph.stream().filter(r -> r.at().isAfter(late)).toList(), length, null))
                .isNull();
        Instant silent = BEGAN.plus(Duration.ofHours(8));
        assertThat(trial(ph.stream().filter(r -> r.at().isBefore(silent)).toList(), length, null))
                .isNull();
    }
}
