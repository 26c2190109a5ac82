package jollytide.core.probe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.probe.Calibration.BufferReading;
import jollytide.core.probe.Calibration.Then;
import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

class ProbeHistoryTest {
    private static final Instant FIRST = Instant.parse("2026-09-01T12:00:00Z");
    private static final double PH = 8.2;

    private static Instant day(double days) {
        return FIRST.plus(Duration.ofMinutes(Math.round(days * 24 * 60)));
    }

    /** Found to show so much too much, everywhere alike. */
    private static Calibration found(double days, double tooMuch, Then then) {
        return new Calibration(
                day(days),
                List.of(new BufferReading(7, 25, 7 + tooMuch), new BufferReading(10, 25, 10 + tooMuch)),
                then,
                null);
    }

    private static double correction(ProbeHistory history, double days) {
        return history.at(day(days)).correction(PH);
    }

    @Test
    void withoutCalibrationNothingIsCorrected() {
        assertThat(ProbeHistory.NONE.at(FIRST)).isEqualTo(ProbeMap.RIGHT);
        assertThat(ProbeHistory.NONE.uncertainty(FIRST, PH)).isEmpty();
        assertThat(ProbeHistory.NONE.due()).isNull();
    }

    @Test
    void driftIsSpreadBetweenTwoCalibrations() {
        ProbeHistory history = new ProbeHistory(
                List.of(found(30, 0.06, Then.LEFT_AS_IT_WAS), found(0, 0.02, Then.LEFT_AS_IT_WAS)), 25);
        assertThat(correction(history, -5)).isCloseTo(-0.02, within(1e-9));
        assertThat(correction(history, 0)).isCloseTo(-0.02, within(1e-9));
        assertThat(correction(history, 15)).isCloseTo(-0.04, within(1e-9));
        assertThat(correction(history, 29.999)).isCloseTo(-0.06, within(1e-4));
        assertThat(correction(history, 50)).isCloseTo(-0.06, within(1e-9));
    }

    /** Its numbers jump by themselves: what was found is of before, and right is right from then on. */
    @Test
    void aMeterThatSetItselfIsNotCorrectedTwice() {
        ProbeHistory history =
                new ProbeHistory(List.of(found(0, 0.03, Then.SET_ITSELF), found(30, -0.04, Then.SET_ITSELF)), 25);
        assertThat(correction(history, -1)).isCloseTo(-0.03, within(1e-9));
        assertThat(correction(history, 0.001)).isCloseTo(0, within(1e-4));
        assertThat(correction(history, 15)).isCloseTo(0.02, within(1e-9));
        assertThat(correction(history, 31)).isZero();
    }

    @Test
    void aMeterThatSetItselfUnseenTellsNothingOfBefore() {
        ProbeHistory history = new ProbeHistory(
                List.of(
                        found(0, 0.05, Then.LEFT_AS_IT_WAS),
                        new Calibration(day(20), List.of(), Then.SET_ITSELF, null)),
                25);
        assertThat(correction(history, 19)).isCloseTo(-0.05, within(1e-9));
        assertThat(correction(history, 21)).isZero();
    }

    /** What a new probe shows in its buffers says nothing of the old one. */
    @Test
    void aNewProbeBeginsAnew() {
        ProbeHistory history =
                new ProbeHistory(List.of(found(0, 0.05, Then.LEFT_AS_IT_WAS), found(20, 0.3, Then.NEW_PROBE)), 25);
        assertThat(correction(history, 19)).isCloseTo(-0.05, within(1e-9));
        assertThat(correction(history, 21)).isZero();
        assertThat(history.uncertainty(day(19.9), PH).orElseThrow()).isGreaterThan(0.04);
        assertThat(history.uncertainty(day(20.1), PH).orElseThrow()).isLessThan(0.025);
    }

