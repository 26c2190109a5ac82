package jollytide.core.effects;

import java.util.List;
import java.util.stream.IntStream;

/** Of many comparisons some show a change by chance alone: which of them stand when all are counted. */
public final class ManyCards {
    /** Of those that stand, this share is by chance. */
    private static final double FALSE_SHARE = 0.1;

    private ManyCards() {}

    /**
     * Benjamini and Hochberg 1995.
     *
     * @param chances of each, as {@link Comparison#chance}
     * @return whether each stands, in their order
     */
    public static List<Boolean> stand(List<Double> chances) {
        return stand(chances, FALSE_SHARE);
    }

    static List<Boolean> stand(List<Double> chances, double falseShare) {
        List<Double> sorted = chances.stream().sorted().toList();
        double most = IntStream.range(0, sorted.size())
                .filter(i -> sorted.get(i) <= falseShare * (i + 1) / sorted.size())
                .mapToDouble(sorted::get)
                .max()
                .orElse(-1);
        return chances.stream().map(chance -> chance <= most).toList();
    }
}
