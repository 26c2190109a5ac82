package jollytide.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.core.doses.LineHistory;
import jollytide.core.doses.Solution;
import jollytide.core.evidence.Quantity;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.logfile.Meaning;
import jollytide.core.measure.Measures;
import jollytide.core.measure.MediaUse;
import jollytide.core.reef.Livestock;
import jollytide.core.reef.Stance;
import jollytide.core.stock.Stock.What;
import jollytide.core.stock.SupplyUnit;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.upkeep.Chore;
import jollytide.core.upkeep.Interval.Found;
import jollytide.demo.Bottle;
import jollytide.demo.DemoHistory;
import jollytide.demo.LimewaterCan;
import jollytide.demo.TankHistory;
import jollytide.server.account.Accounts;
import jollytide.server.account.Keeper;
import jollytide.server.cost.RunningCosts;
import jollytide.server.cost.RunningCosts.NewConsumer;
import jollytide.server.dose.ByHandService;
import jollytide.server.dose.ByHandService.Amount;
import jollytide.server.dose.ByHandService.NewAddition;
import jollytide.server.dose.ByHandService.NewTopOff;
import jollytide.server.dose.ByHandService.NewWaterChange;
import jollytide.server.dose.ByHandService.Water;
import jollytide.server.dose.DoseService;
import jollytide.server.dose.DoseViews.ClockedDoses;
import jollytide.server.dose.DoseViews.NewLine;
import jollytide.server.dose.DoseViews.NewLineNote;
import jollytide.server.dose.DoseViews.NewPlan;
import jollytide.server.dose.DoseViews.ReadIn;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventService;
import jollytide.server.event.NewEvent;
import jollytide.server.home.HomeDescription;
import jollytide.server.home.HomeService;
import jollytide.server.home.RoomDescription;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.media.MediaFill.FillEnd;
import jollytide.server.media.MediaFill.FillIntake;
import jollytide.server.media.MediaService;
import jollytide.server.media.NewFill;
import jollytide.server.outage.KitDescription;
import jollytide.server.outage.KitDescription.Gives;
import jollytide.server.outage.KitDescription.Source;
import jollytide.server.outage.KitService;
import jollytide.server.probe.ProbeBook;
import jollytide.server.reading.ReadingService;
import jollytide.server.reading.TimedValue;
import jollytide.server.setup.Settings;
import jollytide.server.stock.StockService;
import jollytide.server.stock.StockViews.NewSupply;
import jollytide.server.stock.StockViews.NewSupplyEntry;
import jollytide.server.stock.Supply.Uses;
import jollytide.server.tank.OwnAssumptions;
import jollytide.server.tank.TankDescription;
import jollytide.server.tank.TankDescription.Band;
import jollytide.server.tank.TankDescription.Light;
import jollytide.server.tank.TankDescription.WaterSurface;
import jollytide.server.tank.TankParts;
import jollytide.server.tank.TankParts.FishGroup;
import jollytide.server.tank.TankService;
import jollytide.server.upkeep.UpkeepService;
import jollytide.server.upkeep.UpkeepViews.NewChore;
import jollytide.server.upkeep.UpkeepViews.NewTick;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.autoconfigure.condition.ConditionalOnClass;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Three invented tanks with 120 days of history, made at the first start: Lantern Reef above a bakery, a school's Room
 * 6, and Heron on a narrowboat.
 */
@Component
@ConditionalOnClass(name = "jollytide.demo.DemoHistory")
class DemoHome implements SmartInitializingSingleton {
    private static final String KEEPER = "Mira";
    private static final long SEED = 6;
    private static final OwnAssumptions NO_OWN = OwnAssumptions.NONE;

    private final Settings settings;
    private final Accounts accounts;
    private final HomeService homes;
    private final TankService tanks;
    private final ReadingService readings;
    private final EventService events;
    private final MediaService media;
    private final DoseService doses;
    private final ByHandService byHand;
    private final StockService stock;
    private final UpkeepService upkeep;
    private final RunningCosts costs;
    private final KitService kit;
    private final ProbeBook probes;
    private final Clock clock;

