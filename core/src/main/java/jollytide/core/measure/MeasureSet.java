package jollytide.core.measure;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import jollytide.core.units.InputException;

/** What is put on a tank together; one of each kind at most. {@link #NONE} changes nothing. */
public record MeasureSet(List<Measure> all) {
    public static final MeasureSet NONE = new MeasureSet(List.of());

    public MeasureSet {
        all = List.copyOf(all);
        Set<Class<?>> kinds = new HashSet<>();
        for (Measure measure : all) {
            if (!kinds.add(measure.getClass())) {
                throw new InputException(
                        "measures", all.size(), "one of each kind", "The same change is " + "listed twice.");
            }
        }
    }

    public static MeasureSet of(Measure... measures) {
        return new MeasureSet(List.of(measures));
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }

    /** These, and of what stood before what none of them replaces. */
    public MeasureSet over(MeasureSet before) {
        return new MeasureSet(Stream.concat(
                        before.all.stream().filter(old -> all.stream().noneMatch(fresh -> fresh.replaces(old))),
                        all.stream())
                .toList());
    }

    /** The same with media that never fill: those that stand on a tank are taken to be changed in time. */
    public MeasureSet keptUp() {
        return new MeasureSet(all.stream()
                .map(measure -> measure instanceof MediaMeasure media
                        ? media.with(media.use().with(media.use().media().endless()))
                        : measure)
                .toList());
    }

    /** Media before the skimmer, if there are any. */
    public Optional<MediaUse> media() {
        return all.stream()
                .filter(MediaMeasure.class::isInstance)
                .map(measure -> ((MediaMeasure) measure).use())
                .findFirst();
    }

    /** Those that a tank's readings do not show yet. */
    public MeasureSet notInTheReadings(boolean roomMeasured) {
        return new MeasureSet(all.stream()
                .filter(measure -> switch (measure.shownBy()) {
                    case NOTHING -> true;
                    case READINGS -> false;
                    case THE_ROOM_METER -> !roomMeasured;
                })
                .toList());
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
