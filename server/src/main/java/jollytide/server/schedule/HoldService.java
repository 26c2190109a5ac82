package jollytide.server.schedule;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.core.schedule.Lane;
import jollytide.core.schedule.LaneState;
import jollytide.core.schedule.Schedule;
import jollytide.core.units.InputException;
import jollytide.server.problem.Problem;
import jollytide.server.schedule.ScheduleViews.HeldLane;
import jollytide.server.schedule.ScheduleViews.HoldAsked;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lanes held by hand. Nothing switches a device by it yet: who holds one switches it, and is asked at the end whether it
 * runs again.
 */
@Service
@Transactional
public class HoldService {
    /** What ended longer ago was seen by somebody, noted or not. */
    private static final Duration ASKED_FOR = Duration.ofDays(2);

    private static final int MOST_A_DAY = 200;

    private final LaneHolds holds;
    private final TankService tanks;
    private final ScheduleService schedules;
    private final JsonMapper json;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    HoldService(
            LaneHolds holds,
            TankService tanks,
            ScheduleService schedules,
            JsonMapper json,
            JdbcTemplate jdbc,
            Clock clock) {
        this.jdbc = jdbc;
        this.holds = holds;
        this.tanks = tanks;
        this.schedules = schedules;
        this.json = json;
        this.clock = clock;
    }

    /** From now on. What held one of these lanes ends; of two at once the later one stays. */
    List<HeldLane> hold(UUID keeperId, UUID tankId, HoldAsked asked, Instant now, Instant until) {
        Tank tank = tanks.tank(keeperId, tankId);
        oneAfterTheOther(tank);
        Schedule current = schedules.current(tank);
        LaneState state = asked.state().toCore();
        Set<String> wanted = new HashSet<>(asked.lanes());
        for (String id : wanted) {
            if (!current.can(id, state)) {
                throw new InputException(
                        "lanes",
                        0,
                        "devices of the saved schedule and their states",
                        "The saved schedule has no such device, or the device can’t do that.");
            }
        }
        List<LaneHold> lately = since(tank, now.minus(Duration.ofDays(1)));
        if (lately.size() + wanted.size() > MOST_A_DAY) {
            throw new InputException(
                    "lanes", wanted.size(), "at most " + MOST_A_DAY + " a day", "Too many holds today.");
        }
        lately.stream().filter(hold -> wanted.contains(hold.lane)).forEach(hold -> end(hold, now));
        for (String id : wanted) {
            LaneHold hold = new LaneHold();
            hold.id = UUID.randomUUID();
            hold.tankId = tank.id();
            hold.lane = id;
            hold.state = json.convertValue(asked.state(), new TypeReference<>() {});
            hold.begunAt = now;
            hold.endsAt = until;
            holds.save(hold);
        }
        return open(tank);
    }

    /** Ends it, or says of one that is over that its lane does again what it should. */
    List<HeldLane> letGo(UUID keeperId, UUID tankId, UUID id) {
        Tank tank = tanks.tank(keeperId, tankId);
        LaneHold hold =
                holds.findById(id).filter(h -> h.tankId.equals(tank.id())).orElseThrow(() -> Problem.notFound("hold"));
        Instant now = minute();
        since(tank, now).stream().filter(other -> other.lane.equals(hold.lane)).forEach(other -> end(other, now));
        end(hold, now);
        return open(tank);
    }

    /** Holds of one tank wait for each other: each must see what the one before held. */
    private void oneAfterTheOther(Tank tank) {
        jdbc.queryForList("select id from tank where id = ? for update", tank.id());
    }

    /** As the day is drawn. */
    Instant minute() {
        return clock.instant().truncatedTo(ChronoUnit.MINUTES);
    }

    private static void end(LaneHold hold, Instant now) {
        hold.seen = true;
        if (hold.endsAt.isAfter(now)) {
            hold.endsAt = now;
        }
    }

    /** Those that last, and those of which nobody has said yet that they are over. */
    @Transactional(readOnly = true)
    List<HeldLane> open(UUID keeperId, UUID tankId) {
        return open(tanks.tank(keeperId, tankId));
    }

    private List<HeldLane> open(Tank tank) {
        List<LaneHold> unseen = since(tank, clock.instant().minus(ASKED_FOR)).stream()
                .filter(hold -> !hold.seen)
                .toList();
        if (unseen.isEmpty()) {
            return List.of();
        }
        Map<String, String> names =
                schedules.current(tank).lanes().stream().collect(Collectors.toMap(Lane::id, Lane::name));
        return unseen.stream()
                .map(hold -> new HeldLane(
                        hold.id,
                        hold.lane,
                        names.getOrDefault(hold.lane, hold.lane),
                        hold.state(json),
                        hold.begunAt,
                        hold.endsAt))
                .toList();
    }

    /** Those that somebody should look after, by the time at which they were over. */
    @Transactional(readOnly = true)
    public Map<Instant, List<String>> over(Tank tank) {
        Instant now = clock.instant();
        Map<Instant, List<String>> over = new TreeMap<>();
        open(tank).stream()
                .filter(held -> !held.until().isAfter(now))
                .forEach(held -> over.computeIfAbsent(held.until(), at -> new ArrayList<>())
                        .add(held.name()));
        return over;
    }

    private List<LaneHold> since(Tank tank, Instant since) {
        return holds.findByTankIdAndEndsAtAfterOrderByBegunAt(tank.id(), since);
    }
}
