package jollytide.core.schedule;

import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.Solution.Solute;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * A device, or several that always do the same.
 *
 * @param rest what it does where no rule says anything, and when it loses its server
 * @param afterPower what it does at first when the power returns
 * @param doses what a doser brings; null for every other lane, and where it is not said
 */
public record Lane(
        String id,
        LaneKind kind,
        String name,
        LaneState rest,
        LaneState afterPower,
        @Nullable Doses doses) {
    /**
     * What a doser brings. On says that it may dose; what it then doses is not said by the schedule.
     *
     * @param times of its doses; null for one that doses all the while that it is on
     */
    public record Doses(Solute solute, @Nullable DoseTimes times) {}

    public Lane(String id, LaneKind kind, String name, LaneState rest, LaneState afterPower) {
        this(id, kind, name, rest, afterPower, null);
    }

    public Lane {
        if (!rest.fits(kind) || !afterPower.fits(kind)) {
            throw new InputException("rest", 0, "a state this device can have", "“" + name + "” can’t do that.");
        }
    }

    Lane atRest(LaneState other) {
        return new Lane(id, kind, name, other, afterPower, doses);
    }

    Lane afterPower(LaneState other) {
        return new Lane(id, kind, name, rest, other, doses);
    }

    Lane at(DoseTimes times) {
        return doses == null ? this : new Lane(id, kind, name, rest, afterPower, new Doses(doses.solute(), times));
    }
}
