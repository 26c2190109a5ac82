package jollytide.server.experiment;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Experiment;
import org.jspecify.annotations.Nullable;

/** Experiments as they are shown. */
final class ExperimentViews {
    private ExperimentViews() {}

    /** How far it is. */
    enum Stage {
        PLANNED,
        RUNNING,
        OVER
    }

    /**
     * An experiment that was chosen.
     *
     * @param from when it began, or is planned to
     * @param until when it was over, or is planned to be
     * @param lateFrom from then on it lasts too long: a quarter of an hour after its planned end, for lamps half a day, or
     *     where oxygen would run short on the early side; null before it begins and when it is over
     * @param shortOfOxygen mg/L, of a reading below the caution line since it began; null without one
     * @param lowestOxygenMgPerL that was expected on the early side
     * @param cautionAt when oxygen would reach the caution line on the early side if nobody ended it; null when not
     *     within a day
     */
    record ChosenView(
            UUID id,
            Experiment experiment,
            String name,
            Experiment.Stops stops,
            Stage stage,
            Instant from,
            Instant until,
            @Nullable Instant lateFrom,
            @Nullable Double shortOfOxygen,
            double lowestOxygenMgPerL,
            @Nullable Instant cautionAt,
            @Nullable Ended ended) {}

    /**
     * What it showed of one decision: pH, or mg/L for oxygen.
     *
     * @param promised by how much its band was to become narrower, as a share
     * @param before its band when the experiment began; null where the tank could not be run
     * @param after the same by the data up to now, or up to the end of its way back; null while it goes on
     * @param achieved by how much it became narrower, as a share; below 0 where it grew
     */
    record FindingView(
            Decision decision,
            String name,
            double promised,
            @Nullable Estimate before,
            @Nullable Estimate after,
            @Nullable Double achieved) {}

    /**
     * One that is over, with what it showed.
     *
     * @param settled whether its way back is over, so that this will change no more
     * @param problem why the twin cannot be fitted now; null when it can
     */
    record OverView(
            ChosenView chosen, boolean settled, @Nullable String problem, List<FindingView> findings) {}

    /**
     * All of a tank.
     *
     * @param current planned or going on; null without one
     * @param over the last first
     */
    record AllView(@Nullable ChosenView current, List<OverView> over) {}
}
