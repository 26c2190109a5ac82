package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

import org.jspecify.annotations.Nullable;

/**
 * One tank that could be behind the log.
 *
 * @param skimmerFactor what the skimmer carries, over what its physics lets expect
 * @param respirationMmolPerLPerH at 25 °C
 * @param photosynthesisMmolPerLPerH gross, at full light and 25 °C
 * @param surfaceFactor likewise of the surfaces; 1 when null
 */
public record MetabolicParameters(
        double skimmerFactor,
        double respirationMmolPerLPerH,
        double photosynthesisMmolPerLPerH,
        @Nullable Double surfaceFactor) {
    /** With surfaces as their physics lets expect. */
    public MetabolicParameters(double skimmerFactor, double respiration, double photosynthesis) {
        this(skimmerFactor, respiration, photosynthesis, null);
    }

    /** What the surfaces carry, over what is expected of them. */
    public double surfaceTimes() {
        return surfaceFactor == null ? 1 : surfaceFactor;
    }

    /** An ordinary mixed reef. From memory; replaced by a fit as soon as there is a log. */
    public static final MetabolicParameters ORDINARY = new MetabolicParameters(1, 0.018, 0.034);
    /** A tank of which only its kind is known. */
    public static MetabolicParameters of(Livestock kind) {
        return new MetabolicParameters(
                1,
                kind.respiration() * ORDINARY.respirationMmolPerLPerH(),
                kind.photosynthesis() * ORDINARY.photosynthesisMmolPerLPerH());
    }

    public MetabolicParameters {
        within("skimmerFactor", skimmerFactor, 0.1, 10, "");
        within("surfaceFactor", surfaceFactor == null ? 1 : surfaceFactor, 0.1, 10, "");
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 2, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 2, "mmol/(L·h)");
    }
}
