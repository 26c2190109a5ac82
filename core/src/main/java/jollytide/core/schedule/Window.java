package jollytide.core.schedule;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Edge.AtClock;
import jollytide.core.schedule.Edge.FromLight;
import jollytide.core.units.InputException;

/**
 * A part of the day that has a name and is used by as many lanes as want to: no time is said twice. One that ends before
 * it begins goes over midnight, and belongs to the day on which it begins.
 *
 * @param allDay from midnight to midnight, whatever its edges say
 */
public record Window(String id, String name, Edge from, Edge until, boolean allDay, Days days) {
    /** A time in which it is. */
    public record Span(Instant from, Instant until) {
        public boolean holds(Instant t) {
            return !t.isBefore(from) && t.isBefore(until);
        }
    }

    public Window {
        if (!allDay && from.equals(until)) {
            throw new InputException(
                    "until",
                    0,
                    "a time other than the start",
                    "“" + name + "” starts and ends at the same time. For a whole day, choose all day.");
        }
    }

    public static Window daily(String id, String name, Edge from, Edge until) {
        return new Window(id, name, from, until, false, Days.ALL);
    }

    /** Those that begin from the one day to the other, both included. */
    List<Span> spans(LocalDate first, LocalDate last, LightClock lamps, ZoneId zone) {
        return first.datesUntil(last.plusDays(1))
                .filter(days::hold)
                .flatMap(day -> span(day, lamps, zone))
                .toList();
    }

    private Stream<Span> span(LocalDate day, LightClock lamps, ZoneId zone) {
        if (allDay) {
            return Stream.of(new Span(
                    day.atStartOfDay(zone).toInstant(),
                    day.plusDays(1).atStartOfDay(zone).toInstant()));
        }
        if (!lamps.switches() && (from instanceof FromLight || until instanceof FromLight)) {
            // Lamps that never go on or off give no moment to count from.
            return Stream.empty();
        }
        Instant begins = from.on(day, lamps, zone);
        Instant ends = until.on(day, lamps, zone);
        if (overMidnight(begins, ends)) {
            ends = until.on(day.plusDays(1), lamps, zone);
        }
        // Both may lie in an hour that is skipped: then it is not there on that day.
        return begins.isBefore(ends) ? Stream.of(new Span(begins, ends)) : Stream.empty();
    }

    private boolean overMidnight(Instant begins, Instant ends) {
        return (from instanceof AtClock a && until instanceof AtClock b)
                ? b.time().isBefore(a.time())
                : !ends.isAfter(begins);
    }
}
