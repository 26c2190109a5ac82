package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import jollytide.core.dosing.Inflow;
import org.jspecify.annotations.Nullable;

/** What acts on the tank from outside, hour by hour. */
public interface Conditions {

    /** The state of the world at {@code t}; continuous until {@link #nextChange}. */
    Acting at(Instant t);

    /** The next moment after {@code t} at which something switches; the integration stops there and starts anew. */
    Instant nextChange(Instant t);

    /**
     * Tells a controller the water's pH at a switch, from which it decides what acts until the next one. Conditions
     * without a controller return themselves.
     */
    default Conditions having(TwinState state) {
        return this;
    }

    /**
     * What acts at one moment.
     *
     * @param light 0 in the dark, 1 at full light
     * @param refugiumLight likewise, of the refugium's own lamp
     * @param skimmerShare the skimmer's conductance as a share of its full one; 0 when it stands still
     * @param intake what the skimmer breathes
     * @param temperatureC the water's temperature
     * @param doses alkalinity and what comes with it
     * @param reactor what a calcium reactor adds
     */
    record Acting(
            double light,
            double refugiumLight,
            Room room,
            double skimmerShare,
            Intake intake,
            double temperatureC,
            Inflow doses,
            Inflow reactor) {}

    /**
     * The tank's room.
     *
     * @param sourcePpmPerH what people add
     * @param airChangesPerH with outdoors
     * @param outdoorPpm air that ventilation brings, dry ppm
     * @param knownPpm the room's air where it is known rather than computed; else null
     * @param second the room next door; null without
     */
    record Room(
            double sourcePpmPerH,
            double airChangesPerH,
            double outdoorPpm,
            @Nullable Double knownPpm,
            @Nullable Second second) {

        /** A room in which people breathe so many litres of CO2 a second. */
        public static Room breathed(double generationLPerS, double volumeM3, double airChangesPerH, double outdoorPpm) {
            return new Room(sourcePpmPerH(generationLPerS, volumeM3), airChangesPerH, outdoorPpm, null, null);
        }

        public static Room known(double ppm) {
            return new Room(0, 0, ppm, ppm, null);
        }

        /** What a respiration of so many L/s adds to a room, ppm/h. */
        public static double sourcePpmPerH(double generationLPerS, double volumeM3) {
            return generationLPerS * 3.6 / within("roomVolumeM3", volumeM3, 1, 100_000, "m³") * 1e6;
        }

        /** The room's air: the known one, else the computed. */
        double ppm(double computed) {
            return knownPpm == null ? computed : knownPpm;
        }
    }

    /**
     * A room behind a door.
     *
     * @param throughDoorPerH air through the door, over the volume of the tank's room
     * @param volumeRatio its volume over that of the tank's room
     */
    record Second(double sourcePpmPerH, double airChangesPerH, double throughDoorPerH, double volumeRatio) {}

    /**
     * The air before the skimmer.
     *
     * @param outdoorShare of the fresh air, through an outdoor line
     * @param outdoorPpm at that line's mouth, dry ppm
     * @param cabinetShare of the fresh air, out of the cabinet; the rest is the room's
     * @param mediaPass share of the CO2 that scrubber media of fixed strength let through; 1 without
     * @param freshShare of the air drawn; the rest is the skimmer's own exhaust, led back. 1 without recirculation
     * @param throughMedia whether the air passes the tank's media
     */
    record Intake(
            double outdoorShare,
            double outdoorPpm,
            double cabinetShare,
            double mediaPass,
            double freshShare,
            boolean throughMedia) {
        public static final Intake ROOM_AIR = new Intake(0, 420, 0, 1, 1, false);

        public Intake {
            within("outdoorShare", outdoorShare, 0, 1, "");
            within("intakeOutdoorPpm", outdoorPpm, 0, 20_000, "ppm");
            within("cabinetShare", cabinetShare, 0, 1 - outdoorShare, "");
            within("mediaPass", mediaPass, 0, 1, "");
            within("freshShare", freshShare, 0, 1, "");
        }

        public static Intake outdoors(double share, double ppm) {
            return new Intake(share, ppm, 0, 1, 1, false);
        }
    }
}
