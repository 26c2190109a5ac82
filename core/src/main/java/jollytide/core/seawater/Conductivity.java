package jollytide.core.seawater;

import jollytide.core.numerics.Crossing;

/** Practical salinity scale PSS-78, one atmosphere: Lewis (1980); coefficients and checks in UNESCO 44 (1983). */
final class Conductivity {
    /** Conductivity of S 35 water at 15 °C (IPTS-68), mS/cm: Culkin and Smith (1980). */
    private static final double STANDARD_MS_PER_CM = 42.914;
    /** IPTS-68 reads this much higher than ITS-90: Saunders (1990). */
    private static final double T68_PER_T90 = 1.00024;

    private static final double HIGHEST_RATIO = 1.5;
    private static final double ACCURACY = 1e-12;

    private Conductivity() {}

    /** Practical salinity from the conductivity ratio to S 35 water at the same temperature. */
    static double salinity(double ratio, double t90) {
        double t = t90 * T68_PER_T90;
        double x = Math.sqrt(ratio);
        double s = 0.0080 + x * (-0.1692 + x * (25.3851 + x * (14.0941 + x * (-7.0261 + x * 2.7081))));
        double ds = 0.0005 + x * (-0.0056 + x * (-0.0066 + x * (-0.0375 + x * (0.0636 - x * 0.0144))));
        return s + (t - 15) / (1 + 0.0162 * (t - 15)) * ds;
    }

    /** Conductivity in mS/cm at 25 °C of water with practical salinity {@code psu}. */
    static double mSPerCmAt25(double psu) {
        double ratio = Crossing.of(tried -> salinity(tried, 25) - psu, 0, HIGHEST_RATIO, ACCURACY);
        return ratio * standardRatio(25) * STANDARD_MS_PER_CM;
    }

    /** Conductivity of S 35 water at {@code t90} over that at 15 °C. */
    private static double standardRatio(double t90) {
        double t = t90 * T68_PER_T90;
        return 0.6766097 + t * (2.00564e-2 + t * (1.104259e-4 + t * (-6.9698e-7 + t * 1.0031e-9)));
    }
}
