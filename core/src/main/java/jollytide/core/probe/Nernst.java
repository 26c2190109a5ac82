package jollytide.core.probe;

/** The ideal probe: millivolts for each pH, R·T·ln 10 / F with the constants of the SI (CODATA 2018, exact). */
public final class Nernst {
    private static final double GAS_J_PER_MOL_K = 8.314462618;
    private static final double FARADAY_C_PER_MOL = 96485.33212;
    private static final double ZERO_C_IN_K = 273.15;
    /** Where an ideal probe gives no voltage. */
    public static final double ZERO_PH = 7;

    private Nernst() {}

    /** 59.16 mV at 25 °C. */
    public static double millivoltsPerPh(double celsius) {
        return 1000 * GAS_J_PER_MOL_K * (celsius + ZERO_C_IN_K) * Math.log(10) / FARADAY_C_PER_MOL;
    }

    /** What a meter that takes its probe for ideal shows, compensating for the temperature. */
    public static double shown(double millivolts, double celsius) {
        return ZERO_PH - millivolts / millivoltsPerPh(celsius);
    }
}
