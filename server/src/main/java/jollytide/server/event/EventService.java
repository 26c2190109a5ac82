package jollytide.server.event;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.server.home.LocalTimes;
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
        return events.findByTankIdAndAtBetweenOrderByAt(tank.id(), from, to).stream()
                .map(EventView::of)
                .toList();
    }

    /** Of several tanks at once, by tank. */
    @Transactional(readOnly = true)
    public Map<UUID, List<EventView>> between(List<Tank> tanks, Instant from, Instant to) {
        return events
                .findByTankIdInAndAtBetweenOrderByAt(
                        tanks.stream().map(Tank::id).toList(), from, to)
                .stream()
                .collect(Collectors.groupingBy(e -> e.tankId, Collectors.mapping(EventView::of, Collectors.toList())));
    }

    public EventView add(UUID keeperId, UUID tankId, EventKind kind, String at, String title, String note) {
        Tank tank = tanks.tank(keeperId, tankId);
        TankEvent event = new TankEvent();
        event.id = UUID.randomUUID();
        event.tankId = tank.id();
        event.kind = kind;
        event.at = LocalTimes.resolve("at", at, tank.home().zone(), clock.instant());
        event.title = title.strip();
        event.note = note.strip();
        return EventView.of(events.save(event));
    }

    public void delete(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        events.delete(events.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("event")));
    }
}
