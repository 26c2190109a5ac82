package jollytide.core.staircase;

import static jollytide.core.staircase.Cases.BEFORE_LIGHTS_ON;
import static jollytide.core.staircase.Cases.around;
import static jollytide.core.staircase.Cases.breathing;
import static jollytide.core.staircase.Cases.inputs;
import static jollytide.core.staircase.Cases.reading;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.List;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.reef.TargetBand;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Cases.Changed;
import jollytide.core.staircase.Verdict.Kind;
import jollytide.core.staircase.Verdict.Step;
import jollytide.core.staircase.Verdict.Urgency;
import jollytide.core.units.AlkalinityUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a staircase shows beside its verdict's kind: the working, bands, sentences, and where a rule begins. */
class StaircaseTest {

    /** Constants at 25 °C and S 35: check values of Dickson, Sabine & Christian (2007) and of Lueker et al. (2000). */
    @Test
    void theWorkingShowsItsNumbers() {
        Changed at25 = new Changed(inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true));
        at25.temperatureC = reading(25, Method.METER);
        Staircase staircase = StaircaseBuilder.build(at25.inputs());
        assertThat(staircase.working())
                .extracting(Staircase.Working::what)
                .containsExactly(
                        "pH on the scale of the constants",
                        "Alkalinity by weight",
                        "CO2 in the water",
                        "Air in equilibrium with the water",
                        "Room air, averaged as the water follows it",
                        "Ventilation",
                        "Tank");
        // 8.5 dKH × 0.35664 meq/L; 1.02334 kg/L (Millero & Poisson 1981, check value 1023.343 at 25 °C)
        assertThat(numbers(staircase, "Alkalinity by weight"))
                .isEqualTo("3.032 ÷ 1.0233 kg/L = 2962 µmol/kg (8.50 dKH)");
        assertThat(numbers(staircase, "CO2 in the water"))
                .startsWith("S 35.0, 25.0 °C: K0 0.02839, pK1 5.8472, pK2 8.9660 → ");
        // water vapour over seawater at 25 °C, 0.0307 atm: Weiss & Price (1980)
        double uatm = staircase.waterUatm().value();
        assertThat(numbers(staircase, "Air in equilibrium with the water"))
                .isEqualTo("%.0f µatm ÷ (1.0000 − 0.0307) = %.0f ppm dry".formatted(uatm, uatm / (1 - 0.0307)));
        assertThat(numbers(staircase, "Ventilation")).isEqualTo("830 − 420 = 410 ppm");
        double water = staircase.water().ppm().value();
        assertThat(numbers(staircase, "Tank")).isEqualTo("%.0f − 830 = %.0f ppm".formatted(water, water - 830));
        assertThat(numbers(staircase, "Room air, averaged as the water follows it"))
                .isEqualTo("1 reading, settling time 12 h → 830 ppm");
        assertThat(numbers(staircase, "pH on the scale of the constants"))
                .startsWith("7.84 − 0.1")
                .contains(" = 7.7");
    }

    private static String numbers(Staircase staircase, String what) {
        return staircase.working().stream()
                .filter(w -> w.what().equals(what))
                .findFirst()
                .orElseThrow()
                .numbers();
    }

    @Test
    void waterWithoutSolutionShowsWhatBoronHolds() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(8.5, Method.PROBE), 0.4, 600.0, 0, false));
        assertThat(staircase.waterUatm()).isNull();
        assertThat(numbers(staircase, "CO2 in the water"))
                .matches("boron and hydroxide alone make \\d\\.\\d\\d dKH at this pH");
        assertThat(staircase.verdict().because()).contains("0.4 dKH");
        assertThat(staircase.working()).extracting(Staircase.Working::what).doesNotContain("Tank");
    }

    /** A kit's 0.3 dKH and 0.1 more for each day since. */
    @Test
    void anAlkalinityTestAges() {
        Changed old = new Changed(inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true));
        old.alkalinity = new Observation(
                AlkalinityUnit.DKH.toMeqPerL(8.5), Method.TITRATION_KIT, BEFORE_LIGHTS_ON.minus(Duration.ofDays(3)));
        InputUse use = use(StaircaseBuilder.build(old.inputs()), InputName.ALKALINITY);
        assertThat(AlkalinityUnit.DKH.fromMeqPerL(use.error())).isCloseTo(0.6, within(1e-9));
        assertThat(use.ageHours()).isCloseTo(72, within(1e-9));
        assertThat(use.readings()).isEqualTo(1);
    }

    private static InputUse use(Staircase staircase, InputName name) {
        return staircase.inputs().stream()
                .filter(u -> u.name() == name)
                .findFirst()
                .orElseThrow();
    }

    /** A household meter is 50 ppm off either way, an estimate three times that; one standard error. */
    @ParameterizedTest
    @CsvSource({"METER, 50", "ESTIMATE, 150"})
    void theIntakesLevelHasItsBand(Method method, double error) {
        StaircaseInputs in = inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true);
        Staircase.Level intake = StaircaseBuilder.build(
                        breathing(in, reading(410, Method.METER), reading(600, method), true))
                .intake();
        assertThat(intake.ppm().low()).isCloseTo(600 - error, within(1e-9));
        assertThat(intake.ppm().high()).isCloseTo(600 + error, within(1e-9));
    }

    /** Outdoors 410, room 830, intake 780 ± 50: (830 − 830) ÷ 420 = 0 to (830 − 730) ÷ 420 = 24 %. */
    @Test
    void theHosesShareHasItsBand() {
        StaircaseInputs in = inputs(reading(7.84, Method.PROBE), 8.5, 830.0, 0, true);
        String remark = StaircaseBuilder.build(
                        breathing(in, reading(410, Method.METER), reading(780, Method.METER), true))
                .verdict()
                .remark();
        assertThat(remark)
                .contains(
                        "12 % of the intake air comes from outdoors (0–24 %; intake 780 ppm, room 830, outdoors 410)");
    }

    /** At one CO2, pH moves with the logarithm of alkalinity, a little less for boron's share: 4.5 to 8 dKH is +0.25. */
    @Test
    void whatNormalAlkalinityWouldGive() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.95, Method.PROBE), 4.5, 480.0, 1, true));
        double atNormal = staircase.phAtNormalAlkalinity();
        assertThat(atNormal - 7.95).isBetween(0.19, Math.log10(8 / 4.5));
        Verdict verdict = staircase.verdict();
        assertThat(verdict.because())
                .startsWith("At 4.5 dKH the water is at pH 7.95. With 8.0 dKH")
                .contains("%.2f".formatted(atNormal));
        assertThat(verdict.cautions())
                .singleElement()
                .asString()
                .contains("caustic")
                .contains("goggles");
        assertThat(StaircaseBuilder.build(inputs(reading(7.95, Method.PROBE), 8.1, 480.0, 1, true))
                        .phAtNormalAlkalinity())
                .isNull();
    }

    /** Where more exchange gives more than alkalinity would, alkalinity is not named the cause. */
    @Test
    void lowAlkalinityIsNotAlwaysTheCause() {
        assertThat(kind(7.4, 6.9, 480)).isEqualTo(Kind.TANK_DOMINATES);
        assertThat(kind(7.85, 6.9, 1500)).isNotEqualTo(Kind.LOW_ALKALINITY);
        assertThat(kind(7.95, 4.5, 480)).isEqualTo(Kind.LOW_ALKALINITY);
    }

    private static Kind kind(double ph, double dkh, double room) {
        return StaircaseBuilder.build(inputs(reading(ph, Method.PROBE_CHECKED), dkh, room, 1, true))
                .verdict()
                .kind();
    }

    /** Ω is a product: with half the calcium it is half. */
    @Test
    void saturationFollowsCalcium() {
        Changed full = new Changed(inputs(reading(8.1, Method.PROBE), 8.5, 600.0, 1, true));
        Changed half = new Changed(full.inputs());
        half.calcium = reading(210, Method.TITRATION_KIT);
        Changed untested = new Changed(full.inputs());
        untested.calcium = null;
        double omega = StaircaseBuilder.build(full.inputs()).omegaAragonite();
        assertThat(StaircaseBuilder.build(half.inputs()).omegaAragonite()).isCloseTo(omega / 2, within(1e-9));
        // sea salt holds 412 mg/L of it at S 35 (Riley & Tongudai 1967, 0.02128 mol/kg over S 35, times 1.0232 kg/L:
        // 421)
        assertThat(StaircaseBuilder.build(untested.inputs()).omegaAragonite()).isCloseTo(omega, within(0.02 * omega));
    }

    @Test
    void withoutTheRoomTheWaterIsComparedWithOutdoors() {
        Staircase staircase = StaircaseBuilder.build(inputs(reading(7.84, Method.PROBE), 8.5, null, 1, true));
        double water = staircase.water().ppm().value();
        assertThat(staircase.verdict().because())
                .startsWith("The water has %.0f ppm, %.0f above outdoors".formatted(water, water - 420));
        assertThat(staircase.verdict().urgency()).isEqualTo(Urgency.WORTH_DOING);
    }

    @Test
    void risersSayWhatTheyCost() {
        Verdict room = StaircaseBuilder.build(inputs(reading(7.75, Method.PROBE_CHECKED), 8.5, 1400.0, 1, true))
                .verdict();
        assertThat(room.because())
                .contains("980 ppm above outdoors")
                .contains("with outdoor air in the room, pH would be 8.");
        Verdict tank = StaircaseBuilder.build(inputs(reading(7.7, Method.PROBE_CHECKED), 8.5, 520.0, 1, true))
                .verdict();
        assertThat(tank.because())
                .contains("only 100 above outdoors")
                .contains("with full gas exchange at this room air, pH would be 8.");
    }

    /** What cannot be true says why, in the dark and in the light. */
    @Test
    void implausibleWaterSaysWhy() {
        assertThat(because(8.48, 8.5, true)).contains("in the dark, far less than outdoor air");
        assertThat(because(8.45, 2.0, false)).contains("almost nothing");
        assertThat(because(6.6, 8.5, true)).contains("gasping");
    }

    private static String because(double ph, double dkh, boolean dark) {
        return StaircaseBuilder.build(inputs(reading(ph, Method.PROBE_CHECKED), dkh, 600.0, 1, dark))
                .verdict()
                .because();
    }

    /** A clean room below outdoors has nothing to ventilate away. */
    @Test
    void uptakeFromCleanAirCanOnlyBeWatched() {
        Changed high = new Changed(inputs(reading(8.35, Method.PROBE_CHECKED), 8.5, 410.0, 0, false));
        high.band = new TargetBand(8.39, 8.49, 7.8);
        Verdict verdict = StaircaseBuilder.build(high.inputs()).verdict();
        assertThat(verdict.kind()).isEqualTo(Kind.TANK_TAKES_UP);
        assertThat(verdict.step()).isEqualTo(Step.KEEP_WATCHING);
        assertThat(verdict.next()).contains("before lights-on");
    }

    /** On its line a value is still inside: goal, peak, act line and the highest pH. */
    @Test
    void onTheLineIsInside() {
        assertThat(kind(8.0, 8.5, 700)).isEqualTo(Kind.IN_BAND);
        assertThat(kind(8.4, 8.5, 420)).isEqualTo(Kind.IN_BAND);
        StaircaseInputs at = inputs(reading(8.1, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        assertThat(verdict(around(at, 8.1, 8.5, null)).kind()).isEqualTo(Kind.IN_BAND);
        assertThat(verdict(around(at, 8.0, 8.2, null)).kind()).isEqualTo(Kind.IN_BAND);
        Verdict atActLine = verdict(around(at, 7.8, 8.2, null));
        assertThat(atActLine.urgency()).isEqualTo(Urgency.WORTH_DOING);
        assertThat(atActLine.because()).contains("goal of 8.00");
        assertThat(verdict(around(at, 7.79, 8.2, null)).because()).contains("action level of 7.80");
        StaircaseInputs low = inputs(reading(7.9, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        assertThat(verdict(around(low, 7.7, 8.2, null)).urgency()).isEqualTo(Urgency.ACT_NOW);
        assertThat(verdict(around(at, 8.1, 8.2, new DayAround.AlkalinityRise(8, 1, 0.1)))
                        .kind())
                .as("1 dKH a day is allowed")
                .isEqualTo(Kind.IN_BAND);
    }

    private static Verdict verdict(StaircaseInputs in) {
        return StaircaseBuilder.build(in).verdict();
    }

    @Test
    void onlyTheWorstHourIsShownTheWayTo() {
        StaircaseInputs at = inputs(reading(8.1, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        assertThat(verdict(around(at, 7.9, 8.2, null)).lookAt()).isEqualTo(BEFORE_LIGHTS_ON);
        assertThat(verdict(around(at, 8.05, 8.2, null)).lookAt()).isNull();
        assertThat(verdict(at).cautions()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1499, 0", "1500, 1"})
    void peopleComeFirstFrom1500(double room, int cautions) {
        assertThat(verdict(inputs(reading(7.7, Method.PROBE_CHECKED), 8.5, room, 0, true))
                        .cautions())
                .hasSize(cautions);
    }

    /** A rise that stops the doser is told with its numbers; a high pH with the day's highest. */
    @Test
    void anOverdoseSaysWhatItSaw() {
        StaircaseInputs at = inputs(reading(8.1, Method.PROBE_CHECKED), 8.5, 600.0, 1, true);
        assertThat(verdict(around(at, 8.1, 8.2, new DayAround.AlkalinityRise(8, 1.5, 0.3)))
                        .because())
                .startsWith("Alkalinity rose by 1.5 dKH within a day, from 8.0");
        assertThat(verdict(around(at, 8.1, 8.6, null)).because()).startsWith("pH 8.60 is above 8.5");
        StaircaseInputs unknown = inputs(null, null, null, 0, true);
        assertThat(verdict(around(unknown, 8.1, 8.6, null)).kind()).isEqualTo(Kind.OVERDOSE);
    }

    @Test
    void errorsByMethod() {
        Assumptions assumed = Assumptions.DEFAULT;
        assertThat(assumed.phError(Method.PROBE)).isEqualTo(0.1);
        assertThat(assumed.phError(Method.PROBE_CHECKED)).isEqualTo(0.03);
        assertThat(assumed.phError(Method.ESTIMATE)).isEqualTo(0.2);
        assertThat(assumed.alkalinityErrorDkh(Method.ESTIMATE, 2)).isCloseTo(3 * 0.3 + 2 * 0.1, within(1e-12));
        // after a day 1 − 1/e of the room's swing of 300 ppm is doubt, in quadrature with the meter's 50
        assertThat(assumed.roomErrorPpm(Method.METER, 24)).isCloseTo(Math.hypot(50, 300 * 0.63212), within(0.01));
        assertThat(assumed.outdoorErrorPpm(Method.METER, 96)).isCloseTo(Math.hypot(50, 40 * 0.63212), within(0.01));
    }

    /** 420 ppm over seawater of S 35 at 25 °C and 2.3 meq/kg: near pH 8.05 on the total scale (common knowledge of today's ocean), 0.13 more on the NBS scale. */
    @Test
    void theMapHasItsLines() {
        CarbonateMap map = CarbonateMap.of(new Seawater(35, 25), Gases.STANDARD_HPA);
        assertThat(map.lines())
                .extracting(CarbonateMap.Line::ppm)
                .containsExactly(250.0, 420.0, 600.0, 1000.0, 1500.0, 2500.0, 4000.0);
        List<CarbonateMap.Point> today = map.lines().get(1).points();
        assertThat(today).hasSize(25);
        assertThat(today.get(0).alkalinityMeqPerL()).isCloseTo(CarbonateMap.MIN_MEQ_PER_L, within(1e-9));
        assertThat(today.get(24).alkalinityMeqPerL()).isCloseTo(CarbonateMap.MAX_MEQ_PER_L, within(1e-9));
        CarbonateMap.Point ocean = today.get(6);
        assertThat(ocean.alkalinityMeqPerL()).isCloseTo(2.3, within(1e-9));
        assertThat(ocean.phNbs()).isCloseTo(8.05 + 0.13, within(0.03));
        assertThat(map.temperatureC()).isEqualTo(25);
        assertThat(map.lines())
                .allSatisfy(line ->
                        assertThat(line.points()).isSortedAccordingTo((a, b) -> Double.compare(a.phNbs(), b.phNbs())));
    }

    @Test
    void extrapolationIsSaid() {
        Changed cold = new Changed(inputs(reading(8.0, Method.PROBE), 8.5, 600.0, 1, true));
        cold.temperatureC = reading(1, Method.METER);
        assertThat(StaircaseBuilder.build(cold.inputs()).extrapolated()).isTrue();
        cold.temperatureC = reading(25, Method.METER);
        assertThat(StaircaseBuilder.build(cold.inputs()).extrapolated()).isFalse();
    }
}
