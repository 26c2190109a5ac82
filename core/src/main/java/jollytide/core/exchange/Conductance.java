package jollytide.core.exchange;

/**
 * How much of each gas a path lets through: mol/(h·atm). The flux into the water is conductance × (pressure in the air −
 * pressure in the water). Paths side by side add.
 */
public record Conductance(double co2, double oxygen) {
    public Conductance times(double factor) {
        return new Conductance(co2 * factor, oxygen * factor);
    }

    public double of(Gas gas) {
        return gas == Gas.CO2 ? co2 : oxygen;
    }
}
