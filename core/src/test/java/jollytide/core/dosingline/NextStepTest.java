package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Objects;
import jollytide.core.evidence.Estimate;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Half of what is missing at a time (common practice, no source). 420 L, saturated limewater. */
class NextStepTest {
    private static final Solution LIME = new Solution(Solution.Solute.LIMEWATER, 0.0203);
    private static final double ML_PER_MEQ_PER_L = 420 / 0.0406;

    private static LineRules rules(double evaporationLPerDay) {
        CarbonateSystem system = CarbonateSystem.of(new Seawater(35, 25));
        return new LineRules(
                420,
                system,
                system.fromPhAndAlkalinity(
                        system.constants().toTotal(8.2, PhScale.NBS),
                        3.03 / 1000 / system.water().densityKgPerL()),
                evaporationLPerDay,
                0,
                LineRules.Beside.NOTHING);
    }

    /** A plan that has stood as long as the tests. */
    private static @Nullable NextStep step(double use, double changed, double half, double evaporationLPerDay) {
        return step(use, Estimate.exact(use + changed), changed, half, use + changed, evaporationLPerDay);
    }

    private static @Nullable NextStep step(
            double use, Estimate arrived, double changed, double half, double arriving, double evaporationLPerDay) {
        return NextStep.of(
                new Use(
                        new Estimate(use, use - half, use + half),
                        arrived,
                        new Estimate(changed, changed - half, changed + half),
                        5),
                arriving,
                new LineRules.Planned("can", LIME, 400, null, ""),
                rules(evaporationLPerDay));
    }

    /** What was caught up for a week arrived beyond the use; what is planned now is what is used. */
    @Test
    void aPlanThatWasSetRightMeanwhileStands() {
        assertThat(step(0.06, Estimate.exact(0.075), 0.015, 0.005, 0.06, 5)).isNull();
        NextStep since = Objects.requireNonNull(step(0.06, Estimate.exact(0.06), 0, 0.005, 0.04, 5));
        assertThat(since.missing().value()).as("turned down since").isCloseTo(0.02, within(1e-12));
    }

    /** 10 % of doubt of what a pump brings is 10 % of the difference, not of the whole. */
    @Test
    void aShareIsDoubtfulInWhatArrivesNowToo() {
        NextStep since = Objects.requireNonNull(step(0.06, new Estimate(0.06, 0.054, 0.066), 0, 0.003, 0.02, 5));
        assertThat(since.missing().high() - since.missing().value())
                .isCloseTo(Math.hypot(0.003, 0.1 * 0.04), within(1e-12));
    }

    /** 0.02 meq/L a day are missing: 207 mL of saturated limewater into 420 L, half of that first. */
    @Test
    void halfOfWhatIsMissing() {
        NextStep step = Objects.requireNonNull(step(0.06, -0.02, 0.005, 5));
        assertThat(step.missing().value()).isCloseTo(0.02, within(1e-12));
        assertThat(step.mlPerDay()).isCloseTo(400 + 0.01 * ML_PER_MEQ_PER_L, within(1e-6));
        assertThat(step.limited()).isFalse();
    }

    @Test
    void whereTooMuchArrivesItIsTurnedDown() {
        NextStep step = Objects.requireNonNull(step(0.03, 0.02, 0.005, 5));
        assertThat(step.mlPerDay()).isCloseTo(400 - 0.01 * ML_PER_MEQ_PER_L, within(1e-6));
        NextStep off = Objects.requireNonNull(step(0.01, 0.2, 0.005, 5));
        assertThat(off.mlPerDay()).isZero();
    }

    @Test
    void noFurtherThanARuleAllows() {
        NextStep step = Objects.requireNonNull(step(0.06, -0.02, 0.005, 0.45));
        assertThat(step.limited()).isTrue();
        assertThat(step.mlPerDay()).isCloseTo(450, within(0.1));
    }

    @Test
    void whatTestsDoNotShowIsNotChanged() {
        assertThat(step(0.06, -0.004, 0.005, 5)).isNull();
    }
}
