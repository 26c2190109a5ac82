package jollytide.core.upkeep;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How often something is due: what is assumed, moved by what was found each time it was done. A finding after so many days
 * says which interval would have been right; the logarithms of those and of what was assumed are averaged, each with the
 * same weight, so that the first finding moves it half the way and no single one throws it over.
 *
 * @param days between two times
 * @param findings it rests on, beside what was assumed
 */
public record Interval(double days, int findings) {
    public static final double LEAST_DAYS = 0.5;
    public static final double MOST_DAYS = 1500;

    /** What is older says little of gear as it is now. */
    private static final int NEWEST = 6;
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

    /**
     * @param assumedDays by its kind, or by its keeper
     * @param done in any order
     */
    public static Interval of(double assumedDays, List<Done> done) {
        within("days", assumedDays, LEAST_DAYS, MOST_DAYS, "days");
        List<Done> inOrder =
                done.stream().sorted(Comparator.comparing(Done::at)).toList();
        double sum = 0;
        int findings = 0;
        for (int i = inOrder.size() - 1; i > 0 && findings < NEWEST; i--) {
            Found found = inOrder.get(i).found;
            double kept = days(inOrder.get(i - 1).at, inOrder.get(i).at);
            if (found != null && kept >= LEAST_DAYS) {
                sum += Math.log(kept * found.times / assumedDays);
                findings++;
            }
        }
        double times = Math.max(1 / FURTHEST, Math.min(FURTHEST, Math.exp(sum / (findings + 1))));
        return new Interval(Math.max(LEAST_DAYS, Math.min(MOST_DAYS, assumedDays * times)), findings);
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
        return notBefore != null && notBefore.isAfter(byUse) ? new Due(notBefore, true) : new Due(byUse, false);
    }

    private static double days(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0;
    }
}
