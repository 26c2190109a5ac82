package jollytide.core.reef;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.Drawn;
import jollytide.core.dosing.Inflow;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LivingThingsTest {

    /** Assumed shares of a mixed reef: bare rock breathes less, stony corals more; only corals ask for flow. From memory. */
    @ParameterizedTest
    @CsvSource({
        "FISH_ONLY, 0.6, 0.4, false",
        "SOFT_CORALS, 0.85, 0.8, true",
        "MIXED_REEF, 1, 1, true",
        "STONY_CORALS, 1.2, 1.3, true",
        "PLANTS, 0.9, 1.2, false"
    })
    void whatLivesInATank(Livestock kind, double respiration, double photosynthesis, boolean corals) {
        assertThat(kind.respiration()).isEqualTo(respiration);
        assertThat(kind.photosynthesis()).isEqualTo(photosynthesis);
        assertThat(kind.corals()).isEqualTo(corals);
    }

    /** Two of 25 g breathe as 2 × 0.5^0.79 = 1.157 of 50 g: the published exponent of mass. */
    @Test
    void smallFishBreatheMoreByMass() {
        Fish two = new Fish(List.of(new Fish.Group(2, 25)));
        Fish one = new Fish(List.of(new Fish.Group(1, 50)));
        assertThat(two.massG()).isEqualTo(50);
        assertThat(two.count()).isEqualTo(2);
        assertThat(new Fish(List.of(new Fish.Group(3, 10), new Fish.Group(2, 25))).massG())
                .isEqualTo(80);
        assertThat(two.oxygenMmolPerH(25) / one.oxygenMmolPerH(25)).isCloseTo(2 * Math.pow(0.5, 0.79), within(1e-9));
        // e^(−5020/303.15 + 5020/293.15) for ten degrees more: about 1.76.
        assertThat(one.oxygenMmolPerH(30) / one.oxygenMmolPerH(20))
                .isCloseTo(Math.exp(5020 / 293.15 - 5020 / 303.15), within(1e-9));
    }

    @Test
    void demandFadesOnlyWhereNothingLives() {
        assertThat(OxygenLines.demandLeft(OxygenLines.LOSS)).isEqualTo(1);
        assertThat(OxygenLines.demandLeft(0.5)).isEqualTo(1);
        assertThat(OxygenLines.demandLeft(0.25)).isEqualTo(0.5);
        assertThat(OxygenLines.demandLeft(0)).isZero();
        assertThat(OxygenLines.demandLeft(-1)).isZero();
    }

    /**
     * A reactor by hand, every mole of it: 2 L/h of 12 meq/L at pH 6.7 into 420 L. A mole of CO2 used on lime comes back as
     * two equivalents and one more mole of carbon; one driven off is gone.
     */
    @ParameterizedTest
    @CsvSource({"0, 0", "0.5, 0", "0, 0.4", "0.5, 0.4", "1, 1"})
    void aReactorsCarbonIsAccountedFor(double chamber, double drip) {
        Seawater water = new Seawater(35, 25.5);
        CarbonateSystem system = CarbonateSystem.of(water);
        CarbonateState tank = system.fromAlkalinityAndCo2(0.0029, 600);
        double density = water.densityKgPerL();
        CarbonateState effluent =
                system.fromPhAndAlkalinity(system.constants().toTotal(6.7, PhScale.NBS), 0.012 / density);
        double spare = effluent.co2() - tank.co2();
        double litresADay = 48;
        double toMmolPerL = litresADay * density / 420 * 1000;
        Inflow inflow = new CalciumReactor(2, 6.7, 12, chamber, drip).perDay(system, tank, 420);
        double used = spare * chamber;
        double driven = (spare - used) * drip;
        assertThat(inflow.alkalinityMeq())
                .isCloseTo((effluent.alkalinity() - tank.alkalinity() + 2 * used) * toMmolPerL, within(1e-9));
        assertThat(inflow.carbonMmol())
                .isCloseTo((effluent.dic() - tank.dic() + used - driven) * toMmolPerL, within(1e-9));
        assertThat(inflow.calciumMmol()).isCloseTo(inflow.alkalinityMeq() / 2, within(1e-9));
        assertThat(inflow.potassiumMmol()).isZero();
        assertThat(inflow.alkalinityMeq()).isGreaterThan(0.9);
    }

    /** A course laid out beforehand says at every moment what the clock says, through both changes of the clocks. */
    @Test
    void aLightCourseIsItsClock() {
        ZoneId zone = ZoneId.of("Europe/Amsterdam");
        Drawn.times(400, 20261125, drawn -> {
            LocalTime on = LocalTime.MIDNIGHT.plusMinutes((long) drawn.between(0, 1439));
            LocalTime off = LocalTime.MIDNIGHT.plusMinutes((long) drawn.between(0, 1439));
            LightClock clock = new LightClock(on, off, drawn.of(true, false), drawn.of(0, 30));
            Instant from =
                    Instant.parse(drawn.of("2026-03-28T10:00:00Z", "2026-10-24T10:00:00Z", "2026-07-01T00:00:00Z"));
            LightCourse course = new LightCourse(clock, zone, from, Duration.ofDays(3));
            for (int minute = 0; minute < 3 * 1440; minute += 97) {
                Instant t = from.plusSeconds(60L * minute);
                assertThat(course.litAt(t)).as("%s", t).isEqualTo(clock.litAt(t, zone));
                assertThat(course.levelAt(t)).as("%s", t).isCloseTo(clock.levelAt(t, zone), within(1e-9));
            }
        });
    }

    /** The next change is a switch or the end of a ramp, the first after a moment, or what was offered instead. */
    @Test
    void aLightCourseKnowsItsNextChange() {
        ZoneId utc = ZoneId.of("UTC");
        Instant midnight = Instant.parse("2026-07-01T00:00:00Z");
        LightClock clock = new LightClock(LocalTime.of(10, 0), LocalTime.of(20, 0), true, 30);
        LightCourse course = new LightCourse(clock, utc, midnight, Duration.ofDays(2));
        Instant late = midnight.plus(Duration.ofDays(2));
        assertThat(course.nextChange(midnight, late)).isEqualTo("2026-07-01T10:00:00Z");
        assertThat(course.nextChange(Instant.parse("2026-07-01T10:00:00Z"), late))
                .isEqualTo("2026-07-01T10:30:00Z");
        assertThat(course.nextChange(Instant.parse("2026-07-01T12:00:00Z"), late))
                .isEqualTo("2026-07-01T19:30:00Z");
        assertThat(course.nextChange(Instant.parse("2026-07-01T19:30:00Z"), late))
                .isEqualTo("2026-07-01T20:00:00Z");
        Instant soon = midnight.plusSeconds(60);
        assertThat(course.nextChange(midnight, soon)).isEqualTo(soon);
        // A moment within a second is itself; a switch in that second comes before it.
        Instant within = Instant.parse("2026-07-01T09:00:41.325361806Z");
        assertThat(course.nextChange(within.minusNanos(400_000_000), within)).isEqualTo(within);
        assertThat(course.nextChange(midnight, Instant.parse("2026-07-01T10:00:00.5Z")))
                .isEqualTo("2026-07-01T10:00:00Z");
        assertThat(course.levelAt(Instant.parse("2026-07-01T10:15:00Z"))).isCloseTo(0.5, within(1e-9));
        assertThat(course.levelAt(Instant.parse("2026-07-01T19:45:00.500Z"))).isCloseTo(899.5 / 1800, within(1e-9));
        assertThat(course.litAt(Instant.parse("2026-07-01T20:00:00Z"))).isFalse();
        assertThat(course.litAt(Instant.parse("2026-07-01T10:00:00Z"))).isTrue();
    }

    /** ASHRAE's equation by hand: 1 m², 26 °C over 22 °C at half saturation, still: 0.089 × 1.97 kPa ÷ 2430 kJ/kg. */
    @Test
    void evaporationByHand() {
        double pw = 0.6112 * Math.exp(17.62 * 26 / (243.12 + 26)) * 0.98;
        double pa = 0.6112 * Math.exp(17.62 * 22 / (243.12 + 22)) * 0.5;
        double still = Evaporation.litresPerDay(1, 26, 22, 0.5, 0);
        assertThat(still).isCloseTo(0.089 * (pw - pa) / 2430 * 86_400, within(0.15));
        assertThat(Evaporation.litresPerDay(2, 26, 22, 0.5, 0)).isCloseTo(2 * still, within(1e-9));
        assertThat(Evaporation.litresPerDay(1, 26, 22, 0.5, 1) / still)
                .isCloseTo((0.089 + 0.0782) / 0.089, within(1e-9));
    }
}
