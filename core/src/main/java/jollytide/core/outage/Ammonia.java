package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;

/** Ammonia that gathers when filters stand still, and the part of it that is poisonous. */
public final class Ammonia {
    /** Un-ionised ammonia nitrogen that harms marine fish over days, mg/L. From memory. */
    public static final double HARMFUL_MG_PER_L = 0.05;

    /** As high as a reef's pH ordinarily is; while CO2 gathers it falls, and with it the poisonous share. From memory. */
    public static final double HIGHEST_PH_NBS = 8.3;

    private Ammonia() {}

    /** Share of total ammonia that is un-ionised; the pH is brought to the total scale first. */
    public static double unionisedShare(Seawater water, double ph, PhScale scale) {
        within("ph", ph, 5, 11, scale.name());
        return jollytide.core.seawater.Ammonia.unionisedFraction(
                water, EquilibriumConstants.of(water).toTotal(ph, scale));
    }
}
