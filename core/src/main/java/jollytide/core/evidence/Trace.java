package jollytide.core.evidence;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/** What a run of readings shows: its unbroken stretches, its extremes, and what is usual at each hour of the day. */
public final class Trace {
    /** Readings further apart than this are not joined: what lies between is not known. Common practice, no source. */
    public static final Duration MAX_GAP = Duration.ofMinutes(45);

    /** A day with fewer logged half hours does not tell its true trough and peak. Common practice, no source. */
    private static final int HALF_HOURS_OF_A_DAY = 40;

    private static final int BUCKET_MINUTES = 30;
    private static final double LOW_QUANTILE = 0.1;
    private static final double HIGH_QUANTILE = 0.9;

    private Trace() {}

    /** Whether a day with so many logged half hours, of 48, tells its true trough and peak. */
    public static boolean tellsItsExtremes(int halfHours) {
        return halfHours >= HALF_HOURS_OF_A_DAY;
    }

    /** Stretches without a gap, in time order; a reading on its own is a stretch of one. */
    public static List<List<Observation>> stretches(Collection<Observation> readings) {
        List<List<Observation>> stretches = new ArrayList<>();
        Instant last = null;
        for (Observation reading : inOrder(readings)) {
            if (last == null || Duration.between(last, reading.at()).compareTo(MAX_GAP) > 0) {
                stretches.add(new ArrayList<>());
            }
            stretches.get(stretches.size() - 1).add(reading);
            last = reading.at();
        }
        return stretches;
    }

    /**
     * At most about twice {@code width} readings that keep every extreme: the lowest and the highest of each of
     * {@code width} equal slices of time.
     */
    public static List<Observation> thinned(List<Observation> stretch, int width) {
        if (stretch.size() <= 2 * width) {
            return stretch;
        }
        Instant from = stretch.get(0).at();
        double span =
                Duration.between(from, stretch.get(stretch.size() - 1).at()).toMillis() + 1.0;
        List<Observation> kept = new ArrayList<>();
        int i = 0;
        for (int slice = 0; slice < width && i < stretch.size(); slice++) {
            Observation low = stretch.get(i);
            Observation high = low;
            while (i < stretch.size()
                    && Duration.between(from, stretch.get(i).at()).toMillis() / span * width < slice + 1) {
                Observation next = stretch.get(i++);
                low = next.value() < low.value() ? next : low;
                high = next.value() > high.value() ? next : high;
            }
            kept.add(low.at().isAfter(high.at()) ? high : low);
            if (!low.equals(high)) {
                kept.add(low.at().isAfter(high.at()) ? low : high);
            }
        }
        return kept;
    }

    /**
     * The extremes of each local day that was logged closely enough to tell them, in their order.
     *
     * @param halfHours one observation for each logged half hour
     */
    public static SortedMap<LocalDate, Extremes> days(Collection<Observation> halfHours, ZoneId zone) {
        Map<LocalDate, List<Observation>> byDay = new TreeMap<>();
        halfHours.forEach(o -> byDay.computeIfAbsent(LocalDate.ofInstant(o.at(), zone), d -> new ArrayList<>())
                .add(o));
        SortedMap<LocalDate, Extremes> days = new TreeMap<>();
        byDay.forEach((day, all) -> {
            if (tellsItsExtremes(all.size())) {
                extremes(all).ifPresent(e -> days.put(day, e));
            }
        });
        return days;
    }

    /** Lowest and highest reading, the earlier one on a tie. */
    public static Optional<Extremes> extremes(Collection<Observation> readings) {
        List<Observation> ordered = inOrder(readings);
        Optional<Observation> low = ordered.stream().min(Comparator.comparingDouble(Observation::value));
        Optional<Observation> high = ordered.stream().max(Comparator.comparingDouble(Observation::value));
        if (low.isEmpty() || high.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Extremes(low.get(), high.get(), surrounded(ordered, low.get(), high.get())));
    }

    /**
     * The day's trough and peak.
     *
     * @param surrounded whether readings before and after both, without a gap, show that they are extremes indeed
     */
    public record Extremes(Observation trough, Observation peak, boolean surrounded) {
        public double swing() {
            return peak.value() - trough.value();
        }
    }

    private static boolean surrounded(List<Observation> ordered, Observation low, Observation high) {
        return inside(ordered, low) && inside(ordered, high) && !low.equals(high);
    }

    private static boolean inside(List<Observation> ordered, Observation extreme) {
        int i = ordered.indexOf(extreme);
        return i > 0
                && i < ordered.size() - 1
                && Duration.between(ordered.get(i - 1).at(), extreme.at()).compareTo(MAX_GAP) <= 0
                && Duration.between(extreme.at(), ordered.get(i + 1).at()).compareTo(MAX_GAP) <= 0;
    }

    /**
     * What was usual at each half hour of the day.
     *
     * @param minuteOfDay middle of the half hour, local time
     * @param low tenth percentile of the readings
     * @param high ninetieth percentile
     */
    public record Usual(int minuteOfDay, double low, double high) {}

    /** What was usual, for every half hour with readings on at least {@code minDays} different days. */
    public static List<Usual> usual(Collection<Observation> readings, ZoneId zone, int minDays) {
        TreeMap<Integer, TreeMap<Long, List<Double>>> byHalfHour = new TreeMap<>();
        for (Observation reading : readings) {
            var local = reading.at().atZone(zone);
            int bucket = (local.getHour() * 60 + local.getMinute()) / BUCKET_MINUTES;
            byHalfHour
                    .computeIfAbsent(bucket, b -> new TreeMap<>())
                    .computeIfAbsent(local.toLocalDate().toEpochDay(), d -> new ArrayList<>())
                    .add(reading.value());
        }
        List<Usual> usual = new ArrayList<>();
        byHalfHour.forEach((bucket, days) -> {
            if (days.size() >= minDays) {
                double[] values = days.values().stream()
                        .flatMap(List::stream)
                        .mapToDouble(Double::doubleValue)
                        .sorted()
                        .toArray();
                usual.add(new Usual(
                        bucket * BUCKET_MINUTES + BUCKET_MINUTES / 2,
                        values[(int) Math.round(LOW_QUANTILE * (values.length - 1))],
                        values[(int) Math.round(HIGH_QUANTILE * (values.length - 1))]));
            }
        });
        return usual;
    }

    private static List<Observation> inOrder(Collection<Observation> readings) {
        return readings.stream().sorted(Comparator.comparing(Observation::at)).toList();
    }
}
