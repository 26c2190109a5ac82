package jollytide.server.outage;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.core.outage.AgainstAmmonia;
import jollytide.core.outage.Backup;
import jollytide.core.outage.KitPlan;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.NightWithoutMains.Reading;
import jollytide.core.outage.Plan;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.Step;
import jollytide.core.outage.StillCool;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.OxygenLines;
import jollytide.server.home.Home;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.outage.OutageNote.NoteKind;
import jollytide.server.outage.OutageViews.KitInUse;
import jollytide.server.outage.OutageViews.Lines;
import jollytide.server.outage.OutageViews.MovedStart;
import jollytide.server.outage.OutageViews.NoteView;
import jollytide.server.outage.OutageViews.OutageView;
import jollytide.server.outage.OutageViews.StepState;
import jollytide.server.outage.OutageViews.StepView;
import jollytide.server.outage.OutageViews.TankClock;
import jollytide.server.reading.ReadingRow;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook.Described;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What an outage shows: each tank's clock, kit and steps, by what was noted. Reads, and changes nothing. */
@Component
class OutageClocks {
    private static final double AHEAD_H = 36;

    /** How long ago an outage may have ended that still tells of the next one. */
    private static final Duration REMEMBERED = Duration.ofDays(7);

    /** After so long without a heater water is as cold as it gets. */
    private static final double COOLS_H = 240;

    private static final Duration SAME_ROOM = Duration.ofHours(12);

    private final OutageBook book;
    private final TankService tanks;
    private final KitService kits;
    private final Failures failures;
    private final Clock clock;

    OutageClocks(OutageBook book, TankService tanks, KitService kits, Failures failures, Clock clock) {
        this.book = book;
        this.tanks = tanks;
        this.kits = kits;
        this.failures = failures;
        this.clock = clock;
    }

    OutageView of(UUID keeperId, Outage outage) {
        List<NoteView> notes = noted(outage);
        Scene scene = scene(keeperId, outage, notes);
        List<TankClock> clocks = new ArrayList<>(
                scene.tanks().parallelStream().map(tank -> clock(tank, scene)).toList());
        clocks.sort(Comparator.comparing((TankClock c) -> !c.gasping())
                .thenComparing(
                        c -> Optional.ofNullable(c.course().danger().early()).orElse(AHEAD_H)));
        return new OutageView(
                outage.id,
                outage.homeId,
                outage.startedAt,
                outage.endedAt,
                outage.cuts,
                nobodyComes(notes),
                outage.beganBefore == null || outage.movedBy == null
                        ? null
                        : new MovedStart(outage.beganBefore, outage.movedBy),
                new Lines(OxygenLines.CAUTION, OxygenLines.DANGER, OxygenLines.LOSS),
                clocks,
                notes);
    }

    /** What is the same for every tank of the home. */
    private record Scene(
            Outage outage,
            List<Tank> tanks,
            List<NoteView> notes,
            List<KitView> kit,
            RunLog runs,
            EnergyUsed used,
            Map<UUID, TankAtFailure> failed,
            Map<UUID, List<Backup>> planned,
            double stoodBeforeH) {}

    private Scene scene(UUID keeperId, Outage outage, List<NoteView> notes) {
        List<KitView> kit = kits.ofHome(outage.homeId);
        List<Tank> all = tanks.ofHome(keeperId, outage.homeId);
        UUID onlyTank = all.size() == 1 ? all.get(0).id() : null;
        RunLog runs = new RunLog(outage.startedAt, notes, kit, onlyTank);
        List<EnergyUsed.Before> before = before(outage);
        EnergyUsed used = EnergyUsed.of(before, kit, onlyTank, outage.startedAt);
        boolean nobody = nobodyComes(notes);
        List<KitView> works = kit.stream()
                .filter(thing -> !runs.failed(thing.id()) && (!nobody || thing.startsItself()))
                .toList();
        Map<UUID, Described> known = failures.describe(all);
        Map<UUID, ReadingRow> oxygen = failures.oxygenBefore(all, outage.startedAt);
        Map<UUID, TankAtFailure> failed = all.parallelStream()
                .collect(Collectors.toConcurrentMap(
                        Tank::id,
                        tank -> struck(
                                tank,
                                Objects.requireNonNull(known.get(tank.id())),
                                oxygen.get(tank.id()),
                                outage,
                                before,
                                withThoseOf(before, outage, notes))));
        Map<UUID, List<Backup>> planned = KitShare.planned(all, failed, works, runs.taken(), used, AHEAD_H);
        double stoodBeforeH = before.stream()
                .filter(o -> o.until().isAfter(outage.startedAt.minus(SAME_ROOM)))
                .mapToDouble(o -> hours(o.from(), o.until()))
                .sum();
        return new Scene(outage, all, notes, kit, runs, used, failed, planned, stoodBeforeH);
    }

