package jollytide.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class PlausibleTest {
    private static List<RawUnit> slips(RawUnit unit, double value) {
        return Plausible.doubt(unit, value).orElseThrow().slips().stream()
                .map(Plausible.Slip::unit)
                .toList();
    }

    /** Slips of the trade: a specific gravity as psu, °F as °C, meq/L as dKH, ppm as dKH. */
    @Test
    void theLikelySlipIsOffered() {
        assertThat(slips(RawUnit.PSU, 1.025)).containsExactly(RawUnit.SG_25, RawUnit.SG_20);
        assertThat(slips(RawUnit.CELSIUS, 78)).containsExactly(RawUnit.FAHRENHEIT);
        assertThat(slips(RawUnit.DKH, 2.9)).containsExactly(RawUnit.MEQ_PER_L);
        assertThat(slips(RawUnit.DKH, 150)).containsExactly(RawUnit.PPM_CACO3);
        assertThat(slips(RawUnit.OXYGEN_MG_PER_L, 95)).containsExactly(RawUnit.OXYGEN_PERCENT);
        assertThat(slips(RawUnit.PSU, 53)).containsExactly(RawUnit.MS_PER_CM);
    }

    @ParameterizedTest
    @CsvSource({"DKH, 28", "PH_NBS, 9.7", "CO2_PPM, 11500", "CALCIUM_MG_PER_L, 42"})
    void whatIsUnusualIsAsked(RawUnit unit, double value) {
        assertThat(Plausible.doubt(unit, value)).isPresent();
    }

    @ParameterizedTest
    @CsvSource({"DKH, 8.2", "PH_NBS, 7.84", "CO2_PPM, 420", "CO2_PPM, 2400", "PSU, 35", "SG_25, 1.0264", "CELSIUS, 25.5"
    })
    void whatIsUsualIsNot(RawUnit unit, double value) {
        assertThat(Plausible.doubt(unit, value)).isEmpty();
    }

    /** What is let in at all holds every usual value. */
    @ParameterizedTest
    @EnumSource(RawUnit.class)
    void usualIsWithinPossible(RawUnit unit) {
        for (double share = 0; share <= 1; share += 0.01) {
            double value = unit.min() + share * (unit.max() - unit.min());
            Plausible.doubt(unit, value)
                    .ifPresent(doubt -> assertThat(doubt.usual()).contains(unit.symbol()));
        }
        assertThat(Plausible.doubt(unit, unit.max())).isPresent();
    }
}
