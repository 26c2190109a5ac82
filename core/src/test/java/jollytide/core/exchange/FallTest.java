package jollytide.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** Falling water: all of it brought a share of the way to the air. */
class FallTest {
    private static final Seawater WATER = new Seawater(35, 25);

    /**
     * 1000 L/h, brought all the way, carry what they hold at an atmosphere of the gas: 28.4 mol of CO2 (Weiss 1974,
     * 0.02839 mol/(kg atm) at S 35 and 25 °C, times the density 1.0233), and of oxygen saturation over its pressure.
     */
    @Test
    void aWholeFallCarriesWhatTheWaterHolds() {
        Conductance whole = new Fall(1000, 1).conductance(WATER);
        assertThat(whole.co2()).isCloseTo(1000 * 0.02839 * 1.0233, within(0.02));
        double saturated = Gases.oxygenSaturationMgPerL(WATER, Gases.STANDARD_HPA) / 31_998.8;
        double pressure = 0.20946 * (1 - Gases.waterVapourAtm(WATER));
        assertThat(whole.oxygen()).isCloseTo(1000 * saturated / pressure, within(1e-6));
    }

    @Test
    void flowAndHeightCountStraight() {
        double whole = new Fall(1000, 1).conductance(Gas.CO2, WATER);
        assertThat(new Fall(1000, 0.15).conductance(Gas.CO2, WATER)).isCloseTo(0.15 * whole, within(1e-12));
        assertThat(new Fall(250, 1).conductance(Gas.CO2, WATER)).isCloseTo(0.25 * whole, within(1e-12));
        assertThat(new Fall(0, 1).conductance(Gas.CO2, WATER)).isZero();
        assertThatThrownBy(() -> new Fall(100, 1.1))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("fallEfficiency");
    }

    @Test
    void aConductanceIsOneForEachGas() {
        Conductance both = new Conductance(3, 5);
        assertThat(both.of(Gas.CO2)).isEqualTo(3);
        assertThat(both.of(Gas.OXYGEN)).isEqualTo(5);
        assertThat(both.times(2)).isEqualTo(new Conductance(6, 10));
    }
}
