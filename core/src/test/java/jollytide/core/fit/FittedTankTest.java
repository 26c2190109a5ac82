package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.description.TankParameters;
import org.hipparchus.linear.MatrixUtils;
import org.junit.jupiter.api.Test;

class FittedTankTest {
    private static final List<Unknown> UNKNOWNS = List.of(Unknown.RESPIRATION, Unknown.SKIMMER, Unknown.PROBE);
    private static final List<Double> PRIOR = List.of(0.5, 0.3, 0.04);

    /** @param together correlation of respiration and skimmer */
    private static FittedTank tank(double[] size, double together, double persistence, double freshPh) {
        double[] sd = {0.1, 0.25, 0.02};
        double[][] covariance = new double[3][3];
        for (int i = 0; i < 3; i++) {
            covariance[i][i] = sd[i] * sd[i];
        }
        covariance[0][1] = together * sd[0] * sd[1];
        covariance[1][0] = covariance[0][1];
        return new FittedTank(
                TankParameters.ORDINARY,
                UNKNOWNS,
                PRIOR,
                MatrixUtils.createRealVector(size),
                MatrixUtils.createRealMatrix(covariance),
                List.of(new Reading(Logged.START, 0.01)),
                persistence,
                freshPh,
                1);
    }

    private static FittedTank tank(double respiration, double skimmer) {
        return tank(new double[] {respiration, skimmer, 0.03}, 0, 0, 0.01);
    }

    @Test
    void sizesMakeTheTank() {
        TankParameters likely = tank(Math.log(1.5), Math.log(0.8)).likely();
        assertThat(likely.respirationMmolPerLPerH()).isCloseTo(1.5 * 0.018, within(1e-12));
        assertThat(likely.skimmerFactor()).isCloseTo(0.8, within(1e-12));
        assertThat(likely.surfaceFactor()).isEqualTo(1);
        assertThat(likely.alkalinityOffMeqPerL()).isZero();
    }

    /** Both sides of 90 % of a normal distribution are 1.645 deviations away (any table of it). */
    @Test
    void bandsHoldNineInTen() {
        List<FittedTank.Learned> learned = tank(0.2, 0).learned();
        FittedTank.Learned respiration = learned.get(0);
        assertThat(respiration.after90().value()).isCloseTo(Math.exp(0.2), within(1e-12));
        assertThat(respiration.after90().low()).isCloseTo(Math.exp(0.2 - 0.1645), within(1e-9));
        assertThat(respiration.before90().high()).isCloseTo(Math.exp(0.8225), within(1e-9));
        FittedTank.Learned probe = learned.get(2);
        assertThat(probe.after90().value()).isEqualTo(0.03);
        assertThat(probe.after90().high()).isCloseTo(0.03 + 0.0329, within(1e-9));
        assertThat(probe.before90().low()).isCloseTo(-0.0658, within(1e-9));
        assertThat(learned).extracting(FittedTank.Learned::learnt).containsExactly(true, false, true);
    }

    @Test
    void whatGoesTogetherIsSaidInWords() {
        assertThat(tank(new double[3], 0.9, 0, 0.01).alike())
                .containsExactly("The log can’t separate more respiration from a stronger skimmer.");
        assertThat(tank(new double[3], -0.75, 0, 0.01).alike())
                .containsExactly("The log can’t separate more respiration from a weaker skimmer.");
        assertThat(tank(new double[3], 0.6, 0, 0.01).alike()).isEmpty();
    }

    /** By hand: 11 lit hours of 0.034 against 24 hours of 0.018 make 0.87 times what is breathed. */
    @Test
    void noReefMakesTwiceWhatItBreathes() {
        double ordinary = FittedTank.production(Logged.TANK, TankParameters.ORDINARY);
        assertThat(ordinary).isCloseTo(0.034 * 11 / (24 * 0.018), within(1e-9));
        assertThat(tank(Math.log(ordinary / 1.95), 0).implausible(Logged.TANK)).isNull();
        assertThat(tank(Math.log(ordinary / 2.05), 0).implausible(Logged.TANK))
                .contains("2.1 times respiration")
                .contains("room meter");
    }

    @Test
    void readingsThatStrayAreOfNoReef() {
        FittedTank straying = tank(new double[3], 0, 0.9, 0.05);
        assertThat(straying.scatterPh()).isCloseTo(0.05 / Math.sqrt(0.19), within(1e-12));
        assertThat(straying.implausible(Logged.TANK)).isEqualTo(FittedTank.NO_REEF);
        assertThat(tank(new double[3], 0, 0.9, 0.02).implausible(Logged.TANK)).isNull();
        assertThat(tank(0, 0.3 * 4.4).implausible(Logged.TANK)).isNull();
        assertThat(tank(0, 0.3 * 4.6).implausible(Logged.TANK)).isEqualTo(FittedTank.NO_REEF);
    }
}
