package jollytide.core.measure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A setting of a measure, as a screen draws it: a number on a slide or a choice. The range is that of the slide; what a
 * measure allows it checks itself.
 *
 * @param label what the number is, after it or before it
 * @param number where it stands at first; null for a choice
 * @param choice likewise; null for a number
 * @param options of a choice; of a number the sizes in which it comes, if it does not come in any
 * @param tells whether it belongs into the measure's few words
 * @param shownWith the choice of another parameter without which it has no meaning; null when it always has one
 */
public record Parameter(
        String name,
        String label,
        Unit unit,
        double min,
        double max,
        double step,
        @Nullable Double number,
        @Nullable String choice,
        List<Option> options,
        boolean tells,
        @Nullable Option shownWith) {

    /** What a number counts; screens show it in their keeper's units. */
    public enum Unit {
        NONE,
        TIMES,
        SHARE,
        METRES,
        MILLIMETRES,
        BUBBLE_MILLIMETRES,
        KILOGRAMS,
        KELVIN,
        LITRES_PER_H,
        CUBIC_METRES_PER_H,
        ML_PER_DAY,
        MMOL_PER_H,
        DKH,
        PH,
        PPM,
        HOUR
    }

    /** One of several; of {@link #shownWith} the other parameter's name and its choice. */
    public record Option(String value, String label) {}

    static Parameter number(String name, String label, Unit unit) {
        return new Parameter(name, label, unit, 0, 1, 0.1, 0.0, null, List.of(), false, null);
    }

    static Parameter choice(String name, String label) {
        return new Parameter(name, label, Unit.NONE, 0, 0, 0, null, null, List.of(), false, null);
    }

    Parameter range(double least, double most, double by) {
        return new Parameter(name, label, unit, least, most, by, number, choice, options, tells, shownWith);
    }

    Parameter at(double value) {
        return new Parameter(name, label, unit, min, max, step, value, null, options, tells, shownWith);
    }

    Parameter at(String value) {
        return new Parameter(name, label, unit, min, max, step, null, value, options, tells, shownWith);
    }

    Parameter option(String value, String words) {
        List<Option> all = new ArrayList<>(options);
        all.add(new Option(value, words));
        return new Parameter(name, label, unit, min, max, step, number, choice, List.copyOf(all), tells, shownWith);
    }

    /** One of these sizes rather than anything between. */
    Parameter among(double... sizes) {
        List<Option> all = Arrays.stream(sizes)
                .mapToObj(size -> new Option(String.valueOf(size), ""))
                .toList();
        return new Parameter(name, label, unit, min, max, step, number, choice, all, tells, shownWith);
    }

    Parameter telling() {
        return new Parameter(name, label, unit, min, max, step, number, choice, options, true, shownWith);
    }

    Parameter with(String other, String itsChoice) {
        return new Parameter(
                name, label, unit, min, max, step, number, choice, options, tells, new Option(other, itsChoice));
    }
}
