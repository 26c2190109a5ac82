package jollytide.core.days;

import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * How what the twin leaves of a day differs from one day to another where nothing changed: half hours that hang together
 * (autoregressive of first order, as the fit found them), a reef that is a little livelier or lazier, and a level on which
 * probe and alkalinity put all hours of many days alike.
 *
 * @param inverse of one day's covariance, without the level
 */
public record DayNoise(RealMatrix inverse) {
    /** Respiration and photosynthesis of one day against another's, as a natural logarithm. From memory. */
    private static final double DAY_TO_DAY = 0.04;
    /** By how much probe and alkalinity may move within a month without a change, pH. From memory. */
    private static final double LEVEL_PH = 0.02;
    /** Days that are alike to the last digit are no log of a tank. */
    private static final double LEAST_SCATTER = 0.05;
    /** Median of χ² with 48 degrees of freedom, one for each half hour of a day. */
    private static final double MEDIAN_CHI = 47.33;

    /**
     * @param persistence of half hours, {@code freshPh} what is new in each
     * @param lively shapes of the day for a natural logarithm of 1: respiration's and photosynthesis'
     * @param left what is left of each day
     */
    public static DayNoise of(double persistence, double freshPh, List<RealVector> lively, List<RealVector> left) {
        double all = freshPh * freshPh / (1 - persistence * persistence);
        RealMatrix covariance = MatrixUtils.createRealMatrix(DayCourses.HALF_HOURS, DayCourses.HALF_HOURS);
        for (int i = 0; i < DayCourses.HALF_HOURS; i++) {
            for (int j = 0; j < DayCourses.HALF_HOURS; j++) {
                covariance.setEntry(i, j, all * Math.pow(persistence, Math.abs(i - j)));
            }
        }
        for (RealVector shape : lively) {
            covariance = covariance.add(shape.outerProduct(shape).scalarMultiply(DAY_TO_DAY * DAY_TO_DAY));
        }
        RealMatrix inverse = new CholeskyDecomposition(covariance).getSolver().getInverse();
        DayNoise first = new DayNoise(inverse);
        // Days scatter more, or less, than that: by the middle one of the differences between neighbours.
        double[] scatter = IntStream.range(1, left.size())
                .mapToObj(d -> left.get(d).subtract(left.get(d - 1)))
                .mapToDouble(difference -> first.product(difference, difference, 2) / MEDIAN_CHI)
                .toArray();
        return new DayNoise(inverse.scalarMultiply(1 / Math.max(LEAST_SCATTER, new Median().evaluate(scatter))));
    }

    /**
     * Product of two courses of a day over the covariance of such a difference between means of days.
     *
     * @param share of one day's covariance that the difference has: 1/n of the days after plus 1/n of those before
     */
    public double product(RealVector a, RealVector b, double share) {
        RealVector level = new ArrayRealVector(DayCourses.HALF_HOURS, LEVEL_PH);
        RealVector overLevel = inverse.operate(level).mapDivide(share);
        RealVector overB = inverse.operate(b).mapDivide(share);
        // Sherman and Morrison 1950: the level adds a matrix of rank one to the covariance.
        return a.dotProduct(overB)
                - a.dotProduct(overLevel) * level.dotProduct(overB) / (1 + level.dotProduct(overLevel));
    }
}
