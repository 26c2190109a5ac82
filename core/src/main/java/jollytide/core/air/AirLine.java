package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.SkimmerAssumptions;
import jollytide.core.numerics.Crossing;
import org.jspecify.annotations.Nullable;

/**
 * A hose between fresh air and a skimmer. The skimmer sucks less the more it draws, p = p0 (1 − Q/Q0); the hose resists
 * more (Darcy and Weisbach, with the friction law of Churchill 1977 from laminar to turbulent flow). Where both meet is
 * the draw that is kept.
 *
 * @param lengthM 0 to 200 m
 * @param boreMm inner diameter, 1 to 100 mm
 * @param lossCoefficient entrance, bends, filter: multiples of ρv²/2
 */
public record AirLine(double lengthM, double boreMm, double lossCoefficient) {
    /** Losses in multiples of ρv²/2: both ends with a rain cap, a bend of 90°, a filter. From memory. */
    private static final double ENDS = 1.5;

    private static final double BEND = 0.5;
    private static final double FILTER = 5;
    public static final int ASSUMED_BENDS = 2;
    public static final double ASSUMED_LOSS = loss(ASSUMED_BENDS, false);
    /** What a skimmer sucks at no flow, Pa, and between what it may lie. From memory. */
    public static final double ASSUMED_SUCTION_PA = SkimmerAssumptions.DEFAULT.suctionPa();

    public static final double LEAST_SUCTION_PA = SkimmerAssumptions.LEAST_SUCTION_PA;
    public static final double MOST_SUCTION_PA = SkimmerAssumptions.MOST_SUCTION_PA;
    private static final double ACCURACY_SHARE = 1e-9;
    private static final double ACCURACY_PA = 1e-6;
    private static final double ACCURACY_L_PER_H = 1e-6;
    /** Bores that are sold, mm. Common practice, no source. */
    private static final double[] SOLD_MM = {4, 6, 8, 9.5, 12.7, 16, 19, 25, 32, 40};

    /** Air at 20 °C and one atmosphere: kg/m³, Pa·s (dry air tables; values from memory). */
    private static final double DENSITY = 1.204;

    private static final double VISCOSITY = 1.813e-5;
    /** Smooth plastic, m. */
    private static final double ROUGHNESS = 1.5e-6;

    public AirLine {
        within("lengthM", lengthM, 0, 200, "m");
        within("boreMm", boreMm, 1, 100, "mm");
        within("lossCoefficient", lossCoefficient, 0, 100, "");
    }

    /**
     * The loss coefficient of what is put on a hose.
     *
     * @param bends of 90°, 0 to 40
     */
    public static double loss(int bends, boolean filter) {
        within("bends", bends, 0, 40, "");
        return ENDS + BEND * bends + (filter ? FILTER : 0);
    }

    /**
     * How much longer a clear hose would have to be to resist as this one does: what a kink, a clogged filter or water in
     * a sag amounts to, m. 0 when it draws as its length lets expect, or more.
     *
     * @param drawnLPerH measured with the hose on, at most {@code freeDrawLPerH}
     */
    public double likeMetresMore(double freeDrawLPerH, double drawnLPerH, double suctionPa) {
        within("freeDrawLPerH", freeDrawLPerH, 1, 20_000, "L/h");
        within("drawnLPerH", drawnLPerH, 1, freeDrawLPerH, "L/h");
        double left = suctionPa * (1 - drawnLPerH / freeDrawLPerH);
        double perMetre = new AirLine(1, boreMm, 0).pressureDropPa(drawnLPerH);
        return Math.max(0, (left - pressureDropPa(drawnLPerH)) / perMetre);
    }

    /** Pressure in Pa that it takes to draw {@code litresPerH} through. */
    public double pressureDropPa(double litresPerH) {
        if (litresPerH <= 0) {
            return 0;
        }
        double d = boreMm / 1000;
        double v = litresPerH / 3.6e6 / (Math.PI * d * d / 4);
        double re = DENSITY * v * d / VISCOSITY;
        return (friction(re, d) * lengthM / d + lossCoefficient) * DENSITY * v * v / 2;
    }

