package jollytide.core.exchange;

import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/** The two gases that a tank trades with the air. */
public enum Gas {
    CO2,
    OXYGEN;

    /** Mole fraction of oxygen in dry air (Glueckauf 1951). */
    public static final double OXYGEN_IN_AIR = 0.20946;

    /** Schmidt number in seawater: Wanninkhof (2014). */
    double schmidt(Seawater water) {
        return this == CO2 ? Gases.schmidtCo2(water.temperatureC()) : Gases.schmidtOxygen(water.temperatureC());
    }

    /** Solubility in mol/(L·atm): Weiss (1974) for CO2, the saturation of Garcia and Gordon (1992) for oxygen. */
    public double solubility(Seawater water) {
        if (this == CO2) {
            return EquilibriumConstants.of(water).k0() * water.densityKgPerL();
        }
        double saturated = Gases.oxygenSaturationUmolPerKg(water, Gases.STANDARD_HPA) * 1e-6 * water.densityKgPerL();
        return saturated / (OXYGEN_IN_AIR * (1 - Gases.waterVapourAtm(water)));
    }
}
