package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.Seawater;

/**
 * An open water surface: display, sump, refugium.
 *
 * @param areaM2 0.001 to 200 m²
 * @param k600CmPerH transfer velocity at Schmidt number 600
 * @param schmidtExponent ⅔ for smooth, ½ for moving water
 */
public record Surface(double areaM2, double k600CmPerH, double schmidtExponent) implements Path {
    /** Above this CO2 has no time to react with water while it crosses. */
    private static final double NO_HYDRATION_FROM_CM_PER_H = 8;

    private static final double SLOWEST_CM_PER_H = 1.5;
    private static final double SLOWEST_GAIN = 2.2;
    private static final double FADING_EXPONENT = 1.6;

    public Surface {
        within("areaM2", areaM2, 0.001, 200, "m²");
        within("k600CmPerH", k600CmPerH, 0.1, 300, "cm/h");
        within("schmidtExponent", schmidtExponent, 0.4, 0.7, "");
    }

    public Surface(double areaM2, SurfaceClass motion) {
        this(areaM2, motion.k600CmPerH(), motion.schmidtExponent());
    }

    /** Transfer velocity × area × solubility. */
    @Override
    public double conductance(Gas gas, Seawater water) {
        double gain = gas == Gas.CO2 ? hydrationGain() : 1;
        double velocityMPerH = k600CmPerH / 100 * Math.pow(gas.schmidt(water) / 600, -schmidtExponent) * gain;
        return velocityMPerH * areaM2 * gas.solubility(water) * 1000;
    }

    /**
     * What CO2 gains on slow surfaces by reacting with water on its way (Hoover and Berkshire 1969): about 2.2 at
     * 1.5 cm/h, 1.2 at 4 cm/h, nothing from 8 cm/h. Between, it falls so that more agitation never carries less.
     */
    private double hydrationGain() {
        double least = fading(NO_HYDRATION_FROM_CM_PER_H);
        double k = Math.max(SLOWEST_CM_PER_H, Math.min(NO_HYDRATION_FROM_CM_PER_H, k600CmPerH));
        return 1 + (SLOWEST_GAIN - 1) * (fading(k) - least) / (1 - least);
    }

    private static double fading(double k600CmPerH) {
        return Math.pow(SLOWEST_CM_PER_H / k600CmPerH, FADING_EXPONENT);
    }
}
