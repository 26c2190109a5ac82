package jollytide.core.supplies;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.evidence.Estimate;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * What is left of something, and how fast it goes: by what uses it, until counts that lie far enough apart say it better.
 *
 * @param entries in any order
 */
public record OnHand(List<Entry> entries) {
    /** Counts that lie nearer together say little of how fast it goes. */
    private static final Duration LEAST_SPAN = Duration.ofDays(28);
    /** What is older says little of a tank as it is now. */
    private static final Duration MOST_SPAN = Duration.ofDays(200);

    /** How far what is computed from plans, tests and intervals may be off, as a share; assumed. */
    public static final double COMPUTED_DOUBT = 0.25;
    /** Spills, and a scale; assumed. */
    public static final double COUNTED_DOUBT = 0.1;
    /** A second count may be larger by so much of the first through the scale alone; assumed. */
    private static final double SCALE_SHARE = 0.05;

    private static final double MOST = 1e7;
    /** What lasts longer need not be ordered by any day. */
    private static final double FURTHEST_DAYS = 3650;

    /**
     * Something that was seen or brought home.
     *
     * @param amount of all that was there, or of what came; grams, millilitres or pieces
     */
    public record Entry(Instant at, What what, double amount) {
        public Entry {
            within("amount", amount, 0, MOST, "");
        }
    }

    /** What was done; of the same moment in this order. */
    public enum What {
        BOUGHT,
        /** All of it was looked at. */
        COUNTED
    }

    /**
     * How fast it goes.
     *
     * @param counted whether counts say so, not what uses it
     */
    public record Rate(Estimate perDay, boolean counted) {}

    public OnHand {
        entries = entries.stream()
                .sorted(Comparator.comparing(Entry::at).thenComparing(Entry::what))
                .toList();
    }

    /**
     * With one more entry.
     *
     * @throws InputException where a count is larger than the one before it, and nothing was bought between
     */
    public OnHand with(Entry entry) {
        if (entry.what == What.COUNTED) {
            Entry before = lastCount(entry.at);
            if (before != null) {
                double most = before.amount * (1 + SCALE_SHARE) + bought(before.at, entry.at);
                if (entry.amount > most) {
                    throw new InputException(
                            "amount",
                            entry.amount,
                            "at most what was there before",
                            "You had less before, and no purchase is logged since. Add the purchase first.");
                }
            }
        }
        return new OnHand(Stream.concat(entries.stream(), Stream.of(entry)).toList());
    }

    /** @param computedPerDay by what uses it; 0 where nobody knows */
    public Rate rate(double computedPerDay, Instant now) {
        Entry last = lastCount(now);
        if (last != null) {
            Entry first = entries.stream()
                    .filter(e -> e.what == What.COUNTED && !e.at.isBefore(last.at.minus(MOST_SPAN)))
                    .findFirst()
                    .orElse(last);
            double used = first.amount + bought(first.at, last.at) - last.amount;
            if (used > 0 && Duration.between(first.at, last.at).compareTo(LEAST_SPAN) >= 0) {
                return new Rate(around(used / days(first.at, last.at), COUNTED_DOUBT), true);
            }
        }
        return new Rate(around(Math.max(0, computedPerDay), COMPUTED_DOUBT), false);
    }

    /** What is there by now; null where nobody ever looked, and nothing was bought. */
    public @Nullable Estimate left(Rate rate, Instant now) {
        Entry last = lastCount(now);
        Instant from = last != null ? last.at : entries.isEmpty() ? null : entries.get(0).at;
        if (from == null || from.isAfter(now)) {
            return null;
        }
        double had = last != null ? last.amount + bought(last.at, now) : bought(Instant.EPOCH, now);
        double since = days(from, now);
        return new Estimate(
                Math.max(0, had - since * rate.perDay.value()),
                Math.max(0, had - since * rate.perDay.high()),
                Math.max(0, had - since * rate.perDay.low()));
    }

    /** Until nothing is left; null where nothing is known to use it, or nobody looked. */
    public @Nullable Estimate daysLeft(Rate rate, Instant now) {
        Estimate left = left(rate, now);
        return left == null || rate.perDay.value() <= 0
                ? null
                : new Estimate(
                        left.value() / rate.perDay.value(),
                        left.low() / rate.perDay.high(),
                        left.high() / rate.perDay.low());
    }

    /** On the early side, so that it comes before the last is gone; null where it is not known how long it lasts. */
    public @Nullable Instant orderBy(Rate rate, double deliveryDays, Instant now) {
        Estimate daysLeft = daysLeft(rate, now);
        return daysLeft == null || daysLeft.low() > FURTHEST_DAYS
                ? null
                : now.plus(Duration.ofMinutes(Math.round(1440 * (daysLeft.low() - deliveryDays))));
    }

    /** Packages that make what is left last so many days; none where that is so already. */
    public int packages(Rate rate, double packageAmount, double days, Instant now) {
        Estimate left = left(rate, now);
        double missing = days * rate.perDay.value() - (left == null ? 0 : left.value());
        return (int) Math.max(0, Math.ceil(missing / packageAmount - 1e-9));
    }

    private @Nullable Entry lastCount(Instant until) {
        return entries.stream()
                .filter(e -> e.what == What.COUNTED && !e.at.isAfter(until))
                .reduce((earlier, later) -> later)
                .orElse(null);
    }

    /** After one moment, up to another. */
    private double bought(Instant after, Instant until) {
        return entries.stream()
                .filter(e -> e.what == What.BOUGHT && e.at.isAfter(after) && !e.at.isAfter(until))
                .mapToDouble(Entry::amount)
                .sum();
    }

    private static Estimate around(double value, double doubt) {
        return new Estimate(value, value * (1 - doubt), value * (1 + doubt));
    }

    private static double days(Instant from, Instant until) {
        return Duration.between(from, until).toMinutes() / 1440.0;
    }
}
