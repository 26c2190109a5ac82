package jollytide.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import jollytide.core.air.AirLine;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.measure.Measure.Way;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.SkimmerAir;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each measure is called: whether it goes to the root, makes up, or hides; and what it turns on the rig. */
class WayTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final Setup TANK = MeasuresTest.TANK;
    private static final Seawater WATER = TANK.water();
    private static final Surroundings KNOWN = MeasuresTest.KNOWN;

    private static final String TABLE = """
            window          , REMOVES_THE_SOURCE, false
            surface         , REMOVES_THE_SOURCE, true
            cabinet         , REMOVES_THE_SOURCE, true
            canopy          , REMOVES_THE_SOURCE, true
            stone           , REMOVES_THE_SOURCE, true
            outdoor-stone   , REMOVES_THE_SOURCE, true
            surface-fan     , REMOVES_THE_SOURCE, true
            outdoor-line    , REMOVES_THE_SOURCE, true
            reactor         , REMOVES_THE_SOURCE, true
            second-skimmer  , REMOVES_THE_SOURCE, true
            ventilator      , REMOVES_THE_SOURCE, false
            nobody          , REMOVES_THE_SOURCE, false
            skimmer-draw    , REMOVES_THE_SOURCE, true
            doses-short     , A_FAULT           , false
            scrubber        , OFFSETS           , true
            recirculated-media  , OFFSETS           , true
            limewater       , OFFSETS           , true
            source          , OFFSETS           , true
            refugium        , OFFSETS           , true
            alkalinity      , MASKS             , true
            guests          , A_FAULT           , false
            lamps           , A_FAULT           , false
            warmth          , A_FAULT           , false
            """;

    /** Common practice: media and limewater take up what keeps coming; more alkalinity lifts the pH and leaves the CO2. */
    @ParameterizedTest
    @CsvSource(textBlock = TABLE)
    void whatItIsCalled(String kind, Way way, boolean inSteps) {
        Measure measure = Measures.kind(kind).make(Map.of(), Map.of(), KNOWN);
        assertThat(measure.way()).isEqualTo(way);
        assertThat(measure.inSteps()).isEqualTo(inSteps);
    }

    @Test
    void theTableHasThemAll() {
        Set<String> named =
                TABLE.lines().map(line -> line.split(",")[0].strip()).collect(Collectors.toCollection(TreeSet::new));
        assertThat(named)
                .containsExactlyInAnyOrderElementsOf(
                        Measures.all().stream().map(MeasureKind::id).toList());
    }

    /** Less of what helps is a fault; just as much is none. */
    @Test
    void lessIsAFault() {
        assertThat(new Agitation(0.99).way()).isEqualTo(Way.A_FAULT);
        assertThat(new Agitation(1).way()).isEqualTo(Way.REMOVES_THE_SOURCE);
        assertThat(new Ventilation(0.9).way()).isEqualTo(Way.A_FAULT);
        assertThat(new Ventilation(1).way()).isEqualTo(Way.REMOVES_THE_SOURCE);
        assertThat(new SkimmerDraw(0.5).way()).isEqualTo(Way.A_FAULT);
        assertThat(new SkimmerDraw(1).way()).isEqualTo(Way.REMOVES_THE_SOURCE);
        assertThat(new SkimmerDraw(0.5).inSteps()).isFalse();
        assertThat(new Lamps(1).way()).isEqualTo(Way.OFFSETS);
        assertThat(new Warmth(-1).way()).isEqualTo(Way.REMOVES_THE_SOURCE);
        assertThat(new Warmth(0).way()).isEqualTo(Way.REMOVES_THE_SOURCE);
    }

    private static Rig rig(Measure... put) {
        return Rig.of(TANK, TankParameters.ORDINARY, MeasureSet.of(put));
    }

    private static Scrubber scrubber(double freshShare, MediaUse.Hours hours) {
        return new Scrubber(new Media(1, MediaAssumptions.DEFAULT), freshShare, hours, 8.1, false);
    }

    @Test
    void onlyMediaLeadExhaustBack() {
        assertThat(scrubber(1, MediaUse.Hours.ALWAYS).recirculates()).isFalse();
        assertThat(scrubber(0.99, MediaUse.Hours.ALWAYS).recirculates()).isTrue();
        assertThat(new Agitation(2).recirculates()).isFalse();
        double leak = MediaAssumptions.DEFAULT.leak();
        assertThat(scrubber(leak, MediaUse.Hours.ALWAYS).use().loops()).isFalse();
        assertThat(scrubber(leak / 2, MediaUse.Hours.ALWAYS).use().loops()).isTrue();
    }

    /** Common practice: 2 to 5 % fresh air is left in; at 2 % nothing is said, below it is. */
    @Test
    void aClosedLoopIsSaidToBeOne() {
        assertThat(scrubber(0.02, MediaUse.Hours.ALWAYS).cautions())
                .noneMatch(c -> c.text().contains("closed loop"));
        assertThat(scrubber(0.019, MediaUse.Hours.ALWAYS).cautions())
                .anyMatch(c -> c.text().contains("closed loop"));
        assertThat(scrubber(1, MediaUse.Hours.ALWAYS).cautions())
                .noneMatch(c -> c.text().contains("drown"));
    }

    @Test
    void mediaStandBeforeASkimmerThatDraws() {
        assertThat(rig(scrubber(1, MediaUse.Hours.ALWAYS)).withMedia()).isPresent();
        assertThat(rig(scrubber(1, MediaUse.Hours.ALWAYS), new SkimmerDraw(0)).withMedia())
                .isEmpty();
        assertThat(rig().withMedia()).isEmpty();
        assertThat(rig(new SecondSkimmer(new Skimmer(200))).skimmers()).hasSize(2);
        assertThat(rig(scrubber(1, MediaUse.Hours.ALWAYS))
                        .media(m -> new Media(9, m.assumed()))
                        .withMedia())
                .hasValueSatisfying(s -> assertThat(s.media().media().massKg()).isEqualTo(9));
    }

    /** Alkalinity is brought up with soda ash: one mole of carbon for two equivalents. */
    @Test
    void alkalinityIsBroughtUpWithItsCarbon() {
        TwinState today = new OrdinaryDays(TANK, TankParameters.ORDINARY).today(MIDNIGHT);
        TwinState raised = rig(new AlkalinityChange(0.5)).startsFrom(today);
        double perKg = 0.5e-3 / WATER.densityKgPerL();
        assertThat(raised.alkalinityMolPerKg() - today.alkalinityMolPerKg()).isCloseTo(perKg, within(1e-12));
        assertThat(raised.dicMolPerKg() - today.dicMolPerKg()).isCloseTo(perKg / 2, within(1e-12));
        assertThat(raised.temperatureC()).isEqualTo(today.temperatureC());
        TwinState warmed = rig(new Warmth(2)).startsFrom(today);
        assertThat(warmed.temperatureC()).isCloseTo(27.5, within(1e-12));
        assertThat(warmed.dicMolPerKg()).isEqualTo(today.dicMolPerKg());
        assertThat(rig().startsFrom(today)).isSameAs(today);
    }

    /** Switched in below 8.10, out at 8.15: in between it stays as it is. */
    @ParameterizedTest
    @CsvSource({
        "8.09, false, true",
        "8.10, false, false",
        "8.12, false, false",
        "8.12, true, true",
        "8.149, true, true",
        "8.16, true, false"
    })
    void theGateHasAHysteresis(double ph, boolean open, boolean opens) {
        assertThat(breathing(scrubber(1, MediaUse.Hours.BELOW_PH)).opens(ph, open))
                .isEqualTo(opens);
        assertThat(breathing(scrubber(1, MediaUse.Hours.ALWAYS)).opens(7.5, open))
                .as("no gate")
                .isFalse();
        assertThat(breathing().opens(7.5, open)).as("no media").isFalse();
    }

    private static SkimmerAir.Breathing breathing(Measure... put) {
        return rig(put).tank(MIDNIGHT, Duration.ofDays(1), null, false).parts().stream()
                .filter(SkimmerAir.class::isInstance)
                .map(part -> ((SkimmerAir) part).breathing())
                .findFirst()
                .orElseThrow();
    }

    /** A gate is looked at every quarter of an hour; without one only the lamps are met: at 10:00 local, 9:00 UTC. */
    @Test
    void whenItSwitches() {
        Instant far = MIDNIGHT.plus(Duration.ofDays(1));
        assertThat(breathing(scrubber(1, MediaUse.Hours.BELOW_PH)).nextSwitch(MIDNIGHT, far))
                .isEqualTo(MIDNIGHT.plus(Duration.ofMinutes(15)));
        assertThat(breathing(scrubber(1, MediaUse.Hours.LAMPS_ON)).nextSwitch(MIDNIGHT, far))
                .isEqualTo(Instant.parse("2026-11-11T09:00:00Z"));
        Instant soon = MIDNIGHT.plus(Duration.ofMinutes(5));
        assertThat(breathing(scrubber(1, MediaUse.Hours.BELOW_PH)).nextSwitch(MIDNIGHT, soon))
                .isEqualTo(soon);
    }

    /** By night with the lamps off, by day with them on; what does not pass media goes around them. */
    @Test
    void whatPassesThem() {
        Instant noon = Instant.parse("2026-11-11T11:00:00Z");
        var byNight = breathing(scrubber(0.5, MediaUse.Hours.LAMPS_OFF));
        assertThat(byNight.at(MIDNIGHT, false).through()).isNotNull();
        assertThat(byNight.at(noon, false).through()).isNull();
        assertThat(byNight.at(noon, false).freshShare()).isEqualTo(1);
        var byDay = breathing(scrubber(0.5, MediaUse.Hours.LAMPS_ON));
        assertThat(byDay.at(MIDNIGHT, false).through()).isNull();
        assertThat(byDay.at(noon, false).through()).isNotNull();
        assertThat(byDay.at(noon, false).freshShare()).isCloseTo(MediaAssumptions.DEFAULT.fresh(0.5), within(1e-12));
        var gated = breathing(scrubber(1, MediaUse.Hours.BELOW_PH));
        assertThat(gated.at(noon, true).through()).isNotNull();
        assertThat(gated.at(noon, false).through()).isNull();
    }

    /** What the hose brings is outdoor air, the rest the cabinet's in which the skimmer stands. */
    @Test
    void whatASkimmerBreathes() {
        AirLine line = new AirLine(6, 12.7, 2.5);
        double share =
                line.withLeak(400, new Skimmer(400).assumed().suctionPa(), 5).lineShare();
        var intake = breathing(new OutdoorLine(line, null, 5)).at(MIDNIGHT, false);
        assertThat(intake.outdoorShare()).isCloseTo(share, within(1e-9));
        assertThat(intake.cabinetShare()).isCloseTo(1 - share, within(1e-9));
        assertThat(intake.outdoorPpm()).isEqualTo(420);
        assertThat(breathing().at(MIDNIGHT, false).cabinetShare()).isEqualTo(1);
    }

    @Test
    void aHosesKeepIsABandUnlessTheSuctionIsKnown() {
        AirLine line = new AirLine(6, 9.5, 2.5);
        SkimmerRig.Hose hose = new SkimmerRig.Hose(line, 0, null, false);
        Skimmer assumed = new Skimmer(400);
        assertThat(hose.kept(assumed)).isEqualTo(line.keptAssumed(400));
        assertThat(hose.boreKeeping(0.95, assumed))
                .isEqualTo(line.boreKeeping(0.95, 400, assumed.assumed().suctionPa()));
        assertThat(hose.boreKeeping(0.95, assumed)).isGreaterThan(hose.boreKeeping(0.3, assumed));
    }

    @Test
    void aMeasureWithoutItsSkimmerIsAFaultOfTheCaller() {
        Setup none = Setup.plain(
                300,
                WATER,
                3.0,
                Gases.STANDARD_HPA,
                TANK.open().stream()
                        .map(OpenPath::path)
                        .map(Surface.class::cast)
                        .toList(),
                null,
                420,
                TANK.room(),
                TANK.light(),
                TANK.zone());
        assertThatThrownBy(() -> Rig.of(none, TankParameters.ORDINARY, MeasureSet.of(new SkimmerDraw(0.5))))
                .isInstanceOf(IllegalStateException.class);
    }

    @Test
    void refusalsNameWhatIsThere() {
        assertThatThrownBy(() -> Measures.kind("x".repeat(60)))
                .hasMessageContaining("“" + "x".repeat(40) + "”")
                .isInstanceOfSatisfying(
                        InputException.class, e -> assertThat(e.allowed()).contains("outdoor-line"));
        assertThatThrownBy(() -> Measures.set(
                        List.of(
                                new Measures.Put("limewater", Map.of(), Map.of()),
                                new Measures.Put("source", Map.of(), Map.of())),
                        KNOWN))
                .hasMessage("Only one of “Limewater instead of your alkalinity source” and “Another alkalinity source”"
                        + " and “Doses that fall short or stop” can be tried at a time.");
        assertThat(Measures.set(List.of(new Measures.Put("stone", Map.of(), Map.of())), KNOWN)
                        .all())
                .hasSize(1);
        assertThat(MeasureSet.NONE.isEmpty()).isTrue();
        assertThat(MeasureSet.of(new NobodyHome()).isEmpty()).isFalse();
    }

    /** 3 m of hose at 2.5, the pump's price; a wall is a weekend. 400 L/h of skimmer at 30 mW each. */
    @Test
    void costsOfTheNewOnes() {
        CostBasis basis = new CostBasis(Prices.ASSUMED, TANK, 80, 1, null);
        var stone = new Stone(300, 2, 0.4);
        Cost window = new OutdoorStone(stone, false).cost(basis);
        assertThat(window.toFit())
                .isCloseTo(new AirStone(stone, Air.ROOM).cost(basis).toFit() + 3 * 2.5, within(1e-9));
        assertThat(window.effort()).isEqualTo(Cost.Effort.AN_EVENING);
        assertThat(new OutdoorStone(stone, true).cost(basis).effort()).isEqualTo(Cost.Effort.A_WEEKEND);
        assertThat(new SecondSkimmer(new Skimmer(400)).cost(basis).perMonth())
                .isCloseTo(0.03 * 400 / 1000 * 730.5 * 0.35, within(1e-6));
        assertThat(new Ventilation(1).cost(basis)).isEqualTo(Cost.NOTHING);
        assertThat(new Ventilation(0.5).cost(basis).perMonth())
                .as("less air is no gift")
                .isZero();
    }
}
