package jollytide.server.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.core.dosingline.LineHistory;
import jollytide.core.dosingline.Solution;
import jollytide.core.dosingline.VesselGuard;
import jollytide.core.evidence.Quantity;
import jollytide.core.schedule.Template;
import jollytide.core.supplies.OnHand.What;
import jollytide.core.supplies.SupplyUnit;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.upkeep.Chore;
import jollytide.core.upkeep.Interval.Found;
import jollytide.demo.Bottle;
import jollytide.demo.DemoHistory;
import jollytide.demo.LimewaterCan;
import jollytide.demo.TankHistory;
import jollytide.server.cost.RunningCosts;
import jollytide.server.cost.RunningCosts.NewConsumer;
import jollytide.server.dosing.ByHandService;
import jollytide.server.dosing.ByHandService.Amount;
import jollytide.server.dosing.ByHandService.NewAddition;
import jollytide.server.dosing.ByHandService.NewTopOff;
import jollytide.server.dosing.ByHandService.NewWaterChange;
import jollytide.server.dosing.ByHandService.Water;
import jollytide.server.dosing.DosingService;
import jollytide.server.dosing.DosingViews.ClockedDoses;
import jollytide.server.dosing.DosingViews.NewLine;
import jollytide.server.dosing.DosingViews.NewLineNote;
import jollytide.server.dosing.DosingViews.NewPlan;
import jollytide.server.dosing.DosingViews.ReadIn;
import jollytide.server.schedule.ScheduleService;
import jollytide.server.supplies.SuppliesService;
import jollytide.server.supplies.SuppliesViews.NewSupply;
import jollytide.server.supplies.SuppliesViews.NewSupplyEntry;
import jollytide.server.supplies.Supply.Uses;
import jollytide.server.upkeep.UpkeepService;
import jollytide.server.upkeep.UpkeepViews.NewChore;
import jollytide.server.upkeep.UpkeepViews.NewTick;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnClass;
import org.springframework.stereotype.Component;

/** How the demo's tanks are looked after: what is dosed, put in by hand, kept in the cupboard, and cleaned. */
@Component
@ConditionalOnClass(name = "jollytide.demo.DemoHistory")
class DemoCare {
    private static final int CHANGED_SINCE_DAYS = 90;

    private final DosingService doses;
    private final ByHandService byHand;
    private final SuppliesService shelf;
    private final UpkeepService upkeep;
    private final RunningCosts costs;
    private final ScheduleService schedules;
    private final Clock clock;

    DemoCare(
            DosingService doses,
            ByHandService byHand,
            SuppliesService shelf,
            UpkeepService upkeep,
            RunningCosts costs,
            ScheduleService schedules,
            Clock clock) {
        this.doses = doses;
        this.byHand = byHand;
        this.shelf = shelf;
        this.upkeep = upkeep;
        this.costs = costs;
        this.schedules = schedules;
        this.clock = clock;
    }

    /** The can that the history tells of: its pump fell short for a fortnight, and was made good for in a week. */
    void limewater(UUID keeper, UUID tank, LimewaterCan can, List<TankHistory.ReservoirNote> notes) {
        UUID line = doses.add(
                keeper,
                tank,
                new NewLine(
                        "limewater",
                        Solution.Solute.LIMEWATER,
                        1.0,
                        LimewaterCan.VESSEL_ML,
                        null,
                        null,
                        LimewaterCan.ML_PER_DAY,
                        null,
                        "the return chamber",
                        VesselGuard.Siphon.OUTLET_ABOVE,
                        VesselGuard.Stuck.METERED_HEAD,
                        notes.get(0).at().toString()));
        doses.plan(keeper, tank, line, new NewPlan(can.bled().toString(), LimewaterCan.CATCHING_UP_ML_PER_DAY));
        doses.plan(keeper, tank, line, new NewPlan(can.caughtUp().toString(), LimewaterCan.ML_PER_DAY));
        notes.forEach(n -> seen(keeper, tank, line, n, ReadIn.ML, n.ml()));
        doses.note(
                keeper,
                tank,
                line,
                new NewLineNote(
                        can.bled().toString(), LineHistory.What.CHANGED, null, null, null, "air bled from the line"));
    }

