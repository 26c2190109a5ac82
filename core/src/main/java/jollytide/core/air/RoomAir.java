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
}
