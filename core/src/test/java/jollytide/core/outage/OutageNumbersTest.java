package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.outage.Energy.CellSize;
import jollytide.core.outage.Energy.RunTime;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.NightWithoutMains.Running;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sums of an outage that can be done by hand. */
class OutageNumbersTest {
    private static final Seawater WATER = new Seawater(35, 25);
    private static final double SATURATION = Gases.oxygenSaturationMgPerL(WATER, Gases.STANDARD_HPA);
    /** 1 mg/(L·h) at 25 °C. */
    private static final double REEF = 1 / 31.9988;

    /** 100 L without a surface. */
    private static TankAtFailure bare(double roomC, double coolingPerH) {
        return new TankAtFailure(100, 35, Gases.STANDARD_HPA, 0, REEF, Fish.NONE, 6, true, 25, roomC, coolingPerH, 24);
    }

    /** Heat goes through the walls: an eighth of the water has four times the wall for each litre of two. */
    @Test
    void smallTanksCoolFaster() {
        assertThat(TankAtFailure.ordinaryCoolingPerH(400)).isCloseTo(0.03, within(1e-12));
        assertThat(TankAtFailure.ordinaryCoolingPerH(50)).isCloseTo(0.06, within(1e-12));
        // Without a surface nothing evaporates: Newton's cooling alone.
        assertThat(night(bare(15, 0.03)).points().get(60).celsius()).isCloseTo(15 + 10 * Math.exp(-0.3), within(1e-3));
    }

    /** 100 L/h poured bring four tenths of the gap at least: half of it, a fifth spared; and 65 % of it at most. */
    @Test
    void whatPouringBrings() {
        Backup.Pouring pouring = new Backup.Pouring(100);
        assertThat(bare(25, 0).broughtMgPerLPerH(List.of(new Backup("by hand", pouring, 0, null))))
                .isCloseTo(0.4 * (SATURATION - OxygenLines.DANGER), within(1e-6));
        assertThat(pouring.most(WATER) / pouring.least(WATER)).isCloseTo(1.3 / 0.8, within(1e-9));
        assertThat(bare(25, 0).broughtMgPerLPerH(List.of())).isZero();
    }

    /** 100 mg/h are used; a bucket of 10 L brings half of the gap to saturation. */
    @Test
    void bucketsByHand() {
        double gap = SATURATION - 4;
        assertThat(Backup.Pouring.bucketsPerH(bare(25, 0), 4, 10)).isCloseTo(100 / gap / 0.5 / 10, within(0.01));
        assertThatThrownBy(() -> Backup.Pouring.bucketsPerH(bare(25, 0), SATURATION, 10))
                .as("no pouring lifts water above saturation, and none is not the answer")
                .isInstanceOf(InputException.class)
                .hasMessageContaining("holdMgPerL");
    }

    @Test
    void aPumpRipplesOrRollsItsSurface() {
        Backup.Circulation pump = new Backup.Circulation(0.5);
        assertThat(pump.least(WATER)).isEqualTo(new Surface(0.5, SurfaceClass.RIPPLED).conductance(Gas.OXYGEN, WATER));
        assertThat(pump.most(WATER)).isEqualTo(new Surface(0.5, SurfaceClass.ROLLING).conductance(Gas.OXYGEN, WATER));
    }

    /** 100 W for 23 minutes: 38.3 Wh, over 4 + 8 W; with Peukert's 1.15 and 1.25 on the way to the lighter load. */
    @Test
    void aUpsOnALightLoad() {
        RunTime run = new Energy.Ups(100, 23, 0).hours(4);
        assertThat(run.early()).isCloseTo(100 * 23 / 60.0 / 12, within(1e-9));
        assertThat(run.likely()).isCloseTo(23 / 60.0 * Math.pow(106.5 / 10.5, 1.15), within(1e-9));
        assertThat(run.late()).isCloseTo(23 / 60.0 * Math.pow(105 / 9.0, 1.25), within(1e-9));
        // a sixth a year after the first, and never below a quarter
        RunTime third = new Energy.Ups(100, 23, 3).hours(4);
        assertThat(third.likely() / run.likely()).isCloseTo(0.68, within(1e-9));
        assertThat(third.early() / run.early()).isCloseTo(0.68, within(1e-9));
        assertThat(third.late() / run.late()).isCloseTo(0.68, within(1e-9));
        assertThat(new Energy.Ups(100, 23, 12).hours(4).likely() / run.likely()).isCloseTo(0.25, within(1e-9));
    }

