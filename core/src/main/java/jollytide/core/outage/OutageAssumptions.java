package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

/**
 * What is assumed of a tank without mains; a keeper's own value replaces each. All from memory.
 *
 * @param demandDoubt the estimated demand may be so many times higher, or lower
 * @param stillCmPerH transfer velocity of a surface without pumps, at Schmidt number 600; two thirds of it on the early
 *     side, five thirds on the late one
 * @param startDoubtMgPerL oxygen at the start that was not measured may be so much lower, and a quarter of that higher
 * @param fishActivity what fish breathe over rest; a third more on the early side, a third less on the late one
 */
public record OutageAssumptions(double demandDoubt, double stillCmPerH, double startDoubtMgPerL, double fishActivity) {
    public static final OutageAssumptions DEFAULT = new OutageAssumptions(1.25, 1.5, 0.4, 1.5);

    public OutageAssumptions {
        within("outageDemandDoubt", demandDoubt, 1, 3, "");
        within("outageStillCmPerH", stillCmPerH, 0.2, 10, "cm/h");
        within("outageStartDoubtMgPerL", startDoubtMgPerL, 0, 3, "mg/L");
        within("outageFishActivity", fishActivity, 1, 4, "");
    }

    /** On the side on which danger comes first. Plans, orders and warnings hold to it. */
    public Guess early() {
        return new Guess(demandDoubt, stillCmPerH * 2 / 3, -startDoubtMgPerL, fishActivity * 4 / 3);
    }

    public Guess likely() {
        return new Guess(1, stillCmPerH, 0, fishActivity);
    }

    public Guess late() {
        return new Guess(1 / demandDoubt, stillCmPerH * 5 / 3, startDoubtMgPerL / 4, fishActivity * 2 / 3);
    }
}
