package jollytide.core.logfile;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Splits a line into cells, and reads numbers from them. */
final class Cells {
    private Cells() {}

    /** The cells of {@code line}, or null when its quotes don’t match (RFC 4180). */
    static @Nullable List<String> split(String line, char delimiter) {
        if (line.indexOf('"') >= 0) {
            return quoted(line, delimiter);
        }
        List<String> cells = new ArrayList<>(8);
        int from = 0;
        for (int i = line.indexOf(delimiter); i >= 0; i = line.indexOf(delimiter, from)) {
            cells.add(line.substring(from, i).strip());
            from = i + 1;
        }
        cells.add(line.substring(from).strip());
        return cells;
    }

    private static @Nullable List<String> quoted(String line, char delimiter) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setTrim(true)
                .get();
        try (CSVParser parser = CSVParser.parse(line, format)) {
            List<CSVRecord> records = parser.getRecords();
            return records.size() == 1 ? records.get(0).toList() : null;
        } catch (IOException | RuntimeException e) {
            return null;
        }
    }

    /** Whether a cell says that nothing was measured. */
    static boolean blank(String cell) {
        return cell.isEmpty()
                || switch (cell) {
                    case "-", "--", "---", "NA", "N/A", "n/a", "na", "NaN", "nan", "null", "NULL", "None", "?" -> true;
                    default -> false;
                };
    }

    /**
     * A number with point or comma before its decimals, with or without a unit behind; NaN when it is none. One
     * separator only: whether 1.234,5 is a thousand or one is not guessed.
     */
    static double number(String cell) {
        int end = cell.length();
        while (end > 0 && !isDigit(cell.charAt(end - 1))) {
            end--;
        }
        if (end == 0 || !isUnit(cell, end)) {
            return Double.NaN;
        }
        int separators = 0;
        StringBuilder digits = new StringBuilder(end);
        for (int i = 0; i < end; i++) {
            char c = cell.charAt(i);
            if (isDigit(c) || (i == 0 && (c == '-' || c == '+'))) {
                digits.append(c);
            } else if ((c == '.' || c == ',') && ++separators == 1) {
                digits.append('.');
            } else {
                return scientific(cell);
            }
        }
        return Double.parseDouble(digits.toString());
    }

    /** 8.1E0, as some programs export. */
    private static double scientific(String cell) {
        if (cell.length() > 30 || !cell.matches("[+-]?\\d+([.]\\d+)?[eE][+-]?\\d{1,3}")) {
            return Double.NaN;
        }
        return Double.parseDouble(cell);
    }

    private static boolean isUnit(String cell, int from) {
        return cell.length() == from
                || cell.substring(from).strip().matches("°?[CF]|ppm|pH|dKH|meq/[lL]|mg/[lL]|mS/cm|psu|ppt|%");
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }
}
