package jollytide.server.outage;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.outage.NightWithoutMains.OxygenCourse;
import jollytide.core.outage.Step;
import jollytide.server.outage.OutageNote.NoteKind;
import org.jspecify.annotations.Nullable;

/** What is shown of outages. */
final class OutageViews {
    private OutageViews() {}

    /** What was noted. */
    record NoteView(
            UUID id,
            @Nullable UUID tankId,
            Instant at,
            NoteKind kind,
            @Nullable String ref,
            @Nullable Double value,
            @Nullable String text,
            @Nullable String byWhom) {}

    /** How a step stands. */
    enum StepState {
        OPEN,
        DONE,
        SKIPPED
    }

    /**
     * A step.
     *
     * @param kitId the thing that it starts; null for every other step
     */
    record StepView(
            Step step,
            StepState state,
            @Nullable Instant at,
            @Nullable UUID kitId) {}

    /**
     * A thing of the kit and whether it runs for this tank.
     *
     * @param failed whether somebody said that it is broken or empty
     * @param earlyH that were left of it when the power failed, {@code likelyH} likewise
     * @param left share of its run time that earlier outages left and the mains brought back since, assumed by its kind
     */
    record KitInUse(
            UUID kitId,
            String name,
            boolean running,
            boolean failed,
            boolean startsItself,
            double earlyH,
            double likelyH,
            boolean tested,
            double left) {}

    /**
     * One tank.
     *
     * @param course from the failure on: the hours are those of the outage
     * @param after what is due once the power is back
     * @param startMeasured whether oxygen at the start is from the log; else the twin's
     * @param roomC of the room from then on, noted or assumed
     * @param fedH hours from the last meal to the failure, noted or assumed
     * @param bucketsPerH of ten litres that would hold it by hand
     * @param unlikely whether a sum, not a reading, has them suffocating before the power failed: not to be believed
     * @param gasping whether that was the last that was seen of the animals
     */
    record TankClock(
            UUID tankId,
            String name,
            OxygenCourse course,
            double startMgPerL,
            boolean startMeasured,
            double roomC,
            double fedH,
            double demandMgPerLPerH,
            double bucketsPerH,
            boolean unlikely,
            boolean gasping,
            List<KitInUse> kit,
            List<StepView> steps,
            List<StepView> after) {}

    /**
     * An outage.
     *
     * @param cuts how often the power went
     * @param nobodyComes whether the last word is that nobody can go there
     * @param moved set where a helper moved the beginning earlier, until the keeper has moved it again
     * @param tanks the most urgent first
     * @param lines that oxygen should stay above, mg/L
     */
    record OutageView(
            UUID id,
            UUID homeId,
            Instant startedAt,
            @Nullable Instant endedAt,
            int cuts,
            boolean nobodyComes,
            @Nullable MovedStart moved,
            Lines lines,
            List<TankClock> tanks,
            List<NoteView> notes) {}

    /** Where an outage began until a helper moved that earlier. */
    record MovedStart(Instant from, String by) {}

    /** A note that was not taken, and why. */
    record RefusedNote(UUID id, String message) {}

    /** What became of some notes: the outage with those that were taken, and those that were not. */
    record Noted(OutageView outage, List<RefusedNote> refused) {}

    record Lines(double caution, double danger, double loss) {}

    /** One that is over, in short. */
    record PastOutage(UUID id, Instant startedAt, @Nullable Instant endedAt, int cuts) {}
}
