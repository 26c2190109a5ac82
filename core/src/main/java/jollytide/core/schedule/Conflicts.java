package jollytide.core.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Conflict.Kind;
import jollytide.core.schedule.Conflict.WayOut;
import jollytide.core.schedule.CutDay.Here;
import jollytide.core.schedule.LaneState.Does;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Verdict.Claim;
import jollytide.core.schedule.Window.Span;

/** Finds what harms in a day's schedule, or cannot be meant, before it happens. All limits are common practice. */
public final class Conflicts {
    /** Less fresh air than this is a closed loop. */
    private static final double LEAST_FRESH_SHARE = 0.02;
    /** As it is commonly left in. */
    static final double COMMON_FRESH_SHARE = 0.05;
    /** Recirculated exhaust for longer than a long night wets media faster than fresh air dries them. */
    private static final Duration MOST_RECIRCULATED = Duration.ofHours(15);
    /** Water that stands still for longer takes its oxygen from nowhere. */
    private static final Duration MOST_STILL = Duration.ofMinutes(5);
    /** A pause for feeding that lasts longer was forgotten. */
    private static final Duration MOST_HOLD = Duration.ofMinutes(30);

    private static final int LEAST_SURGES = 2;
    static final List<FollowUp.Step> SURGES = List.of(
            new FollowUp.Step(Duration.ZERO, Duration.ofMinutes(1), LaneState.ON),
            new FollowUp.Step(Duration.ofMinutes(5), Duration.ofMinutes(1), LaneState.ON));

    private final Schedule p;
    private final Known known;
    private final CutDay day;
    private final List<Conflict> found = new ArrayList<>();

    private Conflicts(Schedule p, LocalDate day, Known known) {
        this.p = p;
        this.known = known;
        this.day = new CutDay(p, day, known);
    }

    /** Of one day, in no order that matters. */
    public static List<Conflict> of(Schedule p, LocalDate day, Known known) {
        Conflicts c = new Conflicts(p, day, known);
        c.disagree();
        c.found.addAll(new DoseConflicts(p, c.day).find());
        c.air();
        c.bubbles();
        c.still();
        c.holds();
        c.clocks();
        c.gates();
        c.unwatched();
        return List.copyOf(c.found);
    }

    private List<Lane> of(LaneKind kind) {
        return p.lanes().stream().filter(lane -> lane.kind() == kind).toList();
    }

    private void always(Kind kind, List<Lane> lanes, String because, List<WayOut> waysOut) {
        found.add(new Conflict(kind, null, null, lanes.stream().map(Lane::id).toList(), because, waysOut));
    }

    private void disagree() {
        for (Lane lane : p.lanes()) {
            found.addAll(day.wherever(i -> {
                Verdict verdict = day.verdict(lane, i);
                Claim winner = verdict.winner();
                Claim other = verdict.losers().stream()
                        .filter(l -> l.strength() == winner.strength()
                                && !l.state().equals(winner.state())
                                && l.rule() != null)
                        .findFirst()
                        .orElse(null);
                Rule kept = winner.rule();
                Rule lost = other == null ? null : other.rule();
                if (other == null || lost == null || kept == null) {
                    return null;
                }
                return new Here(
                        Kind.DISAGREE,
                        List.of(lane),
                        text("“%s” and “%s” set different states for %s.", winner.by(), other.by(), lane.name()),
                        () -> List.of(
                                new WayOut(text("keep only “%s” for this device", winner.by()), p.without(lost)),
                                new WayOut(text("keep only “%s” for this device", other.by()), p.without(kept))));
            }));
        }
    }

