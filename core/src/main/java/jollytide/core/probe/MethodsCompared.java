package jollytide.core.probe;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import jollytide.core.evidence.Observation;

/** Two methods at one hour: a colour kit read at 21:00 beside the probe at 21:00. */
public final class MethodsCompared {
    /** Readings further apart are of different waters. From memory. */
    private static final Duration AT_ONE_HOUR = Duration.ofMinutes(30);

    private MethodsCompared() {}

    /** A reading by another method and the probe's beside it, both NBS scale. */
    public record Pair(Instant at, double probe, double other) {
        public double difference() {
            return other - probe;
        }
    }

    /**
     * Each reading of the other method with the probe's nearest one, oldest first.
     *
     * @param probe corrected
     */
    public static List<Pair> pairs(List<Observation> probe, List<Observation> other) {
        return other.stream()
                .sorted(Comparator.comparing(Observation::at))
                .flatMap(o -> probe.stream()
                        .min(Comparator.comparing(p -> apart(p, o)))
                        .filter(p -> apart(p, o).compareTo(AT_ONE_HOUR) <= 0)
                        .map(p -> new Pair(o.at(), p.value(), o.value()))
                        .stream())
                .toList();
    }

    /** What the other method shows more, on average; empty without a pair. */
    public static OptionalDouble meanDifference(List<Pair> pairs) {
        return pairs.stream().mapToDouble(Pair::difference).average();
    }

    private static Duration apart(Observation a, Observation b) {
        return Duration.between(a.at(), b.at()).abs();
    }
}
