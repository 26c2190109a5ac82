package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CancellationException;
import java.util.function.Predicate;
import java.util.stream.Stream;
import jollytide.core.air.AirLine;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a log tells of a tank whose truth is known, and what it does not. */
class TwinFitTest {
    private static final TankParameters TRUTH = new TankParameters(0.75, 1.3, 0.024, 0.041);
    private static final int DAYS = 10;
    private static final RoomCourse ROOM = Logged.room(DAYS, Logged.HOME);
    private static final List<TwinState> STATES = Logged.states(Logged.TANK, TRUTH, DAYS, ROOM);
    private static final List<Reading> PH = Logged.ph(STATES);
    private static final FittedTank FITTED = Logged.fit(Logged.TANK, Logged.log(PH, ROOM));

    private static FittedTank.Learned of(FittedTank fitted, Unknown unknown) {
        return fitted.learned().stream()
                .filter(l -> l.unknown() == unknown)
                .findFirst()
                .orElseThrow();
    }

    private static FittedTank fitted(Predicate<Reading> logged) {
        return Logged.fit(Logged.TANK, Logged.log(PH.stream().filter(logged).toList(), ROOM));
    }

    private static int localHour(Reading r) {
        return r.at().atZone(Logged.ZONE).getHour();
    }

    private static boolean before(Reading r, Duration end) {
        return r.at().isBefore(Logged.START.plus(end));
    }

    @ParameterizedTest
    @CsvSource({"RESPIRATION,0.2877", "PHOTOSYNTHESIS,0.1872", "SKIMMER,-0.2877", "SURFACES,0.2624"})
    void findsWhatMadeTheLog(Unknown unknown, double truth) {
        FittedTank.Learned learned = of(FITTED, unknown);
        assertThat(learned.size()).isCloseTo(truth, within(1.645 * learned.deviation()));
        assertThat(learned.deviation()).isPositive().isLessThanOrEqualTo(learned.before());
    }

    @Test
    void tellsRespirationFarBetterThanItWasKnown() {
        assertThat(FITTED.likely().respirationMmolPerLPerH()).isCloseTo(0.024, within(0.003));
        assertThat(of(FITTED, Unknown.RESPIRATION).deviation()).isLessThan(0.25);
        assertThat(of(FITTED, Unknown.PHOTOSYNTHESIS).deviation()).isLessThan(0.15);
    }

    /** The log of one probe says nothing of what that probe and the alkalinity test are off together, nor of air changes. */
    @Test
    void whatTheLogCannotTellStaysAsItWas() {
        assertThat(of(FITTED, Unknown.ALKALINITY).deviation()).isGreaterThan(0.8 * 0.071);
        FittedTank.Learned changes = of(FITTED, Unknown.AIR_CHANGES);
        assertThat(changes.size()).isZero();
        assertThat(changes.deviation()).isEqualTo(changes.before());
    }

    @Test
    void readingsStayCloseToTheMostProbableTank() {
        assertThat(FITTED.left())
                .hasSizeGreaterThan(400)
                .allSatisfy(r -> assertThat(r.value()).isCloseTo(0, within(0.02)));
        assertThat(FITTED.implausible(Logged.TANK)).isNull();
    }

    @Test
    void aProbeThatDriftsIsFoundOut() {
        List<Reading> drifting = PH.stream()
                .map(r -> new Reading(
                        r.at(),
                        r.value()
                                + 0.004 * Duration.between(Logged.START, r.at()).toHours() / 24.0))
                .toList();
        FittedTank fitted = TwinFit.of(
                Logged.TANK,
                TankParameters.ORDINARY,
                Logged.log(drifting, ROOM),
                Priors.ASSUMED.withProbe(0.02, 0.004),
                TwinFit.Progress.NONE);
        FittedTank.Learned drift = of(fitted, Unknown.DRIFT);
        assertThat(drift.size()).isGreaterThan(0.001).isCloseTo(0.004, within(1.645 * drift.deviation()));
        assertThat(drift.deviation()).isLessThan(0.004);
    }

