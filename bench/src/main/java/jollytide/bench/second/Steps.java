package jollytide.bench.second;

import java.util.random.RandomGenerator;

/** The grid of time on which the second world runs, and noises along it. */
final class Steps {
    static final double HOURS = 1 / 12.0;
    static final int A_DAY = 288;

    private Steps() {}

    static double hourOfDay(int step) {
        return step % A_DAY * HOURS;
    }

    /**
     * Noise around 0 that keeps to itself for some hours: a first-order autoregression.
     *
     * @param deviation in the long run
     */
    static double[] wandering(RandomGenerator random, int steps, double deviation, double hours) {
        double kept = Math.exp(-HOURS / hours);
        double fresh = deviation * Math.sqrt(1 - kept * kept);
        double[] all = new double[steps];
        double now = deviation * random.nextGaussian();
        for (int i = 0; i < steps; i++) {
            all[i] = now;
            now = kept * now + fresh * random.nextGaussian();
        }
        return all;
    }

    /** A number evenly drawn. */
    static double between(RandomGenerator random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** One around a middle, its logarithm normal. */
    static double around(RandomGenerator random, double middle, double lnDeviation) {
        return middle * Math.exp(lnDeviation * random.nextGaussian());
    }
}
