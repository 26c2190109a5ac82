package jollytide.server.effect;

import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import jollytide.core.reef.Stance;
import jollytide.core.suspects.Check;
import jollytide.core.suspects.Family;
import jollytide.core.suspects.Ground;
import jollytide.core.suspects.Ranking.Meaning;
import jollytide.core.suspects.Suspect;
import org.jspecify.annotations.Nullable;

/** What is shown of suspects. */
final class SuspectViews {
    private SuspectViews() {}

    /**
     * Who is to blame.
     *
     * @param since from when on it is said to be low; null where that was looked for
     * @param earliest of the days that can be said, {@code latest} the last of them
     * @param daysCompared whether the days' course was compared
     * @param steady how the keeper's stance is met; null where there is nothing to compare
     */
    record SuspectsView(
            @Nullable LocalDate since,
            LocalDate earliest,
            LocalDate latest,
            boolean daysCompared,
            @Nullable Steady steady,
            List<FamilyView> families,
            List<CheckView> next,
            List<DoneView> done) {}

    /**
     * The last week beside what is wanted.
     *
     * @param nights whole days of it that were read
     * @param held on how many of them the trough was at or above its goal, or, where steadiness is wanted, above the line
     *     below which something is done
     * @param line that goal or line, pH
     */
    record Steady(Stance stance, int nights, int held, double line) {}

    /** @param share how probable it is that the cause is one of them */
    record FamilyView(Family family, String label, double share, List<SuspectView> suspects) {}

    /**
     * @param share how probable it is the cause
     * @param needs the size that it would need, in words; empty where it has none
     * @param since the day from which on it explains most; null where no day does
     */
    record SuspectView(
            Suspect suspect,
            String title,
            double share,
            String needs,
            @Nullable LocalDate since,
            List<Ground> grounds) {}

    /** A check that would tell, with what each answer would mean. */
    record CheckView(Check check, String how, Check.Effort effort, List<MeaningView> answers) {}

    /** As a {@link Meaning}; {@code then} is its first suspect's title. */
    record MeaningView(int answer, String words, double probability, String then, double share) {}

    /** One that was done. */
    record DoneView(Check check, String how, int answer, List<String> answers, Instant at) {}

    /** @param answer its place among the check's answers */
    record CheckAnswer(@NotNull Integer answer) {}
}
