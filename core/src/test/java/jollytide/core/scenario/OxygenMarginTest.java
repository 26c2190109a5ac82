package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.Setup;
import jollytide.core.outage.RoomAround;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** Demand against supply, each night beside what can be worked out by hand. */
class OxygenMarginTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final Seawater WATER = new Seawater(35, 25.5);
    private static final Surface OPEN = new Surface(0.8, SurfaceClass.RIPPLED);
    private static final double LITRES = 400;
    private static final double MG_PER_MMOL = 31.9988;

    /** Lamps that never burn: day and night are one, so a settled night is a steady state. */
    private static Setup dark(@Nullable Skimmer skimmer) {
        return Setup.plain(
                LITRES,
                WATER,
                3.0,
                Gases.STANDARD_HPA,
                List.of(OPEN),
                skimmer,
                420,
                new RoomDay(DailyAir.constant(700), 0.3),
                new LightClock(LocalTime.of(10, 0), LocalTime.of(10, 0), true, 0),
                ZoneId.of("Europe/Amsterdam"));
    }

    private static OxygenMargin.Answer answer(Setup setup, TankParameters... tanks) {
        return new OxygenMargin(setup, List.of(tanks), RoomAround.expected(27), 0)
                .answer(List.of(tanks).stream()
                        .map(living -> new OrdinaryDays(setup, living).today(MIDNIGHT))
                        .toList());
    }

    private static OxygenMargin.Night night(OxygenMargin.Answer answer, OxygenMargin.Strain strain) {
        return answer.nights().stream()
                .filter(n -> n.strain() == strain)
                .findFirst()
                .orElseThrow();
    }

    private static final TankParameters QUIET = new TankParameters(1, 0.004, 0);

    /** G (saturation − p) = demand, by hand from the surface's conductance, Garcia and Gordon's saturation and Henry's law. */
    @Test
    void theNightIsTheSteadyStateOfItsSurface() {
        OxygenMargin.Night asItIs = night(answer(dark(null), QUIET), OxygenMargin.Strain.AS_IT_IS);
        double metabolism = Math.pow(2, (25.5 - 25) / 10);
        double demandMolPerH = QUIET.respirationMmolPerLPerH() * metabolism * LITRES / 1000;
        double saturation = Gases.oxygenSaturationMgPerL(WATER, Gases.STANDARD_HPA);
        double perAtm = Gas.OXYGEN.solubility(WATER) * MG_PER_MMOL * 1000;
        double expected = saturation - demandMolPerH / OPEN.conductance(Gas.OXYGEN, WATER) * perAtm;
        assertThat(asItIs.lowestMgPerL()).isCloseTo(expected, within(0.03));
        assertThat(asItIs.demandMgPerLPerH())
                .isCloseTo(QUIET.respirationMmolPerLPerH() * metabolism * MG_PER_MMOL, within(0.003));
        assertThat(asItIs.temperatureC()).isCloseTo(25.5, within(1e-6));
    }

    /** Common practice: a hot day is four degrees more. Demand doubles in ten (Q10), warm water holds less. */
    @Test
    void theHottestDayIsFourDegreesWarmer() {
        OxygenMargin.Answer answer = answer(dark(null), QUIET);
        OxygenMargin.Night hot = night(answer, OxygenMargin.Strain.HOTTEST_DAY);
        OxygenMargin.Night asItIs = night(answer, OxygenMargin.Strain.AS_IT_IS);
        assertThat(hot.temperatureC() - asItIs.temperatureC()).isCloseTo(4, within(1e-6));
        assertThat(hot.demandMgPerLPerH() / asItIs.demandMgPerLPerH()).isCloseTo(Math.pow(2, 0.4), within(0.01));
        assertThat(hot.lowestMgPerL()).isLessThan(asItIs.lowestMgPerL() - 0.3);
        assertThat(hot.times()).isLessThan(asItIs.times());
        assertThat(asItIs.times()).isCloseTo(asItIs.supplyMgPerLPerH() / asItIs.demandMgPerLPerH(), within(1e-12));
    }

    @Test
    void aTankWithoutASkimmerHasNoneToStop() {
        assertThat(answer(dark(null), QUIET).nights())
                .extracting(OxygenMargin.Night::strain)
                .containsExactly(OxygenMargin.Strain.AS_IT_IS, OxygenMargin.Strain.HOTTEST_DAY);
        assertThat(answer(dark(new Skimmer(500)), QUIET).nights())
                .extracting(OxygenMargin.Night::strain)
                .containsExactly(OxygenMargin.Strain.values());
    }

    /** With the skimmer still only the surface is left: the night of a tank that never had one. */
    @Test
    void aStillSkimmerIsNoSkimmer() {
        OxygenMargin.Night still = night(answer(dark(new Skimmer(500)), QUIET), OxygenMargin.Strain.SKIMMER_OFF);
        OxygenMargin.Night without = night(answer(dark(null), QUIET), OxygenMargin.Strain.AS_IT_IS);
        assertThat(still.lowestMgPerL()).isCloseTo(without.lowestMgPerL(), within(0.02));
        assertThat(still.supplyMgPerLPerH()).isCloseTo(without.supplyMgPerLPerH(), within(0.005));
    }

    /** Of several tanks that could be behind the log each night is that of the worst, and helps are ranked by it. */
    @Test
    void theWorstTankCounts() {
        TankParameters hungry = new TankParameters(1, 0.007, 0);
        OxygenMargin.Answer both = answer(dark(null), QUIET, hungry);
        OxygenMargin.Answer alone = answer(dark(null), hungry);
        assertThat(night(both, OxygenMargin.Strain.HOTTEST_DAY).lowestMgPerL())
                .isEqualTo(night(alone, OxygenMargin.Strain.HOTTEST_DAY).lowestMgPerL());
        assertThat(both.changes())
                .isSortedAccordingTo((a, b) -> Double.compare(b.lowestMgPerL(), a.lowestMgPerL()))
                .allSatisfy(change -> assertThat(change.lowestMgPerL())
                        .isGreaterThan(
                                night(both, OxygenMargin.Strain.HOTTEST_DAY).lowestMgPerL()));
        assertThat(both.contradicted()).isFalse();
    }

    /** Nothing lives at half a milligram: such a sum contradicts the animals, beside one that does not it is dropped. */
    @Test
    void aTankOfTheDeadIsLeftOut() {
        TankParameters impossible = new TankParameters(1, 0.4, 0);
        assertThat(answer(dark(null), impossible).contradicted()).isTrue();
        OxygenMargin.Answer dropped = answer(dark(null), QUIET, impossible);
        assertThat(dropped.contradicted()).isFalse();
        assertThat(night(dropped, OxygenMargin.Strain.AS_IT_IS))
                .isEqualTo(night(answer(dark(null), QUIET), OxygenMargin.Strain.AS_IT_IS));
    }

    /** Pumps off: caution comes before danger, and a quiet tank in much water holds longer than a hungry one. */
    @Test
    void stillnessRunsOut() {
        OxygenMargin.Still hungry =
                answer(dark(null), new TankParameters(1, 0.005, 0)).still();
        assertThat(hungry.danger().likely()).isGreaterThan(hungry.caution().likely());
        assertThat(hungry.danger().early()).isLessThan(hungry.danger().likely());
        Double quiet = answer(dark(null), QUIET).still().danger().likely();
        assertThat(quiet == null ? 48 : quiet).isGreaterThan(hungry.danger().likely());
    }
}
