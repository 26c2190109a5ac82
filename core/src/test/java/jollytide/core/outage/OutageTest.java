package jollytide.core.outage;

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

/** What an outage must hold; where it is common practice or computed independently, it says so. */
class OutageTest {
    private static final Seawater WATER = new Seawater(35, 25.5);
    /** 0.6 mg/(L·h) at 25.5 °C, all of it the reef's. */
    private static final double REEF = 0.6 / 31.9988 / Math.pow(2, 0.05);

    private static TankAtFailure tank(double reef, double startMgPerL, double celsius) {
        return new TankAtFailure(420, 35, 1013.25, 0.9, reef, Fish.NONE, startMgPerL, true, celsius, celsius, 0, 24);
    }

    private static OxygenCourse run(TankAtFailure tank, Backup... backups) {
        return new NightWithoutMains(
                        tank,
                        List.of(backups).stream()
                                .map(b -> new Running(b, 0, null))
                                .toList(),
                        List.of())
                .run(24);
    }

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

    private static Backup stone(double airLPerH, double mm, double depthM) {
        return new Backup("stone", new Backup.Stone(airLPerH, mm, depthM), 0, null);
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
        assertThat(fasted.celsius(24)).isBetween(21.0, 24.0);
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

    private static final Backup WEAK =
            new Backup("cells", new Backup.Stone(60, 2, 0.4), 0.6, new Energy.DryCells(Energy.CellSize.D, 4, 0));
    private static final Backup STRONG =
            new Backup("ups pump", new Backup.Stone(420, 2, 0.4), 3.4, new Energy.Ups(100, 23, 0));

    /** What holds longest on the early side is planned: together where one is too weak, else one after the other. */
    @Test
    void theScheduleIsTheOneThatHoldsLongest() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Schedule both = Schedule.best(tank, List.of(WEAK, STRONG), 24);
        double early = both.course().danger().early();
        for (Backup alone : List.of(WEAK, STRONG)) {
            assertThat(early)
                    .isGreaterThanOrEqualTo(Schedule.best(tank, List.of(alone), 24)
                            .course()
                            .danger()
                            .early());
        }
        assertThat(Schedule.best(tank, List.of(), 24).running()).isEmpty();
    }

    /** The steps that common practice demands, at their times, with their cautions. */
    @Test
    void thePlanSaysWhatPracticeSays() {
        TankAtFailure tank = new TankAtFailure(420, 35, 1013.25, 0.9, REEF, Fish.NONE, 6.3, true, 25.5, 15, 0.03, 24);
        Schedule schedule = Schedule.best(tank, List.of(STRONG), 24);
        Plan.Situation situation =
                new Plan.Situation(true, true, true, true, 20, tank, schedule.running(), schedule.course());
        List<Step> during = Plan.during(situation);
        assertThat(during.get(0).id()).isEqualTo("look");
        assertThat(during).extracting(Step::atH).isSorted();
        Step canister = step(during, "canister");
        assertThat(canister.atH()).isEqualTo(4);
        assertThat(canister.what()).contains("do not restart it dirty");
        assertThat(step(during, "warmth").how()).contains("never over the water");
        assertThat(step(during, "warmth").caution()).contains("carbon monoxide");
        assertThat(step(during, "fresh-energy").atH()).isBetween(2.0, 5.0);
        List<Step> after = Plan.after(situation);
        assertThat(after.get(0).id()).isEqualTo("back-circulation");
        assertThat(step(after, "back-canister").what()).contains("clean it before it runs");
        assertThat(step(after, "back-doser").what()).contains("off until you have checked");
        assertThat(step(after, "back-ammonia").what()).contains("every day until zero");

        Backup generator = new Backup("generator", new Backup.Circulation(0.9), 100, new Energy.Generator(10, 0.4));
        Schedule fuelled = Schedule.best(tank, List.of(generator), 24);
        Step start = step(
                Plan.during(
                        new Plan.Situation(false, false, false, true, 20, tank, fuelled.running(), fuelled.course())),
                "air");
        assertThat(start.caution()).contains("Outdoors only").contains("licensed electrician");
        Schedule nothing = Schedule.best(tank, List.of(), 24);
        List<Step> bare = Plan.during(
                new Plan.Situation(false, false, false, false, 20, tank, nothing.running(), nothing.course()));
        assertThat(step(bare, "air-by-hand").how()).contains("20 ten-litre buckets");
        assertThat(bare).extracting(Step::id).doesNotContain("canister", "flow");
        assertThat(step(during, "flow").caution())
                .contains("Gloves and eye protection")
                .contains("living rock");
        assertThat(step(during, "air").starts()).isEqualTo("ups pump");
    }

