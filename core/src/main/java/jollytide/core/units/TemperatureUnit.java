package jollytide.core.units;

/** How keepers read temperature; inside it is °C. */
public enum TemperatureUnit {
    CELSIUS,
    FAHRENHEIT;

    /** The same temperature in °C. */
    public double toCelsius(double value) {
        return this == CELSIUS ? value : (value - 32) / 1.8;
    }
}
