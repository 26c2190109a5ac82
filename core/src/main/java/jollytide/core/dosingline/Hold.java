package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A time in which nothing may be dosed: from a power cut on until the return has run for half an hour and somebody has
 * looked. Common practice: what is dosed into still water stands where it fell.
 *
 * @param from when the mains failed
 * @param mainsBack null while they are away
 * @param released when somebody saw that the return runs; null while nobody has
 */
public record Hold(
        Instant from, @Nullable Instant mainsBack, @Nullable Instant released) {
    /** The return must have run for so long. */
    public static final Duration RUNS_AGAIN = Duration.ofMinutes(30);
    /** Of an outage so long ago nobody is asked any more: its doses are taken to have gone on. Assumed. */
    private static final Duration ASKED_FOR = Duration.ofDays(7);

    /** When at the earliest somebody may let doses go on; null while the mains are away. */
    public @Nullable Instant earliest() {
        return mainsBack == null ? null : mainsBack.plus(RUNS_AGAIN);
    }

    /** When it was over; null while it lasts. */
    public @Nullable Instant until(Instant now) {
        Instant earliest = earliest();
        if (earliest == null || mainsBack == null) {
            return null;
        }
        if (released != null) {
            return released.isBefore(earliest) ? earliest : released;
        }
        return mainsBack.plus(ASKED_FOR).isAfter(now) ? null : earliest;
    }

    public boolean lasts(Instant now) {
        Instant until = until(now);
        return !from.isAfter(now) && (until == null || until.isAfter(now));
    }
}
