package jollytide.core.fit;

import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import jollytide.core.description.Setup;
import jollytide.core.description.TankParameters;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a tank, after its log or without one.
 *
 * @param expected of a tank of its kind, as described
 * @param unknowns in the order of what follows
 * @param prior one standard deviation before the log, in each unknown's own unit
 * @param size the most probable, likewise
 * @param covariance of the sizes after the log
 * @param left what the readings of pH show more than the most probable tank
 * @param persistence of that over half an hour, 0 to below 1
 * @param freshPh what is new of it each half hour, standard deviation
 * @param dispersion by how much the days differ more than that, as a factor on variances
 */
public record FittedTank(
        TankParameters expected,
        List<Unknown> unknowns,
        List<Double> prior,
        RealVector size,
        RealMatrix covariance,
        List<Reading> left,
        double persistence,
        double freshPh,
        double dispersion) {
    /** A reef that makes more than this of what it breathes would soon have no CO2 left. From memory. */
    private static final double MOST_PRODUCTION = 2.5;
    /** Readings that stray so far from every tank are not of this one, pH. From memory. */
    private static final double MOST_LEFT_PH = 0.08;
    /** An unknown so far from what is expected is no reef's, in prior standard deviations. From memory. */
    private static final double MOST_DEVIATIONS = 4.5;

    /** An unknown after the log: its size and one standard deviation, beside the one before. */
    public record Learned(Unknown unknown, double size, double deviation, double before) {}

    public List<Learned> learned() {
        return IntStream.range(0, unknowns.size())
                .mapToObj(i -> new Learned(
                        unknowns.get(i), size.getEntry(i), Math.sqrt(covariance.getEntry(i, i)), prior.get(i)))
                .toList();
    }

    /** Why nobody keeps such a tank, so that log or description must be wrong; null when it is plausible. */
    public @Nullable String implausible(Setup setup) {
        if (left.isEmpty()) {
            return null;
        }
        TankParameters found = likely();
        double made = found.photosynthesisMmolPerLPerH() * setup.light().litHours();
        double breathed = found.respirationMmolPerLPerH() * 24
                + setup.life().fish().oxygenMmolPerH(setup.water().temperatureC()) / setup.netVolumeL() * 24;
        if (made > MOST_PRODUCTION * breathed) {
            return String.format(
                    Locale.ROOT,
                    "The log would have this tank’s photosynthesis at %.1f times its respiration, which no reef keeps"
                            + " up: check the room meter and the probe.",
                    made / breathed);
        }
        double scatter = freshPh / Math.sqrt(1 - persistence * persistence);
        double furthest = learned().stream()
                .mapToDouble(l -> Math.abs(l.size()) / l.before())
                .max()
                .orElse(0);
        if (scatter > MOST_LEFT_PH || furthest > MOST_DEVIATIONS) {
            return "No plausible reef gives these days of pH in this air: check the probe, the room meter, the alkalinity"
                    + " test, and what is described of surfaces and skimmer.";
        }
        return null;
    }

    /** The most probable tank. */
    public TankParameters likely() {
        return at(size);
    }

    /** The tank with such sizes. */
    TankParameters at(RealVector sizes) {
        return tank(expected, unknown -> {
            int i = unknowns.indexOf(unknown);
            return i < 0 ? 0 : sizes.getEntry(i);
        });
    }

    static TankParameters tank(TankParameters expected, ToDoubleFunction<Unknown> size) {
        return new TankParameters(
                expected.skimmerFactor() * Math.exp(size.applyAsDouble(Unknown.SKIMMER)),
                expected.surfaceFactor() * Math.exp(size.applyAsDouble(Unknown.SURFACES)),
                expected.respirationMmolPerLPerH() * Math.exp(size.applyAsDouble(Unknown.RESPIRATION)),
                expected.photosynthesisMmolPerLPerH() * Math.exp(size.applyAsDouble(Unknown.PHOTOSYNTHESIS)),
                expected.alkalinityOffMeqPerL() + size.applyAsDouble(Unknown.ALKALINITY),
                expected.roomOffPpm() + size.applyAsDouble(Unknown.ROOM),
                expected.airChangesFactor() * Math.exp(size.applyAsDouble(Unknown.AIR_CHANGES)),
                expected.lampsLateH() + size.applyAsDouble(Unknown.LAMPS));
    }
}
