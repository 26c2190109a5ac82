package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import jollytide.core.evidence.Estimate;

/**
 * A pump run into a measuring cylinder: what it gave of what it was set to give.
 *
 * @param askedMl what it was set to give
 * @param gaveMl what stood in the cylinder
 */
public record Cylinder(Instant at, double askedMl, double gaveMl) {
    /** A cylinder is read to so much, mL; and it is right to a hundredth. From memory. */
    private static final double READ_ML = 0.5;

    private static final double SHARE = 0.01;
    private static final double NINETY = 1.645;
    /** No pump gives more than twice what it was set to: that is another slip. */
    private static final double MOST_TIMES = 2;

    public Cylinder {
        within("asked", askedMl, 1, 10_000, "mL");
        within("value", gaveMl, 0, MOST_TIMES * askedMl, "mL");
    }

    /** Of what it was set to give, with its 90 % band. */
    public Estimate share() {
        double share = gaveMl / askedMl;
        double half = NINETY * Math.hypot(READ_ML, SHARE * gaveMl) / askedMl;
        return new Estimate(share, Math.max(0, share - half), share + half);
    }

    boolean fallsShort() {
        return share().high() < Delivered.ENOUGH;
    }

    boolean tooMuch() {
        return share().low() > 2 - Delivered.ENOUGH;
    }
}
