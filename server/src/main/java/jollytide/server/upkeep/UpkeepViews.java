package jollytide.server.upkeep;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import jollytide.core.upkeep.Chore;
import jollytide.core.upkeep.Interval;
import org.jspecify.annotations.Nullable;

/** What goes in and out of upkeep. */
public final class UpkeepViews {
    private UpkeepViews() {}

    /**
     * Something to look after from now on.
     *
     * @param name which of several, empty where there is one; what it is where it is the keeper's own
     * @param days between two times, as its keeper wants it; null where it is assumed and learned, which no one's own is
     * @param lastDone null where nobody knows
     */
    public record NewChore(
            @NotNull Chore chore,
            @NotNull @Size(max = 80) String name,
            @Nullable Double days,
            @Size(max = 40) @Nullable String lastDone) {}

    /** @param days null for what is assumed and learned */
    public record ChoreEdit(
            @NotNull @Size(max = 80) String name, @Nullable Double days) {}

    /** @param found what it looked like; null where nobody says */
    public record NewTick(
            @NotNull @Size(max = 40) String at,
            Interval.@Nullable Found found,
            @NotNull @Size(max = 200) String note) {}

    /** @param until not before that day; null to take that back */
    public record Later(@Nullable LocalDate until) {}

    /** A time that it was done. */
    public record TickView(UUID id, Instant at, Interval.@Nullable Found found, String note) {}

    /**
     * A kind of upkeep.
     *
     * @param days between two times, assumed for how the tank's gear is used
     * @param wear what wears it
     * @param showsWear whether what is found when it is done says how often it is due
     * @param steps how it is done
     * @param caution who could be hurt, and how not; null where nobody
     */
    public record ChoreKind(
            Chore chore,
            String what,
            double days,
            Chore.Wear wear,
            boolean showsWear,
            List<String> steps,
            @Nullable String caution) {
        static ChoreKind of(Chore chore, double days) {
            return new ChoreKind(
                    chore, chore.what(), days, chore.wear(), chore.showsWear(), chore.steps(), chore.caution());
        }
    }

    /**
     * Something that is looked after.
     *
     * @param ownDays as its keeper wants it; null where it is assumed and learned
     * @param days between two times, by what is assumed and what was found
     * @param usedPerDay of what wears it, in hours or litres; null where that is taken as common
     * @param findings that moved it
     * @param byLog how many of them the log showed
     * @param shownSince the day from which the log shows that it is due, after it was done last; null where it shows nothing
     * @param due the day; today where it was never done
     * @param putOff whether it was due earlier but for its keeper's wish
     * @param done the newest first
     */
    public record TaskView(
            UUID id,
            ChoreKind kind,
            String name,
            @Nullable Double ownDays,
            double days,
            @Nullable Double usedPerDay,
            int findings,
            int byLog,
            @Nullable LocalDate shownSince,
            LocalDate due,
            boolean late,
            boolean putOff,
            List<TickView> done) {
        /** What it is, and which of several. */
        public String title() {
            return kind.chore() == Chore.OWN ? name : name.isEmpty() ? kind.what() : kind.what() + " (" + name + ")";
        }
    }

    /**
     * All of a tank.
     *
     * @param tasks the next first
     * @param ended what is not looked after any more
     * @param more kinds that fit the tank, those that are looked after already last: there may be several
     */
    public record UpkeepView(List<TaskView> tasks, List<TaskView> ended, List<ChoreKind> more) {}
}
