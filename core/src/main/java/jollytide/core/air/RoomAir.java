package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/** CO2 in a well-mixed room. */
public final class RoomAir {
    /** Air changes per hour of a room with its windows shut that nobody measured: sealed to draughty. From memory. */
    public static final Estimate ASSUMED_PER_H = new Estimate(0.3, 0.15, 0.5);

    /** How far the keeper's own figure may be off, up or down, by a factor: a decay by one meter. From memory. */
    static final double OWN_DOUBT = 1.25;

    /** The same as one standard deviation of its logarithm, where that holds nine in ten. */
    public static final double OWN_LN_DEVIATION = Math.log(OWN_DOUBT) / 1.645;

    private static final double M3_PER_H_PER_L_PER_S = 3.6;

    /** Of a day at home, the share asleep. From memory. */
    static final double ASLEEP_SHARE = 1.0 / 3;

    /** CO2 to ventilate for, ppm. Common practice. */
    public static final double TOLERABLE_PPM = 1000;

    /** CO2 at which to open a window, ppm. Common practice. */
    public static final double ACT_PPM = 1500;

    private RoomAir() {}

    /**
     * Hours until a room that begins at outdoor air has reached a level; null when it never does.
     *
     * @param steadyPpm that it settles at
     */
    public static @Nullable Double hoursUntil(double ppm, double outdoorPpm, double steadyPpm, double airChangesPerH) {
        return steadyPpm <= ppm
                ? null
                : Math.log((steadyPpm - outdoorPpm) / (steadyPpm - ppm)) * timeConstantH(airChangesPerH);
    }

    /**
     * Fresh air in m³/h that holds a room at a level: the steady state turned around; null when the air outdoors is no
     * better.
     */
    public static @Nullable Double ventilationM3PerH(double ppm, double outdoorPpm, double generationLPerS) {
        return outdoorPpm >= ppm ? null : generationLPerS * M3_PER_H_PER_L_PER_S / ((ppm - outdoorPpm) * 1e-6);
    }

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
        double generationM3PerH = generationLPerS * M3_PER_H_PER_L_PER_S;
        return outdoorPpm + 1e6 * generationM3PerH / (airChangesPerH * volumeM3);
    }

    /**
     * Air changes per hour to compute with: the keeper's own figure, or the assumed one.
     *
     * @param own null when not known
     */
    public static Estimate airChangesPerH(@Nullable Double own) {
        if (own == null) {
            return ASSUMED_PER_H;
        }
        within("airChangesPerH", own, 0.02, 50, "1/h");
        return new Estimate(own, own / OWN_DOUBT, own * OWN_DOUBT);
    }

    /**
     * What to expect with the windows shut and everybody at home: the mean of a day, from all asleep with the most air to
     * all awake with the least.
     *
     * @param airChangesPerH as {@link #airChangesPerH} gives it
     */
    public static Estimate expectedShutPpm(double outdoorPpm, People people, double volumeM3, Estimate airChangesPerH) {
        double mean = ASLEEP_SHARE * people.asleepLPerS() + (1 - ASLEEP_SHARE) * people.awakeLPerS();
        return new Estimate(
                steadyStatePpm(outdoorPpm, mean, volumeM3, airChangesPerH.value()),
                steadyStatePpm(outdoorPpm, people.asleepLPerS(), volumeM3, airChangesPerH.high()),
                steadyStatePpm(outdoorPpm, people.awakeLPerS(), volumeM3, airChangesPerH.low()));
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
        return (steadyPpm - outdoorPpm) * 1e-6 * airChangesPerH * volumeM3 / M3_PER_H_PER_L_PER_S;
    }
}
