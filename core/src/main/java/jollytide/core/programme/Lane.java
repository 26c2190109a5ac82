package jollytide.core.programme;

import jollytide.core.doses.Solution;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * A device, or several that always do the same.
 *
 * @param rest what it does where no rule says anything, and when it loses its server
 * @param afterPower what it does at first once the mains are back
 * @param doses what a doser brings; null for every other lane, and where it is not said
 */
public record Lane(
        String id, LaneKind kind, String name, LaneState rest, LaneState afterPower, Solution.@Nullable Solute doses) {
    public Lane(String id, LaneKind kind, String name, LaneState rest, LaneState afterPower) {
        this(id, kind, name, rest, afterPower, null);
    }

    public Lane {
        if (!rest.fits(kind) || !afterPower.fits(kind)) {
            throw new InputException("rest", 0, "what such a lane can do", "“" + name + "” cannot do that.");
        }
    }
}
