package jollytide.core.bench;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.reef.Livestock;

/**
 * One tank that could be behind the log.
 *
 * @param skimmerFactor what the skimmer carries, over what its physics lets expect
 * @param respirationMmolPerLPerH at 25 °C
 * @param photosynthesisMmolPerLPerH gross, at full light and 25 °C
 */
public record Living(double skimmerFactor, double respirationMmolPerLPerH, double photosynthesisMmolPerLPerH) {
    /** An ordinary mixed reef. From memory; replaced by a fit as soon as there is a log. */
    public static final Living ORDINARY = new Living(1, 0.018, 0.034);
    /** A tank of which only its kind is known. */
    public static Living of(Livestock kind) {
        return new Living(
                1,
                kind.respiration() * ORDINARY.respirationMmolPerLPerH(),
                kind.photosynthesis() * ORDINARY.photosynthesisMmolPerLPerH());
    }

    /** How far the skimmer may be from what is expected of it. From memory. */
    public static final List<Double> SKIMMER_FACTORS = List.of(1.0, 0.6, 1.6);

    public Living {
        within("skimmerFactor", skimmerFactor, 0.1, 10, "");
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 2, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 2, "mmol/(L·h)");
    }
}
