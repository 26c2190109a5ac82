package jollytide.core.description;

import java.time.Instant;
import java.time.ZoneId;
import java.time.zone.ZoneOffsetTransition;

/** Local time of day in hours, quickly: the zone's rules are asked only when its clocks change. */
public final class LocalHours {
    private final ZoneId zone;
    private long from = Long.MAX_VALUE;
    private long until = Long.MIN_VALUE;
    private long offsetS;

    public LocalHours(ZoneId zone) {
        this.zone = zone;
    }

    public double at(Instant t) {
        long s = t.getEpochSecond();
        if (s < from || s >= until) {
            offsetS = zone.getRules().getOffset(t).getTotalSeconds();
            ZoneOffsetTransition last = zone.getRules().previousTransition(t.plusNanos(1));
            ZoneOffsetTransition next = zone.getRules().nextTransition(t);
            from = last == null ? Long.MIN_VALUE : last.toEpochSecond();
            until = next == null ? Long.MAX_VALUE : next.toEpochSecond();
        }
        return Math.floorMod(s + offsetS, 86_400L) / 3600.0 + t.getNano() / 3.6e12;
    }
}
