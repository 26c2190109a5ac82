package jollytide.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import jollytide.core.description.RoomDay;
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
        Estimate flat = RoomAir.expectedShutPpm(420, new People(2, 1, 1), 180, RoomAir.ASSUMED_PER_H);
        assertThat(flat.high()).isGreaterThan(1500);
        assertThat(flat.low()).isLessThan(1000);
        assertThat(RoomAir.expectedShutPpm(420, new People(1, 26, 0), 200, RoomAir.ASSUMED_PER_H)
                        .high())
                .isGreaterThan(2000);
    }

    @Test
    void anEmptyRoomIsAsOutdoors() {
        assertThat(RoomAir.expectedShutPpm(420, new People(0, 0, 0), 50, RoomAir.ASSUMED_PER_H)
                        .high())
                .isCloseTo(420, within(1e-9));
        assertThat(new People(0, 0, 0).nobody()).isTrue();
    }

    /** The keeper's own air changes take the place of the assumed ones, and narrow what is expected. */
    @Test
    void ownAirChangesCount() {
        People family = new People(2, 1, 1);
        Estimate assumed = RoomAir.expectedShutPpm(420, family, 180, RoomAir.airChangesPerH(null));
        Estimate own = RoomAir.expectedShutPpm(420, family, 180, RoomAir.airChangesPerH(0.3));
        assertThat(own.value()).isEqualTo(assumed.value());
        assertThat(own.high() - own.low()).isLessThan((assumed.high() - assumed.low()) / 2);
        // Twice the ventilation halves what stands above outdoors (ASTM D6245).
        Estimate airy = RoomAir.expectedShutPpm(420, family, 180, RoomAir.airChangesPerH(0.6));
        assertThat(airy.value() - 420).isCloseTo((own.value() - 420) / 2, within(1e-9));
        assertThatThrownBy(() -> RoomAir.airChangesPerH(0.0))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("airChangesPerH");
    }

    /** One room, one number: the mean of the hours the Bench draws is what the Staircase expects. */
    @Test
    void theDayOfARoomHasTheMeanThatIsExpected() {
        People family = new People(2, 1, 1);
        Estimate changes = RoomAir.airChangesPerH(null);
        RoomDay day = RoomDay.ofPeople(family, 180, changes.value(), 420);
        double mean = day.ppm().hourlyPpm().stream()
                .mapToDouble(Double::doubleValue)
                .average()
                .orElseThrow();
        assertThat(mean)
                .isCloseTo(RoomAir.expectedShutPpm(420, family, 180, changes).value(), withinPercentage(1));
    }

    @Test
    void refusesRoomsThatAreNone() {
        assertThatThrownBy(() -> RoomAir.steadyStatePpm(420, 0.004, 0, 0.3))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("roomVolumeM3");
        assertThatThrownBy(() -> new People(-1, 0, 0)).isInstanceOf(InputException.class);
    }

    /** Two adults awake breathe out 0.0104 L/s, 37.4 L/h: 64.5 m³/h of outdoor air at 420 ppm hold 1000 ppm (ASTM D6245). */
    @Test
    void ventilationThatHoldsALevel() {
        double needed = RoomAir.ventilationM3PerH(1000, 420, 0.0104);
        assertThat(needed).isCloseTo(0.0104 * 3600 / 1000 / 580e-6, withinPercentage(0.01));
        assertThat(RoomAir.steadyStatePpm(420, 0.0104, 100, needed / 100)).isCloseTo(1000, within(1e-6));
        assertThat(RoomAir.ventilationM3PerH(1000, 1000, 0.0104))
                .as("no better outdoors")
                .isNull();
    }

    /** Half of the way takes ln 2 time constants. */
    @Test
    void hoursUntilALevel() {
        assertThat(RoomAir.hoursUntil(1420, 420, 2420, 0.5)).isCloseTo(Math.log(2) / 0.5, within(1e-12));
        assertThat(RoomAir.hoursUntil(1500, 420, 1500, 0.5))
                .as("only just never")
                .isNull();
    }
}
