package jollytide.server.event;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.server.home.LocalTimes;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
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

    public EventView add(UUID keeperId, UUID tankId, NewEvent body) {
        Tank tank = tanks.tank(keeperId, tankId);
        TankEvent event = new TankEvent();
        event.id = UUID.randomUUID();
        event.tankId = tank.id();
        event.kind = body.kind();
        event.at = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        event.until = body.until() == null
                ? null
                : LocalTimes.resolve("until", body.until(), tank.home().zone(), clock.instant());
        if (event.until != null && event.until.isBefore(event.at)) {
            throw Problem.refused(
                    new FieldError("until", body.until(), "not before its beginning", "It ended before it began."));
        }
        event.excludesDays = Boolean.TRUE.equals(body.excludesDays());
        event.title = body.title().strip();
        event.note = body.note().strip();
        return EventView.of(events.save(event));
    }

    public void delete(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        events.delete(events.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("event")));
    }
}
