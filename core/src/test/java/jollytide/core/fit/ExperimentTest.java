package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalTime;
import java.util.List;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.measure.Setup;
import org.junit.jupiter.api.Test;

/** What a measurement would tell, before it is made. */
class ExperimentTest {
    private static final TankParameters TRUTH = new TankParameters(0.75, 1.3, 0.01, 0.02);
    private static final RoomCourse ROOM = Logged.room(8, Logged.HOME);
    private static final FittedTank FITTED =
            Logged.fit(Logged.TANK, Logged.log(Logged.ph(Logged.states(Logged.TANK, TRUTH, 8, ROOM)), ROOM));
    private static final List<Experiment.Promise> RANKED = ranked(Logged.TANK, FITTED);

    private static List<Experiment.Promise> ranked(Setup setup, FittedTank fitted) {
        return Experiment.ranked(setup, fitted, Edges.of(setup, fitted, Logged.START), Logged.START);
    }

    private static Experiment.Promise of(List<Experiment.Promise> ranked, Experiment experiment) {
        return ranked.stream()
                .filter(p -> p.experiment() == experiment)
                .findFirst()
                .orElseThrow();
    }

    private static double narrowing(Experiment experiment, Decision decision) {
        return of(RANKED, experiment).narrowing().get(Decision.of(Logged.TANK).indexOf(decision));
    }

    @Test
    void nothingWidensAndNothingIsCertain() {
        assertThat(RANKED).hasSize(7).allSatisfy(promise -> {
            assertThat(promise.narrowing()).hasSize(Decision.of(Logged.TANK).size());
            assertThat(promise.narrowing())
                    .allSatisfy(share -> assertThat(share).isBetween(0.0, 0.99));
            assertThat(promise.ofTheBest()).isBetween(0.0, 0.99);
        });
    }

    /** With the skimmer off for a night one sees what it does; in two hours a part of that. */
    @Test
    void aNightWithoutSkimmerTellsMost() {
        double night = narrowing(Experiment.SKIMMER_OFF_AT_NIGHT, Decision.TROUGH_WITHOUT_SKIMMER);
        double hours = narrowing(Experiment.SKIMMER_OFF_BEFORE_LIGHT, Decision.TROUGH_WITHOUT_SKIMMER);
        assertThat(night).isGreaterThan(0.3);
        assertThat(hours).isBetween(0.01, night);
        assertThat(narrowing(Experiment.ANOTHER_ALKALINITY_TEST, Decision.TROUGH_WITHOUT_SKIMMER))
                .isLessThan(0.1);
    }

    /** Buffers and kits tell of the level, not of the exchange. */
    @Test
    void buffersTellOfTheLevel() {
        assertThat(narrowing(Experiment.PROBE_IN_BUFFERS, Decision.TROUGH)).isGreaterThan(0.1);
        assertThat(narrowing(Experiment.PROBE_IN_BUFFERS, Decision.TROUGH_WITHOUT_SKIMMER))
                .isLessThan(narrowing(Experiment.SKIMMER_OFF_AT_NIGHT, Decision.TROUGH_WITHOUT_SKIMMER));
        assertThat(narrowing(Experiment.ANOTHER_ALKALINITY_TEST, Decision.ALKALINITY_GAIN))
                .isGreaterThan(narrowing(Experiment.OXYGEN_NIGHT, Decision.ALKALINITY_GAIN));
    }

    /** By hand: an error known to 0.0355 and read once with 0.036 more is known to 0.0253, 29 % less. */
    @Test
    void aSingleReadingNarrowsAsTwoErrorsDo() {
        FittedTank alone = onlyAlkalinity();
        double share = of(ranked(Logged.TANK, alone), Experiment.ANOTHER_ALKALINITY_TEST)
                .narrowing()
                .get(0);
        double sd = 0.0355;
        assertThat(share).isCloseTo(1 - 0.036 / Math.hypot(sd, 0.036), within(0.02));
    }

    private static FittedTank onlyAlkalinity() {
        var covariance = FITTED.covariance().scalarMultiply(1e-4);
        int i = FITTED.unknowns().indexOf(Unknown.ALKALINITY);
        covariance.setEntry(i, i, 0.0355 * 0.0355);
        return new FittedTank(
                FITTED.expected(), FITTED.unknowns(), FITTED.prior(), FITTED.size(), covariance, List.of(), 0, 0, 1);
    }

