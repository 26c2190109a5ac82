package jollytide.server.problem;

import java.time.LocalDate;

/** Days that a log can hold: what lies beyond them is a slip, and breaks calendars and the database. */
public final class KnownDay {
    private static final int FIRST_YEAR = 1990;
    private static final int LAST_YEAR = 2200;

    private KnownDay() {}

    /** The day, or a refusal that names the field. */
    public static LocalDate of(String field, LocalDate day) {
        if (day.getYear() < FIRST_YEAR || day.getYear() > LAST_YEAR) {
            throw Problem.refused(new FieldError(
                    field,
                    day.toString(),
                    "a day from " + FIRST_YEAR + " to " + LAST_YEAR,
                    "" + day + " is outside the possible days of a log."));
        }
        return day;
    }
}
