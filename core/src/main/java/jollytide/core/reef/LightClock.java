package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;

/**
 * When the tank's lights go on and off.
 *
 * @param on lights-on by the lamp's own clock
 * @param off lights-off by the lamp's own clock; before {@code on} when the lit time crosses midnight; equal to it when
 *     the tank is never lit, but that from midnight to midnight is all day
 * @param followsClockChanges whether the lamp's clock moves with summer time; one that does not keeps standard time
 * @param rampMinutes how long the lamps take to come up after {@code on} and to go down before {@code off}, 0 to 360
 */
public record LightClock(LocalTime on, LocalTime off, boolean followsClockChanges, int rampMinutes) {
    private static final double LEAST_LIT_H = 0.25;

    public LightClock {
        within("rampMinutes", rampMinutes, 0, 360, "min");
    }

    /** The same lamps, their clock set so many minutes later. */
    public LightClock later(long minutes) {
        return switches()
                ? new LightClock(on.plusMinutes(minutes), off.plusMinutes(minutes), followsClockChanges, rampMinutes)
                : this;
    }

    /** The same lamps, going off so many hours earlier; at least a quarter of an hour of light is left. */
    public LightClock shorter(double hours) {
        double most = litHours() - LEAST_LIT_H;
        return switches() && hours > 0
                ? new LightClock(
                        on, off.minusMinutes(Math.round(60 * Math.min(hours, most))), followsClockChanges, rampMinutes)
                : this;
    }

    public boolean neverLit() {
        return on.equals(off) && !alwaysLit();
    }

    /** From midnight to midnight. */
    public boolean alwaysLit() {
        return on.equals(off) && on.equals(LocalTime.MIDNIGHT);
    }

    /** Whether there is a lights-on and a lights-off at all. */
    public boolean switches() {
        return !on.equals(off);
    }

    /** Hours that the lamps are on in an ordinary day, ramps included. */
    public double litHours() {
        return alwaysLit() ? 24 : (Duration.between(on, off).toMinutes() / 60.0 + 24) % 24;
    }

    /** Whether the last switch was to on: in a night whose clocks go back, lamps that went off stay off. */
    public boolean litAt(Instant t, ZoneId zone) {
        return alwaysLit() || (!neverLit() && lastOn(t, zone).isAfter(lastOff(t, zone)));
    }

    /** How bright the lamps are: 0 in the dark, 1 at full light, in between on the ramps. */
    public double levelAt(Instant t, ZoneId zone) {
        if (!litAt(t, zone)) {
            return 0;
        }
        if (rampMinutes == 0 || alwaysLit()) {
            return 1;
        }
        double since = Duration.between(lastOn(t, zone), t).toMillis() / 60_000.0;
        double left = Duration.between(t, nextSwitch(t, zone)).toMillis() / 60_000.0;
        return Math.min(1, Math.min(since, left) / rampMinutes);
    }

    /**
     * A time with the lamps on.
     *
     * @param comesUp whether it begins with lights-on rather than with the stretch that was asked about
     * @param goesDown whether it ends with lights-off
     */
    public record Lit(Instant from, Instant to, boolean comesUp, boolean goesDown) {}

    /** The lit times between {@code start} and {@code end}, in order. */
    public List<Lit> litBetween(Instant start, Instant end, ZoneId zone) {
        List<Lit> lit = new ArrayList<>();
        if (alwaysLit()) {
            return List.of(new Lit(start, end, false, false));
        }
        Instant t = start;
        while (!neverLit() && t.isBefore(end)) {
            Instant change = nextSwitch(t, zone);
            Instant until = change.isBefore(end) ? change : end;
            if (litAt(t, zone)) {
                lit.add(new Lit(t, until, !litAt(t.minusMillis(1), zone), !litAt(until, zone)));
            }
            t = until;
        }
        return lit;
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
