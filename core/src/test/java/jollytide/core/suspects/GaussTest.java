package jollytide.core.suspects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Worked by hand. */
class GaussTest {
    @Test
    void weighsASizeAgainstNone() {
        // Two standard deviations from none, none from a fault of that size: e² times more probable.
        assertThat(Gauss.factor(1, 0.25, 1, 0, 0)).isCloseTo(2, within(1e-12));
        // Halfway between both it tells nothing.
        assertThat(Gauss.factor(0.5, 0.25, 1, 0, 0)).isCloseTo(0, within(1e-12));
        // A fault that may have any size is believed less: ½ ln(0.25 / 1.25) + 2.
        assertThat(Gauss.factor(1, 0.25, 1, 1, 0)).isCloseTo(2 + 0.5 * Math.log(0.2), within(1e-12));
    }

    @Test
    void sumsUpProbabilitiesByTheirLogarithms() {
        assertThat(Gauss.lnMeanExp(List.of(Math.log(1), Math.log(3)))).isCloseTo(Math.log(2), within(1e-12));
        assertThat(Gauss.lnMeanExp(List.of(-2000.0, -2000.0))).isCloseTo(-2000, within(1e-9));
        assertThat(Gauss.mixed(0.25, Math.log(4), Math.log(8))).isCloseTo(Math.log(7), within(1e-12));
        assertThat(Gauss.mixed(1, -3, 700)).isCloseTo(-3, within(1e-9));
    }
}
