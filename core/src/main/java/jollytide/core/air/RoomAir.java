package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Estimate;

/** CO2 in a well-mixed room. */
public final class RoomAir {
    /** Air changes per hour of a sealed and of an ordinary room with its windows shut. From memory. */
    public static final double SEALED_PER_H = 0.15;

    public static final double ORDINARY_PER_H = 0.5;

    private RoomAir() {}

    /**
     * CO2 in ppm that a room settles at: outdoors + generation ÷ ventilation (ASTM D6245).
     *
     * @param generationLPerS CO2 from everybody inside
     * @param airChangesPerH above 0
     */
    public static double steadyStatePpm(
            double outdoorPpm, double generationLPerS, double volumeM3, double airChangesPerH) {
        within("roomVolumeM3", volumeM3, 1, 100_000, "m³");
        within("airChangesPerH", airChangesPerH, 0.001, 1000, "1/h");
        double generationM3PerH = generationLPerS * 3.6;
        return outdoorPpm + 1e6 * generationM3PerH / (airChangesPerH * volumeM3);
    }

    /** What to expect with the windows shut and everybody at home: asleep and ordinary, up to awake and sealed. */
    public static Estimate expectedShutPpm(double outdoorPpm, People people, double volumeM3) {
        double low = steadyStatePpm(outdoorPpm, people.asleepLPerS(), volumeM3, ORDINARY_PER_H);
        double high = steadyStatePpm(outdoorPpm, people.awakeLPerS(), volumeM3, SEALED_PER_H);
        return new Estimate(Math.sqrt(low * high), low, high);
    }

    /** Time constant of a room, hours: how long until 63 % of a change has come through. */
    public static double timeConstantH(double airChangesPerH) {
        return 1 / within("airChangesPerH", airChangesPerH, 0.001, 1000, "1/h");
    }

    /**
     * Air changes per hour of an empty room, from how its CO2 falls towards outdoors (tracer-gas decay, ASTM E741).
     *
     * @param hours between both readings
     * @throws jollytide.core.units.InputException when the second reading is not between outdoors and the first
     */
    public static double airChangesFromDecay(double outdoorPpm, double firstPpm, double laterPpm, double hours) {
        within("hours", hours, 0.05, 200, "h");
        within("firstPpm", firstPpm, outdoorPpm + 50, 20_000, "ppm");
        within("laterPpm", laterPpm, outdoorPpm + 5, firstPpm, "ppm");
        return Math.log((firstPpm - outdoorPpm) / (laterPpm - outdoorPpm)) / hours;
    }

    /** CO2 breathed into a room that has settled, L/s: the steady state turned around. */
    public static double generationLPerS(double outdoorPpm, double steadyPpm, double volumeM3, double airChangesPerH) {
        within("steadyPpm", steadyPpm, outdoorPpm, 20_000, "ppm");
        return (steadyPpm - outdoorPpm) * 1e-6 * airChangesPerH * volumeM3 / 3.6;
    }
}
