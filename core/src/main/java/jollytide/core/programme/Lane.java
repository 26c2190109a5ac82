package jollytide.core.programme;

import jollytide.core.units.InputException;

/**
 * A device, or several that always do the same.
 *
 * @param rest what it does where no rule says anything, and when it loses its server
 * @param afterPower what it does at first once the mains are back
 */
public record Lane(String id, LaneKind kind, String name, LaneState rest, LaneState afterPower) {
    public Lane {
        if (!rest.fits(kind) || !afterPower.fits(kind)) {
            throw new InputException("rest", 0, "what such a lane can do", "“" + name + "” cannot do that.");
        }
    }
}
