package jollytide.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.media.Media.State;
import jollytide.core.media.MediaLife.End;
import jollytide.core.media.MediaLife.Life;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

class MediaTest {
    private static final Seawater TANK = new Seawater(35, 25.5);
    private static final Media KILO = new Media(1, MediaAssumptions.DEFAULT);
    /** Winter air of a room, 20 °C at half saturation. */
    private static final double ROOM_VAPOUR = 8.6;

    private static MediaLife use(double ppm, double freshShare, double hours, boolean dries) {
        return new MediaLife(KILO, TANK, 600, ppm, ROOM_VAPOUR, 800, freshShare, hours, dries);
    }

    /** WMO-No. 8 (Magnus): 23.6 g/m³ at 25.5 °C, 20.0 at 22.5 °C. */
    @Test
    void saturationVapourDensity() {
        assertThat(Media.saturationGPerM3(25.5)).isCloseTo(23.6, within(0.15));
        assertThat(Media.saturationGPerM3(22.5)).isCloseTo(20.0, within(0.15));
    }

    /** 600 L/h once through a kilogram: by CO2 alone about 12 days at 900 ppm, 26 at 420 (computed independently). */
    @Test
    void onceThroughByCo2() {
        assertThat(use(900, 1, 24, false).life().daysByCo2()).isCloseTo(12, within(1.0));
        assertThat(use(420, 1, 24, false).life().daysByCo2()).isCloseTo(26, within(2.0));
    }

    /** Common practice: media drown in three to four days of full-time recirculation. */
    @Test
    void recirculatedAlwaysDrowns() {
        Life life = use(900, 0, 24, false).life();
        assertThat(life.end()).isEqualTo(End.DROWNED);
        assertThat(life.endDay()).isBetween(2.8, 4.2);
        assertThat(life.usedAtEnd()).isLessThan(0.6);
    }

    /** Common practice: by night only, with dry fresh air by day, they do not drown. */
    @Test
    void dryAirByDayKeepsThemFromDrowning() {
        assertThat(use(420, 0.03, 10, false).life().end()).isEqualTo(End.DROWNED);
        Life dried = use(420, 0.03, 10, true).life();
        assertThat(dried.end()).isEqualTo(End.SPENT);
        assertThat(dried.endDay()).isGreaterThan(12);
    }

    @Test
    void theColourComesBeforeTheEnd() {
        Life life = use(900, 1, 24, false).life();
        assertThat(life.end()).isEqualTo(End.SPENT);
        assertThat(life.colourDay()).isLessThan(life.endDay()).isGreaterThan(0.5 * life.endDay());
        assertThat(use(900, 1, 24, false).endDays().low()).isLessThan(life.endDay());
        assertThat(use(900, 1, 24, false).endDays().high()).isGreaterThan(life.endDay());
    }

    @Test
    void efficiencyFadesOnBothSides() {
        assertThat(KILO.efficiency(KILO.fresh())).isCloseTo(0.98, within(1e-9));
        double all = KILO.capacityMol();
        assertThat(KILO.efficiency(new State(0.85 * all, 0.15))).isBetween(0.3, 0.6);
        assertThat(KILO.efficiency(new State(all, 0.15))).isZero();
        assertThat(KILO.efficiency(new State(0, 0.34))).isZero();
        assertThat(KILO.efficiency(new State(0, 0.04))).isBetween(0.4, 0.6);
        assertThat(KILO.drowned(new State(0, 0.33))).isTrue();
    }

    /** Water comes from wet air and from the reaction, and goes with dry air: never below what is there. */
    @Test
    void waterFollowsTheAir() {
        Media.Rates wet = KILO.rates(KILO.fresh(), new Media.Stream(600, 800, 23.2), 25.5);
        Media.Rates dry = KILO.rates(KILO.fresh(), new Media.Stream(600, 800, 5), 25.5);
        assertThat(wet.waterKgPerH()).isPositive();
        assertThat(dry.waterKgPerH()).isNegative();
        Life long_ = use(420, 1, 24, false).life();
        assertThat(long_.usedAtEnd()).isBetween(0.0, 1.0);
    }
}
