package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.TimeUnit;
import jollytide.core.bench.DailyAir;
import jollytide.core.bench.Forecast;
import jollytide.core.bench.Living;
import jollytide.core.bench.Remedies;
import jollytide.core.bench.Setup;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.TwinState;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One week of a tank on the bench, a sample every quarter of an hour, one thread. Score: ms for a week. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class TwinBenchmark {
    private final Forecast forecast = new Forecast(
            new Setup(
                    420,
                    new Seawater(35, 25.5),
                    3.03,
                    1013.25,
                    List.of(new Surface(0.9, SurfaceClass.ROLLING)),
                    new Skimmer(500),
                    420,
                    DailyAir.constant(800),
                    new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
                    ZoneId.of("Europe/Amsterdam")),
            Living.ORDINARY);

    private final TwinState today = forecast.today(Instant.parse("2026-11-12T23:00:00Z"));

    @Benchmark
    public double week() {
        List<TwinState> run = forecast.run(today, Remedies.NONE, Duration.ofDays(7));
        return run.get(run.size() - 1).phNbs();
    }
}
