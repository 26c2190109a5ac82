package jollytide.core.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.schedule.Conflict.Kind;
import jollytide.core.schedule.Conflict.WayOut;
import jollytide.core.schedule.LaneState.Does;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Window.Span;
import org.jspecify.annotations.Nullable;

/** A day of a schedule, cut wherever anything may change, with what each lane does in each piece. */
final class CutDay {
    private final Schedule.Running running;
    private final LocalDate day;
    private final ZoneId zone;
    private final List<Span> pieces;
    private final Map<String, List<Verdict>> verdicts = new HashMap<>();

    CutDay(Schedule p, LocalDate day, Known known) {
        this.day = day;
        zone = p.zone();
        running = p.over(day, day);
        pieces = cut(p, running, day, known);
        for (Lane lane : p.lanes()) {
            verdicts.put(
                    lane.id(),
                    pieces.stream()
                            .map(piece -> running.at(lane.id(), piece.from(), known))
                            .toList());
        }
    }

    private static List<Span> cut(Schedule p, Schedule.Running running, LocalDate day, Known known) {
        Instant begins = day.atStartOfDay(p.zone()).toInstant();
        Instant ends = day.plusDays(1).atStartOfDay(p.zone()).toInstant();
        TreeSet<Instant> cuts = new TreeSet<>(List.of(begins, ends));
        for (Window window : p.windows()) {
            running.spans(window.id()).forEach(span -> {
                cuts.add(span.from());
                cuts.add(span.until());
            });
        }
        for (Rule rule : p.rules()) {
            if (rule instanceof FollowUp f) {
                for (Span span : running.spans(f.window())) {
                    f.steps().forEach(step -> {
                        cuts.add(span.until().plus(step.after()));
                        cuts.add(span.until().plus(step.after()).plus(step.lasts()));
                    });
                }
            }
        }
        known.cuts().forEach(cut -> {
            cuts.add(cut.from());
            Stream.of(cut.until(), cut.fromDoses().earliest(), cut.released())
                    .filter(Objects::nonNull)
                    .forEach(cuts::add);
        });
        known.holds().forEach(hold -> {
            cuts.add(hold.from());
            cuts.add(hold.until());
        });
        known.stuck().forEach(stuck -> cuts.add(stuck.from()));
        p.limits()
                .forEach(limit -> cuts.addAll(running.turns(limit, known).said().keySet()));
        List<Instant> inDay = List.copyOf(cuts.subSet(begins, true, ends, true));
        List<Span> pieces = new ArrayList<>();
        for (int i = 1; i < inDay.size(); i++) {
            pieces.add(new Span(inDay.get(i - 1), inDay.get(i)));
        }
        return List.copyOf(pieces);
    }

    List<Span> pieces() {
        return pieces;
    }

    boolean holds(Instant t) {
        return new Span(pieces.get(0).from(), pieces.get(pieces.size() - 1).until()).holds(t);
    }

    /** Of a window, and of the days beside. */
    List<Span> spans(String window) {
        return running.spans(window);
    }

    /** As it is on a day of which nothing is known. */
    Verdict usual(Lane lane, int piece) {
        return running.at(lane.id(), pieces.get(piece).from(), Known.NOTHING);
    }

    Verdict verdict(Lane lane, int piece) {
        return Objects.requireNonNull(verdicts.get(lane.id())).get(piece);
    }

    /** A wave rests between, and still runs. */
    boolean runs(Lane lane, int piece) {
        LaneState state = verdict(lane, piece).state();
        return state.does() == Does.WAVE || state.runs(Duration.ZERO);
    }

    /** Times of a doser's doses on this day, whether it may dose then or not; empty for one that doses while it is on. */
    List<Instant> times(Lane doser) {
        DoseTimes times = doser.doses() == null ? null : doser.doses().times();
        return times == null
                ? List.of()
                : IntStream.of(times.minutes())
                        .sorted()
                        .mapToObj(m -> Edge.byTheClock(day.atTime(LocalTime.MIN.plusMinutes(m)), zone))
                        .toList();
    }

    /** In which a doser puts something into the water, in a piece: each of its doses, or all the while. */
    List<Span> dosed(Lane doser, int piece) {
        Span all = pieces.get(piece);
        if (!runs(doser, piece)) {
            return List.of();
        }
        return doser.doses() == null || doser.doses().times() == null
                ? List.of(all)
                : times(doser).stream()
                        .filter(all::holds)
                        .map(t -> new Span(t, t))
                        .toList();
    }

    /** What is so in a piece; its ways out are worked out once for all pieces that it goes over. */
    record Here(Kind kind, List<Lane> lanes, String because, Supplier<List<WayOut>> waysOut) {}

    /** Where something is so, piece after piece put together. */
    List<Conflict> wherever(Function<Integer, @Nullable Here> at) {
        List<Conflict> all = new ArrayList<>();
        Here open = null;
        int since = 0;
        for (int i = 0; i <= pieces.size(); i++) {
            Here here = i < pieces.size() ? at.apply(i) : null;
            boolean goesOn = open != null && here != null && open.because.equals(here.because);
            if (open != null && !goesOn) {
                all.add(conflict(open, since, i - 1));
            }
            if (!goesOn) {
                open = here;
                since = i;
            }
        }
        return all;
    }

    Conflict conflict(Here here, int first, int last) {
        return new Conflict(
                here.kind,
                pieces.get(first).from(),
                pieces.get(last).until(),
                here.lanes.stream().map(Lane::id).toList(),
                here.because,
                here.waysOut.get());
    }
}
