package jollytide.server.due;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.LineHistory;
import jollytide.core.dosingline.VesselGuard;
import jollytide.server.dosing.DosingService;
import jollytide.server.dosing.DosingViews.LineView;
import jollytide.server.due.Due.Subject;
import jollytide.server.experiment.ExperimentService;
import jollytide.server.home.HomeService;
import jollytide.server.media.MediaService;
import jollytide.server.media.MediaService.FillView;
import jollytide.server.outage.KitDescription;
import jollytide.server.outage.KitService;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.probe.ProbeBook;
import jollytide.server.schedule.HoldService;
import jollytide.server.supplies.SuppliesService;
import jollytide.server.supplies.SuppliesViews.SupplyView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.upkeep.UpkeepService;
import jollytide.server.upkeep.UpkeepViews.TaskView;
import org.springframework.stereotype.Service;

/** Collects what is due: upkeep, orders, tests and dates of the kit, changes of media, reservoirs, probes into their buffers, chosen experiments. */
@Service
class DueService {
    /** A test older than this is no longer one. Common practice: yearly. */
    private static final int TESTED_DAYS = 365;

    private final HomeService homes;
    private final TankService tanks;
    private final KitService kits;
    private final MediaService media;
    private final DosingService doses;
    private final ProbeBook probes;
    private final ExperimentService experiments;
    private final UpkeepService upkeep;
    private final SuppliesService supplies;
    private final Aftermaths aftermaths;
    private final HoldService holds;
    private final Clock clock;

    DueService(
            HomeService homes,
            TankService tanks,
            KitService kits,
            MediaService media,
            DosingService doses,
            ProbeBook probes,
            ExperimentService experiments,
            UpkeepService upkeep,
            SuppliesService supplies,
            Aftermaths aftermaths,
            HoldService holds,
            Clock clock) {
        this.homes = homes;
        this.tanks = tanks;
        this.kits = kits;
        this.media = media;
        this.doses = doses;
        this.probes = probes;
        this.experiments = experiments;
        this.upkeep = upkeep;
        this.supplies = supplies;
        this.aftermaths = aftermaths;
        this.holds = holds;
        this.clock = clock;
    }

    /** What is due at a home, the next first. */
    List<Due> list(UUID keeperId, UUID homeId) {
        ZoneId zone = homes.owned(keeperId, homeId).zone();
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        List<Tank> all = tanks.ofHome(keeperId, homeId);
        List<Due> due = new ArrayList<>();
        if (!all.isEmpty()) {
            UUID any = all.get(0).id();
            kits.list(keeperId, homeId).forEach(item -> ofKit(item, today, any, due));
            for (SupplyView supply : supplies.ordered(keeperId, homeId)) {
                due.add(new Due(
                        "order-" + supply.id(),
                        "Order " + supply.supply().name() + ".",
                        supply.orderBy(),
                        supply.late(),
                        Subject.SUPPLIES,
                        any));
            }
        }
        for (Tank tank : all) {
            for (FillView fill : media.list(keeperId, tank.id()).fills()) {
                if (fill.ahead() != null) {
                    LocalDate on = LocalDate.ofInstant(fill.ahead().changeAt(), zone);
                    String what = "Change the media of " + tank.name() + ".";
                    due.add(new Due("media-" + fill.id(), what, on, !on.isAfter(today), Subject.MEDIA, tank.id()));
                }
            }
            if (doses.wait(tank)) {
                due.add(new Due(
                        "doses-" + tank.id(),
                        tank.name() + ": dosing is on hold since the outage. Check that the return runs, then "
                                + "continue.",
                        today,
                        true,
                        Subject.DOSES,
                        tank.id()));
            }
            holds.over(tank)
                    .forEach((at, lanes) -> due.add(new Due(
                            "hold-" + tank.id() + "-" + at.getEpochSecond(),
                            tank.name() + ": " + String.join(", ", lanes)
                                    + ", held by hand until "
                                    + at.atZone(zone).toLocalTime().truncatedTo(ChronoUnit.MINUTES)
                                    + ". Check that the device runs again.",
                            LocalDate.ofInstant(at, zone),
                            true,
                            Subject.SCHEDULE,
                            tank.id())));
            due.addAll(aftermaths.of(tank));
            for (TaskView task : upkeep.due(tank)) {
                String shown = task.shownSince() == null ? "" : ": the log shows a weaker skimmer";
                due.add(new Due(
                        "upkeep-" + task.id(),
                        tank.name() + ": " + task.title() + shown + ".",
                        task.due(),
                        task.late(),
                        Subject.UPKEEP,
                        tank.id()));
            }
            doses.lines(keeperId, tank.id()).forEach(line -> ofLine(tank, line, zone, today, due));
        }
        probes.of(all).forEach((tankId, probe) -> {
            Instant at = probe.due();
            if (at != null) {
                LocalDate on = LocalDate.ofInstant(at, zone);
                due.add(new Due(
                        "probe-" + tankId,
                        "Calibrate the pH probe of " + name(all, tankId) + ".",
                        on,
                        !on.isAfter(today),
                        Subject.PROBE,
                        tankId));
            }
        });
        for (ExperimentService.Ahead ahead : experiments.ahead(all)) {
            ZonedDateTime at = (ahead.running() ? ahead.until() : ahead.from()).atZone(zone);
            due.add(new Due(
                    "experiment-" + ahead.id(),
                    name(all, ahead.tankId()) + ": " + step(ahead)
                            + at.toLocalTime().truncatedTo(ChronoUnit.MINUTES) + ".",
                    at.toLocalDate(),
                    !at.toLocalDate().isAfter(today),
                    Subject.EXPERIMENT,
                    ahead.tankId(),
                    new Due.Hours(ahead.from(), ahead.until())));
        }
        due.sort(Comparator.comparing((Due d) -> d.subject() != Subject.SPIKE)
                .thenComparing(Due::on)
                .thenComparing(Due::what));
        return due;
    }

