package jollytide.core.schedule;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a lane does and when, by one of the ways in which that is said. */
public sealed interface Rule {
    String lane();

    Strength strength();

    /** The order in which rules beat each other: always this one. */
    enum Strength {
        /** It stuck: nothing beats that but mains that are away. */
        STUCK,
        /** The mains are away, or were until just now. */
        POWER,
        CUT_OUT,
        HOLD,
        FOLLOW_UP,
        GATE,
        SPECIAL,
        USUAL,
        REST
    }

    /** For safety: while the limit holds. What is not known cuts nothing out. */
    record CutOut(String lane, Limit limit, LaneState state) implements Rule {
        @Override
        public Strength strength() {
            return Strength.CUT_OUT;
        }
    }

    /**
     * Each time after a window's end.
     *
     * @param steps in any order
     */
    record FollowUp(String lane, String window, List<Step> steps) implements Rule {
        /**
         * @param after the window's end
         */
        public record Step(Duration after, Duration lasts, LaneState state) {
            public Step {
                within("after", (double) after.toSeconds(), 0, 86_400, "s");
                within("lasts", (double) lasts.toSeconds(), 1, 86_400, "s");
            }
        }

        public FollowUp {
            steps = List.copyOf(steps);
        }

        @Override
        public Strength strength() {
            return Strength.FOLLOW_UP;
        }
    }

    /**
     * While the limit holds.
     *
     * @param window in which it is asked at all; null for always
     * @param whenNotKnown without a reading; null where nobody said, which is a conflict
     */
    record Gate(
            String lane,
            @Nullable String window,
            Limit limit,
            LaneState state,
            @Nullable LaneState whenNotKnown) implements Rule {
        /** As if its limit held all the time: asked without a reading, it answers with its state. */
        Gate held() {
            return new Gate(lane, window, limit, state, state);
        }

        @Override
        public Strength strength() {
            return Strength.GATE;
        }
    }

    /** In a window that beats the usual day. */
    record Special(String lane, String window, LaneState state) implements Rule {
        @Override
        public Strength strength() {
            return Strength.SPECIAL;
        }
    }

    record Usual(String lane, String window, LaneState state) implements Rule {
        @Override
        public Strength strength() {
            return Strength.USUAL;
        }
    }
}
