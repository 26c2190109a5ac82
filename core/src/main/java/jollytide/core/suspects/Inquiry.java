package jollytide.core.suspects;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Set;
import java.util.function.Predicate;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Setup;
import org.jspecify.annotations.Nullable;

/**
 * All that a tank's keeper can bring forward.
 *
 * @param log of the last four weeks or so
 * @param setup as it is described
 * @param before the tank by what was logged until a fortnight ago, or until {@code since}; null where nothing plausible is
 *     behind that
 * @param now likewise by what was logged until now
 * @param today by the clock; its own hours are no whole day yet
 * @param since from when on it is said to be low; null where nobody said
 * @param leftOut days of which somebody said that they tell nothing
 * @param noted those of whom something of the kind is noted of the last weeks
 * @param calibratedDaysAgo null where no calibration is kept
 */
public record Inquiry(
        TankLog log,
        Setup setup,
        @Nullable FittedTank before,
        @Nullable FittedTank now,
        ZoneId zone,
        LocalDate today,
        @Nullable LocalDate since,
        Predicate<LocalDate> leftOut,
        Set<Suspect> noted,
        @Nullable Long calibratedDaysAgo) {
    /** A change longer ago is looked for where somebody says when. */
    public static final int LOOKED_BACK_DAYS = 14;
    /** Nobody knows the day better. */
    public static final int ABOUT_DAYS = 2;

    public Inquiry {
        noted = Set.copyOf(noted);
    }

    /** The first day on which it may have become low. */
    LocalDate earliest() {
        return since == null ? today.minusDays(LOOKED_BACK_DAYS) : since.minusDays(ABOUT_DAYS);
    }

    private LocalDate latest() {
        return since == null ? today : since.plusDays(ABOUT_DAYS);
    }

    /** Whether it may have become low on that day. */
    boolean mayBegin(LocalDate day) {
        return !day.isBefore(earliest()) && !day.isAfter(latest());
    }
}
