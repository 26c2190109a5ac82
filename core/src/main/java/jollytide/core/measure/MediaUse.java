package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import jollytide.core.media.Media;
import jollytide.core.twin.Intake.Leg;

/**
 * How scrubber media are used.
 *
 * @param freshShare of the air while in use; the rest is the skimmer's recirculated exhaust
 * @param leg which of the air passes them
 * @param gatePh they are switched in below this, NBS scale, and out 0.05 above it; read with BELOW_PH only
 * @param driesBetween whether fresh air passes them when they are not in use, else it goes around them
 */
public record MediaUse(Media media, double freshShare, Leg leg, Hours hours, double gatePh, boolean driesBetween) {
    public static final double HYSTERESIS_PH = 0.05;

    /** When they are in use. */
    public enum Hours {
        ALWAYS,
        LAMPS_OFF,
        LAMPS_ON,
        BELOW_PH
    }

    public MediaUse {
        within("freshShare", freshShare, 0, 1, "");
        within("gatePh", gatePh, 7, 9, "pH");
    }

    MediaUse with(Media other) {
        return new MediaUse(other, freshShare, leg, hours, gatePh, driesBetween);
    }

    /** Whether the loop is closed further than anyone knows it to be tight. */
    public boolean loops() {
        return freshShare < media.assumed().leak();
    }
}
