package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

/**
 * A heater with its thermostat: it holds the water as warm as it is set, as far as its power reaches.
 *
 * @param watts that reach the water
 */
public record Heater(double watts, double holdsC) implements Part {
    /** Heat capacity of seawater, as everywhere where heat is counted in rough. From memory. */
    static final double J_PER_KG_K = 3990;

    /** A thermostat's band, K: full power below it. From memory. */
    private static final double BAND_K = 0.2;

    public Heater {
        within("heaterW", watts, 0, 20_000, "W");
        within("holdsC", holdsC, 0, 40, "°C");
    }

    @Override
    public void acts(Moment now) {
        double wanted = Math.max(0, Math.min(1, (holdsC - now.celsius()) / BAND_K));
        now.warmBy(watts * wanted * 3600 / (now.kg() * J_PER_KG_K));
    }
}
