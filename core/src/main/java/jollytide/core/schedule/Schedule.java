package jollytide.core.schedule;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.dosingline.Hold;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Rule.CutOut;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Rule.Strength;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.schedule.Verdict.Claim;
import jollytide.core.schedule.Window.Span;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * A day of every device. What a lane does is a function of this, the moment and what was stored: right at once after a
 * restart, at any second, and over a change of the clocks.
 *
 * @param rules of one lane and one strength the first in this list wins
 */
public record Schedule(ZoneId zone, LightClock lamps, List<Lane> lanes, List<Window> windows, List<Rule> rules) {
    /** Once power is back lanes do this long what they do after power. */
    public static final Duration AFTER_POWER = Hold.RUNS_AGAIN;

    /** A document has at most 100, and the tank's dosing lines come on top whenever it is read. */
    private static final int MOST_LANES = 150;

    private static final int MOST_WINDOWS = 200;
    private static final int MOST_RULES = 1000;

    public Schedule {
        lanes = List.copyOf(lanes);
        windows = List.copyOf(windows);
        rules = List.copyOf(rules);
        atMost("lanes", lanes.size(), MOST_LANES);
        atMost("windows", windows.size(), MOST_WINDOWS);
        atMost("rules", rules.size(), MOST_RULES);
        Map<String, Lane> byId = new HashMap<>();
        for (Lane lane : lanes) {
            if (byId.put(lane.id(), lane) != null) {
                throw wrong("lanes", "each device once", "“" + lane.id() + "” is listed twice.");
            }
        }
        Set<String> named = new HashSet<>();
        for (Window window : windows) {
            if (!named.add(window.id())) {
                throw wrong("windows", "each window once", "“" + window.id() + "” is listed twice.");
            }
        }
        for (Rule rule : rules) {
            Lane lane = byId.get(rule.lane());
            if (lane == null) {
                throw wrong("lane", "one of the devices", "There is no device “" + rule.lane() + "”.");
            }
            String window = window(rule);
            if (window != null && !named.contains(window)) {
                throw wrong("window", "one of the windows", "There is no time window “" + window + "”.");
            }
            states(rule).filter(state -> !state.fits(lane.kind())).findFirst().ifPresent(state -> {
                throw wrong("state", "a state this device can have", "“" + lane.name() + "” can’t do that.");
            });
        }
    }

    private static void atMost(String field, int size, int most) {
        if (size > most) {
            throw new InputException(
                    field, size, "at most " + most, "A schedule can have at most " + most + " " + field + ".");
        }
    }

    private static InputException wrong(String field, String allowed, String sentence) {
        return new InputException(field, 0, allowed, sentence);
    }

    static @Nullable String window(Rule rule) {
        if (rule instanceof FollowUp f) {
            return f.window();
        }
        if (rule instanceof Gate g) {
            return g.window();
        }
        if (rule instanceof Special s) {
            return s.window();
        }
        return rule instanceof Usual u ? u.window() : null;
    }

    static Stream<LaneState> states(Rule rule) {
        if (rule instanceof FollowUp f) {
            return f.steps().stream().map(FollowUp.Step::state);
        }
        if (rule instanceof Gate g) {
            return g.whenNotKnown() == null ? Stream.of(g.state()) : Stream.of(g.state(), g.whenNotKnown());
        }
        if (rule instanceof CutOut c) {
            return Stream.of(c.state());
        }
        return Stream.of(rule instanceof Special s ? s.state() : ((Usual) rule).state());
    }

    /** With one more rule. */
    public Schedule and(Rule rule) {
        return new Schedule(
                zone,
                lamps,
                lanes,
                windows,
                Stream.concat(rules.stream(), Stream.of(rule)).toList());
    }

    public Schedule without(Rule rule) {
        return new Schedule(
                zone,
                lamps,
                lanes,
                windows,
                rules.stream().filter(r -> !r.equals(rule)).toList());
    }

    /** One rule in another's place. */
    public Schedule with(Rule instead, Rule of) {
        return new Schedule(
                zone,
                lamps,
                lanes,
                windows,
                rules.stream().map(r -> r.equals(of) ? instead : r).toList());
    }

