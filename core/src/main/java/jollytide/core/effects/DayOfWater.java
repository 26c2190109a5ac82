package jollytide.core.effects;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.Reading;

/**
 * One local day that was logged closely, pH.
 *
 * @param mean of its half hours
 */
public record DayOfWater(LocalDate day, double trough, double peak, double mean) {
    /** The days among some readings that were logged closely enough to tell their extremes, in their order. */
    public static List<DayOfWater> of(Collection<Reading> halfHours, ZoneId zone) {
        List<Observation> observed = halfHours.stream()
                .map(r -> new Observation(r.value(), Method.PROBE, r.at()))
                .toList();
        Map<LocalDate, Double> means = observed.stream()
                .collect(Collectors.groupingBy(
                        o -> LocalDate.ofInstant(o.at(), zone), Collectors.averagingDouble(Observation::value)));
        return Trace.days(observed, zone).entrySet().stream()
                .map(e -> new DayOfWater(
                        e.getKey(),
                        e.getValue().trough().value(),
                        e.getValue().peak().value(),
                        Objects.requireNonNull(means.get(e.getKey()))))
                .toList();
    }
}
