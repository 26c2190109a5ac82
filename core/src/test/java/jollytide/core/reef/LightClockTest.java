package jollytide.core.reef;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

class LightClockTest {
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final LightClock DAY = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 0);

    private static Instant t(String instant) {
        return Instant.parse(instant);
    }

    @Test
    void litBetweenOnAndOff() {
        assertThat(DAY.litAt(t("2026-11-12T08:59:59Z"), ZONE)).isFalse();
        assertThat(DAY.litAt(t("2026-11-12T09:00:00Z"), ZONE)).isTrue();
        assertThat(DAY.litAt(t("2026-11-12T20:00:00Z"), ZONE)).isFalse();
    }

    @Test
    void litAcrossMidnight() {
        LightClock night = new LightClock(LocalTime.of(20, 0), LocalTime.of(4, 0), true, 0);
        assertThat(night.litAt(t("2026-11-12T23:30:00Z"), ZONE)).isTrue();
        assertThat(night.litAt(t("2026-11-12T12:00:00Z"), ZONE)).isFalse();
    }

    @Test
    void equalTimesMeanNeverLit() {
        LightClock dark = new LightClock(LocalTime.NOON, LocalTime.NOON, true, 0);
        assertThat(dark.litAt(t("2026-11-12T12:00:00Z"), ZONE)).isFalse();
    }

    @Test
    void aLampThatIgnoresSummerTimeSwitchesAnHourLaterByTheWallClock() {
        LightClock lamp = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), false, 0);
        assertThat(lamp.lastOn(t("2026-07-01T20:00:00Z"), ZONE)).isEqualTo(t("2026-07-01T09:00:00Z"));
        assertThat(DAY.lastOn(t("2026-07-01T20:00:00Z"), ZONE)).isEqualTo(t("2026-07-01T08:00:00Z"));
    }

    @Test
    void switchesFollowTheClockChange() {
        assertThat(DAY.lastOn(t("2026-10-25T12:00:00Z"), ZONE)).isEqualTo(t("2026-10-25T09:00:00Z"));
        assertThat(DAY.lastOn(t("2026-10-25T08:00:00Z"), ZONE)).isEqualTo(t("2026-10-24T08:00:00Z"));
        assertThat(DAY.nextSwitch(t("2026-10-25T08:00:00Z"), ZONE)).isEqualTo(t("2026-10-25T09:00:00Z"));
        assertThat(DAY.lastOff(t("2026-10-25T08:00:00Z"), ZONE)).isEqualTo(t("2026-10-24T19:00:00Z"));
    }

    @Test
    void aBandMustRise() {
        assertThatThrownBy(() -> new TargetBand(8.4, 8.0, 7.8)).isInstanceOf(InputException.class);
    }

    @Test
    void lampsWithARampComeUpAndGoDown() {
        LightClock ramped = new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 60);
        ZoneId utc = ZoneId.of("UTC");
        assertThat(ramped.levelAt(Instant.parse("2026-11-12T09:59:00Z"), utc)).isZero();
        assertThat(ramped.levelAt(Instant.parse("2026-11-12T10:15:00Z"), utc)).isEqualTo(0.25);
        assertThat(ramped.levelAt(Instant.parse("2026-11-12T15:00:00Z"), utc)).isEqualTo(1);
        assertThat(ramped.levelAt(Instant.parse("2026-11-12T20:30:00Z"), utc)).isEqualTo(0.5);
        assertThat(ramped.levelAt(Instant.parse("2026-11-12T21:00:00Z"), utc)).isZero();
    }

    /** From midnight to midnight lamps are never off; from ten to ten they are never on. */
    @Test
    void lampsMayBurnAllDay() {
        LightClock always = new LightClock(LocalTime.MIDNIGHT, LocalTime.MIDNIGHT, true, 30);
        assertThat(always.litHours()).isEqualTo(24);
        assertThat(always.neverLit()).isFalse();
        assertThat(always.switches()).isFalse();
        Instant noon = t("2026-10-25T12:00:00Z");
        assertThat(always.litAt(noon, ZONE)).isTrue();
        assertThat(always.levelAt(noon, ZONE)).isEqualTo(1);
        assertThat(always.litBetween(noon, noon.plusSeconds(90_000), ZONE)).hasSize(1);
        LightCourse course = new LightCourse(always, ZONE, noon, Duration.ofDays(2));
        assertThat(course.levelAt(noon.plusSeconds(40_000))).isEqualTo(1);
        LightClock never = new LightClock(LocalTime.of(10, 0), LocalTime.of(10, 0), true, 30);
        assertThat(never.neverLit()).isTrue();
        assertThat(never.litHours()).isZero();
        assertThat(never.litAt(noon, ZONE)).isFalse();
    }
}