    /** Darcy's friction factor: Churchill (1977), Chem. Eng. 84(24), 91. */
    private static double friction(double re, double d) {
        double a = Math.pow(2.457 * Math.log(1 / (Math.pow(7 / re, 0.9) + 0.27 * ROUGHNESS / d)), 16);
        double b = Math.pow(37_530 / re, 16);
        return 8 * Math.pow(Math.pow(8 / re, 12) + Math.pow(a + b, -1.5), 1.0 / 12);
    }

    /** Share of the free draw that is kept, 0 to 1. */
    public double kept(double freeDrawLPerH, double suctionPa) {
        within("freeDrawLPerH", freeDrawLPerH, 1, 20_000, "L/h");
        within("suctionPa", suctionPa, 50, 20_000, "Pa");
        return Crossing.of(
                share -> pressureDropPa(share * freeDrawLPerH) - suctionPa * (1 - share), 0, 1, ACCURACY_SHARE);
    }

    /** The same where the suction is not known. */
    public Estimate keptAssumed(double freeDrawLPerH) {
        return new Estimate(
                kept(freeDrawLPerH, ASSUMED_SUCTION_PA),
                kept(freeDrawLPerH, LEAST_SUCTION_PA),
                kept(freeDrawLPerH, MOST_SUCTION_PA));
    }

    /** The smallest bore sold, mm, that keeps such a share over this length; the largest when none does. */
    public double boreKeeping(double share, double freeDrawLPerH, double suctionPa) {
        for (double bore : SOLD_MM) {
            if (new AirLine(lengthM, bore, lossCoefficient).kept(freeDrawLPerH, suctionPa) >= share) {
                return bore;
            }
        }
        return SOLD_MM[SOLD_MM.length - 1];
    }

    /**
     * What comes through hose and through a second, open inlet.
     *
     * @param lineLPerH through the hose
     * @param leakLPerH through the opening
     */
    public record Drawn(double lineLPerH, double leakLPerH) {
        public double totalLPerH() {
            return lineLPerH + leakLPerH;
        }

        public double lineShare() {
            return lineLPerH / totalLPerH();
        }
    }

    /**
     * The draw when another inlet was left open or a joint leaks: both see the same suction, and each takes what its
     * resistance allows. The opening is a sharp orifice (discharge coefficient 0.62, ISO 5167).
     *
     * @param leakMm diameter of the opening, 0 to 50 mm
     */
    public Drawn withLeak(double freeDrawLPerH, double suctionPa, double leakMm) {
        within("leakMm", leakMm, 0, 50, "mm");
        double pa = Crossing.of(
                tried -> flowLPerH(tried, freeDrawLPerH)
                        + orificeLPerH(tried, leakMm)
                        - freeDrawLPerH * (1 - tried / suctionPa),
                0,
                suctionPa,
                ACCURACY_PA);
        return new Drawn(flowLPerH(pa, freeDrawLPerH), orificeLPerH(pa, leakMm));
    }

    /**
     * Share of the free draw that hose and opening together leave.
     *
     * @param suctionPa null where it is not known: then from the least to the most
     */
    public Estimate keptWithLeak(double freeDrawLPerH, @Nullable Double suctionPa, double leakMm) {
        return suctionPa == null
                ? new Estimate(
                        share(freeDrawLPerH, ASSUMED_SUCTION_PA, leakMm),
                        share(freeDrawLPerH, LEAST_SUCTION_PA, leakMm),
                        share(freeDrawLPerH, MOST_SUCTION_PA, leakMm))
                : Estimate.exact(share(freeDrawLPerH, suctionPa, leakMm));
    }

    private double share(double freeDrawLPerH, double suctionPa, double leakMm) {
        return withLeak(freeDrawLPerH, suctionPa, leakMm).totalLPerH() / freeDrawLPerH;
    }

    /** The flow that makes such a drop, L/h. */
    private double flowLPerH(double pa, double mostLPerH) {
        return Crossing.of(q -> pressureDropPa(q) - pa, 0, mostLPerH, ACCURACY_L_PER_H);
    }

    private static double orificeLPerH(double pa, double diameterMm) {
        double area = Math.PI * diameterMm * diameterMm / 4e6;
        return 0.62 * area * Math.sqrt(2 * pa / DENSITY) * 3.6e6;
    }
}
