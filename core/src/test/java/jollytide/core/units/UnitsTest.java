package jollytide.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Units by their definitions, and the check at the door. */
class UnitsTest {
    /** Fixed points of the Fahrenheit scale: ice at 32, steam at 212, both alike at −40. */
    @ParameterizedTest
    @CsvSource({"0,32", "100,212", "-40,-40", "25,77"})
    void fahrenheit(double celsius, double fahrenheit) {
        assertThat(TemperatureUnit.FAHRENHEIT.toCelsius(fahrenheit)).isCloseTo(celsius, within(1e-9));
        assertThat(TemperatureUnit.CELSIUS.toCelsius(celsius)).isEqualTo(celsius);
    }

    /** check-values 9: 1 dKH is 0.3566 meq/L and 17.85 ppm CaCO3 (definition: 10 mg/L of CaO). */
    @Test
    void alkalinity() {
        assertThat(AlkalinityUnit.DKH.toMeqPerL(1)).isCloseTo(0.3566, within(5e-5));
        double ppm = AlkalinityUnit.PPM_CACO3.fromMeqPerL(AlkalinityUnit.DKH.toMeqPerL(1));
        assertThat(ppm).isCloseTo(17.85, within(5e-3));
        assertThat(AlkalinityUnit.MEQ_PER_L.fromMeqPerL(3)).isEqualTo(3);
    }

    @ParameterizedTest
    @EnumSource(AlkalinityUnit.class)
    void everyUnitHasAName(AlkalinityUnit unit) {
        assertThat(unit.symbol()).isNotBlank();
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.99, 5.01, Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
    void whatIsOutsideIsRefused(double value) {
        assertThatThrownBy(() -> Quantities.within("depthM", value, 1, 5, "m"))
                .isInstanceOfSatisfying(InputException.class, refused -> {
                    assertThat(refused.field()).isEqualTo("depthM");
                    assertThat(Double.valueOf(refused.value())).isEqualTo(Double.valueOf(value));
                    assertThat(refused.allowed()).isEqualTo("1 to 5 m");
                })
                .hasMessageContaining("Allowed: 1 to 5 m");
    }

    @Test
    void theEndsAreAllowed() {
        assertThat(Quantities.within("depthM", 1, 1, 5, "m")).isEqualTo(1);
        assertThat(Quantities.within("depthM", 5, 1, 5, "m")).isEqualTo(5);
        assertThat(Quantities.plain(35)).isEqualTo("35");
        assertThat(Quantities.plain(0.25)).isEqualTo("0.25");
    }
}
