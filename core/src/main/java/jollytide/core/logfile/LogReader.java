package jollytide.core.logfile;

import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reads a file of lines under a confirmed plan. Memory stays flat however long the file is. */
public final class LogReader {
    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");
    private static final Duration CLOCKS_MAY_DIFFER = Duration.ofMinutes(10);
    private static final int TOLD_EVERY_LINES = 2000;
    private static final int SHOWN_OF_A_LINE = 160;

    private final Plan plan;
    private final Instant now;
    private final Sink sink;
    private final Map<String, LocalClock<Taken>> clocks = new HashMap<>();

    /**
     * How to read a file.
     *
     * @param zone of times that carry no offset
     * @param meanings which channels are taken, by key; others are passed over
     */
    public record Plan(Layout layout, ZoneId zone, Map<String, Meaning> meanings) {}

    /** Where what was read goes. */
    public interface Sink {
        /** A good reading, in the unit of its meaning and inside that unit's range. */
        void reading(Meaning meaning, Instant at, double value, long line);

        /** A line, or a cell of one, that could not be taken. */
        void bad(long line, String text, String reason);

        /** So many lines are read; false stops the reading. */
        boolean goOn(long lines);
    }

    /** A cell on its way, with the line it came from. */
    private record Taken(Meaning meaning, double value, long line, String text) {}

    private LogReader(Plan plan, Instant now, Sink sink) {
        this.plan = plan;
        this.now = now;
        this.sink = sink;
    }

    /**
     * Reads all of {@code in} into {@code sink}.
     *
     * @param now times after it are refused
     */
    public static void read(InputStream in, TextForm form, Plan plan, Instant now, Sink sink) throws IOException {
        new LogReader(plan, now, sink).read(new TextLines(in, form));
    }

    /** Puts a reading whose instant is known through the same checks as those of a file of lines. */
    public static void check(
            Meaning meaning, Instant at, double value, long line, String text, Instant now, Sink sink) {
        String fault = fault(meaning, at, value, now);
        if (fault == null) {
            sink.reading(meaning, at, value, line);
        } else {
            sink.bad(line, shortened(text), fault);
        }
    }

    private static @Nullable String fault(Meaning meaning, Instant at, double value, Instant now) {
        if (at.isAfter(now.plus(CLOCKS_MAY_DIFFER))) {
            return "the time is in the future";
        }
        if (at.isBefore(EARLIEST)) {
            return "the time is before 1990: the logger’s clock was not set";
        }
        if (!(value >= meaning.unit().min() && value <= meaning.unit().max())) {
            return value + " cannot be " + meaning.unit().symbol();
        }
        return null;
    }

    private void read(TextLines lines) throws IOException {
        long done = 0;
        for (TextLines.Line line = lines.next(); line != null; line = lines.next()) {
            done = line.number();
            if (line.number() > plan.layout().skipLines() && !line.text().isBlank()) {
                take(line);
            }
            if (done % TOLD_EVERY_LINES == 0 && !sink.goOn(done)) {
                return;
            }
        }
        clocks.values().forEach(LocalClock::end);
        sink.goOn(done);
    }

    private void take(TextLines.Line line) {
        if (line.fault() != null) {
            bad(line, line.fault());
            return;
        }
        List<String> cells = Cells.split(line.text(), plan.layout().delimiter());
        if (cells == null) {
            bad(line, "its quotes don’t match");
            return;
        }
        Layout layout = plan.layout();
        Integer timeOfDay = layout.timeOfDayColumn();
        if (cells.size() <= layout.timeColumn() || (timeOfDay != null && cells.size() <= timeOfDay)) {
            bad(line, "the line is cut short: it has no time");
            return;
        }
        String date = cells.get(layout.timeColumn());
        Stamp stamp = layout.timeForm().read(date, timeOfDay == null ? null : cells.get(timeOfDay));
        if (stamp == null) {
            bad(
                    line,
                    date.isEmpty()
                            ? "it has no time"
                            : "no time in the form “" + layout.timeForm().words() + "”");
            return;
        }
        if (layout.oneReadingALine()) {
            String key = key(cells, layout);
            Integer value = layout.valueColumn();
            if (key == null || value == null || cells.size() <= value) {
                bad(line, "the line is cut short");
            } else {
                cell(line, key, cells.get(value), stamp);
            }
            return;
        }
        for (Map.Entry<String, Meaning> channel : plan.meanings().entrySet()) {
            int column = columnOf(channel.getKey());
            if (column >= cells.size()) {
                bad(line, "the line is cut short: column " + (column + 1) + " is missing");
                return;
            }
            cell(line, channel.getKey(), cells.get(column), stamp);
        }
    }

    private static int columnOf(String key) {
        try {
            return Integer.parseInt(key);
        } catch (NumberFormatException e) {
            return Integer.MAX_VALUE - 1;
        }
    }

    private void cell(TextLines.Line line, String key, String cell, Stamp stamp) {
        Meaning meaning = plan.meanings().get(key);
        if (meaning == null || Cells.blank(cell)) {
            return;
        }
        double value = Cells.number(cell);
        if (!Double.isFinite(value)) {
            bad(line, "“" + shortened(cell) + "” is not a number");
            return;
        }
        clocks.computeIfAbsent(key, k -> new LocalClock<>(plan.zone(), this::told, this::refused))
                .accept(stamp, new Taken(meaning, value, line.number(), line.text()));
    }

    private void told(Instant at, Taken taken) {
        check(taken.meaning(), at, taken.value(), taken.line(), taken.text(), now, sink);
    }

    private void refused(String reason, Taken taken) {
        sink.bad(taken.line(), shortened(taken.text()), reason);
    }

    private void bad(TextLines.Line line, String reason) {
        sink.bad(line.number(), shortened(line.text()), reason);
    }

    private static String shortened(String text) {
        return text.length() > SHOWN_OF_A_LINE ? text.substring(0, SHOWN_OF_A_LINE) + "…" : text;
    }

    /** What a line with one reading calls it; null when the line is cut short. */
    static @Nullable String key(List<String> cells, Layout layout) {
        Integer name = layout.nameColumn();
        Integer unit = layout.unitColumn();
        if (name == null || cells.size() <= name || (unit != null && cells.size() <= unit)) {
            return null;
        }
        List<String> parts = new ArrayList<>(List.of(cells.get(name)));
        if (unit != null && !cells.get(unit).isEmpty()) {
            parts.add(cells.get(unit));
        }
        return String.join(" ", parts);
    }
}
