package jollytide.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.units.AlkalinityUnit;
import org.junit.jupiter.api.Test;

class LimewaterTest {
    /** Half strength, 60 mL a day into 110 L: +0.03 dKH a day (computed independently). */
    @Test
    void halfStrength() {
        double meq = new Limewater(0.5).meqPerLPerDay(60, 110);
        assertThat(AlkalinityUnit.DKH.fromMeqPerL(meq)).isCloseTo(0.03, within(0.002));
    }
}
