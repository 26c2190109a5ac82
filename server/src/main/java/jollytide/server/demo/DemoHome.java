package jollytide.server.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.reef.Stance;
import jollytide.server.account.Accounts;
import jollytide.server.account.Keeper;
import jollytide.server.home.HomeDescription;
import jollytide.server.home.HomeService;
import jollytide.server.home.RoomDescription;
import jollytide.server.reading.ReadingService;
import jollytide.server.setup.Settings;
import jollytide.server.tank.OwnAssumptions;
import jollytide.server.tank.TankDescription;
import jollytide.server.tank.TankDescription.Band;
import jollytide.server.tank.TankDescription.Light;
import jollytide.server.tank.TankDescription.WaterSurface;
import jollytide.server.tank.TankService;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Three invented tanks with a few hand-taken readings each, made at the first start: Lantern Reef above a bakery, a
 * school's Room 6, and Heron on a narrowboat.
 */
@Component
class DemoHome implements ApplicationRunner {
    private static final String KEEPER = "Mira";
    private static final int DAYS = 6;
    private static final OwnAssumptions NO_OWN = new OwnAssumptions(null, null, null, null, null, null, null);

    private final Settings settings;
    private final Accounts accounts;
    private final HomeService homes;
    private final TankService tanks;
    private final ReadingService readings;
    private final Clock clock;

    DemoHome(
            Settings settings,
            Accounts accounts,
            HomeService homes,
            TankService tanks,
            ReadingService readings,
            Clock clock) {
        this.settings = settings;
        this.accounts = accounts;
        this.homes = homes;
        this.tanks = tanks;
        this.readings = readings;
        this.clock = clock;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments args) {
        if (settings.demoDoor()) {
            accounts.createDemoKeeper(KEEPER).map(Keeper::id).ifPresent(this::furnish);
        }
    }

    private void furnish(UUID keeper) {
        lanternReef(keeper);
        room6(keeper);
        heron(keeper);
    }

