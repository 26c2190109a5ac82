package jollytide.core.unnoted;

import java.util.Arrays;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.Unknown;
import jollytide.core.measure.Setup;
import org.jspecify.annotations.Nullable;

/** What may have changed of a tank so that the course of its days is another from then on. */
public enum Cause {
    SKIMMER(Unknown.SKIMMER, Math.log(0.5), Math.log(20)),
    SURFACES(Unknown.SURFACES, Math.log(0.5), Math.log(20)),
    RESPIRATION(Unknown.RESPIRATION, Math.log(1.3), Math.log(10)),
    PHOTOSYNTHESIS(Unknown.PHOTOSYNTHESIS, Math.log(0.75), Math.log(10)),
    LAMPS(Unknown.LAMPS, 0.5, 5),
    /** All hours alike: the probe, or an alkalinity that no test has seen. Its size is in pH. */
    LEVEL(null, 0.05, 1);

    private final @Nullable Unknown unknown;
    private final double step;
    private final double most;

    /**
     * @param step by which its shape is found: about as much as matters
     * @param most so far it is looked for, up or down
     */
    Cause(@Nullable Unknown unknown, double step, double most) {
        this.unknown = unknown;
        this.step = step;
        this.most = most;
    }

    double step() {
        return step;
    }

    double most() {
        return most;
    }

    /** Whether its size is the natural logarithm of a factor. */
    public boolean factor() {
        return unknown != null && unknown.factor();
    }

    /** A size as it is said: a factor, or in its unit. */
    double shown(double size) {
        return factor() ? Math.exp(size) : size;
    }

    Estimate shown(Estimate size) {
        return new Estimate(shown(size.value()), shown(size.low()), shown(size.high()));
    }

    /** Whether such a tank has it. */
    boolean possible(FittedTank fitted) {
        return unknown == null || fitted.unknowns().contains(unknown);
    }

    /**
     * What the probe would have shown at the moments of the log's readings, had this been of another size all along.
     *
     * @param shown what the tank as it is fitted shows then
     * @throws jollytide.core.units.InputException when that tank leaves what water can be
     */
    double[] shown(TankLog log, Setup setup, FittedTank fitted, double[] shown, double size) {
        return unknown == null
                ? Arrays.stream(shown).map(ph -> ph + size).toArray()
                : log.shownBy(setup, fitted.moved(unknown, size)).stream()
                        .mapToDouble(Reading::value)
                        .toArray();
    }
}
