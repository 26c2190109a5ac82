package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import jollytide.core.reef.Evaporation;

/**
 * Heat that leaves with the vapour of a still, open surface, in a room without wind.
 *
 * @param areaM2 open to the room
 * @param aroundC temperature of the room's air
 * @param humidity of it, 0 to 1
 */
public record StillEvaporation(double areaM2, double aroundC, double humidity) implements Part {
    public StillEvaporation {
        within("openM2", areaM2, 0, 200, "m²");
        within("roomC", aroundC, -20, 45, "°C");
        within("humidity", humidity, 0, 1, "");
    }

    @Override
    public void acts(Moment now) {
        double watts = areaM2 * Evaporation.stillAirWPerM2(now.celsius(), aroundC, humidity);
        now.warmBy(-watts * 3600 / (now.kg() * Heater.J_PER_KG_K));
    }
}
