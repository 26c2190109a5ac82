package jollytide.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.logfile.Meaning;
import jollytide.core.measure.Measures;
import jollytide.core.measure.MediaUse;
import jollytide.core.reef.Livestock;
import jollytide.core.reef.Stance;
import jollytide.core.upkeep.Chore;
import jollytide.core.upkeep.Interval.Found;
import jollytide.demo.Bottle;
import jollytide.demo.DemoHistory;
import jollytide.demo.LimewaterCan;
import jollytide.demo.TankHistory;
import jollytide.server.account.Accounts;
import jollytide.server.account.Keeper;
import jollytide.server.dosing.DosingViews.ClockedDoses;
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
import jollytide.server.tank.OwnAssumptions;
import jollytide.server.tank.TankDescription;
import jollytide.server.tank.TankDescription.Band;
import jollytide.server.tank.TankDescription.Light;
import jollytide.server.tank.TankDescription.WaterSurface;
import jollytide.server.tank.TankParts;
import jollytide.server.tank.TankParts.FishGroup;
import jollytide.server.tank.TankService;
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
    private final DemoCare care;
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
            DemoCare care,
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
        this.care = care;
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
        care.limewater(keeper, tank, new LimewaterCan(clock.instant(), zone), history.reservoir());
        mediaTrial(keeper, tank, zone);
        care.fedAtRest(keeper, tank);
        care.cupboard(keeper, home, zone);
        care.draws(keeper, tank, "lamps", 150, 10.5);
        care.draws(keeper, tank, "return pump", 38, 24);
        care.draws(keeper, tank, "flow pumps", 22, 24);
        care.draws(keeper, tank, "heater, as metered", 200, 5.2);
        care.draws(keeper, tank, "skimmer", 14, 24);
        care.weekly(keeper, tank, zone, Chore.SKIMMER_CUP);
        care.looked(keeper, tank, zone, Chore.VENTURI, "", DemoCare.VENTURI);
        care.looked(
                keeper,
                tank,
                zone,
                Chore.SKIMMER_PUMP,
                "",
                List.of(new DemoCare.Look(301, Found.DIRTY), new DemoCare.Look(163, Found.SOME)));
        care.looked(
                keeper,
                tank,
                zone,
                Chore.DOSING_PUMP,
                "",
                List.of(new DemoCare.Look(60, null), new DemoCare.Look(20, null)));
        care.looked(
                keeper,
                tank,
                zone,
                Chore.ROOM_METER,
                "",
                List.of(new DemoCare.Look(360, null), new DemoCare.Look(176, Found.SOME)));
        care.looked(
                keeper,
                tank,
                zone,
                Chore.TEST_KIT,
                "",
                List.of(new DemoCare.Look(290, null), new DemoCare.Look(101, null)));
        care.looked(
                keeper,
                tank,
                zone,
                Chore.PRACTISE,
                "Mira",
                List.of(new DemoCare.Look(322, null), new DemoCare.Look(139, null)));
        care.looked(keeper, tank, zone, Chore.PRACTISE, "Jonas", List.of(new DemoCare.Look(322, null)));
        kit.add(keeper, home, cells("battery air pump", "red box under the stairs", "Mira, Jonas", 60, 0.6, 4));
        kit.add(keeper, home, ups("air pump on the desk’s UPS", "beside the tank", "Mira", 180, 3.4));
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
        care.bottle(
                keeper,
                tank,
                "soda ash",
                Bottle.SODA_ASH,
                null,
                atNight,
                "the sump, before its pump",
                history.reservoir());
        care.fedAtRest(keeper, tank);
        care.calciumByHand(keeper, tank, zone);
        care.weekly(keeper, tank, zone, Chore.SKIMMER_CUP);
        care.looked(
                keeper,
                tank,
                zone,
                Chore.RETURN_PUMP,
                "",
                List.of(new DemoCare.Look(311, Found.SOME), new DemoCare.Look(128, Found.CLEAN)));
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
        care.bottle(
                keeper,
                tank,
                "bicarbonate",
                Bottle.BICARBONATE,
                EMPTY_BOTTLE_G,
                null,
                "the outlet’s flow",
                history.reservoir());
        care.waterChanges(keeper, tank, zone);
        care.freshWater(keeper, tank, zone);
        care.looked(
                keeper,
                tank,
                zone,
                Chore.QUARANTINE_GEAR,
                "",
                List.of(new DemoCare.Look(250, null), new DemoCare.Look(158, null), new DemoCare.Look(66, null)));
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
                null,
                null,
                1.0,
                testedHours,
                null);
    }

    private static TankParts with(Livestock livestock, FishGroup... groups) {
        return new TankParts(
                null,
                null,
                null,
                null,
                null,
                List.of(groups),
                null,
                null,
                null,
                null,
                false,
                livestock,
                null,
                null,
                null);
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
