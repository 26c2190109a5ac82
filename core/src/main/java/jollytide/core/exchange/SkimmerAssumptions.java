package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

/**
 * What is assumed of a skimmer; a keeper's own value replaces each. All from memory.
 *
 * @param waterPerAir litres of water through the chamber for each litre of air
 * @param transferUnits number of transfer units, referred to the smaller stream
 * @param residenceS seconds that water spends in the chamber
 * @param suctionPa that it draws with when its inlet is shut
 */
public record SkimmerAssumptions(double waterPerAir, double transferUnits, double residenceS, double suctionPa) {
    public static final SkimmerAssumptions DEFAULT = new SkimmerAssumptions(1.5, 2, 20, 1000);
    /** Between what an unmeasured suction lies. */
    public static final double LEAST_SUCTION_PA = 500;

    public static final double MOST_SUCTION_PA = 2500;

    public SkimmerAssumptions {
        within("skimmerWaterPerAir", waterPerAir, 0.1, 20, "L/L");
        within("skimmerTransferUnits", transferUnits, 0.1, 10, "");
        within("skimmerResidenceS", residenceS, 1, 300, "s");
        within("skimmerSuctionPa", suctionPa, 50, 20_000, "Pa");
    }

    /** Whether its suction is its keeper's own value. */
    public boolean suctionKnown() {
        return suctionPa != DEFAULT.suctionPa;
    }
}
