package jollytide.core.seawater;

/**
 * The carbonate system once more, for S 35 and 25 °C only, from the printed check values and by plain bisection. It
 * shares nothing with the core, so that a slip there shows.
 */
final class SecondCarbonateSystem {
    private static final double K0 = Math.exp(-3.5617);
    private static final double K1 = Math.pow(10, -5.8472);
    private static final double K2 = Math.pow(10, -8.9660);
    private static final double KB = Math.exp(-19.7964);
    private static final double KW = Math.exp(-30.434);
    private static final double BORON = 0.0004157;

    private SecondCarbonateSystem() {}

    /** Bisulfate and fluoride matter below pH 5 only and are left out. */
    static double alkalinity(double ph, double dic) {
        double h = Math.pow(10, -ph);
        double bicarbonate = dic / (1 + h / K1 + K2 / h);
        double carbonate = dic / (1 + h / K2 + h * h / (K1 * K2));
        return bicarbonate + 2 * carbonate + BORON / (1 + h / KB) + KW / h - h;
    }

    static double ph(double alkalinity, double dic) {
        double low = 3;
        double high = 12;
        while (high - low > 1e-12) {
            double middle = (low + high) / 2;
            if (alkalinity(middle, dic) < alkalinity) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    static double uatm(double ph, double dic) {
        double h = Math.pow(10, -ph);
        return dic / (1 + K1 / h + K1 * K2 / (h * h)) / K0 * 1e6;
    }
}
