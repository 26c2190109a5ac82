package jollytide.server.reading;

import java.time.Instant;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Plausible;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.probe.ProbeMap;
import org.jspecify.annotations.Nullable;

/**
 * A reading as it was taken.
 *
 * @param id series and time, the reading's name in addresses
 * @param usual what tanks usually read, such as "5–14 dKH"; null where this is usual
 * @param corrected what the probe's calibrations make of it, in the same unit; null where they change nothing
 */
public record ReadingView(
        String id,
        Quantity quantity,
        Place place,
        Method method,
        RawUnit unit,
        double value,
        Instant at,
        @Nullable Double corrected,
        @Nullable String usual) {

    public static ReadingView of(ReadingRow row) {
        return new ReadingView(
                ReadingId.of(row.seriesId(), row.at()),
                row.quantity(),
                row.place(),
                row.method(),
                row.unit(),
                row.value(),
                row.at(),
                row.unit() == RawUnit.PH_NBS && !row.probe().equals(ProbeMap.RIGHT)
                        ? row.probe().ph(row.value())
                        : null,
                Plausible.doubt(row.unit(), row.value())
                        .map(Plausible.Doubt::usual)
                        .orElse(null));
    }
}
