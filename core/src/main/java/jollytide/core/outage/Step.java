package jollytide.core.outage;

import org.jspecify.annotations.Nullable;

/**
 * One thing to do.
 *
 * @param id stays the same for the same step, so that done is done
 * @param atH hours into the outage at which it is due
 * @param starts name of the thing that it starts; null for every other step
 * @param caution what may hurt someone in doing it; null when nothing does
 */
public record Step(
        String id,
        double atH,
        String what,
        String why,
        String how,
        @Nullable String starts,
        @Nullable String caution) {
    /** One that starts nothing. */
    public Step(String id, double atH, String what, String why, String how, @Nullable String caution) {
        this(id, atH, what, why, how, null, caution);
    }
}
