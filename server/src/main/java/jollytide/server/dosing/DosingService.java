package jollytide.server.dosing;

import static jollytide.core.units.Quantities.within;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.Creep;
import jollytide.core.dosingline.Cylinder;
import jollytide.core.dosingline.DosePlan;
import jollytide.core.dosingline.DoseTimes;
import jollytide.core.dosingline.DosedLine;
import jollytide.core.dosingline.Hold;
import jollytide.core.dosingline.LineHistory.State;
import jollytide.core.dosingline.LineRules;
import jollytide.core.dosingline.MixingCard;
import jollytide.core.dosingline.NextStep;
import jollytide.core.dosingline.SingleDose;
import jollytide.core.dosingline.SingleDose.Addition;
import jollytide.core.dosingline.Solution;
import jollytide.core.dosingline.Use;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.units.InputException;
import jollytide.server.dosing.DosingViews.ClockedDoses;
import jollytide.server.dosing.DosingViews.CreepView;
import jollytide.server.dosing.DosingViews.DosingView;
import jollytide.server.dosing.DosingViews.HoldView;
import jollytide.server.dosing.DosingViews.LineView;
import jollytide.server.dosing.DosingViews.NewGuard;
import jollytide.server.dosing.DosingViews.NewLine;
import jollytide.server.dosing.DosingViews.NewLineNote;
import jollytide.server.dosing.DosingViews.NewPlace;
import jollytide.server.dosing.DosingViews.NewPlan;
import jollytide.server.dosing.DosingViews.NewTimes;
import jollytide.server.dosing.DosingViews.NoteOfLine;
import jollytide.server.dosing.DosingViews.UseView;
import jollytide.server.dosing.LineBook.Known;
import jollytide.server.home.LocalTimes;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the lines that dose a tank, and says what arrives of what they are planned to bring. */
@Service
public class DosingService {
    private static final int USE_DAYS = 28;
    private static final double A_LITRE = 1000;
    private static final int MOST_LINES = 20;
    private static final int MOST_NOTES = 2000;
    private static final Duration REMEMBERED = Duration.ofDays(30);
    private static final Duration UNDONE_WITHIN = Duration.ofMinutes(10);

    private final DosingLines lines;
    private final LineNotes notes;
    private final LineBook book;
    private final HandBook byHand;
    private final KnownUses uses;
    private final TankService tanks;
    private final ReadingService readings;
    private final PlanRules plans;
    private final Holds holds;
    private final Clock clock;

    DosingService(
            DosingLines lines,
            LineNotes notes,
            LineBook book,
            HandBook byHand,
            KnownUses uses,
            TankService tanks,
            ReadingService readings,
            PlanRules plans,
            Holds holds,
            Clock clock) {
        this.lines = lines;
        this.notes = notes;
        this.book = book;
        this.byHand = byHand;
        this.uses = uses;
        this.tanks = tanks;
        this.readings = readings;
        this.plans = plans;
        this.holds = holds;
        this.clock = clock;
    }

    public DosingView list(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        List<Known> all = book.of(tank);
        List<DosingLine> kept = all.stream().map(Known::line).toList();
        LineRules rules = plans.rules(tank);
        double litres = rules.litres();
        Instant now = clock.instant();
        UseView use = use(tank, all.stream().map(Known::dosed).toList(), litres);
        // As planned, though a hold may last: by what arrives of each plan.
        double arriving = all.stream()
                        .mapToDouble(known -> known.line().meqPerDay(now)
                                * known.dosed().share().value())
                        .sum()
                / litres;
        return new DosingView(
                all.stream()
                        .map(known -> view(
                                known,
                                litres,
                                rules.emptied(known.line().solution(), known.line().vesselMl),
                                PlanRules.stopped(rules, known.line(), kept, now),
                                next(rules, known, kept, use.alkalinity(), arriving, now)))
                        .toList(),
                use,
                rules.evaporationLPerDay(),
                uses.evaporated(tank) != null,
                CreepView.of(
                        Creep.of(
                                all.stream()
                                        .map(known -> known.line()
                                                .planned(known.line().schedule().mlPerDay(now)))
                                        .toList(),
                                litres),
                        plans.potassium(tank, litres, now)),
                HoldView.of(holds.now(tank)));
    }

