package jollytide.core.schedule;

import java.time.Duration;
import java.time.LocalTime;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.schedule.Edge.FromLight;
import jollytide.core.schedule.Edge.Light;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.units.InputException;
import jollytide.core.upkeep.Chore;
import org.jspecify.annotations.Nullable;

/**
 * What keepers commonly make of a day, fitted to the lanes and the lamps that are there. All of it is common practice: no
 * source; hours and shares are a beginning that its keeper moves.
 */
public enum Template {
    /** An hour of fine bubbles in the evening: a stone, pumps in waves or at rest, two surges afterwards. */
    BUBBLE_HOUR(List.of(
            "Check after the two surges: air can stay trapped under plates and in pumps.",
            "Place the stone so that no pump draws in its bubbles: a pump full of air stops or runs dry.",
            "Keep the stone less than a metre deep: deeper air can supersaturate the water.")),
    /** The skimmer's exhaust through media while the lamps are off, dry fresh air by day. */
    NIGHT_MEDIA(List.of(
            "Keep the 5 % fresh air: a closed loop adds no oxygen, and nights need it most.",
            "Let fresh air dry the media by day: exhaust is wet, and wet media drown.",
            "Wear gloves and goggles and rinse media outdoors: the dust is caustic.")),
    /** Fresh air through media while the pH is low. */
    GATE_BELOW_PH(List.of("Calibrate the probe first: a wrong reading switches media for nothing.")),
    /** The exhaust through media in dark hours of low pH alone, and a pump that dries them by day. */
    NIGHT_MEDIA_BELOW_PH(List.of(
            "Keep the 5 % fresh air: a closed loop adds no oxygen, and nights need it most.",
            "Calibrate the probe first: a wrong reading switches media for nothing.",
            "Let the drying pump blow room air through the media and out, never towards the skimmer.",
            "Wear gloves and goggles and rinse media outdoors: the dust is caustic.")),
    /** The refugium is lit while the display is dark. */
    REVERSE_REFUGIUM(List.of()),
    /** Every line doses while the lamps are off, when pH is lowest. */
    NIGHT_DOSES(List.of("Keep alkalinity and calcium 15 minutes and some distance apart.")),
    /** Flow at rest for ten minutes, the return running on. */
    FEEDING_PAUSE(List.of("Keep the return running: still water gets no oxygen.")),
    /** Flow at less power while the lamps are off. */
    QUIET_NIGHT(List.of("Check the lowest oxygen first: less flow at night means less gas exchange.")),
    /** Nothing special happens while nobody is at home: only the usual day, and fresh air. */
    HOLIDAY(List.of("Show your helper where the battery air pump is."));

    /** Upkeep that comes with a schedule. */
    public record Brings(Chore chore, int everyDays) {}

    /** @param schedule with all of it; nothing else is changed */
    public record Fitted(Schedule schedule, List<String> cautions) {}

    /**
     * What it asks of its keeper.
     *
     * @param gatePh media are let in below it, NBS scale
     * @param first day of a holiday; {@code last} likewise; null for no holiday
     */
    public record Wishes(
            double gatePh,
            @Nullable MonthDay first,
            @Nullable MonthDay last) {}

    /** What fine bubbles foam up clogs socks within a day, and fills the cup in two. */
    private static final List<Brings> OF_BUBBLES = List.of(new Brings(Chore.SOCK, 1), new Brings(Chore.SKIMMER_CUP, 2));

    private static final LaneState WAVE = LaneState.wave(Duration.ofMinutes(5), Duration.ofSeconds(30));
    private static final String DRYER = "drying pump of the media";
    private static final double QUIET = 0.4;
    private static final int DOSES_A_NIGHT = 24;
    /** A day of the year has a day before it in any that is no leap year. */
    private static final int ORDINARY_YEAR = 2025;

    @SuppressWarnings("ImmutableEnumChecker") // a list that nobody can change
    private final List<String> cautions;

    Template(List<String> cautions) {
        this.cautions = List.copyOf(cautions);
    }

    /** Upkeep that a schedule brings, however it came to be so. */
    public static List<Brings> brought(Schedule p) {
        return BubbleHour.of(p).stream().anyMatch(BubbleHour::whole) ? OF_BUBBLES : List.of();
    }

    /** @throws InputException where a lane is missing that it is about */
    public Fitted fit(Schedule p, Wishes wishes) {
        Change c = new Change(p);
        switch (this) {
            case BUBBLE_HOUR -> bubbleHour(c);
            case NIGHT_MEDIA -> nightMedia(c);
            case GATE_BELOW_PH -> gate(c, wishes.gatePh());
            case NIGHT_MEDIA_BELOW_PH -> nightMediaBelow(c, wishes.gatePh());
            case REVERSE_REFUGIUM -> refugium(c);
            case NIGHT_DOSES -> nightDoses(c);
            case FEEDING_PAUSE -> feeding(c);
            case QUIET_NIGHT -> quiet(c);
            case HOLIDAY -> holiday(c, wishes);
        }
        return new Fitted(c.made(), cautions);
    }

