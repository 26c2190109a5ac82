package jollytide.core.reef;

/** Carbon and alkalinity that water must hold so that algae and corals take them up as ever. */
public final class CarbonLeft {
    /** Below this uptake fades with what is left, mol/kg: a sixth of seawater's. From memory. */
    private static final double FADES = 0.0003;

    private CarbonLeft() {}

    /** Share of the ordinary uptake, 0 to 1. */
    public static double share(double molPerKg) {
        return Math.min(1, Math.max(0, molPerKg / FADES));
    }
}
