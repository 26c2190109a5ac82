package jollytide.core.twin;

import java.time.Instant;

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
     * @param intakeOutdoorShare share of the skimmer's air that comes through an outdoor line
     * @param intakeOutdoorPpm air at that line's mouth, dry ppm
     * @param temperatureC the water's temperature
     * @param alkalinityMeqPerLPerDay net gain of alkalinity: doses less calcification
     */
    record Acting(
            double light,
            double roomGenerationLPerS,
            double airChangesPerH,
            double outdoorPpm,
            double skimmerShare,
            double intakeOutdoorShare,
            double intakeOutdoorPpm,
            double temperatureC,
            double alkalinityMeqPerLPerDay) {}
}
