package jollytide.core.staircase;

import static jollytide.core.staircase.Cases.BEFORE_LIGHTS_ON;
import static jollytide.core.staircase.Cases.alkalinity;
import static jollytide.core.staircase.Cases.around;
import static jollytide.core.staircase.Cases.breathing;
import static jollytide.core.staircase.Cases.inputs;
import static jollytide.core.staircase.Cases.reading;
import static jollytide.core.staircase.Cases.room;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.air.People;
import jollytide.core.air.RoomAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.reef.Stance;
import jollytide.core.reef.TargetBand;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Verdict.Kind;
import jollytide.core.staircase.Verdict.Step;
import jollytide.core.staircase.Verdict.Urgency;
import jollytide.core.units.AlkalinityUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked cases of the verdict. */
class VerdictTest {
    @ParameterizedTest(name = "pH {0} ({1}), {2} dKH, room {3} ppm, dark {4}: {5}")
    @CsvSource({
        // the room dominates: 2000 ppm among 26 pupils, the water hardly above it
        "7.75, PROBE_CHECKED, 8.5, 1400, true, ROOM_DOMINATES, VENTILATE",
        // the tank dominates: a well-aired room, stagnant water
        "7.70, PROBE_CHECKED, 8.5, 520, true, TANK_DOMINATES, MORE_GAS_EXCHANGE",
        // the same with an unchecked probe still holds: the climb is far larger than its error
        "7.60, PROBE, 8.5, 500, true, TANK_DOMINATES, MORE_GAS_EXCHANGE",
        // the worked case: either could be taller, the probe decides
        "7.84, PROBE, 8.5, 830, true, TOO_CLOSE, CHECK_PROBE",
        // water below the room's level in the light: agitation would lower the pH
        "7.97, PROBE_CHECKED, 8.5, 1600, false, TANK_TAKES_UP, VENTILATE",
        // clean air and good exchange, and yet low: alkalinity
        "7.95, PROBE, 4.5, 480, true, LOW_ALKALINITY, RAISE_ALKALINITY",
        // in the dark, far less CO2 than outdoors: the probe
        "8.48, PROBE_CHECKED, 8.5, 600, true, PROBE_IMPLAUSIBLE, CHECK_PROBE",
        // above 8.5, whatever the probe is worth: the doser stops first
        "8.60, PROBE, 8.5, 600, true, OVERDOSE, STOP_DOSING",
        "8.52, PROBE_CHECKED, 8.5, 600, false, OVERDOSE, STOP_DOSING",
        "9.60, PROBE, 1.0, 600, false, OVERDOSE, STOP_DOSING",
        // no carbonate chemistry fits: boron and hydroxide alone hold more
        "8.50, PROBE, 0.5, 600, false, PROBE_IMPLAUSIBLE, CHECK_PROBE",
        // so much CO2 that animals would gasp
        "6.60, PROBE_CHECKED, 8.5, 600, true, PROBE_IMPLAUSIBLE, CHECK_PROBE",
        "5.20, PROBE, 8.5, 600, false, PROBE_IMPLAUSIBLE, CHECK_PROBE",
        // above the peak's limit, in the light
        "8.50, PROBE, 8.5, 600, false, ABOVE_BAND, CHECK_PROBE",
        // at the goal: nothing to mend
        "8.05, PROBE, 8.5, 700, true, IN_BAND, KEEP_WATCHING",
    })
    void workedCases(double ph, Method method, double dkh, double room, boolean dark, Kind kind, Step step) {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(ph, method), dkh, room, 1, dark));
        assertThat(staircase.verdict().kind()).isEqualTo(kind);
        assertThat(staircase.verdict().step()).isEqualTo(step);
        assertThat(staircase.verdict().headline()).isNotBlank();
        assertThat(staircase.verdict().next()).endsWith(".");
    }

    @Test
    void withoutPhThereIsNothingToExplain() {
        Staircase staircase = StaircaseBuilder.build(inputs(null, 8.5, 830.0, 1, true));
        assertThat(staircase.verdict().kind()).isEqualTo(Kind.PH_MISSING);
        assertThat(staircase.missing()).containsExactly(InputName.PH);
        assertThat(staircase.water()).isNull();
        assertThat(staircase.ventilation()).isNotNull();
    }

    @Test
    void withoutAlkalinityNoCo2IsMadeUp() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.84, Method.PROBE), null, 830.0, 1, true));
        assertThat(staircase.verdict().kind()).isEqualTo(Kind.ALKALINITY_MISSING);
        assertThat(staircase.verdict().step()).isEqualTo(Step.TEST_ALKALINITY);
        assertThat(staircase.water()).isNull();
        assertThat(staircase.outdoor().balancePhNbs()).isNull();
    }

    @Test
    void withoutRoomReadingTheClimbIsNotDivided() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.84, Method.PROBE), 8.5, null, 1, true));
        assertThat(staircase.verdict().kind()).isEqualTo(Kind.ROOM_MISSING);
        assertThat(staircase.water()).isNotNull();
        assertThat(staircase.tank()).isNull();
        assertThat(staircase.verdict().next()).contains("with windows shut");
    }

    @Test
    void stanceAndBandSayHowSoon() {
        assertThat(urgency(7.75, Stance.STEADY)).isEqualTo(Urgency.ACT_NOW);
        assertThat(urgency(7.90, Stance.STEADY)).isEqualTo(Urgency.CAN_WAIT);
        assertThat(urgency(7.90, Stance.LIFT)).isEqualTo(Urgency.WORTH_DOING);
        assertThat(urgency(8.10, Stance.LIFT)).isEqualTo(Urgency.NONE);
        assertThat(urgency(8.45, Stance.LIFT)).isEqualTo(Urgency.STOP_RAISING);
        assertThat(urgency(8.45, Stance.STEADY)).isEqualTo(Urgency.STOP_RAISING);
        assertThat(urgency(8.55, Stance.STEADY)).isEqualTo(Urgency.DANGER);
    }

    private static Urgency urgency(double ph, Stance stance) {
        Cases.Changed changed = new Cases.Changed(inputs(reading(ph, Method.PROBE_CHECKED), 8.5, 700.0, 1, true));
        changed.stance = stance;
        return StaircaseBuilder.build(changed.inputs()).verdict().urgency();
    }

    @Test
    void aRoomReadingThatTheWaterHasForgottenIsStale() {
        StaircaseInputs stale = inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 21, true);
        Verdict verdict = StaircaseBuilder.build(stale).verdict();
        assertThat(verdict.kind()).isEqualTo(Kind.ROOM_STALE);
        assertThat(verdict.because()).contains("21 hours");
    }

    /** A classroom's tank: well before school, under the act line among the pupils. */
    @Test
    void theWorstHourOfTheDayIsNotLostBehindTheMorning() {
        StaircaseInputs morning = inputs(reading(8.04, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        Verdict verdict =
                StaircaseBuilder.build(around(morning, 7.74, 8.2, null)).verdict();
        assertThat(verdict.kind()).isEqualTo(Kind.IN_BAND_NOW);
        assertThat(verdict.step()).isEqualTo(Step.SEE_WORST_HOUR);
        assertThat(verdict.because()).contains("7.74").contains("action level");
        assertThat(verdict.urgency()).isEqualTo(Urgency.ACT_NOW);
        Verdict mild = StaircaseBuilder.build(around(morning, 7.95, 8.2, null)).verdict();
        assertThat(mild.because()).contains("goal");
        assertThat(mild.urgency()).isEqualTo(Urgency.WORTH_DOING);
        assertThat(StaircaseBuilder.build(around(morning, 8.01, 8.2, null))
                        .verdict()
                        .kind())
                .isEqualTo(Kind.IN_BAND);
    }

    @Test
    void aPeakAboveEightAndAHalfStopsTheDoserAtAnyHour() {
        StaircaseInputs morning = inputs(reading(8.1, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        assertThat(StaircaseBuilder.build(around(morning, 8.1, 8.55, null))
                        .verdict()
                        .kind())
                .isEqualTo(Kind.OVERDOSE);
        assertThat(StaircaseBuilder.build(around(morning, 8.1, 8.49, null))
                        .verdict()
                        .kind())
                .isEqualTo(Kind.IN_BAND);
    }

    @ParameterizedTest(name = "+{0} dKH, tests off by {1}: stops {2}")
    @CsvSource({"1.5, 0.3, true", "0.9, 0.1, false", "1.5, 0.9, false", "1.1, 0.42, true", "-2, 0.3, false"})
    void alkalinityThatRisesTooFastStopsTheDoser(double by, double error, boolean stops) {
        StaircaseInputs morning = inputs(reading(8.1, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        Verdict verdict = StaircaseBuilder.build(around(morning, 8.1, 8.2, new DayAround.AlkalinityRise(8, by, error)))
                .verdict();
        assertThat(verdict.kind() == Kind.OVERDOSE).isEqualTo(stops);
        assertThat(verdict.urgency() == Urgency.DANGER).isEqualTo(stops);
        if (stops) {
            assertThat(verdict.cautions()).anyMatch(c -> c.contains("caustic"));
            assertThat(verdict.next()).contains("two buffers").contains("no acid");
        }
    }

    /** Outdoors 410, room 830, intake 780: (830 − 780) ÷ (830 − 410) = 12 % comes from outdoors. */
    @Test
    void theIntakesCo2TellsWhatAHoseDelivers() {
        StaircaseInputs in = inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true);
        Observation outdoors = reading(410, Method.METER);
        Verdict verdict = StaircaseBuilder.build(breathing(in, outdoors, reading(780, Method.METER), true))
                .verdict();
        assertThat(verdict.remark()).contains("12 %").contains("another open inlet");
        assertThat(StaircaseBuilder.build(breathing(in, outdoors, reading(420, Method.METER), true))
                        .verdict()
                        .remark())
                .as("a hose that delivers")
                .isNull();
        assertThat(StaircaseBuilder.build(breathing(in, outdoors, reading(780, Method.METER), false))
                        .verdict()
                        .remark())
                .as("no hose")
                .isNull();
        StaircaseInputs aired = inputs(reading(7.84, Method.PROBE), 8.5, 480.0, 0, true);
        assertThat(StaircaseBuilder.build(breathing(aired, outdoors, reading(470, Method.METER), true))
                        .verdict()
                        .remark())
                .as("a room like outdoors tells nothing")
                .isNull();
    }

    /** The older a reading of the air, the wider its doubt; its value stays. */
    @Test
    void oldReadingsOfTheAirWidenTheDoubt() {
        double before = 0;
        for (double hours : new double[] {0, 6, 30}) {
            Staircase staircase =
                    StaircaseBuilder.build(inputs(reading(7.84, Method.PROBE_CHECKED), 8.5, 830.0, hours, true));
            double width =
                    staircase.room().ppm().high() - staircase.room().ppm().low();
            assertThat(staircase.room().ppm().value()).isCloseTo(830, within(1e-9));
            assertThat(width).isGreaterThan(before + 1);
            before = width;
        }
        assertThat(before).isLessThan(2 * 320);
    }

    @Test
    void fullRoomsConcernThePeopleFirst() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.65, Method.PROBE_CHECKED), 8.5, 2100.0, 1, true));
        assertThat(staircase.verdict().kind()).isEqualTo(Kind.ROOM_DOMINATES);
        assertThat(staircase.verdict().cautions()).singleElement().asString().contains("people first");
    }

    @Test
    void numbersOfTheWorkedCase() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true));
        assertThat(staircase.waterUatm().value()).isCloseTo(1284, within(2.0));
        assertThat(staircase.waterUatm().low()).isCloseTo(990, within(15.0));
        assertThat(staircase.waterUatm().high()).isCloseTo(1656, within(15.0));
        assertThat(staircase.room().balancePhNbs()).isCloseTo(8.02, within(0.005));
        assertThat(staircase.outdoor().balancePhNbs()).isCloseTo(8.26, within(0.005));
        assertThat(staircase.ventilation().ppm().value()).isCloseTo(410, within(0.01));
        assertThat(staircase.tank().phNbsWithout()).isCloseTo(8.02, within(0.005));
        // S 35, 25 °C, 420 mg/L Ca: aragonite at about twofold saturation; from memory
        assertThat(staircase.omegaAragonite()).isBetween(1.8, 2.6);
        assertThat(staircase.doubts().get(0).input()).isEqualTo(InputName.PH);
        assertThat(staircase.verdict().headline()).isEqualTo("Room and tank add about the same.");
        assertThat(staircase.verdict().next()).contains("two buffers");
    }

    /** A meter reads dry ppm, water has µatm: unless both are brought to one, balance would look like uptake. */
    @Test
    void waterInBalanceWithTheRoomHasNoRiser() {
        Seawater water = new Seawater(35, 25.5);
        double alkalinity = AlkalinityUnit.DKH.toMeqPerL(8.5) / 1000 / water.densityKgPerL();
        double uatm = Gases.uatmOverWater(830, Gases.STANDARD_HPA, water);
        double ph =
                CarbonateSystem.of(water).fromAlkalinityAndCo2(alkalinity, uatm).phNbs();
        Staircase staircase = StaircaseBuilder.build(inputs(reading(ph, Method.PROBE), 8.5, 830.0, 0, true));
        assertThat(staircase.tank().ppm().value()).isCloseTo(0, within(1e-6));
    }

    /** At altitude the same ppm is less CO2; 1600 m costs 0.08 pH when the meter's kind is guessed wrong (from memory). */
    @Test
    void altitudeMattersForTheMeter() {
        double hPa = Gases.standardPressureHpa(1600);
        Seawater water = new Seawater(35, 25.5);
        double alkalinity = AlkalinityUnit.DKH.toMeqPerL(8.5) / 1000 / water.densityKgPerL();
        CarbonateSystem system = CarbonateSystem.of(water);
        double right = system.fromAlkalinityAndCo2(alkalinity, Gases.uatmOverWater(830, hPa, water))
                .phNbs();
        double wrong = system.fromAlkalinityAndCo2(
                        alkalinity, Gases.uatmOverWater(Gases.compensatedPpm(830, hPa), hPa, water))
                .phNbs();
        assertThat(right - wrong).isBetween(0.06, 0.09);
    }

    @Test
    void whatIsAssumedSaysSo() {
        StaircaseInputs bare = new StaircaseInputs(
                BEFORE_LIGHTS_ON,
                true,
                reading(7.84, Method.PROBE),
                alkalinity(8.5),
                null,
                null,
                null,
                room(830, 0),
                null,
                null,
                Gases.STANDARD_HPA,
                TargetBand.DEFAULT,
                Stance.LIFT,
                new Estimate(12, 7, 20),
                RoomAir.expectedShutPpm(420, new People(2, 1, 1), 180, RoomAir.ASSUMED_PER_H),
                false,
                DayAround.UNKNOWN,
                Assumptions.DEFAULT);
        Staircase staircase = StaircaseBuilder.build(bare);
        assertThat(staircase.inputs())
                .filteredOn(InputUse::assumed)
                .extracting(InputUse::name)
                .containsExactly(InputName.TEMPERATURE, InputName.SALINITY, InputName.OUTDOOR_CO2);
    }

    @Test
    void everyWorkingNamesItsSource() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true));
        assertThat(staircase.working())
                .hasSizeGreaterThanOrEqualTo(6)
                .allSatisfy(w -> assertThat(w.source()).isNotBlank());
    }
}
