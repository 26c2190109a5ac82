package jollytide.core.seawater;

/**
 * The two dissociation constants of carbonic acid.
 *
 * <p>Lueker, Dickson and Keeling (2000) is the recommended set for seawater but holds for S 19 to 43 and 2 to 35 °C
 * only. Waters, Millero and Woosley (2014) reaches from fresh water to S 50 and 0 to 50 °C. The seawater set is used
 * inside its range and gives way over a narrow margin, so that no answer jumps.
 */
final class CarbonicAcid {
    private CarbonicAcid() {}

    /** Share of the seawater set: 1 inside S 23 to 41 and 4 to 33 °C, falling smoothly to 0 at its limits. */
    static double weightOfLueker(double s, double celsius) {
        return ramp((s - 19) / 4) * ramp((43 - s) / 2) * ramp((celsius - 2) / 2) * ramp((35 - celsius) / 2);
    }

    static double ramp(double x) {
        double c = Math.min(1, Math.max(0, x));
        return c * c * (3 - 2 * c);
    }

    /** Total scale. */
    static double pK1Lueker(double s, double t) {
        return 3633.86 / t - 61.2172 + 9.67770 * Math.log(t) - 0.011555 * s + 0.0001152 * s * s;
    }

    /** Total scale. */
    static double pK2Lueker(double s, double t) {
        return 471.78 / t + 25.9290 - 3.16967 * Math.log(t) - 0.01781 * s + 0.0001122 * s * s;
    }

    /** Seawater scale; the fresh-water limit is that of Harned and Davis (1943). */
    static double pK1Waters(double s, double t) {
        double r = Math.sqrt(s);
        double lnT = Math.log(t);
        double fresh = -126.34048 + 6320.813 / t + 19.568224 * lnT;
        double a = 13.409160 * r + 0.031646 * s - 5.1895e-5 * s * s;
        double b = -531.3642 * r - 5.713 * s;
        double c = -2.0669166 * r;
        return fresh + a + b / t + c * lnT;
    }

    /** Seawater scale; the fresh-water limit is that of Harned and Scholes (1941). */
    static double pK2Waters(double s, double t) {
        double r = Math.sqrt(s);
        double lnT = Math.log(t);
        double fresh = -90.18333 + 5143.692 / t + 14.613358 * lnT;
        double a = 21.225890 * r + 0.12450870 * s - 3.7243e-4 * s * s;
        double b = -779.3444 * r - 19.91739 * s;
        double c = -3.3534679 * r;
        return fresh + a + b / t + c * lnT;
    }
}
