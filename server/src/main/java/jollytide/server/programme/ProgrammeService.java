package jollytide.server.programme;

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
import jollytide.core.programme.Conflict;
import jollytide.core.programme.Conflicts;
import jollytide.core.programme.DayCourse;
import jollytide.core.programme.Known;
import jollytide.core.programme.Programme;
import jollytide.core.programme.Template;
import jollytide.core.units.InputException;
import jollytide.server.dose.DoseService;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.programme.ProgrammeDocument.WindowEntry;
import jollytide.server.programme.ProgrammeRuns.RunsOfProgramme;
import jollytide.server.programme.ProgrammeViews.LaneDay;
import jollytide.server.programme.ProgrammeViews.LaneTime;
import jollytide.server.programme.ProgrammeViews.ProgrammeConflict;
import jollytide.server.programme.ProgrammeViews.ProgrammeDay;
import jollytide.server.programme.ProgrammeViews.ProgrammeDayAsked;
import jollytide.server.programme.ProgrammeViews.ProgrammeEdit;
import jollytide.server.programme.ProgrammeViews.ProgrammeView;
import jollytide.server.programme.ProgrammeViews.RunAsked;
import jollytide.server.programme.ProgrammeViews.TemplateAsked;
import jollytide.server.programme.ProgrammeViews.TemplateView;
import jollytide.server.programme.ProgrammeViews.WindowTimes;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The programmes of tanks. Lines that dose are Doses' own: their times are kept there and only there. */
@Service
@Transactional
public class ProgrammeService {
    private static final int FORMAT = 1;
    /** Each goes along with whole programmes; more than so many are read by nobody. */
    private static final int MOST_CONFLICTS = 30;

    /** Media are commonly let in below this. */
    private static final double GATE_PH = 8.2;

    private final StoredProgrammes programmes;
    private final TankService tanks;
    private final DoseService doses;
    private final ProgrammeRuns runs;
    private final KnownOfDay known;
    private final JsonMapper json;
    private final Clock clock;

