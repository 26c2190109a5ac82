package jollytide.core.programme;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;

/**
 * What was stored up to a moment: with it and the programme alone the state of every lane is said.
 *
 * @param readings by what was measured, each in their order
 * @param holds by hand
 * @param cuts in which the mains were away
 */
public record Known(Map<Quantity, List<Reading>> readings, List<Hold> holds, List<Cut> cuts) {
    static final String BY_HAND = "held by hand";
    public static final Known NOTHING = new Known(Map.of(), List.of(), List.of());

    /**
     * A lane held to an end that is known.
     *
     * @param by in a few words
     */
    public record Hold(String lane, LaneState state, Instant from, Instant until, String by) {
        /** By hand. */
        public Hold(String lane, LaneState state, Instant from, Instant until) {
            this(lane, state, from, until, BY_HAND);
        }
    }

    /**
     * @param until null while it lasts
     * @param released when somebody saw that the return runs and let doses go on; null while nobody has
     */
    public record Cut(
            Instant from, @Nullable Instant until, @Nullable Instant released) {
        /** In which nothing is dosed. */
        jollytide.core.doses.Hold fromDoses() {
            return new jollytide.core.doses.Hold(from, until, released);
        }
    }

    public Known {
        readings = Map.copyOf(readings);
        holds = List.copyOf(holds);
        cuts = List.copyOf(cuts);
    }

    List<Reading> of(Quantity quantity) {
        return readings.getOrDefault(quantity, List.of());
    }
}
