package jollytide.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.evidence.Estimate;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

class RoomAirTest {

    /** ASTM D6245: steady state is outdoors + generation ÷ ventilation. One adult at 10 L/s: 0.0043 ÷ 10 = 430 ppm. */
    @Test
    void steadyState() {
        double airChanges = 36.0 / 60; // 10 L/s into 60 m³
        assertThat(RoomAir.steadyStatePpm(420, 0.0043, 60, airChanges)).isCloseTo(850, within(0.1));
    }

    /** Common practice, no source: a sealed flat with two adults and a child passes 1500 ppm, a class 2000 ppm. */
    @Test
    void closedRoomsFillUp() {
        Estimate flat = RoomAir.expectedShutPpm(420, new People(2, 1, 1), 180);
        assertThat(flat.high()).isGreaterThan(1500);
        assertThat(flat.low()).isLessThan(1000);
        assertThat(RoomAir.expectedShutPpm(420, new People(1, 26, 0), 200).high())
                .isGreaterThan(2000);
    }

    @Test
    void anEmptyRoomIsAsOutdoors() {
        assertThat(RoomAir.expectedShutPpm(420, new People(0, 0, 0), 50).high()).isCloseTo(420, within(1e-9));
        assertThat(new People(0, 0, 0).nobody()).isTrue();
    }

    @Test
    void refusesRoomsThatAreNone() {
        assertThatThrownBy(() -> RoomAir.steadyStatePpm(420, 0.004, 0, 0.3))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("roomVolumeM3");
        assertThatThrownBy(() -> new People(-1, 0, 0)).isInstanceOf(InputException.class);
    }
}
