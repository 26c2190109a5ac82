package jollytide.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class RawUnitTest {
    private static final Seawater WATER = new Seawater(35, 25);

    @ParameterizedTest
    @CsvSource({
        "PH_NBS, 8.2, 8.2, 0",
        "PH_TOTAL, 8.066, 8.2, 0.001", // from memory: 0.134 at S 35, 25 °C
        "DKH, 8, 2.853, 0.001", // definition
        "PPM_CACO3, 142.8, 2.853, 0.001", // definition
        "FAHRENHEIT, 77, 25, 1e-9", // definition
        "SG_25, 1.0264, 35, 0.05", // EOS-80
        "MS_PER_CM, 53.07, 35, 0.05", // PSS-78, from memory
        "AMMONIUM_MG_PER_L, 1.288, 1, 0.001", // NH4+ is 18.039 g/mol, N 14.007
        "NITRITE_MG_PER_L, 3.284, 1, 0.001", // NO2- is 46.005 g/mol
        "OXYGEN_PERCENT, 100, 6.75, 0.05", // Garcia and Gordon (1992): 206 µmol/kg at S 35, 25 °C
        "OXYGEN_MG_PER_L_FRESH, 8.26, 6.75, 0.05",
        "CO2_PPM_UNCOMPENSATED, 400, 480, 6" // 844 hPa, about 1500 m
    })
    void toTheUnitOfTheCore(RawUnit unit, double raw, double standard, double tolerance) {
        double pressure = unit == RawUnit.CO2_PPM_UNCOMPENSATED ? 844 : 1013.25;
        assertThat(unit.toStandard(raw, WATER, pressure)).isCloseTo(standard, within(tolerance));
    }

    @ParameterizedTest
    @EnumSource(RawUnit.class)
    void theWholeRangeConverts(RawUnit unit) {
        assertThat(unit.toStandard(unit.checked(unit.min()), WATER, 1013.25)).isFinite();
        assertThat(unit.toStandard(unit.checked(unit.max()), WATER, 1013.25)).isFinite();
        assertThatThrownBy(() -> unit.checked(Double.NaN)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> unit.checked(unit.max() * 1.01 + 1))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(unit.symbol());
    }
}
