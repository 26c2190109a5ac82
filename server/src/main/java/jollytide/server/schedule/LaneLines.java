package jollytide.server.schedule;

import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.schedule.LaneKind;
import jollytide.core.schedule.LaneState.Does;
import jollytide.server.dosing.DosingService.LineOfTank;
import jollytide.server.dosing.DosingViews.NewTimes;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.schedule.ScheduleDocument.DosesEntry;
import jollytide.server.schedule.ScheduleDocument.LaneEntry;
import jollytide.server.schedule.ScheduleDocument.RuleEntry;
import jollytide.server.schedule.ScheduleDocument.RuleKind;
import jollytide.server.schedule.ScheduleDocument.StateEntry;
import jollytide.server.schedule.ScheduleDocument.WindowEntry;

/** The lines of a tank as lanes of its schedule: what they bring, and when, is kept in Doses and only there. */
record LaneLines(Map<String, LineOfTank> byId) {
    private static final StateEntry OFF = new StateEntry(Does.OFF, null, null, null);
    private static final StateEntry ON = new StateEntry(Does.ON, null, null, null);

    static LaneLines of(List<LineOfTank> lines) {
        return new LaneLines(
                lines.stream().collect(Collectors.toMap(line -> line.id().toString(), Function.identity())));
    }

    /** Lines' ids are the only ones that are made by this machine. */
    private static boolean isLine(String id) {
        return id.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    }

    private boolean gone(String lane) {
        return isLine(lane) && !byId.containsKey(lane);
    }

    /** That no lane is a line which the tank does not have. */
    void check(ScheduleDocument document) {
        document.lanes().stream().filter(lane -> gone(lane.id())).findFirst().ifPresent(lane -> {
            throw Problem.refused(new FieldError(
                    "lanes",
                    lane.id(),
                    "dosing lines of this tank, and devices with other ids",
                    "Dosing has no line “" + lane.name() + "”. Remove the device or add the dosing line first."));
        });
    }

    /** Lines whose doses a schedule makes at other times. */
    Map<UUID, NewTimes> retimed(ScheduleDocument document) {
        Map<UUID, NewTimes> all = new LinkedHashMap<>();
        for (LaneEntry lane : document.lanes()) {
            LineOfTank line = byId.get(lane.id());
            DosesEntry wanted = lane.doses();
            if (line != null && wanted != null && !Objects.equals(line.times(), wanted.times())) {
                all.put(line.id(), new NewTimes(wanted.times()));
            }
        }
        return all;
    }

    /** A schedule with the lines as they are now: those that have ended leave, new ones may dose all day. */
    ScheduleDocument in(ScheduleDocument kept) {
        Set<String> there = kept.lanes().stream().map(LaneEntry::id).collect(Collectors.toCollection(HashSet::new));
        List<LineOfTank> fresh = byId.values().stream()
                .filter(line -> there.add(line.id().toString()))
                .sorted(Comparator.comparing(LineOfTank::name))
                .toList();
        boolean allDay =
                fresh.isEmpty() || kept.windows().stream().anyMatch(w -> w.id().equals(FirstSchedule.ALL_DAY.id()));
        return new ScheduleDocument(
                Stream.concat(
                                kept.lanes().stream()
                                        .filter(lane -> !gone(lane.id()))
                                        .map(this::asNow),
                                fresh.stream().map(line -> lane(line, OFF, OFF)))
                        .toList(),
                Stream.concat(
                                kept.windows().stream(),
                                allDay ? Stream.empty() : Stream.of(WindowEntry.of(FirstSchedule.ALL_DAY)))
                        .toList(),
                Stream.concat(
                                kept.rules().stream().filter(rule -> !gone(rule.lane())),
                                fresh.stream().map(line -> mayAllDay(line.id())))
                        .toList());
    }

    private LaneEntry asNow(LaneEntry lane) {
        LineOfTank line = byId.get(lane.id());
        return line == null ? lane : lane(line, lane.rest(), lane.afterPower());
    }

    private static LaneEntry lane(LineOfTank line, StateEntry rest, StateEntry afterPower) {
        return new LaneEntry(
                line.id().toString(),
                LaneKind.DOSER,
                line.name(),
                rest,
                afterPower,
                new DosesEntry(line.solute(), line.times()));
    }

    private static RuleEntry mayAllDay(UUID line) {
        return new RuleEntry(line.toString(), RuleKind.USUAL, FirstSchedule.ALL_DAY.id(), ON, null, null, null);
    }
}
