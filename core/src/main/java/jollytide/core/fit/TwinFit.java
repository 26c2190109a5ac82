package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.Setup;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresFactory;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresProblem;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;

/**
 * Finds what could be behind a log: the sizes of the {@link Unknown}s that are the most probable after it (maximum a
 * posteriori) and how far they may be from there (Laplace's approximation: the curvature at that point).
 *
 * <p>Every reading counts, each day in its own room; what is left between readings and tank is taken as a process of its
 * own ({@link Noise}), estimated along with the tank, so that ten days of half hours do not pass for 480 independent
 * readings. Outliers count less, and so do descriptions that turn out to be far off (Huber 1964, by iteratively
 * reweighted least squares). Solved by Levenberg and Marquardt's method of Hipparchus.
 */
public final class TwinFit {
    /** Between readings and tank are at least so much: what no probe of a keeper resolves. From memory. */
    private static final double LEAST_PH = 0.004;

    private static final double LEAST_OXYGEN = 0.05;
    private static final Noise FIRST_PH = new Noise(0.9, 0.01);
    private static final Noise FIRST_OXYGEN = new Noise(0.9, 0.1);
    /** Readings so soon after the first tell of the start, not of the tank. */
    private static final Duration BEGINNING = Duration.ofHours(6);
    /** Steps of the derivatives, in prior standard deviations. */
    private static final double STEP = 0.1;
    /** No unknown is looked for further out, in prior standard deviations. */
    private static final double FURTHEST = 6;
    /** A description further off than this is likely wrong and holds less, in prior standard deviations. */
    private static final double DESCRIBED_WRONGLY = 1.5;

    /** Even where days agree: found with seed 1 of {@code scripts/bench fit}, so that 90 % bands hold 90 % of tanks. */
    private static final double LEAST_DISPERSION = 2.5;

    private static final int ROUNDS = 3;
    private static final int MOST_EVALUATIONS = 120;
    private static final double CLOSE_ENOUGH = 1e-4;
    private static final double IMPOSSIBLE = 1e3;

    private final TankParameters expected;
    private final TankLog log;
    private final LogRun run;
    private final List<Unknown> all;
    private final List<Double> sd;
    /** Those of them on which the log has a say. */
    private final List<Unknown> unknowns;

    private final double[] prior;
    private final List<Reading> ph;
    private final List<Reading> oxygen;
    private final Instant middle;
    private final Progress progress;

    private Noise phNoise = FIRST_PH;
    private Noise oxygenNoise = FIRST_OXYGEN;
    private double[] weights;
    private double dispersion = 1;
    private double done;

    /** Hears now and then how far a fit has come; throws to end it. */
    public interface Progress {
        Progress NONE = share -> {};

        /** @param share done, 0 to 1 */
        void at(double share);
    }

    private TwinFit(Setup setup, TankParameters expected, TankLog log, Priors priors, Progress progress) {
        this.expected = expected;
        this.log = log;
        this.progress = progress;
        run = new LogRun(setup, log);
        all = unknowns(setup, log);
        sd = prior(all, setup, log, priors);
        unknowns = all.stream().filter(Unknown::shows).toList();
        prior = prior(unknowns, setup, log, priors).stream()
                .mapToDouble(Double::doubleValue)
                .toArray();
        Instant from = log.from().plus(BEGINNING);
        ph = log.ph().stream().filter(r -> !r.at().isBefore(from)).toList();
        oxygen = log.oxygen().stream().filter(r -> !r.at().isBefore(from)).toList();
        middle = log.from().plus(Duration.between(log.from(), log.until()).dividedBy(2));
        weights = ones(ph.size() + oxygen.size() + unknowns.size());
    }

    /** What is not known of such a tank. */
    private static List<Unknown> unknowns(Setup setup, TankLog log) {
        return Stream.of(Unknown.values())
                .filter(u -> u != Unknown.SKIMMER || setup.skimmer() != null)
                .filter(u -> u != Unknown.LAMPS || setup.light().switches())
                .filter(u -> u != (log.roomMeasured() ? Unknown.ROOM_EXCESS : Unknown.ROOM))
                .filter(u -> u != Unknown.USE || setup.life().calcificationMeqPerLPerDay() > 0)
                .filter(u -> u != Unknown.INTAKE || setup.intake().isPresent())
                .filter(u -> u != Unknown.OXYGEN_PROBE || !log.oxygen().isEmpty())
                .toList();
    }

