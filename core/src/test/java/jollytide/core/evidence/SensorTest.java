package jollytide.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

class SensorTest {
    private static Sensor.AtWork at(Sensor sensor) {
        return sensor.new AtWork(new SplittableRandom(7));
    }

    /** A first-order lag: after one time constant 63 % of a step has come through. The first reading is there at once. */
    @Test
    void itFollowsSlowly() {
        Sensor.AtWork slow = at(new Sensor(3, 0, 0, 0, 1e-9));
        assertThat(slow.read(8, 0, 0)).isCloseTo(8, within(1e-6));
        assertThat(slow.read(9, 3, 0)).isCloseTo(9 - Math.exp(-1), within(1e-6));
        assertThat(slow.read(9, 300, 0)).isCloseTo(9, within(1e-6));
        Sensor.AtWork quick = at(new Sensor(0, 0, 0, 0, 1e-9));
        quick.read(8, 0, 0);
        assertThat(quick.read(9, 0, 0)).isCloseTo(9, within(1e-6));
    }

    @Test
    void itIsOffAndDriftsAndRounds() {
        assertThat(at(new Sensor(0, 0.02, -0.0012, 0, 1e-9)).read(8, 0, 50)).isCloseTo(8.02 - 0.06, within(1e-6));
        assertThat(at(new Sensor(0, 0, 0, 0, 0.1)).read(8.16, 0, 0)).isCloseTo(8.2, within(1e-12));
        assertThat(at(new Sensor(0, 0, 0, 0, 0.1)).read(8.14, 0, 0)).isCloseTo(8.1, within(1e-12));
    }

    /** 4000 readings of one value spread by the stated deviation, a few percent either way. */
    @Test
    void itIsNoisyAsStated() {
        Sensor.AtWork noisy = at(new Sensor(0, 0, 0, 9, 1e-9));
        double[] read =
                DoubleStream.generate(() -> noisy.read(700, 5, 0)).limit(4000).toArray();
        double mean = DoubleStream.of(read).average().orElseThrow();
        double deviation = Math.sqrt(DoubleStream.of(read)
                .map(v -> (v - mean) * (v - mean))
                .average()
                .orElseThrow());
        assertThat(mean).isCloseTo(700, within(0.5));
        assertThat(deviation).isCloseTo(9, within(0.4));
    }
}
