package jollytide.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.Drawn;
import org.junit.jupiter.api.Test;

class IntakeAirTest {
    /** The issue's own case: outdoor 410, room 830, intake 780 is 12 % outdoor air. */
    @Test
    void aHoseThatHardlyDelivers() {
        assertThat(IntakeAir.outdoorShare(830, 780, 410).orElseThrow()).isCloseTo(0.12, within(0.005));
    }

    @Test
    void airsTooAlikeTellNothing() {
        assertThat(IntakeAir.outdoorShare(500, 450, 410)).isEmpty();
    }

    /** Mixing two airs by a share and asking for the share gives it back. */
    @Test
    void mixedAndTakenApart() {
        Drawn.times(1000, 20261125, drawn -> {
            double share = drawn.between(0, 1);
            double outdoors = drawn.between(350, 600);
            double above = drawn.between(101, 4000);
            double room = outdoors + above;
            double intake = share * outdoors + (1 - share) * room;
            assertThat(IntakeAir.outdoorShare(room, intake, outdoors).orElseThrow())
                    .isCloseTo(share, within(1e-9));
        });
    }
}