    /** 73 hours of cells do not help a tank that breathes more than the pump brings: say so, and not "more batteries". */
    @Test
    void moreBatteriesAreOfferedOnlyWhereEnergyIsShort() {
        TankAtFailure hungry = tank(2 * REEF, 6.3, 25.5);
        Backup tireless = new Backup("small pump", new Backup.Stone(30, 3, 0.3), 0.5, new Energy.Tested(73));
        Schedule weak = Schedule.best(hungry, List.of(tireless), 48);
        List<Step> during =
                Plan.during(new Plan.Situation(false, false, false, true, 40, hungry, weak.running(), weak.course()));
        Step air = step(during, "not-enough");
        assertThat(air.why()).containsPattern("brings 0\\.\\d\\d of the 1\\.50 mg/L");
        assertThat(air.how()).contains("40 ten-litre buckets").contains("More batteries do not help");
        assertThat(air.atH()).isLessThan(weak.course().danger().early());
        assertThat(during).extracting(Step::id).doesNotContain("fresh-energy");

        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Backup brief = new Backup("strong pump", new Backup.Stone(420, 2, 0.5), 3.4, new Energy.Tested(4));
        Schedule strong = Schedule.best(tank, List.of(brief), 48);
        List<Step> energy =
                Plan.during(new Plan.Situation(false, false, false, true, 20, tank, strong.running(), strong.course()));
        assertThat(step(energy, "fresh-energy").why()).contains("3.2 h into the outage; by then");
        assertThat(energy).extracting(Step::id).doesNotContain("not-enough");
    }

    /** A pump on a plugged-in UPS runs from the first minute, planned or not; with nobody home it is all there is. */
    @Test
    void whatStartsByItselfRunsFromTheFirstMinute() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Backup ups = new Backup(
                "ups pump",
                new Backup.Stone(420, 2, 0.4),
                3.4,
                new Energy.Ups(100, 23, 0),
                Backup.Start.BY_ITSELF_TO_THE_END);
        Backup battery = new Backup("battery pump", new Backup.Stone(420, 2, 0.5), 4, new Energy.Tested(20));
        Schedule planned = Schedule.best(tank, List.of(battery, ups), 48);
        assertThat(planned.running())
                .filteredOn(running -> running.backup().equals(ups))
                .singleElement()
                .satisfies(running -> assertThat(running.fromH()).isZero());
        Schedule alone = Schedule.unattended(tank, List.of(battery, ups), 48);
        assertThat(alone.running()).extracting(Running::backup).containsExactly(ups);
        assertThat(alone.earlyDangerH()).isLessThan(planned.earlyDangerH());
        assertThat(Schedule.unattended(tank, List.of(battery), 48).earlyDangerH())
                .isEqualTo(run(tank).danger().early());
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

