package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import jollytide.core.air.Enclosure;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Fall;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.measure.Ventilation;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
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

/**
 * One week of a tank with everything on it, a sample every quarter of an hour, one thread. Score: ms for a week. As a
 * program of its own it runs many such weeks, each another variant, on all cores.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class TwinBenchmark {
    private static final Instant START = Instant.parse("2026-11-12T23:00:00Z");
    private static final MeasureSet MEDIA = media(1);

    private final OrdinaryDays forecast = new OrdinaryDays(fullTank(), TankParameters.ORDINARY);
    private final TwinState today = forecast.today(START);

    /** The room as measured, nothing placed. */
    @Benchmark
    public double week() {
        return last(forecast.run(today, MeasureSet.NONE, Duration.ofDays(7)));
    }

    /** Media that fill up and drown, and a room that follows another ventilation. */
    @Benchmark
    public double weekWithMediaAndWindow() {
        return last(forecast.run(today, MEDIA, Duration.ofDays(7)));
    }

    private static double last(List<TwinState> run) {
        return run.get(run.size() - 1).phNbs();
    }

    private static MeasureSet media(double ventilation) {
        return MeasureSet.of(
                new Scrubber(new Media(1, MediaAssumptions.DEFAULT), 0.2, MediaUse.Hours.LAMPS_OFF, 8.2, true),
                new Ventilation(1 + ventilation));
    }

    private static Setup fullTank() {
        Life life = new Life(
                0.016,
                0.034,
                Life.ASSUMED_SATURATION,
                3,
                new Fish(List.of(new Fish.Group(6, 20))),
                Fish.ACTIVE,
                0.3,
                1);
        LightClock lamps = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30);
        return new Setup(
                420,
                new Seawater(35, 25.5),
                3.03,
                1013.25,
                List.of(
                        OpenPath.surface("display", Air.CANOPY, new Surface(0.7, SurfaceClass.ROLLING)),
                        OpenPath.surface("sump", Air.CABINET, new Surface(0.2, SurfaceClass.BROKEN)),
                        OpenPath.fall("drain", Air.CABINET, new Fall(2000, Fall.ASSUMED_EFFICIENCY))),
                new Enclosure(3000),
                new Enclosure(3000),
                new Skimmer(500),
                true,
                null,
                420,
                new RoomDay(
                        new DailyAir(IntStream.range(0, 24)
                                .mapToObj(h -> h < 8 ? 1100.0 : 700.0)
                                .toList()),
                        0.5),
                lamps,
                life,
                AlkalinitySource.SODA_ASH,
                new CalciumReactor(1, 6.7, 11, 0, 0),
                new LightClock(LocalTime.of(21, 0), LocalTime.of(9, 0), true, 0),
                ZoneId.of("Europe/Amsterdam"),
                OutageAssumptions.DEFAULT);
    }

    /** Runs so many one-week variants on all cores and prints how long it took and what it held in memory. */
    public static void main(String[] args) {
        int variants = Integer.parseInt(args[0]);
        OrdinaryDays forecast = new OrdinaryDays(fullTank(), TankParameters.ORDINARY);
        TwinState today = forecast.today(START);
        long start = System.nanoTime();
        double sum = IntStream.range(0, variants)
                .parallel()
                .mapToDouble(i -> last(forecast.run(today, media(1 + 4.0 * i / variants), Duration.ofDays(7))))
                .sum();
        double seconds = (System.nanoTime() - start) / 1e9;
        Runtime.getRuntime().gc();
        long held = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
        System.out.printf(
                "%d one-week variants: %.1f s on %d cores, %d MB held after, mean pH %.3f%n",
                variants, seconds, Runtime.getRuntime().availableProcessors(), held >> 20, sum / variants);
    }
}
