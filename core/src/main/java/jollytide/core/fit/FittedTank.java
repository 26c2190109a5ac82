package jollytide.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.measure.Setup;
import org.hipparchus.linear.CholeskyDecomposition;
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
    /** What is said where no reef is behind a log. */
    public static final String NO_REEF =
            "No realistic reef matches your pH in this air. Check the probe, the room meter, the alkalinity "
                    + "test, and the description of surfaces and skimmer.";
    /** Narrower than this of what it was: the log had something to say. */
    private static final double LEARNT = 0.67;
    /** From this correlation on two unknowns fit as well together. From memory. */
    private static final double ALIKE = 0.7;

    private static final int MOST_PAIRS = 4;
    /** A covariance is symmetric and positive up to rounding. */
    static final double SYMMETRIC = 1e-9;

    static final double POSITIVE = 1e-14;
    /** A reef that makes more than this of what it breathes would soon have no CO2 left. From memory. */
    static final double MOST_PRODUCTION = 2;
    /** Readings that stray so far from every tank are not of this one, pH. From memory. */
    private static final double MOST_LEFT_PH = 0.08;
    /** An unknown so far from what is expected is no reef's, in prior standard deviations. From memory. */
    private static final double MOST_DEVIATIONS = 4.5;

    /** An unknown after the log: its size and one standard deviation, beside the one before. */
    public record Learned(Unknown unknown, double size, double deviation, double before) {
        /** What holds it in nine of ten tanks, as a factor or as it is. */
        public Estimate after90() {
            return band(size, deviation);
        }

        /** The same before the log was looked at. */
        public Estimate before90() {
            return band(0, before);
        }

        /** Whether the log narrowed it by more than a third. */
        public boolean learnt() {
            return deviation < LEARNT * before;
        }

        private Estimate band(double middle, double sd) {
            return new Estimate(shown(middle), shown(middle - Edges.NINETY * sd), shown(middle + Edges.NINETY * sd));
        }

        private double shown(double value) {
            return unknown.factor() ? Math.exp(value) : value;
        }
    }

    public List<Learned> learned() {
        return IntStream.range(0, unknowns.size())
                .mapToObj(i -> new Learned(
                        unknowns.get(i), size.getEntry(i), Math.sqrt(covariance.getEntry(i, i)), prior.get(i)))
                .toList();
    }

    /** What a factor of this unknown is a factor of; 1 where it is shown as such. */
    public double unit(Unknown unknown) {
        return switch (unknown) {
            case RESPIRATION -> expected.respirationMmolPerLPerH();
            case PHOTOSYNTHESIS -> expected.photosynthesisMmolPerLPerH();
            default -> 1;
        };
    }

    /** What is left between readings and the most probable tank, standard deviation. */
    public double scatterPh() {
        return freshPh / Math.sqrt(1 - persistence * persistence);
    }

    /** Pairs of which the log tells only that they go together, in words; the closest first. */
    public List<String> alike() {
        record Pair(double correlation, int a, int b) {}
        List<Pair> pairs = new ArrayList<>();
        for (int a = 0; a < unknowns.size(); a++) {
            for (int b = a + 1; b < unknowns.size(); b++) {
                double correlation =
                        covariance.getEntry(a, b) / Math.sqrt(covariance.getEntry(a, a) * covariance.getEntry(b, b));
                if (Math.abs(correlation) > ALIKE) {
                    pairs.add(new Pair(correlation, a, b));
                }
            }
        }
        return pairs.stream()
                .sorted(Comparator.comparingDouble(p -> -Math.abs(p.correlation)))
                .limit(MOST_PAIRS)
                .map(p -> unknowns.get(p.a).with(unknowns.get(p.b), p.correlation > 0))
                .toList();
    }

    /** What a tank's reef makes in a day, over what reef and fish breathe. */
    static double production(Setup setup, TankParameters tank) {
        double fish = setup.life().fish().oxygenMmolPerH(setup.water().temperatureC()) / setup.netVolumeL();
        return tank.photosynthesisMmolPerLPerH()
                * setup.light().litHours()
                / (24 * (tank.respirationMmolPerLPerH() + fish));
    }

    /** Why nobody keeps such a tank, so that log or description must be wrong; null when it is plausible. */
    public @Nullable String implausible(Setup setup) {
        if (left.isEmpty()) {
            return null;
        }
        double production = production(setup, likely());
        if (production > MOST_PRODUCTION) {
            return String.format(
                    Locale.ROOT,
                    "By this log, photosynthesis would be %.1f times respiration. No reef does that. Check the "
                            + "room meter and the probe.",
                    production);
        }
        double furthest = learned().stream()
                .mapToDouble(l -> Math.abs(l.size()) / l.before())
                .max()
                .orElse(0);
        if (scatterPh() > MOST_LEFT_PH || furthest > MOST_DEVIATIONS) {
            return NO_REEF;
        }
        return null;
    }

    /** The most probable tank. */
    public TankParameters likely() {
        return at(size);
    }

    /**
     * The most probable tank, then others, each a standard deviation from it in a direction of its own: the sum of the
     * squares by which what they show differs from what the first shows is the variance of that (first order).
     */
    public List<TankParameters> apart() {
        return neighbours().stream().map(FittedTank::likely).distinct().toList();
    }

    /** This one, then the same with others of those tanks as its most probable. */
    public List<FittedTank> neighbours() {
        RealMatrix lower = new CholeskyDecomposition(covariance, SYMMETRIC, POSITIVE).getL();
        return IntStream.range(-1, lower.getColumnDimension())
                .mapToObj(j -> j < 0 ? this : with(size.add(lower.getColumnVector(j))))
                .toList();
    }

    private FittedTank with(RealVector sizes) {
        return new FittedTank(expected, unknowns, prior, sizes, covariance, left, persistence, freshPh, dispersion);
    }

    /** The most probable tank with one unknown that is by so much another; as it is where that is none of its unknowns. */
    public TankParameters moved(Unknown unknown, double by) {
        RealVector moved = size.copy();
        if (unknowns.contains(unknown)) {
            moved.addToEntry(unknowns.indexOf(unknown), by);
        }
        return at(moved);
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
                expected.roomExcessFactor() * Math.exp(size.applyAsDouble(Unknown.ROOM_EXCESS)),
                expected.airChangesFactor() * Math.exp(size.applyAsDouble(Unknown.AIR_CHANGES)),
                expected.lampsLateH() + size.applyAsDouble(Unknown.LAMPS),
                expected.useFactor() * Math.exp(size.applyAsDouble(Unknown.USE)),
                expected.intakeOddsFactor() * Math.exp(size.applyAsDouble(Unknown.INTAKE)));
    }
}
