package jollytide.core.outage;

import static jollytide.core.outage.Nights.REEF;
import static jollytide.core.outage.Nights.run;
import static jollytide.core.outage.Nights.stone;
import static jollytide.core.outage.Nights.tank;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import jollytide.core.outage.NightWithoutMains.Running;
import jollytide.core.reef.Fish;
import org.junit.jupiter.api.Test;

/** What is planned for an outage and said on its night. */
class PlanTest {
    private static final Backup WEAK =
            new Backup("cells", new Backup.Stone(60, 2, 0.4), 0.6, new Energy.DryCells(Energy.CellSize.D, 4, 0));
    private static final Backup STRONG =
            new Backup("ups pump", new Backup.Stone(420, 2, 0.4), 3.4, new Energy.Ups(100, 23, 0));

    /** What holds longest on the early side is planned: together where one is too weak, else one after the other. */
    @Test
    void theScheduleIsTheOneThatHoldsLongest() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        KitPlan both = KitPlan.best(tank, List.of(WEAK, STRONG), 24);
        double early = both.course().danger().early();
        for (Backup alone : List.of(WEAK, STRONG)) {
            assertThat(early)
                    .isGreaterThanOrEqualTo(KitPlan.best(tank, List.of(alone), 24)
                            .course()
                            .danger()
                            .early());
        }
        assertThat(KitPlan.best(tank, List.of(), 24).running()).isEmpty();
    }

    /** The steps that common practice demands, at their times, with their cautions. */
    @Test
    void thePlanSaysWhatPracticeSays() {
        TankAtFailure tank = new TankAtFailure(420, 35, 1013.25, 0.9, REEF, Fish.NONE, 6.3, true, 25.5, 15, 0.03, 24);
        KitPlan schedule = KitPlan.best(tank, List.of(STRONG), 24);
        Plan.Situation situation =
                new Plan.Situation(true, true, true, true, true, 20, tank, schedule.running(), schedule.course());
        List<Step> during = Plan.during(situation);
        assertThat(during.get(0).id()).isEqualTo("look");
        assertThat(during).extracting(Step::atH).isSorted();
        Step canister = step(during, "canister");
        assertThat(canister.atH()).isEqualTo(4);
        assertThat(canister.what()).contains("Never restart it dirty");
        assertThat(step(during, "warmth").how()).contains("never over the water");
        assertThat(step(during, "warmth").caution()).contains("carbon monoxide");
        assertThat(step(during, "fresh-energy").atH()).isBetween(2.0, 5.0);
        List<Step> after = Plan.after(situation, 6, Set.of());
        assertThat(after.get(0).id()).isEqualTo("back-circulation");
        assertThat(step(after, "back-canister").what()).contains("Clean the canister before it runs");
        assertThat(step(after, "back-doser").what()).contains("off until you have checked");
        assertThat(Plan.after(situation, 3.9, Set.of())).extracting(Step::id).doesNotContain("back-canister");
        Plan.Situation plain =
                new Plan.Situation(false, false, false, false, true, 20, tank, schedule.running(), schedule.course());
        assertThat(Plan.during(plain)).extracting(Step::what).noneMatch(what -> what.contains("skimmer"));
        assertThat(Plan.during(plain)).extracting(Step::id).doesNotContain("overflow", "canister", "media-out");
        assertThat(Plan.after(plain, 30, Set.of()))
                .extracting(Step::id)
                .doesNotContain("back-skimmer", "back-canister");
        assertThat(Plan.after(plain, 30, Set.of())).extracting(Step::how).noneMatch(how -> how.contains("sump"));
        assertThat(step(after, "back-ammonia").what()).endsWith("daily until both are zero twice");
        Step helped =
                step(Plan.after(situation, 6, Set.of(AgainstAmmonia.BINDER, AgainstAmmonia.BACTERIA)), "back-ammonia");
        assertThat(helped.how())
                .contains("eep air running", "shows free ammonia")
                .doesNotContain("sponge");

        Backup generator = new Backup("generator", new Backup.Circulation(0.9), 100, new Energy.Generator(10, 0.4));
        KitPlan fuelled = KitPlan.best(tank, List.of(generator), 24);
        Step start = step(
                Plan.during(new Plan.Situation(
                        false, false, false, false, true, 20, tank, fuelled.running(), fuelled.course())),
                "start-" + Integer.toHexString("generator".hashCode()));
        assertThat(start.caution()).contains("outdoors only").contains("licensed electrician");
        KitPlan nothing = KitPlan.best(tank, List.of(), 24);
        List<Step> bare = Plan.during(
                new Plan.Situation(false, false, false, false, false, 20, tank, nothing.running(), nothing.course()));
        assertThat(step(bare, "air-by-hand").how()).contains("20 ten-litre buckets");
        assertThat(bare).extracting(Step::id).doesNotContain("canister", "flow");
        assertThat(step(during, "flow").caution())
                .contains("gloves and eye protection")
                .contains("living rock");
        assertThat(during).extracting(Step::starts).contains("ups pump");
    }

    /** 73 hours of cells do not help a tank that breathes more than the pump brings: say so, and not "more batteries". */
    @Test
    void moreBatteriesAreOfferedOnlyWhereEnergyIsShort() {
        TankAtFailure hungry = tank(2 * REEF, 6.3, 25.5);
        Backup tireless = new Backup("small pump", new Backup.Stone(30, 3, 0.3), 0.5, new Energy.Tested(73));
        KitPlan weak = KitPlan.best(hungry, List.of(tireless), 48);
        List<Step> during = Plan.during(
                new Plan.Situation(false, false, false, false, true, 40, hungry, weak.running(), weak.course()));
        Step air = step(during, "not-enough");
        assertThat(air.why()).containsPattern("adds 0\\.\\d\\d of the 1\\.50 mg/L");
        assertThat(air.how()).contains("40 ten-litre buckets").contains("More batteries do not help");
        assertThat(air.atH()).isLessThan(weak.course().danger().early());
        assertThat(during).extracting(Step::id).doesNotContain("fresh-energy");

        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        Backup brief = new Backup("strong pump", new Backup.Stone(420, 2, 0.5), 3.4, new Energy.Tested(4));
        KitPlan strong = KitPlan.best(tank, List.of(brief), 48);
        List<Step> energy = Plan.during(
                new Plan.Situation(false, false, false, false, true, 20, tank, strong.running(), strong.course()));
        assertThat(step(energy, "fresh-energy").why()).contains("may stop after 3 hours");
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
        KitPlan planned = KitPlan.best(tank, List.of(battery, ups), 48);
        assertThat(planned.running())
                .filteredOn(running -> running.backup().equals(ups))
                .singleElement()
                .satisfies(running -> assertThat(running.fromH()).isZero());
        KitPlan alone = KitPlan.unattended(tank, List.of(battery, ups), 48);
        assertThat(alone.running()).extracting(Running::backup).containsExactly(ups);
        assertThat(alone.earlyDangerH()).isLessThan(planned.earlyDangerH());
        assertThat(KitPlan.unattended(tank, List.of(battery), 48).earlyDangerH())
                .isEqualTo(run(tank).danger().early());
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
        KitPlan both = KitPlan.best(tank, List.of(cells, held), 48);
        assertThat(both.earlyDangerH())
                .isGreaterThanOrEqualTo(
                        KitPlan.best(tank, List.of(cells, stays), 48).earlyDangerH());
        assertThat(both.running()).extracting(r -> r.fromH()).contains(0.0).anyMatch(from -> from > 4);
        List<Step> plan = Plan.during(
                new Plan.Situation(false, false, false, false, true, 20, tank, both.running(), both.course()));
        assertThat(plan)
                .filteredOn(s -> s.id().startsWith("hold-"))
                .singleElement()
                .satisfies(hold -> assertThat(hold.what()).isEqualTo("Switch off for now: ups"));

        KitPlan alone = KitPlan.best(tank, List.of(held, cells), 48);
        assertThat(KitPlan.unattended(tank, List.of(cells, held), 48).running())
                .extracting(r -> r.backup().name())
                .containsExactly("ups");
        assertThat(alone.earlyDangerH()).isEqualTo(both.earlyDangerH());
    }

    /** A tank that its still surface holds gets no advice to pour nothing. */
    @Test
    void noBucketsAreNoAdvice() {
        TankAtFailure tank = tank(REEF, 6.3, 25.5);
        KitPlan nothing = KitPlan.best(tank, List.of(), 24);
        Step step = step(
                Plan.during(new Plan.Situation(
                        false, false, false, false, false, 0, tank, nothing.running(), nothing.course())),
                "air-by-hand");
        assertThat(step.why()).contains("still surface should be enough");
        assertThat(step.how()).doesNotContain("0 ten-litre").contains("gasp");
    }
}
