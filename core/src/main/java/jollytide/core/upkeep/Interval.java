package jollytide.core.upkeep;

import static java.util.Objects.requireNonNull;
import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * How often something is due: what is assumed, moved by what was found each time it was done. A finding after so many days
 * says which interval would have been right; the logarithms of those and of what was assumed are averaged, each with the
 * same weight, so that the first finding moves it half the way and no single one throws it over.
 *
 * <p>A log that shows the decline says it better than an eye at its end: so many days after the last time it was due.
 *
 * @param days between two times
 * @param findings it rests on, beside what was assumed
 * @param byLog how many of them the log showed
 * @param shown since when the log shows that it is due, after it was done last; null where it shows nothing
 */
public record Interval(
        double days, int findings, int byLog, @Nullable Instant shown) {
    public static final double LEAST_DAYS = 0.5;
    public static final double MOST_DAYS = 1500;

    /** What is older says little of gear as it is now. */
    private static final int NEWEST = 6;
    /** A log's change is dated about so well: what shows sooner after it was done may have begun before. */
    private static final Duration UNSURE = Duration.ofDays(3);
    /** Findings move an assumption by so much at most, as a factor. */
    private static final double FURTHEST = 6;

    /** What it looked like when it was done; the right interval over the one that was kept. From memory. */
    public enum Found {
        /** It would have done for longer. */
        CLEAN(1.5),
        /** Just right. */
        SOME(1),
        /** It should have been done before. */
        DIRTY(0.6);

        private final double times;

        Found(double times) {
            this.times = times;
        }
    }

    /**
     * One time that it was done.
     *
     * @param found null where nobody said
     */
    public record Done(Instant at, @Nullable Found found) {}

    public Interval {
        within("days", days, LEAST_DAYS, MOST_DAYS, "days");
    }

    /** From one time that it was done to the next; {@code end} is null where that is still to come. */
    private record Stretch(
            Instant from, @Nullable Done end, @Nullable Instant shown) {
        /** An eye that found it clean disproves the log: that was something else. */
        boolean byLog() {
            return shown != null && (end == null || end.found != Found.CLEAN);
        }

        /** Which interval would have been right. */
        OptionalDouble rightDays() {
            if (byLog()) {
                return OptionalDouble.of(Interval.days(from, requireNonNull(shown)));
            }
            return end == null || end.found == null || Interval.days(from, end.at) < LEAST_DAYS
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(Interval.days(from, end.at) * end.found.times);
        }
    }

    private static List<Stretch> stretches(List<Done> done, List<Instant> shown) {
        List<Done> inOrder =
                done.stream().sorted(Comparator.comparing(Done::at)).toList();
        return IntStream.range(0, inOrder.size())
                .mapToObj(i -> {
                    Instant from = inOrder.get(i).at;
                    Done end = i + 1 < inOrder.size() ? inOrder.get(i + 1) : null;
                    Instant first = shown.stream()
                            .filter(at -> !at.isBefore(from.plus(UNSURE)) && (end == null || at.isBefore(end.at)))
                            .min(Comparator.naturalOrder())
                            .orElse(null);
                    return new Stretch(from, end, first);
                })
                .toList();
    }

    /**
     * @param assumedDays by its kind
     * @param done in any order
     * @param shown when a log began to show that it was due, in any order
     */
    public static Interval of(double assumedDays, List<Done> done, List<Instant> shown) {
        within("days", assumedDays, LEAST_DAYS, MOST_DAYS, "days");
        List<Stretch> all = stretches(done, shown);
        List<Stretch> telling =
                all.stream().filter(s -> s.rightDays().isPresent()).toList();
        List<Stretch> newest = telling.subList(Math.max(0, telling.size() - NEWEST), telling.size());
        double sum = newest.stream()
                .mapToDouble(s -> Math.log(s.rightDays().orElseThrow() / assumedDays))
                .sum();
        double times = Math.max(1 / FURTHEST, Math.min(FURTHEST, Math.exp(sum / (newest.size() + 1))));
        return new Interval(
                Math.max(LEAST_DAYS, Math.min(MOST_DAYS, assumedDays * times)),
                newest.size(),
                (int) newest.stream().filter(Stretch::byLog).count(),
                sinceDone(all));
    }

    /** As its keeper wants it, whatever was found: but what the log shows since is due. */
    public static Interval asWanted(double days, List<Done> done, List<Instant> shown) {
        return new Interval(days, 0, 0, sinceDone(stretches(done, shown)));
    }

    private static @Nullable Instant sinceDone(List<Stretch> all) {
        return all.isEmpty() ? null : all.get(all.size() - 1).shown;
    }

    private Instant after(Instant last) {
        return last.plus(Duration.ofMinutes(Math.round(days * 1440)));
    }

    /**
     * When something is due.
     *
     * @param putOff whether it was due earlier but for its keeper's wish
     */
    public record Due(LocalDate on, boolean putOff) {}

    /**
     * @param last when it was done; null where it never was: then it is due today
     * @param notBefore as its keeper wishes; null without a wish
     */
    public Due due(@Nullable Instant last, @Nullable LocalDate notBefore, LocalDate today, ZoneId zone) {
        LocalDate byUse = last == null ? today : LocalDate.ofInstant(after(last), zone);
        if (shown != null && LocalDate.ofInstant(shown, zone).isBefore(byUse)) {
            byUse = LocalDate.ofInstant(shown, zone);
        }
        return notBefore != null && notBefore.isAfter(byUse) ? new Due(notBefore, true) : new Due(byUse, false);
    }

    private static double days(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0;
    }
}
