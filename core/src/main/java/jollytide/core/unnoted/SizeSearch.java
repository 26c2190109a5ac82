package jollytide.core.unnoted;

import jollytide.core.evidence.Estimate;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.hipparchus.optim.univariate.UnivariatePointValuePair;

/** The size at which squares are the least, with the band in which they rise by less than chance lets them. */
final class SizeSearch {
    /** χ² of one degree of freedom, 90 %. */
    private static final double NINETY = 2.706;

    private static final double CLOSE_ENOUGH = 1e-3;
    private static final int MOST_EVALUATIONS = 60;

    private SizeSearch() {}

    /** @param most so far it is looked for on both sides of 0; a band may end there */
    static Estimate least(UnivariateFunction squares, double most) {
        UnivariatePointValuePair least = new BrentOptimizer(CLOSE_ENOUGH, CLOSE_ENOUGH)
                .optimize(
                        new MaxEval(MOST_EVALUATIONS),
                        new UnivariateObjectiveFunction(squares),
                        GoalType.MINIMIZE,
                        new SearchInterval(-most, most, 0));
        UnivariateFunction beyond = size -> squares.value(size) - least.getValue() - NINETY;
        return new Estimate(
                least.getPoint(), end(beyond, least.getPoint(), -most), end(beyond, least.getPoint(), most));
    }

    private static double end(UnivariateFunction beyond, double inside, double furthest) {
        return beyond.value(furthest) <= 0
                ? furthest
                : new BrentSolver(CLOSE_ENOUGH)
                        .solve(MOST_EVALUATIONS, beyond, Math.min(inside, furthest), Math.max(inside, furthest));
    }
}
