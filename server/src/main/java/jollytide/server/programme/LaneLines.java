package jollytide.server.programme;

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
import jollytide.core.programme.LaneKind;
import jollytide.core.programme.LaneState.Does;
import jollytide.server.dose.DoseService.LineOfTank;
import jollytide.server.dose.DoseViews.NewTimes;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.programme.ProgrammeDocument.DosesEntry;
import jollytide.server.programme.ProgrammeDocument.LaneEntry;
import jollytide.server.programme.ProgrammeDocument.RuleEntry;
import jollytide.server.programme.ProgrammeDocument.RuleKind;
import jollytide.server.programme.ProgrammeDocument.StateEntry;
import jollytide.server.programme.ProgrammeDocument.WindowEntry;

/** The lines of a tank as lanes of its programme: what they bring, and when, is kept in Doses and only there. */
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
    void check(ProgrammeDocument document) {
        document.lanes().stream().filter(lane -> gone(lane.id())).findFirst().ifPresent(lane -> {
            throw Problem.refused(new FieldError(
                    "lanes",
                    lane.id(),
                    "the lines of this tank, and lanes with other ids",
                    "Doses has no line for “" + lane.name() + "”: take the lane out, or plan the line first."));
        });
    }

    /** Lines whose doses a programme makes at other times. */
    Map<UUID, NewTimes> retimed(ProgrammeDocument document) {
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

    /** A programme with the lines as they are now: those that have ended leave, new ones may dose all day. */
    ProgrammeDocument in(ProgrammeDocument kept) {
        Set<String> there = kept.lanes().stream().map(LaneEntry::id).collect(Collectors.toCollection(HashSet::new));
        List<LineOfTank> fresh = byId.values().stream()
                .filter(line -> there.add(line.id().toString()))
                .sorted(Comparator.comparing(LineOfTank::name))
                .toList();
        boolean allDay =
                fresh.isEmpty() || kept.windows().stream().anyMatch(w -> w.id().equals(FirstProgramme.ALL_DAY.id()));
        return new ProgrammeDocument(
                Stream.concat(
                                kept.lanes().stream()
                                        .filter(lane -> !gone(lane.id()))
                                        .map(this::asNow),
                                fresh.stream().map(line -> lane(line, OFF, OFF)))
                        .toList(),
                Stream.concat(
                                kept.windows().stream(),
                                allDay ? Stream.empty() : Stream.of(WindowEntry.of(FirstProgramme.ALL_DAY)))
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
        return new RuleEntry(line.toString(), RuleKind.USUAL, FirstProgramme.ALL_DAY.id(), ON, null, null, null);
    }
}
