package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.outage.Energy.CellSize;
import jollytide.core.outage.Energy.RunTime;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Run times worked out by hand from what is assumed of cells, batteries and engines: figures from memory, all of them. */
class EnergyTest {
    /** 0.4 L/h idling and half a litre for each kWh: 10 L at 100 W are 10 / 0.45 h, at 1 kW 10 / 0.9 h. */
    @ParameterizedTest
    @CsvSource({"10, 0.4, 100, 22.22", "10, 0.4, 1000, 11.11", "0, 0.4, 100, 0", "5, 0.9, 2200, 2.5"})
    void aGeneratorBurnsForNothingAndForItsLoad(double fuelL, double idle, double loadW, double hours) {
        RunTime run = new Energy.Generator(fuelL, idle).hours(loadW);
        assertThat(run.likely()).isCloseTo(hours, within(0.01));
        assertThat(run.early()).isCloseTo(0.7 * hours, within(0.01));
        assertThat(run.late()).isCloseTo(1.2 * hours, within(0.01));
        assertThat(run.tested()).isFalse();
    }

    /** Half of lead may be taken, 85 % of lithium. At the twenty-hour rate, 60 W from 1200 Wh, Peukert changes nothing. */
    @Test
    void batteriesGiveWhatMayBeTakenOfThem() {
        assertThat(new Energy.Battery(1200, true, 0, 1, null, 0).hours(60).likely())
                .isCloseTo(10, within(1e-9));
        assertThat(new Energy.Battery(1200, false, 0, 1, null, 0).hours(60).likely())
                .isCloseTo(17, within(1e-9));
    }

    /** Peukert 1.15: at four times the twenty-hour rate lead gives 4^-0.15 = 0.812 of its even share. */
    @Test
    void leadIsPunishedForHaste() {
        double hasty = new Energy.Battery(1200, true, 0, 1, null, 0).hours(240).likely();
        assertThat(hasty).isCloseTo(2.5 * Math.pow(4, -0.15), within(1e-9));
        assertThat(new Energy.Battery(1200, false, 0, 1, null, 0).hours(240).likely())
                .isCloseTo(4.25, within(1e-9));
    }

    /** 8 W of its own and an efficiency of 0.85: a 3.4 W pump takes 12 W, not 3.4. */
    @Test
    void anInverterTakesItsShare() {
        RunTime through = new Energy.Battery(
                        1000, false, Energy.Battery.ASSUMED_IDLE_W, Energy.Battery.ASSUMED_EFFICIENCY, null, 0)
                .hours(3.4);
        assertThat(through.likely()).isCloseTo(850 / 12.0, within(1e-9));
        RunTime direct = new Energy.Battery(1000, false, 0, 1, null, 0).hours(3.4);
        assertThat(direct.likely()).isCloseTo(250, within(1e-9));
    }

    @Test
    void anInverterThatRestsBelowALoadNeverStarts() {
        Energy.Battery resting = new Energy.Battery(1000, false, 8, 0.85, 10.0, 0);
        assertThat(resting.hours(9.9)).isEqualTo(new RunTime(0, 0, 0, false));
        assertThat(resting.hours(10).likely()).isGreaterThan(30);
    }

    /** Each cell at half-power: 1.6 W for D leaves half of its 20 Wh, 6.25 h; four of them share the load. */
    @ParameterizedTest
    @CsvSource({"D, 1, 1.6, 6.25", "D, 4, 6.4, 6.25", "C, 1, 0.8, 6.25", "AA, 1, 0.4, 4.5"})
    void cellsThatArePressedGiveLess(CellSize size, int count, double loadW, double hours) {
        assertThat(new Energy.DryCells(size, count, 0).hours(loadW).likely()).isCloseTo(hours, within(1e-9));
    }

    @Test
    void cellsLoseThreePercentAYear() {
        double fresh = new Energy.DryCells(CellSize.D, 2, 0).hours(1).likely();
        assertThat(new Energy.DryCells(CellSize.D, 2, 5).hours(1).likely())
                .isCloseTo(fresh * Math.pow(0.97, 5), within(1e-9));
    }

    /** What its label says, at its label's load, and no more than a tenth less for its own watts. */
    @Test
    void aUpsKeepsItsLabelAtItsLabelsLoad() {
        Energy.Ups ups = new Energy.Ups(100, 23, 0);
        assertThat(ups.hours(100).likely()).isCloseTo(23 / 60.0, within(1e-9));
        assertThat(ups.hours(100).early()).isBetween(0.9 * 23 / 60, 23 / 60.0);
        assertThat(ups.overloaded(100)).isFalse();
        assertThat(ups.overloaded(100.1)).isTrue();
    }

    /** A run that was watched counts as it was; a year on, a fifth less is counted on. */
    @Test
    void onlyATestedRunIsKnown() {
        assertThat(new Energy.Tested(5).hours(3)).isEqualTo(new RunTime(4, 5, 5, true));
        assertThat(new Energy.Claimed(40).hours(3)).isEqualTo(new RunTime(20, 30, 40, false));
    }

    @ParameterizedTest
    @CsvSource({"-1, 0.4, fuelL", "1001, 0.4, fuelL", "10, 0, idleLPerH", "NaN, 0.4, fuelL"})
    void fuelThatCannotBeIsRefused(double fuelL, double idle, String field) {
        assertThatThrownBy(() -> new Energy.Generator(fuelL, idle))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(field);
    }

    @Test
    void energyThatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Energy.Battery(0, true, 0, 1, null, 0)).hasMessageContaining("batteryWh");
        assertThatThrownBy(() -> new Energy.Battery(10, true, 0, 1.2, null, 0))
                .hasMessageContaining("inverterEfficiency");
        assertThatThrownBy(() -> new Energy.DryCells(CellSize.D, -1, 0)).hasMessageContaining("cells");
        assertThatThrownBy(() -> new Energy.Ups(100, 0, 0)).hasMessageContaining("upsRatedMinutes");
        assertThatThrownBy(() -> new Energy.Tested(0)).hasMessageContaining("testedHours");
        assertThatThrownBy(() -> new Energy.Claimed(0)).hasMessageContaining("makerHours");
    }
}
