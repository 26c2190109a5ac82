package jollytide.core.logfile;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Channel.Guess;
import org.jspecify.annotations.Nullable;

/** Guesses from name and numbers what a channel is. The words and usual values are common practice, with no source. */
final class ChannelGuess {
    private ChannelGuess() {}

    private record Words(Quantity quantity, Pattern pattern) {}

    private static final List<Words> NAMES = List.of(
            words(Quantity.CO2, "co2|co₂|carbon ?dioxide|kohlendioxid"),
            words(Quantity.OXYGEN, "oxygen|\\bo2\\b|o₂|\\bdo\\b|sauerstoff|zuurstof|oxygène"),
            words(Quantity.PH, "(^|[^a-z])ph([^a-z]|$)"),
            words(Quantity.TEMPERATURE, "temp|\\bwt\\b|°c|°f|celsius|fahrenheit"),
            words(Quantity.ALKALINITY, "alk|\\bkh\\b|dkh|carbonate hardness"),
            words(Quantity.SALINITY, "salin|\\bsal\\b|\\bsg\\b|gravity|conduct|leitf|salzgehalt|zoutgehalte"),
            words(Quantity.AMMONIA, "ammoni|\\bnh[34]"),
            words(Quantity.NITRITE, "nitrit|\\bno2\\b"),
            words(Quantity.CALCIUM, "calcium|\\bca\\b|kalzium"),
            words(Quantity.POTASSIUM, "potassium|kalium"),
            words(Quantity.MAGNESIUM, "magnesi"));

    private record UnitWords(RawUnit unit, Pattern pattern) {}

    private static final List<UnitWords> UNITS = List.of(
            unit(RawUnit.PH_NBS, "\\bnbs\\b|\\bnist\\b"),
            unit(RawUnit.PH_TOTAL, "\\btotal\\b"),
            unit(RawUnit.FAHRENHEIT, "°\\s?f|\\bdeg ?f|\\bf\\b|fahrenheit"),
            unit(RawUnit.CELSIUS, "°\\s?c|\\bdeg ?c|\\bc\\b|celsius"),
            unit(RawUnit.DKH, "dkh|°dh"),
            unit(RawUnit.MEQ_PER_L, "meq"),
            unit(RawUnit.PPM_CACO3, "ppm"),
            unit(RawUnit.MS_PER_CM, "ms/cm|conduct|leitf"),
            unit(RawUnit.PSU, "psu|ppt|‰"),
            unit(RawUnit.OXYGEN_PERCENT, "%|percent"),
            unit(RawUnit.AMMONIA_N_MG_PER_L, "\\bn\\b|nitrogen"),
            unit(RawUnit.AMMONIUM_MG_PER_L, "mg|ppm|nh4"),
            unit(RawUnit.NITRITE_N_MG_PER_L, "\\bn\\b|nitrogen"),
            unit(RawUnit.NITRITE_MG_PER_L, "mg|ppm|no2"),
            unit(RawUnit.CALCIUM_MG_PER_L, "mg|ppm"),
            unit(RawUnit.POTASSIUM_MG_PER_L, "mg|ppm"),
            unit(RawUnit.MAGNESIUM_MG_PER_L, "mg|ppm"));

    private static Words words(Quantity quantity, String regex) {
        return new Words(quantity, Pattern.compile(regex));
    }

    private static UnitWords unit(RawUnit unit, String regex) {
        return new UnitWords(unit, Pattern.compile(regex));
    }

    /**
     * @param name the channel's name in the file; empty when it has none
     * @param cells some of its cells
     * @param pressureMatters whether the home lies so high that an uncompensated CO2 meter would mislead
     */
    static Guess of(String name, List<String> cells, boolean pressureMatters) {
        var exact = Meaning.ofName(name);
        if (exact.isPresent()) {
            Meaning m = exact.get();
            return new Guess(m.unit().quantity(), List.of(m.unit()), List.of(m.place()), m.method());
        }
        double[] values = cells.stream()
                .mapToDouble(Cells::number)
                .filter(Double::isFinite)
                .sorted()
                .toArray();
        if (values.length == 0) {
            return Guess.NONE;
        }
        String text = name.toLowerCase(Locale.ROOT).replace('_', ' ');
        Quantity quantity = NAMES.stream()
                .filter(w -> w.pattern().matcher(text).find())
                .map(Words::quantity)
                .findFirst()
                .orElseGet(() -> name.isEmpty() ? byValue(values[values.length / 2]) : null);
        if (quantity == null) {
            return Guess.NONE;
        }
        String units = text + " " + String.join(" ", cells).toLowerCase(Locale.ROOT);
        return new Guess(
                quantity, units(quantity, units, values, pressureMatters), places(quantity, text), method(quantity));
    }

    /** Of a column without a name: the ranges in which a reef's numbers lie do not overlap much. */
    private static @Nullable Quantity byValue(double median) {
        if (median >= 7 && median <= 9) {
            return Quantity.PH;
        }
        if ((median >= 18 && median <= 31) || (median >= 65 && median <= 90)) {
            return Quantity.TEMPERATURE;
        }
        return median >= 350 && median <= 5000 ? Quantity.CO2 : null;
    }

    private static List<RawUnit> units(Quantity quantity, String text, double[] values, boolean pressureMatters) {
        List<RawUnit> possible = new ArrayList<>();
        for (RawUnit unit : RawUnit.values()) {
            long inside = Arrays.stream(values)
                    .filter(v -> v >= unit.min() && v <= unit.max())
                    .count();
            if (unit.quantity() == quantity && inside * 2 > values.length) {
                possible.add(unit);
            }
        }
        if (quantity == Quantity.CO2 && !pressureMatters) {
            possible.remove(RawUnit.CO2_PPM_UNCOMPENSATED);
        }
        List<RawUnit> named = UNITS.stream()
                .filter(w ->
                        possible.contains(w.unit()) && w.pattern().matcher(text).find())
                .map(UnitWords::unit)
                .toList();
        return named.isEmpty() ? List.copyOf(possible) : List.of(named.get(0));
    }

    private static List<Place> places(Quantity quantity, String text) {
        if (quantity != Quantity.CO2) {
            return List.of(Place.TANK);
        }
        if (text.matches(".*(out(door|side)|aussen|außen|buiten).*")) {
            return List.of(Place.OUTDOORS);
        }
        if (text.matches(".*(intake|inlet|skimmer).*")) {
            return List.of(Place.INTAKE);
        }
        if (text.matches(".*(room|indoor|inside|raum|kamer).*")) {
            return List.of(Place.ROOM);
        }
        return List.of(Place.ROOM, Place.OUTDOORS, Place.INTAKE);
    }

    private static Method method(Quantity quantity) {
        return switch (quantity) {
            case PH -> Method.PROBE;
            case ALKALINITY, CALCIUM, POTASSIUM, MAGNESIUM -> Method.TITRATION_KIT;
            case AMMONIA, NITRITE -> Method.COLOUR_KIT;
            case TEMPERATURE, SALINITY, OXYGEN, CO2 -> Method.METER;
        };
    }
}
