package jollytide.server.schedule;

import java.io.IOException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import jollytide.core.schedule.Conflict;
import jollytide.core.schedule.Conflicts;
import jollytide.core.schedule.DayCourse;
import jollytide.core.schedule.Known;
import jollytide.core.schedule.Schedule;
import jollytide.core.schedule.Template;
import jollytide.core.units.InputException;
import jollytide.server.dosing.DosingService;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.schedule.ScheduleDocument.WindowEntry;
import jollytide.server.schedule.ScheduleRuns.RunsOfSchedule;
import jollytide.server.schedule.ScheduleViews.LaneDay;
import jollytide.server.schedule.ScheduleViews.LaneTime;
import jollytide.server.schedule.ScheduleViews.RunAsked;
import jollytide.server.schedule.ScheduleViews.ScheduleConflict;
import jollytide.server.schedule.ScheduleViews.ScheduleDay;
import jollytide.server.schedule.ScheduleViews.ScheduleDayAsked;
import jollytide.server.schedule.ScheduleViews.ScheduleEdit;
import jollytide.server.schedule.ScheduleViews.ScheduleView;
import jollytide.server.schedule.ScheduleViews.TemplateAsked;
import jollytide.server.schedule.ScheduleViews.TemplateView;
import jollytide.server.schedule.ScheduleViews.WindowTimes;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The schedules of tanks. Lines that dose are Doses' own: their times are kept there and only there. */
@Service
@Transactional
public class ScheduleService {
    private static final int FORMAT = 1;
    /** Each goes along with whole schedules; more than so many are read by nobody. */
    private static final int MOST_CONFLICTS = 30;

    /** Media are commonly let in below this. */
    private static final double GATE_PH = 8.2;

    private final StoredSchedules schedules;
    private final TankService tanks;
    private final DosingService doses;
    private final ScheduleRuns runs;
    private final KnownOfDay known;
    private final JsonMapper json;
    private final Clock clock;

