package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** What acts on the tank from outside, hour by hour. */
public interface Conditions {

    /** The state of the world at {@code t}; constant or smooth until {@link #nextChange}. */
    Acting at(Instant t);

    /** The next moment after {@code t} at which something switches; the integration stops there and starts anew. */
    Instant nextChange(Instant t);

    /**
     * What acts at one moment.
     *
     * @param light 0 in the dark, 1 at full light
     * @param roomGenerationLPerS CO2 breathed into the room
     * @param airChangesPerH ventilation of the room
     * @param outdoorPpm air that ventilation brings, dry ppm
     * @param skimmerShare the skimmer's conductance as a share of its full one; 0 when it stands still
     * @param intake what the skimmer breathes
     * @param temperatureC the water's temperature
     * @param alkalinityMeqPerLPerDay net gain of alkalinity: carbonate doses less calcification
     * @param hydroxideMeqPerLPerDay of the day's alkalinity that comes as hydroxide in place of carbonate: the alkalinity
     *     stays as it is, half a mole of carbon for each equivalent is missing
     * @param knownRoomPpm the room's air where it is known rather than computed from people and ventilation; else null
     */
    record Acting(
            double light,
            double roomGenerationLPerS,
            double airChangesPerH,
            double outdoorPpm,
            double skimmerShare,
            Intake intake,
            double temperatureC,
            double alkalinityMeqPerLPerDay,
            double hydroxideMeqPerLPerDay,
            @Nullable Double knownRoomPpm) {

        /** The room's air: the known one, else the computed. */
        double roomPpm(double computed) {
            return knownRoomPpm == null ? computed : knownRoomPpm;
        }
    }

    /**
     * The air before the skimmer.
     *
     * @param outdoorShare of the fresh air, through an outdoor line; the rest is the room's
     * @param outdoorPpm at that line's mouth, dry ppm
     * @param mediaPass share of the CO2 that scrubber media let through; 1 without media
     * @param freshShare of the air drawn; the rest is the skimmer's own exhaust, led back. 1 without recirculation
     */
    record Intake(double outdoorShare, double outdoorPpm, double mediaPass, double freshShare) {
        public static final Intake ROOM_AIR = new Intake(0, 420, 1, 1);

        public Intake {
            within("outdoorShare", outdoorShare, 0, 1, "");
            within("intakeOutdoorPpm", outdoorPpm, 0, 20_000, "ppm");
            within("mediaPass", mediaPass, 0, 1, "");
            within("freshShare", freshShare, 0, 1, "");
        }

        public static Intake outdoors(double share, double ppm) {
            return new Intake(share, ppm, 1, 1);
        }

        /**
         * Pressure of a gas in the air that enters the skimmer, atm. The exhaust that comes back has been brought towards
         * the water by the skimmer's effectiveness e: in = pass · (f·fresh + (1 − f)·(in + e·(water − in))), solved for in.
         *
         * @param freshAtm of the gas in the fresh air
         * @param waterAtm of the gas in the water
         * @param pass what media let through of it
         * @param effectiveness 0 to 1: conductance of the skimmer over that of its air
         */
        double enteringAtm(double freshAtm, double waterAtm, double pass, double effectiveness) {
            double back = pass * (1 - freshShare);
            return (pass * freshShare * freshAtm + back * effectiveness * waterAtm) / (1 - back * (1 - effectiveness));
        }
    }
}
