package jollytide.core.seawater;

/**
 * Density of seawater at one atmosphere: Millero and Poisson (1981), the one-atmosphere equation of state of seawater
 * (EOS-80), as printed with check values in UNESCO Technical Papers in Marine Science 36 (1981).
 */
final class Density {
    private Density() {}

    /**
     * @param salinity practical salinity
     * @param t temperature in °C
     * @return density in kg/m³
     */
    static double kgPerM3(double salinity, double t) {
        double a = 8.24493e-1 + t * (-4.0899e-3 + t * (7.6438e-5 + t * (-8.2467e-7 + t * 5.3875e-9)));
        double b = -5.72466e-3 + t * (1.0227e-4 - t * 1.6546e-6);
        double c = 4.8314e-4;
        return pureWaterKgPerM3(t) + salinity * (a + b * Math.sqrt(salinity) + c * salinity);
    }

    private static double pureWaterKgPerM3(double t) {
        return 999.842594
                + t * (6.793952e-2 + t * (-9.095290e-3 + t * (1.001685e-4 + t * (-1.120083e-6 + t * 6.536332e-9))));
    }
}
