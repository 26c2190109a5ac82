package jollytide.core.schedule;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;

/**
 * What was stored up to a moment: with it and the schedule alone the state of every lane is said.
 *
 * @param readings by what was measured, each in their order
 * @param holds by hand
 * @param cuts in which the mains were away
 * @param stuck what stuck
 */
public record Known(Map<Quantity, List<Reading>> readings, List<Hold> holds, List<Cut> cuts, List<Stuck> stuck) {
    public static final Known NOTHING = new Known(Map.of(), List.of(), List.of());

    /** A lane held by hand, to an end that is known. */
    public record Hold(String lane, LaneState state, Instant from, Instant until) {}

    /** A device that stays as it is, whatever it should do; without mains it rests like all others. */
    public record Stuck(String lane, LaneState state, Instant from) {}

    /**
     * @param until null while it lasts
     * @param released when somebody saw that the return runs and let doses go on; null while nobody has
     */
    public record Cut(
            Instant from, @Nullable Instant until, @Nullable Instant released) {
        boolean away(Instant t) {
            return !t.isBefore(from) && (until == null || t.isBefore(until));
        }

        /** In which nothing is dosed. */
        jollytide.core.dosingline.Hold fromDoses() {
            return new jollytide.core.dosingline.Hold(from, until, released);
        }
    }

    public Known {
        readings = Map.copyOf(readings);
        holds = List.copyOf(holds);
        cuts = List.copyOf(cuts);
        stuck = List.copyOf(stuck);
    }

    /** With all devices that obey. */
    public Known(Map<Quantity, List<Reading>> readings, List<Hold> holds, List<Cut> cuts) {
        this(readings, holds, cuts, List.of());
    }

    /** Whether power cut. */
    boolean away(Instant t) {
        return cuts.stream().anyMatch(cut -> cut.away(t));
    }

    List<Reading> of(Quantity quantity) {
        return readings.getOrDefault(quantity, List.of());
    }
}
