package jollytide.core.reef;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.dosing.Inflow;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

class ReefTest {
    /** Clarke and Johnston (1999), numbers from memory: a 50 g fish takes 205 mg/(kg·h) at 25 °C. */
    @Test
    void aFishBreathes() {
        Fish one = new Fish(List.of(new Fish.Group(1, 50)));
        assertThat(one.oxygenMgPerH(25) / 0.05).isCloseTo(205, within(1.5));
        Fish small = new Fish(List.of(new Fish.Group(10, 5)));
        assertThat(small.massG()).isEqualTo(one.massG());
        assertThat(small.oxygenMgPerH(25)).isGreaterThan(1.5 * one.oxygenMgPerH(25));
        assertThat(one.oxygenMgPerH(30)).isBetween(1.25 * one.oxygenMgPerH(25), 1.4 * one.oxygenMgPerH(25));
        assertThat(Fish.NONE.oxygenMgPerH(25)).isZero();
    }

    /** The spare CO2 of the effluent shrinks with a second chamber and with a drip cup, its alkalinity does not. */
    @Test
    void aReactorBringsCo2() {
        CarbonateSystem system = CarbonateSystem.of(new Seawater(35, 25.5));
        CarbonateState tank = system.fromAlkalinityAndCo2(0.0029, 600);
        Inflow plain = new CalciumReactor(2, 6.7, 12, 0, 0).perDay(system, tank, 420);
        Inflow chamber = new CalciumReactor(2, 6.7, 12, 0.5, 0).perDay(system, tank, 420);
        Inflow drip = new CalciumReactor(2, 6.7, 12, 0, 0.5).perDay(system, tank, 420);
        // (12 − 2.97) meq/L in 48 L a day for 420 L.
        assertThat(plain.alkalinityMeq()).isCloseTo(9.03 * 48 / 420, within(0.01));
        assertThat(surplus(plain)).isPositive();
        // The chamber binds CO2 to more lime: for the same alkalinity less CO2 comes along.
        assertThat(surplus(chamber) / chamber.alkalinityMeq()).isLessThan(0.9 * surplus(plain) / plain.alkalinityMeq());
        assertThat(surplus(drip)).isLessThan(surplus(plain));
        assertThat(chamber.alkalinityMeq()).isGreaterThan(plain.alkalinityMeq());
        assertThat(drip.alkalinityMeq()).isEqualTo(plain.alkalinityMeq());
    }

    /** Carbon that came beyond the half mole for each equivalent that lime takes along. */
    private static double surplus(Inflow inflow) {
        return inflow.carbonMmol() - inflow.alkalinityMeq() / 2;
    }

    /** ASHRAE's pool equation: 1 m² of 26 °C over still air of 22 °C at half saturation, about 7 L a day. */
    @Test
    void evaporation() {
        double still = Evaporation.litresPerDay(1, 26, 22, 0.5, 0);
        assertThat(still).isBetween(5.0, 8.0);
        assertThat(Evaporation.litresPerDay(1, 26, 22, 0.5, 0.5)).isGreaterThan(1.3 * still);
        assertThat(Evaporation.litresPerDay(1, 10, 30, 1, 0)).isZero();
        assertThat(Evaporation.cooledW(5)).isCloseTo(141, within(2.0));
    }

    /** The course says what the clock says, over a night in which the clocks change. */
    @Test
    void aCourseIsItsClock() {
        ZoneId zone = ZoneId.of("Europe/Amsterdam");
        LightClock clock = new LightClock(LocalTime.of(14, 0), LocalTime.of(2, 30), true, 45);
        Instant from = Instant.parse("2026-10-24T00:00:00Z");
        LightCourse course = new LightCourse(clock, zone, from, Duration.ofDays(3));
        for (int m = 0; m < 3 * 1440; m += 7) {
            Instant t = from.plus(Duration.ofMinutes(m));
            assertThat(course.litAt(t)).isEqualTo(clock.litAt(t, zone));
            assertThat(course.levelAt(t)).isCloseTo(clock.levelAt(t, zone), within(1e-9));
            Instant next = course.nextChange(t, t.plus(Duration.ofDays(2)));
            assertThat(next).isAfter(t).isBeforeOrEqualTo(clock.nextSwitch(t, zone));
        }
    }
}
