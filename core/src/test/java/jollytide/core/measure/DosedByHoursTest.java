package jollytide.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.Collections;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.DoseHours;
import jollytide.core.fit.Logged;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** The same doses at night as all day: the same alkalinity at the end of a day, another day of pH. */
class DosedByHoursTest {
    private static final TankParameters TANK = new TankParameters(1, 0.018, 0.034);
    /** From 22 to 6 o'clock. */
    private static final DoseHours NIGHT = new DoseHours(
            IntStream.range(0, 24).mapToObj(h -> h >= 22 || h < 6 ? 1 / 8.0 : 0).toList());

    private static List<TwinState> day(AlkalinitySource source, DoseHours hours) {
        OrdinaryDays days = new OrdinaryDays(Logged.TANK.dosed(0.3, source, hours), TANK);
        List<TwinState> run = days.run(days.today(Logged.START), MeasureSet.NONE, Duration.ofDays(4));
        return run.subList(run.size() - 97, run.size());
    }

    private static double phAt(List<TwinState> day, LocalTime time) {
        return day.stream()
                .filter(s -> s.at().atZone(Logged.ZONE).toLocalTime().equals(time))
                .mapToDouble(TwinState::phNbs)
                .findFirst()
                .orElseThrow();
    }

    private static double swing(List<TwinState> day) {
        var ph = day.stream().mapToDouble(TwinState::phNbs).summaryStatistics();
        return ph.getMax() - ph.getMin();
    }

    @Test
    void hydroxideByNightLiftsTheNightAndLowersTheDay() {
        List<TwinState> evenly = day(AlkalinitySource.SODIUM_HYDROXIDE, DoseHours.EVENLY);
        List<TwinState> night = day(AlkalinitySource.SODIUM_HYDROXIDE, NIGHT);
        assertThat(phAt(night, LocalTime.of(6, 0))).isGreaterThan(phAt(evenly, LocalTime.of(6, 0)) + 0.02);
        assertThat(phAt(night, LocalTime.of(20, 0))).isLessThan(phAt(evenly, LocalTime.of(20, 0)) - 0.005);
        assertThat(swing(night)).isLessThan(swing(evenly) - 0.02);
    }

    /** What is poured in a day is the same: so is alkalinity a day later, but for what saturation did to its use. */
    @Test
    void aDayBringsTheSame() {
        List<TwinState> night = day(AlkalinitySource.SODA_ASH, NIGHT);
        double begins = night.get(0).alkalinityMolPerKg();
        assertThat(night.get(night.size() - 1).alkalinityMolPerKg()).isCloseTo(begins, within(4e-6));
        double dawn =
                night.stream().mapToDouble(TwinState::alkalinityMolPerKg).max().orElseThrow();
        // 0.3 meq/L a day in eight hours, of which a third is used meanwhile: two thirds of it stand there at dawn.
        assertThat((dawn - begins) * 1000 * Logged.TANK.water().densityKgPerL()).isBetween(0.1, 0.22);
    }

    @Test
    void hoursMustMakeAWholeDay() {
        assertThat(DoseHours.EVENLY.even()).isTrue();
        assertThat(NIGHT.even()).isFalse();
        assertThat(NIGHT.times(23.9)).isCloseTo(3, within(1e-12));
        assertThat(NIGHT.times(6)).isZero();
        assertThatThrownBy(() -> new DoseHours(Collections.nCopies(24, 0.05))).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new DoseHours(List.of(1.0))).isInstanceOf(InputException.class);
    }

    /** The run meets each hour, also when the clock is set: nothing is dosed in the hour that is left out. */
    @Test
    void theNextHourIsThatOfTheLocalClock() {
        var pace = DosedByHours.of(NIGHT, new jollytide.core.description.LocalHours(Logged.ZONE));
        Instant t = Instant.parse("2026-09-14T19:40:00Z");
        assertThat(pace.timesAt(t)).isZero();
        Instant next = pace.nextSwitch(t, t.plus(Duration.ofDays(1)));
        assertThat(next).isEqualTo(Instant.parse("2026-09-14T20:00:00Z"));
        assertThat(pace.timesAt(next)).isCloseTo(3, within(1e-12));
        assertThat(pace.nextSwitch(t, t.plusSeconds(60))).isEqualTo(t.plusSeconds(60));
    }

    /** A doser that stops: alkalinity falls by what is used, at first; three quarters leave a quarter of that fall. */
    @Test
    void dosesThatStopLetAlkalinityFall() {
        OrdinaryDays days = new OrdinaryDays(Logged.TANK.dosed(0.3, AlkalinitySource.SODA_ASH, DoseHours.EVENLY), TANK);
        TwinState today = days.today(Logged.START);
        double stopped = fall(days, today, new DosesShort(0));
        // Less saturated water is built from more slowly: a fifth less by the end of the day.
        assertThat(stopped).isBetween(0.2, 0.3);
        assertThat(fall(days, today, new DosesShort(0.75))).isCloseTo(0.25 * stopped, within(0.02));
        assertThat(fall(days, today, new DosesShort(1))).isCloseTo(0, within(0.01));
        assertThatThrownBy(() -> new DosesShort(1.2)).isInstanceOf(InputException.class);
    }

    private static double fall(OrdinaryDays days, TwinState today, Measure measure) {
        List<TwinState> run = days.run(today, MeasureSet.of(measure), Duration.ofDays(1));
        return (run.get(0).alkalinityMolPerKg() - run.get(run.size() - 1).alkalinityMolPerKg())
                * 1000
                * Logged.TANK.water().densityKgPerL();
    }
}
