package jollytide.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.Drawn;
import jollytide.core.evidence.Estimate;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

class AirLineTest {

    /** Laminar flow through a thin hose: Hagen and Poiseuille, 128 µLQ/(πd⁴). */
    @Test
    void laminar() {
        double q = 30 / 3.6e6;
        double expected = 128 * 1.813e-5 * 3 * q / (Math.PI * Math.pow(0.004, 4));
        assertThat(new AirLine(3, 4, 0).pressureDropPa(30)).isCloseTo(expected, within(0.01 * expected));
    }

    /** Turbulent flow in a smooth pipe: Blasius (1913), f = 0.316/Re^0.25, within the 5 % that the laws differ. */
    @Test
    void turbulent() {
        double d = 0.0127;
        double v = 8000 / 3.6e6 / (Math.PI * d * d / 4);
        double re = 1.204 * v * d / 1.813e-5;
        double expected = 0.316 / Math.pow(re, 0.25) * 8 / d * 1.204 * v * v / 2;
        assertThat(re).isGreaterThan(10_000);
        assertThat(new AirLine(8, 12.7, 0).pressureDropPa(8000)).isCloseTo(expected, within(0.05 * expected));
    }

    /** Ten feet of thin airline leaves a fraction; half-inch bore at 5 to 8 m costs almost nothing: common practice. */
    @Test
    void practice() {
        double thin = new AirLine(3, 4, AirLine.ASSUMED_LOSS).kept(500, AirLine.ASSUMED_SUCTION_PA);
        double wide = new AirLine(8, 12.7, AirLine.ASSUMED_LOSS).kept(500, AirLine.ASSUMED_SUCTION_PA);
        assertThat(thin).isBetween(0.1, 0.45);
        assertThat(wide).isGreaterThan(0.95);
        assertThat(new AirLine(8, 4, AirLine.ASSUMED_LOSS).boreKeeping(0.95, 500, AirLine.ASSUMED_SUCTION_PA))
                .isBetween(8.0, 12.7);
        assertThat(new AirLine(8, 6, AirLine.ASSUMED_LOSS).keptAssumed(500).low())
                .isLessThan(
                        new AirLine(8, 6, AirLine.ASSUMED_LOSS).keptAssumed(500).high());
    }

    @Test
    void longerAndThinnerNeverKeepsMore() {
        Drawn.times(300, 20261125, drawn -> {
            double length = drawn.between(0, 60);
            double bore = drawn.between(2, 40);
            double draw = drawn.between(20, 3000);
            double kept = new AirLine(length, bore, 2.5).kept(draw, 1000);
            assertThat(kept).isBetween(0.0, 1.0);
            assertThat(new AirLine(length + 5, bore, 2.5).kept(draw, 1000)).isLessThanOrEqualTo(kept + 1e-9);
            assertThat(new AirLine(length, bore * 0.8, 2.5).kept(draw, 1000)).isLessThanOrEqualTo(kept + 1e-9);
        });
    }

    /** Common practice: two bends and open ends are the ordinary hose; every bend and a filter add to it. */
    @Test
    void lossesAddUp() {
        assertThat(AirLine.loss(AirLine.ASSUMED_BENDS, false)).isEqualTo(AirLine.ASSUMED_LOSS);
        assertThat(AirLine.loss(6, false)).isGreaterThan(AirLine.loss(2, false));
        assertThat(AirLine.loss(2, true)).isGreaterThan(AirLine.loss(6, false));
        assertThatThrownBy(() -> AirLine.loss(-1, false))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("bends");
    }

    /** A hose that draws what one of 16 m would is ten metres too long for its 6; one that draws as it should, none. */
    @Test
    void aChokedHoseIsLikeALongerOne() {
        AirLine six = new AirLine(6, 8, AirLine.ASSUMED_LOSS);
        double asSixteen = 550 * new AirLine(16, 8, AirLine.ASSUMED_LOSS).kept(550, 1000);
        assertThat(six.likeMetresMore(550, asSixteen, 1000)).isCloseTo(10, within(0.1));
        assertThat(six.likeMetresMore(550, 550 * six.kept(550, 1000), 1000)).isCloseTo(0, within(0.01));
        assertThat(six.likeMetresMore(550, 550, 1000)).isZero();
        assertThatThrownBy(() -> six.likeMetresMore(550, 600, 1000))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("drawnLPerH");
    }

    /** Hose and leak together draw more than the hose alone; what is not known widens the band. */
    @Test
    void keptWithALeak() {
        AirLine line = new AirLine(6, 9.5, AirLine.ASSUMED_LOSS);
        Estimate known = line.keptWithLeak(550, 1000.0, 0);
        assertThat(known.low()).isEqualTo(known.high());
        assertThat(known.value()).isCloseTo(line.kept(550, 1000), within(1e-6));
        assertThat(line.keptWithLeak(550, 1000.0, 6).value()).isGreaterThan(known.value() + 0.01);
        Estimate assumed = line.keptWithLeak(550, null, 0);
        assertThat(assumed.low()).isCloseTo(line.kept(550, AirLine.LEAST_SUCTION_PA), within(1e-6));
        assertThat(assumed.high()).isCloseTo(line.kept(550, AirLine.MOST_SUCTION_PA), within(1e-6));
        AirLine.Drawn drawn = line.withLeak(550, 1000, 6);
        assertThat(drawn.totalLPerH()).isCloseTo(drawn.lineLPerH() + drawn.leakLPerH(), within(1e-9));
        // both inlets see one suction, and what is drawn is what the skimmer still sucks
        assertThat(line.pressureDropPa(drawn.lineLPerH()))
                .isCloseTo(1000 * (1 - drawn.totalLPerH() / 550), within(0.01));
    }
}
