package jollytide.core.reef;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;

/**
 * When the tank's lights go on and off.
 *
 * @param on lights-on by the lamp's own clock
 * @param off lights-off by the lamp's own clock; before {@code on} when the lit time crosses midnight; equal to it when
 *     the tank is never lit
 * @param followsClockChanges whether the lamp's clock moves with summer time; one that does not keeps standard time
 */
public record LightClock(LocalTime on, LocalTime off, boolean followsClockChanges) {

    public boolean neverLit() {
        return on.equals(off);
    }

    public boolean litAt(Instant t, ZoneId zone) {
        if (neverLit()) {
            return false;
        }
        LocalTime time = t.atZone(lampZone(t, zone)).toLocalTime();
        return on.isBefore(off) ? !time.isBefore(on) && time.isBefore(off) : !time.isBefore(on) || time.isBefore(off);
    }

    /** The latest lights-on at or before {@code t}. */
    public Instant lastOn(Instant t, ZoneId zone) {
        return last(on, t, zone);
    }

    /** The latest lights-off at or before {@code t}. */
    public Instant lastOff(Instant t, ZoneId zone) {
        return last(off, t, zone);
    }

    /** The next switch of either kind after {@code t}. */
    public Instant nextSwitch(Instant t, ZoneId zone) {
        Instant nextOn = next(on, t, zone);
        Instant nextOff = next(off, t, zone);
        return nextOn.isBefore(nextOff) ? nextOn : nextOff;
    }

    private Instant last(LocalTime time, Instant t, ZoneId zone) {
        ZoneId lamp = lampZone(t, zone);
        LocalDate day = t.atZone(lamp).toLocalDate();
        Instant today = day.atTime(time).atZone(lamp).toInstant();
        return today.isAfter(t) ? day.minusDays(1).atTime(time).atZone(lamp).toInstant() : today;
    }

    private Instant next(LocalTime time, Instant t, ZoneId zone) {
        ZoneId lamp = lampZone(t, zone);
        LocalDate day = t.atZone(lamp).toLocalDate();
        Instant today = day.atTime(time).atZone(lamp).toInstant();
        return today.isAfter(t)
                ? today
                : day.plusDays(1).atTime(time).atZone(lamp).toInstant();
    }

    private ZoneId lampZone(Instant t, ZoneId zone) {
        if (followsClockChanges) {
            return zone;
        }
        ZoneOffset standard = zone.getRules().getStandardOffset(t);
        return standard;
    }
}
