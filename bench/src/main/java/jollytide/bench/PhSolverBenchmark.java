package jollytide.bench;

import java.util.concurrent.TimeUnit;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Seawater;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** pH from alkalinity and DIC at fixed salinity and temperature, one thread. Score: solves per second. */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.SECONDS)
@Fork(2)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class PhSolverBenchmark {
    private static final int SOLVES = 10_000;

    private final CarbonateSystem system = CarbonateSystem.of(new Seawater(35, 25.5));

    /** Waters all over the physical range, each from a cold start. */
    @Benchmark
    @OperationsPerInvocation(SOLVES)
    public double cold() {
        double sum = 0;
        for (int i = 0; i < SOLVES; i++) {
            double alkalinity = 0.5e-3 + (i % 89) * 80e-6;
            double dic = 0.3e-3 + (i % 97) * 75e-6;
            sum += system.phTotal(alkalinity, dic, Double.NaN);
        }
        return sum;
    }

    /** A day's drift, each from the last root, as a simulation asks. */
    @Benchmark
    @OperationsPerInvocation(SOLVES)
    public double warm() {
        double sum = 0;
        double ph = 8;
        for (int i = 0; i < SOLVES; i++) {
            ph = system.phTotal(2.9e-3, 2.7e-3 + 1e-4 * Math.sin(i * 1e-3), ph);
            sum += ph;
        }
        return sum;
    }
}
