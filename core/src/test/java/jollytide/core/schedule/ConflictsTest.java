package jollytide.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.Solution.Solute;
import jollytide.core.evidence.Quantity;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Conflict.Kind;
import jollytide.core.schedule.Rule.FollowUp;
import jollytide.core.schedule.Rule.Gate;
import jollytide.core.schedule.Rule.Special;
import jollytide.core.schedule.Rule.Usual;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each of them is found where it is, mended by its ways out, and none is found where none is. */
class ConflictsTest {
    private static final ZoneId PARIS = ZoneId.of("Europe/Paris");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 12);
    private static final LightClock LAMPS = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 0);
    private static final LaneState WAVE = LaneState.wave(Duration.ofMinutes(5), Duration.ofSeconds(30));
    private static final Limit LOW_PH =
            new Limit(Quantity.PH, false, 8.2, 0.05, Duration.ZERO, Duration.ZERO, Duration.ofMinutes(30));

    private static final Lane RETURN = new Lane("return", LaneKind.RETURN_PUMP, "return", LaneState.ON, LaneState.ON);
    private static final Lane FLOW = new Lane("flow", LaneKind.FLOW_PUMP, "flow", LaneState.ON, LaneState.ON);
    private static final Lane SKIMMER = new Lane("skimmer", LaneKind.SKIMMER, "skimmer", LaneState.ON, LaneState.ON);
    private static final Lane STONE = new Lane("stone", LaneKind.AIR_PUMP, "stone", LaneState.OFF, LaneState.OFF);
    private static final Lane PATH = new Lane("path", LaneKind.AIR_PATH, "air", LaneState.FRESH, LaneState.FRESH);
    private static final Lane SODA = new Lane(
            "soda", LaneKind.DOSER, "soda", LaneState.OFF, LaneState.OFF, new Lane.Doses(Solute.SODA_ASH, null));
    private static final Lane CALCIUM = new Lane(
            "calcium",
            LaneKind.DOSER,
            "calcium",
            LaneState.OFF,
            LaneState.OFF,
            new Lane.Doses(Solute.CALCIUM_CHLORIDE, null));
    private static final List<Lane> LANES = List.of(RETURN, FLOW, SKIMMER, STONE, PATH, SODA, CALCIUM);

    private static final List<Window> WINDOWS = List.of(
            window("night", "21:00", "10:00"),
            window("bubbles", "19:00", "20:00"),
            window("almost", "19:05", "20:00"),
            window("soda", "22:00", "22:10"),
            window("calcium", "09:00", "09:10"),
            window("soon", "22:20", "22:30"),
            window("pause", "12:00", "12:04"),
            window("long", "12:00", "12:06"),
            window("most", "06:00", "22:30"));

    private static Window window(String id, String from, String until) {
        return Window.daily(id, id, new Edge.AtClock(LocalTime.parse(from)), new Edge.AtClock(LocalTime.parse(until)));
    }

    private static Schedule schedule(List<Lane> lanes, Rule... rules) {
        return new Schedule(PARIS, LAMPS, lanes, WINDOWS, List.of(rules));
    }

    private static Schedule rules(Rule... rules) {
        return schedule(LANES, rules);
    }

    private static Schedule instead(Lane lane) {
        return schedule(
                LANES.stream().map(l -> l.id().equals(lane.id()) ? lane : l).toList());
    }

    private static Lane dosed(Lane lane, int perDay, String first, double overH) {
        return lane.at(new DoseTimes(perDay, LocalTime.parse(first), overH));
    }

    private static FollowUp surges(String lane) {
        return new FollowUp(
                lane,
                "bubbles",
                List.of(
                        new FollowUp.Step(Duration.ZERO, Duration.ofMinutes(1), LaneState.ON),
                        new FollowUp.Step(Duration.ofMinutes(5), Duration.ofMinutes(1), LaneState.ON)));
    }

    private static List<Conflict> of(Schedule p) {
        return Conflicts.of(p, DAY, Known.NOTHING);
    }

    /** A schedule with nothing wrong but this. */
    private static final Map<Kind, Supplier<Schedule>> CASES = new EnumMap<>(Map.ofEntries(
            Map.entry(
                    Kind.DISAGREE,
                    () -> rules(
                            new Special("flow", "night", LaneState.share(0.3)),
                            new Special("flow", "soda", LaneState.share(0.8)))),
            Map.entry(
                    Kind.DOSE_WITHOUT_RETURN,
                    () -> rules(
                            new Special("return", "pause", LaneState.OFF), new Special("soda", "pause", LaneState.ON))),
            Map.entry(Kind.CLOSED_LOOP, () -> rules(new Special("path", "night", LaneState.recirculated(0)))),
            Map.entry(Kind.MEDIA_DROWN, () -> rules(new Special("path", "most", LaneState.recirculated(0.05)))),
            Map.entry(
                    Kind.NO_SURGES,
                    () -> rules(new Special("stone", "bubbles", LaneState.ON), new Special("flow", "bubbles", WAVE))),
            Map.entry(
                    Kind.STONE_APART,
                    () -> rules(
                            new Special("stone", "almost", LaneState.ON),
                            new Special("flow", "bubbles", WAVE),
                            surges("flow"))),
            Map.entry(
                    Kind.STONE_WITHOUT_RETURN,
                    () -> rules(
                            new Special("stone", "bubbles", LaneState.ON),
                            new Special("flow", "bubbles", WAVE),
                            surges("flow"),
                            new Special("return", "bubbles", LaneState.OFF))),
            Map.entry(
                    Kind.SKIMMER_OFF_WITH_MEDIA,
                    () -> rules(
                            new Special("path", "night", LaneState.recirculated(0.05)),
                            new Special("skimmer", "soda", LaneState.OFF),
                            new Special("stone", "soda", LaneState.ON))),
            Map.entry(
                    Kind.ALKALINITY_BESIDE_CALCIUM,
                    () -> rules(
                            new Special("soda", "soda", LaneState.ON), new Special("calcium", "soon", LaneState.ON))),
            Map.entry(
                    Kind.DOSES_LEFT_OUT,
                    () -> instead(dosed(SODA, 24, "00:00", 24)).and(new Special("soda", "night", LaneState.ON))),
            Map.entry(
                    Kind.LAMPS_DO_NOT_FOLLOW,
                    () -> rules(new Special("flow", "night", LaneState.share(0.3)))
                            .with(new LightClock(LAMPS.on(), LAMPS.off(), false, 0))),
            Map.entry(Kind.GATE_WITHOUT_FALLBACK, () -> rules(new Gate("path", null, LOW_PH, LaneState.media(), null))),
            Map.entry(
                    Kind.STILL_WATER,
                    () -> rules(
                            new Special("return", "long", LaneState.OFF), new Special("flow", "long", LaneState.OFF))),
            Map.entry(
                    Kind.REST_WITHOUT_AIR,
                    () -> instead(new Lane("skimmer", LaneKind.SKIMMER, "skimmer", LaneState.OFF, LaneState.ON))),
            Map.entry(
                    Kind.REST_UNSAFE,
                    () -> instead(new Lane("soda", LaneKind.DOSER, "soda", LaneState.ON, LaneState.OFF))),
            Map.entry(
                    Kind.AFTER_POWER_UNSAFE,
                    () -> instead(
                            new Lane("path", LaneKind.AIR_PATH, "air", LaneState.FRESH, LaneState.recirculated(0.05)))),
            Map.entry(Kind.HOLD_TOO_LONG, () -> rules())));

    private static Known knownOf(Kind kind) {
        if (kind != Kind.HOLD_TOO_LONG) {
            return Known.NOTHING;
        }
        var from = DAY.atTime(18, 0).atZone(PARIS).toInstant();
        return new Known(
                Map.of(),
                List.of(new Known.Hold("flow", LaneState.OFF, from, from.plus(Duration.ofHours(2)))),
                List.of());
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void isFoundAndMended(Kind kind) {
        Supplier<Schedule> wrong = CASES.get(kind);
        assertThat(wrong).isNotNull();
        List<Conflict> found = Conflicts.of(wrong.get(), DAY, knownOf(kind));
        assertThat(found).as(found.toString()).extracting(Conflict::kind).containsOnly(kind);
        assertThat(found.get(0).because()).isNotBlank();
        for (Conflict conflict : found) {
            for (Conflict.WayOut out : conflict.waysOut()) {
                assertThat(Conflicts.of(out.mended(), DAY, knownOf(kind)))
                        .as(out.what())
                        .extracting(Conflict::kind)
                        .doesNotContain(kind);
            }
        }
        // Only what nobody can decide for its keeper has no way out.
        assertThat(found.get(0).waysOut().isEmpty()).isEqualTo(kind == Kind.MEDIA_DROWN || kind == Kind.HOLD_TOO_LONG);
    }

    @Test
    void isFoundWhereItIs() {
        Conflict still = of(CASES.get(Kind.STILL_WATER).get()).get(0);
        assertThat(still.from()).isEqualTo(DAY.atTime(12, 0).atZone(PARIS).toInstant());
        assertThat(still.until()).isEqualTo(DAY.atTime(12, 6).atZone(PARIS).toInstant());
        Conflict surges = of(CASES.get(Kind.NO_SURGES).get()).get(0);
        assertThat(surges.from()).isEqualTo(DAY.atTime(20, 0).atZone(PARIS).toInstant());
        // Four minutes for feeding are none.
        assertThat(of(rules(
                        new Special("return", "pause", LaneState.OFF), new Special("flow", "pause", LaneState.OFF))))
                .isEmpty();
    }

    /** The night's recirculation with a little fresh air lasts thirteen hours: media dry by day. */
    @Test
    void aNightOfRecirculatedAirIsNoConflict() {
        assertThat(of(rules(new Special("path", "night", LaneState.recirculated(0.03)))))
                .isEmpty();
    }

    /** All day without fresh air: both are shown, one of them forbids it. */
    @Test
    void allDayRecirculatedShowsBoth() {
        List<Conflict> found = of(rules(new Usual("path", "most", LaneState.recirculated(0))));
        assertThat(found).extracting(Conflict::kind).containsExactlyInAnyOrder(Kind.CLOSED_LOOP, Kind.MEDIA_DROWN);
        assertThat(found).anyMatch(c -> c.kind().forbids());
    }

    @Test
    void limewaterBringsItsOwnCalcium() {
        Lane lime = new Lane(
                "soda", LaneKind.DOSER, "lime", LaneState.OFF, LaneState.OFF, new Lane.Doses(Solute.LIMEWATER, null));
        Schedule p = instead(lime)
                .and(new Special("soda", "soda", LaneState.ON))
                .and(new Special("calcium", "soon", LaneState.ON));
        assertThat(of(p)).isEmpty();
    }

    /** From lamps-off at 21 to lamps-on at 10 are thirteen hours, over midnight: 24 doses by the hour leave eleven out. */
    @Test
    void dosesAreSpreadOverTheTimeThatTheyMayHave() {
        Conflict found = of(CASES.get(Kind.DOSES_LEFT_OUT).get()).get(0);
        assertThat(found.because()).startsWith("11 of the 24 doses of soda");
        Lane spread = found.waysOut().get(0).mended().lanes().stream()
                .filter(l -> l.id().equals("soda"))
                .findFirst()
                .orElseThrow();
        assertThat(spread).isEqualTo(dosed(SODA, 24, "21:00", 13));
    }

    /** At 22:00 soda and at 22:14 calcium; at 22:15 they are far enough apart. */
    @Test
    void singleDosesMeetWithinAQuarterOfAnHour() {
        for (String calcium : List.of("22:14", "22:15", "21:46", "21:45")) {
            Schedule p = instead(dosed(SODA, 1, "22:00", 1))
                    .with(dosed(CALCIUM, 1, calcium, 1))
                    .and(new Usual("soda", "night", LaneState.ON))
                    .and(new Usual("calcium", "night", LaneState.ON));
            assertThat(of(p).stream().anyMatch(c -> c.kind() == Kind.ALKALINITY_BESIDE_CALCIUM))
                    .as(calcium)
                    .isEqualTo(calcium.endsWith("4") || calcium.endsWith("6"));
        }
    }

    /** 200 schedules as keepers have them: whatever their hours, nothing is found. */
    @Test
    void soundSchedulesHaveNone() {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < 200; i++) {
            Schedule p = sound(random);
            assertThat(of(p)).as(p.toString()).isEmpty();
        }
    }

    private static Schedule sound(SplittableRandom random) {
        int evening = 17 * 60 + random.nextInt(120);
        List<Window> windows = new ArrayList<>(List.of(
                minutes("night", 22 * 60, 6 * 60 + random.nextInt(120)),
                minutes("bubbles", evening, evening + 30 + random.nextInt(60)),
                minutes("soda", 1 + random.nextInt(120), 150),
                minutes("calcium", 9 * 60, 9 * 60 + 5 + random.nextInt(60)),
                minutes("pause", 12 * 60, 12 * 60 + 1 + random.nextInt(4))));
        List<Rule> rules = new ArrayList<>(List.of(
                new Usual("flow", "night", LaneState.share(0.3 + random.nextDouble() / 2)),
                new Special("path", "night", LaneState.recirculated(0.02 + random.nextDouble() / 5)),
                new Gate("path", null, LOW_PH, LaneState.media(), LaneState.FRESH),
                new Special("soda", "soda", LaneState.ON),
                new Special("calcium", "calcium", LaneState.ON),
                new Special("stone", "bubbles", LaneState.ON),
                new Special("flow", "bubbles", random.nextBoolean() ? WAVE : LaneState.OFF),
                surges("flow")));
        if (random.nextBoolean()) {
            rules.add(new Special("return", "pause", LaneState.OFF));
            rules.add(new Special("flow", "pause", LaneState.OFF));
        }
        return new Schedule(PARIS, LAMPS, LANES, windows, rules);
    }

    private static Window minutes(String id, int from, int until) {
        return Window.daily(id, id, clock(from), clock(until));
    }

    private static Edge clock(int minute) {
        return new Edge.AtClock(LocalTime.MIN.plusMinutes(minute));
    }
}
