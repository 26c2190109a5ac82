package jollytide.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.MonthDay;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Edge.AtClock;
import jollytide.core.schedule.Edge.FromLight;
import jollytide.core.schedule.Edge.Light;
import jollytide.core.schedule.Rule.CutOut;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Rule.Strength;
import jollytide.core.schedule.Rule.Usual;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What every lane does at a moment, worked out by hand. */
class ScheduleTest {
    private static final ZoneId PARIS = ZoneId.of("Europe/Paris");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 12);
    private static final LightClock LAMPS = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 0);
    private static final Duration MINUTE = Duration.ofMinutes(1);

    private static final Lane RIGHT = lane("right", LaneKind.FLOW_PUMP, LaneState.ON);
    private static final Lane LEFT = lane("left", LaneKind.FLOW_PUMP, LaneState.ON);
    private static final Lane STONE = lane("stone", LaneKind.AIR_PUMP, LaneState.OFF);
    private static final Lane DOSER = lane("doser", LaneKind.DOSER, LaneState.OFF);

    private static final Window BUBBLES = clocked("bubbles", "bubble hour", "19:00", "20:00");
    private static final Window USUAL_DAY = new Window("day", "day", at("00:00"), at("00:00"), true, Days.ALL);

    private static Lane lane(String id, LaneKind kind, LaneState rest) {
        return new Lane(id, kind, id, rest, rest);
    }

    private static Edge at(String time) {
        return new AtClock(LocalTime.parse(time));
    }

    private static Window clocked(String id, String name, String from, String until) {
        return Window.daily(id, name, at(from), at(until));
    }

    private static Instant local(String dateTime) {
        return LocalDateTime.parse(dateTime).atZone(PARIS).toInstant();
    }

    private static Instant today(String time) {
        return DAY.atTime(LocalTime.parse(time)).atZone(PARIS).toInstant();
    }

    /** Stone at the return, right pumps in waves, left ones still, two surges after it. */
    private static Schedule bubbleHour() {
        List<FollowUp.Step> surges = List.of(
                new FollowUp.Step(Duration.ZERO, MINUTE, LaneState.ON),
                new FollowUp.Step(Duration.ofMinutes(5), MINUTE, LaneState.ON));
        return new Schedule(
                PARIS,
                LAMPS,
                List.of(RIGHT, LEFT, STONE),
                List.of(BUBBLES, USUAL_DAY),
                List.of(
                        new Usual("right", "day", LaneState.share(0.6)),
                        new Usual("left", "day", LaneState.share(0.5)),
                        new Special("right", "bubbles", LaneState.wave(Duration.ofMinutes(5), Duration.ofSeconds(30))),
                        new Special("left", "bubbles", LaneState.OFF),
                        new Special("stone", "bubbles", LaneState.ON),
                        new FollowUp("right", "bubbles", surges),
                        new FollowUp("left", "bubbles", surges)));
    }

    private static boolean runs(Schedule p, String lane, String time) {
        return p.at(lane, today(time), Known.NOTHING).runs();
    }

    @Test
    void theBubbleHoursWaveIsOffHalfAMinuteInFiveAndAHalf() {
        Schedule p = bubbleHour();
        assertThat(runs(p, "right", "19:00:00")).isTrue();
        assertThat(runs(p, "right", "19:04:59")).isTrue();
        assertThat(runs(p, "right", "19:05:00")).isFalse();
        assertThat(runs(p, "right", "19:05:29")).isFalse();
        assertThat(runs(p, "right", "19:05:30")).isTrue();
        // Ten full turns of five and a half minutes, and five minutes more.
        long on = LongStream.range(0, 3600)
                .filter(s -> p.at("right", today("19:00:00").plusSeconds(s), Known.NOTHING)
                        .runs())
                .count();
        assertThat(on).isEqualTo(10 * 300 + 300);
        assertThat(p.at("right", today("19:37:00"), Known.NOTHING).winner().by())
                .isEqualTo("bubble hour");
    }

    @Test
    void twoSurgesFollowAndThenTheUsualDay() {
        Schedule p = bubbleHour();
        Verdict end = p.at("left", today("20:00:00"), Known.NOTHING);
        assertThat(end.winner().strength()).isEqualTo(Strength.FOLLOW_UP);
        assertThat(end.winner().by()).isEqualTo("after bubble hour");
        assertThat(end.state()).isEqualTo(LaneState.ON);
        assertThat(p.at("left", today("20:01:00"), Known.NOTHING).state()).isEqualTo(LaneState.share(0.5));
        assertThat(p.at("left", today("20:05:00"), Known.NOTHING).state()).isEqualTo(LaneState.ON);
        assertThat(p.at("left", today("20:06:00"), Known.NOTHING).winner().strength())
                .isEqualTo(Strength.USUAL);
        assertThat(p.at("stone", today("20:00:00"), Known.NOTHING).winner().strength())
                .isEqualTo(Strength.REST);
    }

    @Test
    void pumpsThatTheHourLeavesOffBeatTheirOwnUsualDay() {
        Verdict left = bubbleHour().at("left", today("19:30:00"), Known.NOTHING);
        assertThat(left.runs()).isFalse();
        assertThat(left.winner().strength()).isEqualTo(Strength.SPECIAL);
        assertThat(left.losers()).extracting(Verdict.Claim::strength).containsExactly(Strength.USUAL, Strength.REST);
    }

    /** Stone and pumps hang on one window: whatever becomes of it, they begin and end together. */
    @Test
    void oneWindowCannotPart() {
        Schedule p = bubbleHour();
        for (int s = 0; s < 2 * 3600; s += 7) {
            Instant t = today("18:30:00").plusSeconds(s);
            boolean stone = p.at("stone", t, Known.NOTHING).winner().by().equals("bubble hour");
            boolean pumps = p.at("left", t, Known.NOTHING).winner().by().equals("bubble hour");
            assertThat(stone).isEqualTo(pumps);
        }
    }

    @Test
    void holdsByHandEndAndBeatTheHour() {
        Known fed = new Known(
                Map.of(),
                List.of(new Known.Hold("right", LaneState.OFF, today("19:10:00"), today("19:20:00"))),
                List.of());
        Schedule p = bubbleHour();
        assertThat(p.at("right", today("19:15:00"), fed).winner().strength()).isEqualTo(Strength.HOLD);
        assertThat(p.at("right", today("19:20:00"), fed).winner().strength()).isEqualTo(Strength.SPECIAL);
        assertThat(p.at("left", today("19:15:00"), fed).winner().strength()).isEqualTo(Strength.SPECIAL);
    }

    private static Schedule with(Rule rule, Window... windows) {
        return new Schedule(PARIS, LAMPS, List.of(RIGHT, DOSER, STONE), List.of(windows), List.of(rule));
    }

    private static Verdict atLocal(Schedule p, String lane, String dateTime) {
        return p.at(lane, local(dateTime), Known.NOTHING);
    }

    @Test
    void aWindowOverMidnightIsOneWindow() {
        Window night = clocked("night", "night", "22:00", "06:00");
        Schedule p = with(new Special("stone", "night", LaneState.ON), night);
        assertThat(atLocal(p, "stone", "2026-11-12T21:59:59").runs()).isFalse();
        assertThat(atLocal(p, "stone", "2026-11-12T22:00:00").runs()).isTrue();
        assertThat(atLocal(p, "stone", "2026-11-13T05:59:59").runs()).isTrue();
        assertThat(atLocal(p, "stone", "2026-11-13T06:00:00").runs()).isFalse();
        assertThat(atLocal(p, "stone", "2026-11-13T05:00:00").winner().since()).isEqualTo(local("2026-11-12T22:00:00"));
    }

    @Test
    void noTimeIsRefusedAndAllDayIsSaid() {
        assertThatThrownBy(() -> clocked("x", "x", "08:00", "08:00"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("at the same time");
        Schedule p = with(new Special("stone", "day", LaneState.ON), USUAL_DAY);
        assertThat(atLocal(p, "stone", "2026-11-12T00:00:00").runs()).isTrue();
        assertThat(atLocal(p, "stone", "2026-11-12T23:59:59").runs()).isTrue();
    }

    /** Paris: on 29 March 2026 the hour from two to three is skipped, on 25 October it comes twice. */
    @Test
    void daysOfTwentyThreeAndTwentyFiveHours() {
        Window early = clocked("early", "early", "01:00", "04:00");
        Schedule p = with(new Special("stone", "early", LaneState.ON), early);
        assertThat(minutesOn(p, LocalDate.of(2026, 3, 29))).isEqualTo(120);
        assertThat(minutesOn(p, LocalDate.of(2026, 10, 25))).isEqualTo(240);
        assertThat(minutesOn(p, DAY)).isEqualTo(180);
        Schedule skipped =
                with(new Special("stone", "skipped", LaneState.ON), clocked("skipped", "skipped", "02:10", "02:50"));
        assertThat(minutesOn(skipped, LocalDate.of(2026, 3, 29))).isZero();
        assertThat(minutesOn(skipped, LocalDate.of(2026, 10, 25)))
                .as("once only")
                .isEqualTo(40);
    }

    private static long minutesOn(Schedule p, LocalDate day) {
        Instant from = day.atStartOfDay(PARIS).toInstant();
        long minutes = Duration.between(
                        from, day.plusDays(1).atStartOfDay(PARIS).toInstant())
                .toMinutes();
        Schedule.Running running = p.over(day, day);
        return LongStream.range(0, minutes)
                .filter(m -> running.at("stone", from.plusSeconds(60 * m), Known.NOTHING)
                        .runs())
                .count();
    }

    /** Timers of lamps that stay on standard time are an hour late by summer's clock; a window that follows them is, too. */
    @Test
    void lampsThatDoNotFollowTheClockTakeTheirWindowsAlong() {
        Window before = Window.daily("dawn", "dawn", new FromLight(Light.ON, -30), new FromLight(Light.ON, 0));
        List<Rule> rules = List.of(new Special("stone", "dawn", LaneState.ON));
        Schedule follows = new Schedule(PARIS, LAMPS, List.of(STONE), List.of(before), rules);
        Schedule does = new Schedule(
                PARIS, new LightClock(LAMPS.on(), LAMPS.off(), false, 0), List.of(STONE), List.of(before), rules);
        assertThat(atLocal(follows, "stone", "2026-07-01T09:45:00").runs()).isTrue();
        assertThat(atLocal(does, "stone", "2026-07-01T09:45:00").runs()).isFalse();
        assertThat(atLocal(does, "stone", "2026-07-01T10:45:00").runs()).isTrue();
        assertThat(atLocal(does, "stone", "2026-12-01T09:45:00").runs()).isTrue();
    }

    /** A tank that is never lit has no lights-on to count from. */
    @Test
    void withoutLampsNothingFollowsThem() {
        Window dawn = Window.daily("dawn", "dawn", new FromLight(Light.ON, -30), new FromLight(Light.ON, 0));
        LightClock never = new LightClock(LocalTime.NOON, LocalTime.NOON, true, 0);
        Schedule p = new Schedule(
                PARIS, never, List.of(STONE), List.of(dawn), List.of(new Special("stone", "dawn", LaneState.ON)));
        assertThat(minutesOn(p, DAY)).isZero();
    }

    @Test
    void windowsKnowWeekendsAndSeasons() {
        Days weekend = new Days(EnumSet.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY), null, null);
        Days winter = new Days(EnumSet.allOf(DayOfWeek.class), MonthDay.of(11, 15), MonthDay.of(2, 28));
        Window late = new Window("late", "late", at("23:00"), at("01:00"), false, weekend);
        Window cold = new Window("cold", "cold", at("12:00"), at("13:00"), false, winter);
        Schedule p = with(new Special("stone", "late", LaneState.ON), late);
        // It begins on Sunday and goes into Monday.
        assertThat(atLocal(p, "stone", "2026-11-16T00:30:00").runs()).isTrue();
        assertThat(atLocal(p, "stone", "2026-11-16T23:30:00").runs()).isFalse();
        Schedule c = with(new Special("stone", "cold", LaneState.ON), cold);
        assertThat(atLocal(c, "stone", "2026-11-14T12:30:00").runs()).isFalse();
        assertThat(atLocal(c, "stone", "2027-01-14T12:30:00").runs()).isTrue();
        assertThat(atLocal(c, "stone", "2027-03-01T12:30:00").runs()).isFalse();
        assertThatThrownBy(() -> new Days(EnumSet.noneOf(DayOfWeek.class), null, null))
                .isInstanceOf(InputException.class);
    }

    private static final Limit LOW = new Limit(
            Quantity.PH, false, 8.2, 0.05, Duration.ofMinutes(30), Duration.ofMinutes(10), Duration.ofMinutes(20));

    private static Known ph(double... everyFiveMinutes) {
        List<Reading> readings = IntStream.range(0, everyFiveMinutes.length)
                .mapToObj(i -> new Reading(today("12:00:00").plusSeconds(300L * i), everyFiveMinutes[i]))
                .toList();
        return new Known(Map.of(Quantity.PH, readings), List.of(), List.of());
    }

    private static Limit.Said said(Known known, String time) {
        return LOW.at(today(time), known.of(Quantity.PH));
    }

    /** Below 8.2 it opens; it closes above 8.25, and not before half an hour. */
    @Test
    void aGateHasItsHysteresisAndItsLeastTimes() {
        Known known = ph(8.22, 8.19, 8.22, 8.30, 8.30, 8.30, 8.30, 8.30, 8.30, 8.19);
        assertThat(said(known, "12:04:59")).isEqualTo(Limit.Said.DOES_NOT);
        assertThat(said(known, "12:05:00")).isEqualTo(Limit.Said.HOLDS);
        assertThat(said(known, "12:12:00")).as("within the hysteresis").isEqualTo(Limit.Said.HOLDS);
        assertThat(said(known, "12:34:00")).as("open for half an hour at least").isEqualTo(Limit.Said.HOLDS);
        assertThat(said(known, "12:35:00")).isEqualTo(Limit.Said.DOES_NOT);
        assertThat(said(known, "12:45:00")).isEqualTo(Limit.Said.HOLDS);
        assertThat(said(known, "13:06:00"))
                .as("twenty minutes without a reading")
                .isEqualTo(Limit.Said.NOT_KNOWN);
        assertThat(said(Known.NOTHING, "12:00:00")).isEqualTo(Limit.Said.NOT_KNOWN);
    }

    @Test
    void whatIsNotKnownFallsBack() {
        Lane path = new Lane("path", LaneKind.AIR_PATH, "air", LaneState.FRESH, LaneState.FRESH);
        Gate gate = new Gate("path", null, LOW, LaneState.media(), LaneState.FRESH);
        Schedule p = new Schedule(PARIS, LAMPS, List.of(path), List.of(), List.of(gate));
        assertThat(p.at("path", today("12:00:00"), ph(8.1)).state()).isEqualTo(LaneState.media());
        assertThat(p.at("path", today("12:00:00"), ph(8.3)).winner().strength()).isEqualTo(Strength.REST);
        Verdict stale = p.at("path", today("13:00:00"), ph(8.1));
        assertThat(stale.state()).isEqualTo(LaneState.FRESH);
        assertThat(stale.winner().by()).isEqualTo("no recent reading");
    }

    @Test
    void gatesAsIfTheirReadingsSaidSo() {
        Lane path = new Lane("path", LaneKind.AIR_PATH, "air", LaneState.FRESH, LaneState.FRESH);
        Gate gate = new Gate("path", null, LOW, LaneState.media(), LaneState.recirculated(0.1));
        Schedule p = new Schedule(PARIS, LAMPS, List.of(path), List.of(), List.of(gate));
        Instant noon = today("12:00:00");
        assertThat(p.asIf(Limit.Said.HOLDS).at("path", noon, Known.NOTHING).state())
                .isEqualTo(LaneState.media());
        assertThat(p.asIf(Limit.Said.DOES_NOT).at("path", noon, Known.NOTHING).state())
                .isEqualTo(LaneState.FRESH);
        assertThat(p.asIf(Limit.Said.NOT_KNOWN).at("path", noon, Known.NOTHING).state())
                .isEqualTo(LaneState.recirculated(0.1));
    }

    @Test
    void aCutOutBeatsEveryHold() {
        Limit high = new Limit(Quantity.PH, true, 8.5, 0.05, Duration.ZERO, Duration.ZERO, Duration.ofMinutes(20));
        Schedule p = with(new CutOut("doser", high, LaneState.OFF));
        Known held = new Known(
                ph(8.6).readings(),
                List.of(new Known.Hold("doser", LaneState.ON, today("11:00:00"), today("13:00:00"))),
                List.of());
        Verdict cut = p.at("doser", today("12:01:00"), held);
        assertThat(cut.runs()).isFalse();
        assertThat(cut.winner().by()).isEqualTo("pH above 8.5");
        assertThat(p.at("doser", today("12:30:00"), held).winner().strength()).isEqualTo(Strength.HOLD);
    }

    /** Neither a cut-out nor a hand moves what does not obey; without mains it rests. */
    @Test
    void whatDoesNotObeyStaysAsItIs() {
        Limit high = new Limit(Quantity.PH, true, 8.5, 0.05, Duration.ZERO, Duration.ZERO, Duration.ofMinutes(20));
        Schedule p = with(new CutOut("doser", high, LaneState.OFF));
        Known stuck = new Known(
                ph(8.6).readings(),
                List.of(new Known.Hold("doser", LaneState.OFF, today("11:00:00"), today("13:00:00"))),
                List.of(new Known.Cut(today("12:30:00"), today("12:40:00"), null)),
                List.of(new Known.Stuck("doser", LaneState.ON, today("12:00:00"))));
        assertThat(p.at("doser", today("11:59:59"), stuck).runs()).isFalse();
        Verdict runs = p.at("doser", today("12:01:00"), stuck);
        assertThat(runs.runs()).isTrue();
        assertThat(runs.winner().strength()).isEqualTo(Strength.STUCK);
        assertThat(runs.losers()).extracting(Verdict.Claim::strength).startsWith(Strength.CUT_OUT, Strength.HOLD);
        assertThat(p.at("doser", today("12:35:00"), stuck).runs()).isFalse();
        assertThat(p.at("doser", today("12:41:00"), stuck).runs()).isTrue();
    }

    /** A day is cut where readings turn a gate: between two cuts nothing changes. */
    @Test
    void aDayIsCutWhereReadingsTurnAGate() {
        Lane path = new Lane("path", LaneKind.AIR_PATH, "air", LaneState.FRESH, LaneState.FRESH);
        Gate gate = new Gate("path", null, LOW, LaneState.media(), LaneState.recirculated(0.1));
        Schedule p = new Schedule(PARIS, LAMPS, List.of(path), List.of(), List.of(gate));
        Known known = ph(8.22, 8.19, 8.22, 8.30, 8.30, 8.30, 8.30, 8.30, 8.30, 8.19);
        DayCourse day = DayCourse.of(p, LocalDate.ofInstant(today("12:00:00"), PARIS), known);
        List<DayCourse.Piece> pieces = day.lanes().get(0).pieces();
        assertThat(pieces)
                .extracting(DayCourse.Piece::from)
                .containsExactly(
                        day.day().from(),
                        today("12:00:00"),
                        today("12:05:00"),
                        today("12:35:00"),
                        today("12:45:00"),
                        today("13:05:00"));
        assertThat(pieces)
                .extracting(piece -> piece.verdict().state().does())
                .containsExactly(
                        LaneState.Does.RECIRCULATED,
                        LaneState.Does.FRESH,
                        LaneState.Does.MEDIA,
                        LaneState.Does.FRESH,
                        LaneState.Does.MEDIA,
                        LaneState.Does.RECIRCULATED);
        for (DayCourse.Piece piece : pieces) {
            for (Instant t = piece.from(); t.isBefore(piece.until()); t = t.plusSeconds(60)) {
                assertThat(p.at("path", t, known).state())
                        .isEqualTo(piece.verdict().state());
            }
        }
    }

    @Test
    void hoursADayAreThoseOfTheBusiestLane() {
        LocalDate day = LocalDate.ofInstant(today("12:00:00"), PARIS);
        Map<LaneKind, Double> hours = DayCourse.hoursADay(bubbleHour(), day);
        assertThat(hours.get(LaneKind.AIR_PUMP)).isCloseTo(1, within(1e-9));
        assertThat(hours.get(LaneKind.FAN)).isNull();
        assertThat(hours.get(LaneKind.FLOW_PUMP)).isBetween(12.0, 24.0);
    }

    private static Known cut(String until, @Nullable String released) {
        return new Known(
                Map.of(),
                List.of(),
                List.of(new Known.Cut(today("03:00:00"), today(until), released == null ? null : today(released))));
    }

    @Test
    void powerThatFailsAndReturns() {
        Lane returns = new Lane("return", LaneKind.RETURN_PUMP, "return", LaneState.ON, LaneState.ON);
        Schedule p = new Schedule(
                PARIS,
                LAMPS,
                List.of(returns, DOSER),
                List.of(USUAL_DAY),
                List.of(new Usual("doser", "day", LaneState.ON)));
        Known cut = cut("04:10:00", null);
        assertThat(p.at("return", today("03:30:00"), cut).runs()).isFalse();
        assertThat(p.at("doser", today("03:30:00"), cut).runs()).isFalse();
        assertThat(p.at("return", today("04:10:00"), cut).runs()).isTrue();
        assertThat(p.at("doser", today("04:39:59"), cut).runs()).isFalse();
        Verdict waits = p.at("doser", today("23:00:00"), cut);
        assertThat(waits.runs()).as("nobody saw that the return runs").isFalse();
        assertThat(waits.winner().by()).isEqualTo("until you confirm that the return runs");
        assertThat(p.at("doser", today("06:29:59"), cut("04:10:00", "06:30:00")).runs())
                .isFalse();
        assertThat(p.at("doser", today("06:30:00"), cut("04:10:00", "06:30:00")).runs())
                .isTrue();
        assertThat(p.at("doser", today("04:39:59"), cut("04:10:00", "04:11:00")).runs())
                .as("half an hour at least, whoever has looked")
                .isFalse();
        Known lasts = new Known(Map.of(), List.of(), List.of(new Known.Cut(today("03:00:00"), null, null)));
        assertThat(p.at("return", today("23:00:00"), lasts).winner().strength()).isEqualTo(Strength.POWER);
    }

    @Test
    void whatDoesNotFitIsRefused() {
        assertThatThrownBy(() -> with(new Special("nobody", "bubbles", LaneState.ON), BUBBLES))
                .hasMessageContaining("no device");
        assertThatThrownBy(() -> with(new Special("stone", "never", LaneState.ON), BUBBLES))
                .hasMessageContaining("no time window");
        assertThatThrownBy(() -> with(new Special("stone", "bubbles", LaneState.media()), BUBBLES))
                .hasMessageContaining("can’t do that");
        assertThatThrownBy(() -> new Schedule(PARIS, LAMPS, List.of(STONE, STONE), List.of(), List.of()))
                .hasMessageContaining("twice");
        List<Rule> many = new ArrayList<>();
        IntStream.range(0, 1001).forEach(i -> many.add(new Special("stone", "bubbles", LaneState.ON)));
        assertThatThrownBy(() -> new Schedule(PARIS, LAMPS, List.of(STONE), List.of(BUBBLES), many))
                .hasMessageContaining("at most 1000");
        assertThatThrownBy(() -> LaneState.wave(Duration.ZERO, MINUTE)).isInstanceOf(InputException.class);
    }

    /**
     * Of any schedule, at any second, each lane has one winner, nothing that loses is stronger, and asking again says the
     * same: it hangs on nothing that was asked before.
     */
    @Test
    void oneWinnerForEveryLaneAndSecond() {
        SplittableRandom random = new SplittableRandom(7);
        for (int i = 0; i < 60; i++) {
            Schedule p = anySchedule(random);
            Schedule.Running running = p.over(DAY, DAY);
            for (int k = 0; k < 40; k++) {
                Instant t = DAY.atStartOfDay(PARIS).toInstant().plusSeconds(random.nextInt(86_400));
                for (Lane lane : p.lanes()) {
                    Verdict verdict = running.at(lane.id(), t, Known.NOTHING);
                    assertThat(verdict.losers())
                            .allMatch(
                                    l -> l.strength().compareTo(verdict.winner().strength()) >= 0);
                    assertThat(p.at(lane.id(), t, Known.NOTHING)).isEqualTo(verdict);
                }
            }
        }
    }

    private static Schedule anySchedule(SplittableRandom random) {
        List<Window> windows = IntStream.range(0, 6)
                .mapToObj(i -> Window.daily(
                        "w" + i,
                        "w" + i,
                        anyEdge(random),
                        new AtClock(LocalTime.ofSecondOfDay(random.nextInt(86_400)))))
                .toList();
        List<Lane> lanes = List.of(RIGHT, LEFT, STONE, DOSER);
        List<Rule> rules = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            String lane = lanes.get(random.nextInt(lanes.size())).id();
            String window = "w" + random.nextInt(windows.size());
            LaneState state = random.nextBoolean()
                    ? LaneState.ON
                    : LaneState.wave(Duration.ofSeconds(1 + random.nextInt(600)), Duration.ofSeconds(30));
            rules.add(anyRule(random.nextInt(3), lane, window, state));
        }
        return new Schedule(PARIS, LAMPS, lanes, windows, rules);
    }

    private static Rule anyRule(int kind, String lane, String window, LaneState state) {
        return switch (kind) {
            case 0 -> new Usual(lane, window, state);
            case 1 -> new Special(lane, window, state);
            default -> new FollowUp(lane, window, List.of(new FollowUp.Step(Duration.ofMinutes(2), MINUTE, state)));
        };
    }

    private static Edge anyEdge(SplittableRandom random) {
        Edge clock = new AtClock(LocalTime.ofSecondOfDay(random.nextInt(86_400)));
        return random.nextBoolean() ? clock : new FromLight(Light.OFF, random.nextInt(-120, 120));
    }
}
