package jollytide.core.schedule;

import java.time.Instant;
import java.util.List;
import jollytide.core.schedule.Rule.Strength;
import org.jspecify.annotations.Nullable;

/**
 * What a lane does at a moment, and why.
 *
 * @param runs whether it runs at this very second: a wave is off in between
 * @param winner that says so
 * @param losers that say something else or the same, the strongest first
 */
public record Verdict(LaneState state, boolean runs, Claim winner, List<Claim> losers) {
    /**
     * What a rule says.
     *
     * @param by in a few words: the window, the hold, what was measured
     * @param since when it says that: a wave counts from there
     * @param rule null for a hold, the mains, and rest
     */
    public record Claim(
            Strength strength,
            String by,
            LaneState state,
            Instant since,
            @Nullable Rule rule) {
        Claim(Strength strength, String by, LaneState state, Instant since) {
            this(strength, by, state, since, null);
        }
    }

    public Verdict {
        losers = List.copyOf(losers);
    }
}
