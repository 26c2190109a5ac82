package jollytide.core.seawater;

/**
 * What a small change or error does to one carbonate state, by central differences.
 *
 * @param co2UatmPerDkh change of the computed CO2 for one dKH more at the same pH reading
 * @param co2UatmPer005Ph change of the computed CO2 when the probe reads 0.05 higher
 * @param co2UatmPerDegC change of the computed CO2 for one °C more at the same NBS pH reading
 * @param phPerDkh change of pH for one dKH more at the same CO2 in the air
 * @param phPer100Uatm change of pH for 100 µatm more CO2 at the same alkalinity
 * @param phPerDegC change of NBS pH when the same water warms by one °C without exchanging gas
 */
public record Sensitivities(
        double co2UatmPerDkh,
        double co2UatmPer005Ph,
        double co2UatmPerDegC,
        double phPerDkh,
        double phPer100Uatm,
        double phPerDegC) {

    private static final double DKH_MOL_PER_L = 2 * 10 / 56.0774 / 1000;

    public static Sensitivities of(CarbonateSystem system, CarbonateState at) {
        double alkalinity = at.alkalinity();
        double ph = at.phTotal();
        double dAlk = alkalinity * 1e-3;
        double dkh = DKH_MOL_PER_L / at.water().densityKgPerL();
        double perAlk = (system.fromPhAndAlkalinity(ph, alkalinity + dAlk).pco2Uatm()
                        - system.fromPhAndAlkalinity(ph, alkalinity - dAlk).pco2Uatm())
                / (2 * dAlk);
        double perPh = (system.fromPhAndAlkalinity(ph + 0.001, alkalinity).pco2Uatm()
                        - system.fromPhAndAlkalinity(ph - 0.001, alkalinity).pco2Uatm())
                / 0.002;
        double phPerAlk =
                (system.fromAlkalinityAndCo2(alkalinity + dAlk, at.pco2Uatm()).phTotal()
                                - system.fromAlkalinityAndCo2(alkalinity - dAlk, at.pco2Uatm())
                                        .phTotal())
                        / (2 * dAlk);
        double dUatm = at.pco2Uatm() * 1e-3;
        double phPerUatm =
                (system.fromAlkalinityAndCo2(alkalinity, at.pco2Uatm() + dUatm).phTotal()
                                - system.fromAlkalinityAndCo2(alkalinity, at.pco2Uatm() - dUatm)
                                        .phTotal())
                        / (2 * dUatm);
        CarbonateSystem warmer = CarbonateSystem.of(shifted(at.water(), 0.01));
        CarbonateSystem cooler = CarbonateSystem.of(shifted(at.water(), -0.01));
        double span = warmer.water().temperatureC() - cooler.water().temperatureC();
        double co2PerDegree = (co2AtReading(warmer, at) - co2AtReading(cooler, at)) / span;
        double phPerDegree = (warmer.fromAlkalinityAndDic(alkalinity, at.dic()).phNbs()
                        - cooler.fromAlkalinityAndDic(alkalinity, at.dic()).phNbs())
                / span;
        return new Sensitivities(
                perAlk * dkh, perPh * 0.05, co2PerDegree, phPerAlk * dkh, phPerUatm * 100, phPerDegree);
    }

    private static Seawater shifted(Seawater water, double degrees) {
        double t = Math.min(Seawater.MAX_TEMPERATURE_C, Math.max(0, water.temperatureC() + degrees));
        return new Seawater(water.salinity(), t);
    }

    private static double co2AtReading(CarbonateSystem system, CarbonateState at) {
        double ph = system.constants().toTotal(at.phNbs(), PhScale.NBS);
        return system.fromPhAndAlkalinity(ph, at.alkalinity()).pco2Uatm();
    }
}
