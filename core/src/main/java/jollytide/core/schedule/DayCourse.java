package jollytide.core.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import jollytide.core.schedule.Window.Span;

/**
 * What every lane does over a day, from one change to the next.
 *
 * @param windows in the order of the schedule's, each with its times on this day
 */
public record DayCourse(Span day, List<LaneCourse> lanes, List<List<Span>> windows) {
    private static final int WEEK = 7;

    /** A time in which neither what a lane does nor why changes. */
    public record Piece(Instant from, Instant until, Verdict verdict) {}

    /**
     * @param doses when each of a doser's doses is due, whether it may be made or not
     */
    public record LaneCourse(Lane lane, List<Piece> pieces, List<Instant> doses) {}

    public static DayCourse of(Schedule p, LocalDate date, Known known) {
        CutDay day = new CutDay(p, date, known);
        List<Span> pieces = day.pieces();
        Span whole =
                new Span(pieces.get(0).from(), pieces.get(pieces.size() - 1).until());
        return new DayCourse(
                whole,
                p.lanes().stream()
                        .map(lane -> new LaneCourse(lane, together(lane, day), day.times(lane)))
                        .toList(),
                p.windows().stream()
                        .map(w -> day.spans(w.id()).stream()
                                .filter(s -> s.from().isBefore(whole.until())
                                        && s.until().isAfter(whole.from()))
                                .toList())
                        .toList());
    }

    /** Hours in which the busiest lane of each kind runs, a day, over the week from a day on. */
    public static Map<LaneKind, Double> hoursADay(Schedule p, LocalDate from) {
        Map<Lane, Double> byLane = from.datesUntil(from.plusDays(WEEK))
                .flatMap(date -> of(p, date, Known.NOTHING).lanes().stream())
                .collect(Collectors.groupingBy(
                        LaneCourse::lane, Collectors.summingDouble(course -> hours(course) / WEEK)));
        return byLane.entrySet().stream()
                .collect(Collectors.toMap(lane -> lane.getKey().kind(), Map.Entry::getValue, Math::max));
    }

    /** At a share of full power as much less. */
    private static double hours(LaneCourse course) {
        return course.pieces().stream()
                .mapToDouble(piece -> Timetable.share(piece.verdict().state())
                        * Duration.between(piece.from(), piece.until()).toSeconds()
                        / 3600.0)
                .sum();
    }

    private static List<Piece> together(Lane lane, CutDay day) {
        List<Piece> all = new ArrayList<>();
        for (int i = 0; i < day.pieces().size(); i++) {
            Span piece = day.pieces().get(i);
            Verdict verdict = day.verdict(lane, i);
            int last = all.size() - 1;
            if (last >= 0 && same(all.get(last).verdict(), verdict)) {
                all.set(
                        last,
                        new Piece(
                                all.get(last).from(),
                                piece.until(),
                                all.get(last).verdict()));
            } else {
                all.add(new Piece(piece.from(), piece.until(), verdict));
            }
        }
        return List.copyOf(all);
    }

    /** Whether a wave runs at the first moment of a piece changes nothing. */
    private static boolean same(Verdict a, Verdict b) {
        return a.winner().equals(b.winner()) && a.losers().equals(b.losers());
    }
}
