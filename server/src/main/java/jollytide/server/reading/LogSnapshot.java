package jollytide.server.reading;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.probe.ProbeHistory;

/**
 * What the log held of a tank, its room and its outdoor air at a moment.
 *
 * @param newest reading of each series until then
 * @param halfHours oldest first within a series
 * @param probe what is known of the pH probe: its readings are read through it
 */
public record LogSnapshot(
        Instant at, List<ReadingRow> newest, Map<What, List<HalfHour>> halfHours, ProbeHistory probe) {
    /** A quantity at a place. */
    public record What(Quantity quantity, Place place) {}

    /** The newest reading that is not too old; of two at one time that of a checked probe. */
    public Optional<ReadingRow> latest(Quantity quantity, Place place, Duration maxAge) {
        return newest.stream()
                .filter(row -> row.quantity() == quantity && row.place() == place)
                .filter(row -> !row.at().isBefore(at.minus(maxAge)))
                .max(Comparator.comparing(ReadingRow::at).thenComparing(row -> row.method() == Method.PROBE_CHECKED));
    }

    public List<HalfHour> halfHours(Quantity quantity, Place place) {
        return halfHours.getOrDefault(new What(quantity, place), List.of());
    }
}
