package jollytide.core.suspects;

import java.util.Collection;

/** Normal distributions, and sums of probabilities by their logarithms. */
final class Gauss {
    private Gauss() {}

    /** Natural logarithm of a normal density. */
    static double ln(double x, double mean, double variance) {
        return -0.5 * (Math.log(2 * Math.PI * variance) + (x - mean) * (x - mean) / variance);
    }

    /**
     * Natural logarithm of how many times more probable a measured size is where a fault is behind it than where none is
     * (Bayes factor; Kass and Raftery 1995).
     *
     * @param variance of the measuring
     * @param typical of the fault, with its own standard deviation {@code spread}
     * @param usual standard deviation of what is there without a fault
     */
    static double factor(double measured, double variance, double typical, double spread, double usual) {
        return ln(measured, typical, variance + spread * spread) - ln(measured, 0, variance + usual * usual);
    }

    /** Natural logarithm of the mean of numbers that are given by their logarithms. */
    static double lnMeanExp(Collection<Double> ln) {
        double most = ln.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        return most
                + Math.log(ln.stream()
                        .mapToDouble(l -> Math.exp(l - most))
                        .average()
                        .orElseThrow());
    }

    /** The same of two, with their weights. */
    static double mixed(double weight, double one, double other) {
        double most = Math.max(one, other);
        return most + Math.log(weight * Math.exp(one - most) + (1 - weight) * Math.exp(other - most));
    }
}
