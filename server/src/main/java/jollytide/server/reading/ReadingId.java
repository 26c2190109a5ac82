package jollytide.server.reading;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import jollytide.server.problem.Problem;

/** Names a reading by series and microsecond: 17.1762937200000000. */
final class ReadingId {
    private ReadingId() {}

    static String of(long seriesId, Instant at) {
        return seriesId + "." + ChronoUnit.MICROS.between(Instant.EPOCH, at);
    }

    static Reading.Key parse(String text) {
        String[] parts = text.split("\\.", -1);
        try {
            if (parts.length == 2) {
                return new Reading.Key(
                        Long.parseLong(parts[0]), Instant.EPOCH.plus(Long.parseLong(parts[1]), ChronoUnit.MICROS));
            }
        } catch (NumberFormatException | ArithmeticException | java.time.DateTimeException e) {
            // told below
        }
        throw Problem.notFound("reading");
    }
}
