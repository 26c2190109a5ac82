package jollytide.core.fit;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;

/** A measured value, in the unit of the list that it stands in. */
public record Reading(Instant at, double value) {
    private static final int MINUTES = 30;

    /** In which half hour of the clock it lies, 0 to 47. */
    public int halfHour(ZoneId zone) {
        ZonedDateTime local = at.atZone(zone);
        return (local.getHour() * 60 + local.getMinute()) / MINUTES;
    }
}
