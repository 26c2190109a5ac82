package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

import java.util.function.DoubleUnaryOperator;
import jollytide.core.numerics.Crossing;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * Bubbles from a stone. What they transfer hangs on whether their skin moves: organics in a tank hold it still, clean
 * water does not. The truth lies between; safety counts on the still skin.
 *
 * @param airLPerH air at atmospheric pressure
 * @param diameterMm of the bubbles
 * @param depthM of the stone
 */
public record Bubbles(double airLPerH, double diameterMm, double depthM, Skin skin) implements Path {
    /** Share of the clean-water transfer that is left in a tank's water, 0.3 to 0.8. From memory. */
    public static final double ASSUMED_TRANSFER_FACTOR = 0.5;

    private static final double GRAVITY = 9.81;
    /** N/m, seawater against air. */
    private static final double SURFACE_TENSION = 0.0735;

    private static final double M3_PER_S_PER_L_PER_H = 1 / 3.6e6;
    /** Between these rises every bubble that is allowed. */
    private static final double SLOWEST_M_PER_S = 1e-6;

    private static final double FASTEST_M_PER_S = 2;
    private static final double ACCURACY_M_PER_S = 1e-9;

    /** Whether the bubble's skin moves with the water. */
    public enum Skin {
        RIGID,
        MOBILE
    }

    public Bubbles {
        within("airLPerH", airLPerH, 0, 20_000, "L/h");
        within("diameterMm", diameterMm, 0.2, 20, "mm");
        within("depthM", depthM, 0.01, 5, "m");
    }

    /** Exchanger with air on one side and well-mixed water on the other: G = G_air (1 − e^−NTU). */
    @Override
    public double conductance(Gas gas, Seawater water) {
        if (airLPerH == 0) {
            return 0;
        }
        double air = airConductance(water);
        double contact = transferMPerS(gas, water) * areaM2(water) * 3600 * 1000 * gas.solubility(water);
        return air * (1 - Math.exp(-contact / air));
    }

    /** What the air stream can carry, mol/(h·atm). The water's pressure, 1 % for each 10 cm, is left out. */
    public double airConductance(Seawater water) {
        return airLPerH / (Gases.R_L_ATM * water.temperatureK());
    }

    /** Of what the air stream could carry, the share that comes over: near 1 the air is the limit, near 0 the contact. */
    public double shareOfAirLimit(Gas gas, Seawater water) {
        return airLPerH == 0 ? 0 : conductance(gas, water) / airConductance(water);
    }

    /** Open water of such a class that gives as much oxygen, m². */
    public double asSurfaceM2(SurfaceClass surface, Seawater water) {
        return conductance(Gas.OXYGEN, water) / new Surface(1, surface).conductance(Gas.OXYGEN, water);
    }

    /** Skin of all bubbles in the water at once, m². */
    public double areaM2(Seawater water) {
        double seconds = depthM / riseMPerS(water);
        return airLPerH * M3_PER_S_PER_L_PER_H * seconds * 6 / (diameterMm / 1000);
    }

    /**
     * Terminal velocity, m/s. A mobile skin: the drag of a bubble in clean water, from the smallest spheres to wobbling
     * caps (Tomiyama et al. 1998). A rigid one: a sphere's with the drag of Schiller and Naumann, never above the clean
     * bubble's, whose shape limits both (Clift, Grace and Weber 1978).
     */
    public double riseMPerS(Seawater water) {
        double d = diameterMm / 1000;
        double nu = Gases.kinematicViscosityM2PerS(water);
        double eotvos = water.densityKgPerL() * 1000 * GRAVITY * d * d / SURFACE_TENSION;
        double shape = 8.0 / 3 * eotvos / (eotvos + 4);
        double clean =
                terminal(d, nu, re -> Math.max(Math.min(16 / re * (1 + 0.15 * Math.pow(re, 0.687)), 48 / re), shape));
        return skin == Skin.MOBILE ? clean : Math.min(clean, terminal(d, nu, Bubbles::sphereDrag));
    }

    private static double sphereDrag(double re) {
        return re > 1000 ? 0.44 : 24 / re * (1 + 0.15 * Math.pow(re, 0.687));
    }

    /** Where drag and buoyancy meet. */
    private static double terminal(double d, double nu, DoubleUnaryOperator drag) {
        return Crossing.of(
                u -> u - Math.sqrt(4.0 / 3 * GRAVITY * d / drag.applyAsDouble(u * d / nu)),
                SLOWEST_M_PER_S,
                FASTEST_M_PER_S,
                ACCURACY_M_PER_S);
    }

    /** Transfer velocity, m/s: Frössling (1938) for a rigid skin, Higbie (1935) for a mobile one. */
    double transferMPerS(Gas gas, Seawater water) {
        double d = diameterMm / 1000;
        double sc = gas.schmidt(water);
        double nu = Gases.kinematicViscosityM2PerS(water);
        double diffusivity = nu / sc;
        double u = riseMPerS(water);
        return skin == Skin.RIGID
                ? (2 + 0.552 * Math.sqrt(u * d / nu) * Math.cbrt(sc)) * diffusivity / d
                : 2 * Math.sqrt(diffusivity * u / (Math.PI * d));
    }
}