    @Test
    void lampsThatAreAnHourLateAreFoundOut() {
        List<TwinState> late = Logged.states(
                Logged.TANK.corrected(new TankParameters(1, 1, 1, 1, 0, 0, 1, 1, 1, 1, 1)), TRUTH, DAYS, ROOM);
        FittedTank fitted = Logged.fit(Logged.TANK, Logged.log(Logged.ph(late), ROOM));
        assertThat(of(fitted, Unknown.LAMPS).size()).isCloseTo(1, within(0.15));
    }

    /** Oxygen is not carbon: with both the exchange and the reef are told apart better than with pH alone. */
    @Test
    void oxygenTellsMore() {
        List<Reading> oxygen = new ArrayList<>();
        for (int i = 0; i < STATES.size(); i += 2) {
            oxygen.add(new Reading(STATES.get(i).at(), STATES.get(i).oxygenMgPerL() + 0.2));
        }
        TankLog both =
                new TankLog(PH, oxygen, ROOM, true, AlkalinityCourse.of(List.of(new Reading(Logged.START, 3.03))));
        FittedTank fitted = Logged.fit(Logged.TANK, both);
        assertThat(of(fitted, Unknown.RESPIRATION).deviation())
                .isLessThan(0.9 * of(FITTED, Unknown.RESPIRATION).deviation());
        assertThat(fitted.likely().respirationMmolPerLPerH()).isCloseTo(0.024, within(0.003));
        FittedTank.Learned probe = of(fitted, Unknown.OXYGEN_PROBE);
        assertThat(probe.size()).isCloseTo(0.2, within(1.645 * probe.deviation()));
    }

    /** The less is logged, the more is left open; never nothing. */
    @Test
    void lessLogLeavesMoreOpen() {
        double whole = of(FITTED, Unknown.RESPIRATION).deviation();
        double twoDays = of(fitted(r -> before(r, Duration.ofDays(2))), Unknown.RESPIRATION)
                .deviation();
        double daytime = of(fitted(r -> localHour(r) >= 11 && localHour(r) < 20), Unknown.RESPIRATION)
                .deviation();
        assertThat(whole).isPositive();
        assertThat(twoDays).isGreaterThan(whole).isLessThan(0.5);
        assertThat(daytime).isGreaterThan(whole).isLessThan(0.5);
        FittedTank hours = fitted(r -> before(r, Duration.ofHours(10)));
        assertThat(hours.left()).isEmpty();
        assertThat(hours.likely()).isEqualTo(TankParameters.ORDINARY);
        assertThat(of(hours, Unknown.RESPIRATION).deviation()).isEqualTo(0.5);
        assertThat(hours.implausible(Logged.TANK)).isNull();
    }

    /** Three weeks without a reading, over the night in which the clocks go back. */
    @Test
    void aGapOverAClockChangeDoesNoHarm() {
        int days = 45;
        RoomCourse room = Logged.room(days, Logged.HOME);
        List<Reading> ph = Logged.ph(Logged.states(Logged.TANK, TRUTH, days, room)).stream()
                .filter(r -> before(r, Duration.ofDays(18)) || !before(r, Duration.ofDays(39)))
                .toList();
        Instant clocksGoBack = Instant.parse("2026-10-25T01:00:00Z");
        assertThat(ph.get(ph.size() - 1).at()).isAfter(clocksGoBack);
        FittedTank fitted = Logged.fit(Logged.TANK, Logged.log(ph, room));
        FittedTank.Learned respiration = of(fitted, Unknown.RESPIRATION);
        assertThat(respiration.size()).isCloseTo(0.2877, within(1.645 * respiration.deviation()));
        assertThat(fitted.left()).allSatisfy(r -> assertThat(r.value()).isCloseTo(0, within(0.02)));
    }

    @Test
    void aTankWithoutSkimmerIsFittedToo() {
        var bare = Logged.tank(null);
        FittedTank fitted = Logged.fit(bare, Logged.log(Logged.ph(Logged.states(bare, TRUTH, DAYS, ROOM)), ROOM));
        assertThat(fitted.unknowns()).doesNotContain(Unknown.SKIMMER, Unknown.OXYGEN_PROBE);
        FittedTank.Learned surfaces = of(fitted, Unknown.SURFACES);
        assertThat(surfaces.size()).isCloseTo(0.2624, within(1.645 * surfaces.deviation()));
    }

