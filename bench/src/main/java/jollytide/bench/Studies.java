package jollytide.bench;

import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.DoubleStream;

/** What studies over many tanks share. */
public final class Studies {
    private Studies() {}

    /** A tank's own draws, far apart for seeds that are near. */
    public static RandomGenerator random(long seed, int tank) {
        return new SplittableRandom(new SplittableRandom(seed * 1_000_003 + tank).nextLong());
    }

    /** NaN of nothing. */
    public static double median(DoubleStream values) {
        double[] sorted = values.sorted().toArray();
        return sorted.length == 0 ? Double.NaN : sorted[sorted.length / 2];
    }
}
