package jollytide.core.dosingline;

import java.util.List;
import jollytide.core.evidence.Estimate;

/**
 * What the fills of a line since its last change say together: short fills say little alone. From the newest back, each
 * weighs by the inverse of its variance, as far as they agree: a tube that wears is judged by what it gives now.
 *
 * @param share with its 90 % band, 1 for all of what was planned
 * @param sure what the deviation of the share allows to say in spite of many looks, as {@link Delivered}
 */
record Fills(Estimate share, double sure) {
    /** Two fills agree where they differ by less than so many deviations of their difference. */
    private static final double AGREE = 2;

    /** @param runs at least one, in their order, between which nothing was changed */
    static Fills of(List<Delivered> runs) {
        Delivered newest = runs.get(runs.size() - 1);
        double share = newest.share().value();
        double weight = 1 / variance(newest);
        for (int i = runs.size() - 2; i >= 0; i--) {
            double other = runs.get(i).share().value();
            double variance = variance(runs.get(i));
            if (Math.abs(other - share) > AGREE * Math.sqrt(variance + 1 / weight)) {
                break;
            }
            share = (share * weight + other / variance) / (weight + 1 / variance);
            weight += 1 / variance;
        }
        double deviation = 1 / Math.sqrt(weight);
        return new Fills(
                new Estimate(
                        share, Math.max(0, share - Delivered.NINETY * deviation), share + Delivered.NINETY * deviation),
                Delivered.SURE * deviation);
    }

    boolean fallsShort() {
        return share.value() + sure < Delivered.ENOUGH;
    }

    boolean tooMuch() {
        return share.value() - sure > 2 - Delivered.ENOUGH;
    }

    private static double variance(Delivered run) {
        double deviation = (run.share().high() - run.share().value()) / Delivered.NINETY;
        return deviation * deviation;
    }
}
