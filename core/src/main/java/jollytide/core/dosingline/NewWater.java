package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.Seawater;

/**
 * What water holds that is put in for old, mixed to the tank's salinity and temperature.
 *
 * @param meqPerL of alkalinity
 */
public record NewWater(double meqPerL, double calciumMgPerL) {
    /** Alkalinity of reference seawater, mmol/kg at salinity 35 (Millero et al. 2008, Deep-Sea Res. I 55, 50); from memory. */
    private static final double SEA_MMOL_PER_KG = 2.30;

    private static final double SEA_SALINITY = 35;

    public NewWater {
        within("meqPerL", meqPerL, 0.5, 10, "meq/L");
        within("calciumMgPerL", calciumMgPerL, 50, 1000, "mg/L");
    }

    /** In the proportions of sea salt. Bought salts hold more or less: a test of the new water says how much. */
    public static NewWater likeTheSea(Seawater water) {
        double kgPerL = water.densityKgPerL();
        return new NewWater(
                SEA_MMOL_PER_KG * water.salinity() / SEA_SALINITY * kgPerL,
                EquilibriumConstants.of(water).typicalCalcium() * kgPerL * AlkalinitySource.CALCIUM_MG_PER_MOL);
    }
}
