package jollytide.server.schedule;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalTime;
import java.time.MonthDay;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import jollytide.core.dosingline.Solution.Solute;
import jollytide.core.evidence.Quantity;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Days;
import jollytide.core.schedule.Edge;
import jollytide.core.schedule.Edge.AtClock;
import jollytide.core.schedule.Edge.FromLight;
import jollytide.core.schedule.Edge.Light;
import jollytide.core.schedule.Lane;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.LaneState;
import jollytide.core.schedule.Limit;
import jollytide.core.schedule.Rule;
import jollytide.core.schedule.Rule.CutOut;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Rule.Strength;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Window;
import jollytide.core.units.InputException;
import jollytide.server.dosing.DosingViews.ClockedDoses;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.annotation.JsonDeserialize;

/**
 * A schedule as it is kept, exported and read in. Its lamps' times are the tank's own and not in here: what follows the
 * light fits another tank.
 *
 * @param rules of one lane and one strength the first in this list wins
 */
public record ScheduleDocument(
        @NotNull @Size(max = 100) List<@NotNull @Valid LaneEntry> lanes,
        @NotNull @Size(max = 200) List<@NotNull @Valid WindowEntry> windows,
        @NotNull @Size(max = 1000) List<@NotNull @Valid RuleEntry> rules) {
    private static final String ID = "[A-Za-z0-9-]{1,40}";
    private static final String ID_WORDS = "must be letters, digits and hyphens, at most 40";
    private static final String TIME = "([01]\\d|2[0-3]):[0-5]\\d(:[0-5]\\d)?";
    static final String SEASON = "(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])";
    static final String SEASON_WORDS = "must be month and day, such as 11-15";

    /**
     * A device, or several that always do the same. One whose id is that of a line in Doses is that line.
     *
     * @param rest what it does where no rule says anything
     * @param doses of a doser; null for every other
     */
    public record LaneEntry(
            @NotNull @Pattern(regexp = ID, message = ID_WORDS)
            String id,

            @NotNull LaneKind kind,
            @NotBlank @Size(max = 80) String name,
            @NotNull @Valid StateEntry rest,
            @NotNull @Valid StateEntry afterPower,
            @Valid @Nullable DosesEntry doses) {
        private Lane toCore() {
            return new Lane(
                    id,
                    kind,
                    name.strip(),
                    rest.toCore(),
                    afterPower.toCore(),
                    doses == null
                            ? null
                            : new Lane.Doses(doses.solute, doses.times == null ? null : doses.times.toCore()));
        }

        static LaneEntry of(Lane lane) {
            Lane.Doses doses = lane.doses();
            return new LaneEntry(
                    lane.id(),
                    lane.kind(),
                    lane.name(),
                    StateEntry.of(lane.rest()),
                    StateEntry.of(lane.afterPower()),
                    doses == null ? null : new DosesEntry(doses.solute(), ClockedDoses.of(doses.times())));
        }
    }

    /** @param times null for one that doses all the while that it may */
    public record DosesEntry(
            @NotNull Solute solute, @Valid @Nullable ClockedDoses times) {}

    /**
     * What a lane does.
     *
     * @param share of full power with SHARE; of fresh air with RECIRCULATED; else null
     * @param onS seconds of a wave, each time; null for everything else, like {@code offS}
     */
    public record StateEntry(
            @JsonDeserialize(using = FormerDoes.class) LaneState.@NotNull Does does,
            @Nullable Double share,
            @Nullable Integer onS,
            @Nullable Integer offS) {
        LaneState toCore() {
            if (does == null) {
                throw new InputException(
                        "state.does",
                        0,
                        "the state of the device",
                        "The state does not say the state of the " + "device.");
            }
            return switch (does) {
                case OFF -> LaneState.OFF;
                case ON -> LaneState.ON;
                case FRESH -> LaneState.FRESH;
                case MEDIA -> LaneState.media();
                case SHARE -> LaneState.share(given("share", share));
                case RECIRCULATED -> LaneState.recirculated(given("share", share));
                case WAVE -> LaneState.wave(seconds("onS", onS), seconds("offS", offS));
            };
        }

        private static double given(String field, @Nullable Double value) {
            if (value == null) {
                throw new InputException(field, 0, "0 to 1", "The share is missing.");
            }
            return value;
        }

        private static Duration seconds(String field, @Nullable Integer value) {
            if (value == null || value < 1 || value > 86_400) {
                throw new InputException(
                        field, value == null ? 0 : value, "1 to 86400 s", "Enter seconds on and off for a wave.");
            }
            return Duration.ofSeconds(value);
        }

        static StateEntry of(LaneState state) {
            boolean shared = state.does() == LaneState.Does.SHARE || state.does() == LaneState.Does.RECIRCULATED;
            boolean wave = state.does() == LaneState.Does.WAVE;
            return new StateEntry(
                    state.does(),
                    shared ? Double.valueOf(state.share()) : null,
                    wave ? Integer.valueOf((int) state.on().toSeconds()) : null,
                    wave ? Integer.valueOf((int) state.off().toSeconds()) : null);
        }
    }

    /**
     * A part of the day that many lanes may use.
     *
     * @param days on which it begins; null for all
     * @param seasonFrom month and day, null for all year, like {@code seasonUntil}
     */
    public record WindowEntry(
            @NotNull @Pattern(regexp = ID, message = ID_WORDS)
            String id,

            @NotBlank @Size(max = 80) String name,
            @NotNull Boolean allDay,
            @NotNull @Valid EdgeEntry from,
            @NotNull @Valid EdgeEntry until,
            @Nullable @Size(min = 1, max = 7) List<@NotNull DayOfWeek> days,

            @Nullable @Pattern(regexp = SEASON, message = SEASON_WORDS)
            String seasonFrom,

            @Nullable @Pattern(regexp = SEASON, message = SEASON_WORDS)
            String seasonUntil) {
        private Window toCore() {
            EnumSet<DayOfWeek> of = days == null ? EnumSet.allOf(DayOfWeek.class) : EnumSet.copyOf(days);
            return new Window(
                    id,
                    name.strip(),
                    from.toCore(),
                    until.toCore(),
                    allDay,
                    new Days(of, season("seasonFrom", seasonFrom), season("seasonUntil", seasonUntil)));
        }

        static @Nullable MonthDay season(String field, @Nullable String monthAndDay) {
            try {
                return monthAndDay == null ? null : MonthDay.parse("--" + monthAndDay);
            } catch (java.time.DateTimeException e) {
                throw new InputException(field, 0, "a day of the year, such as 11-15", "There is no such day.");
            }
        }

        static WindowEntry of(Window w) {
            Days days = w.days();
            return new WindowEntry(
                    w.id(),
                    w.name(),
                    w.allDay(),
                    EdgeEntry.of(w.from()),
                    EdgeEntry.of(w.until()),
                    days.of().size() == 7 ? null : days.of().stream().sorted().toList(),
                    days.from() == null ? null : days.from().toString().substring(2),
                    days.to() == null ? null : days.to().toString().substring(2));
        }
    }

    /**
     * Where a window begins or ends.
     *
     * @param time by the home's clock; null for one that follows the lamps
     * @param light which switch of the lamps; null for one by the clock
     * @param minutes after that; below 0 before; 0 when null
     */
    public record EdgeEntry(
            @Nullable @Pattern(regexp = TIME, message = "must be a time such as 19:05 or 19:05:30")
            String time,

            @Nullable Light light,
            @Nullable Integer minutes) {
        private static final int MOST_MINUTES = 720;

        private Edge toCore() {
            if ((time == null) == (light == null)) {
                throw new InputException(
                        "time",
                        0,
                        "a time, or a switch of the lamps",
                        "Enter a time, or minutes from a lamp " + "switch.");
            }
            int after = minutes == null ? 0 : minutes;
            if (Math.abs(after) > MOST_MINUTES) {
                throw new InputException(
                        "minutes", after, "−720 to 720 min", "That is more than half a day from the lamp switch.");
            }
            return time != null ? new AtClock(LocalTime.parse(time)) : new FromLight(light, after);
        }

        static EdgeEntry of(Edge edge) {
            return edge instanceof AtClock at
                    ? new EdgeEntry(at.time().toString(), null, null)
                    : new EdgeEntry(null, ((FromLight) edge).light(), ((FromLight) edge).minutes());
        }
    }

    /** By what a rule speaks, the strongest first. */
    public enum RuleKind {
        CUT_OUT,
        FOLLOW_UP,
        GATE,
        SPECIAL,
        USUAL
    }

    /**
     * What a lane does and when. Which of these it has depends on its kind.
     *
     * @param window all but CUT_OUT; a GATE without one is always asked
     * @param state all but FOLLOW_UP
     * @param steps FOLLOW_UP: each so long after the window's end
     * @param limit CUT_OUT and GATE
     * @param whenNotKnown GATE: what it does without a reading
     */
    public record RuleEntry(
            @NotNull @Pattern(regexp = ID, message = ID_WORDS)
            String lane,

            @NotNull RuleKind kind,

            @Nullable @Pattern(regexp = ID, message = ID_WORDS)
            String window,

            @Valid @Nullable StateEntry state,
            @Nullable @Size(min = 1, max = 20) List<@NotNull @Valid StepEntry> steps,
            @Valid @Nullable LimitEntry limit,
            @Valid @Nullable StateEntry whenNotKnown) {
        Rule toCore() {
            return switch (kind) {
                case CUT_OUT -> new CutOut(lane, needed("limit", limit).toCore(), does());
                case FOLLOW_UP ->
                    new FollowUp(
                            lane,
                            needed("window", window),
                            needed("steps", steps).stream()
                                    .map(StepEntry::toCore)
                                    .toList());
                case GATE ->
                    new Gate(
                            lane,
                            window,
                            needed("limit", limit).toCore(),
                            does(),
                            whenNotKnown == null ? null : whenNotKnown.toCore());
                case SPECIAL -> new Special(lane, needed("window", window), does());
                case USUAL -> new Usual(lane, needed("window", window), does());
            };
        }

        private LaneState does() {
            return needed("state", state).toCore();
        }

        private static <T> T needed(String field, @Nullable T value) {
            if (value == null) {
                throw new InputException(field, 0, "something", "A rule of this kind needs a " + field + ".");
            }
            return value;
        }

        static RuleEntry of(Rule rule) {
            if (rule instanceof FollowUp f) {
                return new RuleEntry(
                        f.lane(),
                        RuleKind.FOLLOW_UP,
                        f.window(),
                        null,
                        f.steps().stream().map(StepEntry::of).toList(),
                        null,
                        null);
            }
            if (rule instanceof Gate g) {
                return new RuleEntry(
                        g.lane(),
                        RuleKind.GATE,
                        g.window(),
                        StateEntry.of(g.state()),
                        null,
                        LimitEntry.of(g.limit()),
                        g.whenNotKnown() == null ? null : StateEntry.of(g.whenNotKnown()));
            }
            if (rule instanceof CutOut c) {
                return new RuleEntry(
                        c.lane(),
                        RuleKind.CUT_OUT,
                        null,
                        StateEntry.of(c.state()),
                        null,
                        LimitEntry.of(c.limit()),
                        null);
            }
            String window = rule instanceof Special s ? s.window() : ((Usual) rule).window();
            LaneState state = rule instanceof Special s ? s.state() : ((Usual) rule).state();
            RuleKind kind = rule.strength() == Strength.SPECIAL ? RuleKind.SPECIAL : RuleKind.USUAL;
            return new RuleEntry(rule.lane(), kind, window, StateEntry.of(state), null, null, null);
        }
    }

    /** @param afterS seconds after the window's end */
    public record StepEntry(
            @NotNull Integer afterS,
            @NotNull Integer lastsS,
            @NotNull @Valid StateEntry state) {
        private FollowUp.Step toCore() {
            return new FollowUp.Step(Duration.ofSeconds(afterS), Duration.ofSeconds(lastsS), state.toCore());
        }

        static StepEntry of(FollowUp.Step step) {
            return new StepEntry(
                    (int) step.after().toSeconds(), (int) step.lasts().toSeconds(), StateEntry.of(step.state()));
        }
    }

    /** A side of a measured value, as {@link Limit}. */
    public record LimitEntry(
            @NotNull Quantity quantity,
            @NotNull Boolean above,
            @NotNull Double value,
            @NotNull Double hysteresis,
            @NotNull Integer leastOnMin,
            @NotNull Integer leastOffMin,
            @NotNull Integer staleAfterMin) {
        private Limit toCore() {
            return new Limit(
                    quantity,
                    above,
                    value,
                    hysteresis,
                    Duration.ofMinutes(leastOnMin),
                    Duration.ofMinutes(leastOffMin),
                    Duration.ofMinutes(staleAfterMin));
        }

        static LimitEntry of(Limit limit) {
            return new LimitEntry(
                    limit.quantity(),
                    limit.above(),
                    limit.value(),
                    limit.hysteresis(),
                    (int) limit.leastOn().toMinutes(),
                    (int) limit.leastOff().toMinutes(),
                    (int) limit.staleAfter().toMinutes());
        }
    }

    Schedule toCore(ZoneId zone, LightClock lamps) {
        return new Schedule(
                zone,
                lamps,
                lanes.stream().map(LaneEntry::toCore).toList(),
                windows.stream().map(WindowEntry::toCore).toList(),
                rules.stream().map(RuleEntry::toCore).toList());
    }

    static ScheduleDocument of(Schedule p) {
        return new ScheduleDocument(
                p.lanes().stream().map(LaneEntry::of).toList(),
                p.windows().stream().map(WindowEntry::of).toList(),
                p.rules().stream().map(RuleEntry::of).toList());
    }
}
