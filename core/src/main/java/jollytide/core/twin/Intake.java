package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import org.jspecify.annotations.Nullable;

/**
 * The air before a skimmer.
 *
 * @param outdoorShare of the fresh air, through an outdoor line
 * @param outdoorPpm at that line's mouth, dry ppm
 * @param cabinetShare of the fresh air, out of the cabinet; the rest is the room's
 * @param freshShare of the air drawn; the rest is the skimmer's own recirculated exhaust. 1 without recirculation
 * @param through what the air passes of the media; null for none of it
 */
public record Intake(
        double outdoorShare,
        double outdoorPpm,
        double cabinetShare,
        double freshShare,
        @Nullable Leg through) {
    public static final Intake ROOM_AIR = new Intake(0, 420, 0, 1, null);

    /** Which of the air passes the media. */
    public enum Leg {
        /** All that the skimmer draws. */
        ALL,
        /** The exhaust that is recirculated, not the fresh air. */
        RECIRCULATED
    }

    public Intake {
        within("outdoorShare", outdoorShare, 0, 1, "");
        within("intakeOutdoorPpm", outdoorPpm, 0, 20_000, "ppm");
        within("cabinetShare", cabinetShare, 0, 1 - outdoorShare, "");
        within("freshShare", freshShare, 0, 1, "");
    }

    public static Intake outdoors(double share, double ppm) {
        return new Intake(share, ppm, 0, 1, null);
    }
}