    private static Step step(List<Step> steps, String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    /** A pump can blow into one tank: the neediest gets it, and the next goes to whoever is worst off then. */
    @Test
    void oneThingHelpsOneTank() {
        TankAtFailure quiet = tank(0.5 * REEF, 6.3, 25.5);
        TankAtFailure busy = tank(REEF, 6.3, 25.5);
        Backup first = stone(200, 2, 0.5);
        Backup second = stone(100, 2, 0.5);
        List<List<Backup>> nothing = List.of(List.of(), List.of());
        assertThat(Sharing.of(List.of(quiet, busy), nothing, List.of(first), 24))
                .containsExactly(List.of(), List.of(first));
        assertThat(Sharing.of(List.of(quiet, busy), nothing, List.of(first, second), 24))
                .containsExactly(List.of(second), List.of(first));
        assertThat(Sharing.of(List.of(quiet, busy), List.of(List.of(first), List.of()), List.of(), 24))
                .containsExactly(List.of(first), List.of());
        assertThat(Sharing.of(List.of(), List.of(), List.of(first), 24)).isEmpty();
    }

    /** What ran and was stopped has that much less left. */
    @Test
    void energyIsTakenOnce() {
        Backup pump = new Backup("pump", new Backup.Stone(420, 2, 0.5), 3.4, new Energy.Tested(4));
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        List<Running> whole = List.of(new Running(pump, 2, null));
        List<Running> second = List.of(new Running(pump, 0, 1.5), new Running(pump, 2, null, 1.5));
        double full =
                new NightWithoutMains(tank, whole, List.of()).run(24).danger().early();
        double left =
                new NightWithoutMains(tank, second, List.of()).run(24).danger().early();
        assertThat(full - left).isBetween(0.8, 1.6);
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
        return Plan.during(new Plan.Situation(false, false, false, false, 0, tank(REEF, 6.3, 25.5), List.of(), course))
                .stream()
                .filter(step -> step.id().equals("ammonia"))
                .findFirst()
                .orElseThrow()
                .atH();
    }

    /** The ladder: longer outages ask for dearer steps; many tanks share a central pump but need a small one each. */
    @Test
    void theLadderGrowsWithLengthAndTanks() {
        TankAtFailure tank = tank(0.5 * REEF, 6.3, 25.5);
        List<Tier.Holding> one = Tier.ladder(List.of(tank), 48);
        List<Tier.Holding> four = Tier.ladder(List.of(tank, tank, tank, tank), 48);
        double bare = run(tank).danger().early();
        assertThat(one).allSatisfy(step -> assertThat(step.hours()).isGreaterThanOrEqualTo(bare));
        double before = 0;
        for (double hours : new double[] {1, 4, 12, 24}) {
            double euros = Tier.cheapest(one, hours).map(Tier.Holding::euros).orElse(Double.MAX_VALUE);
            assertThat(euros).isGreaterThanOrEqualTo(before);
            before = euros;
        }
        assertThat(Tier.cheapest(one, 24)).isPresent();
        assertThat(step(four, Tier.CELLS)).isEqualTo(4 * Tier.CELLS.euros());
        assertThat(step(four, Tier.GENERATOR)).isEqualTo(Tier.GENERATOR.euros());
        assertThat(Tier.cheapest(Tier.ladder(List.of(tank(20 * REEF, 6.3, 25.5)), 48), 24))
                .isEmpty();
    }

    private static double step(List<Tier.Holding> ladder, Tier tier) {
        return ladder.stream()
                .filter(s -> s.tier() == tier)
                .findFirst()
                .orElseThrow()
                .euros();
    }

    /** What can be switched off is kept for later where that holds the tank longer; what cannot is running anyway. */
    @Test
    void whatCanBeSwitchedOffIsKeptForLater() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Backup.Way stone = new Backup.Stone(420, 2, 0.4);
        Backup cells = new Backup("cells", stone, 4, new Energy.Tested(6));
        Backup stays = new Backup("ups", stone, 4, new Energy.Tested(6), Backup.Start.BY_ITSELF_TO_THE_END);
        Backup held = new Backup("ups", stone, 4, new Energy.Tested(6), Backup.Start.BY_ITSELF);
        Schedule both = Schedule.best(tank, List.of(cells, held), 48);
        assertThat(both.earlyDangerH())
                .isGreaterThanOrEqualTo(
                        Schedule.best(tank, List.of(cells, stays), 48).earlyDangerH());
        assertThat(both.running()).extracting(r -> r.fromH()).contains(0.0).anyMatch(from -> from > 4);
        List<Step> plan =
                Plan.during(new Plan.Situation(false, false, false, true, 20, tank, both.running(), both.course()));
        assertThat(plan)
                .filteredOn(s -> s.id().startsWith("hold-"))
                .singleElement()
                .satisfies(hold -> assertThat(hold.what()).isEqualTo("Switch off for now: ups"));

        Schedule alone = Schedule.best(tank, List.of(held, cells), 48);
        assertThat(Schedule.unattended(tank, List.of(cells, held), 48).running())
                .extracting(r -> r.backup().name())
                .containsExactly("ups");
        assertThat(alone.earlyDangerH()).isEqualTo(both.earlyDangerH());
    }

    /** A tank that its still surface holds is not told to pour nothing. */
    @Test
    void noBucketsAreNoAdvice() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Schedule nothing = Schedule.best(tank, List.of(), 24);
        Step step = step(
                Plan.during(
                        new Plan.Situation(false, false, false, false, 0, tank, nothing.running(), nothing.course())),
                "air-by-hand");
        assertThat(step.why()).contains("still surface holds it");
        assertThat(step.how()).doesNotContain("0 ten-litre").contains("gasp");
    }
}
