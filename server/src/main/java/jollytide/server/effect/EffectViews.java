package jollytide.server.effect;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import jollytide.core.dosingline.UseStep;
import jollytide.core.effects.Effect;
import jollytide.core.effects.HalfHourOfDay;
import jollytide.core.effects.Trial;
import jollytide.core.effects.Windows;
import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/** What is shown of changes and what they did. */
final class EffectViews {
    private EffectViews() {}

    /**
     * What was found of one step.
     *
     * @param possible of the trough, pH; null where nobody said in measures' terms what was done, or it cannot be run
     * @param moreDays whole days after it that are missing to tell what is possible here (0.05 where that is not known); 0
     *     when none is, null when no number of days would tell it
     * @param lookFor where to look when less came than is possible, each with the number that would show it
     * @param before what its days showed by the clock, {@code after} likewise
     * @param roomMeasured whether the room's own readings explain what is explained
     * @param calibrated whether the probe was calibrated between both
     * @param problem why the twin explains nothing, or what is wrong with the description; null when nothing
     */
    record Found(
            Effect effect,
            Effect.Verdict verdict,
            @Nullable Estimate possible,
            @Nullable Integer moreDays,
            List<String> lookFor,
            List<HalfHourOfDay> before,
            List<HalfHourOfDay> after,
            boolean roomMeasured,
            boolean calibrated,
            @Nullable String problem) {}

    /**
     * What was found of a step that has no whole day of its own, hour by hour.
     *
     * @param lookFor as of {@link Found}
     */
    record FoundTrial(Trial hours, Effect.Verdict verdict, List<String> lookFor, boolean roomMeasured) {}

    /** What comparing a step gave: days, or else hours, or neither where too little was logged. */
    record Made(@Nullable Found days, @Nullable FoundTrial hours) {}

    /** Another event in the days that are compared. */
    record Beside(
            UUID eventId,
            String title,
            Instant at,
            @Nullable Instant until,
            boolean leftOut) {}

    /**
     * What the tank used of alkalinity before a step of pH and since, meq/L a day.
     *
     * @param dosed whether lines that are described brought some of it; else what is dosed is taken as the same
     * @param omegaAtPeak saturation of aragonite at the day's peak since
     */
    record UseBeside(UseStep step, UseStep.Said said, boolean dosed, double omegaAtPeak) {}

    /**
     * A card.
     *
     * @param at the first of the changes, by which it is asked for
     * @param beside other events in its days
     * @param missing whether there is something to compare that is not compared yet
     * @param found null where it is not made yet, or there are no whole days to compare
     * @param trial null where it is not made yet, or there are whole days, or too few hours
     * @param use null where pH made no step, or too few tests stand beside it
     * @param perMonth what its measures cost to run, in the home's money at assumed prices; null where nothing was put on
     * @param stands whether its change is still one when all cards are counted together; null where none is claimed
     */
    record EffectCard(
            Instant at,
            List<Step.StepChange> changes,
            Windows windows,
            List<Beside> beside,
            boolean missing,
            @Nullable Found found,
            @Nullable FoundTrial trial,
            @Nullable UseBeside use,
            @Nullable Double perMonth,
            @Nullable Boolean stands) {
        EffectCard standing(boolean it) {
            return new EffectCard(at, changes, windows, beside, missing, found, trial, use, perMonth, it);
        }
    }

    /**
     * All of a tank's.
     *
     * @param since the first reading of pH; null without one
     * @param settlingHours that are left out after each change
     * @param days whole days' troughs, for the ladder
     */
    record EffectsView(@Nullable LocalDate since, long settlingHours, List<EffectCard> cards, List<Trough> days) {}

    /** Of one whole day, corrected. */
    record Trough(LocalDate day, double ph) {}
}
