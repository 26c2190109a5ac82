package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.Agitation;
import jollytide.core.measure.Dose;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.NobodyHome;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.Fish;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What scenarios say in numbers, worked out beside them. */
class ScenarioNumbersTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final TankParameters ORDINARY = TankParameters.ORDINARY;

    private static Setup tank(@Nullable Skimmer skimmer, double surfaceM2, double roomPpm) {
        return Setup.plain(
                300,
                WATER,
                AlkalinityUnit.DKH.toMeqPerL(8.5),
                Gases.STANDARD_HPA,
                List.of(new Surface(surfaceM2, SurfaceClass.RIPPLED)),
                skimmer,
                420,
                new RoomDay(DailyAir.constant(roomPpm), 0.3),
                new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
                ZoneId.of("Europe/Amsterdam"));
    }

    /** τ = V ρ (∂DIC/∂pCO2) ÷ G, at 900 µatm; twice the surface halves it. */
    @Test
    void howLongTheWaterTakes() {
        OrdinaryDays days = new OrdinaryDays(tank(null, 0.7, 900), ORDINARY);
        TwinState today = days.today(MIDNIGHT);
        CarbonateSystem system = CarbonateSystem.of(WATER);
        double alkalinity = AlkalinityUnit.DKH.toMeqPerL(8.5) / 1000 / WATER.densityKgPerL();
        double perKgAtm = (system.fromAlkalinityAndCo2(alkalinity, 905).dic()
                        - system.fromAlkalinityAndCo2(alkalinity, 895).dic())
                / 10e-6;
        double conductance = new Surface(0.7, SurfaceClass.RIPPLED).conductance(Gas.CO2, WATER);
        double expected = 300 * WATER.densityKgPerL() * perKgAtm / conductance;
        assertThat(days.timeConstantH(today, MeasureSet.NONE)).isCloseTo(expected, withinPercentage(0.1));
        assertThat(days.timeConstantH(today, MeasureSet.of(new Agitation(2))))
                .isCloseTo(expected / 2, withinPercentage(0.1));
    }

    /** A settled day ends as it began, and only the last day of a run counts. */
    @Test
    void theSettledDay() {
        OrdinaryDays days = new OrdinaryDays(tank(new Skimmer(400), 0.7, 900), ORDINARY);
        TwinState today = days.today(MIDNIGHT);
        List<TwinState> run = days.run(today, MeasureSet.NONE, Duration.ofDays(1));
        assertThat(run).hasSize(96);
        TwinState next = run.get(95);
        assertThat(next.phNbs()).isCloseTo(today.phNbs(), within(1e-3));
        assertThat(next.oxygenMgPerL()).isCloseTo(today.oxygenMgPerL(), within(5e-3));
        List<TwinState> moved = days.run(today, MeasureSet.of(new Agitation(0.3)), Duration.ofDays(3));
        SettledDay last = OrdinaryDays.settled(moved);
        List<TwinState> lastDay = moved.subList(192, 288);
        assertThat(last).isEqualTo(SettledDay.of(lastDay));
        TwinState trough = lastDay.stream()
                .min(Comparator.comparingDouble(TwinState::phNbs))
                .orElseThrow();
        assertThat(last.troughPh()).isEqualTo(trough.phNbs());
        assertThat(last.troughAt()).isEqualTo(trough.at());
        assertThat(last.peakPh()).isGreaterThan(last.troughPh() + 0.05);
        assertThat(last.highestOmega())
                .isEqualTo(lastDay.stream()
                        .mapToDouble(TwinState::omegaAragonite)
                        .max()
                        .orElseThrow());
        assertThat(OrdinaryDays.band(List.of(3.0, 1.0, 5.0))).isEqualTo(new Estimate(3, 1, 5));
    }

    private record Tried(MeasureSet set, SettledDay today, List<TwinState> run, List<String> cautions) {}

    private static Tried tried(Setup setup, TankParameters metabolism, Measure... put) {
        OrdinaryDays days = new OrdinaryDays(setup, metabolism);
        TwinState state = days.today(MIDNIGHT);
        MeasureSet set = MeasureSet.of(put);
        List<TwinState> run = days.run(state, set, Duration.ofDays(7));
        SettledDay today = days.settled(state, MeasureSet.NONE);
        double lowest = run.stream().mapToDouble(TwinState::oxygenMgPerL).min().orElseThrow();
        return new Tried(set, today, run, Cautions.of(set, today, run, lowest));
    }

    /** The step that is warned of is that of the middle between trough and peak, of the first day or of the last. */
    @Test
    void thePaceIsTheMovedMiddle() {
        Scrubber media = new Scrubber(new Media(5, MediaAssumptions.DEFAULT), 1, MediaUse.Hours.ALWAYS, 8.2, false);
        Tried stuffy = tried(tank(new Skimmer(400), 0.7, 2600), ORDINARY, media);
        double before = middle(stuffy.today());
        double first = middle(SettledDay.of(stuffy.run().subList(0, 96))) - before;
        double last = middle(OrdinaryDays.settled(stuffy.run())) - before;
        double farthest = Math.abs(first) > Math.abs(last) ? first : last;
        assertThat(Math.abs(farthest)).isGreaterThan(Cautions.DAILY_CHANGE_PH);
        assertThat(stuffy.cautions())
                .anyMatch(c -> c.startsWith("The daily average moves by %+.2f. ".formatted(farthest)));
        Tried mild = tried(tank(new Skimmer(400), 0.7, 700), ORDINARY, new Agitation(1.3));
        assertThat(Math.abs(middle(OrdinaryDays.settled(mild.run())) - middle(mild.today())))
                .isLessThan(Cautions.DAILY_CHANGE_PH);
        assertThat(mild.cautions()).noneMatch(c -> c.contains("daily average"));
    }

    private static double middle(SettledDay day) {
        return (day.troughPh() + day.peakPh()) / 2;
    }

    /** 0.4 meq/(L·day) of lye: the highest pH of the run and its Ω are the ones named. */
    @Test
    void whatADoseLiftsIsNamed() {
        Tried lye = tried(
                tank(null, 0.5, 420),
                new TankParameters(1, 0.006, 0.012),
                new Dose(AlkalinitySource.SODIUM_HYDROXIDE, 0.4));
        double ph = lye.run().stream().mapToDouble(TwinState::phNbs).max().orElseThrow();
        double omega =
                lye.run().stream().mapToDouble(TwinState::omegaAragonite).max().orElseThrow();
        assertThat(lye.cautions())
                .anyMatch(c -> c.contains("on the way pH reaches %.2f, above".formatted(ph)))
                .anyMatch(c -> c.contains("aragonite is %.1f times saturated".formatted(omega)));
        Tried nothing = tried(tank(null, 0.7, 700), ORDINARY, new NobodyHome());
        assertThat(nothing.cautions()).noneMatch(c -> c.contains("on the way") || c.contains("aragonite"));
    }

    @Test
    void lowOxygenIsToldWithItsNumbers() {
        Tried crowded =
                tried(tank(new Skimmer(390), 0.35, 700), new TankParameters(1, 0.11, 0.13), new SkimmerDraw(0.3));
        double lowest = crowded.run().stream()
                .mapToDouble(TwinState::oxygenMgPerL)
                .min()
                .orElseThrow();
        assertThat(crowded.cautions().get(0))
                .as("animals first")
                .startsWith("Oxygen may fall to %.1f mg/L before lights-on, from %.1f."
                        .formatted(lowest, crowded.today().lowestOxygenMgPerL()));
    }

    @Test
    void limitsSayWhyInWords() {
        Setup setup = tank(new Skimmer(400), 0.7, 700);
        OrdinaryDays days = new OrdinaryDays(setup, ORDINARY);
        TwinState today = days.today(MIDNIGHT);
        DoseLimit blind = DoseLimit.of(days, setup, MeasureSet.of(new Dose(AlkalinitySource.BICARBONATE, 1)), today, 1);
        assertThat(blind.because()).startsWith("Describe how much alkalinity your animals use");
        assertThat(AlkalinityUnit.DKH.fromMeqPerL(blind.allowedMeqPerLPerDay())).isCloseTo(1, within(1e-9));
        double most = AlkalinityUnit.DKH.toMeqPerL(1);
        assertThat(DoseLimit.of(days, setup, MeasureSet.of(new Dose(AlkalinitySource.BICARBONATE, most)), today, 1))
                .as("1 dKH a day is allowed")
                .isNull();
        assertThat(DoseLimit.of(days, setup, MeasureSet.NONE, today, 1)).isNull();
        assertThat(DoseLimit.daysFor(2.5)).isEqualTo(2.5);
    }

    /** The worst of the tanks whose animals could live; where none could, the first. */
    @Test
    void theWorstLivingTankLosesItsMains() {
        Setup setup = tank(null, 0.7, 700);
        TankParameters quiet = new TankParameters(1, 0.004, 0);
        TankParameters hungry = new TankParameters(1, 0.008, 0);
        TankParameters dead = new TankParameters(1, 0.9, 0);
        TankAtFailure worst = failing(setup, quiet, hungry, dead);
        assertThat(worst.reefMmolPerLPerH()).isEqualTo(0.008);
        assertThat(worst.startMgPerL()).isLessThan(failing(setup, quiet).startMgPerL());
        assertThat(worst.contradictedByItsAnimals()).isFalse();
        assertThat(failing(setup, dead).contradictedByItsAnimals()).isTrue();
        assertThat(worst.startMeasured()).isFalse();
        assertThat(worst.fedWithinHours()).isEqualTo(WorstNight.FED_H);
        assertThat(worst.surfaceM2()).isEqualTo(0.7);
        assertThat(worst.room().celsius()).isEqualTo(17);
        assertThat(worst.startC()).isCloseTo(25.5, within(1e-9));
        assertThat(failing(setup, 3, quiet).startC()).isCloseTo(28.5, within(1e-9));
        assertThat(worst.fish()).isEqualTo(Fish.NONE);
    }

    /**
     * Of the tanks that could be behind the log one is short of breath on hot nights, and lives on ordinary ones. A hotter
     * night is never safer, and what the worst of them holds is what OxygenMargin shows.
     */
    @Test
    void aHotterNightIsNeverSafer() {
        Setup setup = tank(null, 2, 700);
        List<TankParameters> could = List.of(
                new TankParameters(1, 0.012, 0), new TankParameters(1, 0.02, 0), new TankParameters(1, 0.028, 0));
        List<TwinState> settled = could.stream()
                .map(tank -> new OrdinaryDays(setup, tank).today(MIDNIGHT))
                .toList();
        double before = Double.MAX_VALUE;
        for (double warmer : new double[] {0, 1, 2, 3, 4, 6}) {
            WorstNight.Night night = WorstNight.of(setup, could, settled, warmer, RoomAround.known(27), 0);
            assertThat(night.lowestMgPerL()).isLessThan(before);
            assertThat(night.tank().startMgPerL()).isEqualTo(night.lowestMgPerL());
            before = night.lowestMgPerL();
        }
        OxygenMargin.Night hottest = new OxygenMargin(setup, could, RoomAround.known(27), 0)
                .answer(settled).nights().stream()
                        .filter(n -> n.strain() == OxygenMargin.Strain.HOTTEST_DAY)
                        .findFirst()
                        .orElseThrow();
        WorstNight.Night same = WorstNight.of(setup, could, settled, WorstNight.HOTTEST_K, RoomAround.known(27), 0);
        assertThat(same.lowestMgPerL()).isCloseTo(hottest.lowestMgPerL(), within(1e-9));
        assertThat(same.lowestMgPerL()).as("short of breath").isLessThan(3);
    }

    private static TankAtFailure failing(Setup setup, TankParameters... tanks) {
        return failing(setup, 0, tanks);
    }

    private static TankAtFailure failing(Setup setup, double warmerByK, TankParameters... tanks) {
        List<TwinState> settled = List.of(tanks).stream()
                .map(tank -> new OrdinaryDays(setup, tank).today(MIDNIGHT))
                .toList();
        return WorstNight.of(setup, List.of(tanks), settled, warmerByK, RoomAround.known(17), 0)
                .tank();
    }

    /** Three helps on a hot night, each better than none, the best first; a stone is asked for below 5 mg/L only. */
    @Test
    void whatHelpsIsRanked() {
        OxygenMargin.Answer quiet = margin(tank(null, 2, 700), new TankParameters(1, 0.002, 0));
        assertThat(quiet.changes()).hasSize(3);
        assertThat(quiet.changes())
                .extracting(OxygenMargin.Change::lowestMgPerL)
                .isSortedAccordingTo(Comparator.reverseOrder());
        assertThat(quiet.stoneNeeded()).isFalse();
        OxygenMargin.Answer hungry = margin(tank(null, 0.35, 700), new TankParameters(1, 0.03, 0));
        assertThat(hungry.stoneNeeded()).isTrue();
        double worst = hungry.nights().stream()
                .mapToDouble(OxygenMargin.Night::lowestMgPerL)
                .min()
                .orElseThrow();
        assertThat(hungry.changes())
                .allSatisfy(c -> assertThat(c.lowestMgPerL()).isGreaterThan(worst));
        // half of four degrees: the night two degrees warmer
        OxygenMargin.Change cooler = hungry.changes().stream()
                .filter(c -> c.what().contains("chiller"))
                .findFirst()
                .orElseThrow();
        TankAtFailure half = failing(tank(null, 0.35, 700), 2, new TankParameters(1, 0.03, 0));
        assertThat(cooler.lowestMgPerL()).isCloseTo(half.startMgPerL(), within(0.01));
    }

    private static OxygenMargin.Answer margin(Setup setup, TankParameters tank) {
        return new OxygenMargin(setup, List.of(tank), RoomAround.expected(27), 0)
                .answer(List.of(new OrdinaryDays(setup, tank).today(MIDNIGHT)));
    }
}
