package jollytide.core.reef;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;

/** A light clock laid out over a stretch of time, for a run that asks for it many thousand times. */
public final class LightCourse {
    private final long[] on;
    private final long[] off;
    private final double rampS;

    public LightCourse(LightClock clock, ZoneId zone, Instant from, Duration length) {
        List<LightClock.Lit> lit = clock.litBetween(
                from.minus(Duration.ofDays(1)), from.plus(length).plus(Duration.ofDays(1)), zone);
        on = lit.stream().mapToLong(l -> l.from().getEpochSecond()).toArray();
        off = lit.stream().mapToLong(l -> l.to().getEpochSecond()).toArray();
        rampS = clock.rampMinutes() * 60.0;
    }

    /** As {@link LightClock#levelAt}. */
    public double levelAt(Instant t) {
        double s = seconds(t);
        for (int i = 0; i < on.length; i++) {
            if (s >= on[i] && s < off[i]) {
                return rampS == 0 ? 1 : Math.min(1, Math.min(s - on[i], off[i] - s) / rampS);
            }
        }
        return 0;
    }

    public boolean litAt(Instant t) {
        double s = seconds(t);
        for (int i = 0; i < on.length; i++) {
            if (s >= on[i] && s < off[i]) {
                return true;
            }
        }
        return false;
    }

    /** The next moment after {@code t} at which the lamps switch or a ramp ends; {@code otherwise} when none is near. */
    public Instant nextChange(Instant t, Instant otherwise) {
        long now = t.getEpochSecond();
        long last = otherwise.getEpochSecond();
        long next = Long.MAX_VALUE;
        for (int i = 0; i < on.length; i++) {
            for (long change : new long[] {on[i], on[i] + (long) rampS, off[i] - (long) rampS, off[i]}) {
                if (change > now && change <= last && change < next && change >= on[i] && change <= off[i]) {
                    next = change;
                }
            }
        }
        // Not by whole seconds: a run that ends within one would never come to its end.
        return next == Long.MAX_VALUE ? otherwise : Instant.ofEpochSecond(next);
    }

    private static double seconds(Instant t) {
        return t.getEpochSecond() + t.getNano() * 1e-9;
    }
}
