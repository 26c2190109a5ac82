package jollytide.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import jollytide.core.air.Enclosure;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.Intake;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Each measure of the registry on a tank that has everything: it can be put on, it does what it is for, it is described. */
class MeasuresTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    static final Setup TANK = new Setup(
            300,
            new Seawater(35, 25.5),
            3.0,
            Gases.STANDARD_HPA,
            List.of(
                    OpenPath.surface("display", Air.CANOPY, new Surface(0.5, SurfaceClass.ROLLING)),
                    OpenPath.surface("sump", Air.CABINET, new Surface(0.15, SurfaceClass.BROKEN))),
            new Enclosure(1500),
            new Enclosure(800),
            new Skimmer(400),
            true,
            null,
            420,
            new RoomDay(DailyAir.constant(1100), 0.3),
            new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
            new Life(
                    0.018,
                    0.034,
                    Life.ASSUMED_SATURATION,
                    0,
                    new Fish(List.of(new Fish.Group(4, 20))),
                    Fish.ACTIVE,
                    0.45,
                    1),
            AlkalinitySource.SODA_ASH,
            new CalciumReactor(0.5, 6.6, 10, 0, 0),
            null,
            ZONE,
            OutageAssumptions.DEFAULT);
    static final Surroundings KNOWN = new Surroundings(TANK, 80.0, MediaAssumptions.DEFAULT, 2);
    private static final OrdinaryDays DAYS = new OrdinaryDays(TANK, TankParameters.ORDINARY);
    private static final TwinState TODAY = DAYS.today(MIDNIGHT);
    private static final SettledDay AS_IT_IS = DAYS.settled(TODAY, MeasureSet.NONE);

    private static Stream<MeasureKind> kinds() {
        return Measures.all().stream();
    }

    private static Measure atFirst(MeasureKind kind) {
        return kind.make(Map.of(), Map.of(), KNOWN);
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void eachCanBePutOnAsItStandsAndIsDescribed(MeasureKind kind) {
        assertThat(kind.fits(KNOWN)).isTrue();
        Measure measure = atFirst(kind);
        SettledDay with = DAYS.settledWithFreshMedia(TODAY, MeasureSet.of(measure), Duration.ofDays(7));
        assertThat(with).as("changes something").isNotEqualTo(AS_IT_IS);
        if (measure.way() == Measure.Way.A_FAULT) {
            assertThat(with.troughPh() < AS_IT_IS.troughPh()
                            || with.lowestOxygenMgPerL() < AS_IT_IS.lowestOxygenMgPerL())
                    .isTrue();
        } else {
            assertThat(with.troughPh() > AS_IT_IS.troughPh()
                            || with.lowestOxygenMgPerL() > AS_IT_IS.lowestOxygenMgPerL())
                    .isTrue();
        }
        Cost cost = measure.cost(new CostBasis(Prices.ASSUMED, TANK, 80, 1, 10.0));
        boolean bought = kind.id()
                .matches(
                        "stone|outdoor-stone|surface-fan|outdoor-line|scrubber|recirculated-media|refugium|reactor|second-skimmer|ventilator");
        assertThat(cost.toFit() > 0).as("what is bought has a price").isEqualTo(bought);
        boolean people = kind.id().matches("nobody|guests|warmth|doses-short");
        assertThat(cost.effort() == Cost.Effort.NONE).as("what is done is work").isEqualTo(people);
        assertThat(kind.name()).isNotBlank();
        for (Parameter parameter : kind.parameters(KNOWN)) {
            assertThat(parameter.label()).isNotBlank();
            Double number = parameter.number();
            if (number != null && parameter.options().isEmpty()) {
                assertThat(number).isBetween(parameter.min(), parameter.max());
                assertThat(parameter.step()).isPositive();
            } else {
                assertThat(parameter.options().size()).isGreaterThan(1);
            }
        }
    }

    /** The ends of every slide are settings that the twin can run or that are refused in words. */
    @ParameterizedTest
    @MethodSource("kinds")
    void theEndsOfEverySlideAreMeantToBeReached(MeasureKind kind) {
        for (Parameter parameter : kind.parameters(KNOWN)) {
            if (parameter.number() == null || !parameter.options().isEmpty()) {
                continue;
            }
            for (double end : new double[] {parameter.min(), parameter.max()}) {
                Measure measure = kind.make(Map.of(parameter.name(), end), Map.of(), KNOWN);
                List<TwinState> run = DAYS.run(TODAY, MeasureSet.of(measure), Duration.ofDays(1));
                assertThat(run).allSatisfy(state -> assertThat(state.phNbs()).isBetween(6.5, 10.0));
            }
        }
    }

    @Test
    void theRegistryRefusesInWords() {
        assertThat(Measures.all()).extracting(MeasureKind::id).doesNotHaveDuplicates();
        assertThatThrownBy(() -> Measures.set(List.of(new Measures.Put("wish", Map.of(), Map.of())), KNOWN))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("There is no change “wish”");
        assertThatThrownBy(() -> Measures.set(
                        List.of(
                                new Measures.Put("limewater", Map.of(), Map.of()),
                                new Measures.Put("source", Map.of(), Map.of())),
                        KNOWN))
                .hasMessageContaining("Only one of");
        assertThatThrownBy(() -> Measures.set(
                        List.of(
                                new Measures.Put("stone", Map.of(), Map.of()),
                                new Measures.Put("stone", Map.of(), Map.of())),
                        KNOWN))
                .hasMessageContaining("listed twice");
        assertThatThrownBy(() -> Scrubber.KIND.make(Map.of("soaked", 1.0), Map.of(), KNOWN))
                .hasMessageContaining("no such number");
        assertThatThrownBy(() -> Scrubber.KIND.make(Map.of(), Map.of("hours", "SOMETIMES"), KNOWN))
                .hasMessageContaining("can’t have that value");
        Setup bare = Setup.plain(
                100,
                new Seawater(35, 25),
                3,
                Gases.STANDARD_HPA,
                List.of(new Surface(0.3, SurfaceClass.RIPPLED)),
                null,
                420,
                new RoomDay(DailyAir.constant(700), 0.3),
                TANK.light(),
                ZONE);
        Surroundings without = new Surroundings(bare, null, MediaAssumptions.DEFAULT, 1);
        assertThat(Measures.all().stream().filter(kind -> !kind.fits(without)))
                .extracting(MeasureKind::id)
                .containsExactlyInAnyOrder(
                        "cabinet",
                        "canopy",
                        "doses-short",
                        "outdoor-line",
                        "scrubber",
                        "recirculated-media",
                        "reactor",
                        "ventilator",
                        "guests",
                        "skimmer-draw");
        assertThatThrownBy(() -> OutdoorLine.KIND.make(Map.of(), Map.of(), without))
                .hasMessageContaining("This needs a tank with a skimmer");
    }

    /** Two skimmers of half the draw each carry what one of all of it does. */
    @Test
    void aSecondSkimmerIsASkimmer() {
        double one = troughWith(new Skimmer(800), MeasureSet.NONE);
        double two = troughWith(new Skimmer(400), MeasureSet.of(new SecondSkimmer(new Skimmer(400))));
        assertThat(two).isCloseTo(one, within(2e-3));
        double alone = troughWith(null, MeasureSet.of(new SecondSkimmer(new Skimmer(400))));
        assertThat(alone).isCloseTo(troughWith(new Skimmer(400), MeasureSet.NONE), within(2e-3));
    }

    private static double troughWith(Skimmer skimmer, MeasureSet measures) {
        Setup setup = Setup.plain(
                300,
                TANK.water(),
                3.0,
                Gases.STANDARD_HPA,
                List.of(new Surface(0.5, SurfaceClass.ROLLING)),
                skimmer,
                420,
                TANK.room(),
                TANK.light(),
                ZONE);
        OrdinaryDays days = new OrdinaryDays(setup, TankParameters.ORDINARY);
        return days.settled(days.today(MIDNIGHT), measures).troughPh();
    }

    /** Dimmer lamps lower the peak by less than their share (Jassby and Platt 1976), none at all leave no day; brighter raise it. */
    @Test
    void lampsMakeThePeak() {
        OrdinaryDays.SettledDay asItIs = DAYS.settled(TODAY, MeasureSet.NONE);
        double swing = asItIs.peakPh() - asItIs.troughPh();
        OrdinaryDays.SettledDay half = DAYS.settled(TODAY, MeasureSet.of(new Lamps(0.5)));
        OrdinaryDays.SettledDay dark = DAYS.settled(TODAY, MeasureSet.of(new Lamps(0)));
        assertThat(half.peakPh() - half.troughPh()).isBetween(swing / 2, swing);
        assertThat(dark.peakPh()).isLessThan(asItIs.peakPh() - swing / 2);
        assertThat(dark.lowestOxygenMgPerL()).isLessThan(asItIs.lowestOxygenMgPerL());
        assertThat(DAYS.settled(TODAY, MeasureSet.of(new Lamps(1.3))).peakPh()).isGreaterThan(asItIs.peakPh());
        assertThat(DAYS.settled(TODAY, MeasureSet.of(new Lamps(1)))).isEqualTo(asItIs);
        assertThat(new Lamps(1.3).cautions()).hasSize(1);
    }

    /** Of two stones alike the one that is fed from outdoors brings more, for the room holds 1100 ppm. */
    @Test
    void outdoorAirThroughAStoneBeatsTheRooms() {
        Stone stone = new Stone(300, 2, 0.4);
        double room = DAYS.settled(TODAY, MeasureSet.of(new AirStone(stone, Air.ROOM)))
                .troughPh();
        double outdoors = DAYS.settled(TODAY, MeasureSet.of(new OutdoorStone(stone, false)))
                .troughPh();
        assertThat(outdoors).isGreaterThan(room + 0.02);
        assertThat(new OutdoorStone(stone, true).cautions()).contains(OutdoorLine.BEFORE_A_WALL);
        assertThat(new OutdoorStone(stone, false).cautions()).doesNotContain(OutdoorLine.BEFORE_A_WALL);
    }

    /** Links and kept sets from before the names changed mean what they meant. */
    @Test
    void formerNamesAreUnderstood() {
        Measures.Put former = new Measures.Put("led-back-media", Map.of("ledBack", 0.9, "massKg", 1.0), Map.of());
        assertThat(former)
                .isEqualTo(
                        new Measures.Put("recirculated-media", Map.of("recirculated", 0.9, "massKg", 1.0), Map.of()));
    }

    /**
     * On the recirculating leg media see exhaust alone: with the same share led back they take up less CO2 than before all of
     * the air, for the room's 1100 ppm pass beside them, and what they take is the exhaust's.
     */
    @Test
    void mediaOnTheRecirculatedLegSeeExhaustAlone() {
        Media kilo = new Media(2, MediaAssumptions.DEFAULT);
        Measure whole = new Scrubber(kilo, 0.5, MediaUse.Hours.ALWAYS, 8.2, false);
        Measure back = new RecirculatedMedia(
                new MediaUse(kilo, 0.5, Intake.Leg.RECIRCULATED, MediaUse.Hours.ALWAYS, 8.2, false));
        TwinState afterWhole = last(DAYS.run(TODAY, MeasureSet.of(whole), Duration.ofDays(1)));
        TwinState afterBack = last(DAYS.run(TODAY, MeasureSet.of(back), Duration.ofDays(1)));
        assertThat(afterBack.media().co2Mol())
                .isBetween(
                        0.2 * afterWhole.media().co2Mol(),
                        0.7 * afterWhole.media().co2Mol());
        assertThat(afterBack.media().waterKg()).isGreaterThan(kilo.fresh().waterKg());
        double gainBack = DAYS.settledWithFreshMedia(TODAY, MeasureSet.of(back), Duration.ofDays(7))
                        .troughPh()
                - AS_IT_IS.troughPh();
        double gainWhole = DAYS.settledWithFreshMedia(TODAY, MeasureSet.of(whole), Duration.ofDays(7))
                        .troughPh()
                - AS_IT_IS.troughPh();
        assertThat(gainBack).isPositive().isLessThan(gainWhole);
    }

    private static TwinState last(List<TwinState> run) {
        return run.get(run.size() - 1);
    }

    /** A fan cools, so that water holds more and animals breathe less; and it sweeps the canopy. */
    @Test
    void aFanAtTheSurfaceCoolsAndSweeps() {
        List<TwinState> run = DAYS.run(TODAY, MeasureSet.of(new SurfaceFan(2)), Duration.ofDays(3));
        assertThat(last(run).temperatureC()).isCloseTo(23.5, within(1e-9));
        SettledDay fan = DAYS.settled(TODAY, MeasureSet.of(new SurfaceFan(2)));
        SettledDay cool = DAYS.settled(TODAY, MeasureSet.of(new Warmth(-2)));
        assertThat(fan.lowestOxygenMgPerL()).isGreaterThan(AS_IT_IS.lowestOxygenMgPerL() + 0.2);
        assertThat(fan.troughPh()).isGreaterThan(cool.troughPh());
    }

    /** 1 dKH is 0.3566 meq/L; limewater is set in mL. */
    @Test
    void aDoseIsSetInItsKeepersUnit() {
        Dose dry = (Dose)
                Dose.ANOTHER_SOURCE.make(Map.of("dkhPerDay", 1.0), Map.of("source", "POTASSIUM_HYDROXIDE"), KNOWN);
        assertThat(dry.meqPerLPerDay()).isCloseTo(0.3566, within(1e-4));
        assertThat(dry.set()).isCloseTo(1, within(1e-9));
        assertThat(dry.kind() + "." + dry.setting()).isEqualTo("source.dkhPerDay");
        Dose lime = (Dose) Dose.LIMEWATER.make(Map.of("mlPerDay", 600.0), Map.of(), KNOWN);
        assertThat(lime.set()).isCloseTo(600, within(1e-9));
        assertThat(lime.meqPerLPerDay()).isCloseTo(0.6 * 2 * 20.3 / 300, within(1e-6));
        assertThat(lime.withMeqPerLPerDay(lime.meqPerLPerDay() / 2).set()).isCloseTo(300, within(1e-9));
        assertThat(lime.kind() + "." + lime.setting()).isEqualTo("limewater.mlPerDay");
    }
}
