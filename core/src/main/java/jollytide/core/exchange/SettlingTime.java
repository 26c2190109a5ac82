package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Estimate;
import jollytide.core.seawater.CarbonateSystem;

/** How long the water takes to follow the air: what it must gain or lose for one atm, over what the paths carry. */
public final class SettlingTime {
    /** The conductances rest on values from memory; the time may be this much shorter or longer. */
    public static final double UNCERTAINTY_FACTOR = 1.7;

    /** Time constants until 95 % of a change has come through, −ln 0.05. */
    private static final double TIME_CONSTANTS_TO_95 = 3;

    private SettlingTime() {}

    /** Hours until 95 % of a change has come through. */
    public static Estimate settledH(Estimate timeConstantH) {
        return timeConstantH.times(TIME_CONSTANTS_TO_95);
    }

    /**
     * Time constant in hours, τ = V·ρ·(∂DIC/∂pCO2 at constant alkalinity) ÷ ΣG.
     *
     * @param alkalinity mol/kg
     * @param uatm CO2 around which the water moves, µatm
     * @param conductance sum over all paths, mol/(h·atm), above 0
     */
    public static Estimate hours(
            CarbonateSystem system, double alkalinity, double uatm, double netVolumeL, double conductance) {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("conductance", conductance, 1e-6, 1e9, "mol/(h·atm)");
        double step = uatm * 0.01;
        double perKg = (system.fromAlkalinityAndCo2(alkalinity, uatm + step).dic()
                        - system.fromAlkalinityAndCo2(alkalinity, uatm - step).dic())
                / (2 * step * 1e-6);
        double hours = netVolumeL * system.water().densityKgPerL() * perKg / conductance;
        return new Estimate(hours, hours / UNCERTAINTY_FACTOR, hours * UNCERTAINTY_FACTOR);
    }
}
