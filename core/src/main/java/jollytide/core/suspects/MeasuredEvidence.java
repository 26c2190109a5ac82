package jollytide.core.suspects;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Reading;
import jollytide.core.units.AlkalinityUnit;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.jspecify.annotations.Nullable;

/** What meters and tests say themselves: the room, alkalinity, and which hours were read at all. */
final class MeasuredEvidence {
    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);
    private static final int LEAST_DAYS = 3;
    private static final int LEAST_AFTER = 2;
    private static final int HOURS_OF_A_DAY = 18;
    /** Of what a room holds over outdoors from one day to another, as a natural logarithm, at least. From memory. */
    private static final double ROOM_DAY = 0.15;
    /** By how much a room's usual week differs from the one before. From memory. */
    private static final double ROOM_WEEK = 0.12;
    /** A room that holds so little more moves no tank. */
    private static final double LEAST_TIMES = 1.06;
    /** A living room, and one that is the trouble, ppm. From memory. */
    private static final double USUAL_ROOM = 750;

    private static final double USUAL_ROOM_SPREAD = 250;
    private static final double FULL_ROOM = 1250;
    private static final double FULL_ROOM_SPREAD = 350;
    /** Of one smoothed test, and what alkalinity wanders in a day, meq/L. From memory. */
    private static final double TEST = 0.03;

    private static final double WANDERS = 0.036;
    /** By how much a dose that falls short lets it fall before somebody asks, meq/L: 1 dKH. From memory. */
    private static final double FALL = 0.35;

    private static final double FALL_SPREAD = 0.2;
    private static final double LEAST_FALL_DKH = 0.3;
    private static final int WEEK = 7;
    /** Nights of a week that must be read. */
    private static final int LEAST_NIGHTS = 4;

    private static final double NIGHTS_TELL = 4;

    private final Inquiry inquiry;

    MeasuredEvidence(Inquiry inquiry) {
        this.inquiry = inquiry;
    }

    /** Whether the room holds more than it did; null where nobody measures it or too few days were. */
    @Nullable
    Ground room() {
        SortedMap<LocalDate, Double> excess = roomExcess();
        List<LocalDate> days = List.copyOf(excess.keySet());
        List<Double> ln = excess.values().stream().map(Math::log).toList();
        record Change(double weight, LocalDate since, double ppm) {}
        List<Change> all = new ArrayList<>();
        for (int d = LEAST_DAYS; d <= days.size() - LEAST_AFTER; d++) {
            if (!inquiry.mayBegin(days.get(d))) {
                continue;
            }
            double[] before = slice(ln, 0, d);
            double[] after = slice(ln, d, days.size());
            double daily = Math.max(ROOM_DAY, new StandardDeviation().evaluate(before));
            double variance = daily * daily * (1.0 / before.length + 1.0 / after.length);
            double moved = new Mean().evaluate(after) - new Mean().evaluate(before);
            double ppm = mean(excess, days.subList(d, days.size())) - mean(excess, days.subList(0, d));
            double times = 1 + ppm / (inquiry.setup().outdoorPpm() + mean(excess, days.subList(0, d)));
            double weight = Gauss.factor(moved, variance, Suspect.ROOM.typical(), Suspect.ROOM.spread(), ROOM_WEEK);
            all.add(new Change(times < LEAST_TIMES ? Math.min(weight, -1) : weight, days.get(d), ppm));
        }
        if (all.isEmpty()) {
            return null;
        }
        Change best =
                all.stream().max(Comparator.comparingDouble(Change::weight)).orElseThrow();
        double weight = Math.min(
                Ground.MOST, Gauss.lnMeanExp(all.stream().map(Change::weight).toList()));
        return new Ground(
                weight > 0
                        ? String.format(
                                Locale.ROOT,
                                "Since about %s the room has %.0f ppm more than before.",
                                DAY.format(best.since()),
                                best.ppm())
                        : "The room’s meter shows no more than before.",
                weight);
    }

    /** Whether the room is a full one at all times; null where nobody measures it. */
    @Nullable
    Ground fullRoom() {
        SortedMap<LocalDate, Double> excess = roomExcess();
        if (excess.isEmpty()) {
            return null;
        }
        double ppm = inquiry.setup().outdoorPpm() + mean(excess, excess.keySet());
        return new Ground(
                String.format(Locale.ROOT, "The room had %.0f ppm on average.", ppm),
                Gauss.ln(ppm, FULL_ROOM, FULL_ROOM_SPREAD * FULL_ROOM_SPREAD)
                        - Gauss.ln(ppm, USUAL_ROOM, USUAL_ROOM_SPREAD * USUAL_ROOM_SPREAD));
    }

    private static double mean(Map<LocalDate, Double> of, Collection<LocalDate> days) {
        return days.stream()
                .mapToDouble(day -> Objects.requireNonNull(of.get(day)))
                .average()
                .orElseThrow();
    }

    private static double[] slice(List<Double> values, int from, int until) {
        return values.subList(from, until).stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
    }

    /** Of whole days, ppm over outdoors; none where it is not measured. */
    private SortedMap<LocalDate, Double> roomExcess() {
        SortedMap<LocalDate, Double> days = new TreeMap<>();
        if (!inquiry.log().roomMeasured()) {
            return days;
        }
        SortedMap<LocalDate, List<Double>> hours = new TreeMap<>();
        List<Double> hourly = inquiry.log().room().hourlyPpm();
        for (int h = 0; h < hourly.size(); h++) {
            LocalDate day = LocalDate.ofInstant(inquiry.log().room().from().plus(Duration.ofHours(h)), inquiry.zone());
            double ppm = hourly.get(h);
            if (!Double.isNaN(ppm)
                    && day.isBefore(inquiry.today())
                    && !inquiry.leftOut().test(day)) {
                hours.computeIfAbsent(day, d -> new ArrayList<>()).add(ppm);
            }
        }
        hours.forEach((day, all) -> {
            if (all.size() >= HOURS_OF_A_DAY) {
                double mean =
                        all.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
                days.put(day, Math.max(10, mean - inquiry.setup().outdoorPpm()));
            }
        });
        return days;
    }

    /**
     * Whether alkalinity fell: by its tests, and on days after the last of them by what the days' course says of it; null
     * where neither tells.
     */
    @Nullable
    Ground alkalinity(DayEvidence.@Nullable Support untested) {
        AlkalinityCourse course = inquiry.log().alkalinity();
        Instant end = inquiry.today().atStartOfDay(inquiry.zone()).toInstant();
        List<Reading> tests = course.smoothed().stream()
                .filter(t -> t.at().isBefore(end.plus(Duration.ofDays(1))))
                .toList();
        Reading last = tests.isEmpty() ? null : tests.get(tests.size() - 1);
        List<Double> weights = new ArrayList<>();
        double most = Double.NEGATIVE_INFINITY;
        for (LocalDate day = inquiry.earliest();
                inquiry.mayBegin(day) && day.isBefore(inquiry.today());
                day = day.plusDays(1)) {
            Instant from = day.atStartOfDay(inquiry.zone()).toInstant();
            if (last != null && tests.size() > 1 && from.isBefore(last.at())) {
                double days = Duration.between(from, last.at()).toHours() / 24.0;
                double fell = course.at(from, last.value()) - last.value();
                most = Math.max(most, fell);
                weights.add(Gauss.factor(fell, 2 * TEST * TEST, FALL, FALL_SPREAD, WANDERS * Math.sqrt(days)));
            } else if (untested != null) {
                weights.add(untested.weight());
            }
        }
        if (weights.isEmpty()) {
            return null;
        }
        double weight = Math.min(Ground.MOST, Gauss.lnMeanExp(weights));
        return new Ground(alkalinityWords(weight, AlkalinityUnit.DKH.fromMeqPerL(most)), weight);
    }

    private static String alkalinityWords(double weight, double fellDkh) {
        if (weight <= 0) {
            return "Neither tests nor days since show a fall in alkalinity.";
        }
        return fellDkh > LEAST_FALL_DKH
                ? String.format(Locale.ROOT, "Alkalinity tests fell by %.1f dKH.", fellDkh)
                : "Days since the last test look like falling alkalinity.";
    }

    /** Whether the nights of the last week were read. */
    Ground nights() {
        int read = (int) IntStream.rangeClosed(1, WEEK)
                .mapToObj(d -> inquiry.today().minusDays(d))
                .filter(this::nightRead)
                .count();
        return new Ground(
                String.format(
                        Locale.ROOT,
                        "%d of the last %d nights have readings up to lights-on, when pH is lowest.",
                        read,
                        WEEK),
                read < LEAST_NIGHTS ? NIGHTS_TELL : -NIGHTS_TELL);
    }

    /** Half of the dark half hours of a day before its lights-on. */
    private boolean nightRead(LocalDate day) {
        Instant midnight = day.atStartOfDay(inquiry.zone()).toInstant();
        List<Instant> dark = IntStream.range(0, 24)
                .mapToObj(h -> midnight.plus(Duration.ofMinutes(30L * h)))
                .filter(t -> !inquiry.setup().light().litAt(t, inquiry.zone()))
                .toList();
        long read = dark.stream()
                .filter(from -> inquiry.log().ph().stream()
                        .anyMatch(r -> !r.at().isBefore(from) && r.at().isBefore(from.plus(Duration.ofMinutes(30)))))
                .count();
        return 2 * read >= dark.size();
    }
}
