package jollytide.core.evidence;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.EquilibriumConstants;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.SalinityUnit;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.TemperatureUnit;

/**
 * The unit, or scale, in which a reading was taken and is kept. Raw stays raw; the value that the core computes with is
 * derived each time. The range is what is let in: wide enough for any real tank, narrow enough to catch a slip.
 */
public enum RawUnit {
    PH_NBS(Quantity.PH, "pH", 5, 11),
    PH_TOTAL(Quantity.PH, "pH, total scale", 5, 11),
    DKH(Quantity.ALKALINITY, "dKH", 0, 60),
    MEQ_PER_L(Quantity.ALKALINITY, "meq/L", 0, 21),
    PPM_CACO3(Quantity.ALKALINITY, "ppm CaCO3", 0, 1070),
    CELSIUS(Quantity.TEMPERATURE, "°C", 0, 40),
    FAHRENHEIT(Quantity.TEMPERATURE, "°F", 32, 104),
    PSU(Quantity.SALINITY, "psu", 0, 45),
    SG_25(Quantity.SALINITY, "SG 25/25 °C", 1, 1.0339),
    SG_20(Quantity.SALINITY, "SG 20/20 °C", 1, 1.034),
    MS_PER_CM(Quantity.SALINITY, "mS/cm at 25 °C", 0, 66),
    CALCIUM_MG_PER_L(Quantity.CALCIUM, "mg/L Ca", 0, 1500),
    POTASSIUM_MG_PER_L(Quantity.POTASSIUM, "mg/L K", 0, 2000),
    MAGNESIUM_MG_PER_L(Quantity.MAGNESIUM, "mg/L Mg", 0, 4000),
    /** As most kits read it: all of it, weighed as the ammonium ion. */
    AMMONIUM_MG_PER_L(Quantity.AMMONIA, "mg/L NH3/NH4", 0, 50),
    AMMONIA_N_MG_PER_L(Quantity.AMMONIA, "mg/L NH3-N", 0, 40),
    NITRITE_MG_PER_L(Quantity.NITRITE, "mg/L NO2", 0, 100),
    NITRITE_N_MG_PER_L(Quantity.NITRITE, "mg/L NO2-N", 0, 30),
    OXYGEN_MG_PER_L(Quantity.OXYGEN, "mg/L O2", 0, 30),
    /** From a meter that has no salinity setting, or has it at zero. */
    OXYGEN_MG_PER_L_FRESH(Quantity.OXYGEN, "mg/L O2, meter set to fresh water", 0, 30),
    OXYGEN_PERCENT(Quantity.OXYGEN, "% of saturation", 0, 300),
    /** Dry mole fraction: a meter that knows the air pressure. */
    CO2_PPM(Quantity.CO2, "ppm CO2", 200, 20000),
    /** A meter that takes sea-level pressure for granted. */
    CO2_PPM_UNCOMPENSATED(Quantity.CO2, "ppm CO2, no pressure compensation", 200, 20000);

    /** Of a mole, g; IUPAC standard atomic weights. */
    private static final double NITROGEN = 14.007;

    private static final double AMMONIUM = 18.039;
    private static final double NITRITE = 46.005;

    private final Quantity quantity;
    private final String symbol;
    private final double min;
    private final double max;

    RawUnit(Quantity quantity, String symbol, double min, double max) {
        this.quantity = quantity;
        this.symbol = symbol;
        this.min = min;
        this.max = max;
    }

    public Quantity quantity() {
        return quantity;
    }

    public String symbol() {
        return symbol;
    }

    public double min() {
        return min;
    }

    public double max() {
        return max;
    }

    /**
     * Returns a reading in this unit unchanged, or refuses it.
     *
     * @throws jollytide.core.units.InputException outside {@link #min} to {@link #max}
     */
    public double checked(double raw) {
        return within("value", raw, min, max, symbol);
    }

    /**
     * The reading in the core's unit: pH NBS, meq/L, °C, psu, mg/L (ammonia and nitrite as nitrogen), dry ppm.
     *
     * @param water salinity and temperature at the reading, for units whose meaning hangs on them
     * @param pressureHpa air pressure, for oxygen in percent and CO2 without compensation
     */
    public double toStandard(double raw, Seawater water, double pressureHpa) {
        return switch (this) {
            case PH_NBS,
                    MEQ_PER_L,
                    CELSIUS,
                    PSU,
                    CALCIUM_MG_PER_L,
                    POTASSIUM_MG_PER_L,
                    MAGNESIUM_MG_PER_L,
                    AMMONIA_N_MG_PER_L,
                    NITRITE_N_MG_PER_L,
                    OXYGEN_MG_PER_L,
                    CO2_PPM -> raw;
            case AMMONIUM_MG_PER_L -> raw * NITROGEN / AMMONIUM;
            case NITRITE_MG_PER_L -> raw * NITROGEN / NITRITE;
            case PH_TOTAL ->
                EquilibriumConstants.of(water)
                        .toNbs(EquilibriumConstants.of(water).toTotal(raw, PhScale.TOTAL));
            case DKH -> AlkalinityUnit.DKH.toMeqPerL(raw);
            case PPM_CACO3 -> AlkalinityUnit.PPM_CACO3.toMeqPerL(raw);
            case FAHRENHEIT -> TemperatureUnit.FAHRENHEIT.toCelsius(raw);
            case SG_25 -> SalinityUnit.SPECIFIC_GRAVITY_25.toPsu(raw);
            case SG_20 -> SalinityUnit.SPECIFIC_GRAVITY_20.toPsu(raw);
            case MS_PER_CM -> SalinityUnit.MS_PER_CM.toPsu(raw);
            case OXYGEN_MG_PER_L_FRESH -> Gases.oxygenFromFreshwaterMeter(raw, water);
            case OXYGEN_PERCENT -> raw / 100 * Gases.oxygenSaturationMgPerL(water, pressureHpa);
            case CO2_PPM_UNCOMPENSATED -> Gases.compensatedPpm(raw, pressureHpa);
        };
    }
}
