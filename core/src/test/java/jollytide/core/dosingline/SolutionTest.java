package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What solutions weigh. Densities at 20 °C from memory of handbook tables, to one in a hundred. */
class SolutionTest {
    @ParameterizedTest
    @CsvSource({
        "LIMEWATER, 0.0203, 0.999",
        "SODA_ASH, 1.0, 1.098",
        "BICARBONATE, 0.5, 1.026",
        "SODIUM_HYDROXIDE, 1.0, 1.039",
        "POTASSIUM_HYDROXIDE, 1.0, 1.045",
        "CALCIUM_CHLORIDE, 1.0, 1.084",
        "CALCIUM_CHLORIDE, 3.0, 1.25",
        "MAGNESIUM_CHLORIDE, 1.136, 1.082",
        "MAGNESIUM_CHLORIDE, 2.46, 1.171",
        "MAGNESIUM_SULFATE, 0.917, 1.103",
        "MAGNESIUM_SULFATE, 2.0, 1.22"
    })
    void weighsWhatHandbooksSay(Solution.Solute solute, double molPerL, double gramsPerMl) {
        assertThat(new Solution(solute, molPerL).gramsPerMl()).isCloseTo(gramsPerMl, within(0.01));
    }
}
