package jollytide.core.logfile;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;

/**
 * A time as a file states it.
 *
 * @param offset null when the file does not say from which zone
 */
record Stamp(LocalDateTime local, @Nullable ZoneOffset offset) {
    static Stamp of(Instant instant) {
        return new Stamp(LocalDateTime.ofInstant(instant, ZoneOffset.UTC), ZoneOffset.UTC);
    }
}
