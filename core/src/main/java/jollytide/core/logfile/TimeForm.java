package jollytide.core.logfile;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** The forms in which loggers write times. */
public enum TimeForm {
    /** 2026-11-12T09:55:00Z, 2026-11-12 09:55, 2026/11/12 9:55. */
    YEAR_FIRST("year, month, day"),
    /** 12.11.2026 09:55, 12/11/26 9:55 pm. */
    DAY_FIRST("day, month, year"),
    /** 11/12/2026 9:55 AM. */
    MONTH_FIRST("month, day, year"),
    /** 12 Nov 2026 09:55, Nov 12, 2026 09:55. */
    MONTH_NAMED("month by name"),
    EPOCH_SECONDS("seconds since 1970"),
    EPOCH_MILLIS("milliseconds since 1970"),
    /** Days since 30 December 1899, as spreadsheets count. */
    SPREADSHEET_DAYS("a spreadsheet's day numbers");

    private static final String TIME = "(\\d{1,2}):(\\d{2})(?::(\\d{2})(?:[.,](\\d{1,9}))?)?\\s*([AaPp]\\.?[Mm]\\.?)?";
    private static final String OFFSET = "\\s*(Z|UTC|GMT|[+-]\\d{2}:?(?:\\d{2})?)?";
    private static final Pattern NUMERIC =
            Pattern.compile("(\\d{1,4})[-/.](\\d{1,2})[-/.](\\d{1,4})(?:(?:T|,?\\s+)" + TIME + OFFSET + ")?");
    private static final Pattern NAMED =
            Pattern.compile("(?:[A-Za-z]{2,9},?\\s+)?(?:(\\d{1,2})[ .-]+)?([A-Za-z]{3,9})\\.?[ -]+"
                    + "(?:(\\d{1,2}),?\\s+)?(\\d{4}|\\d{2})(?:(?:,?\\s+)" + TIME + OFFSET + ")?");
    private static final Pattern TIME_OF_DAY = Pattern.compile(TIME + OFFSET);
    private static final List<String> MONTHS =
            List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
    /** 2100: beyond, a number is no time. */
    private static final double MAX_EPOCH = 4_102_444_800.0;

    private static final double MIN_SHEET_DAY = 32_874;
    private static final double MAX_SHEET_DAY = 73_051;
    private static final LocalDateTime SHEET_ZERO = LocalDateTime.of(1899, 12, 30, 0, 0);

    private final String words;

    TimeForm(String words) {
        this.words = words;
    }

    /** For people: how this form is ordered. */
    public String words() {
        return words;
    }

    /** The time in {@code date}, with the time of day from a column of its own when that is not null; null when none. */
    @Nullable
    Stamp read(String date, @Nullable String timeOfDay) {
        try {
            Stamp stamp = read(date);
            if (stamp == null || timeOfDay == null) {
                return stamp;
            }
            Matcher time = TIME_OF_DAY.matcher(timeOfDay);
            return time.matches()
                    ? new Stamp(stamp.local().toLocalDate().atTime(time(time, 1)), offset(time.group(6)))
                    : null;
        } catch (DateTimeException | ArithmeticException e) {
            return null;
        }
    }

    private @Nullable Stamp read(String text) {
        return switch (this) {
            case YEAR_FIRST, DAY_FIRST, MONTH_FIRST -> numeric(text);
            case MONTH_NAMED -> named(text);
            case EPOCH_SECONDS -> epoch(text, 1);
            case EPOCH_MILLIS -> epoch(text, 1000);
            case SPREADSHEET_DAYS -> sheet(text);
        };
    }

    private @Nullable Stamp numeric(String text) {
        Matcher m = NUMERIC.matcher(text);
        if (!m.matches() || (m.group(1).length() > 2) != (this == YEAR_FIRST)) {
            return null;
        }
        int a = Integer.parseInt(m.group(1));
        int b = Integer.parseInt(m.group(2));
        int c = Integer.parseInt(m.group(3));
        return switch (this) {
            case YEAR_FIRST -> c > 31 ? null : stamp(a, b, c, m);
            case DAY_FIRST -> stamp(year(m.group(3)), b, a, m);
            default -> stamp(year(m.group(3)), a, b, m);
        };
    }

    private static Stamp stamp(int year, int month, int day, Matcher m) {
        LocalTime time = m.group(4) == null ? LocalTime.MIDNIGHT : time(m, 4);
        return new Stamp(LocalDateTime.of(year, month, day, 0, 0).with(time), offset(m.group(9)));
    }

    private static @Nullable Stamp named(String text) {
        Matcher m = NAMED.matcher(text);
        if (!m.matches() || (m.group(1) == null) == (m.group(3) == null)) {
            return null;
        }
        int month = MONTHS.indexOf(m.group(2).substring(0, 3).toLowerCase(Locale.ROOT)) + 1;
        if (month == 0) {
            return null;
        }
        int day = Integer.parseInt(m.group(1) == null ? m.group(3) : m.group(1));
        LocalTime time = m.group(5) == null ? LocalTime.MIDNIGHT : time(m, 5);
        return new Stamp(LocalDateTime.of(year(m.group(4)), month, day, 0, 0).with(time), offset(m.group(10)));
    }

    private static int year(String digits) {
        int year = Integer.parseInt(digits);
        return digits.length() <= 2 ? 2000 + year : year;
    }

    private static LocalTime time(Matcher m, int group) {
        int hour = Integer.parseInt(m.group(group));
        String half = m.group(group + 4);
        if (half != null) {
            if (hour < 1 || hour > 12) {
                throw new DateTimeException("no such hour");
            }
            hour = hour % 12 + (half.toLowerCase(Locale.ROOT).startsWith("p") ? 12 : 0);
        }
        String second = m.group(group + 2);
        String fraction = m.group(group + 3);
        int nanos = fraction == null ? 0 : Integer.parseInt((fraction + "000000000").substring(0, 9));
        return LocalTime.of(
                hour, Integer.parseInt(m.group(group + 1)), second == null ? 0 : Integer.parseInt(second), nanos);
    }

    private static @Nullable ZoneOffset offset(@Nullable String text) {
        if (text == null) {
            return null;
        }
        return Character.isLetter(text.charAt(0)) ? ZoneOffset.UTC : ZoneOffset.of(text);
    }

    private static @Nullable Stamp epoch(String text, int perSecond) {
        double seconds = Cells.number(text) / perSecond;
        return seconds >= 0 && seconds <= MAX_EPOCH ? Stamp.of(Instant.ofEpochMilli(Math.round(seconds * 1000))) : null;
    }

    private static @Nullable Stamp sheet(String text) {
        double days = Cells.number(text);
        return days >= MIN_SHEET_DAY && days <= MAX_SHEET_DAY
                ? new Stamp(SHEET_ZERO.plusSeconds(Math.round(days * 86_400)), null)
                : null;
    }

    /** Whether a cell holds a time of day and nothing else. */
    static boolean isTimeOfDay(String cell) {
        return TIME_OF_DAY.matcher(cell).matches();
    }

    /** Whether a cell that reads as a date has a time of day in it. */
    static boolean hasTimeOfDay(String cell) {
        return cell.indexOf(':') >= 0;
    }
}
