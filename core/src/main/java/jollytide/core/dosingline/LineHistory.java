package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import jollytide.core.evidence.Estimate;
import jollytide.core.upkeep.Chore;
import org.jspecify.annotations.Nullable;

/**
 * What was seen of a line and done to it.
 *
 * @param seen in its order; of one moment in the order of {@link What}
 */
public record LineHistory(List<Seen> seen) {
    /** What is said of likely causes rests on what was noted in so many days. */
    private static final Duration LATELY = Duration.ofDays(14);

    /** A level read so shortly before something was changed is where the next run begins. */
    private static final Duration SHORTLY = Duration.ofHours(1);

    private static final String AIR =
            "Air in the dosing line: bubbles in the tube or a loose fitting. Purge for half a minute and check "
                    + "again. Use tape, a new fitting or one straight tube.";
    private static final String FITTING = "Your last change: a fitting, a tube, the place where the tube ends.";
    private static final String TUBE = "The pump’s tube or head: soft, flat or old. Measure the output in a cylinder.";
    private static final String CLOGGED = "Crust or sediment at either end of the tube, above all with limewater.";

    /** What was seen or done; of the same moment in this order: what it held, then what was filled in. */
    public enum What {
        LEVEL,
        FILLED,
        /** Bubbles in the line. */
        BUBBLES,
        /** The pump was run into a cylinder. */
        CYLINDER,
        /** Something of the line: a fitting, a tube, the pump's head, what it is set to. */
        CHANGED
    }

    /**
     * @param level null where nobody looked
     * @param cylinder null where the pump was not run into one
     */
    public record Seen(
            Instant at,
            What what,
            @Nullable ReservoirLevel level,
            @Nullable Cylinder cylinder) {
        public Seen(Instant at, What what, @Nullable ReservoirLevel level) {
            this(at, what, level, null);
        }
    }

    /** What its levels say of a line. */
    public enum State {
        /** Too few levels since the last change to tell. */
        NOT_KNOWN,
        AS_PLANNED,
        SHORT,
        TOO_MUCH
    }

    public LineHistory {
        seen = seen.stream()
                .sorted(Comparator.comparing(Seen::at).thenComparing(Seen::what))
                .toList();
    }

    /** The line with what its levels show of such a plan. */
    public DosedLine dosed(Solution solution, DosePlan schedule, @Nullable DoseTimes times) {
        ReservoirLevel last = seen.stream()
                .flatMap(s -> Stream.ofNullable(s.level))
                .reduce((earlier, later) -> later)
                .orElse(null);
        return new DosedLine(
                solution,
                schedule,
                times,
                delivered(0, schedule),
                delivered(sinceChange(), schedule),
                last,
                cylinder());
    }

    /** The newest since something was changed: a change makes the ones before it void. */
    private @Nullable Cylinder cylinder() {
        Cylinder newest = null;
        for (Seen s : seen) {
            newest = s.what == What.CHANGED ? null : s.cylinder == null ? newest : s.cylinder;
        }
        return newest;
    }

    /** Where in what was seen the last change stands; 0 without one. */
    private int sinceChange() {
        for (int i = seen.size() - 1; i > 0; i--) {
            if (seen.get(i).what == What.CHANGED) {
                return i;
            }
        }
        return 0;
    }

    /** Levels from one filling or change to the next, from the one that was seen then; what was filled in is the first. */
    private List<Delivered> delivered(int begins, DosePlan schedule) {
        List<List<ReservoirLevel>> runs = new ArrayList<>();
        List<ReservoirLevel> run = new ArrayList<>();
        for (int i = begins; i < seen.size(); i++) {
            Seen s = seen.get(i);
            if (s.what == What.FILLED) {
                runs.add(run);
                run = new ArrayList<>();
            }
            if (s.what == What.CHANGED) {
                runs.add(run);
                run = new ArrayList<>();
                heldThen(i).ifPresent(run::add);
            }
            if (s.level != null) {
                run.add(s.level);
            }
        }
        runs.add(run);
        return runs.stream()
                .filter(levels -> levels.size() > 1)
                .flatMap(levels -> Stream.ofNullable(Delivered.of(levels, schedule)))
                .toList();
    }

    /** What it held when something was changed, where somebody had looked or filled it shortly before. */
    private Optional<ReservoirLevel> heldThen(int changed) {
        return seen.subList(0, changed).stream()
                .flatMap(s -> Stream.ofNullable(s.level))
                .reduce((earlier, later) -> later)
                .filter(level -> !level.at().isBefore(seen.get(changed).at.minus(SHORTLY)));
    }

    /** After a change nothing is known of the line yet; a filling leaves it as it was. */
    public State state(DosedLine dosed) {
        Cylinder cylinder = dosed.newestCylinder();
        if (cylinder != null) {
            return cylinder.fallsShort()
                    ? State.SHORT
                    : cylinder.tooMuch() ? State.TOO_MUCH : asPlanned(cylinder.share());
        }
        List<Delivered> runs = dosed.sinceChange();
        if (runs.isEmpty()) {
            return State.NOT_KNOWN;
        }
        Delivered last = runs.get(runs.size() - 1);
        Fills all = Fills.of(runs);
        if (last.fallsShort() || all.fallsShort()) {
            return State.SHORT;
        }
        return last.tooMuch() || all.tooMuch() ? State.TOO_MUCH : asPlanned(all.share());
    }

    private static State asPlanned(Estimate share) {
        return Delivered.asPlanned(share) ? State.AS_PLANNED : State.NOT_KNOWN;
    }

    /** Where to look when it falls short, what was noted of late first, then a tube that is worn. */
    public List<String> lookFor(Instant now, DosePlan schedule) {
        Instant lately = now.minus(LATELY);
        return Stream.of(
                        noted(What.BUBBLES, lately) ? Stream.of(AIR) : Stream.<String>of(),
                        noted(What.CHANGED, lately) ? Stream.of(FITTING) : Stream.<String>of(),
                        pumpedSinceChange(now, schedule) > Chore.DOSING_TUBE.worn()
                                ? Stream.of(TUBE)
                                : Stream.<String>of(),
                        Stream.of(AIR, TUBE, CLOGGED))
                .flatMap(causes -> causes)
                .distinct()
                .toList();
    }

    /** Litres that were to go through its tube since something of the line was changed, or since it began. */
    double pumpedSinceChange(Instant now, DosePlan schedule) {
        Instant since = seen.stream()
                .filter(s -> s.what == What.CHANGED)
                .map(Seen::at)
                .reduce((earlier, later) -> later)
                .orElse(Instant.EPOCH);
        return schedule.planned(since, now) / 1000;
    }

    private boolean noted(What what, Instant after) {
        return seen.stream().anyMatch(s -> s.what == what && s.at.isAfter(after));
    }
}
