package jollytide.core.seawater;

import static jollytide.core.units.Quantities.within;

import jollytide.core.numerics.Crossing;
import jollytide.core.units.InputException;
import jollytide.core.units.Quantities;

/** The ways in which keepers read salinity. A reading without one of these names is ambiguous, so it is asked for. */
public enum SalinityUnit {
    PSU("psu", 0, Seawater.MAX_SALINITY),
    /** Density relative to pure water, both at 25 °C (EOS-80). */
    SPECIFIC_GRAVITY_25("SG 25/25 °C", 1, 1.035),
    /** Density relative to pure water, both at 20 °C (EOS-80). */
    SPECIFIC_GRAVITY_20("SG 20/20 °C", 1, 1.035),
    /** Conductivity that the meter has brought to 25 °C (PSS-78). */
    MS_PER_CM("mS/cm at 25 °C", 0, 66);

    private static final double ACCURACY_PSU = 1e-10;

    private final String symbol;
    private final double min;
    private final double max;

    SalinityUnit(String symbol, double min, double max) {
        this.symbol = symbol;
        this.min = min;
        this.max = max;
    }

    public String symbol() {
        return symbol;
    }

    /**
     * Practical salinity of a reading in this unit.
     *
     * @throws InputException when the reading is outside S 0 to 45
     */
    public double toPsu(double value) {
        if (this == PSU) {
            return within("salinity", value, min, max, symbol);
        }
        within("salinity", value, min, max, symbol);
        if (value > fromPsu(Seawater.MAX_SALINITY)) {
            throw new InputException(
                    "salinity",
                    value,
                    "S 0 to 45 psu",
                    "salinity " + Quantities.plain(value) + " " + symbol + " is outside S 0 to 45 psu.");
        }
        return Crossing.of(psu -> fromPsu(psu) - value, 0, Seawater.MAX_SALINITY, ACCURACY_PSU);
    }

    /** The reading that practical salinity {@code psu} gives in this unit. */
    public double fromPsu(double psu) {
        return switch (this) {
            case PSU -> psu;
            case SPECIFIC_GRAVITY_25 -> Density.kgPerM3(psu, 25) / Density.kgPerM3(0, 25);
            case SPECIFIC_GRAVITY_20 -> Density.kgPerM3(psu, 20) / Density.kgPerM3(0, 20);
            case MS_PER_CM -> Conductivity.mSPerCmAt25(psu);
        };
    }
}