    /** A lane as it is described anew. */
    public Schedule with(Lane lane) {
        return new Schedule(
                zone,
                lamps,
                lanes.stream().map(l -> l.id().equals(lane.id()) ? lane : l).toList(),
                windows,
                rules);
    }

    /** As if the readings of all its gates said so, whatever was read. */
    public Schedule asIf(Limit.Said said) {
        return switch (said) {
            case NOT_KNOWN -> this;
            case DOES_NOT -> gates().reduce(this, Schedule::without, (a, b) -> b);
            case HOLDS -> gates().reduce(this, (p, g) -> p.with(g.held(), g), (a, b) -> b);
        };
    }

    /** Whether there is such a lane, and it can do that. */
    public boolean can(String lane, LaneState state) {
        return lanes.stream().anyMatch(l -> l.id().equals(lane) && state.fits(l.kind()));
    }

    /** Of all that is asked of readings. */
    public Stream<Limit> limits() {
        return rules.stream()
                .flatMap(rule -> rule instanceof Gate g
                        ? Stream.of(g.limit())
                        : rule instanceof CutOut c ? Stream.of(c.limit()) : Stream.empty());
    }

    private Stream<Gate> gates() {
        return rules.stream().filter(Gate.class::isInstance).map(Gate.class::cast);
    }

    public Schedule with(LightClock other) {
        return new Schedule(zone, other, lanes, windows, rules);
    }

    /** With what is needed for moments of some days worked out once. */
    public Running over(LocalDate first, LocalDate last) {
        return new Running(this, first, last);
    }

    /** What a lane does at a moment. */
    public Verdict at(String lane, Instant t, Known known) {
        LocalDate day = LocalDate.ofInstant(t, zone);
        return over(day, day).at(lane, t, known);
    }

    /** A schedule over some days. */
    public static final class Running {
        private final Map<String, Lane> lanes;
        private final Map<String, List<Rule>> rules;
        private final Map<String, List<Span>> spans;
        private final Map<String, String> names;
        /** Readings are replayed once for each limit, not for every moment that is asked for. */
        private final IdentityHashMap<Known, Map<Limit, Limit.Turns>> turns = new IdentityHashMap<>();

        private Running(Schedule p, LocalDate first, LocalDate last) {
            lanes = p.lanes.stream().collect(Collectors.toMap(Lane::id, lane -> lane));
            rules = p.rules.stream().collect(Collectors.groupingBy(Rule::lane));
            names = p.windows.stream().collect(Collectors.toMap(Window::id, Window::name));
            // What began the day before goes over midnight, and has its follow-up after that.
            spans = p.windows.stream()
                    .collect(Collectors.toMap(
                            Window::id, w -> w.spans(first.minusDays(2), last.plusDays(1), p.lamps, p.zone)));
        }

        Limit.Turns turns(Limit limit, Known known) {
            List<Reading> readings = known.of(limit.quantity());
            if (readings.isEmpty()) {
                return Limit.Turns.NONE;
            }
            return turns.computeIfAbsent(known, k -> new HashMap<>()).computeIfAbsent(limit, l -> l.turns(readings));
        }

        List<Span> spans(String window) {
            return spans.getOrDefault(window, List.of());
        }

        /** Of those days only. */
        public Verdict at(String lane, Instant t, Known known) {
            Lane at = lanes.get(lane);
            if (at == null) {
                throw wrong("lane", "one of the devices", "There is no device “" + lane + "”.");
            }
            List<Claim> claims = new ArrayList<>();
            power(at, t, known, claims);
            for (Known.Stuck stuck : known.stuck()) {
                if (stuck.lane().equals(lane) && !t.isBefore(stuck.from()) && !known.away(t)) {
                    claims.add(new Claim(Strength.STUCK, "stuck", stuck.state(), stuck.from()));
                }
            }
            for (Known.Hold hold : known.holds()) {
                if (hold.lane().equals(lane) && new Span(hold.from(), hold.until()).holds(t)) {
                    claims.add(new Claim(Strength.HOLD, "held by hand", hold.state(), hold.from()));
                }
            }
            for (Rule rule : rules.getOrDefault(lane, List.of())) {
                claim(rule, t, known, claims);
            }
            claims.add(new Claim(Strength.REST, "without a rule", at.rest(), Instant.EPOCH));
            // Stable: of one strength the first said wins.
            claims.sort(Comparator.comparing(Claim::strength));
            Claim winner = claims.get(0);
            return new Verdict(
                    winner.state(),
                    winner.state().runs(Duration.between(winner.since(), t)),
                    winner,
                    claims.subList(1, claims.size()));
        }