    private void air() {
        for (Lane path : of(LaneKind.AIR_PATH)) {
            p.rules().stream()
                    .filter(rule -> rule.lane().equals(path.id()))
                    .forEach(rule -> Schedule.states(rule)
                            .filter(state -> state.does() == Does.RECIRCULATED && state.share() < LEAST_FRESH_SHARE)
                            .findFirst()
                            .ifPresent(state -> always(
                                    Kind.CLOSED_LOOP,
                                    List.of(path),
                                    "Recirculated exhaust without fresh air adds no oxygen, which matters most "
                                            + "at night.",
                                    closedLoop(rule))));
            Duration recirculated = Duration.ZERO;
            for (int i = 0; i < day.pieces().size(); i++) {
                if (day.verdict(path, i).state().does() == Does.RECIRCULATED) {
                    recirculated = recirculated.plus(Duration.between(
                            day.pieces().get(i).from(), day.pieces().get(i).until()));
                }
            }
            if (recirculated.compareTo(MOST_RECIRCULATED) > 0) {
                always(
                        Kind.MEDIA_DROWN,
                        List.of(path),
                        text(
                                "Exhaust is recirculated for %d hours a day. Media that never dry drown within days.",
                                recirculated.toHours()),
                        List.of());
            }
            withoutSkimmer(path);
        }
    }

    private List<WayOut> closedLoop(Rule rule) {
        LaneState open = LaneState.recirculated(COMMON_FRESH_SHARE);
        Rule mended = rule instanceof Special s
                ? new Special(s.lane(), s.window(), open)
                : rule instanceof Rule.Usual u ? new Rule.Usual(u.lane(), u.window(), open) : null;
        return mended == null
                ? List.of(new WayOut("remove this rule", p.without(rule)))
                : List.of(new WayOut("add 5 % fresh air", p.with(mended, rule)));
    }

    private void withoutSkimmer(Lane path) {
        List<Lane> skimmers = of(LaneKind.SKIMMER);
        found.addAll(day.wherever(i -> {
            Does does = day.verdict(path, i).state().does();
            boolean used = does == Does.MEDIA || does == Does.RECIRCULATED;
            if (!used || skimmers.isEmpty() || skimmers.stream().anyMatch(s -> day.runs(s, i))) {
                return null;
            }
            Rule stops = day.verdict(skimmers.get(0), i).winner().rule();
            return new Here(
                    Kind.SKIMMER_OFF_WITH_MEDIA,
                    List.of(path, skimmers.get(0)),
                    "The skimmer is off while its air goes through media. The media do nothing then.",
                    () -> stops == null
                            ? List.of()
                            : List.of(new WayOut("switch the skimmer on then", p.without(stops))));
        }));
    }

    private void bubbles() {
        for (BubbleHour hour : BubbleHour.of(p)) {
            if (hour.whole() && surges(hour.window()) < LEAST_SURGES) {
                noSurges(hour.window(), hour.pumps());
            }
            if (hour.swells() && hour.stones().isEmpty()) {
                apart(hour.window(), hour.pumps());
            }
            if (hour.whole()) {
                hour.stones().forEach(this::withoutReturn);
            }
        }
    }

    private void withoutReturn(Special stone) {
        List<Lane> returns = of(LaneKind.RETURN_PUMP);
        Lane bubbles = lane(stone.lane());
        found.addAll(day.wherever(i -> {
            boolean stands = !returns.isEmpty() && returns.stream().noneMatch(r -> day.runs(r, i));
            boolean byThis = stone.equals(day.verdict(bubbles, i).winner().rule());
            return !stands || !byThis || !day.runs(bubbles, i)
                    ? null
                    : new Here(
                            Kind.STONE_WITHOUT_RETURN,
                            Stream.concat(Stream.of(bubbles), returns.stream()).toList(),
                            text("%s runs while the return is off, so bubbles stay in the sump.", bubbles.name()),
                            () -> goOn(returns, i));
        }));
    }

    private LaneKind kind(Rule rule) {
        return lane(rule.lane()).kind();
    }

    private Lane lane(String id) {
        return p.lanes().stream().filter(l -> l.id().equals(id)).findFirst().orElseThrow();
    }