    @Test
    void cellsAreOneOfAKindOrAnother() {
        RunTime run = new Energy.DryCells(CellSize.D, 4, 0).hours(1);
        assertThat(run.likely()).isCloseTo(4 * 20 / (1 + 0.25 / 1.6), within(1e-9));
        assertThat(run.early() / run.likely()).isCloseTo(0.6, within(1e-9));
        assertThat(run.late() / run.likely()).isCloseTo(1.3, within(1e-9));
        assertThat(new Energy.DryCells(CellSize.D, 0, 0).hours(1)).isEqualTo(new RunTime(0, 0, 0, false));
    }

    /** Beyond what still water carries anyway: 1.4 times less on the early side, as much more on the late one. */
    @Test
    void theTanksOwnPumpsMoveWhatTheyMoved() {
        Seawater water = new Seawater(35, 25);
        Backup.OwnPumps pumps = new Backup.OwnPumps(0.5, SurfaceClass.ROLLING, 0);
        double still = new Surface(0.5, SurfaceClass.STILL).conductance(Gas.OXYGEN, water);
        double rolls = new Surface(0.5, 12, 0.5).conductance(Gas.OXYGEN, water) - still;
        assertThat(pumps.least(water)).isCloseTo(rolls / 1.4, within(1e-9));
        assertThat(pumps.most(water)).isCloseTo(rolls * 1.4, within(1e-9));
        double skims = new Skimmer(400).conductance(Gas.OXYGEN, water);
        assertThat(new Backup.OwnPumps(0.5, SurfaceClass.ROLLING, 400).least(water))
                .isCloseTo((rolls + skims) / 1.4, within(1e-9));
    }

    /** Two generators for the same pumps hold twice as long, and give no more at once. */
    @Test
    void twoSourcesOfOnePumpAreNoMoreAtOnce() {
        TankAtFailure tank =
                new TankAtFailure(400, 35, Gases.STANDARD_HPA, 0.8, 0.03, Fish.NONE, 6, true, 27, 27, 0, 24);
        Backup generator = new Backup(
                "generator", new Backup.OwnPumps(0.8, SurfaceClass.ROLLING, 400), 200, new Energy.Generator(10, 0.4));
        double one = KitPlan.best(tank, List.of(generator), 48).earlyDangerH();
        double two = KitPlan.best(tank, List.of(generator, generator), 48).earlyDangerH();
        assertThat(one).isBetween(14.0, 16.0);
        assertThat(two - one).isCloseTo(14, within(0.5));
        List<NightWithoutMains.Running> both = List.of(
                new NightWithoutMains.Running(generator, 0, null), new NightWithoutMains.Running(generator, 0, null));
        assertThat(new NightWithoutMains(tank, both, List.of())
                        .run(10)
                        .points()
                        .get(48)
                        .early())
                .isCloseTo(
                        new NightWithoutMains(tank, both.subList(0, 1), List.of())
                                .run(10)
                                .points()
                                .get(48)
                                .early(),
                        within(0.2));
    }

    /** A battery's early side is three quarters of what is likely or of its even share, whichever is less. */
    @Test
    void aBatterysSides() {
        RunTime lithium = new Energy.Battery(500, false, 8, 0.85, null, 2).hours(17);
        double even = 500 * 0.85 * 0.97 * 0.97 / (17 / 0.85 + 8);
        assertThat(lithium.likely()).isCloseTo(even, within(1e-9));
        assertThat(lithium.early()).isCloseTo(0.75 * even, within(1e-9));
        assertThat(lithium.late()).isCloseTo(1.1 * even, within(1e-9));
        RunTime lead = new Energy.Battery(1200, true, 0, 1, null, 2).hours(6);
        double half = 1200 * 0.5 * 0.84 / 6;
        assertThat(lead.likely())
                .as("far below the twenty-hour rate it gives more")
                .isCloseTo(half * Math.pow(10, 0.15), within(1e-9));
        assertThat(lead.early()).isCloseTo(0.75 * half, within(1e-9));
        assertThat(lead.late()).isCloseTo(1.6 * half * Math.pow(10, 0.15), within(1e-9));
    }

