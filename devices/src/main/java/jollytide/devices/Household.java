package jollytide.devices;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import jollytide.core.reef.LightClock;
import jollytide.core.twin.Conditions;

/**
 * Conditions told by the wall clock and by the days left until the history ends; they may switch at every full hour.
 *
 * @param end when the history ends
 * @param life what acts, told by the local time and the days before the end
 */
record Household(Instant end, ZoneId zone, LightClock light, Life life) implements Conditions {
    private static final double DAY_H = 24;

    /** What acts at a local time, so many days before the end, under so much light. */
    @FunctionalInterface
    interface Life {
        Acting at(ZonedDateTime local, double daysBefore, double light);
    }

    @Override
    public Acting at(Instant t) {
        double daysBefore = Duration.between(t, end).toMillis() / 3.6e6 / DAY_H;
        return life.at(t.atZone(zone), daysBefore, light.levelAt(t, zone));
    }

    @Override
    public Instant nextChange(Instant t) {
        return t.truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS);
    }
}
