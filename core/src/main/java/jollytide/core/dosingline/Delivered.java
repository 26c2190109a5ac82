package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Estimate;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * How much of what was planned left a reservoir between two fillings or changes of the line: the straight line through its
 * levels against what was planned by then, by generalised least squares, for each level was read with an error of its own
 * and all later ones share what a dose was off by.
 *
 * @param share with its 90 % band, 1 for all of it
 * @param fallsShort whether it is surely below {@link #ENOUGH}
 * @param tooMuch whether it is surely above what {@link #ENOUGH} is below
 */
public record Delivered(
        Instant from,
        Instant until,
        List<ReservoirLevel> levels,
        double plannedMl,
        Estimate share,
        boolean fallsShort,
        boolean tooMuch) {
    /** Below this share something is wrong with a line; pumps between 97 and 103 % are healthy. Common practice. */
    public static final double ENOUGH = 0.95;

    /** As planned is said only where a tenth too little or too much is as good as ruled out. From memory. */
    private static final double WRONG_BY = 0.1;

    /** By how much a day's dose differs from another's, as a share of it. From memory. */
    private static final double DAY_SCATTER = 0.05;

    private static final double LEAST_DAYS = 0.01;
    static final double NINETY = 1.645;
    /**
     * Levels are looked at again with each that is read, so each look is allowed one false alarm in two hundred; what that
     * comes to over a whole fill is in the bench's study of reservoirs.
     */
    static final double SURE = 2.576;
    /** Levels scatter by more than they are said to only where that is this unlikely to be chance. */
    private static final double RESTLESS = 0.95;

    /**
     * @param levels at least two, in their order, of one filling, between which nothing was changed
     * @return null where nothing was planned between the first and the last of them
     */
    public static @Nullable Delivered of(List<ReservoirLevel> levels, DosePlan schedule) {
        ReservoirLevel first = levels.get(0);
        ReservoirLevel last = levels.get(levels.size() - 1);
        double all = schedule.planned(first.at(), last.at());
        if (all <= 0) {
            return null;
        }
        double[] planned = levels.stream()
                .mapToDouble(l -> schedule.planned(first.at(), l.at()))
                .toArray();
        DecompositionSolver errors =
                new CholeskyDecomposition(errors(levels, planned, perMl(first, last, all))).getSolver();
        RealMatrix line = new Array2DRowRealMatrix(planned.length, 2);
        RealVector read = new ArrayRealVector(planned.length);
        for (int i = 0; i < planned.length; i++) {
            line.setRow(i, new double[] {1, -planned[i]});
            read.setEntry(i, levels.get(i).ml());
        }
        RealMatrix covariance = MatrixUtils.inverse(line.transposeMultiply(errors.solve(line)));
        RealVector found = covariance.operate(line.preMultiply(errors.solve(read)));
        RealVector left = read.subtract(line.operate(found));
        double share = found.getEntry(1);
        double deviation = Math.sqrt(
                covariance.getEntry(1, 1) * restlessness(left.dotProduct(errors.solve(left)), planned.length - 2));
        return new Delivered(
                first.at(),
                last.at(),
                List.copyOf(levels),
                all,
                new Estimate(share, Math.max(0, share - NINETY * deviation), share + NINETY * deviation),
                share + SURE * deviation < ENOUGH,
                share - SURE * deviation > 2 - ENOUGH);
    }

    /** Whether a share is near enough to all of it, and its band narrow enough to say so. */
    static boolean asPlanned(Estimate share) {
        return share.value() >= ENOUGH
                && share.value() <= 2 - ENOUGH
                && share.low() >= 1 - WRONG_BY
                && share.high() <= 1 + WRONG_BY;
    }

    /** What the doses' own scatter adds to the variance of a level with each planned millilitre, mL. */
    private static double perMl(ReservoirLevel first, ReservoirLevel last, double all) {
        double days = Duration.between(first.at(), last.at()).toMinutes() / 1440.0;
        return DAY_SCATTER * DAY_SCATTER * all / Math.max(days, LEAST_DAYS);
    }

    /** A reading's own error stands alone; what a day's dose was off by stays in every later level. */
    private static RealMatrix errors(List<ReservoirLevel> levels, double[] planned, double perMl) {
        RealMatrix errors = new Array2DRowRealMatrix(planned.length, planned.length);
        for (int i = 0; i < planned.length; i++) {
            for (int j = 0; j < planned.length; j++) {
                errors.setEntry(i, j, perMl * Math.min(planned[i], planned[j]));
            }
            errors.addToEntry(i, i, levels.get(i).deviation() * levels.get(i).deviation());
        }
        return errors;
    }

    /** By how much the variance of levels is larger than they are said to be read to; 1 where that may be chance. */
    private static double restlessness(double scatter, int freedom) {
        return freedom > 0 && new ChiSquaredDistribution(freedom).cumulativeProbability(scatter) > RESTLESS
                ? scatter / freedom
                : 1;
    }
}
