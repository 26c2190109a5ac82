package jollytide.server.dosing;

import java.time.Clock;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.core.dosingline.DosedLine;
import jollytide.core.dosingline.Hold;
import jollytide.core.dosingline.LineHistory;
import jollytide.server.tank.Tank;
import org.springframework.stereotype.Component;

/** The lines of tanks with all that was seen of them. */
@Component
class LineBook {
    private final DosingLines lines;
    private final LineNotes notes;
    private final Holds holds;
    private final Clock clock;

    LineBook(DosingLines lines, LineNotes notes, Holds holds, Clock clock) {
        this.lines = lines;
        this.notes = notes;
        this.holds = holds;
        this.clock = clock;
    }

    /** A line with what was seen of it, and what that comes to. */
    record Known(DosingLine line, List<LineNote> noted, LineHistory history, DosedLine dosed) {}

    /** Those in use first. */
    List<Known> of(Tank tank) {
        return of(List.of(tank)).getOrDefault(tank.id(), List.of());
    }

    /** By tank, in a handful of statements however many there are; those without lines are missing. */
    Map<UUID, List<Known>> of(Collection<Tank> tanks) {
        List<DosingLine> all = lines.findAllOf(tanks.stream().map(Tank::id).toList());
        if (all.isEmpty()) {
            return Map.of();
        }
        Set<UUID> dosed = all.stream().map(l -> l.tankId).collect(Collectors.toSet());
        Map<UUID, List<Hold>> held =
                holds.of(tanks.stream().filter(t -> dosed.contains(t.id())).toList());
        Map<UUID, List<LineNote>> noted =
                noted(all.stream().map(l -> l.id).toList()).stream().collect(Collectors.groupingBy(n -> n.lineId));
        return all.stream()
                .sorted(Comparator.comparing((DosingLine l) -> l.endedAt != null)
                        .thenComparing(l -> l.name))
                .map(line ->
                        known(line, noted.getOrDefault(line.id, List.of()), held.getOrDefault(line.tankId, List.of())))
                .collect(Collectors.groupingBy(known -> known.line().tankId));
    }

    /** In their order. */
    List<LineNote> noted(Collection<UUID> lineIds) {
        return notes.findByLineIdIn(lineIds).stream()
                .sorted(Comparator.comparing((LineNote n) -> n.at).thenComparing(n -> n.kind))
                .toList();
    }

    private Known known(DosingLine line, List<LineNote> noted, List<Hold> held) {
        LineHistory history = new LineHistory(noted.stream().map(LineNote::seen).toList());
        return new Known(
                line,
                noted,
                history,
                history.dosed(line.solution(), line.schedule().held(held, clock.instant()), line.times()));
    }
}