    /**
     * Of a line that is as planned: one that falls short is mended first. Of several it is the one that brings most, for what
     * is missing is missing once.
     */
    private static @Nullable NextStep next(
            LineRules rules, Known known, List<DosingLine> kept, @Nullable Use use, double arriving, Instant now) {
        State state = known.history().state(known.dosed());
        boolean healthy = state == State.AS_PLANNED || state == State.NOT_KNOWN;
        boolean bringsMost = kept.stream()
                .max(Comparator.comparingDouble((DosingLine l) -> l.meqPerDay(now))
                        .thenComparing(l -> l.id))
                .filter(most -> most.id.equals(known.line().id))
                .isPresent();
        return use == null || known.line().endedAt != null || !healthy || !bringsMost
                ? null
                : NextStep.of(
                        use,
                        arriving,
                        known.line().planned(known.line().schedule().mlPerDay(now)),
                        rules.with(PlanRules.others(known.line(), kept, now)));
    }

    /** The lines alone, those in use first. */
    public List<LineView> lines(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        List<Known> all = book.of(tank);
        boolean asked = all.stream()
                .anyMatch(known ->
                        known.line().endedAt == null && !known.line().guard().holds());
        LineRules rules = asked ? plans.rules(tank) : null;
        return all.stream()
                .map(known -> view(
                        known,
                        tank.netVolumeL(),
                        rules == null || known.line().endedAt != null
                                ? null
                                : rules.emptied(known.line().solution(), known.line().vesselMl),
                        List.of(),
                        null))
                .toList();
    }

    /** Whether any line doses a tank. */
    public boolean doses(Tank tank) {
        return lines.findAllOf(tank.id()).stream().anyMatch(line -> line.endedAt == null);
    }

    /** As planned and as their reservoirs show them, those that have ended, too. */
    public List<DosedLine> dosed(Tank tank) {
        return book.of(tank).stream().map(Known::dosed).toList();
    }

    /** What was put in at once, in no order. */
    public List<SingleDose> byHand(Tank tank) {
        return byHand.of(tank);
    }

    /** Of a powder, as it is bought: what lines take as they are planned, and what was put in by hand of late. */
    public double powderGPerDay(Tank tank, Solution.Solute solute) {
        Instant now = clock.instant();
        double lined = lines.findAllOf(tank.id()).stream()
                .filter(line -> line.solute == solute && line.endedAt == null)
                .mapToDouble(line -> {
                    double mlPerDay = line.schedule().mlPerDay(now);
                    return MixingCard.of(line.name, line.solution(), A_LITRE, A_LITRE, mlPerDay, line.place, 1)
                                    .grams()
                            * mlPerDay
                            / A_LITRE;
                })
                .sum();
        Instant since = now.minus(Duration.ofDays(USE_DAYS));
        double byHandMol = byHand.of(tank).stream()
                .filter(dose -> dose.at().isAfter(since))
                .mapToDouble(dose -> dose instanceof Addition a && a.what() == solute ? a.mol() : 0)
                .sum();
        return lined + byHandMol * solute.gramsPerMol() / USE_DAYS;
    }

    @Transactional
    public UUID add(UUID keeperId, UUID tankId, NewLine body) {
        Tank tank = tanks.tank(keeperId, tankId);
        if (lines.findAllOf(tank.id()).size() >= MOST_LINES) {
            throw new InputException(
                    "name",
                    MOST_LINES,
                    "at most " + MOST_LINES,
                    "A tank can have at most " + MOST_LINES + " dosing lines.");
        }
        lines.deleteAll(lines.findByTankIdAndForgottenAtBefore(
                tank.id(), clock.instant().minus(REMEMBERED)));
        within("share", body.share(), 0.01, 1, "of what dissolves");
        DosingLine line = new DosingLine();
        line.id = UUID.randomUUID();
        line.tankId = tank.id();
        line.name = body.name().strip();
        line.solute = body.solute();
        line.molPerL = body.share() * body.solute().mostMolPerL();
        line.vesselMl = within("vesselMl", body.vesselMl(), 10, 500_000, "mL");
        line.areaCm2 = body.areaCm2() == null ? null : within("areaCm2", body.areaCm2(), 1, 100_000, "cm²");
        line.emptyG = body.emptyG() == null ? null : within("emptyG", body.emptyG(), 1, 100_000, "g");
        set(line, body.times());
        line.place = body.place() == null ? "" : body.place().strip();
        line.siphon = body.siphon();
        line.stuck = body.stuck();
        plans.mayStart(tank, line);
        plan(tank, line, new NewPlan(body.at(), body.mlPerDay()));
        return lines.save(line).id;
    }

    @Transactional
    public void plan(UUID keeperId, UUID tankId, UUID lineId, NewPlan body) {
        Tank tank = tanks.tank(keeperId, tankId);
        plan(tank, line(tank, lineId), body);
    }

