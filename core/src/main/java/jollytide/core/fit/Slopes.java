package jollytide.core.fit;

import java.time.Instant;
import java.util.stream.IntStream;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * How each decision hangs on what is not known, about the most probable tank.
 *
 * @param lower of the unknowns' covariance (Cholesky): its columns are steps of one standard deviation, independent of
 *     each other
 * @param values of the decisions for the most probable tank
 * @param change of each decision (rows) with each of those steps (columns)
 */
record Slopes(RealMatrix lower, RealVector values, RealMatrix change) {
    /** Steps of the derivatives, in standard deviations. */
    private static final double STEP = 0.5;

    /** @throws InputException where the most probable tank cannot be run */
    static Slopes of(Setup setup, FittedTank fitted, Instant at) {
        RealMatrix lower =
                new CholeskyDecomposition(fitted.covariance(), FittedTank.SYMMETRIC, FittedTank.POSITIVE).getL();
        double[] here = Decision.values(setup, fitted.likely(), at);
        RealMatrix change = columns(
                here.length,
                lower.getColumnDimension(),
                j -> slope(
                        lower.getColumnVector(j), here, sizes -> Decision.values(setup, fitted.at(sizes), at), fitted));
        return new Slopes(lower, MatrixUtils.createRealVector(here), change);
    }

    /** What a tank of such sizes gives. */
    interface Response {
        double[] of(RealVector sizes);
    }

    interface Column {
        double[] at(int j);
    }

    /** A matrix made column by column, side by side. */
    static RealMatrix columns(int rows, int columns, Column column) {
        RealMatrix all = new Array2DRowRealMatrix(rows, columns);
        IntStream.range(0, columns).parallel().forEach(j -> {
            double[] one = column.at(j);
            synchronized (all) {
                all.setColumn(j, one);
            }
        });
        return all;
    }

    /** By how much a response changes with one such step; nothing where it is no number. */
    static double[] slope(RealVector step, double[] here, Response response, FittedTank fitted) {
        try {
            return slope(step, here, response, fitted, STEP);
        } catch (InputException leftWhatWaterCanBe) {
            return slope(step, here, response, fitted, -STEP);
        }
    }

    private static double[] slope(RealVector step, double[] here, Response response, FittedTank fitted, double share) {
        double[] there = response.of(fitted.size().add(step.mapMultiply(share)));
        return IntStream.range(0, here.length)
                .mapToDouble(i -> (there[i] - here[i]) / share)
                .map(slope -> Double.isNaN(slope) ? 0 : slope)
                .toArray();
    }
}
