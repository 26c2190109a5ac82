package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

/**
 * Water without heater or chiller: Newton's cooling.
 *
 * @param aroundC temperature of what is around it
 * @param perH share of the gap that is lost in an hour
 */
public record Cooling(double aroundC, double perH) implements Part {
    public Cooling {
        within("roomC", aroundC, -20, 45, "°C");
        within("coolingPerH", perH, 0, 2, "1/h");
    }

    @Override
    public void acts(Moment now) {
        now.warmBy(perH * (aroundC - now.celsius()));
    }
}
