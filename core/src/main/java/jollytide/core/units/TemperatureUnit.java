package jollytide.core.units;

/** Degrees Celsius inside, either at the edge. */
public enum TemperatureUnit {
    CELSIUS("°C"),
    FAHRENHEIT("°F");

    private final String symbol;

    TemperatureUnit(String symbol) {
        this.symbol = symbol;
    }

    public String symbol() {
        return symbol;
    }

    /** The same temperature in °C. */
    public double toCelsius(double value) {
        return this == CELSIUS ? value : (value - 32) / 1.8;
    }

    /** The temperature {@code celsius} in this unit. */
    public double fromCelsius(double celsius) {
        return this == CELSIUS ? celsius : celsius * 1.8 + 32;
    }
}