    private static void bubbleHour(Change c) {
        List<Lane> pumps = c.some(LaneKind.FLOW_PUMP, "flow pumps that spread the bubbles");
        String stone = c.of(LaneKind.AIR_PUMP).stream()
                .map(Lane::id)
                .findFirst()
                .orElseGet(() -> {
                    c.add(new Lane(
                            c.free("stone", Lane::id, c.p.lanes()),
                            LaneKind.AIR_PUMP,
                            "air stone at the return",
                            LaneState.OFF,
                            LaneState.OFF));
                    return c.lanes.get(c.lanes.size() - 1).id();
                });
        String hour = c.window("bubble hour", new FromLight(Light.OFF, -120), new FromLight(Light.OFF, -60));
        c.add(new Special(stone, hour, LaneState.ON));
        for (int i = 0; i < pumps.size(); i++) {
            String pump = pumps.get(i).id();
            // One side swells, the other stands still; of a single one it is the one that swells.
            c.add(new Special(pump, hour, i == pumps.size() - 1 ? WAVE : LaneState.OFF));
            c.add(new FollowUp(pump, hour, Conflicts.SURGES));
        }
    }

    private static void nightMedia(Change c) {
        String night = c.dark();
        for (Lane path : c.some(LaneKind.AIR_PATH, "a skimmer with a switchable air path")) {
            c.clear(path);
            c.add(new Usual(path.id(), night, LaneState.recirculated(Conflicts.COMMON_FRESH_SHARE)));
        }
    }

    private static void gate(Change c, double below) {
        for (Lane path : c.some(LaneKind.AIR_PATH, "a skimmer with a switchable air path")) {
            c.clear(path);
            c.add(new Gate(path.id(), null, Limit.mediaBelow(below), LaneState.media(), LaneState.FRESH));
        }
    }

    /** Without a reading of pH the air stays fresh. */
    private static void nightMediaBelow(Change c, double below) {
        String night = c.dark();
        List<Lane> paths = c.some(LaneKind.AIR_PATH, "a skimmer with a switchable air path");
        String day = c.window("lamps on", new FromLight(Light.ON, 0), new FromLight(Light.OFF, 0));
        String dryer = c.of(LaneKind.FAN).stream()
                .filter(lane -> lane.name().equals(DRYER))
                .map(Lane::id)
                .findFirst()
                .orElseGet(() -> {
                    String id = c.free("dryer", Lane::id, c.lanes);
                    c.add(new Lane(id, LaneKind.FAN, DRYER, LaneState.OFF, LaneState.OFF));
                    return id;
                });
        c.add(new Usual(dryer, day, LaneState.ON));
        for (Lane path : paths) {
            c.clear(path);
            c.add(new Gate(
                    path.id(),
                    night,
                    Limit.mediaBelow(below),
                    LaneState.recirculated(Conflicts.COMMON_FRESH_SHARE),
                    LaneState.FRESH));
        }
    }

    private static void refugium(Change c) {
        String night = c.dark();
        for (Lane lamp : c.some(LaneKind.REFUGIUM, "a refugium with its own lamp")) {
            c.clear(lamp);
            c.add(new Usual(lamp.id(), night, LaneState.ON));
        }
    }

    private static void nightDoses(Change c) {
        String night = c.dark();
        LocalTime off = c.p.lamps().off();
        double darkH = 24 - c.p.lamps().litHours();
        for (Lane doser : c.some(LaneKind.DOSER, "a dosing line")) {
            c.clear(doser);
            c.add(new Usual(doser.id(), night, LaneState.ON));
            Lane.Doses doses = doser.doses();
            if (doses != null) {
                int perDay = doses.times() == null
                        ? DOSES_A_NIGHT
                        : Objects.requireNonNull(doses.times()).perDay();
                c.replace(doser.at(new DoseTimes(perDay, off, darkH)));
            }
        }
    }

    private static void feeding(Change c) {
        List<Lane> pumps = c.some(LaneKind.FLOW_PUMP, "flow pumps that could rest");
        String pause = c.window("feeding", new FromLight(Light.ON, 120), new FromLight(Light.ON, 130));
        pumps.forEach(pump -> c.add(new Special(pump.id(), pause, LaneState.OFF)));
    }

    private static void quiet(Change c) {
        List<Lane> pumps = c.some(LaneKind.FLOW_PUMP, "flow pumps that could run lower");
        String night = c.dark();
        pumps.forEach(pump -> c.add(new Usual(pump.id(), night, LaneState.share(QUIET))));
    }