    /** Whether the last word is that nobody can go there: then only what starts by itself is planned with. */
    private static boolean nobodyComes(List<NoteView> notes) {
        boolean nobody = false;
        for (NoteView note : notes) {
            nobody = note.kind() == NoteKind.NOBODY_COMES || (nobody && note.kind() != NoteKind.SOMEBODY_COMES);
        }
        return nobody;
    }

    /** Outages that ended lately, in their order. */
    private List<EnergyUsed.Before> before(Outage outage) {
        Instant since = outage.startedAt.minus(REMEMBERED);
        return book.newest(outage.homeId).stream()
                .filter(o -> !o.id.equals(outage.id)
                        && o.endedAt != null
                        && !o.endedAt.isAfter(outage.startedAt)
                        && o.endedAt.isAfter(since))
                .sorted(Comparator.comparing(o -> o.startedAt))
                .map(o -> new EnergyUsed.Before(o.startedAt, o.endedAt, noted(o)))
                .toList();
    }

    /**
     * What was last measured of the room in an outage of these hours still holds, until somebody measures again; a meal in it
     * is still digested.
     */
    private static List<NoteView> withThoseOf(List<EnergyUsed.Before> before, Outage outage, List<NoteView> notes) {
        List<NoteView> all = new ArrayList<>();
        before.stream()
                .filter(o -> o.until().isAfter(outage.startedAt.minus(SAME_ROOM)))
                .flatMap(o -> o.notes().stream())
                .filter(n -> n.kind() == NoteKind.ROOM_TEMPERATURE || n.kind() == NoteKind.FED_NOW)
                .forEach(all::add);
        all.addAll(notes);
        return all;
    }

    private List<NoteView> noted(Outage outage) {
        return book.notes(outage.id).stream()
                .map(n -> new NoteView(n.id, n.tankId, n.at, n.kind, n.ref, n.value, n.text, n.byWhom))
                .toList();
    }

    private TankClock clock(Tank tank, Scene scene) {
        Outage outage = scene.outage();
        RunLog runs = scene.runs();
        TankAtFailure failed = Objects.requireNonNull(scene.failed().get(tank.id()));
        List<Backup> planned = Objects.requireNonNull(scene.planned().get(tank.id()));
        List<NoteView> own = scene.notes().stream().filter(n -> isOf(tank, n)).toList();
        List<KitShare> usable = KitShare.usable(tank, scene.tanks(), scene.kit(), scene.used());
        List<Reading> readings = new ArrayList<>();
        boolean gasping = false;
        Set<AgainstAmmonia> put = EnumSet.noneOf(AgainstAmmonia.class);
        for (NoteView note : own) {
            if (note.kind() == NoteKind.OXYGEN && note.at().isBefore(outage.startedAt)) {
                // One from before the failure is no reading of the outage.
                continue;
            }
            switch (note.kind()) {
                case OXYGEN ->
                    readings.add(new Reading(hours(outage.startedAt, note.at()), Objects.requireNonNull(note.value())));
                case GASPING -> gasping = true;
                case CALM -> gasping = false;
                case SPONGE_IN -> put.add(AgainstAmmonia.SEASONED_SPONGE);
                case BACTERIA_IN -> put.add(AgainstAmmonia.BACTERIA);
                case BINDER_IN -> put.add(AgainstAmmonia.BINDER);
                default -> {
                    // what runs is in the log of runs; steps and words move no prediction
                }
            }
        }
        OxygenCourse course = new NightWithoutMains(failed, runs.at(tank.id(), usable), readings).run(AHEAD_H);
        Plan.Situation situation = failures.situation(
                tank, failed, KitPlan.best(failed, planned, AHEAD_H).running(), course);
        // A canister that stood for some hours lately has those hours behind it.
        double lastedH = hours(outage.startedAt, outage.endedAt == null ? clock.instant() : outage.endedAt)
                + scene.stoodBeforeH();
        return new TankClock(
                tank.id(),
                tank.name(),
                course,
                failed.startMgPerL(),
                failed.startMeasured(),
                failed.room().celsius(),
                failed.fedWithinHours(),
                failed.demandMgPerLPerH(failed.startC(), 0, failed.likely()),
                situation.bucketsPerH(),
                failed.contradictedByItsAnimals(),
                gasping,
                usable.stream()
                        .map(s -> new KitInUse(
                                s.thing().id(),
                                s.thing().description().name(),
                                runs.runsAt(s.thing().id(), tank.id()),
                                runs.failed(s.thing().id()),
                                s.thing().startsItself(),
                                Math.max(0, s.thing().runTime().early() - s.usedH()),
                                Math.max(0, s.thing().runTime().likely() - s.usedH()),
                                s.thing().runTime().tested(),
                                s.left()))
                        .toList(),
                steps(Plan.during(situation), own, usable, runs, tank.id()),
                steps(Plan.after(situation, lastedH, put), own, usable, runs, tank.id()));
    }