    /** A classroom: full on some days, empty on others. Fitted to the mean day of both, its reef would come out wrong. */
    @Test
    void eachDayIsFittedInItsOwnRoom() {
        RoomCourse room = Logged.room(DAYS, h -> h / 24 % 3 == 0 || h % 24 < 8 || h % 24 > 16 ? 450 : 2200);
        FittedTank fitted =
                Logged.fit(Logged.TANK, Logged.log(Logged.ph(Logged.states(Logged.TANK, TRUTH, DAYS, room)), room));
        FittedTank.Learned respiration = of(fitted, Unknown.RESPIRATION);
        assertThat(respiration.size()).isCloseTo(0.2877, within(1.645 * respiration.deviation()));
    }

    @Test
    void someOddReadingsDoNotMoveIt() {
        List<Reading> odd = new ArrayList<>(PH);
        Stream.of(100, 101, 250, 380)
                .forEach(i -> odd.set(i, new Reading(odd.get(i).at(), odd.get(i).value() - 0.4)));
        FittedTank fitted = Logged.fit(Logged.TANK, Logged.log(odd, ROOM));
        assertThat(of(fitted, Unknown.RESPIRATION).size())
                .isCloseTo(of(FITTED, Unknown.RESPIRATION).size(), within(0.1));
    }

    /** A room meter that reads 1600 too much: the reef would have to live on making far more than it breathes. */
    @Test
    void anImpossibleLogIsSaid() {
        FittedTank high = Logged.fit(Logged.TANK, Logged.log(PH, Logged.room(DAYS, h -> 2500)));
        assertThat(Objects.requireNonNull(high.implausible(Logged.TANK))).contains("room meter");
        List<Reading> wild = PH.stream()
                .map(r -> new Reading(r.at(), localHour(r) < 12 ? 6.5 : 9.3))
                .toList();
        FittedTank none = Logged.fit(Logged.TANK, Logged.log(wild, ROOM));
        assertThat(Objects.requireNonNull(none.implausible(Logged.TANK))).contains("Check the");
    }

    /** A night with the skimmer off, entered as such, tells its exchange; passed over in silence it spoils the fit. */
    @Test
    void aNightWithoutSkimmerTellsWhatItDoes() {
        Instant off = Logged.START.plus(Duration.ofDays(8)).plus(Duration.ofHours(21));
        Instant on = off.plus(Duration.ofHours(13));
        OrdinaryDays days = new OrdinaryDays(Logged.TANK, TRUTH, ROOM);
        Duration every = Duration.ofMinutes(15);
        List<TwinState> states = new ArrayList<>(STATES.subList(0, (8 * 24 + 21) * 4));
        List<TwinState> night = days.run(
                states.get(states.size() - 1), MeasureSet.of(new SkimmerDraw(0)), Duration.between(off, on), every);
        states.addAll(night);
        states.addAll(days.run(night.get(night.size() - 1), MeasureSet.NONE, Duration.ofHours(14), every));
        TankLog silent = Logged.log(Logged.ph(states), ROOM);
        TankLog entered = silent.with(
                List.of(new TankLog.Interlude(off, on, Logged.TANK.with(MeasureSet.of(new SkimmerDraw(0))))));
        FittedTank.Learned skimmer = of(Logged.fit(Logged.TANK, entered), Unknown.SKIMMER);
        assertThat(skimmer.size()).isCloseTo(Math.log(0.75), within(1.645 * skimmer.deviation()));
        assertThat(skimmer.deviation())
                .isLessThan(0.7 * of(FITTED, Unknown.SKIMMER).deviation());
        assertThat(most(Logged.fit(Logged.TANK, silent).left())).isGreaterThan(0.05);
    }

