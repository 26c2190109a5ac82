package jollytide.core.twin;

import java.time.Instant;
import java.util.function.ToDoubleFunction;

/**
 * Heater, chiller, lamps and room together: what keeps the water at the temperature that was read.
 *
 * @param celsius at a moment
 */
public record WarmedAsRead(ToDoubleFunction<Instant> celsius) implements Part {
    /** It follows what was read so closely: a step would stop the run at each reading. */
    private static final double FOLLOWS_WITHIN_H = 0.5;

    @Override
    public void acts(Moment now) {
        now.warmBy((celsius.applyAsDouble(now.at()) - now.celsius()) / FOLLOWS_WITHIN_H);
    }
}