    /** A third of the litres as air, 60 to 400 L/h; one litre an hour each from a central pump of 20 mW a litre, 12 W at least. */
    @ParameterizedTest
    @CsvSource({"90, 60, 90, 12", "600, 200, 600, 14", "3000, 400, 3000, 62", "40, 60, 60, 12"})
    void theLaddersSizes(double litres, double middling, double central, double centralW) {
        TankAtFailure tank =
                new TankAtFailure(litres, 35, Gases.STANDARD_HPA, 0.5, REEF, Fish.NONE, 6, true, 25, 25, 0, 24);
        double all = litres + 100;
        assertThat(air(Tier.CELLS.at(tank, all))).isEqualTo(60);
        assertThat(air(Tier.SWITCHING.at(tank, all))).isCloseTo(middling, within(1e-9));
        assertThat(air(Tier.UPS.at(tank, all))).isCloseTo(middling, within(1e-9));
        assertThat(air(Tier.BATTERY.at(tank, all))).isCloseTo(central, within(1e-9));
        assertThat(air(Tier.GENERATOR.at(tank, all))).isCloseTo(central, within(1e-9));
        assertThat(Tier.BATTERY.at(tank, all).loadW()).isCloseTo(centralW, within(1e-9));
        Backup whole = Tier.WHOLE_TANK.at(tank, all);
        assertThat(whole.way()).isEqualTo(new Backup.OwnPumps(0.5, SurfaceClass.ROLLING, 0));
        assertThat(whole.loadW()).as("of all pumps, 0.4 W a litre").isCloseTo(0.4 * all, within(1e-9));
        for (Tier tier : Tier.values()) {
            assertThat(tier.caution() != null)
                    .as("carbon monoxide")
                    .isEqualTo(tier == Tier.GENERATOR || tier == Tier.WHOLE_TANK);
            assertThat(tier.at(tank, all).name()).isEqualTo(tier.what()).isNotBlank();
        }
    }

    private static double air(Backup backup) {
        return ((Backup.Stone) backup.way()).airLPerH();
    }

    /** Of what holds long enough, the least money; what serves every tank is bought once. */
    @Test
    void theCheapestThatHolds() {
        List<Tier.Holding> ladder = List.of(
                new Tier.Holding(Tier.CELLS, 5, 25),
                new Tier.Holding(Tier.GENERATOR, 48, 600),
                new Tier.Holding(Tier.BATTERY, 12, 420));
        assertThat(Tier.cheapest(ladder, 12))
                .hasValueSatisfying(h -> assertThat(h.tier()).isEqualTo(Tier.BATTERY));
        assertThat(Tier.cheapest(ladder, 12.1))
                .hasValueSatisfying(h -> assertThat(h.tier()).isEqualTo(Tier.GENERATOR));
        assertThat(Tier.cheapest(ladder, 49)).isEmpty();
        assertThat(Tier.UPS.euros(3)).isEqualTo(330);
        assertThat(Tier.GENERATOR.euros(3)).isEqualTo(600);
    }

    /** A line that is crossed between two points is met where the straight line meets it: half of the way, half of the time. */
    @Test
    void linesAreCrossedBetweenPoints() {
        OxygenCourse course = night(bare(25, 0));
        double danger = course.danger().likely();
        int before = (int) Math.floor(danger / course.points().get(1).hours());
        NightWithoutMains.OxygenPoint a = course.points().get(before);
        NightWithoutMains.OxygenPoint b = course.points().get(before + 1);
        double share = (a.likely() - OxygenLines.DANGER) / (a.likely() - b.likely());
        assertThat(danger).isCloseTo(a.hours() + share * (b.hours() - a.hours()), within(1e-9));
        // 1 mg/(L·h) from 6 mg/L on, the demand hardly fading above the line
        assertThat(danger).isCloseTo(6 - OxygenLines.DANGER, within(0.2));
        TankAtFailure low = new TankAtFailure(100, 35, Gases.STANDARD_HPA, 0, REEF, Fish.NONE, 1, true, 25, 25, 0, 24);
        assertThat(night(low).danger().likely()).as("there from the start").isZero();
    }

    private static OxygenCourse night(TankAtFailure tank) {
        return new NightWithoutMains(tank, List.of(), List.of()).run(24);
    }

