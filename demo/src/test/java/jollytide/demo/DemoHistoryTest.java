package jollytide.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import jollytide.core.drift.Course;
import jollytide.core.evidence.RawUnit;
import jollytide.core.fit.Reading;
import jollytide.core.units.AlkalinityUnit;
import jollytide.demo.TankHistory.Sample;
import jollytide.demo.TankHistory.Series;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The history against what docs/demo-history.md says happened. A clock change lies inside. */
class DemoHistoryTest {
    private static final Instant END = Instant.parse("2026-11-12T15:24:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final TankHistory LANTERN = DemoHistory.lanternReef(1, END, ZONE);

    private static List<Sample> samples(TankHistory history, RawUnit unit) {
        return history.series().stream()
                .filter(s -> s.unit() == unit)
                .map(Series::samples)
                .findFirst()
                .orElseThrow();
    }

    /** The lowest pH of each day between two days before the end, averaged. */
    private static double trough(TankHistory history, double from, double to) {
        double sum = 0;
        int days = 0;
        for (double day = from; day > to; day--, days++) {
            Instant start = END.minus(Duration.ofMinutes((long) (day * 1440)));
            sum += samples(history, RawUnit.PH_NBS).stream()
                    .filter(s -> !s.at().isBefore(start) && s.at().isBefore(start.plus(Duration.ofDays(1))))
                    .mapToDouble(Sample::value)
                    .min()
                    .orElseThrow();
        }
        return sum / days;
    }

    @Test
    void theSameSeedGivesTheSameHistory() {
        assertThat(DemoHistory.lanternReef(1, END, ZONE)).isEqualTo(LANTERN);
        assertThat(DemoHistory.lanternReef(2, END, ZONE)).isNotEqualTo(LANTERN);
    }

    @Test
    void itIsFullButNotWithoutGapsAndInOrder() {
        List<Sample> ph = samples(LANTERN, RawUnit.PH_NBS);
        assertThat(ph).hasSizeBetween(32_000, 34_560);
        assertThat(ph).isSortedAccordingTo((a, b) -> a.at().compareTo(b.at()));
        assertThat(ph.get(ph.size() - 1).at())
                .isAfter(END.minus(Duration.ofHours(6)))
                .isBeforeOrEqualTo(END);
        assertThat(samples(LANTERN, RawUnit.DKH)).hasSizeBetween(33, 35);
    }

    @Test
    void theAutumnSags() {
        assertThat(trough(LANTERN, 118, 104)).isGreaterThan(trough(LANTERN, 60, 52) + 0.06);
    }

    @Test
    void theCloggedVenturiAndTheRearHoseLowerTheNight() {
        assertThat(trough(LANTERN, 74, 71.5)).isLessThan(trough(LANTERN, 84, 79) - 0.05);
        assertThat(trough(LANTERN, 64, 62)).isLessThan(trough(LANTERN, 70, 66));
    }

    @Test
    void anEmptyHouseAndTheFrontHoseLiftIt() {
        assertThat(trough(LANTERN, 46, 42)).isGreaterThan(trough(LANTERN, 58, 52) + 0.06);
        assertThat(trough(LANTERN, 18, 16.2)).isGreaterThan(trough(LANTERN, 15, 11) + 0.06);
    }

    @Test
    void freshMediaLiftTheNightAndSpentOnesDoNot() {
        assertThat(trough(LANTERN, 9.4, 8.4)).isGreaterThan(trough(LANTERN, 15, 11) + 0.08);
        assertThat(trough(LANTERN, 5, 1)).isLessThan(trough(LANTERN, 9.4, 8.4) - 0.08);
    }

    /** Whatever the weekday on which the demo is begun, before the test or after it. */
    @ParameterizedTest
    @ValueSource(ints = {0, 24, 48, 72, 96, 120, 144, 4, 28, 52, 76, 100, 124, 148})
    void theTestsShowThatLimewaterFellShort(int hoursLater) {
        Instant end = END.plus(hoursLater, ChronoUnit.HOURS);
        List<Reading> tests = samples(DemoHistory.lanternReef(6, end, ZONE), RawUnit.DKH).stream()
                .map(s -> new Reading(s.at(), AlkalinityUnit.DKH.toMeqPerL(s.value())))
                .toList();
        LocalDate middle = LocalDate.ofInstant(end, ZONE).minusDays(27);
        assertThat(Course.ofAlkalinity(tests, ZONE).drifts())
                .filteredOn(drift -> drift.perDay().value() < 0)
                .singleElement()
                .satisfies(fall -> {
                    assertThat(middle).isBetween(fall.from(), fall.until());
                    assertThat(fall.perDay().holds(-0.019)).isTrue();
                });
    }

    @Test
    void theSchoolBreathesOnWeekdaysOnly() {
        TankHistory room6 = DemoHistory.room6(1, END, ZONE);
        List<Sample> co2 = samples(room6, RawUnit.CO2_PPM);
        double weekday = peak(co2, 8);
        double halfTerm = peak(co2, 23);
        assertThat(weekday).isGreaterThan(1900);
        assertThat(halfTerm).isLessThan(520);
    }

    private static double peak(List<Sample> samples, int daysBefore) {
        Instant start = END.minus(Duration.ofDays(daysBefore));
        return samples.stream()
                .filter(s -> s.at().isAfter(start) && s.at().isBefore(start.plus(Duration.ofDays(2))))
                .mapToDouble(Sample::value)
                .max()
                .orElseThrow();
    }

    /** 90 mL a day out of half a litre, read twice a week; 40 out of 350, once: what is missing is what was planned. */
    @Test
    void bottlesAreEmptiedAsPlanned() {
        assertThat(used(DemoHistory.room6(1, END, ZONE).reservoir())).isBetween(88.0, 92.0);
        assertThat(used(DemoHistory.heron(1, END, ZoneId.of("Europe/London")).reservoir()))
                .isBetween(39.0, 41.0);
    }

    private static double used(List<TankHistory.ReservoirNote> notes) {
        double ml = 0;
        TankHistory.ReservoirNote before = notes.get(0);
        for (TankHistory.ReservoirNote n : notes) {
            if (n.seen() == TankHistory.Seen.LEVEL) {
                ml += before.ml() - n.ml();
            }
            before = n;
        }
        return ml / (Duration.between(notes.get(0).at(), before.at()).toHours() / 24.0);
    }

    @Test
    void heronHoldsItsBreathButLives() {
        TankHistory heron = DemoHistory.heron(1, END, ZoneId.of("Europe/London"));
        assertThat(trough(heron, 20, 2)).isBetween(7.5, 7.95);
    }
}