    @Test
    void theHoursAreThoseOfTheNight() {
        Experiment.Promise night = of(RANKED, Experiment.SKIMMER_OFF_AT_NIGHT);
        assertThat(night.from()).isNotNull();
        assertThat(LocalTime.ofInstant(night.from(), Logged.ZONE)).isEqualTo(LocalTime.of(21, 0));
        assertThat(LocalTime.ofInstant(night.until(), Logged.ZONE)).isEqualTo(LocalTime.of(10, 0));
        Experiment.Promise hours = of(RANKED, Experiment.SKIMMER_OFF_BEFORE_LIGHT);
        assertThat(Duration.between(hours.from(), hours.until())).isEqualTo(Duration.ofHours(2));
        assertThat(hours.until()).isEqualTo(night.until());
    }

    /** From lights-on to lights-off; it parts what the light makes from what is breathed, and says little of the skimmer. */
    @Test
    void aDarkDayTellsOfTheLevelAndLeavesTheSkimmerOpen() {
        Experiment.Promise dark = of(RANKED, Experiment.LAMPS_OFF_FOR_A_DAY);
        assertThat(LocalTime.ofInstant(dark.from(), Logged.ZONE)).isEqualTo(LocalTime.of(10, 0));
        assertThat(Duration.between(dark.from(), dark.until())).isEqualTo(Duration.ofHours(11));
        assertThat(dark.lowestOxygenMgPerL()).isNotNull();
        assertThat(dark.lowestOxygenMgPerL())
                .isLessThan(of(RANKED, Experiment.SKIMMER_OFF_BEFORE_LIGHT).lowestOxygenMgPerL() + 2);
        assertThat(narrowing(Experiment.LAMPS_OFF_FOR_A_DAY, Decision.TROUGH_WITHOUT_SKIMMER))
                .isLessThan(narrowing(Experiment.SKIMMER_OFF_AT_NIGHT, Decision.TROUGH_WITHOUT_SKIMMER));
    }

    /** What could take the animals' oxygen is not advised, however much it would tell. */
    @Test
    void oxygenComesFirst() {
        FittedTank hungry = Logged.fit(
                Logged.TANK,
                Logged.log(
                        Logged.ph(Logged.states(Logged.TANK, new TankParameters(1.2, 0.7, 0.045, 0.08), 8, ROOM)),
                        ROOM));
        List<Experiment.Promise> ranked = ranked(Logged.TANK, hungry);
        Experiment.Promise night = of(ranked, Experiment.SKIMMER_OFF_AT_NIGHT);
        assertThat(night.lowestOxygenMgPerL()).isLessThan(5);
        assertThat(night.allowed()).isFalse();
        assertThat(ranked.get(ranked.size() - 1).allowed()).isFalse();
        assertThat(ranked.get(0).allowed()).isTrue();
        assertThat(of(ranked, Experiment.OXYGEN_NIGHT).allowed()).isTrue();
    }

    /** What is looked at when it begins is what was promised when it was chosen. */
    @Test
    void theOxygenOfItsHoursIsThatOfThePromise() {
        Experiment.Promise hours = of(RANKED, Experiment.SKIMMER_OFF_BEFORE_LIGHT);
        List<TankParameters> edges = Edges.of(Logged.TANK, FITTED, Logged.START);
        Experiment.Oxygen oxygen =
                hours.experiment().oxygen(Logged.TANK, edges, Logged.START, hours.from(), hours.until());
        assertThat(oxygen.lowestMgPerL()).isEqualTo(hours.lowestOxygenMgPerL());
        assertThat(oxygen.allowed()).isTrue();
        Experiment.Oxygen longer = hours.experiment()
                .oxygen(Logged.TANK, edges, Logged.START, hours.from().minus(Duration.ofHours(6)), hours.until());
        assertThat(longer.lowestMgPerL()).isLessThan(oxygen.lowestMgPerL());
        // Nobody presses on the stroke of the hour.
        assertThat(hours.experiment()
                        .oxygen(
                                Logged.TANK,
                                edges,
                                Logged.START,
                                hours.from().plusNanos(1_000_325_361_806L),
                                hours.until().minusSeconds(41)))
                .isEqualTo(oxygen);
    }

