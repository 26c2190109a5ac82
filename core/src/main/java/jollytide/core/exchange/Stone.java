package jollytide.core.exchange;

import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.seawater.Seawater;

/**
 * An air stone as it probably works: between a rigid and a mobile skin, in the middle on a scale of ratios. Safety takes
 * the rigid one, from {@link Bubbles}.
 *
 * @param airLPerH air at atmospheric pressure
 * @param diameterMm of the bubbles
 * @param depthM of the stone
 */
public record Stone(double airLPerH, double diameterMm, double depthM) implements Path {
    public Stone {
        bubbles(airLPerH, diameterMm, depthM, Skin.RIGID);
    }

    @Override
    public double conductance(Gas gas, Seawater water) {
        double least = bubbles(airLPerH, diameterMm, depthM, Skin.RIGID).conductance(gas, water);
        double most = bubbles(airLPerH, diameterMm, depthM, Skin.MOBILE).conductance(gas, water);
        return Math.sqrt(least * most);
    }

    private static Bubbles bubbles(double airLPerH, double diameterMm, double depthM, Skin skin) {
        return new Bubbles(airLPerH, diameterMm, depthM, skin);
    }
}