    /** What was not measured starts lower on the early side and a little higher on the late one. */
    @Test
    void aGuessedStartIsDoubted() {
        TankAtFailure guessed =
                new TankAtFailure(100, 35, Gases.STANDARD_HPA, 0, REEF, Fish.NONE, 6, false, 25, 25, 0, 24);
        NightWithoutMains.OxygenPoint start = night(guessed).points().get(0);
        assertThat(start.likely() - start.early()).isCloseTo(0.4, within(1e-6));
        assertThat(start.late() - start.likely()).isCloseTo(0.1, within(1e-6));
        NightWithoutMains.OxygenPoint known = night(bare(25, 0)).points().get(0);
        assertThat(known.early()).isEqualTo(known.late());
    }

    private static final Backup FIRST =
            new Backup("first pump", new Backup.Stone(150, 2, 0.4), 3, new Energy.Tested(5));
    private static final Backup ITSELF =
            new Backup("desk pump", new Backup.Stone(200, 2, 0.4), 3, new Energy.Tested(6), Backup.Start.BY_ITSELF);

    private static List<Step> during(boolean doser, double buckets, Running... schedule) {
        TankAtFailure tank = bare(15, 0.03);
        OxygenCourse course = new NightWithoutMains(tank, List.of(schedule), List.of()).run(24);
        return Plan.during(
                new Plan.Situation(false, doser, false, false, false, buckets, tank, List.of(schedule), course));
    }

