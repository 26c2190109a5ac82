package jollytide.core.measure;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * A kind of measure in the registry: what it is called, what it needs, how it is set, and how it is made.
 *
 * @param id for links and stored sets; it never changes
 * @param shortName in a list of what is on
 * @param group of which one at a time can be on; null when it goes with everything
 * @param fault whether it is something that goes wrong rather than something to do
 * @param reversible whether it can be taken back in an hour
 * @param lookFor where to look when less came of it than is possible, each with the number that would show it
 */
public record MeasureKind(
        String id,
        String name,
        String shortName,
        @Nullable Group group,
        boolean fault,
        boolean reversible,
        Needs needs,
        Function<Surroundings, List<Parameter>> parametersOf,
        Maker maker,
        List<String> lookFor) {

    /** Kinds of which one at a time can be on. */
    public enum Group {
        ALKALINITY_SOURCE,
        MEDIA
    }

    /** What it needs of a tank. */
    public enum Needs {
        NOTHING("any tank"),
        SKIMMER("a tank with a skimmer"),
        CABINET("a tank with its sump in a cabinet"),
        CANOPY("a tank under a canopy"),
        REACTOR("a tank with a calcium reactor"),
        DOSES("a tank with a known alkalinity use"),
        ROOM_VOLUME("a room whose volume is described");

        private final String words;

        Needs(String words) {
            this.words = words;
        }

        /** What a tank must have, in words. */
        public String words() {
            return words;
        }

        boolean metBy(Surroundings known) {
            return switch (this) {
                case NOTHING -> true;
                case SKIMMER -> known.setup().skimmer() != null;
                case CABINET -> known.setup().cabinet() != null;
                case CANOPY -> known.setup().canopy() != null;
                case REACTOR -> known.setup().reactor() != null;
                case DOSES ->
                    known.setup().useMeqPerLPerDay()
                            > known.setup().reactorAsDescribed(r -> r).alkalinityMeq();
                case ROOM_VOLUME -> known.roomM3() != null;
            };
        }
    }

    /** Makes a measure of its settings. */
    public interface Maker {
        Measure make(Values values, Surroundings known);
    }

    static MeasureKind of(String id, String name) {
        return new MeasureKind(
                id,
                name,
                name.toLowerCase(Locale.ROOT),
                null,
                false,
                true,
                Needs.NOTHING,
                known -> List.of(),
                (v, k) -> {
                    throw new IllegalStateException(id + " is not made");
                },
                List.of());
    }

    MeasureKind shortly(String words) {
        return new MeasureKind(id, name, words, group, fault, reversible, needs, parametersOf, maker, lookFor);
    }

    MeasureKind group(Group one) {
        return new MeasureKind(id, name, shortName, one, fault, reversible, needs, parametersOf, maker, lookFor);
    }

    MeasureKind asFault() {
        return new MeasureKind(id, name, shortName, group, true, reversible, needs, parametersOf, maker, lookFor);
    }

    MeasureKind forGood() {
        return new MeasureKind(id, name, shortName, group, fault, false, needs, parametersOf, maker, lookFor);
    }

    MeasureKind needs(Needs what) {
        return new MeasureKind(id, name, shortName, group, fault, reversible, what, parametersOf, maker, lookFor);
    }

    MeasureKind parameters(Function<Surroundings, List<Parameter>> of) {
        return new MeasureKind(id, name, shortName, group, fault, reversible, needs, of, maker, lookFor);
    }

    MeasureKind makes(Maker by) {
        return new MeasureKind(id, name, shortName, group, fault, reversible, needs, parametersOf, by, lookFor);
    }

    MeasureKind whenLess(String... places) {
        return new MeasureKind(
                id, name, shortName, group, fault, reversible, needs, parametersOf, maker, List.of(places));
    }

    public boolean fits(Surroundings known) {
        return needs.metBy(known);
    }

    public List<Parameter> parameters(Surroundings known) {
        return parametersOf.apply(known);
    }

    /**
     * With these settings; those that are left out stand as they do at first.
     *
     * @throws InputException when the tank lacks what it needs, or a setting is unknown or impossible
     */
    public Measure make(Map<String, Double> numbers, Map<String, String> choices, Surroundings known) {
        if (!fits(known)) {
            throw new InputException(id, 0, needs.words, "This needs " + needs.words + ".");
        }
        return maker.make(new Values(this, parameters(known), numbers, choices), known);
    }

    /** The settings of one measure. */
    public static final class Values {
        private final MeasureKind kind;
        private final Map<String, Parameter> parameters;
        private final Map<String, Double> numbers;
        private final Map<String, String> choices;

        Values(MeasureKind kind, List<Parameter> all, Map<String, Double> numbers, Map<String, String> choices) {
            this.kind = kind;
            this.parameters = all.stream().collect(Collectors.toMap(Parameter::name, p -> p));
            this.numbers = numbers;
            this.choices = choices;
            numbers.keySet().forEach(name -> check(name, true));
            choices.keySet().forEach(name -> check(name, false));
        }

        private void check(String name, boolean number) {
            Parameter parameter = parameters.get(name);
            if (parameter == null || number == (parameter.number() == null)) {
                throw new InputException(
                        kind.id + "." + name,
                        0,
                        parameters.values().stream()
                                .map(Parameter::name)
                                .sorted()
                                .collect(Collectors.joining(", ")),
                        "“" + kind.name + "” has no such " + (number ? "number." : "choice."));
            }
        }

        private Parameter parameter(String name) {
            Parameter parameter = parameters.get(name);
            if (parameter == null) {
                throw new IllegalStateException(kind.id + " reads an undescribed " + name);
            }
            return parameter;
        }

        /** Whether it was left as it stands at first. */
        public boolean left(String name) {
            return numbers.get(name) == null && choices.get(name) == null;
        }

        public double number(String name) {
            Double given = numbers.get(name);
            Double first = parameter(name).number();
            return given != null ? given : first == null ? 0 : first;
        }

        public String choice(String name) {
            Parameter parameter = parameter(name);
            String given = choices.getOrDefault(name, parameter.choice() == null ? "" : parameter.choice());
            if (parameter.options().stream().noneMatch(option -> option.value().equals(given))) {
                throw new InputException(
                        kind.id + "." + name,
                        0,
                        parameter.options().stream()
                                .map(Parameter.Option::value)
                                .collect(Collectors.joining(", ")),
                        "“" + kind.name + "” can’t have that value.");
            }
            return given;
        }

        public <E extends Enum<E>> E choice(String name, Class<E> of) {
            return Enum.valueOf(of, choice(name));
        }
    }
}
