package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.seawater.Seawater;

/**
 * The water of a tank, in which all parts meet.
 *
 * @param litres at {@code celsius}; its mass stays as it cools
 * @param salinityPsu practical salinity; what evaporates is topped off
 * @param celsius at the start, and for good where nothing warms or cools it
 * @param carbon whether its carbon is followed; what breathes oxygen alone can be run without
 */
public record Water(double litres, double salinityPsu, double pressureHpa, double celsius, boolean carbon) {
    /** Dissolved inorganic carbon, mol/kg. */
    public static final Stock DIC = new Stock("water.dic", 0, 3e-8, 1e-6);
    /** Total alkalinity, mol/kg. */
    public static final Stock ALKALINITY = new Stock("water.alkalinity", 0, 3e-8, 1e-6);
    /** mol/kg. */
    public static final Stock CALCIUM = new Stock("water.calcium", 0, 1e-7, 1e-6);
    /** Above that of the start, mol/kg. */
    public static final Stock POTASSIUM = new Stock("water.potassium", 0, 1e-7, 1e-6);
    /** mol/kg. */
    public static final Stock OXYGEN = new Stock("water.oxygen", 0, 3e-8, 1e-5);
    /** °C. */
    public static final Stock TEMPERATURE = new Stock("water.temperature", 25, 1e-3, 1e-6);
    /** Ammonia and ammonium that nobody takes up, mol/kg. */
    public static final Stock AMMONIA = new Stock("water.ammonia", 0, 1e-8, 1e-5);

    static final List<Stock> STOCKS = List.of(DIC, ALKALINITY, CALCIUM, POTASSIUM, OXYGEN, TEMPERATURE, AMMONIA);
    static final int AT_DIC = 0;
    static final int AT_ALKALINITY = 1;
    static final int AT_CALCIUM = 2;
    static final int AT_POTASSIUM = 3;
    static final int AT_OXYGEN = 4;
    static final int AT_TEMPERATURE = 5;
    static final int AT_AMMONIA = 6;

    public Water {
        within("netVolumeL", litres, 0.2, 100_000, "L");
        within("salinityPsu", salinityPsu, 0, 45, "psu");
        within("temperatureC", celsius, 0, Seawater.MAX_TEMPERATURE_C, "°C");
    }

    public Seawater seawater() {
        return new Seawater(salinityPsu, celsius);
    }

    public double kg() {
        return litres * seawater().densityKgPerL();
    }
}
