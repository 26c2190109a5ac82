package jollytide.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.evidence.Estimate.Spread;
import org.junit.jupiter.api.Test;

class EstimateTest {

    /** JCGM 100:2008, 5.1: independent errors of 3 and 4 in a sum are 5. */
    @Test
    void errorsAddInQuadrature() {
        List<Spread<double[]>> spreads = List.of(
                new Spread<>(new double[] {13, 20}, new double[] {7, 20}),
                new Spread<>(new double[] {10, 24}, new double[] {10, 16}));
        Estimate sum = Estimate.of(new double[] {10, 20}, spreads, v -> v[0] + v[1]);
        assertThat(sum.value()).isEqualTo(30);
        assertThat(sum.low()).isCloseTo(25, within(1e-12));
        assertThat(sum.high()).isCloseTo(35, within(1e-12));
        assertThat(spreads.get(1).doubt(v -> v[0] + v[1])).isEqualTo(4);
    }

    /** A curve that bends one way has a band that leans: 10 ± 3 squared is 100, from 49 to 169. */
    @Test
    void sidesAreTakenApart() {
        Estimate square = Estimate.of(10.0, List.of(new Spread<>(13.0, 7.0)), v -> v * v);
        assertThat(square.low()).isCloseTo(49, within(1e-12));
        assertThat(square.high()).isCloseTo(169, within(1e-12));
        Estimate top = Estimate.of(0.0, List.of(new Spread<>(2.0, -2.0)), v -> -v * v);
        assertThat(top.high()).as("both ways down").isZero();
        assertThat(top.low()).isEqualTo(-4);
    }

    @Test
    void anotherUnitTurnsTheBandWithIt() {
        assertThat(new Estimate(2, 1, 4).times(3)).isEqualTo(new Estimate(6, 3, 12));
        assertThat(new Estimate(2, 1, 4).times(-1)).isEqualTo(new Estimate(-2, -4, -1));
    }
}
