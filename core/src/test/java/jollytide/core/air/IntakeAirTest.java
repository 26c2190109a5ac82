package jollytide.core.air;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Objects;
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

    /** Two meters of 25 ppm beside a gap of 420 ppm: a twelfth of the share; close to all of it they tell no more than is assumed. */
    @Test
    void aMeasuredShareIsAsGoodAsItsMeters() {
        IntakeAir.Share half = Objects.requireNonNull(IntakeAir.share(830, 620, 410));
        assertThat(half.outdoors()).isCloseTo(0.5, within(1e-9));
        assertThat(half.lnOddsDeviation()).isCloseTo(25 * Math.sqrt(2) / 420 / 0.25, within(1e-9));
        assertThat(Objects.requireNonNull(IntakeAir.share(830, 400, 410)).outdoors())
                .isCloseTo(0.98, within(1e-9));
        assertThat(Objects.requireNonNull(IntakeAir.share(830, 410, 410)).lnOddsDeviation())
                .isEqualTo(IntakeAir.Share.ASSUMED.lnOddsDeviation());
        assertThat(IntakeAir.share(500, 450, 410)).isNull();
    }

    @Test
    void oddsOfASecondInlet() {
        assertThat(IntakeAir.withOdds(0.95, 1)).isCloseTo(0.95, within(1e-12));
        assertThat(IntakeAir.withOdds(0.95, 1 / 19.0)).isCloseTo(0.5, within(1e-12));
        assertThat(IntakeAir.Share.atMost(0.6).outdoors()).isEqualTo(0.6);
        assertThat(IntakeAir.Share.atMost(1)).isEqualTo(IntakeAir.Share.ASSUMED);
    }
}
