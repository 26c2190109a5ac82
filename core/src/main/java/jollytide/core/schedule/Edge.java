package jollytide.core.schedule;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import jollytide.core.reef.LightClock;

/** Where a window begins or ends. */
public sealed interface Edge {
    /** On that day. */
    Instant on(LocalDate day, LightClock lamps, ZoneId zone);

    /** By the home's clock. */
    record AtClock(LocalTime time) implements Edge {
        @Override
        public Instant on(LocalDate day, LightClock lamps, ZoneId zone) {
            return byTheClock(day.atTime(time), zone);
        }
    }

    /** What the lamps do. */
    enum Light {
        ON,
        OFF
    }

    /** @param minutes after the lamps go on or off; below 0 before */
    record FromLight(Light light, int minutes) implements Edge {
        @Override
        public Instant on(LocalDate day, LightClock lamps, ZoneId zone) {
            LocalDateTime at = day.atTime(light == Light.ON ? lamps.on() : lamps.off());
            Instant switched = lamps.followsClockChanges() ? byTheClock(at, zone) : byStandardTime(at, zone);
            return switched.plusSeconds(60L * minutes);
        }
    }

    /** A time that is skipped is when it is skipped; one that comes twice is the first of both. */
    static Instant byTheClock(LocalDateTime at, ZoneId zone) {
        ZoneOffsetTransition transition = zone.getRules().getTransition(at);
        return transition != null && transition.isGap()
                ? transition.getInstant()
                : at.atZone(zone).toInstant();
    }

    private static Instant byStandardTime(LocalDateTime at, ZoneId zone) {
        ZoneOffset standard = zone.getRules().getStandardOffset(at.toInstant(ZoneOffset.UTC));
        return at.toInstant(standard);
    }
}
