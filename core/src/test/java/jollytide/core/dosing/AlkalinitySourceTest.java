package jollytide.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Stoichiometry from the formulas; molar masses from the IUPAC standard atomic weights. */
class AlkalinitySourceTest {

    /** For an equivalent of alkalinity: grams, moles of carbon, calcium and potassium, and whether it burns. */
    @ParameterizedTest
    @CsvSource({
        "SODA_ASH, 52.994, 0.5, 0, 0, false, Na2CO3",
        "BICARBONATE, 84.006, 1, 0, 0, false, NaHCO3",
        "SODIUM_HYDROXIDE, 39.997, 0, 0, 0, true, NaOH",
        "POTASSIUM_HYDROXIDE, 56.105, 0, 0, 1, true, KOH",
        "LIMEWATER, 37.046, 0, 0.5, 0, true, Ca(OH)2"
    })
    void whatAnEquivalentBrings(
            AlkalinitySource source,
            double grams,
            double carbon,
            double calcium,
            double potassium,
            boolean caustic,
            String formula) {
        assertThat(source.gramsPerEquivalent()).isCloseTo(grams, within(1e-9));
        assertThat(source.carbonPerEquivalent()).isEqualTo(carbon);
        assertThat(source.calciumPerEquivalent()).isEqualTo(calcium);
        assertThat(source.potassiumPerEquivalent()).isEqualTo(potassium);
        assertThat(source.caustic()).isEqualTo(caustic);
        assertThat(source.label()).contains(formula);
        assertThat(source.perDay(0.4)).isEqualTo(new Inflow(0.4, 0.4 * carbon, 0.4 * calcium, 0.4 * potassium));
    }

    @Test
    void inflowsAddUpAndScale() {
        Inflow one = new Inflow(1, 2, 3, 4);
        assertThat(one.times(2)).isEqualTo(new Inflow(2, 4, 6, 8));
        assertThat(one.plus(one)).isEqualTo(one.times(2));
        assertThat(Inflow.NONE.plus(one)).isEqualTo(one);
    }

    /** At once: what is poured in is all that changes. Settled: CO2 is what it was, and only then differ no two sources. */
    @ParameterizedTest
    @EnumSource(AlkalinitySource.class)
    void aDoseIsMixedAndThenTheAirAnswers(AlkalinitySource source) {
        Seawater water = new Seawater(35, 25);
        CarbonateSystem system = CarbonateSystem.of(water);
        CarbonateState before = system.fromAlkalinityAndCo2(0.0028, 500);
        AlkalinityDose dose = new AlkalinityDose(source, 0.5, 400);
        double perKg = 0.0005 / water.densityKgPerL();
        CarbonateState atOnce = dose.atOnce(system, before);
        assertThat(atOnce.alkalinity() - before.alkalinity()).isCloseTo(perKg, within(1e-12));
        assertThat(atOnce.dic() - before.dic()).isCloseTo(perKg * source.carbonPerEquivalent(), within(1e-9));
        CarbonateState settled = dose.settled(system, before);
        assertThat(settled.alkalinity() - before.alkalinity()).isCloseTo(perKg, within(1e-12));
        assertThat(settled.pco2Uatm()).isCloseTo(500, within(1e-3));
    }
}
