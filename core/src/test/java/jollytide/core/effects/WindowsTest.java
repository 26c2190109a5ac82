package jollytide.core.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.effects.Windows.Edge;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

class WindowsTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final Duration SETTLING = Duration.ofDays(2);
    private static final LocalDate LATER = LocalDate.of(2026, 12, 31);
    private static final Instant FITTED = at("2026-10-12T13:20");

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(ZONE).toInstant();
    }

    private static Windows of(LocalDate today, Edge... others) {
        return Windows.of(FITTED, FITTED, List.of(others), SETTLING, today, ZONE);
    }

    private static long after(Windows w) {
        return w.after().datesUntil(w.end()).count();
    }

    @Test
    void aFortnightOnEachSideWithoutWhatSettles() {
        Windows w = of(LATER);
        assertThat(w.before()).isEqualTo("2026-09-28");
        assertThat(w.change()).isEqualTo("2026-10-12");
        assertThat(w.after()).isEqualTo("2026-10-15");
        assertThat(w.end()).isEqualTo("2026-10-29");
        assertThat(w.coming()).isFalse();
        assertThat(w.cutBefore()).isNull();
        assertThat(w.cutAfter()).isNull();
        assertThat(w.isBefore(LocalDate.of(2026, 10, 12))).isFalse();
        assertThat(w.isAfter(LocalDate.of(2026, 10, 14))).isFalse();
    }

    @Test
    void notAcrossAnotherChange() {
        Edge earlier = new Edge(at("2026-10-03T09:00"), "media out");
        Edge later = new Edge(at("2026-10-19T08:00"), "hose off");
        Windows w = of(LATER, earlier, later);
        assertThat(w.before()).isEqualTo("2026-10-06");
        assertThat(w.cutBefore()).isEqualTo(earlier);
        assertThat(w.end()).isEqualTo("2026-10-19");
        assertThat(w.cutAfter()).isEqualTo(later);
        assertThat(w.coming()).isFalse();
    }

    /** Worked by hand; common practice, no source. */
    @Test
    void aStepTwoDaysLaterCutsItShort() {
        Edge next = new Edge(at("2026-10-14T13:20"), "another step");
        Windows w = of(LATER, next);
        assertThat(after(w)).isZero();
        assertThat(w.cutAfter()).isEqualTo(next);
    }

    @Test
    void whatHasNotComeYetIsSaid() {
        Windows w = of(LocalDate.of(2026, 10, 17));
        assertThat(after(w)).isEqualTo(2);
        assertThat(w.coming()).isTrue();
        assertThat(after(of(LocalDate.of(2026, 10, 13)))).isZero();
    }

    /** Days are the clock's: the one with 25 hours is one. */
    @Test
    void throughAClockChange() {
        Windows w = Windows.of(
                at("2026-10-24T12:00"), at("2026-10-24T12:00"), List.of(), Duration.ofHours(37), LATER, ZONE);
        assertThat(w.after()).isEqualTo("2026-10-26");
    }

    @Test
    void anotherChangeOfTheSameMinuteLeavesNoDaysBetween() {
        Windows w = of(LATER, new Edge(FITTED, "the same minute"));
        assertThat(w.before()).isEqualTo(w.change());
        assertThat(w.before().datesUntil(w.change()).count()).isZero();
    }

    @Test
    void anyDaysBesideAnyLaterOnes() {
        LocalDate day = LocalDate.of(2026, 10, 1);
        Windows w = Windows.between(day, day.plusDays(3), day.plusDays(40), day.plusDays(41));
        assertThat(w.isBefore(day.plusDays(2))).isTrue();
        assertThat(w.isBefore(day.plusDays(3))).isFalse();
        assertThat(w.isAfter(day.plusDays(40))).isTrue();
        assertThat(w.isAfter(day.plusDays(39))).isFalse();
        assertThatThrownBy(() -> Windows.between(day, day, day, day.plusDays(1)))
                .isInstanceOf(InputException.class)
                .hasMessage("The first stretch ends before it begins.");
        assertThatThrownBy(() -> Windows.between(day, day.plusDays(32), day.plusDays(40), day.plusDays(41)))
                .isInstanceOf(InputException.class)
                .hasMessage("The first stretch has 32 days. Choose at most 31.");
        assertThatThrownBy(() -> Windows.between(day, day.plusDays(3), day.plusDays(2), day.plusDays(4)))
                .hasMessageContaining("before the first one ends");
    }
}
