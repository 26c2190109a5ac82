package jollytide.server.tank;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.TargetBand;
import jollytide.core.twin.Air;
import jollytide.core.units.Quantities;
import jollytide.server.home.HomeService;
import jollytide.server.home.Room;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank.SurfaceRow;
import jollytide.server.tank.TankDescription.Band;
import jollytide.server.tank.TankDescription.Light;
import jollytide.server.tank.TankDescription.WaterSurface;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tanks of one keeper. Another keeper's are not there. */
@Service
@Transactional
public class TankService {
    private static final int MOST_IN_A_HOME = 60;

    private final Tanks tanks;
    private final HomeService homes;
    private final ChapterBook chapters;
    private final Clock clock;

    TankService(Tanks tanks, HomeService homes, ChapterBook chapters, Clock clock) {
        this.clock = clock;
        this.tanks = tanks;
        this.homes = homes;
        this.chapters = chapters;
    }

    /**
     * A tank with its place.
     *
     * @param currency of its home, ISO 4217
     */
    public record TankView(
            UUID id,
            UUID roomId,
            UUID homeId,
            String zone,
            String currency,
            long version,
            TankDescription description) {}

    @Transactional(readOnly = true)
    public List<TankView> list(UUID keeperId) {
        return tanks.findAllOwned(keeperId).stream().map(TankService::view).toList();
    }

    @Transactional(readOnly = true)
    public TankView get(UUID keeperId, UUID id) {
        return view(tank(keeperId, id));
    }

    public TankView create(UUID keeperId, UUID roomId, TankDescription description) {
        Room room = homes.room(keeperId, roomId);
        if (ofHome(keeperId, room.home().id()).size() >= MOST_IN_A_HOME) {
            throw Problem.refused(new FieldError(
                    "name",
                    description.name(),
                    "at most " + MOST_IN_A_HOME + " tanks in a home",
                    "This home has " + MOST_IN_A_HOME + " tanks, the maximum."));
        }
        Tank tank = new Tank();
        tank.id = UUID.randomUUID();
        tank.room = room;
        describe(tank, description);
        return view(tanks.save(tank));
    }

    /** @param since when the tank became so; null when it never was as it was described */
    public TankView edit(UUID keeperId, UUID id, long version, TankDescription description, @Nullable String since) {
        Tank tank = tank(keeperId, id);
        if (tank.version != version) {
            throw Problem.savedElsewhere(view(tank));
        }
        TankDescription before = described(tank);
        describe(tank, description);
        chapters.edited(tank, before, described(tank), since);
        tanks.flush();
        return view(tank);
    }

    /** With its log and all that hangs on it. */
    public void remove(UUID keeperId, UUID id) {
        tank(keeperId, id).removedAt = clock.instant();
    }

    /** The keeper's tank with room and home, for other features. */
    @Transactional(readOnly = true)
    public Tank tank(UUID keeperId, UUID id) {
        return tanks.findOwned(id, keeperId).orElseThrow(() -> Problem.notFound("tank"));
    }

    /** In which home a tank stands. */
    @Transactional(readOnly = true)
    public Optional<UUID> homeOf(UUID id) {
        return tanks.findHomeId(id);
    }

    /** All of the keeper's tanks with their places, by name. */
    @Transactional(readOnly = true)
    public List<Tank> all(UUID keeperId) {
        return tanks.findAllOwned(keeperId);
    }

    /** The tanks of one of the keeper's homes, by name. */
    @Transactional(readOnly = true)
    public List<Tank> ofHome(UUID keeperId, UUID homeId) {
        return tanks.findAllOwned(keeperId).stream()
                .filter(tank -> tank.home().id().equals(homeId))
                .toList();
    }

    /** A tank for work that its keeper started and that goes on without them. */
    @Transactional(readOnly = true)
    public Tank tankOfAnyone(UUID id) {
        return tanks.findWithPlace(id).orElseThrow(() -> Problem.notFound("tank"));
    }

    /** All tanks with their places, for work that goes on without their keepers. */
    @Transactional(readOnly = true)
    public List<Tank> allOfEverybody() {
        return tanks.findAllWithPlace();
    }

    /** A tank that is described but kept nowhere. */
    public static Tank unsaved(TankDescription description) {
        Tank tank = new Tank();
        describe(tank, description);
        return tank;
    }

    /** A tank in its place, as it was described otherwise. */
    static Tank as(Tank tank, TankDescription description) {
        Tank other = unsaved(description.underTodaysWishes(described(tank)));
        other.id = tank.id;
        other.version = tank.version;
        other.room = tank.room;
        return other;
    }

    /** The core's records are made once here, so that nothing impossible is stored. */
    private static void describe(Tank tank, TankDescription d) {
        Quantities.within("netVolumeL", d.netVolumeL(), 1, 100_000, "L");
        new TargetBand(d.band().troughAtLeast(), d.band().peakAtMost(), d.band().actBelow());
        d.surfaces().forEach(s -> new Surface(s.areaM2(), s.motion()));
        if (d.skimmerAirDrawLPerH() != null) {
            new Skimmer(d.skimmerAirDrawLPerH(), d.assumptions().skimmer());
            TankParts.SkimmerLine hose = d.parts() == null ? null : d.parts().skimmerLine();
            if (hose != null && hose.drawnLPerH() != null) {
                Quantities.within("parts.skimmerLine.drawnLPerH", hose.drawnLPerH(), 1, d.skimmerAirDrawLPerH(), "L/h");
            }
        }
        d.assumptions().toCore();
        d.assumptions().withoutMains();

        tank.name = d.name().strip();
        tank.about = d.about().strip();
        tank.netVolumeL = d.netVolumeL();
        tank.lightOn = d.light().on();
        tank.lightOff = d.light().off();
        tank.lightFollowsClockChanges = d.light().followsClockChanges();
        Integer ramp = d.light().rampMinutes();
        tank.lightRampMinutes = ramp == null ? 0 : ramp;
        tank.light();
        tank.troughAtLeast = d.band().troughAtLeast();
        tank.peakAtMost = d.band().peakAtMost();
        tank.actBelow = d.band().actBelow();
        tank.bandReason = d.band().reason().strip();
        tank.stance = d.stance();
        tank.skimmerAirDrawLPerH = d.skimmerAirDrawLPerH();
        tank.assumptions = d.assumptions().toStored();
        tank.surfaces.clear();
        d.surfaces()
                .forEach(s -> tank.surfaces.add(new SurfaceRow(
                        s.name().strip(), s.areaM2(), s.motion(), s.over() == null ? Air.ROOM : s.over())));
        if (d.parts() != null) {
            d.parts().check();
            tank.parts = d.parts();
        }
    }

    public static TankDescription described(Tank t) {
        return new TankDescription(
                t.name,
                t.about,
                t.netVolumeL,
                t.surfaces.stream()
                        .map(s -> new WaterSurface(s.name, s.areaM2, s.motion, s.over))
                        .toList(),
                new Light(t.lightOn, t.lightOff, t.lightFollowsClockChanges, t.lightRampMinutes),
                new Band(t.troughAtLeast, t.peakAtMost, t.actBelow, t.bandReason),
                t.stance,
                t.skimmerAirDrawLPerH,
                OwnAssumptions.from(t.assumptions),
                t.parts);
    }

    private static TankView view(Tank t) {
        return new TankView(
                t.id,
                t.room.id(),
                t.home().id(),
                t.home().zone().getId(),
                t.home().currency(),
                t.version,
                described(t));
    }
}
