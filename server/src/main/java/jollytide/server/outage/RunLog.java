package jollytide.server.outage;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import jollytide.core.outage.NightWithoutMains.Running;
import jollytide.server.outage.KitService.KitView;
import jollytide.server.outage.OutageNote.NoteKind;
import jollytide.server.outage.OutageViews.NoteView;
import org.jspecify.annotations.Nullable;

/** What of the kit ran where, as the notes tell it. A thing is at one tank at a time, a pump over several at all of its. */
final class RunLog {
    /**
     * A run.
     *
     * @param tankId where it was started
     * @param toH null while it runs
     * @param usedH of its energy that earlier runs took, wherever they were
     */
    private record Run(KitView thing, UUID tankId, double fromH, double toH, double usedH) {
        boolean goesOn() {
            return Double.isNaN(toH);
        }
    }

    private final List<Run> runs = new ArrayList<>();
    private final Set<UUID> failed = new HashSet<>();

    /** @param onlyTank of the home, at which everything is then; null where there are several */
    RunLog(Instant startedAt, List<NoteView> notes, List<KitView> kit, @Nullable UUID onlyTank) {
        Map<UUID, KitView> byId = kit.stream().collect(Collectors.toMap(KitView::id, k -> k));
        Map<UUID, Run> open = new HashMap<>();
        Map<UUID, Double> used = new HashMap<>();
        // What starts by itself is taken to run from the first minute, until somebody says that it does not.
        for (KitView thing : kit) {
            UUID kept = thing.description().firstTank();
            UUID at = kept == null ? onlyTank : kept;
            if (thing.startsItself() && at != null) {
                open.put(thing.id(), new Run(thing, at, 0, Double.NaN, 0));
            }
        }
        for (NoteView note : notes) {
            boolean on = note.kind() == NoteKind.BACKUP_ON;
            boolean broken = note.kind() == NoteKind.BACKUP_FAILED;
            boolean off = broken || note.kind() == NoteKind.BACKUP_OFF;
            KitView thing = on || off ? byId.get(kitId(note)) : null;
            if (thing == null || note.tankId() == null) {
                continue;
            }
            if (broken) {
                failed.add(thing.id());
            } else if (on) {
                failed.remove(thing.id());
            }
            double h = Math.max(0, Duration.between(startedAt, note.at()).toMillis() / 3.6e6);
            Run now = open.get(thing.id());
            boolean here = now != null && (!thing.description().forAny() || now.tankId.equals(note.tankId()));
            if (on ? here : !here) {
                continue;
            }
            if (now != null) {
                runs.add(new Run(thing, now.tankId, now.fromH, h, now.usedH));
                used.merge(thing.id(), h - now.fromH, Double::sum);
                open.remove(thing.id());
            }
            if (on) {
                double before = used.getOrDefault(thing.id(), 0.0);
                open.put(thing.id(), new Run(thing, note.tankId(), h, Double.NaN, before));
            }
        }
        runs.addAll(open.values());
    }

    /** What ran and runs at a tank. */
    List<Running> at(UUID tankId, List<KitShare> usable) {
        List<Running> running = new ArrayList<>();
        for (KitShare share : usable) {
            for (Run run : runs) {
                boolean same = run.thing.id().equals(share.thing().id());
                if (same && isAt(run, tankId)) {
                    running.add(new Running(share.backup(), run.fromH, run.goesOn() ? null : run.toH, run.usedH));
                }
            }
        }
        return running;
    }

    /** Hours that a thing ran, wherever, in an outage of such a length. */
    double ranH(UUID thingId, double lengthH) {
        return runs.stream()
                .filter(run -> run.thing.id().equals(thingId))
                .mapToDouble(run -> Math.max(0, (run.goesOn() ? lengthH : Math.min(lengthH, run.toH)) - run.fromH))
                .sum();
    }

    /** Whether somebody said that a thing is broken or empty, and nobody since that it runs. */
    boolean failed(UUID thingId) {
        return failed.contains(thingId);
    }

    boolean runsAt(UUID thingId, UUID tankId) {
        return runs.stream().anyMatch(run -> run.goesOn() && run.thing.id().equals(thingId) && isAt(run, tankId));
    }

    /** Where the things that are for any tank run now. */
    Map<UUID, UUID> taken() {
        return runs.stream()
                .filter(run -> run.goesOn() && run.thing.description().forAny())
                .collect(Collectors.toMap(run -> run.thing.id(), run -> run.tankId));
    }

    private static boolean isAt(Run run, UUID tankId) {
        return run.tankId.equals(tankId) || run.thing.description().keptFor(tankId);
    }

    private static UUID kitId(NoteView note) {
        try {
            return UUID.fromString(Objects.requireNonNull(note.ref()));
        } catch (IllegalArgumentException notOne) {
            return new UUID(0, 0);
        }
    }
}