    /**
     * The tank after its log; what was expected of it where there is no log.
     *
     * @param expected of a tank of its kind
     * @throws InputException when nothing near what is expected could be behind this log
     */
    public static FittedTank of(Setup setup, TankParameters expected, TankLog log, Priors priors, Progress progress) {
        return log.tells()
                ? new TwinFit(setup, expected, log, priors, progress).fit()
                : unfitted(setup, expected, log, priors);
    }

    /** What is expected of such a tank, whatever was logged. */
    public static FittedTank unfitted(Setup setup, TankParameters expected, TankLog log, Priors priors) {
        List<Unknown> all = unknowns(setup, log);
        List<Double> sd = prior(all, setup, log, priors);
        return new FittedTank(
                expected,
                all,
                sd,
                new ArrayRealVector(all.size()),
                MatrixUtils.createRealDiagonalMatrix(
                        sd.stream().mapToDouble(s -> s * s).toArray()),
                List.of(),
                0,
                0,
                1);
    }

    private static List<Double> prior(List<Unknown> unknowns, Setup setup, TankLog log, Priors priors) {
        return unknowns.stream().map(u -> priors.of(u, setup, log)).toList();
    }

    private FittedTank fit() {
        RealVector x = new ArrayRealVector(unknowns.size());
        for (int round = 0; round < ROUNDS; round++) {
            x = solve(x);
            learnNoise(x.toArray());
            overdispersion(x.toArray());
            done = (round + 1.0) / ROUNDS;
        }
        double[] at = x.toArray();
        double[] left = left(at);
        RealMatrix jacobian = jacobian(at);
        RealMatrix inverse = MatrixUtils.inverse(jacobian.transposeMultiply(jacobian));
        RealMatrix covariance = inverse.add(inverse.transpose()).scalarMultiply(0.5);
        RealVector size = new ArrayRealVector(all.size());
        RealMatrix spread = new Array2DRowRealMatrix(all.size(), all.size());
        for (int i = 0; i < all.size(); i++) {
            int a = unknowns.indexOf(all.get(i));
            spread.setEntry(i, i, sd.get(i) * sd.get(i));
            if (a >= 0) {
                size.setEntry(i, at[a] * prior[a]);
                for (int j = 0; j < all.size(); j++) {
                    int b = unknowns.indexOf(all.get(j));
                    if (b >= 0) {
                        spread.setEntry(i, j, covariance.getEntry(a, b) * prior[a] * prior[b]);
                    }
                }
            }
        }
        return new FittedTank(
                expected,
                all,
                sd,
                size,
                spread,
                IntStream.range(0, ph.size())
                        .mapToObj(i -> new Reading(ph.get(i).at(), left[i]))
                        .toList(),
                phNoise.persistence(),
                phNoise.fresh(),
                dispersion);
    }

    /** From where it begins to where no step leads further down; where the method gives up, it stays. */
    private RealVector solve(RealVector start) {
        LeastSquaresProblem problem = new LeastSquaresBuilder()
                .start(start)
                .target(new double[weights.length])
                .model(LeastSquaresFactory.model(
                        this::residuals, x -> jacobian(x).getData()))
                .lazyEvaluation(true)
                .parameterValidator(x -> x.map(v -> Math.max(-FURTHEST, Math.min(FURTHEST, v))))
                .checker((i, before, now) -> before.getCost() - now.getCost() < CLOSE_ENOUGH * before.getCost())
                .maxEvaluations(MOST_EVALUATIONS)
                .maxIterations(MOST_EVALUATIONS)
                .build();
        try {
            return new LevenbergMarquardtOptimizer().optimize(problem).getPoint();
        } catch (MathIllegalStateException nothingBetter) {
            return start;
        }
    }

    /** Readings less what such a tank would have shown; pH first, then oxygen. */
    private double[] left(double[] x) {
        double drift = size(x, Unknown.DRIFT);
        double probe = size(x, Unknown.PROBE);
        List<TwinState> states = run.run(tank(x), probe + drift * daysFromMiddle(log.from()));
        double[] shownPh = LogRun.at(states, ph, TwinState::phNbs);
        double[] shownOxygen = LogRun.at(states, oxygen, TwinState::oxygenMgPerL);
        double[] left = new double[ph.size() + oxygen.size()];
        for (int i = 0; i < ph.size(); i++) {
            double off = probe + drift * daysFromMiddle(ph.get(i).at());
            left[i] = ph.get(i).value() - shownPh[i] - off;
        }
        for (int i = 0; i < oxygen.size(); i++) {
            left[ph.size() + i] = oxygen.get(i).value() - shownOxygen[i] - size(x, Unknown.OXYGEN_PROBE);
        }
        return left;
    }

