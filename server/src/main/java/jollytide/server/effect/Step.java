package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.effects.Windows;
import jollytide.core.measure.Measures;
import jollytide.core.probe.Calibration;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventView;
import jollytide.server.measure.SetRequest.PutMeasure;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.TankPart;
import org.jspecify.annotations.Nullable;

/**
 * Changes of a tank that were made together: whatever follows a first one within a day cannot be parted from it.
 *
 * @param changes in their order, at least one
 */
record Step(List<StepChange> changes) {
    private static final Duration TOGETHER = Duration.ofDays(1);
    /** A note of a calibration is written about when it was made. */
    private static final Duration NOTED = Duration.ofHours(1);

    private static final Set<EventKind> MOVES = EnumSet.of(
            EventKind.REMEDY,
            EventKind.FAULT,
            EventKind.ADDITIVE,
            EventKind.SEASON,
            EventKind.PEOPLE,
            EventKind.SMOKE,
            EventKind.MAINTENANCE);

    /** What happened to the tank. */
    enum What {
        BEGAN,
        ENDED,
        /** Its description says another tank from there on. */
        DESCRIBED
    }

    /**
     * One of them.
     *
     * @param eventId null where the description changed
     * @param measures that began or ended with it; null while nobody said
     * @param plainly what it was in the tool's own words, for those who may not read its keeper's
     * @param parts of the description that changed
     * @param moves whether it moves pH in a way that the readings of room and water do not show
     */
    record StepChange(
            Instant at,
            What what,
            String title,
            String plainly,
            @Nullable UUID eventId,
            @Nullable List<PutMeasure> measures,
            List<TankPart> parts,
            boolean moves) {}

    Step {
        changes = List.copyOf(changes);
    }

    Instant at() {
        return changes.get(0).at();
    }

    Instant over() {
        return changes.get(changes.size() - 1).at();
    }

    boolean moves() {
        return changes.stream().anyMatch(StepChange::moves);
    }

    /** Whether it is known in measures' terms what all of them did. */
    boolean said() {
        return changes.stream().allMatch(c -> c.what() == What.DESCRIBED || c.measures() != null);
    }

    List<Windows.Edge> edges() {
        return changes.stream().map(c -> new Windows.Edge(c.at(), c.title())).toList();
    }

    /** All steps that are over by now, in their order. */
    static List<Step> of(
            List<EventView> events, List<ChapterBook.Change> chapters, List<Calibration> calibrations, Instant now) {
        Stream<StepChange> ofEvents = events.stream()
                .filter(e -> MOVES.contains(e.kind()) && !calibration(e, calibrations))
                .flatMap(Step::ofEvent);
        Stream<StepChange> ofChapters = chapters.stream()
                .map(c -> new StepChange(
                        c.at(),
                        What.DESCRIBED,
                        "description changed",
                        "description changed",
                        null,
                        null,
                        c.parts(),
                        true));
        List<StepChange> all = Stream.concat(ofEvents, ofChapters)
                .filter(c -> !c.at().isAfter(now))
                .sorted(Comparator.comparing(StepChange::at))
                .toList();
        List<Step> steps = new ArrayList<>();
        List<StepChange> together = new ArrayList<>();
        for (StepChange change : all) {
            if (!together.isEmpty() && change.at().isAfter(together.get(0).at().plus(TOGETHER))) {
                steps.add(new Step(together));
                together = new ArrayList<>();
            }
            together.add(change);
        }
        if (!together.isEmpty()) {
            steps.add(new Step(together));
        }
        return steps;
    }

    private static Stream<StepChange> ofEvent(EventView e) {
        boolean moves = e.measures() == null || !e.measures().isEmpty();
        StepChange began = change(e, e.at(), What.BEGAN, moves);
        return e.until() == null || !moves
                ? Stream.of(began)
                : Stream.of(began, change(e, e.until(), What.ENDED, true));
    }

    private static StepChange change(EventView e, Instant at, What what, boolean moves) {
        return new StepChange(at, what, e.title(), plainly(e), e.id(), e.measures(), List.of(), moves);
    }

    private static String plainly(EventView e) {
        List<PutMeasure> measures = e.measures() == null ? List.of() : e.measures();
        return measures.isEmpty()
                ? e.kind().name().toLowerCase(Locale.ROOT)
                : measures.stream()
                        .map(put -> Measures.kind(put.kind()).shortName())
                        .distinct()
                        .collect(Collectors.joining(", "));
    }

    /** Of the probe, not of the tank. */
    static boolean calibration(EventView e, List<Calibration> calibrations) {
        return e.kind() == EventKind.MAINTENANCE
                && calibrations.stream()
                        .anyMatch(c -> Duration.between(c.at(), e.at()).abs().compareTo(NOTED) <= 0);
    }
}
