package jollytide.server.outage;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import jollytide.core.outage.Backup;
import jollytide.core.outage.Energy;
import jollytide.server.home.HomeService;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The things of a home that work without the mains. */
@Service
@Transactional
public class KitService {
    private static final int MOST_IN_A_HOME = 100;

    private final KitItems items;
    private final HomeService homes;
    private final TankService tanks;
    private final Clock clock;

    KitService(KitItems items, HomeService homes, TankService tanks, Clock clock) {
        this.items = items;
        this.homes = homes;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * One of them.
     *
     * @param watts as entered or assumed
     * @param startsItself when the mains fail
     * @param runTime on its load; a tested run counts before every sum
     * @param asOf the day from which ages count
     */
    public record KitView(
            UUID id,
            long version,
            KitDescription description,
            double watts,
            boolean startsItself,
            Energy.RunTime runTime,
            LocalDate asOf) {
        /**
         * As the core takes it, or a share of what it gives.
         *
         * @param usedH of its energy that earlier outages took
         */
        Backup backup(double share, double usedH) {
            Backup full = description.toCore(share, asOf);
            Energy energy = full.energy();
            return usedH <= 0 || energy == null
                    ? full
                    : new Backup(
                            full.name(), full.way(), full.loadW(), new Energy.PartlyUsed(energy, usedH), full.start());
        }

        static KitView of(KitItem item, LocalDate today) {
            return new KitView(
                    item.id,
                    item.version,
                    item.description,
                    item.description.watts(),
                    item.description.startsByItself(),
                    item.description.toCore(1, today).runTime(),
                    today);
        }
    }

    /** The surest first: tested ones, then by their early end. */
    @Transactional(readOnly = true)
    public List<KitView> list(UUID keeperId, UUID homeId) {
        homes.owned(keeperId, homeId);
        return ofHome(homeId);
    }

    List<KitView> ofHome(UUID homeId) {
        return items.findByHomeId(homeId).stream()
                .map(item -> KitView.of(item, today()))
                .sorted(Comparator.comparing((KitView k) -> !k.runTime().tested())
                        .thenComparing(k -> -k.runTime().early()))
                .toList();
    }

    public KitView add(UUID keeperId, UUID homeId, KitDescription description) {
        homes.owned(keeperId, homeId);
        if (items.findByHomeId(homeId).size() >= MOST_IN_A_HOME) {
            throw Problem.refused(new FieldError(
                    "name",
                    description.name(),
                    "at most " + MOST_IN_A_HOME + " things",
                    "This home has " + MOST_IN_A_HOME + " things. Remove what you never use."));
        }
        KitItem item = new KitItem();
        item.id = UUID.randomUUID();
        item.homeId = homeId;
        item.description = checked(keeperId, homeId, description);
        return KitView.of(items.save(item), today());
    }

    public KitView edit(UUID keeperId, UUID homeId, UUID id, long version, KitDescription description) {
        KitItem item = item(keeperId, homeId, id);
        if (item.version != version) {
            throw Problem.savedElsewhere(KitView.of(item, today()));
        }
        item.description = checked(keeperId, homeId, description);
        items.flush();
        return KitView.of(item, today());
    }

    public void delete(UUID keeperId, UUID homeId, UUID id) {
        items.delete(item(keeperId, homeId, id));
    }

    /** Ages count in days: a day more or less, by the zone, does not matter. */
    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    /** Makes sure that nothing impossible is stored, nor a tank that is not in this home. */
    private KitDescription checked(UUID keeperId, UUID homeId, KitDescription description) {
        description.check(today());
        List<UUID> here = tanks.ofHome(keeperId, homeId).stream().map(Tank::id).toList();
        List<UUID> meant = new ArrayList<>(description.over() == null ? List.of() : description.over());
        if (description.tankId() != null) {
            meant.add(description.tankId());
        }
        if (!here.containsAll(meant)) {
            throw Problem.refused(
                    new FieldError("tankId", meant.toString(), "a tank of this home", "Choose a tank in this home."));
        }
        return description;
    }

    private KitItem item(UUID keeperId, UUID homeId, UUID id) {
        homes.owned(keeperId, homeId);
        return items.findByIdAndHomeId(id, homeId).orElseThrow(() -> Problem.notFound("thing"));
    }
}
