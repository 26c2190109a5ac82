package jollytide.core.unnoted;

import java.time.LocalDate;
import java.util.List;
import jollytide.core.evidence.Estimate;

/**
 * A change that the days of a log show.
 *
 * @param from the first day that it shows on
 * @param overDays in which it came; 1 for at once
 * @param cause which alone explains most of it
 * @param size with its 90 % band, as a factor where the cause is one, else in its unit: h, pH
 * @param evidence by how much the sum of squares falls with it: χ² of one degree of freedom, the largest of many
 * @param asWell other causes that explain it nearly as well
 * @param trough by how much such a day's trough is another, pH; {@code peak} likewise
 * @param days for each whole day around it: the cause's size on that day alone
 */
public record Unnoted(
        LocalDate from,
        int overDays,
        Cause cause,
        Estimate size,
        double evidence,
        List<Cause> asWell,
        double trough,
        double peak,
        List<DaySize> days) {

    /** Whether it surely became less. */
    public boolean less() {
        return size.high() < (cause.factor() ? 1 : 0);
    }

    /** As {@link #size}. */
    public record DaySize(LocalDate day, double size) {}
}
