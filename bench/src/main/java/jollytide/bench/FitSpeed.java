package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TemperatureCourse;
import jollytide.core.fit.TwinFit;
import jollytide.core.measure.MeasureSet;

/** How long a fit of so many days takes on one core; the tanks and their sensors are those of {@link FitStudy}. */
public final class FitSpeed {
    private static final int FURTHER_DAYS = 14;
    private static final int DAYS = SimulatedTank.DAYS + FURTHER_DAYS;
    private static final int[] LENGTHS = {10, 14, DAYS};

    private FitSpeed() {}

    public static void main(String[] args) {
        int n = args.length > 0 ? Integer.parseInt(args[0]) : 10;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        List<SimulatedTank> tanks = new SplittableRandom(seed)
                .splits(n)
                .map(random -> SimulatedTank.livable(random, false, SimulatedTank.Kind.PLAIN, FURTHER_DAYS, 1))
                .toList();
        // What the machine compiles at first is not the fit's.
        seconds(tanks.get(0), DAYS, true);
        for (boolean warmed : new boolean[] {false, true}) {
            for (int days : LENGTHS) {
                double[] took = tanks.stream()
                        .mapToDouble(tank -> seconds(tank, days, warmed))
                        .sorted()
                        .toArray();
                System.out.printf(
                        Locale.ROOT,
                        "fit of %d days%s: median %.1f s, longest %.1f s (%d tanks, seed %d)%n",
                        days,
                        warmed ? ", temperature read" : "",
                        took[n / 2],
                        took[n - 1],
                        n,
                        seed);
            }
        }
    }

    /** Half a kelvin warmer by day than by night. */
    private static TemperatureCourse warmth(SimulatedTank tank) {
        return new TemperatureCourse(
                SimulatedTank.START,
                IntStream.range(0, 24 * DAYS)
                        .mapToObj(h -> tank.described().water().temperatureC() - 0.25 * Math.cos(h * Math.PI / 12))
                        .toList());
    }

    private static double seconds(SimulatedTank tank, int days, boolean warmed) {
        Instant logged = SimulatedTank.START.plus(Duration.ofDays(SimulatedTank.DAYS));
        Instant end = SimulatedTank.START.plus(Duration.ofDays(DAYS));
        List<Reading> ph = tank.probe().changed(tank, MeasureSet.NONE, logged, end).stream()
                .filter(r -> !r.at().isBefore(end.minus(Duration.ofDays(days))))
                .toList();
        long begun = System.nanoTime();
        TwinFit.of(tank.described(), TankParameters.ORDINARY, tank.log(ph), Priors.ASSUMED, TwinFit.Progress.NONE);
        return (System.nanoTime() - begun) / 1e9;
    }
}
