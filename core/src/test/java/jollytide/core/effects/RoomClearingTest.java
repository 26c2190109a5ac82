package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rooms whose air changes are known, emptying. */
class RoomClearingTest {
    private static final Instant LEFT = Instant.parse("2026-10-10T07:00:00Z");
    private static final double OUTDOORS = 420;

    private static List<Reading> halfHours(IntToDoubleFunction ppm) {
        return IntStream.range(-4, 48)
                .mapToObj(i -> new Reading(LEFT.plus(Duration.ofMinutes(30L * i)), ppm.applyAsDouble(i)))
                .toList();
    }

    private static @Nullable RoomClearing clearing(IntToDoubleFunction ppm, Duration away) {
        return RoomClearing.of(halfHours(ppm), LEFT, LEFT.plus(away), OUTDOORS);
    }

    /** The decay by its formula, C − C0 = (C1 − C0)·e^(−nt): half gone after ln 2/n. */
    @ParameterizedTest
    @CsvSource({"0.2, 3.47, 11.5", "0.5, 1.39, 4.6", "1, 0.69, 2.3"})
    void readsTheAirChangesOffADecay(double perH, double halfH, double ninetyH) {
        RoomClearing found = Objects.requireNonNull(clearing(
                i -> OUTDOORS + 700 * Math.exp(-perH * Math.max(0, i) / 2), Duration.ofDays(1)));
        assertThat(found.airChangesPerH().value()).isCloseTo(perH, within(1e-6));
        assertThat(found.excessPpm()).isCloseTo(700, within(1e-3));
        assertThat(found.halfH().value()).isCloseTo(halfH, within(0.01));
        assertThat(found.ninetyH().value()).isCloseTo(ninetyH, within(0.1));
    }

    /** A meter that is noisy and stands 25 ppm off: in at least 17 of 20 the band holds what is true. */
    @Test
    void itsBandAllowsForTheMeter() {
        SplittableRandom random = new SplittableRandom(5);
        long held = IntStream.range(0, 200)
                .filter(k -> {
                    double off = 25 * random.nextGaussian();
                    RoomClearing found = clearing(
                            i -> OUTDOORS
                                    + off
                                    + 500 * Math.exp(-0.4 * Math.max(0, i) / 2)
                                    + 15 * random.nextGaussian(),
                            Duration.ofDays(1));
                    return found != null && found.airChangesPerH().holds(0.4);
                })
                .count();
        assertThat(held).isGreaterThanOrEqualTo(170);
    }

    @Test
    void saysNothingOfARoomThatHeldNothingDidNotFallOrWasSoonFullAgain() {
        assertThat(clearing(i -> OUTDOORS + 60 * Math.exp(-0.2 * i), Duration.ofDays(1)))
                .isNull();
        assertThat(clearing(i -> OUTDOORS + 500, Duration.ofDays(1))).isNull();
        assertThat(clearing(i -> OUTDOORS + 500 * Math.exp(-0.2 * i), Duration.ofHours(1)))
                .isNull();
        assertThat(RoomClearing.of(List.of(), LEFT, LEFT.plus(Duration.ofDays(1)), OUTDOORS))
                .isNull();
    }
}
