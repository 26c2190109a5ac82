package jollytide.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.media.Media.State;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

class MediaTest {
    private static final Seawater TANK = new Seawater(35, 25.5);
    private static final Media KILO = new Media(1, MediaAssumptions.DEFAULT);
    /** WMO-No. 8 (Magnus): 23.6 g/m³ at 25.5 °C, 20.0 at 22.5 °C. */
    @Test
    void saturationVapourDensity() {
        assertThat(Media.saturationGPerM3(25.5)).isCloseTo(23.6, within(0.15));
        assertThat(Media.saturationGPerM3(22.5)).isCloseTo(20.0, within(0.15));
    }

    @Test
    void efficiencyFadesOnBothSides() {
        assertThat(KILO.efficiency(KILO.fresh())).isCloseTo(0.98, within(1e-9));
        double all = KILO.capacityMol();
        assertThat(KILO.efficiency(new State(0.85 * all, 0.15))).isBetween(0.3, 0.6);
        assertThat(KILO.efficiency(new State(all, 0.15))).isZero();
        assertThat(KILO.efficiency(new State(0, 0.34))).isZero();
        assertThat(KILO.efficiency(new State(0, 0.04))).isBetween(0.4, 0.6);
        // Straight lines between the corners: full until 70 % and 0.25 g/g, nothing at 100 % and 0.33 g/g.
        assertThat(KILO.efficiency(new State(0.7 * all, 0.15))).isCloseTo(0.98, within(1e-9));
        assertThat(KILO.efficiency(new State(0.85 * all, 0.15))).isCloseTo(0.49, within(1e-9));
        assertThat(KILO.efficiency(new State(0, 0.25))).isCloseTo(0.98, within(1e-9));
        assertThat(KILO.efficiency(new State(0, 0.29))).isCloseTo(0.49, within(1e-9));
        assertThat(KILO.efficiency(new State(0, 0.02))).isCloseTo(0.245, within(1e-9));
        assertThat(KILO.drowned(new State(0, 0.33))).isTrue();
        assertThat(KILO.drowned(new State(0, 0.3299))).isFalse();
        assertThat(KILO.used(new State(0.5 * all, 0.15))).isCloseTo(0.5, within(1e-12));
    }

    /** Water comes from wet air and from the reaction, and goes with dry air: never below what is there. */
    @Test
    void waterFollowsTheAir() {
        Media.Rates wet = KILO.rates(KILO.fresh(), Media.Stream.of(600, 800, 23.2, TANK, 1013.25), 25.5);
        Media.Rates dry = KILO.rates(KILO.fresh(), Media.Stream.of(600, 800, 5, TANK, 1013.25), 25.5);
        assertThat(wet.waterKgPerH()).isPositive();
        assertThat(dry.waterKgPerH()).isNegative();
        // 600 L/h that carries 18.2 g/m³ less than air over granules at 22.5 °C: 600/1000 × (20.0 × 0.75 − 5) = 6 g/h.
        assertThat(dry.waterKgPerH()).isCloseTo(-0.006, within(0.0005));
    }
}
