package jollytide.core.logfile;

import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Proposes how a file is laid out, from samples of it. */
public final class LayoutFinder {
    private static final char[] DELIMITERS = {';', '\t', ',', '|'};
    private static final int SAMPLE_LINES = 600;
    private static final int SAMPLES_SHOWN = 5;
    private static final int MAX_NAMES = 60;
    private static final double MOST = 0.7;
    private static final int PLAUSIBLE_FROM_YEAR = 1990;

    private final boolean pressureMatters;
    private final List<String> head;
    private final List<String> later;

    private LayoutFinder(List<String> head, List<String> later, boolean pressureMatters) {
        this.head = head;
        this.later = later;
        this.pressureMatters = pressureMatters;
    }

    /**
     * A proposal for the file that begins with {@code head}.
     *
     * @param later whole lines from elsewhere in the file: they tell day from month where its first day does not
     * @param pressureMatters whether the home lies so high that a CO2 meter without compensation would mislead
     * @throws FileRefused when no column of times or none of numbers is found
     */
    public static Proposal propose(InputStream head, TextForm form, List<String> later, boolean pressureMatters)
            throws IOException {
        TextLines lines = new TextLines(head, form);
        List<String> sample = new ArrayList<>();
        for (TextLines.Line line = lines.next(); line != null && sample.size() < SAMPLE_LINES; line = lines.next()) {
            sample.add(line.text());
        }
        return new LayoutFinder(sample, later, pressureMatters).propose();
    }

    /** A way of reading the times: where they stand and in which forms they read. */
    private record Times(int column, @Nullable Integer timeOfDay, List<TimeForm> forms) {}

    /** The sample under one delimiter. */
    private record Split(char delimiter, List<List<String>> rows, Times times, int first, int numbers) {
        List<List<String>> data() {
            return rows.subList(first, rows.size());
        }
    }

    private Proposal propose() {
        Split split = IntStream.range(0, DELIMITERS.length)
                .mapToObj(i -> split(DELIMITERS[i]))
                .flatMap(Optional::stream)
                .max(Comparator.comparingInt(Split::numbers))
                .orElseThrow(this::noTimes);
        Times times = split.times();
        List<TimeForm> forms = told(split, times);
        List<String> header = split.first() > 0 ? split.rows().get(split.first() - 1) : List.of();
        Layout wide = new Layout(
                split.delimiter(), split.first(), times.column(), times.timeOfDay(), forms.get(0), null, null, null);
        Layout layout = oneReadingALine(split, wide, header);
        List<Channel> channels =
                layout.oneReadingALine() ? namedChannels(split, layout) : columnChannels(split, layout, header);
        if (channels.isEmpty()) {
            throw new FileRefused("We found times, but no column of numbers.");
        }
        boolean zoneStated = split.data().stream()
                .map(row -> stamp(row, times, forms.get(0)))
                .filter(Objects::nonNull)
                .allMatch(s -> s.offset() != null);
        return new Proposal(layout, forms, zoneStated, channels);
    }

    private FileRefused noTimes() {
        String first = head.stream().filter(l -> !l.isBlank()).findFirst().orElse("");
        return new FileRefused("We found no column of times with numbers. We looked for dates such as "
                + "2026-11-12 09:55, 12.11.2026 09:55 or seconds since 1970. The file begins with: "
                + (first.length() > 120 ? first.substring(0, 120) + "…" : first));
    }

    private Optional<Split> split(char delimiter) {
        List<List<String>> rows = head.stream()
                .map(line -> Objects.requireNonNullElse(Cells.split(line, delimiter), List.<String>of()))
                .toList();
        int columns = rows.stream().mapToInt(List::size).max().orElse(0);
        Times best = null;
        int bestCount = 0;
        for (int column = 0; column < Math.min(columns, 60); column++) {
            Times times = times(rows, column);
            int count = times == null ? 0 : count(rows, times);
            if (count > bestCount) {
                best = times;
                bestCount = count;
            }
        }
        if (best == null) {
            return Optional.empty();
        }
        Times times = best;
        int first = IntStream.range(0, rows.size())
                .filter(i -> stamp(rows.get(i), times, times.forms().get(0)) != null)
                .findFirst()
                .orElse(0);
        int numbers = rows.subList(first, rows.size()).stream()
                .mapToInt(row -> numbers(row, times))
                .sum();
        return numbers == 0 ? Optional.empty() : Optional.of(new Split(delimiter, rows, times, first, numbers));
    }

    private static int count(List<List<String>> rows, Times times) {
        return (int) rows.stream()
                .filter(row -> stamp(row, times, times.forms().get(0)) != null)
                .count();
    }

