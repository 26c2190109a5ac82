package jollytide.core.seawater;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.Drawn;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CarbonateSystemTest {

    private static double molPerKg(double dkh, Seawater water) {
        return AlkalinityUnit.DKH.toMeqPerL(dkh) / 1000 / water.densityKgPerL();
    }

    @ParameterizedTest
    @CsvSource({"2300, 2000", "2950, 2750", "4000, 3900", "1500, 1490", "2300, 1500"})
    void agreesWithASecondImplementation(double alkalinityUmol, double dicUmol) {
        CarbonateSystem system = CarbonateSystem.of(new Seawater(35, 25));
        CarbonateState state = system.fromAlkalinityAndDic(alkalinityUmol * 1e-6, dicUmol * 1e-6);
        double ph = SecondCarbonateSystem.ph(alkalinityUmol * 1e-6, dicUmol * 1e-6);
        assertThat(state.phTotal()).isCloseTo(ph, within(5e-4));
        assertThat(state.pco2Uatm())
                .isCloseTo(SecondCarbonateSystem.uatm(ph, dicUmol * 1e-6), within(2e-3 * state.pco2Uatm()));
    }

    /** The worked case of the staircase: pH 7.84 NBS, 8.5 dKH, 25.5 °C, S 35. Computed independently, from memory. */
    @ParameterizedTest
    @CsvSource({"7.84, 1284", "7.94, 990", "7.74, 1656"})
    void workedCase(double nbs, double uatm) {
        Seawater water = new Seawater(35, 25.5);
        CarbonateSystem system = CarbonateSystem.of(water);
        double total = system.constants().toTotal(nbs, PhScale.NBS);
        assertThat(system.fromPhAndAlkalinity(total, molPerKg(8.5, water)).pco2Uatm())
                .isCloseTo(uatm, within(2.0));
    }

    /** The same water in balance with dry room air of 830 and outdoor air of 420 ppm at 1013 hPa. */
    @ParameterizedTest
    @CsvSource({"830, 8.02", "420, 8.26"})
    void balanceWithAir(double ppm, double nbs) {
        Seawater water = new Seawater(35, 25.5);
        double uatm = Gases.uatmOverWater(ppm, 1013.25, water);
        assertThat(CarbonateSystem.of(water)
                        .fromAlkalinityAndCo2(molPerKg(8.5, water), uatm)
                        .phNbs())
                .isCloseTo(nbs, within(0.005));
    }

    @Test
    void refusesAlkalinityBelowThatOfBoronAndHydroxide() {
        Seawater water = new Seawater(35, 25);
        CarbonateSystem system = CarbonateSystem.of(water);
        double total = system.constants().toTotal(9.5, PhScale.NBS);
        double least = AlkalinityUnit.DKH.fromMeqPerL(system.smallestAlkalinity(total) * 1000 * water.densityKgPerL());
        assertThat(least).isCloseTo(1.4, within(0.05));
        assertThatThrownBy(() -> system.fromPhAndAlkalinity(total, molPerKg(1.3, water)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("No solution");
        assertThat(system.fromPhAndAlkalinity(total, molPerKg(1.5, water)).dic())
                .isPositive();
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -1, 46, Double.POSITIVE_INFINITY})
    void refusesSalinityThatIsNone(double salinity) {
        assertThatThrownBy(() -> new Seawater(salinity, 25)).isInstanceOfSatisfying(InputException.class, e -> {
            assertThat(e.field()).isEqualTo("salinity");
            assertThat(e.allowed()).isEqualTo("0 to 45 psu");
        });
    }

    @Test
    void anyTwoGiveTheRestBack() {
        Drawn.times(2000, 20261124, drawn -> {
            double s = drawn.between(0, 45);
            double t = drawn.between(0, 40);
            double ph = drawn.between(6, 10);
            double dkh = drawn.between(0.5, 20);
            Seawater water = new Seawater(s, t);
            CarbonateSystem system = CarbonateSystem.of(water);
            double alkalinity = molPerKg(dkh, water);
            if (system.smallestAlkalinity(ph) >= alkalinity * 0.999) {
                return;
            }
            CarbonateState from = system.fromPhAndAlkalinity(ph, alkalinity);
            assertThat(system.fromAlkalinityAndDic(alkalinity, from.dic()).phTotal())
                    .isCloseTo(ph, within(1e-7));
            assertThat(system.fromAlkalinityAndCo2(alkalinity, from.pco2Uatm()).phTotal())
                    .isCloseTo(ph, within(1e-7));
            assertThat(system.fromPhAndDic(ph, from.dic()).alkalinity()).isCloseTo(alkalinity, within(1e-12));
            assertThat(system.fromPhAndCo2(ph, from.pco2Uatm()).alkalinity()).isCloseTo(alkalinity, within(1e-12));
            assertThat(system.fromDicAndCo2(from.dic(), from.pco2Uatm()).phTotal())
                    .isCloseTo(ph, within(1e-6));
        });
    }

    @Test
    void carbonAndChargeAreConserved() {
        Drawn.times(1000, 20261124, drawn -> {
            double s = drawn.between(0, 45);
            double t = drawn.between(0, 40);
            double dkh = drawn.between(0.5, 20);
            double uatm = drawn.between(10, 20000);
            Seawater water = new Seawater(s, t);
            CarbonateSystem system = CarbonateSystem.of(water);
            CarbonateState state = system.fromAlkalinityAndCo2(molPerKg(dkh, water), uatm);
            assertThat(state.co2() + state.bicarbonate() + state.carbonate())
                    .isCloseTo(state.dic(), within(1e-12 * state.dic()));
            double others = system.smallestAlkalinity(state.phTotal());
            assertThat(state.bicarbonate() + 2 * state.carbonate() + others)
                    .isCloseTo(state.alkalinity(), within(1e-9 * state.alkalinity()));
        });
    }

    @Test
    void moreCo2LowersPhAndMoreAlkalinityRaisesIt() {
        Drawn.times(1000, 20261124, drawn -> {
            double s = drawn.between(0, 45);
            double t = drawn.between(0, 40);
            double dkh = drawn.between(0.5, 20);
            double uatm = drawn.between(50, 10000);
            Seawater water = new Seawater(s, t);
            CarbonateSystem system = CarbonateSystem.of(water);
            double alkalinity = molPerKg(dkh, water);
            double ph = system.fromAlkalinityAndCo2(alkalinity, uatm).phTotal();
            assertThat(system.fromAlkalinityAndCo2(alkalinity, uatm * 1.01).phTotal())
                    .isLessThan(ph);
            assertThat(system.fromAlkalinityAndCo2(alkalinity * 1.01, uatm).phTotal())
                    .isGreaterThan(ph);
        });
    }

    /** Nothing may jump where one set of constants hands over to another. */
    @Test
    void noStepAnywhere() {
        Drawn.times(2000, 20261124, drawn -> {
            double s = drawn.between(0.01, 44.9);
            double t = drawn.between(0.01, 39.9);
            assertThat(Math.abs(phAt(s + 1e-4, t) - phAt(s, t))).isLessThan(1e-4);
            assertThat(Math.abs(phAt(s, t + 1e-4) - phAt(s, t))).isLessThan(1e-5);
        });
    }

    @ParameterizedTest
    @ValueSource(doubles = {19, 20, 23, 41, 43})
    void noStepWhereTheSetsMeet(double s) {
        assertThat(phAt(s + 1e-9, 25)).isCloseTo(phAt(s - 1e-9, 25), within(1e-8));
    }

    private static double phAt(double s, double t) {
        Seawater water = new Seawater(s, t);
        return CarbonateSystem.of(water)
                .fromAlkalinityAndCo2(molPerKg(8, water), 800)
                .phNbs();
    }

    /** Whatever the carbon and alkalinity, cold start or warm, the solver returns a root. */
    @Test
    void solverConvergesForEveryPhysicalInput() {
        Drawn.times(5000, 20261124, drawn -> {
            double s = drawn.between(0, 45);
            double t = drawn.between(0, 40);
            double alkalinityMmol = drawn.between(0, 36);
            double dicMmol = drawn.between(0, 100);
            double nearPh = drawn.between(1, 14);
            CarbonateSystem system = CarbonateSystem.of(new Seawater(s, t));
            double alkalinity = alkalinityMmol / 1000;
            double dic = dicMmol / 1000;
            double ph = system.phTotal(alkalinity, dic, Double.NaN);
            assertThat(ph).isBetween(1.0, 14.0);
            assertThat(system.phTotal(alkalinity, dic, nearPh)).isCloseTo(ph, within(1e-9));
        });
    }

    @Test
    void sensitivitiesPredictSmallChanges() {
        Drawn.times(300, 20261124, drawn -> {
            double s = drawn.between(20, 40);
            double t = drawn.between(18, 32);
            double phNbs = drawn.between(7.6, 8.4);
            double dkh = drawn.between(5, 12);
            Seawater water = new Seawater(s, t);
            CarbonateSystem system = CarbonateSystem.of(water);
            double ph = system.constants().toTotal(phNbs, PhScale.NBS);
            CarbonateState state = system.fromPhAndAlkalinity(ph, molPerKg(dkh, water));
            Sensitivities by = Sensitivities.of(system, state);
            double more =
                    system.fromPhAndAlkalinity(ph + 0.005, state.alkalinity()).pco2Uatm();
            assertThat(more - state.pco2Uatm())
                    .isCloseTo(by.co2UatmPer005Ph() / 10, within(0.02 * Math.abs(more * 0.02)));
            double lower = system.fromAlkalinityAndCo2(state.alkalinity(), state.pco2Uatm() + 1)
                    .phTotal();
            assertThat(lower - ph).isCloseTo(by.phPer100Uatm() / 100, within(2e-5));
            // Common practice, no source: seawater loses about 0.01 to 0.017 pH for each °C.
            assertThat(by.phPerDegC()).isBetween(-0.02, -0.005);
        });
    }
}
