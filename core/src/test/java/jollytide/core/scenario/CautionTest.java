package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.Limewater;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.AirStone;
import jollytide.core.measure.AlkalinityChange;
import jollytide.core.measure.Dose;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.NobodyHome;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.ReactorCare;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.measure.Ventilation;
import jollytide.core.measure.Ventilator;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Cautions belong to what was chosen, and a dose that endangers animals is not offered. */
class CautionTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");

    private static Setup tank(double litres, double surfaceM2, double roomPpm) {
        return Setup.plain(
                litres,
                new Seawater(35, 25.5),
                AlkalinityUnit.DKH.toMeqPerL(8.5),
                Gases.STANDARD_HPA,
                List.of(new Surface(surfaceM2, SurfaceClass.RIPPLED)),
                new jollytide.core.exchange.Skimmer(1.3 * litres),
                420,
                new RoomDay(DailyAir.constant(roomPpm), 0.3),
                new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
                ZoneId.of("Europe/Amsterdam"));
    }

    private static List<String> cautions(Setup setup, TankParameters living, Measure... put) {
        OrdinaryDays forecast = new OrdinaryDays(setup, living);
        TwinState today = forecast.today(MIDNIGHT);
        MeasureSet remedies = new MeasureSet(List.of(put));
        List<TwinState> run = forecast.run(today, remedies, Duration.ofDays(7));
        double lowest = run.stream().mapToDouble(TwinState::oxygenMgPerL).min().orElseThrow();
        return Cautions.of(remedies, forecast.settled(today, MeasureSet.NONE), run, lowest);
    }

    @Test
    void anEmptyHouseIsNotBegunByTheHour() {
        Setup stuffy = tank(300, 0.7, 2600);
        assertThat(cautions(stuffy, TankParameters.ORDINARY, new NobodyHome()))
                .noneMatch(c -> c.contains("hours at first"));
        assertThat(cautions(
                        stuffy,
                        TankParameters.ORDINARY,
                        new Scrubber(new Media(5, MediaAssumptions.DEFAULT), 1, MediaUse.Hours.ALWAYS, 8.2, false)))
                .anyMatch(c -> c.contains("hours at first"));
    }

    @Test
    void lowOxygenIsHeldAgainstWhatLowersIt() {
        TankParameters hungry = new TankParameters(1, 0.11, 0.13);
        Setup crowded = tank(300, 0.35, 700);
        List<String> untouched = cautions(crowded, hungry);
        assertThat(untouched).anyMatch(c -> c.contains("with or without this"));
        assertThat(untouched).noneMatch(c -> c.contains("night") && c.contains("Do not"));
        assertThat(cautions(crowded, hungry, new SkimmerDraw(0.3))).anyMatch(c -> c.contains("Add air before"));
        assertThat(cautions(
                        crowded,
                        hungry,
                        new Scrubber(new Media(5, MediaAssumptions.DEFAULT), 0.05, MediaUse.Hours.ALWAYS, 8.2, false)))
                .anyMatch(c -> c.contains("Don’t recirculate exhaust at night"));
    }

    private static @Nullable DoseLimit limit(Setup setup, Dose dose, double evaporation) {
        OrdinaryDays forecast = new OrdinaryDays(setup, TankParameters.ORDINARY);
        return DoseLimit.of(forecast, setup, MeasureSet.of(dose), forecast.today(MIDNIGHT), evaporation);
    }

    private static Dose limewater(double litresPerDay, double litres) {
        double meq = new Limewater(1).meqPerLPerDay(litresPerDay * 1000, litres);
        return new Dose(AlkalinitySource.LIMEWATER, meq, litresPerDay);
    }

    /** 6 L of saturated limewater a day into 110 L: 2.2 meq/L, six times what may be; 1 dKH is 0.97 L. */
    @Test
    void limewaterBeyondEvaporationAndBeyondOneDkhIsStopped() {
        Setup small = tank(110, 0.3, 700);
        DoseLimit limit = limit(small, limewater(6, 110), 1.5);
        assertThat(limit).isNotNull();
        assertThat(limit.because()).contains("more than 1 dKH a day");
        assertThat(limit.allowedMeqPerLPerDay()).isLessThanOrEqualTo(AlkalinityUnit.DKH.toMeqPerL(1) + 1e-9);
        DoseLimit dry = limit(small, limewater(6, 110), 0.4);
        assertThat(dry).isNotNull();
        assertThat(dry.because()).contains("more than evaporates");
        double allowedLitres = dry.within(MeasureSet.of(limewater(6, 110)))
                .dose()
                .orElseThrow()
                .litresPerDay();
        assertThat(allowedLitres).isCloseTo(0.4, within(1e-9));
        assertThat(limit(small, limewater(0.1, 110), 1.5)).isNull();
    }

    @Test
    void aDoseThatLiftsPhPastEightAndAHalfIsStoppedBelowIt() {
        Setup airy = tank(110, 0.02, 420);
        Dose lye = new Dose(AlkalinitySource.SODIUM_HYDROXIDE, AlkalinityUnit.DKH.toMeqPerL(1));
        TankParameters quiet = new TankParameters(1, 0.004, 0.03);
        OrdinaryDays forecast = new OrdinaryDays(airy, quiet);
        TwinState today = forecast.today(MIDNIGHT);
        DoseLimit limit = DoseLimit.of(forecast, airy, MeasureSet.of(lye), today, 1);
        assertThat(limit).isNotNull();
        assertThat(limit.because()).contains("8.5");
        double highest = forecast.run(today, limit.within(MeasureSet.of(lye)), Duration.ofDays(7)).stream()
                .mapToDouble(TwinState::phNbs)
                .max()
                .orElseThrow();
        double before = forecast.run(today, MeasureSet.NONE, Duration.ofDays(7)).stream()
                .mapToDouble(TwinState::phNbs)
                .max()
                .orElseThrow();
        assertThat(highest).isLessThanOrEqualTo(Math.max(8.5, before) + 1e-9);
    }

    /** What a fill gives while it is fresh does not hang on how soon it is spent. */
    @Test
    void theGainOfMediaIsThatOfAFreshFill() {
        Setup setup = tank(300, 0.7, 1200);
        OrdinaryDays forecast = new OrdinaryDays(setup, TankParameters.ORDINARY);
        TwinState today = forecast.today(MIDNIGHT);
        double asItIs = forecast.settled(today, MeasureSet.NONE).troughPh();
        double[] gains = new double[2];
        for (int i = 0; i < 2; i++) {
            MeasureSet once = MeasureSet.of(new Scrubber(
                    new Media(i == 0 ? 0.1 : 3, MediaAssumptions.DEFAULT), 1, MediaUse.Hours.ALWAYS, 8.2, false));
            gains[i] = forecast.settledWithFreshMedia(today, once, Duration.ofDays(7))
                            .troughPh()
                    - asItIs;
        }
        assertThat(gains[0]).isGreaterThan(0.05).isCloseTo(gains[1], within(1e-6));
    }

    /** Each thing that may hurt somebody says so where it is put on the tank; what cannot, does not. */
    @Test
    void whatMayHurtSaysSo() {
        Setup plain = tank(300, 0.7, 900);
        List<String> hose =
                cautions(plain, TankParameters.ORDINARY, new OutdoorLine(new AirLine(6, 12.7, 2.5), null, 0));
        assertThat(hose)
                .anySatisfy(c -> assertThat(c)
                        .contains("cables, pipes, gas, structure")
                        .contains("asbestos")
                        .contains("radon and mould")
                        .contains("flues")
                        .contains("local codes"));
        assertThat(cautions(plain, TankParameters.ORDINARY, new ReactorCare(0.5, 0.3)))
                .anyMatch(c -> c.contains("cylinder upright"));
        assertThat(cautions(plain, TankParameters.ORDINARY, new AirStone(new Stone(100, 2, 1.2), Air.ROOM)))
                .anyMatch(c -> c.contains("supersaturate"));
        assertThat(cautions(plain, TankParameters.ORDINARY, new AirStone(new Stone(100, 2, 0.5), Air.ROOM)))
                .noneMatch(c -> c.contains("supersaturate"));
        assertThat(cautions(plain, TankParameters.ORDINARY, new Ventilator(0.5)))
                .anyMatch(c -> c.contains("flue gas"));
        assertThat(cautions(plain, TankParameters.ORDINARY, new Ventilation(2))).noneMatch(c -> c.contains("flue gas"));
        for (AlkalinitySource source : AlkalinitySource.values()) {
            List<String> dose = cautions(plain, TankParameters.ORDINARY, new Dose(source, 0.05));
            assertThat(dose.stream().anyMatch(c -> c.startsWith("Wear goggles, gloves")))
                    .as("%s", source)
                    .isEqualTo(source.caustic());
            assertThat(dose.stream().anyMatch(c -> c.startsWith("Test potassium")))
                    .isEqualTo(source == AlkalinitySource.POTASSIUM_HYDROXIDE);
        }
        assertThat(cautions(plain, TankParameters.ORDINARY, new AlkalinityChange(0.1)))
                .anyMatch(c -> c.contains("at most 1 dKH a day"));
        Scrubber loop = new Scrubber(new Media(1, MediaAssumptions.DEFAULT), 0, MediaUse.Hours.ALWAYS, 8.2, false);
        assertThat(cautions(plain, TankParameters.ORDINARY, loop))
                .anyMatch(c -> c.contains("adds no oxygen"))
                .anyMatch(c -> c.contains("drown"))
                .anyMatch(c -> c.contains("drip trap") && c.contains("goggles"));
        assertThat(cautions(plain, TankParameters.ORDINARY)).isEmpty();
    }
}
