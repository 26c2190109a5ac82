package jollytide.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import org.junit.jupiter.api.Test;

class AlkalinityDoseTest {
    private static final CarbonateSystem SYSTEM = CarbonateSystem.of(new Seawater(35, 25.5));
    private static final double ONE_DKH = AlkalinityUnit.DKH.toMeqPerL(1);
    private static final CarbonateState REEF = SYSTEM.fromAlkalinityAndCo2(0.0029, 700);

    private static AlkalinityDose oneDkh(AlkalinitySource source) {
        return new AlkalinityDose(source, ONE_DKH, 100);
    }

    /** Potassium hydroxide for 1 dKH a day: +14 mg/L potassium a day (0.3566 meq/L × 39.1 mg/mmol). */
    @Test
    void potassiumBuildsUp() {
        assertThat(oneDkh(AlkalinitySource.POTASSIUM_HYDROXIDE).potassiumMgPerL())
                .isCloseTo(14, within(0.1));
        assertThat(oneDkh(AlkalinitySource.SODIUM_HYDROXIDE).potassiumMgPerL()).isZero();
    }

    /** Common practice: 1 dKH in 100 L takes about 3 g of bicarbonate or 1.9 g of soda ash. */
    @Test
    void grams() {
        assertThat(oneDkh(AlkalinitySource.BICARBONATE).grams()).isCloseTo(3.0, within(0.05));
        assertThat(oneDkh(AlkalinitySource.SODA_ASH).grams()).isCloseTo(1.89, within(0.02));
        assertThat(oneDkh(AlkalinitySource.LIMEWATER).limewaterLitres()).isCloseTo(0.878, within(0.01));
        assertThat(oneDkh(AlkalinitySource.LIMEWATER).calciumMgPerL()).isCloseTo(7.15, within(0.02));
    }

    /** Bicarbonate does not lift pH, soda ash does, hydroxide most; after the air has answered all end alike. */
    @Test
    void whatEachDoesToPh() {
        double bicarbonate = lift(AlkalinitySource.BICARBONATE);
        double soda = lift(AlkalinitySource.SODA_ASH);
        double hydroxide = lift(AlkalinitySource.SODIUM_HYDROXIDE);
        assertThat(bicarbonate).isBetween(-0.06, 0.0);
        assertThat(soda).isGreaterThan(bicarbonate + 0.1);
        assertThat(hydroxide).isGreaterThan(soda + 0.1);
        double settled = oneDkh(AlkalinitySource.SODA_ASH).settled(SYSTEM, REEF).phNbs() - REEF.phNbs();
        assertThat(settled).isBetween(0.03, 0.07);
    }

    /** 60 mL a day of half-strength limewater into 110 L: +0.03 dKH a day. */
    @Test
    void halfStrengthLimewater() {
        double meq = new Limewater(0.5).meqPerLPerDay(60, 110);
        assertThat(meq / ONE_DKH).isCloseTo(0.03, within(0.002));
    }

    private static double lift(AlkalinitySource source) {
        return oneDkh(source).atOnce(SYSTEM, REEF).phNbs() - REEF.phNbs();
    }
}
