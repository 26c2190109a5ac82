package jollytide.core.drift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.evidence.Estimate;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * The unbroken line of straight pieces that follows measured points best, bent where that is worth it (least squares over
 * all places of up to three bends; Hudson 1966).
 */
final class BrokenLine {
    static final int LEAST_POINTS = 5;
    private static final int MOST_BENDS = 3;
    /** What a bend must take of the squares, in variances: two figures of it are free, and all places are tried. */
    private static final double BEND = 12;
    /** χ² of one degree of freedom, 90 %: lines within it follow the points as well. */
    private static final double AS_WELL = 2.706;

    /** Two figures of it are free. */
    private static final double FURTHER_BEND = 4;

    private static final double NINETY = 1.645;
    /** From the median of absolute second differences to one standard deviation: √6 times 0.6745. */
    private static final double SECOND_DIFFERENCES = 1.652;

    private final double[] days;
    private final double[] values;
    private final double variance;

    private BrokenLine(double[] days, double[] values, double scatter) {
        this.days = days;
        this.values = values;
        double[] bent = IntStream.range(1, days.length - 1)
                .mapToDouble(i -> Math.abs(values[i + 1] - 2 * values[i] + values[i - 1]))
                .toArray();
        double found = new Median().evaluate(bent) / SECOND_DIFFERENCES;
        variance = Math.pow(Math.max(scatter, found), 2);
    }

    /** @param slope per day, with its 90 % band, in which the bends may lie elsewhere, too */
    record Piece(double from, double until, double begins, double ends, Estimate slope) {}

    /**
     * @param days in their order, at least {@link #LEAST_POINTS}
     * @param scatter of one value at least; more where the values themselves say so
     */
    static List<Piece> of(double[] days, double[] values, double scatter) {
        return new BrokenLine(days, values, scatter).pieces();
    }

    private List<Piece> pieces() {
        List<Line> all = new ArrayList<>();
        for (int bends = 0; bends <= Math.min(MOST_BENDS, (days.length - 3) / 2); bends++) {
            placed(bends, 2, new double[0], all);
        }
        Line best = all.stream()
                .min(Comparator.comparingDouble(l -> l.squares + BEND * l.bends.length))
                .orElseThrow();
        return pieces(best, all.stream().filter(line -> line.likely(best)).toList());
    }

    private static List<Piece> pieces(Line best, List<Line> others) {
        List<Piece> pieces = new ArrayList<>();
        double[] edges = best.edges();
        for (int i = 0; i + 1 < edges.length; i++) {
            double middle = (edges[i] + edges[i + 1]) / 2;
            double low = others.stream()
                    .mapToDouble(l -> l.slope(middle) - NINETY * l.deviation(middle))
                    .min()
                    .orElseThrow();
            double high = others.stream()
                    .mapToDouble(l -> l.slope(middle) + NINETY * l.deviation(middle))
                    .max()
                    .orElseThrow();
            pieces.add(new Piece(
                    edges[i],
                    edges[i + 1],
                    best.at(edges[i]),
                    best.at(edges[i + 1]),
                    new Estimate(best.slope(middle), low, high)));
        }
        return pieces;
    }

    /** All lines with so many more bends, each at a point or halfway to the next one, a whole step apart. */
    private void placed(int more, int from, double[] bends, List<Line> all) {
        if (more == 0) {
            all.add(new Line(bends));
            return;
        }
        for (int halves = from; halves <= 2 * (days.length - 2); halves++) {
            double[] with = Arrays.copyOf(bends, bends.length + 1);
            with[bends.length] = (days[halves / 2] + days[(halves + 1) / 2]) / 2;
            placed(more - 1, halves + 2, with, all);
        }
    }

    /** One with given bends. */
    private final class Line {
        private final double[] bends;
        private final RealVector figures;
        private final RealMatrix covariance;
        private final double squares;

        Line(double[] bends) {
            this.bends = bends;
            RealMatrix basis = new Array2DRowRealMatrix(days.length, bends.length + 2);
            for (int i = 0; i < days.length; i++) {
                basis.setRowVector(i, basis(days[i]));
            }
            RealMatrix inverse = new CholeskyDecomposition(basis.transposeMultiply(basis))
                    .getSolver()
                    .getInverse();
            RealVector value = new ArrayRealVector(values, false);
            figures = inverse.operate(basis.preMultiply(value));
            covariance = inverse.scalarMultiply(variance);
            RealVector left = value.subtract(basis.operate(figures));
            squares = left.dotProduct(left) / variance;
        }

        private RealVector basis(double day) {
            RealVector at = new ArrayRealVector(bends.length + 2);
            at.setEntry(0, 1);
            at.setEntry(1, day);
            for (int b = 0; b < bends.length; b++) {
                at.setEntry(b + 2, Math.max(0, day - bends[b]));
            }
            return at;
        }

        private RealVector slopes(double day) {
            RealVector at = new ArrayRealVector(bends.length + 2);
            at.setEntry(1, 1);
            for (int b = 0; b < bends.length; b++) {
                at.setEntry(b + 2, day > bends[b] ? 1 : 0);
            }
            return at;
        }

        /** Whether it follows the points about as well as the best one, its further bends counted (Akaike 1974). */
        boolean likely(Line best) {
            return bends.length >= best.bends.length
                    && squares + FURTHER_BEND * (bends.length - best.bends.length) < best.squares + AS_WELL;
        }

        double at(double day) {
            return basis(day).dotProduct(figures);
        }

        double slope(double day) {
            return slopes(day).dotProduct(figures);
        }

        double deviation(double day) {
            RealVector slopes = slopes(day);
            return Math.sqrt(slopes.dotProduct(covariance.operate(slopes)));
        }

        double[] edges() {
            double[] edges = new double[bends.length + 2];
            edges[0] = days[0];
            for (int b = 0; b < bends.length; b++) {
                edges[b + 1] = bends[b];
            }
            edges[edges.length - 1] = days[days.length - 1];
            return edges;
        }
    }
}
