package jollytide.server.due;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something to do.
 *
 * @param id stays the same while it is the same thing, so that a calendar can tell
 * @param tankId the tank whose screen shows more
 * @param late whether its day has come
 * @param hours between which it lasts; null where the day is enough
 */
public record Due(
        String id,
        String what,
        LocalDate on,
        boolean late,
        Subject subject,
        UUID tankId,
        @Nullable Hours hours) {
    /** From when to when. */
    public record Hours(Instant from, Instant until) {}

    Due(String id, String what, LocalDate on, boolean late, Subject subject, UUID tankId) {
        this(id, what, on, late, subject, tankId, null);
    }

    /** What it is about. */
    public enum Subject {
        KIT,
        MEDIA,
        DOSES,
        /** A lane that was held by hand. */
        SCHEDULE,
        PROBE,
        EXPERIMENT,
        UPKEEP,
        SUPPLIES,
        /** Of the water. */
        TEST,
        /** Something in the water that harms the animals now: before everything else. */
        SPIKE
    }
}
