package jollytide.server.home;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;

/** Times as people type them, in their home's zone, with the two hours of the year that clocks make difficult. */
public final class LocalTimes {
    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");
    private static final Duration CLOCKS_MAY_DIFFER = Duration.ofMinutes(10);

    private LocalTimes() {}

    /**
     * The instant of {@code text}: with an offset as it stands, without one in {@code zone}.
     *
     * @throws Problem when it is no time, lies in the future or before 1990, falls into the hour that a clock change
     *     skips, or into the one it repeats; the last names both offsets
     */
    public static Instant resolve(String field, String text, ZoneId zone, Instant now) {
        Instant instant = parse(field, text, zone).truncatedTo(ChronoUnit.MICROS);
        if (instant.isAfter(now.plus(CLOCKS_MAY_DIFFER))) {
            throw refused(field, text, "a time that has passed", "The time " + text + " is in the future.");
        }
        if (instant.isBefore(EARLIEST)) {
            throw refused(field, text, "1990 or later", "The time " + text + " is too far back.");
        }
        return instant;
    }

    private static Instant parse(String field, String text, ZoneId zone) {
        try {
            return OffsetDateTime.parse(text).toInstant();
        } catch (DateTimeException withoutOffset) {
            // read below as local time
        }
        LocalDateTime local;
        try {
            local = LocalDateTime.parse(text);
        } catch (DateTimeException e) {
            throw refused(
                    field,
                    text,
                    "a time such as 2026-11-12T09:55 or 2026-11-12T08:55:00Z",
                    "We can’t read the time " + text + ".");
        }
        List<ZoneOffset> offsets = zone.getRules().getValidOffsets(local);
        return switch (offsets.size()) {
            case 1 -> local.toInstant(offsets.get(0));
            case 0 ->
                throw refused(
                        field,
                        text,
                        "a time outside the skipped hour",
                        "The clocks skipped " + text + " in " + zone + ".");
            default ->
                throw refused(
                        field,
                        text,
                        "with an offset: " + local + offsets.get(0) + " or " + local + offsets.get(1),
                        "The clocks repeated " + text + " in " + zone + ". Choose which one.");
        };
    }

    private static Problem refused(String field, String text, String allowed, String message) {
        return Problem.refused(new FieldError(field, text, allowed, message));
    }
}