    ProgrammeService(
            StoredProgrammes programmes,
            TankService tanks,
            DoseService doses,
            ProgrammeRuns runs,
            KnownOfDay known,
            JsonMapper json,
            Clock clock) {
        this.programmes = programmes;
        this.tanks = tanks;
        this.doses = doses;
        this.runs = runs;
        this.known = known;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    ProgrammeView get(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        return view(tank, stored(tank));
    }

    ProgrammeView save(UUID keeperId, UUID tankId, ProgrammeEdit edit) {
        Tank tank = tanks.tank(keeperId, tankId);
        StoredProgramme stored = stored(tank);
        if (!Objects.equals(stored == null ? null : stored.version, edit.version())) {
            throw Problem.savedElsewhere(view(tank, stored));
        }
        Programme checked = core(tank, edit.programme());
        LocalDate today = LocalDate.ofInstant(clock.instant(), tank.home().zone());
        Conflicts.of(checked, today, Known.NOTHING).stream()
                .filter(c -> c.kind().forbids())
                .findFirst()
                .ifPresent(c -> {
                    throw Problem.refused(new FieldError(
                            "programme", c.kind().name(), "one that keeps the animals in air", c.because()));
                });
        lines(tank).retimed(edit.programme()).forEach((line, times) -> doses.times(keeperId, tank.id(), line, times));
        StoredProgramme row = stored == null ? new StoredProgramme() : stored;
        row.tankId = tank.id();
        row.format = FORMAT;
        row.document = json.convertValue(edit.programme(), new TypeReference<>() {});
        row.savedAt = clock.instant();
        return view(tank, programmes.saveAndFlush(row));
    }

    /** As the core takes it, refused where it names what is not there. */
    @Transactional(readOnly = true)
    Programme checked(UUID keeperId, UUID tankId, ProgrammeDocument document) {
        return core(tanks.tank(keeperId, tankId), document);
    }

    /** The first programme of a tank: as it is described, with a template put in. */
    public void begin(UUID keeperId, UUID tankId, Template template) {
        ProgrammeDocument first = get(keeperId, tankId).programme();
        TemplateView fitted = template(keeperId, tankId, template, new TemplateAsked(first, null, null));
        save(keeperId, tankId, new ProgrammeEdit(null, fitted.programme()));
    }

    @Transactional(readOnly = true)
    ProgrammeDay day(UUID keeperId, UUID tankId, ProgrammeDayAsked asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        Programme said = core(tank, asked.programme());
        Programme programme = asked.what() == null || asked.what().readings() == null
                ? said
                : said.asIf(asked.what().readings());
        LocalDate day = asked.day() != null ? asked.day() : LocalDate.ofInstant(clock.instant(), programme.zone());
        if (Math.abs(day.getYear() - 2000) > 100) {
            throw new InputException("day", day.getYear(), "1900 to 2100", "That is too far away.");
        }
        Known of = known.of(tank, programme, day, asked.what());
        DayCourse course = DayCourse.of(programme, day, of);
        // What is planned harms whatever was read on one day.
        Known thought = KnownOfDay.thought(programme, asked.what());
        Known planned = new Known(Map.of(), of.holds(), thought.cuts(), thought.stuck());
        // What forbids saving comes first.
        List<Conflict> found = Conflicts.of(said, day, planned).stream()
                .sorted(Comparator.comparing((Conflict c) -> !c.kind().forbids()))
                .toList();
        return new ProgrammeDay(
                day,
                course.day().from(),
                course.day().until(),
                tank.light().litBetween(course.day().from(), course.day().until(), programme.zone()).stream()
                        .map(LaneTime::of)
                        .toList(),
                windows(programme, course),
                course.lanes().stream().map(LaneDay::of).toList(),
                found.stream()
                        .limit(MOST_CONFLICTS)
                        .map(c -> ProgrammeConflict.of(c, asked.programme()))
                        .toList(),
                Math.max(0, found.size() - MOST_CONFLICTS));
    }

    @Transactional(readOnly = true)
    byte[] calendar(UUID keeperId, UUID tankId) throws IOException {
        Tank tank = tanks.tank(keeperId, tankId);
        Programme saved = current(tank);
        Instant now = clock.instant().truncatedTo(ChronoUnit.SECONDS);
        return ProgrammeCalendar.of(tank.name(), saved, LocalDate.ofInstant(now, saved.zone()), now);
    }

    /** What the twin says of it, beside what is saved. No transaction waits meanwhile: a first fit takes its time. */
    @Transactional(propagation = Propagation.NOT_SUPPORTED)
    RunsOfProgramme run(UUID keeperId, UUID tankId, RunAsked asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        Programme saved = current(tank);
        Programme programme = core(tank, asked.programme());
        return runs.of(tank, programme, saved, asked.days(), KnownOfDay.thought(programme, asked.what()));
    }

    @Transactional(readOnly = true)
    TemplateView template(UUID keeperId, UUID tankId, Template template, TemplateAsked asked) {
        Tank tank = tanks.tank(keeperId, tankId);
        // Where the whole band lies lower, media are not to lift the water beyond it.
        double gatePh = Math.min(GATE_PH, tank.band().peakAtMost());
        return TemplateView.of(template.fit(
                core(tank, asked.programme()),
                new Template.Wishes(
                        gatePh,
                        WindowEntry.season("holidayFrom", asked.holidayFrom()),
                        WindowEntry.season("holidayUntil", asked.holidayUntil()))));
    }

    private static List<WindowTimes> windows(Programme programme, DayCourse course) {
        List<WindowTimes> all = new ArrayList<>();
        for (int i = 0; i < programme.windows().size(); i++) {
            all.add(new WindowTimes(
                    programme.windows().get(i).id(),
                    course.windows().get(i).stream().map(LaneTime::of).toList()));
        }
        return all;
    }

    private Programme core(Tank tank, ProgrammeDocument document) {
        lines(tank).check(document);
        return document.toCore(tank.home().zone(), tank.light());
    }

    /** Null while none was saved. */
    @Transactional(readOnly = true)
    public @Nullable Programme saved(Tank tank) {
        StoredProgramme stored = stored(tank);
        return stored == null ? null : core(tank, view(tank, stored).programme());
    }

    /** The one that is saved, or as the tank is described. */
    @Transactional(readOnly = true)
    Programme current(Tank tank) {
        return core(tank, view(tank, stored(tank)).programme());
    }

    private @Nullable StoredProgramme stored(Tank tank) {
        return programmes.findById(tank.id()).orElse(null);
    }

    private ProgrammeView view(Tank tank, @Nullable StoredProgramme stored) {
        if (stored == null) {
            ProgrammeDocument first = ProgrammeDocument.of(FirstProgramme.of(tank, runs.inUse(tank)));
            return new ProgrammeView(null, lines(tank).in(first), null);
        }
        ProgrammeDocument document = json.convertValue(stored.document, ProgrammeDocument.class);
        return new ProgrammeView(stored.version, lines(tank).in(document), stored.savedAt);
    }

    private LaneLines lines(Tank tank) {
        return LaneLines.of(doses.lines(tank));
    }
}