    private static int numbers(List<String> row, Times times) {
        return (int) IntStream.range(0, row.size())
                .filter(i -> i != times.column() && !Objects.equals(i, times.timeOfDay()))
                .filter(i -> Double.isFinite(Cells.number(row.get(i))))
                .count();
    }

    /** The forms in which most lines' cell in {@code column} is a time; null when it is no column of times. */
    private static @Nullable Times times(List<List<String>> rows, int column) {
        List<String> cells = rows.stream()
                .filter(row -> row.size() > column)
                .map(row -> row.get(column))
                .filter(cell -> !cell.isEmpty())
                .toList();
        Map<TimeForm, Long> counts = new LinkedHashMap<>();
        for (TimeForm form : TimeForm.values()) {
            long readable = cells.stream()
                    .map(cell -> form.read(cell, null))
                    .filter(s -> s != null && s.local().getYear() >= PLAUSIBLE_FROM_YEAR)
                    .count();
            if (readable > 0) {
                counts.put(form, readable);
            }
        }
        long best = counts.values().stream().mapToLong(Long::longValue).max().orElse(0);
        // Half a file may be preamble, but a lone date in a note is no column of times.
        if (best == 0 || best * 2 < cells.size() - 40) {
            return null;
        }
        List<TimeForm> forms = counts.entrySet().stream()
                .filter(e -> e.getValue() >= best)
                .map(Map.Entry::getKey)
                .toList();
        boolean dateOnly = forms.get(0).compareTo(TimeForm.EPOCH_SECONDS) < 0
                && cells.stream().noneMatch(TimeForm::hasTimeOfDay);
        return new Times(column, dateOnly ? timeOfDayColumn(rows) : null, forms);
    }

    private static @Nullable Integer timeOfDayColumn(List<List<String>> rows) {
        int columns = rows.stream().mapToInt(List::size).max().orElse(0);
        for (int column = 0; column < columns; column++) {
            int c = column;
            long cells = rows.stream().filter(row -> row.size() > c).count();
            long times = rows.stream()
                    .filter(row -> row.size() > c && TimeForm.isTimeOfDay(row.get(c)))
                    .count();
            if (times > 0 && times > MOST * cells - 40) {
                return column;
            }
        }
        return null;
    }

    private static @Nullable Stamp stamp(List<String> row, Times times, TimeForm form) {
        Integer timeOfDay = times.timeOfDay();
        if (row.size() <= times.column() || (timeOfDay != null && row.size() <= timeOfDay)) {
            return null;
        }
        Stamp stamp = form.read(row.get(times.column()), timeOfDay == null ? null : row.get(timeOfDay));
        return stamp == null || stamp.local().getYear() < PLAUSIBLE_FROM_YEAR ? null : stamp;
    }

    /**
     * The forms that remain once the whole file had its say: a form that cannot read a line falls away, and of day and
     * month first the one that makes the log jump about by weeks gives way to the one that runs on.
     */
    private List<TimeForm> told(Split split, Times times) {
        List<List<String>> rows = new ArrayList<>(split.data());
        for (String line : later) {
            List<String> row = Cells.split(line, split.delimiter());
            if (row != null && times.forms().stream().anyMatch(form -> stamp(row, times, form) != null)) {
                rows.add(row);
            }
        }
        Map<TimeForm, Integer> counts = new LinkedHashMap<>();
        times.forms()
                .forEach(form -> counts.put(form, (int) rows.stream()
                        .filter(row -> stamp(row, times, form) != null)
                        .count()));
        int most = counts.values().stream().mapToInt(Integer::intValue).max().orElse(0);
        List<TimeForm> forms = counts.entrySet().stream()
                .filter(e -> e.getValue() == most)
                .map(Map.Entry::getKey)
                .toList();
        if (!forms.contains(TimeForm.DAY_FIRST) || !forms.contains(TimeForm.MONTH_FIRST)) {
            return List.of(forms.get(0));
        }
        Duration dayFirst = largestStep(rows, times, TimeForm.DAY_FIRST);
        Duration monthFirst = largestStep(rows, times, TimeForm.MONTH_FIRST);
        Duration weeks = Duration.ofDays(20);
        if (dayFirst.compareTo(weeks) < 0 && monthFirst.compareTo(weeks) > 0) {
            return List.of(TimeForm.DAY_FIRST);
        }
        if (monthFirst.compareTo(weeks) < 0 && dayFirst.compareTo(weeks) > 0) {
            return List.of(TimeForm.MONTH_FIRST);
        }
        return List.of(TimeForm.DAY_FIRST, TimeForm.MONTH_FIRST);
    }

