package jollytide.server.reading;

import java.time.Instant;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.probe.ProbeHistory;
import jollytide.core.probe.ProbeMap;
import jollytide.core.seawater.Seawater;

/**
 * A reading joined with what its series says of it.
 *
 * @param value as it was taken
 * @param probe what its calibrations make of it; of a pH probe's only
 */
public record ReadingRow(
        Long seriesId,
        Quantity quantity,
        Place place,
        Method method,
        RawUnit unit,
        Instant at,
        double value,
        ProbeMap probe) {

    /** As it was taken. */
    ReadingRow(Long seriesId, Quantity quantity, Place place, Method method, RawUnit unit, Instant at, double value) {
        this(seriesId, quantity, place, method, unit, at, value, ProbeMap.RIGHT);
    }

    ReadingRow withValue(double other) {
        return new ReadingRow(seriesId, quantity, place, method, unit, at, other, probe);
    }

    /** Read through the calibrations of the probe that it is from. */
    ReadingRow through(ProbeHistory history) {
        return isProbes(quantity, place, method)
                ? new ReadingRow(seriesId, quantity, place, method, unit, at, value, history.at(at))
                : this;
    }

    /** Whether a series is that of the probe in the tank's water. One that was checked by hand is taken as it is. */
    static boolean isProbes(Quantity quantity, Place place, Method method) {
        return quantity == Quantity.PH && place == Place.TANK && method == Method.PROBE;
    }

    /** The reading in the core's unit, corrected. */
    public Observation standard(Seawater water, double pressureHpa) {
        return new Observation(probe.ph(unit.toStandard(value, water, pressureHpa)), method, at);
    }
}
