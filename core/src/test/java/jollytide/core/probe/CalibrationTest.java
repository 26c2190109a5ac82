package jollytide.core.probe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import jollytide.core.Drawn;
import jollytide.core.probe.Calibration.BufferReading;
import jollytide.core.probe.Calibration.Condition;
import jollytide.core.probe.Calibration.Then;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalibrationTest {
    private static final Instant NOON = Instant.parse("2026-11-10T12:00:00Z");

    private static Calibration of(@Nullable Double setC, BufferReading... points) {
        return new Calibration(NOON, List.of(points), Then.LEFT_AS_IT_WAS, setC);
    }

    private static ProbeMap map(Calibration calibration, double tankC) {
        return Objects.requireNonNull(calibration.found(tankC));
    }

    /** The slope of an ideal electrode as tables give it: 58.17, 59.16 and 60.15 mV (R·T·ln 10 / F). */
    @ParameterizedTest
    @CsvSource({"20, 58.17", "25, 59.16", "30, 60.15"})
    void theIdealSlope(double celsius, double millivolts) {
        assertThat(Nernst.millivoltsPerPh(celsius)).isCloseTo(millivolts, within(0.005));
    }

    /** NIST, DIN 19266; phthalate and carbonate from memory. */
    @ParameterizedTest
    @CsvSource({
        "PHOSPHATE, 20, 6.881", "PHOSPHATE, 25, 6.865", "PHOSPHATE, 30, 6.853",
        "BORAX, 20, 9.225", "BORAX, 25, 9.180", "BORAX, 30, 9.139",
        "PHTHALATE, 25, 4.005", "CARBONATE, 20, 10.06"
    })
    void buffersByTheirTable(Buffer buffer, double celsius, double ph) {
        assertThat(buffer.ph(celsius)).isCloseTo(ph, within(1e-9));
    }

    @Test
    void aBufferFarFromItsTableIsNotKnown() {
        assertThat(Buffer.BORAX.ph(22.5)).isCloseTo(9.2025, within(1e-9));
        assertThatThrownBy(() -> Buffer.BORAX.ph(40)).isInstanceOf(InputException.class);
    }

    /** Worked by hand: −3 mV in 7.00 and −171 mV in 10.00 at 25 °C are 56 mV a pH, 94.7 % of 59.16. */
    @Test
    void fromMillivolts() {
        Calibration c = of(null, BufferReading.ofMillivolts(7.00, 25, -3), BufferReading.ofMillivolts(10.00, 25, -171));
        assertThat(c.slopePercent()).isCloseTo(94.7, within(0.05));
        assertThat(c.offsetMv()).isCloseTo(-3, within(0.01));
        assertThat(c.condition()).isEqualTo(Condition.AGEING);
        // −70.2 mV are pH 7 + 67.2/56 = 8.20; the meter shows 8.19.
        assertThat(map(c, 25).ph(Nernst.shown(-70.2, 25))).isCloseTo(8.20, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "7.00, 9.90, GOOD",
        "7.00, 9.84, AGEING",
        "7.00, 9.65, REPLACE",
        "7.00, 10.08, SUSPECT_BUFFERS",
        "7.60, 10.50, REPLACE"
    })
    void howItStands(double in7, double in10, Condition condition) {
        assertThat(of(null, new BufferReading(7, 25, in7), new BufferReading(10, 25, in10))
                        .condition())
                .isEqualTo(condition);
    }

    @Test
    void oneBufferTellsItsOffsetAlone() {
        Calibration c = of(null, new BufferReading(7, 25, 7.06));
        assertThat(c.slopePercent()).isNaN();
        assertThat(c.condition()).isEqualTo(Condition.UNKNOWN);
        assertThat(map(c, 25).ph(8.26)).isCloseTo(8.20, within(1e-9));
    }

    /** A meter set to 20 °C in water of 26 °C: 1.2 × (299.15/293.15 − 1) = 0.025 too high at pH 8.2. */
    @Test
    void aMeterThatDoesNotCompensate() {
        Calibration c = of(20.0, new BufferReading(7, 20, 7), new BufferReading(10, 20, 10));
        assertThat(map(c, 26).correction(8.2246)).isCloseTo(-0.0246, within(0.0005));
        assertThat(map(of(null, new BufferReading(7, 20, 7), new BufferReading(10, 20, 10)), 26)
                        .correction(8.2))
                .isCloseTo(0, within(1e-9));
        // In buffers as warm as the tank it is calibrated with what it does wrong.
        Calibration warm = of(20.0, new BufferReading(7, 26, 7), new BufferReading(10, 26, 7 + 3 * 299.15 / 293.15));
        assertThat(map(warm, 26).ph(7 + 1.2 * 299.15 / 293.15)).isCloseTo(8.2, within(1e-9));
    }

    @Test
    void inItsBuffersItShowsThem() {
        Drawn.times(500, 20261126, drawn -> {
            double off = drawn.between(-0.6, 0.6);
            double steep = drawn.between(0.75, 1.1);
            double bufferC = drawn.between(15, 30);
            BufferReading low = new BufferReading(6.88, bufferC, 7 + off + steep * (6.88 - 7));
            BufferReading high = new BufferReading(9.2, bufferC, 7 + off + steep * (9.2 - 7));
            ProbeMap map = map(of(null, high, low), 25);
            assertThat(map.ph(low.shownPh())).isCloseTo(6.88, within(1e-9));
            assertThat(map.ph(high.shownPh())).isCloseTo(9.2, within(1e-9));
            assertThat(map.ph(7 + off + steep * 1.2)).isCloseTo(8.2, within(1e-9));
        });
    }

    @ParameterizedTest(name = "{4}")
    @CsvSource({
        "7, 10, 10.1, 7.1, swapped",
        "7, 10, 7.02, 7.05, same buffer twice",
        "7, 10, 7.0, 11.0, slope",
        "7, 7.4, 7.0, 7.4, too close"
    })
    void whatCannotBeIsRefusedWithItsLikelyCause(
            double low, double high, double shownLow, double shownHigh, String words) {
        assertThatThrownBy(() -> of(null, new BufferReading(low, 25, shownLow), new BufferReading(high, 25, shownHigh)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(words);
    }

    @Test
    void nothingIsNoCalibration() {
        assertThatThrownBy(() -> of(null)).hasMessageContaining("at least one buffer");
        assertThatThrownBy(() -> of(null, new BufferReading(10, 25, 7.1))).hasMessageContaining("swap the buffers");
        assertThat(new Calibration(NOON, List.of(), Then.SET_ITSELF, null).offsetMv())
                .isNaN();
    }
}
