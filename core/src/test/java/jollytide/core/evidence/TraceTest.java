package jollytide.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TraceTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-12T00:00:00Z");
    private static final ZoneId UTC = ZoneId.of("UTC");

    private static Observation at(int minute, double value) {
        return new Observation(value, Method.PROBE, MIDNIGHT.plus(Duration.ofMinutes(minute)));
    }

    /** A day's cosine, trough at 10:00. */
    private static List<Observation> day(int everyMinutes) {
        return IntStream.range(0, 1440 / everyMinutes)
                .mapToObj(i ->
                        at(i * everyMinutes, 8 - 0.15 * Math.cos((i * everyMinutes - 600) / 1440.0 * 2 * Math.PI)))
                .toList();
    }

    @Test
    void gapsStayGaps() {
        List<Observation> readings = new ArrayList<>(day(5));
        readings.removeIf(r ->
                r.at().isAfter(at(180, 0).at()) && r.at().isBefore(at(260, 0).at()));
        assertThat(Trace.stretches(readings)).hasSize(2);
        assertThat(Trace.stretches(List.of(at(0, 8), at(300, 8), at(330, 8))))
                .extracting(List::size)
                .containsExactly(1, 2);
        assertThat(Trace.stretches(List.of())).isEmpty();
    }

    @Test
    void extremesWithTheirTimes() {
        Trace.Extremes extremes = Trace.extremes(day(5)).orElseThrow();
        assertThat(extremes.trough().at()).isEqualTo(at(600, 0).at());
        assertThat(extremes.peak().at()).isEqualTo(at(1320, 0).at());
        assertThat(extremes.swing()).isCloseTo(0.3, within(1e-9));
        assertThat(extremes.surrounded()).isTrue();
    }

    @Test
    void anExtremeAtTheEdgeOfAGapIsNoSureOne() {
        List<Observation> morning =
                day(5).stream().filter(r -> !r.at().isAfter(at(600, 0).at())).toList();
        assertThat(Trace.extremes(morning).orElseThrow().surrounded()).isFalse();
        assertThat(Trace.extremes(List.of(at(600, 7.9))).orElseThrow().surrounded())
                .isFalse();
        assertThat(Trace.extremes(List.of())).isEmpty();
    }

    @Test
    void thinningKeepsEveryExtreme() {
        List<Observation> minutes = new ArrayList<>(day(1));
        minutes.set(333, at(333, 7.2));
        minutes.set(777, at(777, 8.9));
        List<Observation> thinned = Trace.thinned(minutes, 200);
        assertThat(thinned).hasSizeLessThanOrEqualTo(400);
        assertThat(thinned).extracting(Observation::value).contains(7.2, 8.9);
        assertThat(thinned).isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
        assertThat(Trace.thinned(day(5), 1000)).hasSize(288);
    }

    @Test
    void whatIsUsualNeedsSeveralDays() {
        List<Observation> week = new ArrayList<>();
        for (int d = 0; d < 7; d++) {
            for (Observation o : day(5)) {
                week.add(new Observation(o.value() + 0.01 * d, Method.PROBE, o.at().plus(Duration.ofDays(d))));
            }
        }
        List<Trace.Usual> usual = Trace.usual(week, UTC, 3);
        assertThat(usual).hasSize(48);
        assertThat(usual.get(20).minuteOfDay()).isEqualTo(615);
        assertThat(usual.get(20).low()).isBetween(7.85, 7.87);
        assertThat(usual.get(20).high()).isBetween(7.89, 7.92);
        assertThat(Trace.usual(day(5), UTC, 3)).isEmpty();
    }
}
