package jollytide.core.seawater;

import static jollytide.core.units.Quantities.within;

/**
 * A parcel of water at one atmosphere.
 *
 * @param salinity practical salinity (PSS-78), 0 to 45
 * @param temperatureC temperature in °C, 0 to 40
 */
public record Seawater(double salinity, double temperatureC) {
    public static final double MAX_SALINITY = 45;
    public static final double MAX_TEMPERATURE_C = 40;
    public static final double ZERO_CELSIUS_K = 273.15;

    /** @throws jollytide.core.units.InputException outside the ranges above */
    public Seawater {
        within("salinity", salinity, 0, MAX_SALINITY, "psu");
        within("temperatureC", temperatureC, 0, MAX_TEMPERATURE_C, "°C");
    }

    public double temperatureK() {
        return temperatureC + ZERO_CELSIUS_K;
    }

    /** Density in kg/L. */
    public double densityKgPerL() {
        return Density.kgPerM3(salinity, temperatureC) / 1000;
    }

    /**
     * Whether a constant in the carbonate system runs beyond the range it was measured in: boric acid and fluoride
     * below S 5, and temperatures outside 2 to 35 °C for the seawater set or below S 19.
     */
    public boolean extrapolated() {
        return salinity < 5 || temperatureC < 2 || temperatureC > 35 || salinity > 43;
    }
}
