package jollytide.server.reading;

import java.time.Instant;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;

/**
 * A reading as it was taken.
 *
 * @param id series and time, the reading's name in addresses
 */
public record ReadingView(
        String id, Quantity quantity, Place place, Method method, RawUnit unit, double value, Instant at) {

    public static ReadingView of(ReadingRow row) {
        return new ReadingView(
                ReadingId.of(row.seriesId(), row.at()),
                row.quantity(),
                row.place(),
                row.method(),
                row.unit(),
                row.value(),
                row.at());
    }
}
