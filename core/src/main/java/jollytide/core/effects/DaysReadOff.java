package jollytide.core.effects;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import jollytide.core.units.InputException;

/**
 * Lowest or highest pH of some days, as somebody read them off a picture or a note: one number for each day.
 *
 * @param ph NBS scale or any other, all on the same
 */
public record DaysReadOff(List<Double> ph) {
    private static final int MOST_DAYS = 31;
    private static final double LEAST_PH = 5;
    private static final double MOST_PH = 11;
    /** Between days; a comma counts as one where it is not a decimal's. */
    private static final Pattern BETWEEN = Pattern.compile("\\s*;\\s*|\\s*,\\s+|\\s+");

    private static final Pattern COMMA = Pattern.compile(",");
    private static final Pattern NUMBER = Pattern.compile("\\d+([.,]\\d+)?");
    private static final Pattern POINTS_AND_COMMAS = Pattern.compile("\\d+\\.\\d+(,\\d+\\.\\d+)+");
    /** From a lowest to a highest: between 7.6 and 7.8 no day stands. */
    private static final Pattern RANGE = Pattern.compile("(?i).*\\d\\s*(?:[-–—…~]|\\.\\.+|to\\b|bis\\b)\\s*\\d.*");

    /**
     * @param field whose text it is
     * @throws InputException for what is no list of days' readings; a range is none
     */
    public static DaysReadOff of(String field, String text) {
        if (RANGE.matcher(text).matches()) {
            throw new InputException(
                    field, 0, "one number for each day", "A range is not a reading. Enter one number for each day.");
        }
        List<String> words = BETWEEN.splitAsStream(text.strip().replaceAll("[,;]$", ""))
                .flatMap(
                        word -> POINTS_AND_COMMAS.matcher(word).matches() ? COMMA.splitAsStream(word) : Stream.of(word))
                .toList();
        List<Double> ph = new ArrayList<>();
        for (String word : words) {
            if (!NUMBER.matcher(word).matches()) {
                throw new InputException(
                        field,
                        ph.size() + 1,
                        "numbers like 7.75, with blanks, semicolons or commas between them",
                        "The " + (ph.size() + 1) + ". of them is not a number.");
            }
            ph.add(within(field, Double.parseDouble(word.replace(',', '.')), LEAST_PH, MOST_PH, "pH"));
        }
        if (ph.size() > MOST_DAYS) {
            throw new InputException(field, ph.size(), "1 to " + MOST_DAYS + " days", "Too many days.");
        }
        return new DaysReadOff(ph);
    }

    public DaysReadOff {
        ph = List.copyOf(ph);
    }

    /** Whether so few days tell little. */
    public boolean thin() {
        return ph.size() < Shift.LEAST_DAYS;
    }
}