    ScheduleService(
            StoredSchedules schedules,
            TankService tanks,
            DosingService doses,
            ScheduleRuns runs,
            KnownOfDay known,
            JsonMapper json,
            Clock clock) {
        this.schedules = schedules;
        this.tanks = tanks;
        this.doses = doses;
        this.runs = runs;
        this.known = known;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    ScheduleView get(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        return view(tank, stored(tank));
    }

    ScheduleView save(UUID keeperId, UUID tankId, ScheduleEdit edit) {
        Tank tank = tanks.tank(keeperId, tankId);
        StoredSchedule stored = stored(tank);
        if (!Objects.equals(stored == null ? null : stored.version, edit.version())) {
            throw Problem.savedElsewhere(view(tank, stored));
        }
        Schedule checked = core(tank, edit.schedule());
        LocalDate today = LocalDate.ofInstant(clock.instant(), tank.home().zone());
        Conflicts.of(checked, today, Known.NOTHING).stream()
                .filter(c -> c.kind().forbids())
                .findFirst()
                .ifPresent(c -> {
                    throw Problem.refused(new FieldError(
                            "schedule", c.kind().name(), "a schedule that always adds air", c.because()));
                });
        lines(tank).retimed(edit.schedule()).forEach((line, times) -> doses.times(keeperId, tank.id(), line, times));
        StoredSchedule row = stored == null ? new StoredSchedule() : stored;
        row.tankId = tank.id();
        row.format = FORMAT;
        row.document = json.convertValue(edit.schedule(), new TypeReference<>() {});
        row.savedAt = clock.instant();
        return view(tank, schedules.saveAndFlush(row));
    }

    /** As the core takes it, refused where it names what is not there. */
    @Transactional(readOnly = true)
    Schedule checked(UUID keeperId, UUID tankId, ScheduleDocument document) {
        return core(tanks.tank(keeperId, tankId), document);
    }

    /** The first schedule of a tank: as it is described, with a template put in. */
    public void begin(UUID keeperId, UUID tankId, Template template) {
        ScheduleDocument first = get(keeperId, tankId).schedule();
        TemplateView fitted = template(keeperId, tankId, template, new TemplateAsked(first, null, null));
        save(keeperId, tankId, new ScheduleEdit(null, fitted.schedule()));
    }

    @Transactional(readOnly = true)
    ScheduleDay day(UUID keeperId, UUID tankId, ScheduleDayAsked asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        Schedule said = core(tank, asked.schedule());
        Schedule schedule = asked.what() == null || asked.what().readings() == null
                ? said
                : said.asIf(asked.what().readings());
        LocalDate day = asked.day() != null ? asked.day() : LocalDate.ofInstant(clock.instant(), schedule.zone());
        if (Math.abs(day.getYear() - 2000) > 100) {
            throw new InputException("day", day.getYear(), "1900 to 2100", "Choose a day closer to today.");
        }
        Known of = known.of(tank, schedule, day, asked.what());
        DayCourse course = DayCourse.of(schedule, day, of);
        // What is planned harms whatever was read on one day.
        Known thought = KnownOfDay.thought(schedule, asked.what());
        Known planned = new Known(Map.of(), of.holds(), thought.cuts(), thought.stuck());
        // What forbids saving comes first.
        List<Conflict> found = Conflicts.of(said, day, planned).stream()
                .sorted(Comparator.comparing((Conflict c) -> !c.kind().forbids()))
                .toList();
        return new ScheduleDay(
                day,
                course.day().from(),
                course.day().until(),
                tank.light().litBetween(course.day().from(), course.day().until(), schedule.zone()).stream()
                        .map(LaneTime::of)
                        .toList(),
                windows(schedule, course),
                course.lanes().stream().map(LaneDay::of).toList(),
                found.stream()
                        .limit(MOST_CONFLICTS)
                        .map(c -> ScheduleConflict.of(c, asked.schedule()))
                        .toList(),
                Math.max(0, found.size() - MOST_CONFLICTS));
    }

    @Transactional(readOnly = true)
    byte[] calendar(UUID keeperId, UUID tankId) throws IOException {
        Tank tank = tanks.tank(keeperId, tankId);
        Schedule saved = current(tank);
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        return ScheduleCalendar.of(tank.name(), saved, LocalDate.ofInstant(now, saved.zone()), now);
    }

    /** What the twin says of it, beside what is saved. No transaction waits meanwhile: a first fit takes its time. */
    @Transactional(propagation = Propagation.NOT_SUPPORTED)
    RunsOfSchedule run(UUID keeperId, UUID tankId, RunAsked asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        Schedule saved = current(tank);
        Schedule schedule = core(tank, asked.schedule());
        return runs.of(tank, schedule, saved, asked.days(), KnownOfDay.thought(schedule, asked.what()));
    }

    @Transactional(readOnly = true)
    TemplateView template(UUID keeperId, UUID tankId, Template template, TemplateAsked asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        // Where the whole band lies lower, media are not to lift the water beyond it.
        double gatePh = Math.min(GATE_PH, tank.band().peakAtMost());
        return TemplateView.of(template.fit(
                core(tank, asked.schedule()),
                new Template.Wishes(
                        gatePh,
                        WindowEntry.season("holidayFrom", asked.holidayFrom()),
                        WindowEntry.season("holidayUntil", asked.holidayUntil()))));
    }

    private static List<WindowTimes> windows(Schedule schedule, DayCourse course) {
        List<WindowTimes> all = new ArrayList<>();
        for (int i = 0; i < schedule.windows().size(); i++) {
            all.add(new WindowTimes(
                    schedule.windows().get(i).id(),
                    course.windows().get(i).stream().map(LaneTime::of).toList()));
        }
        return all;
    }

    private Schedule core(Tank tank, ScheduleDocument document) {
        lines(tank).check(document);
        return document.toCore(tank.home().zone(), tank.light());
    }

    /** Null while none was saved. */
    @Transactional(readOnly = true)
    public @Nullable Schedule saved(Tank tank) {
        StoredSchedule stored = stored(tank);
        return stored == null ? null : core(tank, view(tank, stored).schedule());
    }

    /** The one that is saved, or as the tank is described. */
    @Transactional(readOnly = true)
    Schedule current(Tank tank) {
        return core(tank, view(tank, stored(tank)).schedule());
    }

    private @Nullable StoredSchedule stored(Tank tank) {
        return schedules.findById(tank.id()).orElse(null);
    }

    private ScheduleView view(Tank tank, @Nullable StoredSchedule stored) {
        if (stored == null) {
            ScheduleDocument first = ScheduleDocument.of(FirstSchedule.of(tank, runs.inUse(tank)));
            return new ScheduleView(null, lines(tank).in(first), null);
        }
        ScheduleDocument document = json.convertValue(stored.document, ScheduleDocument.class);
        return new ScheduleView(stored.version, lines(tank).in(document), stored.savedAt);
    }

    private LaneLines lines(Tank tank) {
        return LaneLines.of(doses.lines(tank));
    }
}