    /** Nobody ends it: when the first of the tanks that could be behind the log falls to the line, and not before. */
    @Test
    void itIsKnownWhenOxygenWouldRunShort() {
        TankParameters hungry = new TankParameters(1.2, 0.7, 0.018, 0.036);
        TankParameters hungrier = new TankParameters(1.2, 0.7, 0.024, 0.045);
        Experiment.Promise night = of(RANKED, Experiment.SKIMMER_OFF_AT_NIGHT);
        Experiment.Oxygen alone =
                night.experiment().oxygen(Logged.TANK, List.of(hungry), Logged.START, night.from(), night.until());
        Experiment.Oxygen both = night.experiment()
                .oxygen(Logged.TANK, List.of(hungry, hungrier), Logged.START, night.from(), night.until());
        assertThat(alone.allowed()).isFalse();
        assertThat(alone.cautionAt()).isAfter(night.from()).isBefore(night.until());
        assertThat(both.cautionAt()).isAfter(night.from()).isBefore(alone.cautionAt());
        // Ended just before, it is allowed.
        assertThat(night.experiment()
                        .oxygen(
                                Logged.TANK,
                                List.of(hungry),
                                Logged.START,
                                night.from(),
                                alone.cautionAt().minus(Duration.ofMinutes(30)))
                        .allowed())
                .isTrue();
    }

    /** From the beginning of the day, and for a tank that does not run at all. */
    @Test
    void anExperimentMayBeginWithTheDay() {
        Experiment.Oxygen oxygen = Experiment.SKIMMER_OFF_BEFORE_LIGHT.oxygen(
                Logged.TANK, List.of(TRUTH), Logged.START, Logged.START, Logged.START.plus(Duration.ofHours(1)));
        assertThat(oxygen.lowestMgPerL()).isBetween(4.0, 9.0);
        TankParameters byItsSkimmer = new TankParameters(1.5, 0.05, 0.25, 0.4);
        assertThat(Experiment.SKIMMER_OFF_AT_NIGHT
                        .oxygen(
                                Logged.TANK,
                                List.of(byItsSkimmer),
                                Logged.START,
                                Logged.START,
                                Logged.START.plus(Duration.ofHours(9)))
                        .allowed())
                .isFalse();
    }

    @Test
    void whatIsOpenIsABandOfAllTanks() {
        List<TankParameters> edges = Edges.of(Logged.TANK, FITTED, Logged.START);
        List<Decision.Open> open = Decision.open(Logged.TANK, edges, Logged.START);
        double[] likely = Decision.values(Logged.TANK, edges.get(0), Logged.START);
        assertThat(open).hasSameSizeAs(Decision.of(Logged.TANK));
        for (int i = 0; i < likely.length; i++) {
            assertThat(open.get(i).value().value()).isEqualTo(likely[i]);
            assertThat(open.get(i).width()).isPositive();
        }
        Decision.Open trough = open.get(0);
        Decision.Open half = new Decision.Open(
                trough.decision(),
                new Estimate(
                        trough.value().value(),
                        trough.value().low(),
                        trough.value().low() + trough.width() / 2));
        assertThat(half.narrowedSince(trough)).isCloseTo(0.5, within(1e-9));
        assertThat(trough.narrowedSince(half)).isCloseTo(-1, within(1e-9));
        assertThat(new Decision.Open(trough.decision(), null).width()).isZero();
        assertThat(half.narrowedSince(new Decision.Open(trough.decision(), null)))
                .isZero();
    }

    /** A tank that lives by its skimmer alone: no number is made up of a night that nothing would live through. */
    @Test
    void whatNothingWouldLiveThroughPromisesNothing() {
        TankParameters byItsSkimmer = new TankParameters(1.5, 0.05, 0.25, 0.4);
        FittedTank known = new FittedTank(
                byItsSkimmer,
                FITTED.unknowns(),
                FITTED.prior(),
                FITTED.size().mapMultiply(0),
                FITTED.covariance().scalarMultiply(0.01),
                List.of(),
                0,
                0,
                1);
        List<Experiment.Promise> ranked = Experiment.ranked(Logged.TANK, known, List.of(byItsSkimmer), Logged.START);
        Experiment.Promise night = of(ranked, Experiment.SKIMMER_OFF_AT_NIGHT);
        assertThat(night.allowed()).isFalse();
        assertThat(night.lowestOxygenMgPerL()).isLessThan(2);
        assertThat(ranked).allSatisfy(p -> assertThat(p.ofTheBest()).isBetween(0.0, 1.0));
    }

    @Test
    void onlyWhatATankHasIsProposed() {
        Setup bare = Logged.tank(null);
        FittedTank unlogged = TwinFit.of(
                bare,
                TankParameters.ORDINARY,
                new TankLog(List.of(), List.of(), ROOM, false, AlkalinityCourse.of(List.of())),
                Priors.ASSUMED,
                TwinFit.Progress.NONE);
        assertThat(ranked(bare, unlogged))
                .extracting(Experiment.Promise::experiment)
                .contains(Experiment.ROOM_METER, Experiment.OXYGEN_NIGHT)
                .doesNotContain(Experiment.SKIMMER_OFF_AT_NIGHT, Experiment.SKIMMER_OFF_BEFORE_LIGHT);
    }
}