    DemoHome(
            Settings settings,
            Accounts accounts,
            HomeService homes,
            TankService tanks,
            ReadingService readings,
            EventService events,
            MediaService media,
            DoseService doses,
            ByHandService byHand,
            StockService stock,
            UpkeepService upkeep,
            RunningCosts costs,
            KitService kit,
            ProbeBook probes,
            Clock clock) {
        this.settings = settings;
        this.accounts = accounts;
        this.homes = homes;
        this.tanks = tanks;
        this.readings = readings;
        this.events = events;
        this.media = media;
        this.doses = doses;
        this.byHand = byHand;
        this.stock = stock;
        this.upkeep = upkeep;
        this.costs = costs;
        this.kit = kit;
        this.probes = probes;
        this.clock = clock;
    }

    /** Before the server takes requests, so that nobody meets a half-furnished home. */
    @Override
    @Transactional
    public void afterSingletonsInstantiated() {
        if (settings.demoDoor()) {
            accounts.createDemoKeeper(KEEPER).map(Keeper::id).ifPresent(this::furnish);
        }
    }

    private static final double EMPTY_BOTTLE_G = 41;
    private static final int CHANGED_SINCE_DAYS = 90;

    private void furnish(UUID keeper) {
        lanternReef(keeper);
        room6(keeper);
        heron(keeper);
    }

    private void lanternReef(UUID keeper) {
        ZoneId zone = ZoneId.of("Europe/Amsterdam");
        UUID home = homes.create(keeper, new HomeDescription("Quayside House", zone.getId(), 12.0, null, null, null))
                .id();
        UUID room = homes.createRoom(keeper, home, new RoomDescription("Living room", 180.0, 2, 1, 1, null))
                .id();
        UUID tank = tanks.create(
                        keeper,
                        room,
                        new TankDescription(
                                "Lantern Reef",
                                "Mixed reef on the third floor above a bakery; 85 L of the water is in the sump. The rear"
                                        + " window looks on the bakery's flue, the front is clean.",
                                420.0,
                                List.of(
                                        new WaterSurface("display", 0.72, SurfaceClass.ROLLING, null),
                                        new WaterSurface("sump", 0.18, SurfaceClass.BROKEN, null)),
                                new Light("10:00", "21:00", true, 30),
                                new Band(8.0, 8.4, 7.8, "Stony corals grow better when nights stay above 8.0."),
                                Stance.LIFT,
                                550.0,
                                NO_OWN,
                                with(
                                        Livestock.MIXED_REEF,
                                        new FishGroup("surgeonfish", 1, 90.0),
                                        new FishGroup("clownfish", 2, 12.0),
                                        new FishGroup("wrasses and gobies", 5, 8.0))))
                .id();
        TankHistory history = DemoHistory.lanternReef(SEED, clock.instant(), zone);
        keep(keeper, tank, history);
        limewater(keeper, tank, new LimewaterCan(clock.instant(), zone), history.reservoir());
        mediaTrial(keeper, tank, zone);
        cupboard(keeper, home, zone);
        draws(keeper, tank, "lamps", 150, 10.5);
        draws(keeper, tank, "return pump", 38, 24);
        draws(keeper, tank, "flow pumps", 22, 24);
        draws(keeper, tank, "heater, as metered", 200, 5.2);
        draws(keeper, tank, "skimmer", 14, 24);
        weekly(keeper, tank, zone, Chore.SKIMMER_CUP);
        looked(keeper, tank, zone, Chore.VENTURI, "", VENTURI);
        looked(
                keeper,
                tank,
                zone,
                Chore.SKIMMER_PUMP,
                "",
                List.of(new Look(301, Found.DIRTY), new Look(163, Found.SOME)));
        looked(keeper, tank, zone, Chore.DOSING_PUMP, "", List.of(new Look(60, null), new Look(20, null)));
        looked(keeper, tank, zone, Chore.ROOM_METER, "", List.of(new Look(360, null), new Look(176, Found.SOME)));
        looked(keeper, tank, zone, Chore.TEST_KIT, "", List.of(new Look(290, null), new Look(101, null)));
        looked(keeper, tank, zone, Chore.PRACTISE, "Mira", List.of(new Look(322, null), new Look(139, null)));
        looked(keeper, tank, zone, Chore.PRACTISE, "Jonas", List.of(new Look(322, null)));
        kit.add(keeper, home, cells("battery air pump", "red box under the stairs", "Mira, Jonas", 60, 0.6, 4));
        kit.add(keeper, home, ups("air pump on the desk’s UPS", "beside the tank", "Mira", 180, 3.4));
    }