        private static void power(Lane lane, Instant t, Known known, List<Claim> claims) {
            for (Known.Cut cut : known.cuts()) {
                Instant until = cut.until();
                if (cut.away(t)) {
                    LaneState still = lane.kind() == LaneKind.AIR_PATH ? lane.afterPower() : LaneState.OFF;
                    claims.add(new Claim(Strength.POWER, "power cut", still, cut.from()));
                } else if (lane.kind() == LaneKind.DOSER && cut.fromDoses().lasts(t)) {
                    claims.add(new Claim(
                            Strength.POWER, "until you confirm that the return runs", LaneState.OFF, cut.from()));
                } else if (until != null && new Span(until, until.plus(AFTER_POWER)).holds(t)) {
                    claims.add(new Claim(Strength.POWER, "power is back", lane.afterPower(), until));
                }
            }
        }

        private void claim(Rule rule, Instant t, Known known, List<Claim> claims) {
            if (rule instanceof CutOut c) {
                if (Limit.at(t, turns(c.limit(), known)) == Limit.Said.HOLDS) {
                    claims.add(new Claim(rule.strength(), words(c.limit()), c.state(), Instant.EPOCH, c));
                }
            } else if (rule instanceof FollowUp f) {
                followUp(f, t, claims);
            } else if (rule instanceof Gate g) {
                gate(g, t, known, claims);
            } else if (rule instanceof Special special) {
                inWindow(rule, special.window(), special.state(), t, claims);
            } else if (rule instanceof Usual usual) {
                inWindow(rule, usual.window(), usual.state(), t, claims);
            }
        }

        private void inWindow(Rule rule, String window, LaneState state, Instant t, List<Claim> claims) {
            spans(window).stream()
                    .filter(span -> span.holds(t))
                    .findFirst()
                    .ifPresent(span -> claims.add(new Claim(rule.strength(), name(window), state, span.from(), rule)));
        }

        private void followUp(FollowUp rule, Instant t, List<Claim> claims) {
            for (Span span : spans(rule.window())) {
                for (FollowUp.Step step : rule.steps()) {
                    Instant from = span.until().plus(step.after());
                    if (new Span(from, from.plus(step.lasts())).holds(t)) {
                        claims.add(
                                new Claim(rule.strength(), "after " + name(rule.window()), step.state(), from, rule));
                    }
                }
            }
        }

        private void gate(Gate rule, Instant t, Known known, List<Claim> claims) {
            String window = rule.window();
            if (window != null && spans(window).stream().noneMatch(span -> span.holds(t))) {
                return;
            }
            Limit limit = rule.limit();
            switch (Limit.at(t, turns(limit, known))) {
                case HOLDS -> claims.add(new Claim(rule.strength(), words(limit), rule.state(), Instant.EPOCH, rule));
                case NOT_KNOWN -> {
                    if (rule.whenNotKnown() != null) {
                        claims.add(new Claim(
                                rule.strength(), "no recent reading", rule.whenNotKnown(), Instant.EPOCH, rule));
                    }
                }
                case DOES_NOT -> {
                    // It says nothing: what is weaker holds.
                }
            }
        }

        private String name(String window) {
            return Objects.requireNonNull(names.get(window));
        }

        private static String words(Limit limit) {
            String what = limit.quantity() == Quantity.PH
                    ? "pH"
                    : limit.quantity() == Quantity.CO2
                            ? "CO2"
                            : limit.quantity().name().toLowerCase(Locale.ROOT);
            return what + (limit.above() ? " above " : " below ") + limit.value();
        }
    }
}
