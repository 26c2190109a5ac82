package jollytide.core.outage;

import static jollytide.core.outage.Nights.REEF;
import static jollytide.core.outage.Nights.run;
import static jollytide.core.outage.Nights.stone;
import static jollytide.core.outage.Nights.tank;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.NightWithoutMains.Reading;
import jollytide.core.outage.NightWithoutMains.Running;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** What an outage does to the oxygen; where it is common practice or computed independently, it says so. */
class OutageTest {
    private static final Seawater WATER = new Seawater(35, 25.5);

    private static Double likelyBelow(OxygenCourse course, double mgPerL) {
        return course.points().stream()
                .filter(p -> p.likely() < mgPerL)
                .map(NightWithoutMains.OxygenPoint::hours)
                .findFirst()
                .orElse(Double.NaN);
    }

    /** Computed independently: 420 L, still, 0.6 mg/(L·h) is under 4 mg/L in 3.5 to 4.5 h. */
    @Test
    void aStillTankSuffocatesInAnEvening() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        assertThat(tank.demandMgPerLPerH(25.5, 0, OutageAssumptions.DEFAULT.likely()))
                .isCloseTo(0.6, within(1e-9));
        OxygenCourse course = run(tank);
        assertThat(likelyBelow(course, 4)).isBetween(3.5, 4.5);
        assertThat(course.danger().early()).isLessThan(course.danger().likely());
        assertThat(course.danger().likely()).isLessThan(course.danger().late());
        assertThat(course.caution().likely()).isLessThan(course.danger().likely());
        assertThat(course.danger().likely()).isLessThan(course.loss().likely());
    }

    @Test
    void twiceTheDemandHalvesTheTime() {
        Double once = run(tank(REEF, 6.3, 25.5)).danger().likely();
        Double twice = run(tank(2 * REEF, 6.3, 25.5)).danger().likely();
        assertThat(twice).isLessThan(0.5 * once);
    }

    /** 5 °C warmer, at the same share of saturation: a quarter shorter at least. */
    @Test
    void warmthShortensIt() {
        double share = 6.3 / tank(REEF, 6.3, 25.5).saturationMgPerL(25.5);
        double warm = share * tank(REEF, 6.3, 30.5).saturationMgPerL(30.5);
        double cool = likelyBelow(run(tank(REEF, 6.3, 25.5)), 4);
        assertThat(likelyBelow(run(tank(REEF, warm, 30.5)), 4)).isLessThan(0.75 * cool);
    }

    /** Computed independently: 100 L/h of 2 mm at 0.5 m holds 4–6 mg/L, 420 above 5 even if rigid, 100 of 4 mm at 0.2 not. */
    @Test
    void whatStonesHold() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        NightWithoutMains.OxygenPoint small = last(run(tank, stone(100, 2, 0.5)));
        assertThat(small.likely()).isBetween(4.0, 6.0);
        // Rigid bubbles with the likely demand: what the early run would be without its other fears.
        NightWithoutMains.OxygenPoint big =
                last(run(tank(REEF / OutageAssumptions.DEFAULT.early().demandTimes(), 6.3, 25.5), stone(420, 2, 0.5)));
        assertThat(big.early()).isGreaterThan(5);
        NightWithoutMains.OxygenPoint coarse = last(run(tank, stone(100, 4, 0.2)));
        assertThat(coarse.early()).isLessThan(OxygenLines.DANGER);
        assertThat(coarse.likely()).isLessThan(4);
    }

    private static NightWithoutMains.OxygenPoint last(OxygenCourse course) {
        return course.points().get(course.points().size() - 1);
    }

    /** A UPS "100 W for 23 min" with 3.4 W: 11 h on paper; early 3 to 5 h, likely 5 to 9. */
    @Test
    void aUpsIsNotItsLabel() {
        Energy.Ups ups = new Energy.Ups(100, 23, 0);
        assertThat(ups.naiveHours(3.4)).isCloseTo(11.3, within(0.1));
        Energy.RunTime hours = ups.hours(3.4);
        assertThat(hours.early()).isBetween(3.0, 5.0);
        assertThat(hours.likely()).isBetween(5.0, 9.0);
        assertThat(hours.late()).isLessThan(ups.naiveHours(3.4));
        assertThat(hours.tested()).isFalse();
        assertThat(new Energy.Ups(100, 23, 4).hours(3.4).likely()).isLessThan(0.6 * hours.likely());
    }

    @Test
    void onlyATestedRunIsKnown() {
        Energy.RunTime tested = new Energy.Tested(6).hours(3.4);
        assertThat(tested.tested()).isTrue();
        assertThat(tested.early()).isLessThan(6);
        assertThat(tested.likely()).isEqualTo(6);
    }

    @Test
    void cellsBatteriesAndGenerators() {
        Energy.RunTime two = new Energy.DryCells(Energy.CellSize.D, 2, 0).hours(0.6);
        assertThat(two.likely()).isBetween(30.0, 70.0);
        assertThat(new Energy.DryCells(Energy.CellSize.D, 2, 8).hours(0.6).likely())
                .isLessThan(two.likely());
        assertThat(new Energy.DryCells(Energy.CellSize.AA, 2, 0).hours(0.6).likely())
                .isLessThan(0.25 * two.likely());
        assertThat(new Energy.DryCells(Energy.CellSize.D, 0, 0).hours(0.6).likely())
                .isZero();
        Energy.Battery lead = new Energy.Battery(1200, true, 8, 0.85, null, 0);
        Energy.Battery lithium = new Energy.Battery(1200, false, 8, 0.85, null, 0);
        assertThat(lead.hours(30).early()).isLessThan(lead.hours(30).likely());
        assertThat(lithium.hours(30).likely()).isGreaterThan(lead.hours(30).likely());
        // An inverter that switches itself off on a small load carries it for no time at all.
        assertThat(new Energy.Battery(1200, false, 8, 0.85, 10.0, 0).hours(3).likely())
                .isZero();
        assertThat(new Energy.Generator(10, 0.4).hours(100).likely()).isBetween(18.0, 26.0);
    }

    /** A backup holds for as long as its energy lasts, and then the clock runs. */
    @Test
    void aBackupEnds() {
        Backup pump = new Backup("pump", new Backup.Stone(420, 2, 0.4), 3.4, new Energy.Ups(100, 23, 0));
        OxygenCourse course = run(tank(REEF, 6.3, 25.5), pump);
        OxygenCourse without = run(tank(REEF, 6.3, 25.5));
        assertThat(course.danger().early()).isGreaterThan(without.danger().early() + 2);
        assertThat(course.danger().likely()).isGreaterThan(course.danger().early());
        assertThat(last(course).likely()).isLessThan(2);
    }

    /** Pouring 10 L buckets: about twenty an hour for a stocked 400 L tank, not one. */
    @Test
    void buckets() {
        double each = Backup.Pouring.bucketsPerH(tank(REEF, 6.3, 25.5), 4, 10);
        assertThat(each).isBetween(13.0, 26.0);
        OxygenCourse poured = run(tank(REEF, 6.3, 25.5), new Backup("buckets", new Backup.Pouring(10 * each), 0, null));
        assertThat(last(poured).likely()).isBetween(3.5, 4.8);
        OxygenCourse one = run(tank(REEF, 6.3, 25.5), new Backup("bucket", new Backup.Pouring(10), 0, null));
        assertThat(one.danger().likely())
                .isLessThan(run(tank(REEF, 6.3, 25.5)).danger().likely() + 0.4);
    }

    /** A reading on the way moves what is ahead, towards itself. */
    @Test
    void aReadingMovesTheClock() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        OxygenCourse plain = run(tank);
        OxygenCourse worse = new NightWithoutMains(tank, List.of(), List.of(new Reading(2, 4.4))).run(24);
        OxygenCourse better = new NightWithoutMains(tank, List.of(), List.of(new Reading(2, 5.8))).run(24);
        assertThat(worse.danger().likely()).isLessThan(plain.danger().likely());
        assertThat(better.danger().likely()).isGreaterThan(plain.danger().likely());
        assertThat(worse.points().get(12).likely()).isCloseTo(4.4, within(1e-6));
    }

    @Test
    void fishFeedingAndZeroFish() {
        Fish fish = new Fish(List.of(new Fish.Group(3, 90)));
        TankAtFailure fed = new TankAtFailure(420, 35, 1013.25, 0.9, 0.01, fish, 6.3, true, 25.5, 20, 0.03, 1);
        TankAtFailure fasted = new TankAtFailure(420, 35, 1013.25, 0.9, 0.01, fish, 6.3, true, 25.5, 20, 0.03, 24);
        assertThat(fed.demandMgPerLPerH(25.5, 0, OutageAssumptions.DEFAULT.likely()))
                .isGreaterThan(fasted.demandMgPerLPerH(25.5, 0, OutageAssumptions.DEFAULT.likely()));
        assertThat(run(fasted).points().get(144).celsius()).isBetween(20.0, 24.0);
        TankAtFailure empty = new TankAtFailure(420, 35, 1013.25, 0.9, 0, Fish.NONE, 6.3, true, 25.5, 25.5, 0, 24);
        assertThat(run(empty).danger().early()).isNull();
        assertThatThrownBy(() -> new TankAtFailure(0, 35, 1013, 1, 0, Fish.NONE, 6, true, 25, 25, 0, 24))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("litres is 0");
    }

    /**
     * Un-ionised ammonia. Sea water: NBS 8.2, S 35, 25 °C is 6.0 % (Johansson and Wedborg 1980); without the change of
     * scale 8.0 %. Fresh water at 25 °C and pH 8.0: 5.38 % in the table of Emerson et al. 1975 (J. Fish. Res. Board Can.
     * 32, 2379; the entry is quoted from memory), where the scales all but coincide.
     */
    @Test
    void unionisedAmmonia() {
        assertThat(Ammonia.unionisedShare(new Seawater(35, 25), 8.2, PhScale.NBS))
                .isCloseTo(0.060, within(0.001));
        assertThat(Ammonia.unionisedShare(new Seawater(35, 25), 8.2, PhScale.TOTAL))
                .isCloseTo(0.080, within(0.001));
        assertThat(Ammonia.unionisedShare(new Seawater(0, 25), 8.0, PhScale.TOTAL))
                .isCloseTo(0.0538, within(0.005));
        assertThat(WATER.salinity()).isEqualTo(35);
    }

    @Test
    void aUpsBeyondItsRatingSwitchesOff() {
        Energy.Ups ups = new Energy.Ups(100, 23, 0);
        assertThat(ups.hours(100).early()).isPositive();
        assertThat(ups.overloaded(101)).isTrue();
        assertThat(ups.hours(150)).isEqualTo(new Energy.RunTime(0, 0, 0, false));
    }

    /** What a maker prints is counted on in part until somebody has tried it. */
    @Test
    void aClaimIsNoTest() {
        Energy.RunTime claimed = new Energy.Claimed(40).hours(1);
        assertThat(claimed.early()).isLessThan(claimed.likely()).isLessThanOrEqualTo(20);
        assertThat(claimed.late()).isEqualTo(40);
        assertThat(claimed.tested()).isFalse();
    }

    /** The card's tables are the clock's own way: from any level they lead where the clock leads. */
    @Test
    void theCardsTablesFollowTheClock() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Backup pump = stone(200, 2, 0.5);
        for (List<Backup> running : List.of(List.<Backup>of(), List.of(pump))) {
            OxygenFlow flow = OxygenFlow.of(tank, running);
            List<NightWithoutMains.OxygenPoint> points = new NightWithoutMains(
                            tank,
                            running.stream().map(b -> new Running(b, 0, null)).toList(),
                            List.of())
                    .run(12)
                    .points();
            List<Double> way = flow.early().falling();
            int begins = 0;
            while (way.get(begins) > 6.3) {
                begins++;
            }
            double share = (way.get(begins - 1) - 6.3) / (way.get(begins - 1) - way.get(begins));
            for (int i = 0; i < 40; i += 8) {
                double at = begins - 1 + share + i;
                int k = (int) at;
                double value = way.get(k) + (at - k) * (way.get(k + 1) - way.get(k));
                assertThat(value).isCloseTo(points.get(i).early(), within(0.02));
            }
            assertThat(flow.late().rising()).isSorted();
        }
    }

    /** The sums say 0.4 mg/L on an ordinary night; the animals live: the sums lack something. */
    @Test
    void livingAnimalsContradictASumThatHasThemSuffocating() {
        TankAtFailure computed =
                new TankAtFailure(420, 35, 1013.25, 0.9, REEF, Fish.NONE, 0.4, false, 25.5, 25.5, 0, 24);
        assertThat(computed.contradictedByItsAnimals()).isTrue();
        assertThat(tank(REEF, 0.4, 25.5).contradictedByItsAnimals())
                .as("measured")
                .isFalse();
        assertThat(new TankAtFailure(420, 35, 1013.25, 0.9, REEF, Fish.NONE, 5.4, false, 25.5, 25.5, 0, 24)
                        .contradictedByItsAnimals())
                .isFalse();
    }

    /** Ammonia from fish is what their breath brings, and a crowded tank is told to test it sooner than after a day. */
    @Test
    void ammoniaGathers() {
        TankAtFailure crowded = new TankAtFailure(
                75, 35, 1013.25, 0.2, REEF, new Fish(List.of(new Fish.Group(12, 10))), 6.3, true, 25.5, 25.5, 0, 24);
        OxygenCourse course = run(crowded, stone(400, 2, 0.4));
        NightWithoutMains.OxygenPoint after = course.points().get(6);
        assertThat(after.hours()).isCloseTo(1, within(1e-9));
        double breathed = crowded.demandMgPerLPerH(25.5, 0, OutageAssumptions.DEFAULT.early())
                - tank(REEF, 6.3, 25.5).demandMgPerLPerH(25.5, 0, OutageAssumptions.DEFAULT.early());
        double expected = breathed / 31.9988 * Fish.AMMONIA_PER_OXYGEN * 14.007;
        assertThat(after.ammoniaMgPerL()).isCloseTo(expected, within(1e-6));
        assertThat(testAtH(course)).isBetween(1.0, 12.0);
        assertThat(testAtH(run(tank(REEF, 6.3, 25.5)))).isEqualTo(24);
    }

    private static double testAtH(OxygenCourse course) {
        return Plan.during(new Plan.Situation(
                        false, false, false, false, false, 0, tank(REEF, 6.3, 25.5), List.of(), course))
                .stream()
                .filter(step -> step.id().equals("ammonia"))
                .findFirst()
                .orElseThrow()
                .atH();
    }
}
