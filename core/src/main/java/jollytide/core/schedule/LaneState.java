package jollytide.core.schedule;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import jollytide.core.units.InputException;

/**
 * What a lane does.
 *
 * @param share of its full power, for {@link Does#SHARE}; of fresh air among what the skimmer draws, for the ways of its air
 * @param on of a wave, each time; zero for everything else, like {@code off}
 */
public record LaneState(Does does, double share, Duration on, Duration off) {
    public static final LaneState ON = new LaneState(Does.ON, 1, Duration.ZERO, Duration.ZERO);
    public static final LaneState OFF = new LaneState(Does.OFF, 0, Duration.ZERO, Duration.ZERO);
    /** The skimmer draws the room's or outdoor air, past the media. */
    public static final LaneState FRESH = new LaneState(Does.FRESH, 1, Duration.ZERO, Duration.ZERO);

    /** Kinds of doing. */
    public enum Does {
        OFF,
        ON,
        SHARE,
        /** On and off in turns, from the beginning of its window on. */
        WAVE,
        FRESH,
        /** Fresh air through media. */
        MEDIA,
        /** Its recirculated exhaust through media, with some fresh air. */
        RECIRCULATED
    }

    public LaneState {
        within("share", share, 0, 1, "");
        if ((does == Does.WAVE) != (on.compareTo(Duration.ZERO) > 0 && off.compareTo(Duration.ZERO) > 0)) {
            throw new InputException("on", on.toSeconds(), "both above 0 s", "Enter seconds on and off for a wave.");
        }
    }

    public static LaneState wave(Duration on, Duration off) {
        return new LaneState(Does.WAVE, 1, on, off);
    }

    public static LaneState share(double share) {
        return new LaneState(Does.SHARE, share, Duration.ZERO, Duration.ZERO);
    }

    public static LaneState media() {
        return new LaneState(Does.MEDIA, 1, Duration.ZERO, Duration.ZERO);
    }

    public static LaneState recirculated(double freshShare) {
        return new LaneState(Does.RECIRCULATED, freshShare, Duration.ZERO, Duration.ZERO);
    }

    /** Whether it fits such a lane: air paths lead air, everything else runs or stands still. */
    public boolean fits(LaneKind kind) {
        boolean leadsAir = does == Does.FRESH || does == Does.MEDIA || does == Does.RECIRCULATED;
        return leadsAir == (kind == LaneKind.AIR_PATH);
    }

    /** Whether it runs at a moment so long after it began to do this. */
    public boolean runs(Duration since) {
        return switch (does) {
            case OFF -> false;
            case SHARE -> share > 0;
            case WAVE -> {
                long turn = on.plus(off).toMillis();
                yield Math.floorMod(since.toMillis(), turn) < on.toMillis();
            }
            case ON, FRESH, MEDIA, RECIRCULATED -> true;
        };
    }
}
