package jollytide.core.twin;

import java.time.Instant;
import java.util.List;
import jollytide.core.seawater.Seawater;

/**
 * One thing of a tank: what it holds, which rows of the gas balance it fills, and what it does at a moment. A part is
 * immutable; what changes in a run are its stocks. At each moment parts are asked in three rounds: which air they govern
 * ({@link Governing}), how they lie open to boxed air ({@link Opening}), and what they do.
 */
public interface Part {
    double[] NOTHING = {};

    /** What it holds. */
    default List<Stock> stocks() {
        return List.of();
    }

    /** The rows of the gas balance that it fills. */
    default List<Channel> channels() {
        return List.of();
    }

    /** What hangs on the water's temperature alone; made anew when that has moved. Read by {@link Moment#warm}. */
    default double[] warm(Seawater water) {
        return NOTHING;
    }

    /** A part that governs an air. */
    interface Governing extends Part {
        /** First round: the pressures of that air. */
        void governs(Moment now);
    }

    /** A part that lies open to boxed air. */
    interface Opening extends Part {
        /** Second round: how. */
        void opens(Moment now);
    }

    /** Third round: its rates. */
    default void acts(Moment now) {}

    /** The next moment after now at which it switches, no later than {@code until}; the integration starts anew there. */
    default Instant nextSwitch(Moment now, Instant until) {
        return until;
    }

    /** At the start of a run and at every switch of any part: may set its own stocks. */
    default void decides(Moment now) {}

    /** Before a state is shown: may set stocks that follow the hour instead of rates. */
    default void shows(Moment now) {}

    /** The ways through which it exchanges gas with air, in the order of its channels; empty for what does not. */
    default List<Exchange> exchanges(Moment now) {
        return List.of();
    }
}
