package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.measure.Setup;
import org.hipparchus.linear.MatrixUtils;
import org.junit.jupiter.api.Test;

/** A handful of tanks that reaches as far as all that are probable. */
class EdgesTest {
    private static final FittedTank UNKNOWN = unknown(Logged.TANK);

    private static FittedTank unknown(Setup setup) {
        return Logged.fit(setup, Logged.log(List.of(), Logged.room(1, h -> 800)));
    }

    private static double[][] forecasts(Setup setup, List<TankParameters> tanks) {
        return tanks.stream()
                .map(tank -> Decision.values(setup, tank, Logged.START))
                .toArray(double[][]::new);
    }

    private static double width(double[][] forecasts, Decision decision, Setup setup) {
        int i = Decision.of(setup).indexOf(decision);
        double low = IntStream.range(0, forecasts.length)
                .mapToDouble(t -> forecasts[t][i])
                .min()
                .orElseThrow();
        double high = IntStream.range(0, forecasts.length)
                .mapToDouble(t -> forecasts[t][i])
                .max()
                .orElseThrow();
        return high - low;
    }

    private static FittedTank narrower(FittedTank fitted, double times) {
        return new FittedTank(
                fitted.expected(),
                fitted.unknowns(),
                fitted.prior(),
                fitted.size(),
                fitted.covariance().scalarMultiply(times * times),
                fitted.left(),
                0,
                0,
                1);
    }

    @Test
    void theMostProbableOneComesFirst() {
        List<TankParameters> tanks = Edges.of(Logged.TANK, UNKNOWN, Logged.START);
        assertThat(tanks).hasSize(7).doesNotHaveDuplicates();
        assertThat(tanks.get(0)).isEqualTo(UNKNOWN.likely());
    }

    /** Without a log nothing is certain: each decision is wide open. */
    @Test
    void aTankWithoutLogIsWideOpen() {
        double[][] forecasts = forecasts(Logged.TANK, Edges.of(Logged.TANK, UNKNOWN, Logged.START));
        for (Decision decision : Decision.of(Logged.TANK)) {
            assertThat(width(forecasts, decision, Logged.TANK))
                    .as(decision.label())
                    .isGreaterThan(0.01);
        }
        assertThat(width(forecasts, Decision.TROUGH, Logged.TANK)).isGreaterThan(0.2);
    }

    /**
     * Where the tank answers evenly, the tanks reach as far as a straight propagation of the covariance says: 1.645
     * standard deviations to both sides (JCGM 100:2008, 5.2), and little more for those that share a pair.
     */
    @Test
    void theyReachAsFarAsPropagationSays() {
        FittedTank little = narrower(UNKNOWN, 0.1);
        double[][] forecasts = forecasts(Logged.TANK, Edges.of(Logged.TANK, little, Logged.START));
        List<Decision> decisions = Decision.of(Logged.TANK);
        for (int i = 0; i < decisions.size(); i++) {
            double expected = 2 * 1.645 * propagated(little, i);
            assertThat(width(forecasts, decisions.get(i), Logged.TANK))
                    .as(decisions.get(i).label())
                    .isBetween(0.9 * expected, 1.4 * expected);
        }
    }

    private static double propagated(FittedTank fitted, int decision) {
        int n = fitted.unknowns().size();
        double[] slopes = IntStream.range(0, n)
                .mapToDouble(j -> {
                    double step = 0.2 * Math.sqrt(fitted.covariance().getEntry(j, j));
                    return (moved(fitted, j, step)[decision] - moved(fitted, j, -step)[decision]) / (2 * step);
                })
                .toArray();
        var gradient = MatrixUtils.createRealVector(slopes);
        return Math.sqrt(gradient.dotProduct(fitted.covariance().operate(gradient)));
    }

    private static double[] moved(FittedTank fitted, int unknown, double step) {
        var size = fitted.size().copy();
        size.addToEntry(unknown, step);
        return Decision.values(Logged.TANK, fitted.at(size), Logged.START);
    }

    @Test
    void withoutSkimmerTheDecisionsAreFewer() {
        Setup bare = Logged.tank(null);
        assertThat(Decision.of(bare))
                .containsExactly(
                        Decision.TROUGH,
                        Decision.WINDOW_GAIN,
                        Decision.SURFACE_GAIN,
                        Decision.ALKALINITY_GAIN,
                        Decision.OXYGEN_WITHOUT_SKIMMER);
        assertThat(Edges.of(bare, unknown(bare), Logged.START)).hasSize(7);
    }

    /** A hungry tank under a still surface suffocates without its skimmer: no number, and the others stand. */
    @Test
    void aTankThatSuffocatesIsNoNumber() {
        TankParameters hungry = new TankParameters(1, 0.05, 0.2, 0.04);
        double[] values = Decision.values(Logged.tank(new Skimmer(900)), hungry, Logged.START);
        assertThat(values[0]).isBetween(6.5, 9.0);
        assertThat(values[values.length - 1])
                .satisfiesAnyOf(v -> assertThat(v).isNaN(), v -> assertThat(v).isCloseTo(0, within(1.0)));
    }
}
