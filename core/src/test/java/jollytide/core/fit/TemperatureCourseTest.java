package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Warmth;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import org.junit.jupiter.api.Test;

/** The water's temperature through a log, and what a run of its days makes of it. */
class TemperatureCourseTest {
    private static final Instant NOON = Instant.parse("2026-11-01T12:00:00Z");
    private static final TankParameters TRUTH = new TankParameters(0.75, 1.3, 0.01, 0.02);
    private static final Duration QUARTER = Duration.ofMinutes(15);

    private static Reading at(double hours, double celsius) {
        return new Reading(NOON.plusSeconds(Math.round(3600 * hours)), celsius);
    }

    /** By hand: hours of 25.0 and 25.4, a gap of two, then 26.0; their middles at half past. */
    @Test
    void hoursAreMeansAndGapsAreStraight() {
        TemperatureCourse course =
                TemperatureCourse.of(List.of(at(0.25, 24.9), at(0.75, 25.1), at(1.5, 25.4), at(4.5, 26.0)));
        assertThat(course.at(NOON.plusSeconds(1800))).isCloseTo(25.0, within(1e-9));
        assertThat(course.at(NOON.plusSeconds(3600))).isCloseTo(25.2, within(1e-9));
        assertThat(course.at(NOON.plusSeconds(3 * 3600))).isCloseTo(25.7, within(1e-9));
        assertThat(course.at(NOON.minusSeconds(9999))).isCloseTo(25.0, within(1e-9));
        assertThat(course.at(NOON.plusSeconds(999_999))).isCloseTo(26.0, within(1e-9));
        assertThat(TemperatureCourse.of(List.of(at(0, 25))).at(NOON)).isEqualTo(25);
    }

    /** Six days at 25 °C, then three at 27: a run of the log follows only when it knows. */
    @Test
    void aHeatWaveIsExplainedByItsReadings() {
        RoomCourse room = Logged.room(9, Logged.HOME);
        OrdinaryDays days = new OrdinaryDays(Logged.TANK, TRUTH, room);
        TwinState first = days.today(Logged.START);
        List<TwinState> states = new ArrayList<>(days.run(first, MeasureSet.NONE, Duration.ofDays(6), QUARTER));
        states.addAll(
                days.run(states.get(states.size() - 1), MeasureSet.of(new Warmth(2)), Duration.ofDays(3), QUARTER));
        TankLog cool = Logged.log(Logged.ph(states), room);
        TankLog read = new TankLog(
                cool.ph(),
                cool.oxygen(),
                room,
                true,
                cool.alkalinity(),
                TemperatureCourse.of(states.stream()
                        .map(s -> new Reading(s.at(), s.temperatureC()))
                        .toList()),
                List.of());
        // A settled tank gives way by 0.003 a kelvin only: warmer water breathes more, and holds less CO2.
        assertThat(off(cool)).isBetween(0.002, 0.02);
        assertThat(off(read)).isLessThan(off(cool) / 10);
    }

    /** How far a run of the true tank ends up from the last day's readings, on average. */
    private static double off(TankLog log) {
        List<Reading> shown = log.shownBy(Logged.TANK, TRUTH);
        int n = shown.size();
        double sum = 0;
        for (int i = n - 48; i < n; i++) {
            sum += Math.abs(shown.get(i).value() - log.ph().get(i).value());
        }
        return sum / 48;
    }
}
