package jollytide.core.dosingline;

import java.util.List;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;

/**
 * What the tank used a day before a change of its pH and since. Animals calcify faster at a higher pH, crusts grow faster,
 * too: a step of use goes with a step of pH, and proves nothing of what brought it.
 *
 * @param changed with its 90 % band
 */
public record UseStep(Use before, Use after, Estimate changed) {
    /** What the bands leave open. */
    public enum Said {
        ROSE,
        FELL,
        NOT_TOLD
    }

    /**
     * Of alkalinity, meq/L a day.
     *
     * @param before tests of the weeks before, in their order, {@code after} likewise
     * @return null where one side has too few tests
     */
    public static @Nullable UseStep of(List<Reading> before, List<Reading> after, Use.Arrivals arrivals) {
        Use then = Use.of(before, arrivals, Use.ALKALINITY_TEST);
        Use since = Use.of(after, arrivals, Use.ALKALINITY_TEST);
        if (then == null || since == null) {
            return null;
        }
        Estimate a = then.perDay();
        Estimate b = since.perDay();
        double value = b.value() - a.value();
        return new UseStep(
                then,
                since,
                new Estimate(
                        value,
                        value - Math.hypot(b.value() - b.low(), a.high() - a.value()),
                        value + Math.hypot(b.high() - b.value(), a.value() - a.low())));
    }

    public Said said() {
        return changed.low() > 0 ? Said.ROSE : changed.high() < 0 ? Said.FELL : Said.NOT_TOLD;
    }
}
