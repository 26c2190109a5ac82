package jollytide.server.dosing;

import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import jollytide.core.dosingline.Hold;
import jollytide.core.units.InputException;
import jollytide.server.outage.OutageTimes;
import jollytide.server.outage.OutageTimes.Away;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Times in which nothing may be dosed, for the mains were away. */
@Component
class Holds {
    private final OutageTimes outages;
    private final DoseReleases releases;
    private final Clock clock;

    Holds(OutageTimes outages, DoseReleases releases, Clock clock) {
        this.outages = outages;
        this.releases = releases;
        this.clock = clock;
    }

    /** One, with the outage that it is for. */
    private record Known(UUID outageId, Hold hold) {}

    List<Hold> of(Tank tank) {
        return of(List.of(tank)).getOrDefault(tank.id(), List.of());
    }

    /** By tank; those of one home share its outages. */
    Map<UUID, List<Hold>> of(Collection<Tank> tanks) {
        Map<UUID, List<Hold>> held = new HashMap<>();
        known(tanks)
                .forEach((tank, known) ->
                        held.put(tank, known.stream().map(Known::hold).toList()));
        return held;
    }

    private List<Known> known(Tank tank) {
        return known(List.of(tank)).getOrDefault(tank.id(), List.of());
    }

    private Map<UUID, List<Known>> known(Collection<Tank> tanks) {
        Map<UUID, List<DoseRelease>> released = releases
                .findByTankIdIn(tanks.stream().map(Tank::id).toList())
                .stream()
                .collect(Collectors.groupingBy(r -> r.tankId));
        Map<UUID, List<Away>> away = new HashMap<>();
        Map<UUID, List<Known>> known = new HashMap<>();
        for (Tank tank : tanks) {
            Map<UUID, DoseRelease> byOutage = released.getOrDefault(tank.id(), List.of()).stream()
                    .collect(Collectors.toMap(r -> r.outageId, Function.identity()));
            known.put(
                    tank.id(),
                    away.computeIfAbsent(tank.home().id(), outages::of).stream()
                            .map(o -> {
                                DoseRelease release = byOutage.get(o.id());
                                return new Known(
                                        o.id(), new Hold(o.from(), o.until(), release == null ? null : release.at));
                            })
                            .toList());
        }
        return known;
    }

    /** The one that lasts; null where doses may be made. */
    @Nullable
    Hold now(Tank tank) {
        Instant now = clock.instant();
        return of(tank).stream().filter(hold -> hold.lasts(now)).findFirst().orElse(null);
    }

    /** The return runs, and somebody saw that. */
    void release(Tank tank) {
        Instant now = clock.instant();
        for (Known known : known(tank)) {
            if (known.hold().lasts(now)) {
                Instant earliest = known.hold().earliest();
                if (earliest == null || earliest.isAfter(now)) {
                    throw new InputException(
                            "at",
                            (double) now.getEpochSecond(),
                            earliest == null ? "when power is back" : "from " + earliest + " on",
                            earliest == null
                                    ? "The outage is not over. Dosing waits while the return is off."
                                    : "Dosing waits until the return has run for half an hour.");
                }
                DoseRelease release = new DoseRelease();
                release.id = UUID.randomUUID();
                release.tankId = tank.id();
                release.outageId = known.outageId();
                release.at = now;
                releases.save(release);
            }
        }
    }
}
