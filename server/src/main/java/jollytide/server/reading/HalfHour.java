package jollytide.server.reading;

import java.time.Instant;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.RawUnit;

/**
 * What half an hour of a series holds, in the series' unit.
 *
 * @param start of the half hour
 * @param n how many readings
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
        Instant highAt) {}
