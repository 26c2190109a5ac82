package jollytide.core.fit;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * A handful of tanks that stands for all that a log leaves open: the most probable one, then pairs at the edges of what
 * is probable. A pair lies where one {@link Decision} is as high and as low as 90 % allow; of all decisions those few
 * are taken that reach nearly as far for the others, too; where a hose is on, one pair more. What lies between the
 * lowest and the highest that these tanks give is then the band of a forecast.
 */
public final class Edges {
    /** Both sides of 90 % of a normal distribution. */
    static final double NINETY = 1.645;

    private static final int PAIRS = 3;
    /** A decision on which the log leaves less than this open needs no pair of its own, pH or mg/L. */
    private static final double NOTHING_OPEN = 1e-6;

    /** Steps that lead where nothing lives are made shorter by this, down to the least. */
    private static final double SHORTER = 0.7;

    private static final double LEAST_SHARE = 0.1;

    /** By how much the odds of a share reach further than a normal distribution: found with seed 81 of the hosed study. */
    private static final double SHARE_WIDER = 1.8;

    private Edges() {}

    /** The tanks, the most probable first; that one alone where it cannot even be run. */
    public static List<TankParameters> of(Setup setup, FittedTank fitted, Instant at) {
        try {
            return of(setup, fitted, Slopes.of(setup, fitted, at), at);
        } catch (InputException leavesWhatWaterCanBe) {
            return List.of(fitted.likely());
        }
    }

    private static List<TankParameters> of(Setup setup, FittedTank fitted, Slopes slopes, Instant at) {
        List<TankParameters> tanks = new ArrayList<>(List.of(fitted.likely()));
        List<RealVector> directions = directions(slopes.change());
        int[] chosen = chosen(directions);
        double reach = reach(directions, chosen);
        for (int i : chosen) {
            RealVector step = slopes.lower().operate(directions.get(i)).mapMultiply(NINETY / reach);
            tanks.add(livable(setup, fitted, step, at));
            tanks.add(livable(setup, fitted, step.mapMultiply(-1), at));
        }
        if (fitted.unknowns().contains(Unknown.INTAKE)) {
            RealVector step = marginal(fitted, Unknown.INTAKE).mapMultiply(NINETY * SHARE_WIDER);
            tanks.add(livable(setup, fitted, step, at));
            tanks.add(livable(setup, fitted, step.mapMultiply(-1), at));
        }
        return tanks;
    }

    /**
     * One standard deviation of an unknown, with what goes along with it. The share that comes through a hose is far from
     * straight in its odds: close to all of it their slope tells nothing of what a second inlet would mean.
     */
    private static RealVector marginal(FittedTank fitted, Unknown unknown) {
        int i = fitted.unknowns().indexOf(unknown);
        RealVector with = fitted.covariance().getColumnVector(i);
        return with.mapDivide(Math.sqrt(with.getEntry(i)));
    }

    /** As far along a step as there is a tank: one that makes far more than it breathes soon has no CO2 left. */
    private static TankParameters livable(Setup setup, FittedTank fitted, RealVector step, Instant at) {
        double most = Math.max(FittedTank.MOST_PRODUCTION, FittedTank.production(setup, fitted.likely()));
        double share = 1;
        while (share > LEAST_SHARE) {
            try {
                TankParameters tank = fitted.at(fitted.size().add(step.mapMultiply(share)));
                if (FittedTank.production(setup, tank) <= most) {
                    Decision.values(setup, tank, at);
                    return tank;
                }
            } catch (InputException noTank) {
                // A shorter step is tried, as for a reef that makes too much.
            }
            share *= SHORTER;
        }
        return fitted.likely();
    }

    /** Along which each decision changes most, in standard deviations; length 1. */
    private static List<RealVector> directions(RealMatrix change) {
        List<RealVector> directions = new ArrayList<>();
        for (int i = 0; i < change.getRowDimension(); i++) {
            RealVector direction = change.getRowVector(i);
            if (direction.getNorm() > NOTHING_OPEN) {
                directions.add(direction.mapDivide(direction.getNorm()));
            }
        }
        return directions;
    }

    /** Those few of the directions that reach furthest where they reach least. */
    private static int[] chosen(List<RealVector> directions) {
        int n = directions.size();
        int[] best = IntStream.range(0, Math.min(PAIRS, n)).toArray();
        if (n <= PAIRS) {
            return best;
        }
        for (int a = 0; a < n; a++) {
            for (int b = a + 1; b < n; b++) {
                for (int c = b + 1; c < n; c++) {
                    int[] some = {a, b, c};
                    best = reach(directions, some) > reach(directions, best) ? some : best;
                }
            }
        }
        return best;
    }

    /** How far the chosen ones reach for that direction for which they reach least, 0 to 1. */
    private static double reach(List<RealVector> directions, int[] chosen) {
        return directions.stream()
                .mapToDouble(d -> IntStream.of(chosen)
                        .mapToDouble(i -> Math.abs(d.dotProduct(directions.get(i))))
                        .max()
                        .orElseThrow())
                .min()
                .orElse(1);
    }
}
