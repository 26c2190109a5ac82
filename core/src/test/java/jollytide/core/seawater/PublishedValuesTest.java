package jollytide.core.seawater;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.units.AlkalinityUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values printed by others, each with its source. */
class PublishedValuesTest {
    private static final Seawater STANDARD = new Seawater(35, 25);
    private final EquilibriumConstants constants = EquilibriumConstants.of(STANDARD);

    /** UNESCO Technical Papers in Marine Science 36 (1981), check values of EOS-80 at one atmosphere. */
    @ParameterizedTest
    @CsvSource({"0, 5, 999.96675", "0, 25, 997.04796", "35, 5, 1027.67547", "35, 25, 1023.34306"})
    void densityOfEos80(double s, double t, double kgPerM3) {
        assertThat(new Seawater(s, t).densityKgPerL() * 1000).isCloseTo(kgPerM3, within(5e-6 * kgPerM3 / 1000));
    }

    /** Dickson, Sabine and Christian (2007), ch. 5, check values at S 35, 25 °C. */
    @Test
    void equilibriumConstantsOfTheGuide() {
        assertThat(Math.log(constants.k0())).isCloseTo(-3.5617, within(5e-5));
        assertThat(Math.log10(constants.k1())).isCloseTo(-5.8472, within(5e-5));
        assertThat(Math.log10(constants.k2())).isCloseTo(-8.9660, within(5e-5));
        assertThat(Math.log(constants.kb())).isCloseTo(-19.7964, within(5e-5));
        assertThat(Math.log(constants.kw())).isCloseTo(-30.434, within(5e-4));
        assertThat(Math.log(constants.ks())).isCloseTo(-2.30, within(5e-3));
        assertThat(Math.log(constants.kf())).isCloseTo(-6.09, within(5e-3));
    }

    /** Mucci (1983), S 35, 25 °C. */
    @Test
    void aragoniteSolubility() {
        assertThat(-Math.log10(constants.kspAragonite())).isCloseTo(6.1883, within(5e-5));
    }

    /** Harned and Davis (1943): 6.352; Harned and Scholes (1941): 10.329. Fresh water, 25 °C. */
    @Test
    void carbonicAcidInFreshWater() {
        EquilibriumConstants fresh = EquilibriumConstants.of(new Seawater(0, 25));
        assertThat(-Math.log10(fresh.k1())).isCloseTo(6.352, within(0.002));
        assertThat(-Math.log10(fresh.k2())).isCloseTo(10.329, within(0.002));
        assertThat(fresh.nbsMinusTotal()).isCloseTo(0, within(1e-9));
    }

    /**
     * Two independent fits to overlapping laboratory work, Lueker et al. (2000) and Waters et al. (2014), must nearly
     * agree where both hold: a slip in either set of coefficients would not.
     */
    @ParameterizedTest
    @CsvSource({"25, 10", "30, 20", "35, 25", "40, 30"})
    void theTwoSetsForCarbonicAcidAgree(double s, double t) {
        double kelvin = t + 273.15;
        double shift = 0.0129; // total to seawater scale at S 35, 25 °C; from memory, 0.009 to 0.016 over this range
        assertThat(CarbonicAcid.pK1Waters(s, kelvin) + shift)
                .isCloseTo(CarbonicAcid.pK1Lueker(s, kelvin), within(0.02));
        assertThat(CarbonicAcid.pK2Waters(s, kelvin) + shift)
                .isCloseTo(CarbonicAcid.pK2Lueker(s, kelvin), within(0.03));
    }

    /** Garcia and Gordon (1992), check value of the Benson and Krause fit: S 35, 10 °C. */
    @Test
    void oxygenSaturationInSeawater() {
        assertThat(Gases.oxygenSaturationUmolPerKg(new Seawater(35, 10), 1013.25))
                .isCloseTo(274.610, within(5e-4));
    }

