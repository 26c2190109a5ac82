package jollytide.server.twin;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Surroundings;
import jollytide.core.units.InputException;
import jollytide.server.event.EventView;
import org.jspecify.annotations.Nullable;

/**
 * What its keeper put on a tank, event by event in their order, as far as its readings do not show it already.
 *
 * @param problem of the first one that the described tank cannot have, in words; null when all fit
 */
record Standing(List<Put> all, @Nullable String problem) {

    /** What one event put on. */
    record Put(EventView event, MeasureSet measures) {}

    static Standing of(List<EventView> events, Surroundings known, boolean roomMeasured) {
        List<Put> all = new ArrayList<>();
        String problem = null;
        for (EventView event : events) {
            try {
                MeasureSet measures = event.set().on(known).notInTheReadings(roomMeasured);
                if (!measures.isEmpty()) {
                    all.add(new Put(event, measures));
                }
            } catch (InputException doesNotFit) {
                problem = problem != null
                        ? problem
                        : "“" + event.title() + "” does not fit the description: " + doesNotFit.getMessage();
            }
        }
        return new Standing(all, problem);
    }

    /** All of it at a moment; of one kind what came last. */
    MeasureSet at(Instant t) {
        return of(all.stream().filter(put -> put.event().stoodAt(t)));
    }

    /** The same as the tank usually is then: what is done for some hours to learn from it is no part of that. */
    MeasureSet usualAt(Instant t) {
        return usualAt(t, Set.of());
    }

    /** Likewise, without what some of them put on. */
    MeasureSet usualAt(Instant t, Set<UUID> without) {
        return of(usually(t).filter(put -> !without.contains(put.event().id())));
    }

    /** What put that on. */
    List<EventView> usualEvents(Instant t) {
        return usually(t).map(Put::event).toList();
    }

    private Stream<Put> usually(Instant t) {
        return all.stream().filter(put -> put.event().stoodAt(t) && !put.event().experiment());
    }

    private static MeasureSet of(Stream<Put> some) {
        return some.map(Put::measures).reduce(MeasureSet.NONE, (before, on) -> on.over(before));
    }
}