    @Transactional
    public void times(UUID keeperId, UUID tankId, UUID lineId, NewTimes body) {
        Tank tank = tanks.tank(keeperId, tankId);
        DosingLine line = line(tank, lineId);
        set(line, body.times());
        mayGoOn(tank, line);
    }

    @Transactional
    public void place(UUID keeperId, UUID tankId, UUID lineId, NewPlace body) {
        Tank tank = tanks.tank(keeperId, tankId);
        DosingLine line = line(tank, lineId);
        line.place = body.place().strip();
        mayGoOn(tank, line);
    }

    /** What keeps its vessel from emptying at once. A line that runs keeps running, whatever the answer is. */
    @Transactional
    public void guard(UUID keeperId, UUID tankId, UUID lineId, NewGuard body) {
        DosingLine line = line(tanks.tank(keeperId, tankId), lineId);
        line.siphon = body.siphon();
        line.stuck = body.stuck();
    }

    private void mayGoOn(Tank tank, DosingLine line) {
        Instant now = clock.instant();
        plans.mayBring(tank, line, line.schedule().mostMlPerDay(now), now);
    }

    private static void set(DosingLine line, @Nullable ClockedDoses times) {
        DoseTimes checked = times == null ? null : times.toCore();
        line.dosesPerDay = checked == null ? null : Integer.valueOf(checked.perDay());
        line.firstAt = checked == null ? null : checked.first().toString();
        line.overH = checked == null ? null : Double.valueOf(checked.overH());
    }

    /** @param ml to be mixed, for one filling or several; null for a whole vessel */
    @Transactional(readOnly = true)
    public MixingCard card(UUID keeperId, UUID tankId, UUID lineId, @Nullable Double ml, @Nullable Double assay) {
        DosingLine line = line(tanks.tank(keeperId, tankId), lineId);
        return MixingCard.of(
                line.name,
                line.solution(),
                ml == null ? line.vesselMl : ml,
                line.vesselMl,
                line.schedule().mlPerDay(clock.instant()),
                line.place,
                assay == null ? 1 : assay);
    }

    /** After an outage: the return runs, and somebody saw that. */
    @Transactional
    public void goOn(UUID keeperId, UUID tankId) {
        holds.release(tanks.tank(keeperId, tankId));
    }

    /**
     * @param times null for one that drips all day
     * @param meqPerDay of alkalinity, as planned today; {@code mlPerDay} of its solution
     */
    public record LineOfTank(
            UUID id,
            String name,
            Solution.Solute solute,
            @Nullable ClockedDoses times,
            double meqPerDay,
            double mlPerDay) {}

    /** The lines of a tank that have not ended. */
    @Transactional(readOnly = true)
    public List<LineOfTank> lines(Tank tank) {
        Instant now = clock.instant();
        return lines.findAllOf(tank.id()).stream()
                .filter(line -> line.endedAt == null)
                .map(line -> new LineOfTank(
                        line.id,
                        line.name,
                        line.solute,
                        ClockedDoses.of(line.times()),
                        line.meqPerDay(now),
                        line.schedule().mlPerDay(now)))
                .toList();
    }

    /** When the mains were away, and until when doses waited after that. */
    public List<Hold> held(Tank tank) {
        return holds.of(tank);
    }

    /** Whether doses of a tank wait for somebody to look. */
    public boolean wait(Tank tank) {
        return holds.now(tank) != null && doses(tank);
    }

    private void plan(Tank tank, DosingLine line, NewPlan body) {
        within("mlPerDay", body.mlPerDay(), 0, 100_000, "mL/day");
        Instant since = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        // Less than before is never refused, whatever it still breaks.
        if (line.plans.isEmpty() || body.mlPerDay() > line.schedule().mlPerDay(since)) {
            plans.mayBring(tank, line, body.mlPerDay(), since);
        }
        line.plans.removeIf(p -> p.since.equals(since));
        line.plans.add(new DosingLine.Planned(since, body.mlPerDay()));
    }

    @Transactional
    public UUID note(UUID keeperId, UUID tankId, UUID lineId, NewLineNote body) {
        Tank tank = tanks.tank(keeperId, tankId);
        DosingLine line = line(tank, lineId);
        List<LineNote> before = book.noted(List.of(line.id));
        if (before.size() >= MOST_NOTES) {
            throw new InputException(
                    "at", MOST_NOTES, "at most " + MOST_NOTES, "This dosing line has too many " + "entries.");
        }
        Instant at = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        return notes.save(NewNote.of(line, before, body, at)).id;
    }

