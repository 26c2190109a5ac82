package jollytide.server.home;

import static jollytide.core.units.Quantities.within;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import jollytide.core.air.People;
import jollytide.core.air.RoomAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.seawater.Gases;
import jollytide.server.account.Accounts;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Homes and rooms of one keeper. Another keeper's are not there. */
@Service
@Transactional
public class HomeService {
    private static final int MOST_HOMES = 20;
    private static final int MOST_ROOMS = 60;

    private final Homes homes;
    private final Rooms rooms;
    private final Accounts accounts;
    private final Clock clock;

    HomeService(Homes homes, Rooms rooms, Accounts accounts, Clock clock) {
        this.clock = clock;
        this.homes = homes;
        this.rooms = rooms;
        this.accounts = accounts;
    }

    /** A room with its place in the home. */
    public record RoomView(UUID id, long version, RoomDescription description) {}

    public record HomeView(UUID id, long version, HomeDescription description, List<RoomView> rooms) {}

    @Transactional(readOnly = true)
    public List<HomeView> list(UUID keeperId) {
        List<Room> all = rooms.findAllOwned(keeperId);
        return homes.findByKeeperIdAndRemovedAtIsNullOrderByName(keeperId).stream()
                .map(home -> view(
                        home,
                        all.stream().filter(r -> r.home.id.equals(home.id)).toList()))
                .toList();
    }

    public HomeView create(UUID keeperId, HomeDescription description) {
        if (homes.findByKeeperIdAndRemovedAtIsNullOrderByName(keeperId).size() >= MOST_HOMES) {
            throw tooMany(description.name(), MOST_HOMES + " homes");
        }
        Home home = new Home();
        home.id = UUID.randomUUID();
        home.keeper = accounts.keeper(keeperId);
        describe(home, description);
        return view(homes.save(home), List.of());
    }

    public HomeView edit(UUID keeperId, UUID id, long version, HomeDescription description) {
        Home home =
                homes.findByIdAndKeeperIdAndRemovedAtIsNull(id, keeperId).orElseThrow(() -> Problem.notFound("home"));
        List<Room> inside = rooms.findAllOwned(keeperId).stream()
                .filter(r -> r.home.id.equals(id))
                .toList();
        if (home.version != version) {
            throw Problem.savedElsewhere(view(home, inside));
        }
        describe(home, description);
        homes.flush();
        return view(home, inside);
    }

    /** With all that is in it. */
    public void remove(UUID keeperId, UUID id) {
        owned(keeperId, id).removedAt = clock.instant();
    }

    /** Whose a home is, for what is not asked for by its keeper. */
    @Transactional(readOnly = true)
    public UUID keeperOf(UUID id) {
        return homes.findByIdAndRemovedAtIsNull(id)
                .orElseThrow(() -> Problem.notFound("home"))
                .keeperId();
    }

    /** The keeper's home, for other features. */
    @Transactional(readOnly = true)
    public Home owned(UUID keeperId, UUID id) {
        return homes.findByIdAndKeeperIdAndRemovedAtIsNull(id, keeperId).orElseThrow(() -> Problem.notFound("home"));
    }

    public RoomView createRoom(UUID keeperId, UUID homeId, RoomDescription description) {
        long here = rooms.findAllOwned(keeperId).stream()
                .filter(r -> r.home.id.equals(homeId))
                .count();
        if (here >= MOST_ROOMS) {
            throw tooMany(description.name(), MOST_ROOMS + " rooms in a home");
        }
        Room room = new Room();
        room.id = UUID.randomUUID();
        room.home = homes.findByIdAndKeeperIdAndRemovedAtIsNull(homeId, keeperId)
                .orElseThrow(() -> Problem.notFound("home"));
        describe(room, description);
        return view(rooms.save(room));
    }

    public RoomView editRoom(UUID keeperId, UUID id, long version, RoomDescription description) {
        Room room = room(keeperId, id);
        if (room.version != version) {
            throw Problem.savedElsewhere(view(room));
        }
        describe(room, description);
        rooms.flush();
        return view(room);
    }

    /** With the tanks that stand in it. */
    public void removeRoom(UUID keeperId, UUID id) {
        room(keeperId, id).removedAt = clock.instant();
    }

    @Transactional(readOnly = true)
    public Room room(UUID keeperId, UUID id) {
        return rooms.findOwned(id, keeperId).orElseThrow(() -> Problem.notFound("room"));
    }

    private static Problem tooMany(String name, String most) {
        return Problem.refused(new FieldError("name", name, "at most " + most, "At most " + most + " are allowed."));
    }

    private static void describe(Home home, HomeDescription description) {
        try {
            ZoneId.of(description.zone());
        } catch (DateTimeException e) {
            throw Problem.refused(new FieldError(
                    "zone",
                    description.zone(),
                    "an IANA time zone such as Europe/Amsterdam",
                    "Unknown time zone " + description.zone() + "."));
        }
        Gases.standardPressureHpa(description.altitudeM());
        home.name = description.name().strip();
        home.zone = description.zone();
        home.altitudeM = description.altitudeM();
        Double tariff = description.tariffPerKWh();
        double perEuro =
                description.perEuro() == null ? 1 : within("perEuro", description.perEuro(), 0.01, 100_000, "");
        home.tariffPerKWh = tariff == null ? null : within("tariffPerKWh", tariff, 0, 10 * perEuro, "per kWh");
        home.currency = currency(description.currency());
        home.perEuro = perEuro;
    }

    private static String currency(@Nullable String code) {
        try {
            return code == null
                    ? "EUR"
                    : Currency.getInstance(code.strip().toUpperCase(Locale.ROOT))
                            .getCurrencyCode();
        } catch (IllegalArgumentException e) {
            throw Problem.refused(new FieldError(
                    "currency",
                    code,
                    "a code of three letters such as EUR, USD or GBP",
                    "Unknown currency " + code + "."));
        }
    }

    private static void describe(Room room, RoomDescription description) {
        People people = new People(description.adults(), description.children(), description.pets());
        Estimate changes = RoomAir.airChangesPerH(description.airChangesPerH());
        if (description.volumeM3() != null) {
            RoomAir.expectedShutPpm(0, people, description.volumeM3(), changes);
        }
        room.airChangesPerH = description.airChangesPerH();
        room.name = description.name().strip();
        room.volumeM3 = description.volumeM3();
        room.adults = people.adults();
        room.children = people.children();
        room.pets = people.pets();
    }

    private static HomeView view(Home home, List<Room> rooms) {
        return new HomeView(
                home.id,
                home.version,
                new HomeDescription(
                        home.name, home.zone, home.altitudeM, home.tariffPerKWh, home.currency, home.perEuro),
                rooms.stream().map(HomeService::view).toList());
    }

    private static RoomView view(Room room) {
        return new RoomView(
                room.id,
                room.version,
                new RoomDescription(
                        room.name, room.volumeM3, room.adults, room.children, room.pets, room.airChangesPerH));
    }
}