    private static Duration largestStep(List<List<String>> rows, Times times, TimeForm form) {
        Duration largest = Duration.ZERO;
        Stamp last = null;
        for (List<String> row : rows) {
            Stamp stamp = stamp(row, times, form);
            if (stamp != null && last != null) {
                Duration step = Duration.between(last.local(), stamp.local()).abs();
                largest = step.compareTo(largest) > 0 ? step : largest;
            }
            last = stamp == null ? last : stamp;
        }
        return largest;
    }

    /** One column of numbers, one of recurring names: then each line is one reading. */
    private static Layout oneReadingALine(Split split, Layout wide, List<String> header) {
        List<Integer> numeric = new ArrayList<>();
        List<Integer> names = new ArrayList<>();
        int columns = split.data().stream().mapToInt(List::size).max().orElse(0);
        for (int c = 0; c < columns; c++) {
            if (c == wide.timeColumn() || Objects.equals(c, wide.timeOfDayColumn())) {
                continue;
            }
            List<String> cells = cells(split, c);
            long numbers =
                    cells.stream().filter(x -> Double.isFinite(Cells.number(x))).count();
            if (numbers > MOST * cells.size()) {
                numeric.add(c);
            } else if (numbers == 0 && !cells.isEmpty()) {
                names.add(c);
            }
        }
        List<Integer> telling =
                names.stream().filter(c -> isName(cells(split, c))).toList();
        if (numeric.size() != 1 || telling.isEmpty()) {
            return wide;
        }
        Integer unit = telling.size() > 1
                ? telling.stream()
                        .filter(c -> c < header.size() && header.get(c).matches("(?i).*(unit|einheit|eenheid).*"))
                        .findFirst()
                        .orElse(null)
                : null;
        int name = telling.stream().filter(c -> !c.equals(unit)).findFirst().orElseThrow();
        return new Layout(
                wide.delimiter(),
                wide.skipLines(),
                wide.timeColumn(),
                wide.timeOfDayColumn(),
                wide.timeForm(),
                name,
                unit,
                numeric.get(0));
    }

    private static boolean isName(List<String> cells) {
        long distinct = cells.stream().distinct().count();
        boolean known = cells.stream()
                .anyMatch(cell -> Meaning.ofName(cell).isPresent()
                        || ChannelGuess.of(cell, List.of("1"), false).quantity() != null);
        return distinct <= MAX_NAMES && (known || (distinct > 1 && distinct * 2 <= cells.size()));
    }

    private static List<String> cells(Split split, int column) {
        return split.data().stream()
                .filter(row -> row.size() > column && !Cells.blank(row.get(column)))
                .map(row -> row.get(column))
                .toList();
    }

    private List<Channel> columnChannels(Split split, Layout layout, List<String> header) {
        List<Channel> channels = new ArrayList<>();
        int columns = split.data().stream().mapToInt(List::size).max().orElse(0);
        for (int c = 0; c < columns; c++) {
            List<String> cells = cells(split, c);
            boolean time = c == layout.timeColumn() || Objects.equals(c, layout.timeOfDayColumn());
            if (!time && cells.stream().anyMatch(x -> Double.isFinite(Cells.number(x)))) {
                String name = c < header.size() ? header.get(c) : "";
                channels.add(new Channel(
                        Integer.toString(c),
                        name.isEmpty() ? "column " + (c + 1) : name,
                        cells.stream().limit(SAMPLES_SHOWN).toList(),
                        ChannelGuess.of(name, cells, pressureMatters)));
            }
        }
        return channels;
    }

    private List<Channel> namedChannels(Split split, Layout layout) {
        Map<String, List<String>> byName = new LinkedHashMap<>();
        List<List<String>> rows = new ArrayList<>(split.data());
        later.forEach(line -> rows.add(Objects.requireNonNullElse(Cells.split(line, layout.delimiter()), List.of())));
        for (List<String> row : rows) {
            String key = LogReader.key(row, layout);
            int value = Objects.requireNonNull(layout.valueColumn());
            if (key != null && row.size() > value && Double.isFinite(Cells.number(row.get(value)))) {
                byName.computeIfAbsent(key, k -> new ArrayList<>()).add(row.get(value));
            }
        }
        return byName.entrySet().stream()
                .limit(MAX_NAMES)
                .map(e -> Channel.of(e.getKey(), e.getKey(), e.getValue(), SAMPLES_SHOWN, pressureMatters))
                .toList();
    }
}