    /** The can that the history tells of: its pump fell short for a fortnight, and was made good for in a week. */
    private void limewater(UUID keeper, UUID tank, LimewaterCan can, List<TankHistory.ReservoirNote> notes) {
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

    /** By the class, on its scale: too little for a test to show. */
    private void calciumByHand(UUID keeper, UUID tank, ZoneId zone) {
        String at = LocalDate.ofInstant(clock.instant(), zone)
                .minusDays(45)
                .atTime(9, 40)
                .toString();
        Amount spoonful = new Amount(Solution.Solute.CALCIUM_CHLORIDE, 2.0, 1.0, null, null);
        byHand.add(keeper, tank, new NewAddition(at, spoonful, "weighed by the class"));
    }

    /** Twice a week up to the mark. */
    private void freshWater(UUID keeper, UUID tank, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<Double> litres = List.of(4.6, 4.2, 4.5, 4.1);
        for (int day = 60, i = 0; day > 0; day -= 3 + i % 2, i++) {
            String at = today.minusDays(day).atTime(9, 15).toString();
            byHand.topOff(keeper, tank, new NewTopOff(at, litres.get(i % litres.size()), ""));
        }
    }

    /** A tenth every other week, mixed to what the tank holds. */
    private void waterChanges(UUID keeper, UUID tank, ZoneId zone) {
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
    private void bottle(
            UUID keeper,
            UUID tank,
            String name,
            Bottle bottle,
            @Nullable Double emptyG,
            @Nullable ClockedDoses times,
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
                        notes.get(0).at().toString()));
        for (TankHistory.ReservoirNote n : notes) {
            double value = emptyG == null ? n.ml() : Math.round(emptyG + n.ml() * solution.gramsPerMl());
            seen(keeper, tank, line, n, emptyG == null ? ReadIn.ML : ReadIn.G, value);
        }
    }

    private void draws(UUID keeper, UUID tank, String what, double watts, double hoursPerDay) {
        costs.add(keeper, tank, new NewConsumer(what, watts, hoursPerDay));
    }

