package jollytide.core.air;

import java.util.OptionalDouble;

/** Where the air comes from that is breathed at an intake: a mixture of the room's and of outdoor air. */
public final class IntakeAir {
    /** Room and outdoors closer than this do not tell what an intake breathes. From memory. */
    public static final double LEAST_GAP_PPM = 100;

    private IntakeAir() {}

    /**
     * How much of it comes from outdoors, 0 to 1: (room − intake) ÷ (room − outdoors), the balance of two airs mixed.
     * Empty when room and outdoors are too alike to tell.
     */
    public static OptionalDouble outdoorShare(double roomPpm, double intakePpm, double outdoorPpm) {
        double gap = roomPpm - outdoorPpm;
        return gap < LEAST_GAP_PPM
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.max(0, Math.min(1, (roomPpm - intakePpm) / gap)));
    }
}
