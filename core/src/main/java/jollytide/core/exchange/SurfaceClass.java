package jollytide.core.exchange;

/**
 * How a water surface moves. Transfer velocities are from memory; the gain that CO2 has by reacting with water on slow
 * surfaces follows Hoover and Berkshire (1969).
 */
public enum SurfaceClass {
    STILL(1.5, 2.0 / 3, 2.2),
    RIPPLED(4, 0.5, 1.2),
    ROLLING(12, 0.5, 1),
    BROKEN(30, 0.5, 1);

    private final double k600CmPerH;
    private final double schmidtExponent;
    private final double hydrationGain;

    SurfaceClass(double k600CmPerH, double schmidtExponent, double hydrationGain) {
        this.k600CmPerH = k600CmPerH;
        this.schmidtExponent = schmidtExponent;
        this.hydrationGain = hydrationGain;
    }

    /** Transfer velocity in cm/h at Schmidt number 600. */
    public double k600CmPerH() {
        return k600CmPerH;
    }

    /** Transfer velocity of CO2 in m/h at this Schmidt number: Jähne et al. (1987). */
    double co2MPerH(double schmidt) {
        return k600CmPerH / 100 * Math.pow(schmidt / 600, -schmidtExponent) * hydrationGain;
    }
}
