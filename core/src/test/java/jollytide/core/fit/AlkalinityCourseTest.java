package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class AlkalinityCourseTest {
    private static final Instant START = Instant.parse("2026-09-14T19:00:00Z");

    private static Instant day(double day) {
        return START.plus(Duration.ofMinutes(Math.round(1440 * day)));
    }

    private static AlkalinityCourse weekly(double... meqPerL) {
        return AlkalinityCourse.of(IntStream.range(0, meqPerL.length)
                .mapToObj(i -> new Reading(day(7 * i), meqPerL[i]))
                .toList());
    }

    @Test
    void withoutATestItIsWhatIsAssumed() {
        AlkalinityCourse none = AlkalinityCourse.of(List.of());
        assertThat(none.tested()).isFalse();
        assertThat(none.at(START, 2.9)).isEqualTo(2.9);
    }

    @Test
    void oneTestHoldsThroughout() {
        AlkalinityCourse one = weekly(3.1);
        assertThat(one.tested()).isTrue();
        assertThat(one.at(day(-30), 2.9)).isCloseTo(3.1, within(1e-9));
        assertThat(one.at(day(30), 2.9)).isCloseTo(3.1, within(1e-9));
    }

    /** By hand: two tests of scatter s, d days apart, are drawn together by 2 / (2 + w² d / s²) of half their difference. */
    @Test
    void twoTestsAreDrawnTogether() {
        AlkalinityCourse two = weekly(3.0, 3.2);
        double together = 2 / (2 + 7.0) * 0.1;
        assertThat(two.at(day(0), 0)).isCloseTo(3.0 + together, within(1e-6));
        assertThat(two.at(day(7), 0)).isCloseTo(3.2 - together, within(1e-6));
        assertThat(two.at(day(3.5), 0)).isCloseTo(3.1, within(1e-6));
    }

    /** A steady fall is followed; a single odd test among its neighbours is not believed whole. */
    @Test
    void aFallIsFollowedAndAnOddTestIsNot() {
        assertThat(weekly(3.4, 3.2, 3.0, 2.8).at(day(10.5), 0)).isCloseTo(3.1, within(0.01));
        AlkalinityCourse odd = AlkalinityCourse.of(IntStream.range(0, 9)
                .mapToObj(i -> new Reading(day(i), i == 4 ? 3.3 : 3.0))
                .toList());
        assertThat(odd.at(day(4), 0)).isBetween(3.02, 3.2);
    }

    /** In any order, and twice at the same moment. */
    @Test
    void clumsyTestsAreTaken() {
        AlkalinityCourse clumsy = AlkalinityCourse.of(
                List.of(new Reading(day(7), 3.2), new Reading(day(0), 3.0), new Reading(day(7), 3.0)));
        assertThat(clumsy.at(day(7), 0)).isBetween(3.0, 3.2);
        assertThat(clumsy.at(day(20), 0)).isBetween(3.0, 3.2);
    }
}