    private static String step(ExperimentService.Ahead ahead) {
        return switch (ahead.stops()) {
            case SKIMMER -> ahead.running() ? "skimmer on again at " : "skimmer off at ";
            case LAMPS -> ahead.running() ? "lamps back on the timer after " : "lamps off from ";
            case NOTHING -> ahead.running() ? "measurement ends at " : "measurement starts at ";
        };
    }

    /** On the early side: an empty vessel draws air. */
    private void ofLine(Tank tank, LineView line, ZoneId zone, LocalDate today, List<Due> due) {
        if (line.endedAt() != null) {
            return;
        }
        String name = tank.name() + ", " + line.name();
        if (line.state() == LineHistory.State.SHORT || line.state() == LineHistory.State.TOO_MUCH) {
            String what = line.state() == LineHistory.State.SHORT
                    ? name + ": less than planned arrives. Check the dosing line."
                    : name + ": more than planned arrives. Stop the pump and check.";
            due.add(new Due("line-" + line.id(), what, today, true, Subject.DOSES, tank.id()));
        }
        boolean guarded = new VesselGuard(line.siphon(), line.stuck()).holds();
        if (line.emptied() != null && line.emptied().kills() && !guarded) {
            due.add(new Due(
                    "guard-" + line.id(),
                    name + ": describe what keeps this vessel from emptying at once. It would kill animals.",
                    today,
                    true,
                    Subject.DOSES,
                    tank.id()));
        }
        if (line.daysLeft() != null) {
            LocalDate on = LocalDate.ofInstant(
                    clock.instant()
                            .plus(Duration.ofHours((long) (24 * line.daysLeft().low()))),
                    zone);
            due.add(new Due(
                    "refill-" + line.id(), name + ": refill.", on, !on.isAfter(today), Subject.DOSES, tank.id()));
        }
    }

    private static String name(List<Tank> all, UUID id) {
        return all.stream()
                .filter(t -> t.id().equals(id))
                .findFirst()
                .orElseThrow()
                .name();
    }

    private static void ofKit(KitView item, LocalDate today, UUID tankId, List<Due> due) {
        KitDescription d = item.description();
        if (d.testedHours() == null) {
            String what = d.name() + ": never tested. Pull its plug, watch it run, note the hours.";
            due.add(new Due("test-" + item.id(), what, today, true, Subject.KIT, tankId));
        } else if (d.testedOn() != null) {
            LocalDate on = d.testedOn().plusDays(TESTED_DAYS);
            String what = d.name() + ": yearly test at the real load.";
            due.add(new Due("test-" + item.id(), what, on, !on.isAfter(today), Subject.KIT, tankId));
        }
        if (d.expires() != null) {
            boolean late = d.expires().isBefore(today);
            String what = d.name() + (late ? ": expired, replace it." : ": expires.");
            due.add(new Due("expires-" + item.id(), what, d.expires(), late, Subject.KIT, tankId));
        }
    }
}