    private static Step step(List<Step> steps, String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    private static Step starting(List<Step> steps, String thing) {
        return steps.stream().filter(s -> thing.equals(s.starts())).findFirst().orElseThrow();
    }

    @Test
    void onlyADoserIsUnplugged() {
        assertThat(step(during(true, 5), "shed").what()).contains("doser");
        assertThat(step(during(true, 5), "shed").how()).contains("stays off until you have checked");
        assertThat(step(during(false, 5), "shed").what()).doesNotContain("doser");
        assertThat(step(during(false, 5), "shed").how()).contains("plugged in");
    }

    /** A thing has one step, now or later; what starts by itself is looked at, not started; one that waits is switched off. */
    @Test
    void stepsForSeveral() {
        List<Step> both = during(false, 0, new Running(FIRST, 0, null), new Running(ITSELF, 0, null));
        assertThat(starting(both, "first pump").what()).isEqualTo("Start: first pump");
        assertThat(starting(both, "first pump").why()).startsWith("Oxygen first");
        assertThat(starting(both, "first pump").how()).isEqualTo("Check that it bubbles.");
        assertThat(starting(both, "desk pump").what()).isEqualTo("Check that it runs: desk pump");
        assertThat(starting(both, "desk pump").why()).contains("alone is not enough");
        List<Step> relay = during(false, 3, new Running(FIRST, 0, null), new Running(ITSELF, 4, null));
        assertThat(starting(relay, "first pump").how()).contains("3 ten-litre buckets an hour");
        assertThat(step(relay, "hold-" + Integer.toHexString("desk pump".hashCode()))
                        .why())
                .contains("need it after 4 hours");
        assertThat(starting(relay, "desk pump").atH()).isCloseTo(3.75, within(1e-9));
        assertThat(starting(relay, "desk pump").caution()).contains("swollen cells");
        assertThat(starting(both, "desk pump").id())
                .isEqualTo(starting(relay, "desk pump").id());
    }

    @Test
    void oneBucketIsOneBucket() {
        assertThat(step(during(false, 0.4), "air-by-hand").how()).contains("a ten-litre bucket an hour");
        assertThat(step(during(false, 1.2), "air-by-hand").how()).contains("2 ten-litre buckets an hour");
        assertThat(step(during(false, 0), "air-by-hand").what()).isEqualTo("Be ready to aerate by hand");
    }

    /** From 25 °C towards 15 at 4.5 % an hour, the fastest, it is 23 °C after ln(10/8) ÷ 0.045 h: blankets an hour before. */
    @Test
    void warmthIsKeptAnHourBeforeTheCold() {
        assertThat(step(during(false, 5), "warmth").atH()).isCloseTo(Math.log(10 / 8.0) / 0.045 - 1, within(0.3));
        TankAtFailure warm = bare(25, 0.03);
        List<Step> steps =
                Plan.during(new Plan.Situation(false, false, false, false, false, 5, warm, List.of(), night(warm)));
        assertThat(steps).extracting(Step::id).doesNotContain("warmth");
    }

    /** Fresh cells half an hour before the last of them may end. */
    @Test
    void energyIsAskedForInTime() {
        Backup strong = new Backup("strong", new Backup.Stone(600, 2, 0.5), 3, new Energy.Tested(10));
        List<Step> steps = during(false, 5, new Running(strong, 0, null));
        assertThat(step(steps, "fresh-energy").atH()).isCloseTo(0.8 * 10 - 0.5, within(1e-9));
        assertThat(step(steps, "fresh-energy").what()).endsWith("strong");
        Backup brief = new Backup("brief", new Backup.Stone(600, 2, 0.5), 3, new Energy.Tested(0.5));
        assertThat(step(during(false, 5, new Running(brief, 0, null)), "fresh-energy")
                        .atH())
                .as("never before the first quarter")
                .isCloseTo(0.25, within(1e-9));
    }

    /** Early, likely and late are one assumption each, doubted both ways. */
    @Test
    void sidesFollowWhatIsAssumed() {
        OutageAssumptions d = OutageAssumptions.DEFAULT;
        assertThat(d.early()).isEqualTo(new Guess(1.25, 1.0, -0.4, 2.0));
        assertThat(d.likely()).isEqualTo(new Guess(1, 1.5, 0, 1.5));
        assertThat(d.late()).isEqualTo(new Guess(0.8, 2.5, 0.1, 1.0));
        assertThatThrownBy(() -> new OutageAssumptions(0.9, 1.5, 0.4, 1.5)).hasMessageContaining("outageDemandDoubt");
        assertThatThrownBy(() -> new OutageAssumptions(1.25, 0, 0.4, 1.5)).hasMessageContaining("outageStillCmPerH");
        assertThatThrownBy(() -> new OutageAssumptions(1.25, 1.5, -1, 1.5)).hasMessageContaining("outageStartDoubt");
        assertThatThrownBy(() -> new OutageAssumptions(1.25, 1.5, 0.4, 0.5)).hasMessageContaining("outageFishActivity");
    }

    /** Who measured a still night knows it without doubt: the sides fall together, and the clock follows the value. */
    @Test
    void aKeepersOwnValueIsTaken() {
        OxygenCourse sure = night(assuming(new OutageAssumptions(1, 1.5, 0, 1.5)));
        assertThat(sure.danger().early()).isCloseTo(sure.danger().late(), within(0.01));
        OxygenCourse doubted = night(assuming(new OutageAssumptions(2, 1.5, 0, 1.5)));
        assertThat(doubted.danger().early()).isCloseTo(sure.danger().likely() / 2, within(0.1));
        assertThat(doubted.danger().likely()).isCloseTo(sure.danger().likely(), within(1e-6));
    }

    private static TankAtFailure assuming(OutageAssumptions assumed) {
        return new TankAtFailure(
                100,
                35,
                Gases.STANDARD_HPA,
                0,
                REEF,
                Fish.NONE,
                6,
                true,
                25,
                RoomAround.known(25),
                0,
                24,
                assumed,
                0,
                0);
    }

    /** In the thin air of 3000 m warm water holds little: what can be held is counted, not a level above saturation. */
    @Test
    void highUpLessIsHeld() {
        assertThat(Backup.Pouring.bucketsPerH(bare(25, 0)))
                .isCloseTo(Backup.Pouring.bucketsPerH(bare(25, 0), 4, 10), within(1e-9));
        TankAtFailure high = new TankAtFailure(100, 35, 700, 0, REEF, Fish.NONE, 4, true, 31, 31, 0, 24);
        double saturation = Gases.oxygenSaturationMgPerL(new Seawater(35, 31), 700);
        assertThat(saturation).isLessThan(4.3);
        assertThat(Backup.Pouring.bucketsPerH(high))
                .isCloseTo(Backup.Pouring.bucketsPerH(high, 0.8 * saturation, 10), within(1e-9))
                .isPositive();
    }

    /** A keeper who takes lead down to 80 % gets 1.6 times the hours of half. */
    @Test
    void aBatterysUsableShareCanBeItsKeepers() {
        double half = new Energy.Battery(1200, true, 0, 1, null, 0).hours(60).likely();
        assertThat(new Energy.Battery(1200, true, 0, 1, null, 0, 0.8).hours(60).likely())
                .isCloseTo(1.6 * half, within(1e-9));
        assertThatThrownBy(() -> new Energy.Battery(1200, true, 0, 1, null, 0, 1.1))
                .hasMessageContaining("usableShare");
    }
}
