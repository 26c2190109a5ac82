package jollytide.core.effects;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * Whole local days before and after a change that can be compared: at most a fortnight each, without what settles, and
 * not across any other change.
 *
 * @param before first day, {@code change} the one that no longer counts
 * @param after first day that counts, {@code end} the one that no longer does
 * @param cutBefore the change that shortens the days before; null when none does
 * @param cutAfter likewise
 * @param coming whether days that have not come yet are missing
 */
public record Windows(
        LocalDate before,
        LocalDate change,
        LocalDate after,
        LocalDate end,
        @Nullable Edge cutBefore,
        @Nullable Edge cutAfter,
        boolean coming) {
    private static final int MOST_DAYS = 14;
    /** In more, a season passes. Common practice, no source. */
    public static final int MOST_CHOSEN_DAYS = 31;

    /** A moment at which something began or ended that moves pH. */
    public record Edge(Instant at, String title) {}

    /**
     * @param at the change
     * @param over when all of it was done: later than {@code at} for several changes in one
     * @param others that happened beside it
     * @param settling how long the water takes to follow a change
     * @param today the day that is not over yet
     */
    public static Windows of(
            Instant at, Instant over, Collection<Edge> others, Duration settling, LocalDate today, ZoneId zone) {
        LocalDate change = LocalDate.ofInstant(at, zone);
        LocalDate after = firstWhole(over.plus(settling), zone);
        Optional<Edge> last = others.stream().filter(e -> !e.at().isAfter(at)).max(Comparator.comparing(Edge::at));
        Optional<Edge> next = others.stream().filter(e -> e.at().isAfter(over)).min(Comparator.comparing(Edge::at));
        LocalDate settled =
                last.map(e -> firstWhole(e.at().plus(settling), zone)).orElse(LocalDate.MIN);
        LocalDate cut = next.map(e -> LocalDate.ofInstant(e.at(), zone)).orElse(LocalDate.MAX);
        LocalDate fortnightBefore = change.minusDays(MOST_DAYS);
        LocalDate fortnightAfter = after.plusDays(MOST_DAYS);
        LocalDate known = earlier(fortnightAfter, today);
        return new Windows(
                earlier(later(fortnightBefore, settled), change),
                change,
                after,
                later(after, earlier(known, cut)),
                settled.isAfter(fortnightBefore) ? last.orElseThrow() : null,
                cut.isBefore(known) ? next.orElseThrow() : null,
                today.isBefore(earlier(fortnightAfter, cut)));
    }

    /**
     * Any days beside any later ones.
     *
     * @param until the first day that no longer counts, {@code end} likewise
     * @throws InputException when one of both holds no day or too many, or they lie over each other
     */
    public static Windows between(LocalDate from, LocalDate until, LocalDate after, LocalDate end) {
        length("before", from, until);
        length("after", after, end);
        if (after.isBefore(until)) {
            throw new InputException(
                    "after",
                    ChronoUnit.DAYS.between(until, after),
                    "0 or more",
                    "The second stretch begins before the first one ends.");
        }
        return new Windows(from, until, after, end, null, null, false);
    }

    private static void length(String side, LocalDate from, LocalDate until) {
        long days = ChronoUnit.DAYS.between(from, until);
        if (days < 1 || days > MOST_CHOSEN_DAYS) {
            String stretch = "The " + (side.equals("before") ? "first" : "second") + " stretch ";
            throw new InputException(
                    side,
                    days,
                    "1 to " + MOST_CHOSEN_DAYS + " days",
                    stretch
                            + (days < 1
                                    ? "ends before it begins."
                                    : "has " + days + " days. Choose at most " + MOST_CHOSEN_DAYS + "."));
        }
    }

    private static LocalDate firstWhole(Instant t, ZoneId zone) {
        LocalDate day = LocalDate.ofInstant(t, zone);
        return day.atStartOfDay(zone).toInstant().equals(t) ? day : day.plusDays(1);
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private static LocalDate later(LocalDate a, LocalDate b) {
        return a.isAfter(b) ? a : b;
    }

    public boolean isBefore(LocalDate day) {
        return !day.isBefore(before) && day.isBefore(change);
    }

    public boolean isAfter(LocalDate day) {
        return !day.isBefore(after) && day.isBefore(end);
    }
}
