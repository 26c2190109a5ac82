package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;

/**
 * What a reservoir held at a moment.
 *
 * @param ml as it was read
 * @param deviation of such a reading, mL, one standard deviation
 */
public record ReservoirLevel(Instant at, double ml, double deviation) {
    /** Read at marks on the vessel, mL. Common practice, no source. */
    public static final double AT_MARKS_ML = 15;

    public ReservoirLevel {
        within("ml", ml, 0, 1_000_000, "mL");
        within("deviation", deviation, 0.1, 100_000, "mL");
    }
}
