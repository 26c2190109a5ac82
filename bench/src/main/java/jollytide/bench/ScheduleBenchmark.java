package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import jollytide.core.reef.LightClock;
import jollytide.core.schedule.Conflict;
import jollytide.core.schedule.Conflicts;
import jollytide.core.schedule.Edge;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.Lane;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.LaneState;
import jollytide.core.schedule.Rule;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Verdict;
import jollytide.core.schedule.Window;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A day of 50 lanes by 200 rules in 50 windows: its conflicts, and all lanes at one moment. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ScheduleBenchmark {
    private static final int LANES = 50;
    private static final int WINDOWS = 50;
    private static final int RULES = 200;
    private static final ZoneId ZONE = ZoneId.of("Europe/Paris");
    private static final LocalDate DAY = LocalDate.of(2026, 11, 12);
    private static final Instant EVENING = DAY.atTime(19, 37).atZone(ZONE).toInstant();

    private final Schedule schedule = schedule();
    private final Schedule.Running running = schedule.over(DAY, DAY);

    private static Schedule schedule() {
        SplittableRandom random = new SplittableRandom(5);
        List<Lane> lanes = IntStream.range(0, LANES)
                .mapToObj(i -> new Lane(
                        "l" + i,
                        i % 2 == 0 ? LaneKind.FLOW_PUMP : LaneKind.AIR_PUMP,
                        "l" + i,
                        LaneState.ON,
                        LaneState.ON))
                .toList();
        List<Window> windows = IntStream.range(0, WINDOWS)
                .mapToObj(i -> Window.daily("w" + i, "w" + i, clock(random), clock(random)))
                .toList();
        List<Rule> rules = new ArrayList<>();
        for (int i = 0; i < RULES; i++) {
            String lane = "l" + random.nextInt(LANES);
            String window = "w" + random.nextInt(WINDOWS);
            LaneState state = LaneState.wave(Duration.ofMinutes(5), Duration.ofSeconds(30 + random.nextInt(30)));
            rules.add(i % 2 == 0 ? new Rule.Usual(lane, window, state) : new Rule.Special(lane, window, state));
        }
        LightClock lamps = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 0);
        return new Schedule(ZONE, lamps, lanes, windows, rules);
    }

    private static Edge clock(SplittableRandom random) {
        return new Edge.AtClock(LocalTime.ofSecondOfDay(random.nextInt(86_400)));
    }

    @Benchmark
    public List<Conflict> conflicts() {
        return Conflicts.of(schedule, DAY, Known.NOTHING);
    }

    @Benchmark
    public List<Verdict> playhead() {
        return schedule.lanes().stream()
                .map(lane -> running.at(lane.id(), EVENING, Known.NOTHING))
                .toList();
    }
}
