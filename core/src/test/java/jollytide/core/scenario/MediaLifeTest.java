package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.media.Media;
import jollytide.core.media.Media.State;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.scenario.MediaLife.End;
import jollytide.core.scenario.MediaLife.Life;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

/** A fill of media alone, run by the twin. */
class MediaLifeTest {
    private static final Seawater TANK = new Seawater(35, 25.5);
    private static final Media KILO = new Media(1, MediaAssumptions.DEFAULT);
    /** Winter air of a room, 20 °C at half saturation. */
    private static final double ROOM_VAPOUR = 8.6;

    private static MediaLife use(double ppm, double freshShare, double hours, boolean dries) {
        return new MediaLife(KILO, TANK, 600, ppm, ROOM_VAPOUR, 800, freshShare, hours, dries);
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

    /** Spent means that all but a thirtieth of the capacity is used, whatever the air. */
    @Test
    void aSpentFillHasUsedItsCapacity() {
        Life slow = use(420, 1, 24, false).life();
        assertThat(slow.end()).isEqualTo(End.SPENT);
        assertThat(slow.usedAtEnd()).isBetween(0.97, 0.975);
    }

    /** Half of the day is half of the work: the same fill lasts twice as long by CO2 alone. */
    @Test
    void halfTheHoursTwiceTheDays() {
        double always = use(900, 1, 24, false).life().endDay();
        double half = use(900, 1, 12, false).life().endDay();
        assertThat(half / always).isCloseTo(2, within(0.06));
    }

    /** What a fill holds later is where its life goes on from. */
    @Test
    void aFillGoesOnFromWhatItHolds() {
        MediaLife use = use(900, 1, 24, false);
        double whole = use.life().endDay();
        State after = use.after(KILO.fresh(), 5);
        assertThat(after.co2Mol()).isCloseTo(5 * 24 * 600 / 24.5 * 900e-6 * 0.968 * 0.98, within(0.01));
        assertThat(use.from(after).endDay()).isCloseTo(whole - 5, within(0.05));
        assertThat(use.after(after, 0.3).co2Mol()).isGreaterThan(after.co2Mol());
    }

    /** 600 L/h × 900 ppm × 5 days by the gas law at 25.5 °C, less the water vapour, in litres of 24.2 to a mole. */
    @Test
    void whatTheAirCarried() {
        double mol = 600 * 120 / (0.082057 * 298.65) * 900e-6 * (1 - 0.0316);
        assertThat(use(900, 1, 24, false).carriedL(5)).isCloseTo(mol * 24.2, within(0.1));
    }
}
