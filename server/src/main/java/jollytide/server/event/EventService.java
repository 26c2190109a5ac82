package jollytide.server.event;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.server.home.LocalTimes;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Events of a keeper's tank. */
@Service
@Transactional
public class EventService {
    private final TankEvents events;
    private final TankService tanks;
    private final Clock clock;

    EventService(TankEvents events, TankService tanks, Clock clock) {
        this.events = events;
        this.tanks = tanks;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<EventView> between(Tank tank, Instant from, Instant to) {
        return events.around(List.of(tank.id()), from, to).stream()
                .map(EventView::of)
                .toList();
    }

    /** Of several tanks at once, by tank. */
    @Transactional(readOnly = true)
    public Map<UUID, List<EventView>> between(List<Tank> tanks, Instant from, Instant to) {
        return events.around(tanks.stream().map(Tank::id).toList(), from, to).stream()
                .collect(Collectors.groupingBy(e -> e.tankId, Collectors.mapping(EventView::of, Collectors.toList())));
    }

    /** Of several tanks, by tank: those that put something on it that was there between two times, in their order. */
    @Transactional(readOnly = true)
    public Map<UUID, List<EventView>> standing(List<Tank> tanks, Instant from, Instant to) {
        return putOn(tanks.stream().map(Tank::id).toList(), from, to)
                .collect(Collectors.groupingBy(e -> e.tankId, Collectors.mapping(EventView::of, Collectors.toList())));
    }

    /** What is known to have done nothing stands nowhere. */
    private Stream<TankEvent> putOn(List<UUID> tankIds, Instant from, Instant to) {
        return events.standing(tankIds, from, to).stream().filter(TankEvent::putsSomethingOn);
    }

    @Transactional(readOnly = true)
    public EventView get(UUID keeperId, UUID tankId, UUID id) {
        return EventView.of(event(tanks.tank(keeperId, tankId), id));
    }

    public EventView add(UUID keeperId, UUID tankId, NewEvent body) {
        TankEvent event = fresh(tanks.tank(keeperId, tankId), body);
        return EventView.of(events.save(event));
    }

    /** Words and times; what it did stays. */
    public EventView edit(UUID keeperId, UUID tankId, UUID id, long version, NewEvent body) {
        Tank tank = tanks.tank(keeperId, tankId);
        TankEvent event = event(tank, id);
        if (event.version != version) {
            throw Problem.savedElsewhere(EventView.of(event));
        }
        describe(event, tank, body);
        events.flush();
        return EventView.of(event);
    }

    /**
     * An event with what it did, and those that ended with it.
     *
     * @param ended titles of those that stood until it took their place
     */
    public record Done(EventView event, List<String> ended) {}

    /** What stands on a tank and is gone once something else is put on. */
    @FunctionalInterface
    public interface Replaced {
        boolean by(EventView other, List<PutMeasure> measures);
    }

    /**
     * A new event with what it did to the tank.
     *
     * @param forecast null when nothing was forecast
     * @param replaced whether another event's measures are all replaced by these
     */
    public Done addDone(
            UUID keeperId,
            UUID tankId,
            NewEvent body,
            List<PutMeasure> measures,
            @Nullable KeptForecast forecast,
            Replaced replaced) {
        Tank tank = tanks.tank(keeperId, tankId);
        TankEvent event = events.save(fresh(tank, body));
        return done(event, measures, forecast, replaced);
    }

    /** What an event did to the tank, said or mended later; nothing when {@code measures} is empty. */
    public Done setDone(
            UUID keeperId,
            UUID tankId,
            UUID id,
            long version,
            List<PutMeasure> measures,
            @Nullable KeptForecast forecast,
            Replaced replaced) {
        TankEvent event = event(tanks.tank(keeperId, tankId), id);
        if (event.version != version) {
            throw Problem.savedElsewhere(EventView.of(event));
        }
        return done(event, measures, forecast, replaced);
    }

    private Done done(TankEvent event, List<PutMeasure> measures, @Nullable KeptForecast forecast, Replaced replaced) {
        event.measures = List.copyOf(measures);
        event.forecast = forecast;
        List<String> ended = new ArrayList<>();
        Instant last = event.until == null ? clock.instant() : event.until;
        List<TankEvent> others = putOn(List.of(event.tankId), event.at, last).toList();
        for (TankEvent other : others) {
            if (measures.isEmpty() || other.id.equals(event.id) || !replaced.by(EventView.of(other), measures)) {
                continue;
            }
            if (other.at.isBefore(event.at) && (other.until == null || other.until.isAfter(event.at))) {
                other.until = event.at;
                ended.add(other.title);
            } else if (event.until == null) {
                // Written down later than what took its own place.
                event.until = other.at;
            } else if (other.at.isBefore(event.until)) {
                throw Problem.refused(new FieldError(
                        "until",
                        event.until.toString(),
                        "at the latest " + other.at,
                        "“" + other.title + "” of the same kind started " + other.at
                                + ". End this event then, or correct one of the dates."));
            }
        }
        events.flush();
        return new Done(EventView.of(event), ended);
    }

    /** An experiment that begins now; what stands on the tank stands again after it. */
    public EventView beginExperiment(
            Tank tank, Instant at, Instant until, String title, String note, List<PutMeasure> measures) {
        TankEvent event = new TankEvent();
        event.id = UUID.randomUUID();
        event.tankId = tank.id();
        event.kind = EventKind.EXPERIMENT;
        event.at = at;
        event.until = until;
        event.title = title;
        event.note = note;
        event.measures = List.copyOf(measures);
        return EventView.of(events.save(event));
    }

    /** When an experiment was really over. */
    public void endExperiment(Tank tank, UUID id, Instant until) {
        event(tank, id).until = until;
    }

    private TankEvent event(Tank tank, UUID id) {
        return events.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("event"));
    }

    private TankEvent fresh(Tank tank, NewEvent body) {
        TankEvent event = new TankEvent();
        event.id = UUID.randomUUID();
        event.tankId = tank.id();
        describe(event, tank, body);
        return event;
    }

    private void describe(TankEvent event, Tank tank, NewEvent body) {
        event.kind = body.kind();
        event.at = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        event.until = body.until() == null
                ? null
                : LocalTimes.resolve("until", body.until(), tank.home().zone(), clock.instant());
        if (event.until != null && event.until.isBefore(event.at)) {
            throw Problem.refused(
                    new FieldError("until", body.until(), "not before the start", "The end is before the start."));
        }
        if (event.until == null && event.kind == EventKind.EXPERIMENT) {
            throw Problem.refused(new FieldError("until", "", "a time", "Enter when the experiment ended."));
        }
        event.excludesDays = Boolean.TRUE.equals(body.excludesDays());
        event.title = body.title().strip();
        event.note = body.note().strip();
    }

    public void delete(UUID keeperId, UUID tankId, UUID id) {
        events.delete(event(tanks.tank(keeperId, tankId), id));
    }
}
