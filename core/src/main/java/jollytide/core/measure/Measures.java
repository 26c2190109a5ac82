package jollytide.core.measure;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import jollytide.core.units.InputException;

/** The registry: all that can be put on a tank, from cheap to dear, then what may go wrong. */
public final class Measures {
    private static final List<MeasureKind> ALL = List.of(
            Ventilation.KIND,
            Agitation.KIND,
            CabinetAir.KIND,
            CanopyAir.KIND,
            AirStone.KIND,
            OutdoorStone.KIND,
            SurfaceFan.KIND,
            OutdoorLine.KIND,
            Scrubber.KIND,
            RecirculatedMedia.KIND,
            Dose.LIMEWATER,
            Dose.ANOTHER_SOURCE,
            AlkalinityChange.KIND,
            MoreAlgae.KIND,
            ReactorCare.KIND,
            SecondSkimmer.KIND,
            Ventilator.KIND,
            NobodyHome.KIND,
            Guests.KIND,
            SkimmerDraw.KIND,
            Lamps.KIND,
            DosesShort.KIND,
            Warmth.KIND);

    private Measures() {}

    public static List<MeasureKind> all() {
        return ALL;
    }

    /**
     * One of a set, as it came from outside.
     *
     * @param numbers settings by name; what is left out stands as at first
     * @param choices likewise
     */
    public record Put(String kind, Map<String, Double> numbers, Map<String, String> choices) {
        /** Links and sets from before carry the names that kinds and settings had then. */
        private static final Map<String, String> FORMER_NAMES =
                Map.of("led-back-media", "recirculated-media", "ledBack", "recirculated");

        public Put {
            kind = FORMER_NAMES.getOrDefault(kind, kind);
            Map<String, Double> today = new HashMap<>();
            numbers.forEach((name, number) -> today.put(FORMER_NAMES.getOrDefault(name, name), number));
            numbers = Map.copyOf(today);
        }
    }

    /** The kind of this id. */
    public static MeasureKind kind(String id) {
        return ALL.stream()
                .filter(kind -> kind.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException(
                        "measures",
                        0,
                        String.join(", ", ALL.stream().map(MeasureKind::id).toList()),
                        "There is no change “" + (id.length() > 40 ? id.substring(0, 40) : id) + "”."));
    }

    /** All of them on one tank. */
    public static MeasureSet set(List<Put> puts, Surroundings known) {
        Set<MeasureKind.Group> taken = EnumSet.noneOf(MeasureKind.Group.class);
        for (Put put : puts) {
            MeasureKind.Group group = kind(put.kind()).group();
            if (group != null && !taken.add(group)) {
                throw new InputException(
                        put.kind(), 2, "one of its kind", "Only one of " + names(group) + " can be tried at a time.");
            }
        }
        return new MeasureSet(puts.stream()
                .map(put -> kind(put.kind()).make(put.numbers(), put.choices(), known))
                .toList());
    }

    private static String names(MeasureKind.Group group) {
        return String.join(
                " and ",
                ALL.stream()
                        .filter(kind -> kind.group() == group)
                        .map(kind -> "“" + kind.name() + "”")
                        .toList());
    }
}
