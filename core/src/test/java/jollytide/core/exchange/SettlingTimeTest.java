package jollytide.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.Drawn;
import jollytide.core.evidence.Estimate;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

class SettlingTimeTest {
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final double ALKALINITY = AlkalinityUnit.DKH.toMeqPerL(8.5) / 1000 / WATER.densityKgPerL();

    private static Estimate hours(double litres, double conductance) {
        return SettlingTime.hours(CarbonateSystem.of(WATER), ALKALINITY, 800, litres, conductance);
    }

    /** The reference tank, 420 L with 0.9 m² and a 500 L/h skimmer: 5 to 30 h are usual (common practice, no source). */
    @Test
    void referenceTank() {
        double skimmed = new Surface(0.9, SurfaceClass.ROLLING).conductance(Gas.CO2, WATER)
                + new Skimmer(500).conductance(Gas.CO2, WATER);
        double unskimmed = new Surface(0.9, SurfaceClass.ROLLING).conductance(Gas.CO2, WATER);
        assertThat(hours(420, skimmed).value()).isBetween(5.0, 12.0);
        assertThat(hours(420, unskimmed).value()).isGreaterThan(24);
    }

    /** The Revelle factor of seawater at about 400 µatm is 8 to 12; it fixes the buffer that τ rests on (from memory). */
    @Test
    void buffersLikeSeawater() {
        CarbonateSystem system = CarbonateSystem.of(new Seawater(35, 25));
        double tau = SettlingTime.hours(system, 2300e-6, 400, 1000, 1).value();
        double dic = system.fromAlkalinityAndCo2(2300e-6, 400).dic();
        double perKg = tau / (1000 * system.water().densityKgPerL());
        assertThat(dic / (perKg * 400e-6)).isBetween(8.0, 12.0);
    }

    /** The most a co-current exchanger can do is to bring both streams to one composition. */
    @Test
    void aSkimmerStaysBelowItsLimits() {
        Drawn.times(200, 20261124, drawn -> {
            double draw = drawn.between(1, 20000);
            double g = new Skimmer(draw).conductance(Gas.CO2, WATER);
            double air = draw / (0.082057 * WATER.temperatureK());
            assertThat(g).isPositive().isLessThan(air);
            assertThat(new Skimmer(draw).conductance(Gas.CO2, WATER) * 2).isCloseTo(2 * g, within(1e-9 * g));
        });
    }

    @Test
    void livelierSurfacesCarryMore() {
        double last = 0;
        for (SurfaceClass motion : SurfaceClass.values()) {
            double g = new Surface(1, motion).conductance(Gas.CO2, WATER);
            assertThat(g).isGreaterThan(last);
            last = g;
        }
    }

    /** kL·A·K0 by hand at 20 °C, where Sc is 668: 12 cm/h over 1 m². */
    @Test
    void surfaceByHand() {
        Seawater water = new Seawater(35, 20);
        double expected =
                0.12 * Math.sqrt(600 / 668.0) * EquilibriumConstants.of(water).k0() * 1024.8;
        assertThat(new Surface(1, SurfaceClass.ROLLING).conductance(Gas.CO2, water))
                .isCloseTo(expected, within(2e-3));
    }

    @Test
    void refusesAnAirflowOfNothing() {
        assertThatThrownBy(() -> new Skimmer(0))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("skimmerAirDrawLPerH is 0. Allowed: 1 to 20000 L/h.");
        assertThatThrownBy(() -> new Surface(-1, SurfaceClass.STILL)).isInstanceOf(InputException.class);
    }

    /** After three time constants 95 % has come through: 1 − e⁻³. */
    @Test
    void settledIsThreeTimeConstants() {
        assertThat(SettlingTime.settledH(new Estimate(12, 7, 20))).isEqualTo(new Estimate(36, 21, 60));
    }
}