    /** A cupboard that was counted now and then: lime as the can takes it, reagent as the tests do. */
    private void cupboard(UUID keeper, UUID home, ZoneId zone) {
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
        return stock.add(
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
        stock.note(keeper, home, supply, new NewSupplyEntry(at, what, amount, unit));
    }

    /** A time that it was done, so many days ago. */
    private record Look(int daysAgo, @Nullable Found found) {}

    /** Crusted nearly shut on day 71, as the history tells; about every four weeks otherwise. */
    private static final List<Look> VENTURI = List.of(
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
    private void weekly(UUID keeper, UUID tank, ZoneId zone, Chore chore) {
        List<Look> looks = IntStream.iterate(360, day -> day > 0, day -> day - 7)
                .mapToObj(day -> new Look(day, null))
                .toList();
        looked(keeper, tank, zone, chore, "", looks);
    }

    private void looked(UUID keeper, UUID tank, ZoneId zone, Chore chore, String name, List<Look> looks) {
        UUID task = upkeep.add(keeper, tank, new NewChore(chore, name, null, null));
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        for (Look look : looks) {
            String at = today.minusDays(look.daysAgo()).atTime(11, 30).toString();
            upkeep.done(keeper, tank, task, new NewTick(at, look.found(), ""));
        }
    }

    /** The 400 g on room air that the history tells of, with the colours that Mira read. */
    private void mediaTrial(UUID keeper, UUID tank, ZoneId zone) {
        Instant filled = LocalDate.ofInstant(clock.instant(), zone)
                .minusDays(10)
                .atTime(15, 10)
                .atZone(zone)
                .toInstant();
        UUID fill = media.fill(
                        keeper,
                        tank,
                        new NewFill(
                                filled.toString(), 0.4, FillIntake.ROOM, 1.0, MediaUse.Hours.ALWAYS, null, false, null))
                .id();
        media.colour(keeper, tank, fill, filled.plus(Duration.ofHours(40)).toString(), 0.4);
        media.colour(keeper, tank, fill, filled.plus(Duration.ofHours(88)).toString(), 0.9);
        media.end(keeper, tank, fill, filled.plus(Duration.ofHours(97)).toString(), FillEnd.COLOUR);
    }

    private void room6(UUID keeper) {
        ZoneId zone = ZoneId.of("Europe/Amsterdam");
        UUID home = homes.create(keeper, new HomeDescription("Millbrook School", zone.getId(), 35.0, null, null, null))
                .id();
        UUID room = homes.createRoom(keeper, home, new RoomDescription("Room 6", 200.0, 1, 26, 0, null))
                .id();
        UUID tank = tanks.create(
                        keeper,
                        room,
                        new TankDescription(
                                "Room 6",
                                "The class's soft corals. On school days 26 pupils share the air with them.",
                                180.0,
                                List.of(new WaterSurface("display", 0.45, SurfaceClass.ROLLING, null)),
                                new Light("07:30", "16:30", true, 30),
                                new Band(7.9, 8.4, 7.7, "Soft corals ask for little; steadiness matters more."),
                                Stance.STEADY,
                                350.0,
                                NO_OWN,
                                with(
                                        Livestock.SOFT_CORALS,
                                        new FishGroup("clownfish", 2, 14.0),
                                        new FishGroup("gobies", 3, 5.0))))
                .id();
        TankHistory history = DemoHistory.room6(SEED, clock.instant(), zone);
        keep(keeper, tank, history);
        ClockedDoses atNight =
                new ClockedDoses(6, DemoHistory.FIRST_DOSE.toString(), (double) DemoHistory.DOSES_OVER_H);
        bottle(keeper, tank, "soda ash", Bottle.SODA_ASH, null, atNight, history.reservoir());
        calciumByHand(keeper, tank, zone);
        weekly(keeper, tank, zone, Chore.SKIMMER_CUP);
        looked(
                keeper,
                tank,
                zone,
                Chore.RETURN_PUMP,
                "",
                List.of(new Look(311, Found.SOME), new Look(128, Found.CLEAN)));
    }

    private void heron(UUID keeper) {
        ZoneId zone = ZoneId.of("Europe/London");
        UUID home = homes.create(keeper, new HomeDescription("Narrowboat", zone.getId(), 40.0, null, null, null))
                .id();
        UUID room = homes.createRoom(keeper, home, new RoomDescription("Saloon", 28.0, 1, 0, 0, null))
                .id();
        UUID tank = tanks.create(
                        keeper,
                        room,
                        new TankDescription(
                                "Heron",
                                "A small reef afloat: 12 V battery, mooring power that drops out, no skimmer.",
                                75.0,
                                List.of(new WaterSurface("display", 0.24, SurfaceClass.RIPPLED, null)),
                                new Light("11:00", "20:00", true, 30),
                                new Band(7.9, 8.4, 7.65, "What can be held with a hatch open and no skimmer."),
                                Stance.STEADY,
                                null,
                                NO_OWN,
                                with(
                                        Livestock.SOFT_CORALS,
                                        new FishGroup("clownfish", 1, 10.0),
                                        new FishGroup("goby", 1, 3.0))))
                .id();
        TankHistory history = DemoHistory.heron(SEED, clock.instant(), zone);
        keep(keeper, tank, history);
        bottle(keeper, tank, "bicarbonate", Bottle.BICARBONATE, EMPTY_BOTTLE_G, null, history.reservoir());
        waterChanges(keeper, tank, zone);
        freshWater(keeper, tank, zone);
        looked(
                keeper,
                tank,
                zone,
                Chore.QUARANTINE_GEAR,
                "",
                List.of(new Look(250, null), new Look(158, null), new Look(66, null)));
        kit.add(keeper, home, boatBattery());
    }

    private static KitDescription cells(
            String name, String place, String who, double airLPerH, double watts, int cells) {
        return thing(name, place, who, airLPerH, watts, Source.DRY_CELLS, cells, null, null, null, null);
    }

    private static KitDescription ups(String name, String place, String who, double airLPerH, double watts) {
        return thing(name, place, who, airLPerH, watts, Source.UPS, null, 100.0, 23.0, null, null);
    }

    /** Half of a 110 Ah bank; tried through one long evening in spring. */
    private static KitDescription boatBattery() {
        return thing(
                "12 V air pump on the boat's bank",
                "engine hold",
                "Mira",
                90,
                4,
                Source.LEAD_BATTERY,
                null,
                null,
                null,
                1300.0,
                30.0);
    }

    private static KitDescription thing(
            String name,
            String place,
            String who,
            double airLPerH,
            double watts,
            Source energy,
            @Nullable Integer cells,
            @Nullable Double upsW,
            @Nullable Double upsMinutes,
            @Nullable Double wattHours,
            @Nullable Double testedHours) {
        return new KitDescription(
                name,
                null,
                null,
                place,
                who,
                null,
                Gives.AIR,
                airLPerH,
                null,
                null,
                null,
                watts,
                null,
                energy == Source.LEAD_BATTERY ? true : null,
                null,
                null,
                energy,
                null,
                cells,
                upsW,
                upsMinutes,
                wattHours,
                null,
                null,
                null,
                null,
                null,
                null,
                testedHours,
                null);
    }

    private static TankParts with(Livestock livestock, FishGroup... groups) {
        return new TankParts(
                null, null, null, null, null, List.of(groups), null, null, null, null, false, livestock, null, null);
    }

    private void keep(UUID keeper, UUID tank, TankHistory history) {
        for (TankHistory.Series series : history.series()) {
            readings.saveAll(
                    keeper,
                    tank,
                    new Meaning(series.unit(), series.place(), series.method()),
                    series.samples().stream()
                            .map(sample -> new TimedValue(sample.at(), sample.value()))
                            .toList());
        }
        history.happenings().forEach(h -> note(keeper, tank, h));
        history.calibrations().forEach(c -> probes.add(tanks.tank(keeper, tank), c, ""));
    }

    /** Nothing was forecast of what these people did: they had nothing to forecast with. */
    private void note(UUID keeper, UUID tank, TankHistory.Happening h) {
        NewEvent event = new NewEvent(
                EventKind.valueOf(h.kind().name()),
                h.at().toString(),
                h.until() == null ? null : h.until().toString(),
                null,
                h.title(),
                h.note());
        List<Measures.Put> did = h.did();
        if (did == null) {
            events.add(keeper, tank, event);
            return;
        }
        List<PutMeasure> measures = did.stream()
                .map(put -> new PutMeasure(put.kind(), put.numbers(), put.choices()))
                .toList();
        events.addDone(keeper, tank, event, measures, null, (other, by) -> false);
    }
}
