package jollytide.server.upkeep;

import static jollytide.core.units.Quantities.within;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.measure.Setup;
import jollytide.core.twin.Channel;
import jollytide.core.units.InputException;
import jollytide.core.unnoted.Cause;
import jollytide.core.upkeep.Chore;
import jollytide.core.upkeep.Interval;
import jollytide.core.upkeep.TankUse;
import jollytide.server.dosing.DosingService;
import jollytide.server.effect.UnnotedService;
import jollytide.server.home.LocalTimes;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingService;
import jollytide.server.reading.ReadingService.Logged;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import jollytide.server.upkeep.UpkeepViews.ChoreEdit;
import jollytide.server.upkeep.UpkeepViews.ChoreKind;
import jollytide.server.upkeep.UpkeepViews.Later;
import jollytide.server.upkeep.UpkeepViews.NewChore;
import jollytide.server.upkeep.UpkeepViews.NewTick;
import jollytide.server.upkeep.UpkeepViews.TaskView;
import jollytide.server.upkeep.UpkeepViews.TickView;
import jollytide.server.upkeep.UpkeepViews.UpkeepView;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is looked after on a tank, and says when it is due again. */
@Service
public class UpkeepService {
    private static final int MOST_TASKS = 60;
    private static final int MOST_DONE = 2000;
    private static final int FURTHEST_YEARS = 2;
    /** A meter that was read since is there. */
    private static final Duration LATELY = Duration.ofDays(60);

    private final UpkeepTasks tasks;
    private final UpkeepDones dones;
    private final TankService tanks;
    private final TwinBook book;
    private final DosingService doses;
    private final ReadingService readings;
    private final UsesOfTanks uses;
    private final UnnotedService unnoted;
    private final Clock clock;

    UpkeepService(
            UpkeepTasks tasks,
            UpkeepDones dones,
            TankService tanks,
            TwinBook book,
            DosingService doses,
            ReadingService readings,
            UsesOfTanks uses,
            UnnotedService unnoted,
            Clock clock) {
        this.tasks = tasks;
        this.dones = dones;
        this.tanks = tanks;
        this.book = book;
        this.doses = doses;
        this.readings = readings;
        this.uses = uses;
        this.unnoted = unnoted;
        this.clock = clock;
    }

