package jollytide.core.seawater;

/** The toxic share of ammonia. */
public final class Ammonia {
    private Ammonia() {}

    /**
     * Un-ionised fraction of total ammonia, 0 to 1: pKa of Johansson and Wedborg (1980), Mar. Chem. 9, 57, whose pH includes sulfate, so
     * the total scale is used. Feeding it an NBS pH would overstate the fraction by a third.
     */
    public static double unionisedFraction(Seawater water, double phTotal) {
        double pKa = -0.467 + 0.00113 * water.salinity() + 2887.9 / water.temperatureK();
        return 1 / (1 + Math.pow(10, pKa - phTotal));
    }
}