    private long surges(Window window) {
        return p.rules().stream()
                .filter(FollowUp.class::isInstance)
                .map(FollowUp.class::cast)
                .filter(f -> f.window().equals(window.id()) && kind(f).movesWater())
                .mapToLong(f -> f.steps().stream()
                        .filter(s -> s.state().runs(Duration.ZERO))
                        .count())
                .max()
                .orElse(0);
    }

    private void noSurges(Window window, List<Special> pumps) {
        Schedule mended = p;
        for (Special pump : pumps) {
            Rule few = mended.rules().stream()
                    .filter(r -> r instanceof FollowUp f
                            && f.window().equals(window.id())
                            && f.lane().equals(pump.lane()))
                    .findFirst()
                    .orElse(null);
            Rule surges = new FollowUp(pump.lane(), window.id(), SURGES);
            mended = few == null ? mended.and(surges) : mended.with(surges, few);
        }
        Instant ends = day.spans(window.id()).stream()
                .map(Span::until)
                .filter(day::holds)
                .findFirst()
                .orElse(null);
        found.add(new Conflict(
                Kind.NO_SURGES,
                ends,
                ends,
                pumps.stream().map(Special::lane).distinct().toList(),
                text(
                        "Two surges at full power are missing after “%s”. Air stays trapped under plates and "
                                + "in pumps.",
                        window.name()),
                List.of(new WayOut("add two surges, five minutes apart", mended))));
    }

    private void apart(Window pumps, List<Special> moved) {
        for (Rule rule : p.rules()) {
            if (rule instanceof Special stone
                    && kind(stone) == LaneKind.AIR_PUMP
                    && stone.state().runs(Duration.ZERO)
                    && !stone.window().equals(pumps.id())
                    && day.spans(stone.window()).stream()
                            .anyMatch(s -> day.spans(pumps.id()).stream()
                                    .anyMatch(t -> s.from().isBefore(t.until())
                                            && t.from().isBefore(s.until())))) {
                found.add(new Conflict(
                        Kind.STONE_APART,
                        null,
                        null,
                        Stream.concat(Stream.of(stone.lane()), moved.stream().map(Special::lane))
                                .distinct()
                                .toList(),
                        text(
                                "Stone and pumps use different time windows (“%s”), so one starts or stops "
                                        + "without the other.",
                                pumps.name()),
                        List.of(new WayOut(
                                text("run the stone in “%s”", pumps.name()),
                                p.with(new Special(stone.lane(), pumps.id(), stone.state()), stone)))));
            }
        }
    }

    private void still() {
        List<Lane> movers =
                p.lanes().stream().filter(lane -> lane.kind().movesWater()).toList();
        if (movers.isEmpty()) {
            return;
        }
        day
                .wherever(i -> movers.stream().anyMatch(mover -> day.runs(mover, i))
                        ? null
                        : new Here(
                                Kind.STILL_WATER,
                                movers,
                                "All flow stops, the return too, for more than five minutes.",
                                () -> goOn(movers, i)))
                .stream()
                .filter(c -> Duration.between(c.from(), c.until()).compareTo(MOST_STILL) > 0)
                .forEach(found::add);
    }

    private List<WayOut> goOn(List<Lane> movers, int piece) {
        return movers.stream()
                .flatMap(mover -> {
                    Rule stops = day.verdict(mover, piece).winner().rule();
                    return stops == null
                            ? Stream.<WayOut>empty()
                            : Stream.of(new WayOut(text("switch %s on then", mover.name()), p.without(stops)));
                })
                .toList();
    }

    private void holds() {
        for (Known.Hold hold : known.holds()) {
            Lane lane = lane(hold.lane());
            boolean stops = (lane.kind().movesWater() || lane.kind().aerates())
                    && !hold.state().runs(Duration.ZERO);
            if (stops && Duration.between(hold.from(), hold.until()).compareTo(MOST_HOLD) > 0) {
                found.add(new Conflict(
                        Kind.HOLD_TOO_LONG,
                        hold.from(),
                        hold.until(),
                        List.of(lane.id()),
                        text("%s is held off for more than half an hour. Was a pause left on?", lane.name()),
                        List.of()));
            }
        }
    }

