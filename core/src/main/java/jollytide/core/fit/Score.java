package jollytide.core.fit;

import java.util.List;
import java.util.Optional;
import jollytide.core.evidence.Estimate;

/**
 * How forecasts did against what came.
 *
 * @param n forecasts whose day came and was logged closely
 * @param inside of them, those whose band held what came
 * @param off mean distance from what came
 * @param tooHigh mean of forecast less what came
 */
public record Score(int n, int inside, double off, double tooHigh) {

    /** A forecast and what came. */
    public record Pair(Estimate forecast, double came) {
        boolean inside() {
            return forecast.holds(came);
        }
    }

    /** Empty without a day that came. */
    public static Optional<Score> of(List<Pair> pairs) {
        if (pairs.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Score(
                pairs.size(),
                (int) pairs.stream().filter(Pair::inside).count(),
                pairs.stream()
                        .mapToDouble(p -> Math.abs(p.forecast().value() - p.came()))
                        .average()
                        .orElseThrow(),
                pairs.stream()
                        .mapToDouble(p -> p.forecast().value() - p.came())
                        .average()
                        .orElseThrow()));
    }
}
