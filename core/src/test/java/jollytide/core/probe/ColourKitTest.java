package jollytide.core.probe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ColourKitTest {
    @ParameterizedTest
    @CsvSource({"8.0,8.2,8.1", "8.2,7.9,8.05", "7.8,8.1,7.95", "8.3,8.3,8.3"})
    void twoReadsMakeTheirMean(double first, double second, double both) {
        assertThat(ColourKit.together(first, second)).isEqualTo(both);
    }

    @Test
    void twoOpinionsMakeNone() {
        assertThatThrownBy(() -> ColourKit.together(7.8, 8.15))
                .isInstanceOf(InputException.class)
                .hasMessage("The readings differ by more than 0.3. Read both again.");
        assertThatThrownBy(() -> ColourKit.together(8, 80)).hasMessageContaining("secondPh");
        assertThatThrownBy(() -> ColourKit.together(Double.NaN, 8)).isInstanceOf(InputException.class);
    }
}