    /**
     * A hose was fitted halfway: the tank before it and the tank with it are one reef. Taken for one tank the whole time,
     * the log says something else of it.
     */
    @Test
    void whatWasLearntBeforeAChangeIsKeptAfterIt() {
        Setup with =
                Logged.TANK.with(MeasureSet.of(new OutdoorLine(new AirLine(4, 12.7, AirLine.ASSUMED_LOSS), null, 0)));
        Instant fitted = Logged.START.plus(Duration.ofDays(7));
        List<TwinState> states = new ArrayList<>(STATES.subList(0, 7 * 24 * 4));
        states.addAll(new OrdinaryDays(with, TRUTH, ROOM)
                .run(STATES.get(7 * 24 * 4), MeasureSet.NONE, Duration.ofDays(2), Duration.ofMinutes(15)));
        TankLog silent = Logged.log(Logged.ph(states), ROOM);
        TankLog known = silent.with(List.of(new TankLog.Interlude(Logged.START, fitted, Logged.TANK)));
        FittedTank one = Logged.fit(with, known);
        FittedTank other = Logged.fit(with, silent);
        assertThat(most(one.left())).isLessThan(0.5 * most(other.left()));
        FittedTank.Learned respiration = of(one, Unknown.RESPIRATION);
        FittedTank.Learned before = of(FITTED, Unknown.RESPIRATION);
        assertThat(respiration.size()).isCloseTo(before.size(), within(before.deviation()));
        assertThat(respiration.deviation()).isLessThan(1.5 * before.deviation());
    }

    /** What animals use hangs on the saturation; that tells nothing of by how much the probe is off. */
    @Test
    void aUseOfAlkalinityIsOneMoreUnknownAndCalibratesNoProbe() {
        Setup uses = Logged.using(Logged.TANK, 0.3);
        FittedTank fitted = Logged.fit(uses, Logged.log(Logged.ph(Logged.states(uses, TRUTH, DAYS, ROOM)), ROOM));
        assertThat(of(fitted, Unknown.PROBE).deviation())
                .isGreaterThan(0.6 * of(FITTED, Unknown.PROBE).deviation());
        FittedTank.Learned use = of(fitted, Unknown.USE);
        // 99 in a hundred: over these days the saturation was not quite that of an ordinary one.
        assertThat(use.size()).isCloseTo(0, within(2.576 * use.deviation()));
        assertThat(FITTED.learned()).noneMatch(l -> l.unknown() == Unknown.USE);
    }

    /**
     * Where much is used, alkalinity rises by night and falls by day. A run that brought it back at one stroke would step
     * at midnight, and the fit would take the use away rather than the step.
     */
    @Test
    void aHighUseIsFoundAndNoHourSteps() {
        Setup uses = Logged.using(Logged.TANK, 0.6);
        List<TwinState> states = Logged.states(uses, TRUTH, DAYS, ROOM);
        TankLog log = Logged.log(Logged.ph(states), ROOM);
        FittedTank fitted = Logged.fit(uses, log);
        FittedTank.Learned use = of(fitted, Unknown.USE);
        assertThat(use.size()).isCloseTo(0, within(1.645 * use.deviation()));
        FittedTank.Learned respiration = of(fitted, Unknown.RESPIRATION);
        assertThat(respiration.size())
                .isCloseTo(
                        Math.log(TRUTH.respirationMmolPerLPerH() / TankParameters.ORDINARY.respirationMmolPerLPerH()),
                        within(1.645 * respiration.deviation()));
        double[] run = new LogRun(uses, log)
                .run(TRUTH, 0).stream().mapToDouble(TwinState::phNbs).toArray();
        // Nothing switches by night: at midnight the run bends as it does half an hour before and after.
        for (int i = 48; i < run.length - 2; i += 48) {
            assertThat(bend(run, i) - (bend(run, i - 1) + bend(run, i + 1)) / 2)
                    .as("midnight %s", i / 48)
                    .isBetween(-0.0002, 0.0002);
        }
    }

    private static double bend(double[] run, int i) {
        return run[i + 1] - 2 * run[i] + run[i - 1];
    }

    private static double most(List<Reading> left) {
        return left.stream().mapToDouble(r -> Math.abs(r.value())).max().orElseThrow();
    }

    @Test
    void aFitCanBeEnded() {
        TwinFit.Progress ends = share -> {
            throw new CancellationException("enough");
        };
        TankLog log = Logged.log(PH, ROOM);
        assertThatThrownBy(() -> TwinFit.of(Logged.TANK, TankParameters.ORDINARY, log, Priors.ASSUMED, ends))
                .isInstanceOf(CancellationException.class);
    }
}
