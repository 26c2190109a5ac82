package jollytide.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;

/** Values drawn at random from a seed: the same on every machine. The first tries are the ends of the ranges. */
public final class Drawn {
    private final Random random;
    private final int attempt;
    private final List<Object> values = new ArrayList<>();

    private Drawn(Random random, int attempt) {
        this.random = random;
        this.attempt = attempt;
    }

    /** Checks so many draws; the one that fails is reported with its values. */
    public static void times(int tries, long seed, Consumer<Drawn> check) {
        Random random = new Random(seed);
        for (int i = 0; i < tries; i++) {
            Drawn draw = new Drawn(random, i);
            try {
                check.accept(draw);
            } catch (AssertionError | RuntimeException e) {
                throw new AssertionError("draw " + i + " of seed " + seed + ": " + draw.values, e);
            }
        }
    }

    public double between(double min, double max) {
        double share = random.nextDouble();
        double value = attempt == 0 ? min : attempt == 1 ? max : min + share * (max - min);
        values.add(value);
        return value;
    }

    @SafeVarargs
    public final <T> T of(T... all) {
        T one = all[random.nextInt(all.length)];
        values.add(one);
        return one;
    }
}