    /** Flow rests while they are fed; else the day is as the tank is described. */
    void fedAtRest(UUID keeper, UUID tank) {
        schedules.begin(keeper, tank, Template.FEEDING_PAUSE);
    }

    /** By the class, on its scale: too little for a test to show. */
    void calciumByHand(UUID keeper, UUID tank, ZoneId zone) {
        String at = LocalDate.ofInstant(clock.instant(), zone)
                .minusDays(45)
                .atTime(9, 40)
                .toString();
        Amount spoonful = new Amount(Solution.Solute.CALCIUM_CHLORIDE, 2.0, 1.0, null, null);
        byHand.add(keeper, tank, new NewAddition(at, spoonful, "weighed by the class"));
    }

    /** Twice a week up to the mark. */
    void freshWater(UUID keeper, UUID tank, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<Double> litres = List.of(4.6, 4.2, 4.5, 4.1);
        for (int day = 60, i = 0; day > 0; day -= 3 + i % 2, i++) {
            String at = today.minusDays(day).atTime(9, 15).toString();
            byHand.topOff(keeper, tank, new NewTopOff(at, litres.get(i % litres.size()), ""));
        }
    }

    /** A tenth every other week, mixed to what the tank holds. */
    void waterChanges(UUID keeper, UUID tank, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        Water water = new Water(7.5, AlkalinityUnit.DKH.toMeqPerL(DemoHistory.HERON_DKH), DemoHistory.CALCIUM_MG_PER_L);
        for (int day = CHANGED_SINCE_DAYS; day > 0; day -= 14) {
            String at = today.minusDays(day).atTime(10, 30).toString();
            byHand.change(keeper, tank, new NewWaterChange(at, water, "mixed to the tank’s alkalinity"));
        }
    }

    private void seen(UUID keeper, UUID tank, UUID line, TankHistory.ReservoirNote n, ReadIn readIn, double value) {
        boolean levelled = n.seen() != TankHistory.Seen.BUBBLES;
        doses.note(
                keeper,
                tank,
                line,
                new NewLineNote(
                        n.at().toString(),
                        LineHistory.What.valueOf(n.seen().name()),
                        levelled ? value : null,
                        levelled ? readIn : null,
                        null,
                        n.note()));
    }

    /** @param emptyG of a bottle that is weighed; null for one with marks */
    void bottle(
            UUID keeper,
            UUID tank,
            String name,
            Bottle bottle,
            @Nullable Double emptyG,
            @Nullable ClockedDoses times,
            String place,
            List<TankHistory.ReservoirNote> notes) {
        Solution solution = bottle.solution();
        UUID line = doses.add(
                keeper,
                tank,
                new NewLine(
                        name,
                        solution.solute(),
                        solution.molPerL() / solution.solute().mostMolPerL(),
                        bottle.vesselMl(),
                        null,
                        emptyG,
                        bottle.mlPerDay(),
                        times,
                        place,
                        VesselGuard.Siphon.OUTLET_ABOVE,
                        VesselGuard.Stuck.METERED_HEAD,
                        notes.get(0).at().toString()));
        for (TankHistory.ReservoirNote n : notes) {
            double value = emptyG == null ? n.ml() : Math.round(emptyG + n.ml() * solution.gramsPerMl());
            seen(keeper, tank, line, n, emptyG == null ? ReadIn.ML : ReadIn.G, value);
        }
    }

    void draws(UUID keeper, UUID tank, String what, double watts, double hoursPerDay) {
        costs.add(keeper, tank, new NewConsumer(what, watts, hoursPerDay));
    }

