package jollytide.server.due;

import java.time.LocalDate;
import java.util.UUID;

/**
 * Something to do.
 *
 * @param id stays the same while it is the same thing, so that a calendar can tell
 * @param tankId the tank whose screen shows more
 * @param late whether its day has come
 */
public record Due(String id, String what, LocalDate on, boolean late, Subject subject, UUID tankId) {
    /** What it is about. */
    public enum Subject {
        KIT,
        MEDIA,
        DOSES,
        PROBE,
        EXPERIMENT
    }
}
