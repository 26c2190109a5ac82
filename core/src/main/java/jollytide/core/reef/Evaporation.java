package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.Gases;

/** Water that leaves as vapour: it cools the tank, and its replacement carries limewater. */
public final class Evaporation {
    private static final double LATENT_J_PER_KG = 2.44e6;
    private static final double NATURAL_W_PER_M2_K = 3;
    private static final double PSYCHROMETRIC_HPA_PER_K = 0.66;

    private Evaporation() {}

    /**
     * Litres a day from an open surface, by the still-air form of ASHRAE's pool equation (Carrier 1918):
     * W = A (0.089 + 0.0782 v) (p_w − p_a) / Y, pressures in kPa, Y in kJ/kg, W in kg/s.
     *
     * @param waterC the water's temperature
     * @param airC the air's
     * @param relativeHumidity 0 to 1
     * @param airSpeedMPerS over the surface
     */
    public static double litresPerDay(
            double areaM2, double waterC, double airC, double relativeHumidity, double airSpeedMPerS) {
        within("areaM2", areaM2, 0, 200, "m²");
        within("relativeHumidity", relativeHumidity, 0, 1, "");
        within("airSpeedMPerS", airSpeedMPerS, 0, 10, "m/s");
        double gap =
                Gases.saturatedVapourHpa(waterC) / 10 * 0.98 - relativeHumidity * Gases.saturatedVapourHpa(airC) / 10;
        double kgPerS = areaM2 * (0.089 + 0.0782 * airSpeedMPerS) * gap / (LATENT_J_PER_KG / 1000);
        return Math.max(0, kgPerS * 86_400);
    }

    /**
     * Heat that leaves with vapour where nothing moves, neither pumps nor wind, W/m²: natural convection's coefficient over
     * the psychrometric constant, times the gap in vapour pressure (Bowen 1926, Phys. Rev. 27, 779; the coefficient is from
     * memory, for a surface some kelvins warmer than its room).
     *
     * @param relativeHumidity 0 to 1
     */
    public static double stillAirWPerM2(double waterC, double airC, double relativeHumidity) {
        double gapHpa = 0.98 * Gases.saturatedVapourHpa(waterC)
                - within("relativeHumidity", relativeHumidity, 0, 1, "") * Gases.saturatedVapourHpa(airC);
        return Math.max(0, NATURAL_W_PER_M2_K / PSYCHROMETRIC_HPA_PER_K * gapHpa);
    }

    /** Heat that goes with it, W. */
    public static double cooledW(double litresPerDay) {
        return litresPerDay / 86_400 * LATENT_J_PER_KG;
    }
}
