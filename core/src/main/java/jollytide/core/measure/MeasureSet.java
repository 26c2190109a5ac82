package jollytide.core.measure;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import jollytide.core.units.InputException;

/** What is put on a tank together; one of each kind at most. {@link #NONE} changes nothing. */
public record MeasureSet(List<Measure> all) {
    public static final MeasureSet NONE = new MeasureSet(List.of());

    public MeasureSet {
        all = List.copyOf(all);
        Set<Class<?>> kinds = new HashSet<>();
        for (Measure measure : all) {
            if (!kinds.add(measure.getClass())) {
                throw new InputException("measures", all.size(), "one of each kind", "The same measure stands twice.");
            }
        }
    }

    public static MeasureSet of(Measure... measures) {
        return new MeasureSet(List.of(measures));
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }

    /** The dose that is tried, if one is. */
    public Optional<Dose> dose() {
        return all.stream().filter(Dose.class::isInstance).map(Dose.class::cast).findFirst();
    }

    /** The same set with another amount of its dose. */
    public MeasureSet withDose(double meqPerLPerDay) {
        return new MeasureSet(all.stream()
                .map(measure -> measure instanceof Dose dose ? dose.withMeqPerLPerDay(meqPerLPerDay) : measure)
                .toList());
    }
}
