package jollytide.core.numerics;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** Where a rising function passes nought between two ends. */
public final class Crossing {
    private static final int ORDER = 5;
    private static final int MOST_TRIES = 200;

    private Crossing() {}

    /**
     * Where {@code rising} passes nought, never beyond it; the end next to it when it passes nowhere between.
     *
     * @param accuracy how close, in the argument's unit
     */
    public static double of(DoubleUnaryOperator rising, double from, double to, double accuracy) {
        if (rising.applyAsDouble(from) >= 0) {
            return from;
        }
        if (rising.applyAsDouble(to) <= 0) {
            return to;
        }
        return new BracketingNthOrderBrentSolver(accuracy, ORDER)
                .solve(MOST_TRIES, rising::applyAsDouble, from, to, AllowedSolution.BELOW_SIDE);
    }
}