    @Transactional
    public void forget(UUID keeperId, UUID tankId, UUID lineId, UUID noteId) {
        DosingLine line = line(tanks.tank(keeperId, tankId), lineId);
        notes.delete(notes.findByIdAndLineId(noteId, line.id).orElseThrow(() -> Problem.notFound("note")));
    }

    @Transactional
    public void end(UUID keeperId, UUID tankId, UUID lineId) {
        line(tanks.tank(keeperId, tankId), lineId).endedAt = clock.instant();
    }

    /**
     * Undo of an end, unless other lines have taken its place meanwhile; a line that goes on later than that has dosed
     * nothing in between.
     */
    @Transactional
    public void reopen(UUID keeperId, UUID tankId, UUID lineId) {
        Tank tank = tanks.tank(keeperId, tankId);
        DosingLine line = line(tank, lineId);
        Instant now = clock.instant();
        Instant ended = line.endedAt;
        line.endedAt = null;
        if (ended != null && Duration.between(ended, now).compareTo(UNDONE_WITHIN) > 0) {
            double mlPerDay = line.schedule().mlPerDay(now);
            line.plans.add(new DosingLine.Planned(ended, 0));
            line.plans.add(new DosingLine.Planned(now, mlPerDay));
        }
        mayGoOn(tank, line);
    }

    @Transactional
    public void delete(UUID keeperId, UUID tankId, UUID lineId) {
        DosingLine line = line(tanks.tank(keeperId, tankId), lineId);
        if (line.endedAt == null) {
            line.endedAt = clock.instant();
        }
        line.forgottenAt = clock.instant();
    }

    /** Undo of that: it is there again, and has ended. */
    @Transactional
    public void remember(UUID keeperId, UUID tankId, UUID lineId) {
        line(tanks.tank(keeperId, tankId), lineId).forgottenAt = null;
    }

    private DosingLine line(Tank tank, UUID id) {
        return lines.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("line"));
    }

    private LineView view(
            Known known,
            double litres,
            LineRules.@Nullable Emptied emptied,
            List<String> stopped,
            @Nullable NextStep next) {
        DosingLine line = known.line();
        List<LineNote> noted = known.noted();
        DosedLine dosed = known.dosed();
        State state = known.history().state(dosed);
        Cylinder cylinder = dosed.newestCylinder();
        // What is planned, also while a hold lasts.
        double mlPerDay = line.schedule().mlPerDay(clock.instant());
        return new LineView(
                line.id,
                line.version,
                line.name,
                line.solute,
                line.molPerL,
                line.molPerL / line.solute.mostMolPerL(),
                line.vesselMl,
                line.areaCm2,
                line.emptyG,
                line.plans.stream()
                        .map(p -> new DosePlan.DailyDose(p.since, p.mlPerDay))
                        .toList(),
                mlPerDay,
                ClockedDoses.of(line.times()),
                line.place,
                line.siphon,
                line.stuck,
                emptied,
                stopped,
                line.solution().meqPerMl() * mlPerDay / litres,
                line.solution().calciumMgPerMl() * mlPerDay / litres,
                noted.stream()
                        .map(n -> new NoteOfLine(n.id, n.at, n.kind, n.ml, n.askedMl, n.note))
                        .toList(),
                dosed.runs(),
                state,
                dosed.seenShare(),
                cylinder == null ? null : cylinder.share(),
                dosed.daysLeft(clock.instant()),
                state == State.SHORT
                        ? known.history().lookFor(clock.instant(), known.dosed().schedule())
                        : List.of(),
                next,
                line.endedAt);
    }

    private UseView use(Tank tank, List<DosedLine> all, double litres) {
        Duration window = Duration.ofDays(USE_DAYS);
        Use.Arrivals meq = DosedLine.arrivals(all, solution -> solution.meqPerMl() / litres);
        Use.Arrivals calciumMg = DosedLine.arrivals(all, solution -> solution.calciumMgPerMl() / litres);
        Use alkalinity = Use.of(read(tank, Quantity.ALKALINITY, window), meq, Use.ALKALINITY_TEST);
        Use calcium = Use.of(read(tank, Quantity.CALCIUM, window), calciumMg, Use.CALCIUM_TEST);
        return new UseView(USE_DAYS, alkalinity, calcium, Use.calciumPerMeq(calcium, alkalinity));
    }

    private List<Reading> read(Tank tank, Quantity quantity, Duration back) {
        Instant now = clock.instant();
        List<Reading> tests = readings.observed(tank, quantity, Place.TANK, now.minus(back), now, 1).stream()
                .map(o -> new Reading(o.at(), o.value()))
                .toList();
        return SingleDose.without(tests, byHand.of(tank), quantity);
    }
}
