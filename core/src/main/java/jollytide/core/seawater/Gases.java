package jollytide.core.seawater;

import static jollytide.core.units.Quantities.within;

/** Air over water: water vapour, pressure, oxygen, and what a CO2 meter's ppm means. */
public final class Gases {
    public static final double STANDARD_HPA = 1013.25;
    public static final double MIN_HPA = 500;
    public static final double MAX_HPA = 1100;
    /** Molar mass of O2, g/mol and mg/mmol (IUPAC atomic weights). */
    public static final double OXYGEN_G_PER_MOL = 31.9988;

    public static final double OXYGEN_MG_PER_MOL = 1000 * OXYGEN_G_PER_MOL;
    /** Molar mass of nitrogen, mg/mol (IUPAC atomic weights). */
    public static final double NITROGEN_MG_PER_MOL = 14_007;
    /** The gas constant, L·atm/(mol·K) (CODATA). */
    public static final double R_L_ATM = 0.082057;

    private Gases() {}

    /** Saturation vapour pressure over seawater in atm: Weiss and Price (1980), eq. 10. */
    public static double waterVapourAtm(Seawater water) {
        double t = water.temperatureK();
        return Math.exp(24.4543 - 67.4509 * (100 / t) - 4.8489 * Math.log(t / 100) - 0.000544 * water.salinity());
    }

    /** Saturation vapour pressure over pure water, hPa: the Magnus form of WMO-No. 8. */
    public static double saturatedVapourHpa(double celsius) {
        return 6.112 * Math.exp(17.62 * celsius / (243.12 + celsius));
    }

    /**
     * Partial pressure in µatm, right at the water's surface, of air with {@code dryPpm} of CO2. Air over water is
     * saturated with vapour, which leaves less room for everything else.
     */
    public static double uatmOverWater(double dryPpm, double pressureHpa, Seawater water) {
        return dryPpm * dryAirAtm(pressureHpa, water);
    }

    /** The dry ppm of the air that would be in balance with water at {@code uatm}; inverse of the above. */
    public static double dryPpmInBalance(double uatm, double pressureHpa, Seawater water) {
        return uatm / dryAirAtm(pressureHpa, water);
    }

    private static double dryAirAtm(double pressureHpa, Seawater water) {
        within("pressureHpa", pressureHpa, MIN_HPA, MAX_HPA, "hPa");
        return pressureHpa / STANDARD_HPA - waterVapourAtm(water);
    }

    /**
     * Dry mole fraction in ppm from a meter without pressure compensation: such a meter senses partial pressure and
     * shows it as if it stood at sea level.
     */
    public static double compensatedPpm(double meterPpm, double pressureHpa) {
        return meterPpm * STANDARD_HPA / within("pressureHpa", pressureHpa, MIN_HPA, MAX_HPA, "hPa");
    }

    /** Pressure in hPa of the standard atmosphere at {@code altitudeM} metres (ISO 2533, troposphere). */
    public static double standardPressureHpa(double altitudeM) {
        within("altitudeM", altitudeM, -430, 5000, "m");
        return STANDARD_HPA * Math.pow(1 - 0.0065 * altitudeM / 288.15, 5.25588);
    }

    /**
     * Oxygen at saturation in µmol/kg: Garcia and Gordon (1992), eq. 8 with the Benson and Krause coefficients,
     * corrected for pressure as in Benson and Krause (1984) without their term for non-ideality (below 0.1 %).
     */
    public static double oxygenSaturationUmolPerKg(Seawater water, double pressureHpa) {
        double s = water.salinity();
        double ts = Math.log((298.15 - water.temperatureC()) / water.temperatureK());
        double a = 5.80871 + ts * (3.20291 + ts * (4.17887 + ts * (5.10006 + ts * (-9.86643e-2 + ts * 3.80369))));
        double b = -7.01577e-3 + ts * (-7.70028e-3 + ts * (-1.13864e-2 - ts * 9.51519e-3));
        double atSeaLevel = Math.exp(a + s * (b - 2.75915e-7 * s));
        return atSeaLevel * dryAirAtm(pressureHpa, water) / dryAirAtm(STANDARD_HPA, water);
    }

    /** The same in mg/L. */
    public static double oxygenSaturationMgPerL(Seawater water, double pressureHpa) {
        return oxygenSaturationUmolPerKg(water, pressureHpa) * water.densityKgPerL() * OXYGEN_G_PER_MOL / 1000;
    }

    /**
     * Oxygen in mg/L from a meter that was not told the salinity: it multiplies the saturation it senses by the
     * solubility in fresh water, which is about a fifth too much in seawater.
     */
    public static double oxygenFromFreshwaterMeter(double meterMgPerL, Seawater water) {
        Seawater fresh = new Seawater(0, water.temperatureC());
        return meterMgPerL * oxygenSaturationMgPerL(water, STANDARD_HPA) / oxygenSaturationMgPerL(fresh, STANDARD_HPA);
    }

    /** Kinematic viscosity in m²/s: Sharqawy, Lienhard and Zubair (2010), eqs. 22 and 23, with EOS-80 density. */
    public static double kinematicViscosityM2PerS(Seawater water) {
        double t = water.temperatureC();
        double s = water.salinity() / 1000;
        double pure = 4.2844e-5 + 1 / (0.157 * (t + 64.993) * (t + 64.993) - 91.296);
        double a = 1.541 + t * (1.998e-2 - t * 9.52e-5);
        double b = 7.974 + t * (-7.561e-2 + t * 4.724e-4);
        return pure * (1 + s * (a + b * s)) / (water.densityKgPerL() * 1000);
    }

    /** Schmidt number of CO2 in seawater: Wanninkhof (2014), table 1, −2 to 40 °C. */
    public static double schmidtCo2(double t) {
        return 2116.8 + t * (-136.25 + t * (4.7353 + t * (-0.092307 + t * 0.0007555)));
    }

    /** Schmidt number of oxygen in seawater: Wanninkhof (2014), table 1, −2 to 40 °C. */
    public static double schmidtOxygen(double t) {
        return 1920.4 + t * (-135.6 + t * (5.2122 + t * (-0.10939 + t * 0.00093777)));
    }
}
