package jollytide.server.reading;

import java.time.Duration;
import java.time.Instant;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.RawUnit;
import jollytide.core.probe.ProbeHistory;
import jollytide.core.probe.ProbeMap;
import jollytide.core.seawater.Seawater;

/**
 * What half an hour of a series holds, in the series' unit and as it was read.
 *
 * @param start of the half hour
 * @param n how many readings
 * @param probe what its calibrations make of them; of a pH probe's only
 */
public record HalfHour(
        long seriesId,
        RawUnit unit,
        Method method,
        Instant start,
        int n,
        double mean,
        double low,
        Instant lowAt,
        double high,
        Instant highAt,
        ProbeMap probe) {
    private static final Duration MIDDLE = Duration.ofMinutes(15);

    /** One of its values in the core's unit, corrected. */
    public double standard(double raw, Seawater water, double pressureHpa) {
        return probe.ph(unit.toStandard(raw, water, pressureHpa));
    }

    /** Their mean in the core's unit, corrected. */
    public double mean(Seawater water, double pressureHpa) {
        return standard(mean, water, pressureHpa);
    }

    HalfHour through(ProbeHistory history) {
        return new HalfHour(
                seriesId, unit, method, start, n, mean, low, lowAt, high, highAt, history.at(start.plus(MIDDLE)));
    }
}
