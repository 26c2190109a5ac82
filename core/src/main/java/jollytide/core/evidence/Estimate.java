package jollytide.core.evidence;

import java.util.Collection;
import java.util.function.ToDoubleFunction;

/**
 * A computed value with the band that its inputs' errors leave open.
 *
 * <p>Each input is moved by its own error, up and down, with the others held; the deviations that lead the same way are
 * added in quadrature (first-order propagation, as in JCGM 100:2008, 5.1, taken one-sided since the carbonate system is
 * far from linear over a probe's error).
 */
public record Estimate(double value, double low, double high) {

    /** The inputs with one of them moved by its error, up and down. */
    public record Spread<T>(T raised, T lowered) {

        /** Half the difference that this one error makes to {@code f}. */
        public double doubt(ToDoubleFunction<T> f) {
            return Math.abs(f.applyAsDouble(raised) - f.applyAsDouble(lowered)) / 2;
        }
    }

    /** A value without doubt. */
    public static Estimate exact(double value) {
        return new Estimate(value, value, value);
    }

    /** Whether a value lies in the band, its ends included. */
    public boolean holds(double other) {
        return other >= low && other <= high;
    }

    /** The same in another unit, or of so many such pieces. */
    public Estimate times(double factor) {
        double one = low * factor;
        double other = high * factor;
        return new Estimate(value * factor, Math.min(one, other), Math.max(one, other));
    }

    /** The value of {@code f} at the measured inputs, with the band that {@code spreads} leave open. */
    public static <T> Estimate of(T measured, Collection<Spread<T>> spreads, ToDoubleFunction<T> f) {
        double value = f.applyAsDouble(measured);
        double up = 0;
        double down = 0;
        for (Spread<T> spread : spreads) {
            double a = f.applyAsDouble(spread.raised()) - value;
            double b = f.applyAsDouble(spread.lowered()) - value;
            double rise = Math.max(0, Math.max(a, b));
            double fall = Math.min(0, Math.min(a, b));
            up += rise * rise;
            down += fall * fall;
        }
        return new Estimate(value, value - Math.sqrt(down), value + Math.sqrt(up));
    }
}
