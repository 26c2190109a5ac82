package jollytide.core.dosing;

import static jollytide.core.units.Quantities.within;

/**
 * A solution of calcium hydroxide. It brings alkalinity without carbon, so the CO2 of the water pays for it.
 *
 * @param strength share of saturation, 0 to 1
 */
public record Limewater(double strength) {
    /** Saturated at 25 °C: 0.0203 mol/L of calcium (the NIST pH standard of 12.454). */
    public static final double SATURATED_MOL_PER_L = 0.0203;

    public Limewater {
        within("strength", strength, 0, 1, "");
    }

    /** Alkalinity in meq/L a day that {@code mlPerDay} bring to a tank of {@code litres}. */
    public double meqPerLPerDay(double mlPerDay, double litres) {
        within("mlPerDay", mlPerDay, 0, 100_000, "mL/day");
        return mlPerDay / 1000 * strength * SATURATED_MOL_PER_L * 2 * 1000 / litres;
    }
}