    /** Windows that beat the usual day, and those in which the skimmer's air does not come fresh, leave out those days. */
    private static void holiday(Change c, Wishes wishes) {
        if (wishes.first() == null || wishes.last() == null) {
            throw new InputException("first", 0, "both days", "From which day to which is nobody at home?");
        }
        MonthDay back = dayAfter(wishes.last());
        MonthDay before = dayBefore(wishes.first());
        Set<String> led = c.of(LaneKind.AIR_PATH).stream().map(Lane::id).collect(Collectors.toSet());
        Predicate<Rule> leftOut =
                rule -> rule instanceof Special || (rule instanceof Usual && led.contains(rule.lane()));
        Set<String> windows =
                c.rules.stream().filter(leftOut).map(Schedule::window).collect(Collectors.toSet());
        for (String id : windows) {
            Window window = c.named(id);
            boolean shared = c.rules.stream()
                    .anyMatch(r -> id.equals(Schedule.window(r)) && !leftOut.test(r) && !(r instanceof FollowUp));
            Days days = new Days(window.days().of(), back, before);
            if (!shared) {
                c.windows.replaceAll(w -> w.id().equals(id) ? as(w, w.id(), w.name(), days) : w);
                continue;
            }
            // Others need it as it is: these get one of their own.
            String own = c.free(id, Window::id, c.windows);
            c.windows.add(as(window, own, window.name() + ", at home", days));
            c.rules.replaceAll(
                    r -> id.equals(Schedule.window(r)) && (leftOut.test(r) || r instanceof FollowUp) ? in(r, own) : r);
        }
    }

    private static Window as(Window w, String id, String name, Days days) {
        return new Window(id, name, w.from(), w.until(), w.allDay(), days);
    }

    private static Rule in(Rule rule, String window) {
        if (rule instanceof FollowUp f) {
            return new FollowUp(f.lane(), window, f.steps());
        }
        return rule instanceof Special s
                ? new Special(s.lane(), window, s.state())
                : new Usual(rule.lane(), window, ((Usual) rule).state());
    }

    private static MonthDay dayAfter(MonthDay day) {
        return MonthDay.from(day.atYear(ORDINARY_YEAR).plusDays(1));
    }

    private static MonthDay dayBefore(MonthDay day) {
        return MonthDay.from(day.atYear(ORDINARY_YEAR).minusDays(1));
    }

    /** A schedule that is being changed. */
    private static final class Change {
        private final Schedule p;
        private final List<Lane> lanes;
        private final List<Window> windows;
        private final List<Rule> rules;

        Change(Schedule p) {
            this.p = p;
            lanes = new ArrayList<>(p.lanes());
            windows = new ArrayList<>(p.windows());
            rules = new ArrayList<>(p.rules());
        }

        Schedule made() {
            return new Schedule(p.zone(), p.lamps(), lanes, windows, rules);
        }

        List<Lane> of(LaneKind kind) {
            return lanes.stream().filter(lane -> lane.kind() == kind).toList();
        }

        List<Lane> some(LaneKind kind, String what) {
            List<Lane> all = of(kind);
            if (all.isEmpty()) {
                throw new InputException(
                        "template", 0, "a template for your devices", "There is no device for " + what + ".");
            }
            return all;
        }

        void add(Lane lane) {
            lanes.add(lane);
        }

        /** Once: put in again it changes nothing. */
        void add(Rule rule) {
            if (!rules.contains(rule)) {
                rules.add(rule);
            }
        }

        void replace(Lane lane) {
            lanes.replaceAll(l -> l.id().equals(lane.id()) ? lane : l);
        }

        /** Without what it usually did, and without its gates. */
        void clear(Lane lane) {
            rules.removeIf(r -> r.lane().equals(lane.id()) && (r instanceof Usual || r instanceof Gate));
        }

        Window named(String id) {
            return windows.stream().filter(w -> w.id().equals(id)).findFirst().orElseThrow();
        }

        /** While the lamps are off: the window that is there already, else a new one. */
        String dark() {
            if (!p.lamps().switches()) {
                throw new InputException(
                        "template", 0, "a template for lamps that go on and off", "These lamps have no dark phase.");
            }
            return window("lamps off", new FromLight(Light.OFF, 0), new FromLight(Light.ON, 0));
        }

        String window(String name, Edge from, Edge until) {
            return windows.stream()
                    .filter(w -> w.from().equals(from)
                            && w.until().equals(until)
                            && !w.allDay()
                            && w.days().equals(Days.ALL))
                    .map(Window::id)
                    .findFirst()
                    .orElseGet(() -> {
                        String id = free(name.replace(' ', '-'), Window::id, windows);
                        windows.add(Window.daily(id, name, from, until));
                        return id;
                    });
        }

        <T> String free(String wanted, Function<T, String> id, List<T> taken) {
            Set<String> used = taken.stream().map(id).collect(Collectors.toSet());
            return Stream.iterate(1, n -> n + 1)
                    .map(n -> n == 1 ? wanted : wanted + "-" + n)
                    .filter(name -> !used.contains(name))
                    .findFirst()
                    .orElseThrow();
        }
    }
}
