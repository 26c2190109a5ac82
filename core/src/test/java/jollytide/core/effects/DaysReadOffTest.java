package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DaysReadOffTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "7.75, 7.72, 7.71",
                "7.75 7.72 7.71",
                "7.75;7.72;7.71",
                "7.75,7.72,7.71",
                "7,75; 7,72; 7,71",
                "7,75 7,72 7,71",
                "7,75, 7,72, 7,71,",
                "  7.75\n7.72\n7.71\n"
            })
    void readsADayAsPeopleWriteIt(String text) {
        assertThat(DaysReadOff.of("before", text).ph()).isEqualTo(List.of(7.75, 7.72, 7.71));
        assertThat(DaysReadOff.of("before", text).thin()).isFalse();
    }

    /** Common practice, no source: what somebody calls “7.6 to 7.8” is no reading of any day. */
    @ParameterizedTest
    @ValueSource(strings = {"7.6–7.8", "7.6-7.8", "7.6 – 7.8", "7.6 to 7.8", "7.75, 7.6—7.8", "7.6…7.8", "7.6..7.8"})
    void refusesARange(String text) {
        assertThatThrownBy(() -> DaysReadOff.of("after", text))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("range");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"", " ", "about 7.8", "7.8?", "7.75 eight", "75", "0", "7.75,,7.72", "1e1", "7.8.1", "-7.8"})
    void refusesWhatIsNoReading(String text) {
        assertThatThrownBy(() -> DaysReadOff.of("before", text)).isInstanceOf(InputException.class);
    }

    @Test
    void takesAMonthAndNoMore() {
        assertThat(DaysReadOff.of("before", "8.0 ".repeat(31)).ph()).hasSize(31);
        assertThatThrownBy(() -> DaysReadOff.of("before", "8.0 ".repeat(32))).isInstanceOf(InputException.class);
        assertThat(DaysReadOff.of("after", "7.81").thin()).isTrue();
    }
}
