package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.RecirculatedMedia;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Intake;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What of a tank the life of its media is computed from. 11 h of light, 1200 ppm in the room, 420 outdoors. */
class MediaOnATankTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final Media KILO = new Media(1, MediaAssumptions.DEFAULT);

    private static Setup tank(@Nullable Skimmer skimmer) {
        return Setup.plain(
                300,
                WATER,
                AlkalinityUnit.DKH.toMeqPerL(8.5),
                Gases.STANDARD_HPA,
                List.of(new Surface(0.7, SurfaceClass.RIPPLED)),
                skimmer,
                420,
                new RoomDay(DailyAir.constant(1200), 0.3),
                new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
                ZoneId.of("Europe/Amsterdam"));
    }

    private record Run(@Nullable MediaLife life, List<TwinState> day) {}

    private static Run run(@Nullable Skimmer skimmer, Measure... put) {
        Setup setup = tank(skimmer);
        OrdinaryDays days = new OrdinaryDays(setup, TankParameters.ORDINARY);
        MeasureSet set = new MeasureSet(List.of(put));
        List<TwinState> run = days.run(days.today(MIDNIGHT), set, Duration.ofDays(2));
        Rig rig = days.rig(set);
        return new Run(MediaLife.of(setup, rig, run), run.subList(0, 96));
    }

    private static Scrubber scrubber(double freshShare, MediaUse.Hours hours, double gatePh) {
        return new Scrubber(KILO, freshShare, hours, gatePh, false);
    }

    @Test
    void onceThroughTheyWorkOnWhatIsBreathed() {
        Run run = run(new Skimmer(500), scrubber(1, MediaUse.Hours.ALWAYS, 8.2));
        MediaLife life = run.life();
        assertThat(life.litresPerH()).isCloseTo(500, within(1e-9));
        assertThat(life.freshPpm()).isCloseTo(1200, within(1e-6));
        assertThat(life.freshShare()).isEqualTo(1);
        assertThat(life.hoursPerDay()).isEqualTo(24);
        assertThat(life.media()).isEqualTo(KILO);
        assertThat(life.driesBetween()).isFalse();
    }

    /** The exhaust is taken at the CO2 that the water would be in balance with, mean of its first day. */
    @Test
    void theExhaustIsTheWaters() {
        Run run = run(new Skimmer(500), scrubber(0, MediaUse.Hours.ALWAYS, 8.2));
        double uatm =
                run.day().stream().mapToDouble(TwinState::co2Uatm).average().orElseThrow();
        // dry ppm over the water: µatm ÷ (1 − 0.0316 atm of vapour at 25.5 °C and S 35), Weiss & Price (1980)
        assertThat(run.life().exhaustPpm()).isCloseTo(uatm / (1 - 0.0316), withinPercentage(0.05));
        assertThat(run.life().freshShare()).isZero();
    }

    @ParameterizedTest
    @CsvSource({"ALWAYS, 24", "LAMPS_ON, 11", "LAMPS_OFF, 13"})
    void hoursOfADay(MediaUse.Hours hours, double expected) {
        assertThat(run(new Skimmer(500), scrubber(1, hours, 8.2)).life().hoursPerDay())
                .isCloseTo(expected, within(1e-9));
    }

    /** By a pH they count in the quarters of the day in which the water is below where the controller lets go, 0.05 above. */
    @Test
    void hoursBelowAPh() {
        Skimmer skimmer = new Skimmer(500);
        Run always = run(skimmer, scrubber(1, MediaUse.Hours.BELOW_PH, 9));
        assertThat(always.life().hoursPerDay()).isEqualTo(24);
        assertThat(run(skimmer, scrubber(1, MediaUse.Hours.BELOW_PH, 7.0)).life())
                .as("never in use")
                .isNull();
        double middle = run(skimmer).day().stream()
                .mapToDouble(TwinState::phNbs)
                .average()
                .orElseThrow();
        Run half = run(skimmer, scrubber(1, MediaUse.Hours.BELOW_PH, middle));
        long below = half.day().stream().filter(s -> s.phNbs() < middle + 0.05).count();
        assertThat(half.life().hoursPerDay()).isBetween(4.0, 23.0).isCloseTo(below / 4.0, within(1e-9));
    }

    /** Of a hose's air its share is as outdoors, the rest is the room's; what the hose costs in draw passes no media. */
    @Test
    void aHoseBringsItsShare() {
        Skimmer skimmer = new Skimmer(500);
        OutdoorLine leaky = new OutdoorLine(new AirLine(6, 12.7, 2.5), null, 6);
        MediaLife life =
                run(skimmer, leaky, scrubber(1, MediaUse.Hours.ALWAYS, 8.2)).life();
        AirLine.Drawn drawn =
                new AirLine(6, 12.7, 2.5).withLeak(500, skimmer.assumed().suctionPa(), 6);
        assertThat(drawn.lineShare()).isBetween(0.3, 0.95);
        assertThat(life.litresPerH()).isCloseTo(drawn.totalLPerH(), within(1e-6));
        assertThat(life.freshPpm()).isCloseTo(drawn.lineShare() * 420 + (1 - drawn.lineShare()) * 1200, within(1e-6));
        DailyAir flue = DailyAir.constant(800);
        MediaLife bad = run(
                        skimmer,
                        new OutdoorLine(new AirLine(6, 12.7, 2.5), flue, 6),
                        scrubber(1, MediaUse.Hours.ALWAYS, 8.2))
                .life();
        assertThat(bad.freshPpm()).isCloseTo(drawn.lineShare() * 800 + (1 - drawn.lineShare()) * 1200, within(1e-6));
    }

    @Test
    void aChokedSkimmerSparesThem() {
        MediaLife life = run(new Skimmer(500), new SkimmerDraw(0.4), scrubber(1, MediaUse.Hours.ALWAYS, 8.2))
                .life();
        assertThat(life.litresPerH()).isCloseTo(200, within(1e-6));
    }

    /** In the leg that is recirculated they see the exhaust alone, and so much less air. */
    @Test
    void onTheRecirculatedLegTheySeeExhaustOnly() {
        MediaLife life = run(
                        new Skimmer(500),
                        new RecirculatedMedia(
                                new MediaUse(KILO, 0.4, Intake.Leg.RECIRCULATED, MediaUse.Hours.ALWAYS, 8.2, false)))
                .life();
        double back = 1 - KILO.assumed().fresh(0.4);
        assertThat(life.litresPerH()).isCloseTo(500 * back, within(1e-6));
        assertThat(life.freshShare()).isZero();
        assertThat(life.media().massKg()).isEqualTo(1);
        assertThat(life.media().assumed().fresh(0))
                .as("nothing seeps into that leg")
                .isZero();
        assertThat(run(
                                new Skimmer(500),
                                new RecirculatedMedia(new MediaUse(
                                        KILO, 1, Intake.Leg.RECIRCULATED, MediaUse.Hours.ALWAYS, 8.2, false)))
                        .life())
                .as("nothing led back")
                .isNull();
    }

    @Test
    void withoutMediaThereIsNoLife() {
        assertThat(run(new Skimmer(500)).life()).isNull();
        assertThat(run(null).life()).isNull();
    }

    /** Half of what is breathed from 1200 ppm and half of 700 is 950: the stream that fills the capacity. */
    @Test
    void aMixedStreamIsInBetween() {
        MediaLife mixed = new MediaLife(KILO, WATER, 500, 1200, 8, 700, 0.5, 24, false);
        MediaLife same = new MediaLife(KILO, WATER, 500, 950, 8, 0, 1, 24, false);
        assertThat(mixed.carriedL(1)).isCloseTo(same.carriedL(1), within(1e-9));
        assertThat(mixed.life().daysByCo2()).isCloseTo(same.life().daysByCo2(), within(1e-9));
        assertThat(mixed.life().halfDay())
                .isGreaterThan(0)
                .isLessThan(mixed.life().endDay());
    }

    /** A fill that is half used has half of its days left, by CO2; its colour has gone as far. */
    @Test
    void partWayLifeIsWhatIsLeft() {
        MediaLife use = new MediaLife(KILO, WATER, 500, 900, 8, 700, 1, 24, false);
        MediaLife.Life whole = use.life();
        Media.State half = new Media.State(KILO.capacityMol() / 2, 0);
        assertThat(use.from(half).daysByCo2()).isCloseTo(whole.daysByCo2() / 2, within(1e-9));
        double colour = whole.colourDay();
        Media.State then = use.after(KILO.fresh(), colour);
        assertThat(KILO.used(then)).isCloseTo(KILO.assumed().fullUntil(), within(0.003));
        assertThat(use.from(new Media.State(KILO.capacityMol() * 0.99, 0)).endDay())
                .isZero();
        Media.State atHalf = use.after(KILO.fresh(), whole.halfDay());
        assertThat(KILO.efficiency(atHalf)).isCloseTo(KILO.efficiency(KILO.fresh()) / 2, within(0.01));
    }

    /** Hardly any air: neither spent nor drowned within what is looked at. */
    @Test
    void aFillThatHardlyWorksDoesNotEnd() {
        MediaLife.Life life =
                new MediaLife(new Media(3, MediaAssumptions.DEFAULT), WATER, 5, 420, 8, 0, 1, 1, false).life();
        assertThat(life.end()).isEqualTo(MediaLife.End.NEITHER);
        assertThat(life.endDay()).isEqualTo(MediaLife.LONGEST_DAYS);
        assertThat(life.daysByCo2()).isGreaterThan(MediaLife.LONGEST_DAYS);
        assertThat(life.daysByWater()).isNull();
        assertThat(life.colourDay()).isNull();
        assertThat(life.halfDay()).isNull();
    }
}