    private void clocks() {
        boolean byTheClock = p.windows().stream()
                .anyMatch(w -> w.from() instanceof Edge.AtClock || w.until() instanceof Edge.AtClock);
        boolean changes = !p.zone().getRules().isFixedOffset()
                && !p.zone().getRules().getTransitionRules().isEmpty();
        if (!p.lamps().followsClockChanges()
                && byTheClock
                && changes
                && !p.rules().isEmpty()) {
            always(
                    Kind.LAMPS_DO_NOT_FOLLOW,
                    of(LaneKind.LAMPS),
                    "Lamp timers ignore the clock change but time windows follow it. They will be an hour apart.",
                    List.of(new WayOut(
                            "let the lamps follow",
                            p.with(new LightClock(
                                    p.lamps().on(),
                                    p.lamps().off(),
                                    true,
                                    p.lamps().rampMinutes())))));
        }
    }

    private void gates() {
        for (Rule rule : p.rules()) {
            if (rule instanceof Gate gate && gate.whenNotKnown() == null) {
                Lane lane = lane(gate.lane());
                always(
                        Kind.GATE_WITHOUT_FALLBACK,
                        List.of(lane),
                        text("What should %s do when its reading is too old?", lane.name()),
                        List.of(new WayOut(
                                "as without a rule",
                                p.with(
                                        new Gate(gate.lane(), gate.window(), gate.limit(), gate.state(), lane.rest()),
                                        gate))));
            }
        }
    }

    /** When its server is lost, and when the mains come back: nobody watches then. */
    private void unwatched() {
        List<Lane> aerating =
                p.lanes().stream().filter(lane -> lane.kind().aerates()).toList();
        if (!aerating.isEmpty()
                && aerating.stream().noneMatch(lane -> lane.rest().runs(Duration.ZERO))) {
            always(
                    Kind.REST_WITHOUT_AIR,
                    aerating,
                    "Without a rule nothing adds air. A device that loses its server would leave the animals "
                            + "without air.",
                    aerating.stream()
                            .map(lane -> new WayOut(
                                    text("%s on without a rule", lane.name()), p.with(lane.atRest(LaneState.ON))))
                            .toList());
        }
        if (!aerating.isEmpty()
                && aerating.stream().noneMatch(lane -> lane.afterPower().runs(Duration.ZERO))) {
            always(
                    Kind.AFTER_POWER_UNSAFE,
                    aerating,
                    "Nothing adds air when the power returns, when animals need it most.",
                    aerating.stream()
                            .map(lane -> new WayOut(
                                    text("%s on when the power returns", lane.name()),
                                    p.with(lane.afterPower(LaneState.ON))))
                            .toList());
        }
        for (Lane lane : p.lanes()) {
            LaneState safe = lane.kind() == LaneKind.DOSER ? LaneState.OFF : LaneState.FRESH;
            if (!lane.kind().safe(lane.rest())) {
                unsafe(Kind.REST_UNSAFE, lane, "when no rule applies", lane.atRest(safe));
            }
            if (!lane.kind().safe(lane.afterPower())) {
                unsafe(Kind.AFTER_POWER_UNSAFE, lane, "when the power returns", lane.afterPower(safe));
            }
        }
    }

    private void unsafe(Kind kind, Lane lane, String when, Lane mended) {
        String safe = lane.kind() == LaneKind.DOSER ? "off" : "on fresh air";
        always(
                kind,
                List.of(lane),
                text("%s must be %s %s.", lane.name(), safe, when),
                List.of(new WayOut(text("%s %s", safe, when), p.with(mended))));
    }

    static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}
