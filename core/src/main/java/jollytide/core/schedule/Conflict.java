package jollytide.core.schedule;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something in a schedule that harms, or that cannot be meant.
 *
 * @param from when it is; null for what is always so, like {@code until}
 * @param lanes on which it shows, by their ids
 * @param because one sentence
 * @param waysOut each a schedule in which it is mended
 */
public record Conflict(
        Kind kind,
        @Nullable Instant from,
        @Nullable Instant until,
        List<String> lanes,
        String because,
        List<WayOut> waysOut) {
    /** What is wrong. */
    public enum Kind {
        /** Two rules of one strength want different things of one lane. */
        DISAGREE,
        DOSE_WITHOUT_RETURN,
        CLOSED_LOOP,
        MEDIA_DROWN,
        NO_SURGES,
        STONE_APART,
        /** Bubbles that no return carries into the display. */
        STONE_WITHOUT_RETURN,
        SKIMMER_OFF_WITH_MEDIA,
        HOLD_TOO_LONG,
        ALKALINITY_BESIDE_CALCIUM,
        /** Doses whose time comes while their line may not dose: they are not made up. */
        DOSES_LEFT_OUT,
        LAMPS_DO_NOT_FOLLOW,
        GATE_WITHOUT_FALLBACK,
        STILL_WATER,
        REST_WITHOUT_AIR,
        REST_UNSAFE,
        AFTER_POWER_UNSAFE;

        /** Whether it may not be saved. */
        public boolean forbids() {
            return this == CLOSED_LOOP || this == REST_WITHOUT_AIR || this == REST_UNSAFE || this == AFTER_POWER_UNSAFE;
        }
    }

    /** @param mended the whole schedule, with nothing else changed */
    public record WayOut(String what, Schedule mended) {}

    public Conflict {
        lanes = List.copyOf(lanes);
        waysOut = List.copyOf(waysOut);
    }
}
