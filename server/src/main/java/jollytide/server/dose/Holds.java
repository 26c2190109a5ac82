package jollytide.server.dose;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import jollytide.core.doses.Hold;
import jollytide.core.units.InputException;
import jollytide.server.outage.OutageTimes;
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
        return known(tank).stream().map(Known::hold).toList();
    }

    private List<Known> known(Tank tank) {
        Map<UUID, DoseRelease> released = releases.findByTankId(tank.id()).stream()
                .collect(Collectors.toMap(r -> r.outageId, Function.identity()));
        return outages.of(tank.home().id()).stream()
                .map(o -> {
                    DoseRelease release = released.get(o.id());
                    return new Known(o.id(), new Hold(o.from(), o.until(), release == null ? null : release.at));
                })
                .toList();
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
                            earliest == null ? "once the mains are back" : "from " + earliest + " on",
                            earliest == null
                                    ? "The outage is not over: while the return stands still nothing is dosed."
                                    : "The return must have run for half an hour before anything is dosed.");
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
