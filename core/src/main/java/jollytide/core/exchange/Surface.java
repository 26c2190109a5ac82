package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * An open water surface: display, sump, refugium.
 *
 * @param areaM2 0.001 to 200 m²
 */
public record Surface(double areaM2, SurfaceClass motion) {

    public Surface {
        within("areaM2", areaM2, 0.001, 200, "m²");
    }

    /** Conductance for CO2 in mol/(h·atm): transfer velocity × area × solubility. */
    public double co2Conductance(Seawater water) {
        double k0 = EquilibriumConstants.of(water).k0();
        double velocity = motion.co2MPerH(Gases.schmidtCo2(water.temperatureC()));
        return velocity * areaM2 * k0 * water.densityKgPerL() * 1000;
    }
}
