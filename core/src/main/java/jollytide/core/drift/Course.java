package jollytide.core.drift;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import jollytide.core.fit.Reading;

/**
 * What was measured over months, and in which stretches of it something rose or fell.
 *
 * @param measured each test of alkalinity in meq/L, or what the room held over outdoors in the middle of each week, ppm
 * @param drifts in their order
 */
public record Course(List<Reading> measured, List<Drift> drifts) {
    /** So many are looked through, the newest: half a year by weeks. */
    private static final int MOST = 26;
    /** Scatter of one test, meq/L: 0.1 dKH. From memory. */
    private static final double TEST = 0.036;
    /** Alkalinity that moves by less than this in all is left alone, meq/L: 0.4 dKH. From memory. */
    private static final double LEAST_ALKALINITY = 0.14;
    /** A room's week against another's, ln. From memory. */
    private static final double ROOM_WEEK = 0.08;
    /** A room that holds a quarter more over outdoors, ln. */
    private static final double LEAST_ROOM = Math.log(1.25);
    /** Below this a room holds no more than outdoors, ppm. */
    private static final double LEAST_EXCESS_PPM = 20;

    private static final int WEEK_DAYS = 7;
    private static final int LEAST_DAYS_OF_A_WEEK = 4;

    public Course {
        measured = List.copyOf(measured);
        drifts = List.copyOf(drifts);
    }

    /**
     * Tests of one day are one.
     *
     * @param tests meq/L, in their order
     */
    public static Course ofAlkalinity(List<Reading> tests, ZoneId zone) {
        SortedMap<LocalDate, List<Reading>> days = new TreeMap<>();
        tests.forEach(t -> days.computeIfAbsent(LocalDate.ofInstant(t.at(), zone), d -> new ArrayList<>())
                .add(t));
        List<Reading> daily = days.values().stream()
                .map(of -> new Reading(
                        of.get(0).at(), mean(of.stream().map(Reading::value).toList())))
                .toList();
        return of(newest(daily), v -> v, v -> v, TEST, LEAST_ALKALINITY, zone);
    }

    /**
     * By weeks, so that working days are no drift.
     *
     * @param ppm dry, in their order
     */
    public static Course ofRoom(List<Reading> ppm, double outdoorPpm, ZoneId zone) {
        SortedMap<LocalDate, List<Double>> days = new TreeMap<>();
        ppm.forEach(r -> days.computeIfAbsent(LocalDate.ofInstant(r.at(), zone), d -> new ArrayList<>())
                .add(r.value()));
        List<Reading> weeks = new ArrayList<>();
        if (!days.isEmpty()) {
            LocalDate last = days.lastKey();
            LocalDate end = last;
            while (!end.minusDays(WEEK_DAYS).isBefore(days.firstKey())) {
                LocalDate begin = end.minusDays(WEEK_DAYS);
                List<Double> means = days.subMap(begin, end).values().stream()
                        .map(Course::mean)
                        .toList();
                if (means.size() >= LEAST_DAYS_OF_A_WEEK) {
                    weeks.add(
                            0, new Reading(middle(begin, zone), Math.max(LEAST_EXCESS_PPM, mean(means) - outdoorPpm)));
                }
                end = begin;
            }
        }
        return of(newest(weeks), Math::log, Math::exp, ROOM_WEEK, LEAST_ROOM, zone);
    }

    private static Instant middle(LocalDate begin, ZoneId zone) {
        return begin.plusDays(WEEK_DAYS / 2).atTime(12, 0).atZone(zone).toInstant();
    }

    private static double mean(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }

    private static List<Reading> newest(List<Reading> all) {
        return all.subList(Math.max(0, all.size() - MOST), all.size());
    }

    /**
     * @param straight what makes it straight, {@code back} turns that around
     * @param scatter of one of them at least, {@code least} what a drift must move in all; both as straight
     */
    private static Course of(
            List<Reading> measured,
            DoubleUnaryOperator straight,
            DoubleUnaryOperator back,
            double scatter,
            double least,
            ZoneId zone) {
        if (measured.size() < BrokenLine.LEAST_POINTS) {
            return new Course(measured, List.of());
        }
        Instant first = measured.get(0).at();
        double[] days = measured.stream().mapToDouble(r -> days(first, r.at())).toArray();
        double[] values = measured.stream()
                .mapToDouble(r -> straight.applyAsDouble(r.value()))
                .toArray();
        List<BrokenLine.Piece> pieces = BrokenLine.of(days, values, scatter);
        return new Course(
                measured,
                IntStream.range(0, pieces.size())
                        .mapToObj(pieces::get)
                        .filter(p -> !p.slope().holds(0) && Math.abs(p.ends() - p.begins()) >= least)
                        .map(p -> new Drift(
                                day(first, p.from(), zone),
                                day(first, p.until(), zone),
                                back.applyAsDouble(p.begins()),
                                back.applyAsDouble(p.ends()),
                                p.slope()))
                        .toList());
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toMinutes() / 1440.0;
    }

    private static LocalDate day(Instant first, double days, ZoneId zone) {
        return LocalDate.ofInstant(first.plus(Duration.ofMinutes(Math.round(1440 * days))), zone);
    }
}
