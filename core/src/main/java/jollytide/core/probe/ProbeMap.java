package jollytide.core.probe;

/**
 * From what a probe shows to what the pH is: {@code at7} where it shows 7, and {@code perPh} for each pH that it shows
 * more. Both on the NBS scale.
 */
public record ProbeMap(double at7, double perPh) {
    /** A probe that shows what is there. */
    public static final ProbeMap RIGHT = new ProbeMap(Nernst.ZERO_PH, 1);

    public double ph(double shown) {
        return equals(RIGHT) ? shown : at7 + perPh * (shown - Nernst.ZERO_PH);
    }

    /** By how much what it shows is too low. */
    public double correction(double shown) {
        return ph(shown) - shown;
    }

    /** Part of the way to another one. */
    ProbeMap towards(ProbeMap other, double share) {
        return new ProbeMap(at7 + share * (other.at7 - at7), perPh + share * (other.perPh - perPh));
    }
}