    /** Standard Methods 4500-O, table of oxygen solubility in fresh water at 760 mm Hg. */
    @ParameterizedTest
    @CsvSource({"20, 9.09", "25, 8.26", "30, 7.56"})
    void oxygenSaturationInFreshWater(double t, double mgPerL) {
        assertThat(Gases.oxygenSaturationMgPerL(new Seawater(0, t), 1013.25)).isCloseTo(mgPerL, within(0.005));
    }

    /** Wanninkhof (2014), table 1, 20 °C. */
    @Test
    void schmidtNumbers() {
        assertThat(Gases.schmidtCo2(20)).isCloseTo(668, within(0.5));
        assertThat(Gases.schmidtOxygen(20)).isCloseTo(568, within(0.5));
    }

    /** UNESCO Technical Papers in Marine Science 44 (1983), check values of PSS-78 at one atmosphere. */
    @Test
    void practicalSalinity() {
        double t90 = 15 / 1.00024;
        assertThat(Conductivity.salinity(1, t90)).isCloseTo(35, within(1e-4));
        assertThat(SalinityUnit.MS_PER_CM.toPsu(SalinityUnit.MS_PER_CM.fromPsu(33)))
                .isCloseTo(33, within(1e-9));
        // 53.07 mS/cm at 25 °C: from memory, tables of conductivity standards
        assertThat(SalinityUnit.MS_PER_CM.fromPsu(35)).isCloseTo(53.07, within(0.05));
    }

    /** EOS-80. */
    @Test
    void specificGravity() {
        assertThat(SalinityUnit.SPECIFIC_GRAVITY_25.fromPsu(35)).isCloseTo(1.0264, within(5e-5));
        assertThat(SalinityUnit.SPECIFIC_GRAVITY_25.toPsu(1.025)).isCloseTo(33.2, within(0.05));
    }

    /** From memory: the offset that the activity coefficient of Takahashi et al. (1982) gives. */
    @Test
    void nbsReadsHigherThanTotal() {
        assertThat(constants.nbsMinusTotal()).isCloseTo(0.134, within(0.005));
    }

    /** From memory: pH of average surface seawater in balance with 420 µatm. */
    @Test
    void surfaceSeawaterInBalanceWithTheAir() {
        assertThat(CarbonateSystem.of(STANDARD)
                        .fromAlkalinityAndCo2(2300e-6, 420)
                        .phTotal())
                .isCloseTo(8.025, within(0.005));
    }

    /** From memory: 6.0 % at NBS 8.2; taking the NBS reading for a total one would say 8.0 %. */
    @Test
    void unionisedAmmonia() {
        double total = constants.toTotal(8.2, PhScale.NBS);
        assertThat(Ammonia.unionisedFraction(STANDARD, total)).isCloseTo(0.060, within(0.001));
        assertThat(Ammonia.unionisedFraction(STANDARD, 8.2)).isCloseTo(0.080, within(0.001));
    }

    /** Definition: 10 mg/L CaO. */
    @Test
    void degreesOfCarbonateHardness() {
        assertThat(AlkalinityUnit.DKH.toMeqPerL(1)).isCloseTo(0.3566, within(5e-5));
        assertThat(AlkalinityUnit.PPM_CACO3.fromMeqPerL(AlkalinityUnit.DKH.toMeqPerL(1)))
                .isCloseTo(17.85, within(5e-3));
    }

    /** International Standard Atmosphere (ISO 2533), table: 1000 m and 1600 m. */
    @ParameterizedTest
    @CsvSource({"0, 1013.25", "1000, 898.76", "1600, 835.2"})
    void pressureAtAltitude(double altitude, double hPa) {
        assertThat(Gases.standardPressureHpa(altitude)).isCloseTo(hPa, within(0.2));
    }

    /** Common practice, no source: a meter without its salinity setting reads about 22 % high. */
    @Test
    void oxygenMeterThatKnowsNoSalt() {
        assertThat(Gases.oxygenFromFreshwaterMeter(8.26, STANDARD)).isCloseTo(8.26 / 1.22, within(0.06));
    }
}