    private double daysFromMiddle(Instant t) {
        return Duration.between(middle, t).toMillis() / 86.4e6;
    }

    private double[] whitened(double[] left) {
        double[] white = new double[left.length];
        System.arraycopy(phNoise.whitened(ph, Arrays.copyOf(left, ph.size())), 0, white, 0, ph.size());
        double[] ofOxygen = Arrays.copyOfRange(left, ph.size(), left.length);
        System.arraycopy(oxygenNoise.whitened(oxygen, ofOxygen), 0, white, ph.size(), oxygen.size());
        return white;
    }

    /** Whitened and weighted, then how far each unknown is from what is expected. */
    private double[] residuals(double[] x) {
        double[] white;
        try {
            white = whitened(left(x));
        } catch (InputException leftWhatWaterCanBe) {
            white = new double[ph.size() + oxygen.size()];
            Arrays.fill(white, IMPOSSIBLE);
        }
        double[] all = Arrays.copyOf(white, weights.length);
        System.arraycopy(x, 0, all, white.length, x.length);
        for (int i = 0; i < all.length; i++) {
            all[i] *= weights[i];
        }
        return all;
    }

    private RealMatrix jacobian(double[] x) {
        double[] here = residuals(x);
        RealMatrix jacobian = new Array2DRowRealMatrix(here.length, x.length);
        IntStream.range(0, x.length).parallel().forEach(j -> {
            double[] moved = x.clone();
            double step = x[j] > 0 ? -STEP : STEP;
            moved[j] += step;
            double[] there = residuals(moved);
            synchronized (jacobian) {
                for (int i = 0; i < here.length; i++) {
                    jacobian.setEntry(i, j, (there[i] - here[i]) / step);
                }
            }
        });
        progress.at(done);
        return jacobian;
    }

    private void learnNoise(double[] x) {
        double[] left = left(x);
        phNoise = Noise.of(ph, Arrays.copyOf(left, ph.size()), LEAST_PH);
        if (!oxygen.isEmpty()) {
            oxygenNoise = Noise.of(oxygen, Arrays.copyOfRange(left, ph.size(), left.length), LEAST_OXYGEN);
        }
        weights = Arrays.copyOf(Noise.weights(whitened(left)), weights.length);
        for (int j = 0; j < x.length; j++) {
            weights[left.length + j] = Math.sqrt(DESCRIBED_WRONGLY / Math.max(DESCRIBED_WRONGLY, Math.abs(x[j])));
        }
    }

    /**
     * Days differ from each other in ways that the noise of half hours does not know: fed more, a cloudier pane. By how
     * much more the days' pulls on the unknowns scatter than they should is a factor on all of the log's variances
     * (quasi-likelihood, McCullagh and Nelder 1989, with the days as clusters).
     */
    private void overdispersion(double[] x) {
        int readings = weights.length - x.length;
        RealMatrix jacobian = jacobian(x);
        double[] left = residuals(x);
        RealMatrix inverse = MatrixUtils.inverse(jacobian.transposeMultiply(jacobian));
        RealMatrix ofLog = jacobian.getSubMatrix(0, readings - 1, 0, x.length - 1);
        double expected = ofLog.transposeMultiply(ofLog).multiply(inverse).getTrace();
        Map<Long, RealVector> pulls = new TreeMap<>();
        for (int i = 0; i < readings; i++) {
            Instant at =
                    i < ph.size() ? ph.get(i).at() : oxygen.get(i - ph.size()).at();
            RealVector pull = ofLog.getRowVector(i).mapMultiply(left[i]);
            pulls.merge(Duration.between(log.from(), at).toDays(), pull, RealVector::add);
        }
        double found = pulls.values().stream()
                .mapToDouble(pull -> pull.dotProduct(inverse.operate(pull)))
                .sum();
        dispersion = Math.max(LEAST_DISPERSION, found / expected);
        for (int i = 0; i < readings; i++) {
            weights[i] /= Math.sqrt(dispersion);
        }
    }

    private double size(double[] x, Unknown unknown) {
        int i = unknowns.indexOf(unknown);
        return i < 0 ? 0 : x[i] * prior[i];
    }

    private TankParameters tank(double[] x) {
        return FittedTank.tank(expected, unknown -> size(x, unknown));
    }

    private static double[] ones(int n) {
        double[] ones = new double[n];
        Arrays.fill(ones, 1);
        return ones;
    }
}
