package jollytide.server.event;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that changed.
 *
 * @param until when it was over; null for a moment, or for what lasts
 * @param excludesDays whether its days say nothing of how the tank usually is
 */
public record EventView(
        UUID id, EventKind kind, Instant at, @Nullable Instant until, boolean excludesDays, String title, String note) {
    static EventView of(TankEvent e) {
        return new EventView(e.id, e.kind, e.at, e.until, e.excludesDays, e.title, e.note);
    }

    /** Whether a stretch of time, its end not included, is not to be learnt from. */
    public boolean excludes(Instant from, Instant to) {
        Instant last = until == null ? at : until;
        return excludesDays && at.isBefore(to) && !last.isBefore(from);
    }
}
