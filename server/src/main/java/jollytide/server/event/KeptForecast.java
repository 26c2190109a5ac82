package jollytide.server.event;

import java.time.Instant;
import jollytide.core.evidence.Estimate;

/**
 * What was forecast of measures when they were put on a tank; the settled day's values with fresh media.
 *
 * @param knownUntil up to where the log was known that it was made from
 * @param gainPh of the trough, over the same day's without them
 * @param settleHours until they have come through
 */
public record KeptForecast(
        Instant knownUntil,
        Estimate troughPh,
        Estimate peakPh,
        Estimate gainPh,
        Estimate lowestOxygenMgPerL,
        Estimate settleHours) {}
