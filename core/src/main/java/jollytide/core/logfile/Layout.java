package jollytide.core.logfile;

import static jollytide.core.units.Quantities.within;

import org.jspecify.annotations.Nullable;

/**
 * How a file of lines is laid out. Columns are counted from 0.
 *
 * @param delimiter between cells
 * @param skipLines lines before the first that holds readings: heading and preamble
 * @param timeColumn holds date and time, or the date alone
 * @param timeOfDayColumn holds the time of day when that is not in {@code timeColumn}
 * @param timeForm how times are written
 * @param nameColumn in files with one reading a line, the column that says what was measured; null in files where each
 *     quantity has a column
 * @param unitColumn as {@code nameColumn}, the column that says in which unit; may be absent
 * @param valueColumn as {@code nameColumn}, the column of numbers
 */
public record Layout(
        char delimiter,
        int skipLines,
        int timeColumn,
        @Nullable Integer timeOfDayColumn,
        TimeForm timeForm,
        @Nullable Integer nameColumn,
        @Nullable Integer unitColumn,
        @Nullable Integer valueColumn) {
    public static final int MAX_COLUMNS = 500;

    /** @throws jollytide.core.units.InputException when a column lies outside 0 to 500 */
    public Layout {
        within("skipLines", skipLines, 0, 10_000, "");
        column("timeColumn", timeColumn);
        column("timeOfDayColumn", timeOfDayColumn);
        column("nameColumn", nameColumn);
        column("unitColumn", unitColumn);
        column("valueColumn", valueColumn);
    }

    private static void column(String field, @Nullable Integer column) {
        if (column != null) {
            within(field, column, 0, MAX_COLUMNS, "");
        }
    }

    boolean oneReadingALine() {
        return nameColumn != null && valueColumn != null;
    }
}