    /** ±0.02 at once, 0.01 a week more, ±0.15 at most; between two calibrations the nearer one counts. */
    @Test
    void howSureItIs() {
        ProbeHistory history =
                new ProbeHistory(List.of(found(0, 0, Then.LEFT_AS_IT_WAS), found(28, 0, Then.LEFT_AS_IT_WAS)), 25);
        assertThat(history.uncertainty(day(0), PH).orElseThrow()).isCloseTo(0.02, within(1e-6));
        assertThat(history.uncertainty(day(7), PH).orElseThrow()).isCloseTo(0.03, within(1e-6));
        assertThat(history.uncertainty(day(14), PH).orElseThrow()).isCloseTo(0.04, within(1e-6));
        assertThat(history.uncertainty(day(27), PH).orElseThrow()).isLessThan(0.022);
        assertThat(history.uncertainty(day(28 + 14), PH).orElseThrow()).isCloseTo(0.04, within(1e-6));
        assertThat(history.uncertainty(day(3000), PH).orElseThrow()).isCloseTo(0.15, within(1e-9));
        assertThat(history.due()).isEqualTo(day(58));
    }

    @Test
    void oneBufferLeavesTheSlopeInDoubt() {
        ProbeHistory one = new ProbeHistory(
                List.of(new Calibration(FIRST, List.of(new BufferReading(7, 25, 7)), Then.LEFT_AS_IT_WAS, null)), 25);
        assertThat(one.uncertainty(FIRST, PH).orElseThrow()).isCloseTo(0.02 + 0.03 * 1.2, within(1e-9));
    }

    @Test
    void twoInAMinuteAreASlip() {
        List<Calibration> both = List.of(found(0, 0, Then.LEFT_AS_IT_WAS), found(0.0005, 0.1, Then.LEFT_AS_IT_WAS));
        assertThatThrownBy(() -> new ProbeHistory(both, 25))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("within two minutes");
    }

    /** S 35, 25 °C, 2300 µmol/kg in balance with 420 µatm: pH 8.025 on the total scale (computed apart, by bisection). */
    @Test
    void theGlassOfAir() {
        Seawater standard = new Seawater(35, 25);
        double ppm = Gases.dryPpmInBalance(420, 1013.25, standard);
        double nbs = AirBalance.expected(standard, 2.3 * standard.densityKgPerL(), 0, ppm, 1013.25)
                .value();
        assertThat(EquilibriumConstants.of(standard).toTotal(nbs, PhScale.NBS)).isCloseTo(8.025, within(0.005));
        Seawater glass = new Seawater(35, 22);
        Estimate expected = AirBalance.expected(glass, 3.03, 0.07, 420, 1013.25);
        assertThat(expected.value()).isBetween(8.2, 8.35);
        assertThat(expected.high() - expected.low()).isGreaterThan(2 * AirBalance.TELLS_PH);
        assertThat(AirBalance.expected(glass, 3.03, 0.07, 840, 1013.25).value())
                .isCloseTo(expected.value() - 0.24, within(0.03));
        assertThat(AirBalance.expected(glass, 2.4, 0.07, 420, 1013.25).value()).isLessThan(expected.value() - 0.05);
        assertThat(AirBalance.expected(new Seawater(35, 26), 3.03, 0.07, 420, 1013.25)
                        .value())
                .isNotCloseTo(expected.value(), within(0.003));
    }

    @Test
    void twoMethodsAtOneHour() {
        List<Observation> probe = List.of(
                new Observation(8.10, Method.PROBE, day(0)),
                new Observation(8.12, Method.PROBE, day(0.01)),
                new Observation(8.30, Method.PROBE, day(1)));
        List<Observation> kit = List.of(
                new Observation(8.3, Method.COLOUR_KIT, day(1.01)),
                new Observation(8.0, Method.COLOUR_KIT, day(0.012)),
                new Observation(8.2, Method.COLOUR_KIT, day(0.5)));
        List<MethodsCompared.Pair> pairs = MethodsCompared.pairs(probe, kit);
        assertThat(pairs).hasSize(2);
        assertThat(pairs.get(0).difference()).isCloseTo(-0.12, within(1e-9));
        assertThat(pairs.get(1).difference()).isCloseTo(0, within(1e-9));
    }
}
