package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.Dose;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** As it is, a tank stays as it was tested: doses keep up with the use, whatever is described. */
class BalanceTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final Duration FORTNIGHT = Duration.ofDays(14);
    private static final int A_DAY = 96;
    private static final double CALCIUM_MG_PER_MOL = 40_078;
    private static final List<SurfaceClass> MOVING =
            List.of(SurfaceClass.RIPPLED, SurfaceClass.ROLLING, SurfaceClass.BROKEN);
    private static final List<AlkalinitySource> SOURCES = List.of(
            AlkalinitySource.SODA_ASH,
            AlkalinitySource.BICARBONATE,
            AlkalinitySource.SODIUM_HYDROXIDE,
            AlkalinitySource.POTASSIUM_HYDROXIDE,
            AlkalinitySource.LIMEWATER);

    private static Setup tank(Random random, double useDkh, AlkalinitySource source, @Nullable CalciumReactor reactor) {
        double litres = 60 + random.nextInt(900);
        Seawater water = new Seawater(32 + random.nextInt(5), 23 + 4 * random.nextDouble());
        double ppm = 450 + random.nextInt(900);
        return new Setup(
                litres,
                water,
                AlkalinityUnit.DKH.toMeqPerL(7 + 3 * random.nextDouble()),
                Gases.STANDARD_HPA,
                List.of(OpenPath.surface(
                        "display", Air.ROOM, new Surface(litres * 0.0022, MOVING.get(random.nextInt(3))))),
                null,
                null,
                random.nextBoolean() ? new Skimmer(litres * (1 + random.nextDouble())) : null,
                false,
                null,
                420,
                new RoomDay(
                        new DailyAir(IntStream.range(0, 24)
                                .mapToObj(h -> h > 8 && h < 17 ? ppm * 0.8 : ppm)
                                .toList()),
                        0.5),
                new LightClock(LocalTime.of(9, 0), LocalTime.of(20, 0), true, 30),
                new Life(
                        0.005 + 0.02 * random.nextDouble(),
                        0.01 + 0.03 * random.nextDouble(),
                        Life.ASSUMED_SATURATION,
                        0,
                        new Fish(List.of(new Fish.Group(random.nextInt(10), 15))),
                        Fish.ACTIVE,
                        AlkalinityUnit.DKH.toMeqPerL(useDkh),
                        1),
                source,
                reactor,
                null,
                ZONE,
                OutageAssumptions.DEFAULT);
    }

    /** Of random descriptions those in which corals could live: pH between 7.6 and 8.6. */
    private static Stream<Setup> describedTanks() {
        return IntStream.range(0, 80)
                .mapToObj(BalanceTest::described)
                .filter(setup -> {
                    double ph = new OrdinaryDays(setup, LIVING).today(MIDNIGHT).phNbs();
                    return ph > 7.6 && ph < 8.6;
                })
                .limit(40);
    }

    private static final TankParameters LIVING = new TankParameters(1, 0.015, 0.03);

    private static Setup described(int seed) {
        Random random = new Random(7919L * seed);
        AlkalinitySource source = SOURCES.get(seed % SOURCES.size());
        double use = seed % 4 == 0 ? 0 : 0.2 + 1.8 * random.nextDouble();
        CalciumReactor reactor = seed % 3 == 0
                ? new CalciumReactor(0.5 + 2 * random.nextDouble(), 6.5, 8 + 8 * random.nextDouble(), 0, 0)
                : null;
        return tank(random, use, source, reactor);
    }

    @ParameterizedTest
    @MethodSource("describedTanks")
    void asItIsNothingRunsAway(Setup setup) {
        OrdinaryDays forecast = new OrdinaryDays(setup, LIVING);
        TwinState today = forecast.today(MIDNIGHT);
        List<TwinState> run = forecast.run(today, MeasureSet.NONE, FORTNIGHT);
        double start = AlkalinityUnit.DKH.fromMeqPerL(setup.alkalinityMeqPerL());
        // At the same hour of each day, as a keeper tests: within a day use follows the light by a tenth or two.
        for (int i = A_DAY - 1; i < run.size(); i += A_DAY) {
            TwinState state = run.get(i);
            assertThat(dkh(setup, state) - start).isBetween(-0.05, 0.05);
            assertThat((state.calciumMolPerKg() - today.calciumMolPerKg())
                            * CALCIUM_MG_PER_MOL
                            * setup.water().densityKgPerL())
                    .isBetween(-2.0, 2.0);
        }
        double first = trough(run.subList(0, A_DAY));
        double last = trough(run.subList(run.size() - A_DAY, run.size()));
        assertThat(last - first).isBetween(-0.005, 0.005);
    }

    private static double dkh(Setup setup, TwinState state) {
        return AlkalinityUnit.DKH.fromMeqPerL(
                state.alkalinityMolPerKg() * 1000 * setup.water().densityKgPerL());
    }

    private static double trough(List<TwinState> day) {
        return day.stream().mapToDouble(TwinState::phNbs).min().orElseThrow();
    }

    private static List<TwinState> fortnight(Setup setup, Measure remedy) {
        OrdinaryDays forecast = new OrdinaryDays(setup, TankParameters.ORDINARY);
        return forecast.run(forecast.today(MIDNIGHT), MeasureSet.of(remedy), FORTNIGHT);
    }

    /** A dose beyond the use raises alkalinity, and the use with it: it ends above, by less than the sum of the doses. */
    @Test
    void aDoseBeyondTheUseRaisesAlkalinityAndTheUseAnswers() {
        Setup setup = tank(new Random(5), 1, AlkalinitySource.BICARBONATE, null);
        double more = AlkalinityUnit.DKH.toMeqPerL(1.5);
        List<TwinState> run = fortnight(setup, new Dose(AlkalinitySource.BICARBONATE, more));
        double rise = dkh(setup, run.get(run.size() - 1)) - AlkalinityUnit.DKH.fromMeqPerL(setup.alkalinityMeqPerL());
        assertThat(rise).isBetween(0.05, 0.5 * 14 - 0.5);
    }

    /** 1 dKH is 0.3566 meq/L: as potassium hydroxide 0.3566 × 39.1 = 13.9 mg/L a day. */
    @Test
    void potassiumHydroxideBringsItsPotassium() {
        Setup setup = tank(new Random(6), 1, AlkalinitySource.SODA_ASH, null);
        double one = AlkalinityUnit.DKH.toMeqPerL(1);
        List<TwinState> run = fortnight(setup, new Dose(AlkalinitySource.POTASSIUM_HYDROXIDE, one));
        double mgPerL = run.get(run.size() - 1).potassiumGainMolPerKg()
                * AlkalinitySource.POTASSIUM_G_PER_MOL
                * 1000
                * setup.water().densityKgPerL();
        assertThat(mgPerL).isBetween(14 * 13.7, 14 * 14.1);
    }

    @Test
    void aReactorWithoutAToldUseIsTakenToBringWhatIsUsed() {
        CalciumReactor reactor = new CalciumReactor(1.5, 6.5, 12, 0, 0);
        Setup untold = tank(new Random(7), 0, AlkalinitySource.SODA_ASH, reactor);
        assertThat(untold.useMeqPerLPerDay()).isPositive();
        assertThat(untold.contradiction()).isNull();
        Setup toldLess = tank(new Random(7), 0.1, AlkalinitySource.SODA_ASH, reactor);
        assertThat(toldLess.contradiction()).contains("Alkalinity would rise");
        Setup weak = tank(new Random(7), 0, AlkalinitySource.SODA_ASH, new CalciumReactor(1, 7.5, 1.2, 0, 0));
        assertThat(weak.contradiction()).contains("less alkalinity than the tank");
    }
}