    private void lanternReef(UUID keeper) {
        ZoneId zone = ZoneId.of("Europe/Amsterdam");
        UUID home = homes.create(keeper, new HomeDescription("Quayside House", zone.getId(), 12.0))
                .id();
        UUID room = homes.createRoom(keeper, home, new RoomDescription("Living room", 180.0, 2, 1, 1))
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
                                        new WaterSurface("display", 0.72, SurfaceClass.ROLLING),
                                        new WaterSurface("sump", 0.18, SurfaceClass.BROKEN)),
                                new Light("10:00", "21:00", true),
                                new Band(8.0, 8.4, 7.8, "Stony corals grow better when nights stay above 8.0."),
                                Stance.LIFT,
                                550.0,
                                NO_OWN))
                .id();
        Log log = new Log(keeper, tank, zone);
        for (int day = DAYS; day >= 0; day--) {
            double sag = 0.01 * (day % 3);
            log.at(day, "07:30").co2(Place.ROOM, 870 + 15 * (day % 2));
            log.at(day, "09:40").co2(Place.ROOM, 820 + 10 * (day % 3));
            log.at(day, "09:55").ph(7.84 + sag, Method.PROBE).temperature(25.4);
            log.at(day, "14:10").ph(7.93 + sag, Method.PROBE);
            log.at(day, "20:45").ph(8.04 + sag, Method.PROBE).temperature(25.7);
            log.at(day, "22:30").co2(Place.ROOM, 910 + 20 * (day % 3));
        }
        log.at(5, "18:00").salinity(35).calcium(425);
        log.at(5, "18:05").alkalinity(8.4);
        log.at(1, "18:00").alkalinity(8.5);
        log.at(2, "20:50").oxygen(6.7);
    }

    private void room6(UUID keeper) {
        ZoneId zone = ZoneId.of("Europe/Amsterdam");
        UUID home = homes.create(keeper, new HomeDescription("Millbrook School", zone.getId(), 35.0))
                .id();
        UUID room = homes.createRoom(keeper, home, new RoomDescription("Room 6", 200.0, 1, 26, 0))
                .id();
        UUID tank = tanks.create(
                        keeper,
                        room,
                        new TankDescription(
                                "Room 6",
                                "The class's soft corals. On school days 26 pupils share the air with them.",
                                180.0,
                                List.of(new WaterSurface("display", 0.45, SurfaceClass.ROLLING)),
                                new Light("07:30", "16:30", true),
                                new Band(7.9, 8.4, 7.7, "Soft corals ask for little; steadiness matters more."),
                                Stance.STEADY,
                                350.0,
                                NO_OWN))
                .id();
        Log log = new Log(keeper, tank, zone);
        for (int day = DAYS; day >= 0; day--) {
            log.at(day, "07:15").co2(Place.ROOM, 560 + 10 * (day % 3));
            log.at(day, "07:20").ph(7.93, Method.PROBE).temperature(25.0);
            log.at(day, "09:00").co2(Place.ROOM, 1650 + 30 * (day % 2));
            log.at(day, "11:30").co2(Place.ROOM, 2150 + 40 * (day % 3));
            log.at(day, "15:00").co2(Place.ROOM, 2050);
            log.at(day, "16:00").ph(7.62, Method.PROBE_CHECKED);
        }
        log.at(3, "10:00").salinity(34).calcium(410);
        log.at(3, "10:05").alkalinity(7.9);
    }

    private void heron(UUID keeper) {
        ZoneId zone = ZoneId.of("Europe/London");
        UUID home = homes.create(keeper, new HomeDescription("Narrowboat", zone.getId(), 40.0))
                .id();
        UUID room = homes.createRoom(keeper, home, new RoomDescription("Saloon", 28.0, 1, 0, 0))
                .id();
        UUID tank = tanks.create(
                        keeper,
                        room,
                        new TankDescription(
                                "Heron",
                                "A small reef afloat: 12 V battery, mooring power that drops out, no skimmer.",
                                75.0,
                                List.of(new WaterSurface("display", 0.24, SurfaceClass.RIPPLED)),
                                new Light("11:00", "20:00", true),
                                new Band(7.9, 8.4, 7.75, "What can be held with a hatch open and no skimmer."),
                                Stance.STEADY,
                                null,
                                NO_OWN))
                .id();
        Log log = new Log(keeper, tank, zone);
        for (int day = DAYS; day >= 0; day--) {
            log.at(day, "10:30").co2(Place.ROOM, 600 + 20 * (day % 2));
            log.at(day, "10:45").ph(7.74 + 0.01 * (day % 2), Method.PROBE).temperature(24.6);
            log.at(day, "19:40").ph(7.98, Method.PROBE);
        }
        log.at(4, "12:00").salinity(35);
        log.at(4, "12:05").alkalinity(8.1);
    }

    /** Writes readings at local times of past days; what would lie in the future is left out. */
    private final class Log {
        private final UUID keeper;
        private final UUID tank;
        private final ZoneId zone;
        private final Instant now;
        private Instant at;

        Log(UUID keeper, UUID tank, ZoneId zone) {
            this.keeper = keeper;
            this.tank = tank;
            this.zone = zone;
            this.now = clock.instant();
            this.at = now;
        }

        Log at(int daysAgo, String time) {
            at = LocalDate.ofInstant(now, zone)
                    .minusDays(daysAgo)
                    .atTime(LocalTime.parse(time))
                    .atZone(zone)
                    .toInstant();
            return this;
        }

        Log ph(double value, Method method) {
            return save(RawUnit.PH_NBS, Place.TANK, method, Math.round(value * 100) / 100.0);
        }

        Log temperature(double value) {
            return save(RawUnit.CELSIUS, Place.TANK, Method.METER, value);
        }

        Log salinity(double value) {
            return save(RawUnit.PSU, Place.TANK, Method.REFRACTOMETER, value);
        }

        Log calcium(double value) {
            return save(RawUnit.CALCIUM_MG_PER_L, Place.TANK, Method.TITRATION_KIT, value);
        }

        Log alkalinity(double value) {
            return save(RawUnit.DKH, Place.TANK, Method.TITRATION_KIT, value);
        }

        Log oxygen(double value) {
            return save(RawUnit.OXYGEN_MG_PER_L, Place.TANK, Method.METER, value);
        }

        Log co2(Place place, double value) {
            return save(RawUnit.CO2_PPM, place, Method.METER, value);
        }

        private Log save(RawUnit unit, Place place, Method method, double value) {
            if (!at.isAfter(now)) {
                readings.save(keeper, tank, at, unit, place, method, value);
            }
            return this;
        }
    }
}
