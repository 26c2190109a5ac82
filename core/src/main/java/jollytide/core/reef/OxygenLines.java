package jollytide.core.reef;

/**
 * Dissolved oxygen that animals ask for, mg/L. Lines from memory, the same for every screen; animals that gasp override
 * every number.
 */
public final class OxygenLines {
    public static final double CAUTION = 5;
    public static final double DANGER = 3.5;
    public static final double LOSS = 2;

    /** Below this nothing breathes as before: demand fades with what is left. From memory. */
    private static final double FADES = 0.5;

    private OxygenLines() {}

    /** Share of the ordinary demand that is still taken up, 0 to 1. */
    public static double demandLeft(double mgPerL) {
        return Math.min(1, Math.max(0, mgPerL / FADES));
    }
}
