package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.media.Media;
import org.jspecify.annotations.Nullable;

/**
 * Media in a stream of air that is known: in use for the first hours of each day, then in another stream or in none.
 *
 * @param begun when its first day begins
 * @param hoursPerDay in use
 * @param between what passes them for the rest of the day; null when nothing does
 */
public record MediaInStream(
        MediaBed bed, Instant begun, double hoursPerDay, Media.Stream inUse, Media.@Nullable Stream between)
        implements Part {
    private static final double DAY_H = 24;

    public MediaInStream {
        within("hoursPerDay", hoursPerDay, 0, DAY_H, "h");
    }

    @Override
    public List<Stock> stocks() {
        return bed.stocks("");
    }

    private boolean used(Moment now) {
        return now.hoursSince(begun) % DAY_H < hoursPerDay;
    }

    @Override
    public void acts(Moment now) {
        Media.Stream stream = used(now) ? inUse : between;
        if (stream != null) {
            bed.breathes(now, 0, stream);
        }
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        double hours = now.hoursSince(begun);
        double day = Math.floor(hours / DAY_H) * DAY_H;
        double next = hours % DAY_H < hoursPerDay && hoursPerDay < DAY_H ? day + hoursPerDay : day + DAY_H;
        Instant then = begun.plus(Duration.ofMillis(Math.round(next * 3.6e6)));
        return then.isAfter(now.at()) && then.isBefore(until) && hoursPerDay < DAY_H ? then : until;
    }
}
