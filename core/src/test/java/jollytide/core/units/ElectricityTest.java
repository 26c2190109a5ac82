package jollytide.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/** Common practice, no source: a watt for a year is 8.76 kWh; 56 W at 0.114 a kWh are 56 a year. */
class ElectricityTest {
    @Test
    void aWattForAYear() {
        assertThat(Electricity.kWhPerYear(1, 24)).isCloseTo(8.76, within(1e-9));
        assertThat(Electricity.kWhPerYear(56, 24) * 0.114).isCloseTo(56, within(0.1));
        assertThat(Electricity.kWhPerYear(100, 6)).isCloseTo(219, within(1e-9));
        assertThat(Electricity.kWhPerYear(0, 24)).isZero();
    }

    @Test
    void noDayHasMoreHours() {
        assertThatThrownBy(() -> Electricity.kWhPerYear(5, 25)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> Electricity.kWhPerYear(-5, 24)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> Electricity.kWhPerYear(Double.NaN, 24)).isInstanceOf(InputException.class);
    }
}
