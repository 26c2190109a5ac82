package jollytide.bench.second;

import java.util.random.RandomGenerator;

/**
 * A room whose air is one well-mixed volume: V dC/dt = sources − n V (C − C outdoors).
 *
 * @param sourceLPerH of CO2, each step: people, guests, a gas hob
 * @param changesPerH of its air, each step: leaks, wind, a window opened in the morning
 */
record Home(double volumeM3, double[] sourceLPerH, double[] changesPerH) {
    static final double OUTDOORS = 420;
    /** What an adult at rest gives off, L/h (Persily and de Jonge 2017 come near to it). */
    private static final double AWAKE = 16;

    private static final double ASLEEP = 12;
    /** A burner of 2 kW on natural gas, L/h of CO2. */
    private static final double BURNER = 200;

    private static final double GUESTS = 4;

    static Home of(RandomGenerator random, int steps) {
        double volume = Steps.between(random, 60, 220);
        double people = 1 + random.nextInt(4);
        double leaks = Steps.around(random, 0.3, 0.4);
        boolean gas = random.nextInt(5) < 2;
        boolean airs = random.nextInt(3) == 0;
        double[] wind = Steps.wandering(random, steps, 0.3, 18);
        double[] source = new double[steps];
        double[] changes = new double[steps];
        boolean guests = false;
        boolean aired = false;
        for (int i = 0; i < steps; i++) {
            double hour = Steps.hourOfDay(i);
            int weekday = i / Steps.A_DAY % 7;
            if (i % Steps.A_DAY == 0) {
                guests = weekday >= 5 && random.nextInt(3) == 0;
                aired = airs && random.nextInt(3) > 0;
            }
            boolean away = weekday < 5 ? hour >= 8 && hour < 17 : weekday == 5 && hour >= 13 && hour < 16;
            boolean asleep = hour < 7 || hour >= 23;
            source[i] = (away ? 0 : people * (asleep ? ASLEEP : AWAKE))
                    + (guests && hour >= 19 && hour < 23 ? GUESTS * AWAKE : 0)
                    + (gas && hour >= 18 && hour < 18.75 ? BURNER : 0);
            changes[i] = leaks * Math.exp(wind[i]) + (aired && hour >= 7 && hour < 7.5 ? 5 : 0);
        }
        return new Home(volume, source, changes);
    }

    /**
     * Dry ppm at each step.
     *
     * @param times so much more air comes through
     */
    double[] ppm(double times) {
        double[] ppm = new double[sourceLPerH.length];
        double now = OUTDOORS + 200;
        for (int i = 0; i < ppm.length; i++) {
            ppm[i] = now;
            double n = times * changesPerH[i];
            double rests = OUTDOORS + sourceLPerH[i] / volumeM3 * 1000 / n;
            now = rests + (now - rests) * Math.exp(-n * Steps.HOURS);
        }
        return ppm;
    }
}
