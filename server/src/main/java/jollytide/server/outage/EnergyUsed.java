package jollytide.server.outage;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.outage.OutageViews.NoteView;
import org.jspecify.annotations.Nullable;

/**
 * What outages that are over took of the kit's energy and the mains have not brought back since: hours on each thing's own
 * load. How fast it charges is assumed by its kind; cells and fuel stay used.
 */
final class EnergyUsed {
    static final EnergyUsed NOTHING = new EnergyUsed();

    private final Map<UUID, Double> hours = new HashMap<>();
    private Instant now = Instant.MIN;

    /** An outage that is over, with what was noted of it. */
    record Before(Instant from, Instant until, List<NoteView> notes) {}

    /** @param before in their order; {@code onlyTank} as for {@link RunLog} */
    static EnergyUsed of(List<Before> before, List<KitView> kit, @Nullable UUID onlyTank, Instant at) {
        EnergyUsed used = new EnergyUsed();
        for (Before outage : before) {
            used.charge(kit, outage.from());
            RunLog runs = new RunLog(outage.from(), outage.notes(), kit, onlyTank);
            double length = hours(outage.from(), outage.until());
            for (KitView thing : kit) {
                // It cannot have given more than it has.
                double most = thing.runTime().late();
                used.hours.merge(thing.id(), runs.ranH(thing.id(), length), (a, b) -> Math.min(most, a + b));
                used.hours.computeIfPresent(thing.id(), (id, h) -> Math.min(most, h));
            }
            used.now = outage.until();
        }
        used.charge(kit, at);
        return used;
    }

    private void charge(List<KitView> kit, Instant until) {
        if (now.equals(Instant.MIN)) {
            return;
        }
        double onMains = hours(now, until);
        for (KitView thing : kit) {
            Double full = thing.description().rechargeH();
            if (full != null) {
                double back = onMains / full * thing.runTime().early();
                hours.computeIfPresent(thing.id(), (id, h) -> Math.max(0, h - back));
            }
        }
    }

    private static double hours(Instant from, Instant until) {
        return Math.max(0, Duration.between(from, until).toSeconds() / 3600.0);
    }

    double hours(UUID thing) {
        return hours.getOrDefault(thing, 0.0);
    }
}
