package jollytide.core.exchange;

/** How a water surface moves. Transfer velocities at Schmidt number 600 are from memory. */
public enum SurfaceClass {
    STILL(1.5, 2.0 / 3),
    RIPPLED(4, 0.5),
    ROLLING(12, 0.5),
    BROKEN(30, 0.5);

    private final double k600CmPerH;
    private final double schmidtExponent;

    SurfaceClass(double k600CmPerH, double schmidtExponent) {
        this.k600CmPerH = k600CmPerH;
        this.schmidtExponent = schmidtExponent;
    }

    public double k600CmPerH() {
        return k600CmPerH;
    }

    /** ⅔ for smooth, ½ for moving water: Jähne et al. (1987). */
    double schmidtExponent() {
        return schmidtExponent;
    }
}