    private TankAtFailure struck(
            Tank tank,
            Described known,
            @Nullable ReadingRow oxygen,
            Outage outage,
            List<EnergyUsed.Before> before,
            List<NoteView> notes) {
        Home home = tank.home();
        RoomAround room = RoomAround.expected(home.season().roomC(LocalDate.ofInstant(outage.startedAt, home.zone())));
        Double fedH = null;
        boolean wrapped = false;
        int heatPacks = 0;
        Failures.WaterReading water = null;
        for (NoteView note : notes) {
            if (note.kind() == NoteKind.ROOM_TEMPERATURE) {
                room = RoomAround.known(Objects.requireNonNull(note.value()));
            } else if (note.kind() == NoteKind.FED && isOf(tank, note)) {
                fedH = note.value();
            } else if (note.kind() == NoteKind.FED_NOW && isOf(tank, note)) {
                fedH = Duration.between(note.at(), outage.startedAt).toSeconds() / 3600.0;
            } else if (note.kind() == NoteKind.WRAPPED && isOf(tank, note)) {
                wrapped = true;
            } else if (note.kind() == NoteKind.HEAT_PACKS && isOf(tank, note)) {
                heatPacks = Objects.requireNonNull(note.value()).intValue();
            } else if (note.kind() == NoteKind.WATER_TEMPERATURE && isOf(tank, note)) {
                water = new Failures.WaterReading(
                        hours(outage.startedAt, note.at()), Objects.requireNonNull(note.value()));
            }
        }
        TankAtFailure failed = failures.at(known, outage.startedAt, oxygen, room, fedH, water);
        return (water == null ? failed.after(stillCool(failed, before, outage)) : failed).keptWarm(wrapped, heatPacks);
    }

    /** What outages before took of its warmth, less what its heater brought back between them. */
    private static StillCool stillCool(TankAtFailure failed, List<EnergyUsed.Before> before, Outage outage) {
        StillCool cool = StillCool.NONE;
        Instant heatedFrom = outage.startedAt;
        for (EnergyUsed.Before earlier : before) {
            cool = cool.heated(hours(heatedFrom, earlier.from()));
            cool = new NightWithoutMains(failed.after(cool), List.of(), List.of())
                    .coolAfter(Math.min(COOLS_H, hours(earlier.from(), earlier.until())));
            heatedFrom = earlier.until();
        }
        return cool.heated(hours(heatedFrom, outage.startedAt));
    }

    private static boolean isOf(Tank tank, NoteView note) {
        return note.tankId() == null || note.tankId().equals(tank.id());
    }

    private static double hours(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toSeconds() / 3600.0);
    }

    /** A step that started something is open again once that does not run. */
    private static List<StepView> steps(
            List<Step> steps, List<NoteView> notes, List<KitShare> usable, RunLog runs, UUID tankId) {
        return steps.stream()
                .map(step -> {
                    StepState state = StepState.OPEN;
                    Instant at = null;
                    for (NoteView note : notes) {
                        if (step.id().equals(note.ref())) {
                            switch (note.kind()) {
                                case STEP_DONE -> state = StepState.DONE;
                                case STEP_SKIPPED -> state = StepState.SKIPPED;
                                case STEP_UNDONE -> state = StepState.OPEN;
                                default -> {
                                    continue;
                                }
                            }
                            at = note.at();
                        }
                    }
                    UUID kitId = usable.stream()
                            .map(KitShare::thing)
                            .filter(thing -> thing.description().name().equals(step.starts()))
                            .map(KitView::id)
                            .findFirst()
                            .orElse(null);
                    if (kitId != null && state == StepState.DONE && !runs.runsAt(kitId, tankId)) {
                        state = StepState.OPEN;
                    }
                    return new StepView(step, state, at, kitId);
                })
                .toList();
    }
}
