package jollytide.core.measure;

import jollytide.core.media.MediaAssumptions;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * The tank that measures are set for.
 *
 * @param roomM3 null when not described: then nothing that hangs on it can be tried
 * @param media assumed, or taught by this tank's own fills
 * @param evaporationLPerDay the most limewater that fits into a day
 */
public record Surroundings(Setup setup, @Nullable Double roomM3, MediaAssumptions media, double evaporationLPerDay) {
    /** The same where so much evaporates, as it was measured. */
    public Surroundings evaporating(double litresPerDay) {
        return new Surroundings(setup, roomM3, media, litresPerDay);
    }

    double useDkhPerDay() {
        return AlkalinityUnit.DKH.fromMeqPerL(setup.useMeqPerLPerDay());
    }

    double room(String measure) {
        if (roomM3 == null) {
            throw new InputException(measure, 0, "a room whose volume is described", "The room's volume is missing.");
        }
        return roomM3;
    }
}
