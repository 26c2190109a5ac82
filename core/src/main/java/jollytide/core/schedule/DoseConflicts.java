package jollytide.core.schedule;

import static jollytide.core.schedule.Conflicts.text;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.LineRules;
import jollytide.core.dosingline.Solution.Solute;
import jollytide.core.schedule.Conflict.Kind;
import jollytide.core.schedule.Conflict.WayOut;
import jollytide.core.schedule.CutDay.Here;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Window.Span;

/** What stands against a day's doses: still water, calcium beside them, a time at which they may not be made. */
final class DoseConflicts {
    private static final Duration APART = Duration.ofMinutes(LineRules.LEAST_APART_MIN);

    private final Schedule p;
    private final CutDay day;
    private final List<Conflict> found = new ArrayList<>();

    DoseConflicts(Schedule p, CutDay day) {
        this.p = p;
        this.day = day;
    }

    List<Conflict> find() {
        withoutReturn();
        beside();
        leftOut();
        return List.copyOf(found);
    }

    private List<Lane> of(LaneKind kind) {
        return p.lanes().stream().filter(lane -> lane.kind() == kind).toList();
    }

    private void withoutReturn() {
        List<Lane> returns = of(LaneKind.RETURN_PUMP);
        for (Lane doser : of(LaneKind.DOSER)) {
            found.addAll(day.wherever(i -> {
                boolean stands = !returns.isEmpty() && returns.stream().noneMatch(r -> day.runs(r, i));
                if (!stands || day.dosed(doser, i).isEmpty()) {
                    return null;
                }
                return new Here(
                        Kind.DOSE_WITHOUT_RETURN,
                        List.of(doser),
                        text("%s doses while the return is off.", doser.name()),
                        () -> withReturn(doser, returns, i));
            }));
        }
    }

    private List<WayOut> withReturn(Lane doser, List<Lane> returns, int i) {
        List<WayOut> out = new ArrayList<>();
        for (Lane still : returns) {
            Rule stops = day.verdict(still, i).winner().rule();
            if (stops != null) {
                out.add(new WayOut(text("switch %s on then", still.name()), p.without(stops)));
                String window = Schedule.window(stops);
                Rule doses = day.verdict(doser, i).winner().rule();
                if (doses instanceof Special) {
                    out.add(new WayOut(text("no %s then", doser.name()), p.without(doses)));
                } else if (window != null && !(stops instanceof FollowUp)) {
                    out.add(new WayOut(
                            text("pause %s then", doser.name()),
                            p.and(new Special(doser.id(), window, LaneState.OFF))));
                }
            }
        }
        return out;
    }

    private void beside() {
        List<Lane> dosers =
                of(LaneKind.DOSER).stream().filter(lane -> lane.doses() != null).toList();
        for (Lane a : dosers) {
            for (Lane b : dosers) {
                if (solute(a).source() != null
                        && solute(a) != Solute.LIMEWATER
                        && solute(b).calciumMgPerMol() > 0) {
                    firstMeeting(a, b);
                }
            }
        }
    }

    private static Solute solute(Lane doser) {
        return Objects.requireNonNull(doser.doses()).solute();
    }

    private void firstMeeting(Lane a, Lane b) {
        for (int i = 0; i < day.pieces().size(); i++) {
            for (Span dosed : day.dosed(a, i)) {
                if (meets(b, dosed)) {
                    Rule doses = day.verdict(a, i).winner().rule();
                    found.add(new Conflict(
                            Kind.ALKALINITY_BESIDE_CALCIUM,
                            dosed.from(),
                            dosed.until(),
                            List.of(a.id(), b.id()),
                            text(
                                    "%s and %s are less than %d minutes apart. Calcium carbonate precipitates "
                                            + "where they meet.",
                                    a.name(), b.name(), APART.toMinutes()),
                            doses == null
                                    ? List.of()
                                    : List.of(new WayOut(text("no %s then", a.name()), p.without(doses)))));
                    return;
                }
            }
        }
    }

    private boolean meets(Lane lane, Span with) {
        Span near = new Span(with.from().minus(APART), with.until().plus(APART));
        for (int i = 0; i < day.pieces().size(); i++) {
            if (day.dosed(lane, i).stream()
                    .anyMatch(d -> d.from().isBefore(near.until()) && d.until().isAfter(near.from()))) {
                return true;
            }
        }
        return false;
    }

    private void leftOut() {
        for (Lane doser : of(LaneKind.DOSER)) {
            List<Instant> times = day.times(doser);
            long made = IntStream.range(0, day.pieces().size())
                    .mapToLong(i -> day.dosed(doser, i).size())
                    .sum();
            if (!times.isEmpty() && made < times.size()) {
                found.add(new Conflict(
                        Kind.DOSES_LEFT_OUT,
                        null,
                        null,
                        List.of(doser.id()),
                        text(
                                "%d of the %d doses of %s fall into blocked hours. They are not made up.",
                                times.size() - made, times.size(), doser.name()),
                        spread(doser, times.size())));
            }
        }
    }

    /** Its doses over the longest time in which it may dose, round the clock. */
    private List<WayOut> spread(Lane doser, int doses) {
        int pieces = day.pieces().size();
        Span longest = null;
        Instant since = null;
        for (int i = 0; i < 2 * pieces; i++) {
            Duration turn = Duration.ofDays(i / pieces);
            if (!day.runs(doser, i % pieces)) {
                since = null;
                continue;
            }
            Span piece = day.pieces().get(i % pieces);
            since = since == null ? piece.from().plus(turn) : since;
            Span run = new Span(since, piece.until().plus(turn));
            if (longest == null || length(run).compareTo(length(longest)) > 0) {
                longest = run;
            }
        }
        if (longest == null || length(longest).compareTo(DoseTimes.LEAST_OVER) < 0) {
            return List.of();
        }
        LocalTime first = longest.from().atZone(p.zone()).toLocalTime().truncatedTo(ChronoUnit.MINUTES);
        double overH = Math.min(24, Math.floor(length(longest).toMinutes() / 6.0) / 10);
        return List.of(new WayOut(
                text("%d doses over %.1f hours from %s", doses, overH, first),
                p.with(doser.at(new DoseTimes(doses, first, overH)))));
    }

    private static Duration length(Span span) {
        return Duration.between(span.from(), span.until());
    }
}
