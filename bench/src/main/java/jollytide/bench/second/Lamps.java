package jollytide.bench.second;

import java.util.random.RandomGenerator;

/**
 * Light over a tank as a share of its most, each step.
 *
 * @param on hour of the day
 * @param off hour of the day
 * @param rampH what the lamps need to be full, and to go out
 */
record Lamps(Shape shape, double on, double off, double rampH, double[] light) {
    /** How it rises and falls. */
    enum Shape {
        SQUARE,
        RAMP,
        BELL,
        /** Lamps, and a window behind them that has clouds. */
        DAYLIGHT
    }

    static Lamps of(RandomGenerator random, int steps) {
        Shape shape = Shape.values()[random.nextInt(Shape.values().length)];
        double on = 8 + random.nextInt(5);
        double off = 20 + random.nextInt(3);
        double ramp = shape == Shape.RAMP ? 0.5 * (1 + random.nextInt(4)) : 0;
        boolean dips = random.nextInt(4) == 0;
        double window = shape == Shape.DAYLIGHT ? Steps.between(random, 0.1, 0.35) : 0;
        double[] clouds = Steps.wandering(random, steps, 1, 2);
        double[] light = new double[steps];
        for (int i = 0; i < steps; i++) {
            double hour = Steps.hourOfDay(i);
            double lamps = shape == Shape.BELL ? bell(hour, on, off) : trapezium(hour, on, off, ramp);
            // A pause at midday that some keepers give their algae.
            double dip = dips && hour >= 13 && hour < 14 ? 0.5 : 1;
            double day = bell(hour, 7, 19) / (1 + Math.exp(-1.5 * clouds[i]));
            light[i] = (1 - window) * lamps * dip + window * day;
        }
        return new Lamps(shape, on, off, ramp, light);
    }

    private static double bell(double hour, double on, double off) {
        return hour <= on || hour >= off ? 0 : Math.pow(Math.sin(Math.PI * (hour - on) / (off - on)), 1.2);
    }

    private static double trapezium(double hour, double on, double off, double ramp) {
        if (hour < on || hour >= off) {
            return 0;
        }
        return ramp == 0 ? 1 : Math.min(1, Math.min((hour - on) / ramp, (off - hour) / ramp));
    }
}
