package jollytide.server.reading;

import java.time.Instant;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.seawater.Seawater;

/** A reading joined with what its series says of it. */
public record ReadingRow(
        Long seriesId, Quantity quantity, Place place, Method method, RawUnit unit, Instant at, double value) {

    ReadingRow withValue(double other) {
        return new ReadingRow(seriesId, quantity, place, method, unit, at, other);
    }

    /** The reading in the core's unit. */
    public Observation standard(Seawater water, double pressureHpa) {
        return new Observation(unit.toStandard(value, water, pressureHpa), method, at);
    }
}
