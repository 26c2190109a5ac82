package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.SkimmerAssumptions;

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
        double low = 0;
        double high = 1;
        for (int i = 0; i < 50; i++) {
            double share = (low + high) / 2;
            if (pressureDropPa(share * freeDrawLPerH) < suctionPa * (1 - share)) {
                low = share;
            } else {
                high = share;
            }
        }
        return (low + high) / 2;
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
        public double lineShare() {
            return lineLPerH / (lineLPerH + leakLPerH);
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
        double low = 0;
        double high = suctionPa;
        for (int i = 0; i < 60; i++) {
            double pa = (low + high) / 2;
            double taken = flowLPerH(pa, freeDrawLPerH) + orificeLPerH(pa, leakMm);
            if (taken < freeDrawLPerH * (1 - pa / suctionPa)) {
                low = pa;
            } else {
                high = pa;
            }
        }
        return new Drawn(flowLPerH(low, freeDrawLPerH), orificeLPerH(low, leakMm));
    }

    /** The flow that makes such a drop, L/h. */
    private double flowLPerH(double pa, double mostLPerH) {
        double low = 0;
        double high = mostLPerH;
        for (int i = 0; i < 40; i++) {
            double q = (low + high) / 2;
            if (pressureDropPa(q) < pa) {
                low = q;
            } else {
                high = q;
            }
        }
        return low;
    }

    private static double orificeLPerH(double pa, double diameterMm) {
        double area = Math.PI * diameterMm * diameterMm / 4e6;
        return 0.62 * area * Math.sqrt(2 * pa / DENSITY) * 3.6e6;
    }
}