    /** A cupboard that was counted now and then: lime as the can takes it, reagent as the tests do. */
    void cupboard(UUID keeper, UUID home, ZoneId zone) {
        UUID lime =
                kept(keeper, home, "lime for limewater", Uses.POWDER, Solution.Solute.LIMEWATER, SupplyUnit.G, 250, 9);
        had(keeper, home, zone, lime, SupplyUnit.G, 60, What.COUNTED, 170);
        had(keeper, home, zone, lime, SupplyUnit.G, 12, What.COUNTED, 95);
        UUID media = kept(keeper, home, "scrubber media", Uses.MEDIA, null, SupplyUnit.KG, 1, 16);
        had(keeper, home, zone, media, SupplyUnit.KG, 11, What.BOUGHT, 1);
        had(keeper, home, zone, media, SupplyUnit.KG, 9, What.COUNTED, 0.6);
        UUID reagent = kept(keeper, home, "alkalinity reagent", Uses.TESTS, null, SupplyUnit.PIECES, 50, 14);
        had(keeper, home, zone, reagent, SupplyUnit.PIECES, 340, What.BOUGHT, 50);
        had(keeper, home, zone, reagent, SupplyUnit.PIECES, 6, What.COUNTED, 4);
        UUID reference = kept(keeper, home, "reference solution", Uses.CHORE, null, SupplyUnit.PIECES, 1, 7);
        had(keeper, home, zone, reference, SupplyUnit.PIECES, 101, What.COUNTED, 1);
        UUID food = kept(keeper, home, "fish food", Uses.OWN, null, SupplyUnit.G, 100, 8);
        for (int day = 350; day > 0; day -= 35) {
            had(keeper, home, zone, food, SupplyUnit.G, day, What.BOUGHT, 100);
            had(keeper, home, zone, food, SupplyUnit.G, day - 1, What.COUNTED, 112);
        }
    }

    private UUID kept(
            UUID keeper,
            UUID home,
            String name,
            Uses uses,
            Solution.@Nullable Solute solute,
            SupplyUnit unit,
            double packageAmount,
            double price) {
        return shelf.add(
                keeper,
                home,
                new NewSupply(
                        name,
                        uses,
                        solute,
                        uses == Uses.TESTS ? Quantity.ALKALINITY : null,
                        uses == Uses.CHORE ? Chore.TEST_KIT : null,
                        uses == Uses.OWN ? 3.0 : null,
                        null,
                        unit,
                        packageAmount,
                        price,
                        4.0));
    }

    private void had(
            UUID keeper, UUID home, ZoneId zone, UUID supply, SupplyUnit unit, int daysAgo, What what, double amount) {
        String at = LocalDate.ofInstant(clock.instant(), zone)
                .minusDays(daysAgo)
                .atTime(18, 30)
                .toString();
        shelf.note(keeper, home, supply, new NewSupplyEntry(at, what, amount, unit));
    }

    /** A time that it was done, so many days ago. */
    record Look(int daysAgo, @Nullable Found found) {}

    /** Crusted nearly shut on day 71, as the history tells; about every four weeks otherwise. */
    static final List<Look> VENTURI = List.of(
            new Look(340, Found.SOME),
            new Look(312, Found.SOME),
            new Look(285, Found.DIRTY),
            new Look(266, Found.SOME),
            new Look(240, Found.SOME),
            new Look(215, Found.CLEAN),
            new Look(181, Found.SOME),
            new Look(152, Found.SOME),
            new Look(125, Found.SOME),
            new Look(71, Found.DIRTY),
            new Look(45, Found.SOME),
            new Look(19, Found.SOME));

    /** Through a year. */
    void weekly(UUID keeper, UUID tank, ZoneId zone, Chore chore) {
        List<Look> looks = IntStream.iterate(360, day -> day > 0, day -> day - 7)
                .mapToObj(day -> new Look(day, null))
                .toList();
        looked(keeper, tank, zone, chore, "", looks);
    }

    void looked(UUID keeper, UUID tank, ZoneId zone, Chore chore, String name, List<Look> looks) {
        UUID task = upkeep.add(keeper, tank, new NewChore(chore, name, null, null));
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        for (Look look : looks) {
            String at = today.minusDays(look.daysAgo()).atTime(11, 30).toString();
            upkeep.done(keeper, tank, task, new NewTick(at, look.found(), ""));
        }
    }
}
