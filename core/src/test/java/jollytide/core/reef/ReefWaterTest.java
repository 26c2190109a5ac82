package jollytide.core.reef;

import static org.assertj.core.api.Assertions.assertThat;

import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

class ReefWaterTest {
    @Test
    void aReefStaysAsItIsAndASlipBecomesTheNearest() {
        assertThat(ReefWater.nearest(34, 25.5)).isEqualTo(new Seawater(34, 25.5));
        assertThat(ReefWater.nearest(1.025, 78)).isEqualTo(new Seawater(20, 34));
        assertThat(ReefWater.nearest(60, 4)).isEqualTo(new Seawater(42, 15));
    }

    /** 2 to 22 dKH. */
    @Test
    void aTestBeyondIsOfNoReef() {
        assertThat(ReefWater.mayHold(3)).isTrue();
        assertThat(ReefWater.mayHold(0.2)).isFalse();
        assertThat(ReefWater.mayHold(10)).isFalse();
    }
}
