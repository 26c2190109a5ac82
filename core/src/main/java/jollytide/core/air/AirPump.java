package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import jollytide.core.numerics.Crossing;
import jollytide.core.units.Electricity;

/**
 * An air pump on a stone. What it gives falls with what it pushes against, along a straight line from its free flow to
 * the pressure at which it stands.
 *
 * @param freeLPerH at no depth, as its maker states it
 * @param stallKPa pressure at which it gives nothing
 * @param watts drawn from the mains
 */
public record AirPump(double freeLPerH, double stallKPa, double watts) {
    /** A diaphragm pump for the home. From memory. */
    public static final double ASSUMED_STALL_KPA = 25;
    /** What a one-way valve and a stone take, kPa. From memory. */
    private static final double VALVE_KPA = 1;

    private static final double STONE_KPA = 2;
    /** Density of seawater × gravity, kPa per metre: about 10. */
    private static final double KPA_PER_M = 1.0237 * 9.80665;
    /** Common practice: air of one tank volume in an hour as a first size. */
    private static final double VOLUMES_PER_H = 1;

    private static final double ATMOSPHERE_KPA = 101.325;
    private static final double ACCURACY_L_PER_H = 1e-6;

    public AirPump {
        within("freeLPerH", freeLPerH, 1, 200_000, "L/h");
        within("stallKPa", stallKPa, 1, 300, "kPa");
        within("watts", watts, 0.1, 5000, "W");
    }

    /** Pressure in kPa in front of the pump when it pushes {@code litresPerH} through tube, valve, stone and water. */
    public static double loadKPa(double depthM, boolean valve, AirLine tube, double litresPerH) {
        within("depthM", depthM, 0, 20, "m");
        return depthM * KPA_PER_M + STONE_KPA + (valve ? VALVE_KPA : 0) + tube.pressureDropPa(litresPerH) / 1000;
    }

    /** What arrives at the stone, L/h; 0 when the depth is too much for it. */
    public double deliveredLPerH(double depthM, boolean valve, AirLine tube) {
        return Crossing.of(
                q -> loadKPa(depthM, valve, tube, q) - stallKPa * (1 - q / freeLPerH), 0, freeLPerH, ACCURACY_L_PER_H);
    }

    /**
     * The least power that moves air to such a pressure, W: isothermal compression, P = p0 Q ln(p/p0). No pump does it
     * with less.
     */
    public static double idealW(double litresPerH, double kPa) {
        return ATMOSPHERE_KPA * 1000 * (litresPerH / 3.6e6) * Math.log((ATMOSPHERE_KPA + kPa) / ATMOSPHERE_KPA);
    }

    /** Whether a flow at a depth is claimed that these watts cannot give. */
    public boolean impossible(double claimedLPerH, double depthM) {
        return idealAtDepthW(claimedLPerH, depthM) > watts;
    }

    /** The least power for {@code litresPerH} under so much water, W. */
    public static double idealAtDepthW(double litresPerH, double depthM) {
        return idealW(litresPerH, depthM * KPA_PER_M);
    }

    /** The least power for it through a one-way valve and a stone as well, W. */
    public static double idealOnStoneW(double litresPerH, double depthM) {
        return idealW(litresPerH, depthM * KPA_PER_M + STONE_KPA + VALVE_KPA);
    }

    /** A first size for a tank, L/h. */
    public static double firstSizeLPerH(double tankL) {
        return within("tankL", tankL, 1, 100_000, "L") * VOLUMES_PER_H;
    }

    /** What it draws in a year of running, kWh. */
    public double kWhPerYear() {
        return Electricity.kWhPerYear(watts, 24);
    }

    /** Cost of running it, in the tariff's money per year. */
    public double yearly(double tariffPerKWh) {
        return kWhPerYear() * tariffPerKWh;
    }
}
