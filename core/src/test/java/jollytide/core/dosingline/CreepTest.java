package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What stays behind; molar masses from the IUPAC standard atomic weights. */
class CreepTest {
    private static LineRules.Planned line(Solution.Solute solute, double molPerL, double mlPerDay) {
        return new LineRules.Planned("line", new Solution(solute, molPerL), mlPerDay, null, "");
    }

    /** KOH for 1 dKH a day, 0.357 meq/L: 39.1 mg each, +14 mg/L of potassium a day. Common practice, no source. */
    @Test
    void potassiumClimbsByFourteenForADegree() {
        Creep creep = Creep.of(List.of(line(Solution.Solute.POTASSIUM_HYDROXIDE, 0.5, 100 * 20 / 56.0774 / 0.5)), 100);
        assertThat(creep.potassiumMgPerL()).isCloseTo(14, within(0.1));
        assertThat(creep.saltMgPerL()).isZero();
        assertThat(creep.daysToMostPotassium(400)).isCloseTo(100 / 13.94, within(0.01));
        assertThat(creep.daysToMostPotassium(520)).isZero();
    }

    /** Soda ash and calcium chloride for 1 dKH a day leave salt: 0.357 mmol/L of NaCl, 58.44 g/mol. */
    @Test
    void sodaAndCalciumLeaveSalt() {
        double mol = 20 / 56.0774 / 2;
        Creep creep = Creep.of(
                List.of(
                        line(Solution.Solute.SODA_ASH, 1, 100 * mol),
                        line(Solution.Solute.CALCIUM_CHLORIDE, 1, 100 * mol)),
                100);
        assertThat(creep.saltMgPerL()).isCloseTo(20 / 56.0774 * 58.443, within(0.01));
        assertThat(creep.daysToMostPotassium(400)).isNull();
        assertThat(Creep.of(List.of(line(Solution.Solute.LIMEWATER, 0.02, 800)), 100))
                .isEqualTo(new Creep(0, 0));
    }

    /** 24.305 mg/L of magnesium leave 70.9 mg/L of chloride, or 96.1 of sulfate. */
    @Test
    void magnesiumLeavesItsOtherHalf() {
        assertThat(Creep.of(List.of(line(Solution.Solute.MAGNESIUM_CHLORIDE, 1, 100)), 100)
                        .saltMgPerL())
                .isCloseTo(70.906, within(0.01));
        assertThat(Creep.of(List.of(line(Solution.Solute.MAGNESIUM_SULFATE, 1, 100)), 100)
                        .saltMgPerL())
                .isCloseTo(96.06, within(0.01));
    }

    /** By hand: 2 mg/L a day are 14 a week; where 100 stand on top, 14 % of the water take 14 of them away. */
    @Test
    void aWeeklyWaterChangeHoldsIt() {
        assertThat(new Creep(2, 0).weeklyForPotassium()).isCloseTo(0.14, within(1e-12));
        assertThat(new Creep(14, 0).weeklyForPotassium()).isCloseTo(0.98, within(1e-12));
        assertThat(new Creep(0, 10).weeklyForSalt()).isCloseTo(0.07, within(1e-12));
        double on = 0;
        for (int week = 0; week < 200; week++) {
            on = (on + 7 * 2) * (1 - 0.14);
        }
        assertThat(on + 14).isCloseTo(100, within(0.01));
    }
}
