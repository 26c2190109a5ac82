package jollytide.core.schedule;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.EnumSet;
import java.util.Set;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * On which days a window is.
 *
 * @param from first day of its season, null for all year, like {@code to}; a season may go over the turn of the year
 */
public record Days(
        Set<DayOfWeek> of,
        @Nullable MonthDay from,
        @Nullable MonthDay to) {
    public static final Days ALL = new Days(EnumSet.allOf(DayOfWeek.class), null, null);

    public Days {
        of = Set.copyOf(of);
        if (of.isEmpty() || (from == null) != (to == null)) {
            throw new InputException(
                    "days", of.size(), "at least one, and both ends of a season", "Choose at least one day.");
        }
    }

    public boolean hold(LocalDate day) {
        if (!of.contains(day.getDayOfWeek())) {
            return false;
        }
        if (from == null || to == null) {
            return true;
        }
        MonthDay that = MonthDay.from(day);
        return from.isAfter(to) ? !that.isBefore(from) || !that.isAfter(to) : !that.isBefore(from) && !that.isAfter(to);
    }
}
