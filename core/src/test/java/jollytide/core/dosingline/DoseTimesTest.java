package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalTime;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** Doses by the clock. */
class DoseTimesTest {
    @Test
    void dosesAreSpreadEvenly() {
        assertThat(new DoseTimes(4, LocalTime.of(0, 30), 24).minutes()).containsExactly(30, 390, 750, 1110);
        assertThat(new DoseTimes(6, LocalTime.of(21, 0), 12).minutes())
                .as("over the night, past midnight")
                .containsExactly(1260, 1380, 60, 180, 300, 420);
        assertThat(new DoseTimes(1, LocalTime.NOON, 24).minutes()).containsExactly(720);
    }

    @Test
    void whatLiesNearestIsMeasuredRoundTheClock() {
        DoseTimes late = new DoseTimes(1, LocalTime.of(23, 55), 24);
        assertThat(late.apartMinutes(new DoseTimes(1, LocalTime.of(0, 5), 24))).isEqualTo(10);
        assertThat(new DoseTimes(24, LocalTime.MIDNIGHT, 24).apartMinutes(new DoseTimes(24, LocalTime.of(0, 30), 24)))
                .isEqualTo(30);
        assertThat(late.apartMinutes(late)).isZero();
    }

    @Test
    void noDoseAndTooManyAreRefused() {
        assertThatThrownBy(() -> new DoseTimes(0, LocalTime.NOON, 24)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new DoseTimes(289, LocalTime.NOON, 24)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new DoseTimes(1, LocalTime.NOON, 0)).isInstanceOf(InputException.class);
    }
}