    public UpkeepView list(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        List<UpkeepTask> all = tasks.findByTankId(tank.id());
        TankUse use = uses.of(tank);
        Map<Boolean, List<TaskView>> byUse = views(tank, all, use);
        Set<Chore> kept = all.stream()
                .filter(t -> t.endedAt == null)
                .map(t -> t.chore)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(Chore.class)));
        Set<Chore.Needs> has = has(tank);
        return new UpkeepView(
                byUse.getOrDefault(true, List.of()),
                byUse.getOrDefault(false, List.of()),
                Stream.of(Chore.values())
                        .filter(chore -> chore.fits(has))
                        .sorted(Comparator.comparing(kept::contains))
                        .map(chore -> ChoreKind.of(chore, use.days(chore)))
                        .toList());
    }

    /** What is looked after, the next first. */
    public List<TaskView> due(Tank tank) {
        List<UpkeepTask> all = tasks.findByTankId(tank.id());
        return all.isEmpty() ? List.of() : views(tank, all, uses.of(tank)).getOrDefault(true, List.of());
    }

    /** By whether it is looked after still. */
    private Map<Boolean, List<TaskView>> views(Tank tank, List<UpkeepTask> all, TankUse use) {
        Map<UUID, List<UpkeepDone>> done = dones
                .findByTaskIdInOrderByAt(all.stream().map(t -> t.id).toList())
                .stream()
                .collect(Collectors.groupingBy(d -> d.taskId));
        Map<Chore, List<Instant>> shown = new EnumMap<>(Chore.class);
        all.forEach(t -> shown.computeIfAbsent(t.chore, chore -> shown(tank, chore)));
        ZoneId zone = tank.home().zone();
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        return all.stream()
                .sorted(Comparator.comparing((UpkeepTask t) -> t.addedAt).thenComparing(t -> t.id))
                .collect(Collectors.partitioningBy(
                        t -> t.endedAt == null,
                        Collectors.collectingAndThen(
                                Collectors.mapping(
                                        t -> view(
                                                t,
                                                done.getOrDefault(t.id, List.of()),
                                                shown.getOrDefault(t.chore, List.of()),
                                                use,
                                                zone,
                                                today),
                                        Collectors.toList()),
                                views -> views.stream()
                                        .sorted(Comparator.comparing(TaskView::due))
                                        .toList())));
    }

    /** Since when the log shows that something is due. */
    private List<Instant> shown(Tank tank, Chore chore) {
        Cause cause = chore.shownBy();
        return cause == null
                ? List.of()
                : unnoted.shown(tank, cause).stream()
                        .map(day -> day.atStartOfDay(tank.home().zone()).toInstant())
                        .toList();
    }

    private static TaskView view(
            UpkeepTask task, List<UpkeepDone> done, List<Instant> shown, TankUse use, ZoneId zone, LocalDate today) {
        List<Interval.Done> times =
                done.stream().map(d -> new Interval.Done(d.at, d.found)).toList();
        Interval interval = task.ownDays != null
                ? Interval.asWanted(task.ownDays, times, shown)
                : Interval.of(use.days(task.chore), times, shown);
        Instant sinceDone = interval.shown();
        Interval.Due due =
                interval.due(done.isEmpty() ? null : done.get(done.size() - 1).at, task.notBefore, today, zone);
        List<TickView> newest = new ArrayList<>();
        done.forEach(d -> newest.add(0, new TickView(d.id, d.at, d.found, d.note)));
        return new TaskView(
                task.id,
                ChoreKind.of(task.chore, use.days(task.chore)),
                task.name,
                task.ownDays,
                interval.days(),
                use.of(task.chore),
                interval.findings(),
                interval.byLog(),
                sinceDone == null ? null : LocalDate.ofInstant(sinceDone, zone),
                due.on(),
                !due.on().isAfter(today),
                due.putOff(),
                newest);
    }

    private Set<Chore.Needs> has(Tank tank) {
        Setup setup = book.setup(tank);
        Set<Chore.Needs> has = EnumSet.of(Chore.Needs.NOTHING);
        if (setup.skimmer() != null) {
            has.add(Chore.Needs.SKIMMER);
        }
        if (setup.open().stream().anyMatch(path -> path.channel().kind() == Channel.Kind.STONE)) {
            has.add(Chore.Needs.STONE);
        }
        if (setup.intake().isPresent()) {
            has.add(Chore.Needs.HOSE);
        }
        if (doses.doses(tank)) {
            has.add(Chore.Needs.LINE);
        }
        Instant now = clock.instant();
        if (readings.logged(tank, now.minus(LATELY), now).contains(new Logged(Quantity.CO2, Place.ROOM))) {
            has.add(Chore.Needs.ROOM_METER);
        }
        return has;
    }

    @Transactional
    public UUID add(UUID keeperId, UUID tankId, NewChore body) {
        Tank tank = tanks.tank(keeperId, tankId);
        if (tasks.findByTankId(tank.id()).size() >= MOST_TASKS) {
            throw new InputException(
                    "chore",
                    MOST_TASKS,
                    "at most " + MOST_TASKS,
                    "A tank can have at most " + MOST_TASKS + " upkeep tasks.");
        }
        UpkeepTask task = new UpkeepTask();
        task.id = UUID.randomUUID();
        task.tankId = tank.id();
        task.chore = body.chore();
        name(task, body.name(), body.days());
        task.addedAt = clock.instant();
        tasks.save(task);
        if (body.lastDone() != null) {
            keep(tank, task, new NewTick(body.lastDone(), null, ""));
        }
        return task.id;
    }

    private static @Nullable Double days(@Nullable Double own) {
        return own == null ? null : within("days", own, Interval.LEAST_DAYS, Interval.MOST_DAYS, "days");
    }

    @Transactional
    public void edit(UUID keeperId, UUID tankId, UUID id, ChoreEdit body) {
        name(task(tanks.tank(keeperId, tankId), id), body.name(), body.days());
    }

    private static void name(UpkeepTask task, String name, @Nullable Double days) {
        task.name = name.strip();
        task.ownDays = days(days);
        if (task.chore == Chore.OWN) {
            if (task.name.isEmpty()) {
                throw Problem.refused(new FieldError("name", name, "1 to 80 characters", "Enter the task."));
            }
            if (days == null) {
                throw Problem.refused(new FieldError(
                        "days",
                        null,
                        Interval.LEAST_DAYS + " to " + Interval.MOST_DAYS + " days",
                        "Enter the interval in days."));
            }
        }
    }

    @Transactional
    public UUID done(UUID keeperId, UUID tankId, UUID id, NewTick body) {
        Tank tank = tanks.tank(keeperId, tankId);
        UpkeepTask task = task(tank, id);
        if (dones.countByTaskId(task.id) >= MOST_DONE) {
            throw new InputException("at", MOST_DONE, "at most " + MOST_DONE, "Too many entries.");
        }
        return keep(tank, task, body);
    }

    private UUID keep(Tank tank, UpkeepTask task, NewTick body) {
        Instant at = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        UpkeepDone done = new UpkeepDone();
        done.id = UUID.randomUUID();
        done.taskId = task.id;
        done.at = at;
        done.found = body.found();
        done.note = body.note().strip();
        return dones.save(done).id;
    }

    @Transactional
    public void undo(UUID keeperId, UUID tankId, UUID id, UUID doneId) {
        UpkeepTask task = task(tanks.tank(keeperId, tankId), id);
        dones.delete(dones.findByIdAndTaskId(doneId, task.id).orElseThrow(() -> Problem.notFound("note")));
    }

    @Transactional
    public void later(UUID keeperId, UUID tankId, UUID id, Later body) {
        Tank tank = tanks.tank(keeperId, tankId);
        UpkeepTask task = task(tank, id);
        LocalDate today = LocalDate.ofInstant(clock.instant(), tank.home().zone());
        LocalDate until = body.until();
        if (until != null && (until.isBefore(today) || until.isAfter(today.plusYears(FURTHEST_YEARS)))) {
            throw Problem.refused(new FieldError(
                    "until", until.toString(), "today up to two years ahead", "You can’t move this to " + until + "."));
        }
        task.notBefore = until;
    }

    @Transactional
    public void end(UUID keeperId, UUID tankId, UUID id) {
        task(tanks.tank(keeperId, tankId), id).endedAt = clock.instant();
    }

    @Transactional
    public void goOn(UUID keeperId, UUID tankId, UUID id) {
        task(tanks.tank(keeperId, tankId), id).endedAt = null;
    }

    private UpkeepTask task(Tank tank, UUID id) {
        return tasks.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("upkeep"));
    }
}
