package jollytide.core.effects;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Reading;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.rank.Max;
import org.hipparchus.stat.descriptive.rank.Median;
import org.hipparchus.stat.descriptive.rank.Min;
import org.jspecify.annotations.Nullable;

/**
 * How far and how fast something moved once everybody had left, and once they were back: set beside what was usual at the
 * same hours of the clock in the days before. Where it came to is another at each hour of the clock, too, for a home is
 * fuller in the evening than at noon; that is read from the later half of it.
 *
 * @param course by how much it was another than usual, from a day before they left on
 * @param cameTo how far it moved; null where they were not away for long enough
 * @param away how fast it went there; null where that is unknown, or no more than days differ by
 * @param back how fast it went back; null likewise, or before it has
 */
public record Absence(
        Instant left,
        Instant cameBack,
        List<HourOfAbsence> course,
        @Nullable CameTo cameTo,
        @Nullable Pace away,
        @Nullable Pace back) {
    /** Of the clock's usual are so many days before they left. */
    public static final Duration USUAL = Duration.ofDays(7);

    /** So much of the way back is looked at. */
    public static final Duration AFTERWARDS = Duration.ofDays(4);

    private static final Duration DAY = Duration.ofDays(1);
    /** One day on the way, and one that is there. */
    private static final Duration LEAST = Duration.ofDays(2);

    private static final int LEAST_DAYS = 3;
    private static final int HALF_HOURS = 48;
    private static final int LEAST_HALF_HOURS = 40;
    /** So many hours are looked at together, so that no single reading decides, around each hour. */
    private static final int HOURS = 6;

    /** Of the mean of all hours; where it came to less than that, nothing tells how much of it was there. */
    private static final double LEAST_WEIGHT = 0.25;
    /** From the median of normal deviations, sign taken off, to their standard deviation. */
    private static final double TO_DEVIATION = 1.4826;

    private static final double HALF = 0.5;
    private static final double NINE_TENTHS = 0.9;
    private static final double NINETY = 1.645;
    /** Share of the way that days may differ by among each other for its hours to mean anything. */
    private static final double MOST_DOUBT = 0.4;

    /** @param hours since they left, less than 0 before that */
    public record HourOfAbsence(double hours, double by) {}

    /** @param mean over the day, {@code least} and {@code most} at the half hours of the clock with least and most of it */
    public record CameTo(double mean, double least, double most) {}

    /**
     * Hours until half and nine tenths of the way were behind it, as early and as late as the days' own scatter allows.
     *
     * @param ninety null where it did not come so far in that time
     */
    public record Pace(Estimate half, @Nullable Estimate ninety) {}

    /**
     * @param readings means of half hours from {@link #USUAL} before they left to {@link #AFTERWARDS} after they came back,
     *     or up to now
     * @param others moments that tell nothing of what is usual, for nobody was there either
     * @return null where too little was logged before they left or since
     */
    public static @Nullable Absence of(
            List<Reading> readings, Instant left, Instant cameBack, Predicate<Instant> others, ZoneId zone) {
        Map<Integer, List<Reading>> byClock = readings.stream()
                .filter(r -> r.at().isBefore(left) && !others.test(r.at()))
                .collect(Collectors.groupingBy(r -> r.halfHour(zone)));
        byClock.values().removeIf(days -> days.size() < LEAST_DAYS);
        List<Reading> moved = readings.stream()
                .filter(r -> byClock.containsKey(r.halfHour(zone)))
                .map(r -> new Reading(r.at(), r.value() - usual(byClock, r.halfHour(zone))))
                .sorted(Comparator.comparing(Reading::at))
                .toList();
        List<Reading> since = inside(moved, left, cameBack);
        if (since.isEmpty()) {
            return null;
        }
        List<HourOfAbsence> course = inside(moved, left.minus(DAY), cameBack.plus(AFTERWARDS)).stream()
                .map(r -> new HourOfAbsence(hours(left, r.at()), r.value()))
                .toList();
        Duration length = Duration.between(left, cameBack);
        double[] there = there(inside(moved, left.plus(length.dividedBy(2)), cameBack), zone);
        if (length.compareTo(LEAST) < 0 || there.length == 0) {
            return new Absence(left, cameBack, course, null, null, null);
        }
        List<Share> usual = shares(inside(moved, left.minus(USUAL), left), there, left.minus(USUAL), zone);
        // What is usual and where it came to are themselves of a few days; a median's variance is π/2 times a mean's.
        double days = Math.PI / 2 / USUAL.toDays() + 2 / (length.toHours() / 24.0);
        double scatter = Math.sqrt(1 + days) * scatter(usual);
        return new Absence(
                left,
                cameBack,
                course,
                new CameTo(new Mean().evaluate(there), new Min().evaluate(there), new Max().evaluate(there)),
                pace(shares(since, there, left, zone), scatter),
                pace(
                        shares(inside(moved, cameBack, cameBack.plus(AFTERWARDS)), there, cameBack, zone).stream()
                                .map(s -> new Share(s.hours, 1 - s.share))
                                .toList(),
                        scatter));
    }

    /** By the median, as what is usual is: a weekend among working days is none of the scatter between these. */
    private static double scatter(List<Share> usual) {
        return TO_DEVIATION
                * new Median()
                        .evaluate(usual.stream()
                                .mapToDouble(s -> Math.abs(s.share))
                                .toArray());
    }

    /** By the half hours of the clock; empty where one of them was not logged on any day. */
    private static double[] there(List<Reading> later, ZoneId zone) {
        Map<Integer, List<Reading>> byClock = later.stream().collect(Collectors.groupingBy(r -> r.halfHour(zone)));
        double mean = later.isEmpty() ? 0 : new Mean().evaluate(values(later));
        return byClock.size() < LEAST_HALF_HOURS
                ? new double[0]
                : IntStream.range(0, HALF_HOURS)
                        .mapToDouble(h -> byClock.containsKey(h)
                                ? new Mean().evaluate(values(byClock.getOrDefault(h, List.of())))
                                : mean)
                        .toArray();
    }

    /** How much of the way was behind it in the hours around one, least squares along where it came to. */
    private record Share(double hours, double share) {}

    private static List<Share> shares(List<Reading> moved, double[] there, Instant from, ZoneId zone) {
        List<Share> shares = new ArrayList<>();
        double least =
                LEAST_WEIGHT * DoubleStream.of(there).map(end -> end * end).sum() / HALF_HOURS;
        double last =
                moved.isEmpty() ? 0 : hours(from, moved.get(moved.size() - 1).at());
        for (int hour = 0; hour <= last; hour++) {
            double along = 0;
            double own = 0;
            int n = 0;
            for (Reading r : moved) {
                if (Math.abs(hours(from, r.at()) - hour) <= Math.min(hour, HOURS / 2.0)) {
                    double end = there[r.halfHour(zone)];
                    along += end * r.value();
                    own += end * end;
                    n++;
                }
            }
            if (n > 0 && own / n >= least) {
                shares.add(new Share(hour, along / own));
            }
        }
        return shares;
    }

    private static double usual(Map<Integer, List<Reading>> byClock, int halfHour) {
        return new Median().evaluate(values(byClock.getOrDefault(halfHour, List.of())));
    }

    /** @param scatter of shares on days on which all was as usual */
    private static @Nullable Pace pace(List<Share> shares, double scatter) {
        double doubt = NINETY * scatter;
        Estimate half = doubt > MOST_DOUBT ? null : crossing(shares, HALF, doubt);
        return half == null ? null : new Pace(half, crossing(shares, NINE_TENTHS, doubt));
    }

    private static @Nullable Estimate crossing(List<Share> shares, double wanted, double doubt) {
        Double likely = first(shares, wanted);
        Double early = first(shares, wanted - doubt);
        Double late = first(shares, Math.min(1, wanted + doubt));
        double seen = shares.isEmpty() ? 0 : shares.get(shares.size() - 1).hours;
        return likely == null || early == null ? null : new Estimate(likely, early, late == null ? seen : late);
    }

    /** Straight between the hours; null where it is never reached. */
    private static @Nullable Double first(List<Share> shares, double wanted) {
        Share before = new Share(0, 0);
        for (Share now : shares) {
            if (now.share >= wanted) {
                return now.share == before.share
                        ? now.hours
                        : before.hours
                                + (wanted - before.share) / (now.share - before.share) * (now.hours - before.hours);
            }
            before = now;
        }
        return null;
    }

    private static List<Reading> inside(List<Reading> readings, Instant from, Instant until) {
        return readings.stream()
                .filter(r -> !r.at().isBefore(from) && r.at().isBefore(until))
                .toList();
    }

    private static double[] values(List<Reading> readings) {
        return readings.stream().mapToDouble(Reading::value).toArray();
    }

    private static double hours(Instant from, Instant until) {
        return Duration.between(from, until).toSeconds() / 3600.0;
    }
}
