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
    private static final double RAMP_MINUTES = 30;

    /** What acts at a local time, so many days before the end, under so much light. */
    @FunctionalInterface
    interface Life {
        Acting at(ZonedDateTime local, double daysBefore, double light);
    }

    @Override
    public Acting at(Instant t) {
        double daysBefore = Duration.between(t, end).toMillis() / 3.6e6 / DAY_H;
        return life.at(t.atZone(zone), daysBefore, lightAt(t));
    }

    @Override
    public Instant nextChange(Instant t) {
        return t.truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.HOURS);
    }

    /** Lamps that come up and go down over half an hour. */
    private double lightAt(Instant t) {
        if (!light.litAt(t, zone)) {
            return 0;
        }
        double since = Duration.between(light.lastOn(t, zone), t).toSeconds() / 60.0;
        double left = Duration.between(t, light.nextSwitch(t, zone)).toSeconds() / 60.0;
        return Math.max(0, Math.min(1, Math.min(since, left) / RAMP_MINUTES));
    }
}
