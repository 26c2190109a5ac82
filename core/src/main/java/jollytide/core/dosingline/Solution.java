package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.Limewater;
import org.jspecify.annotations.Nullable;

/**
 * What is in a reservoir.
 *
 * @param molPerL of what is dissolved
 */
public record Solution(Solute solute, double molPerL) {
    /** What may be dissolved, and at most how much of it, mol/L. */
    public enum Solute {
        /** Saturated at 25 °C; what is warmer holds less. */
        LIMEWATER(Limewater.SATURATED_MOL_PER_L),
        /** About what dissolves at room temperature. From memory. */
        SODA_ASH(1.5),
        /** Likewise. */
        BICARBONATE(1.0),
        /** Dissolving more heats it beyond what a bottle should bear: about 11 K for 1 mol/L. From memory. */
        SODIUM_HYDROXIDE(1.0),
        POTASSIUM_HYDROXIDE(1.0),
        /** No alkalinity. About what dissolves, in round figures. From memory. */
        CALCIUM_CHLORIDE(4.0),
        /** No alkalinity, as the two magnesium salts are. About what dissolves, in round figures. From memory. */
        MAGNESIUM_CHLORIDE(3.0),
        MAGNESIUM_SULFATE(2.0),
        /** No alkalinity either: here to be refused with the reason. */
        POTASSIUM_CHLORIDE(4.0);

        private final double mostMolPerL;

        Solute(double mostMolPerL) {
            this.mostMolPerL = mostMolPerL;
        }

        public double mostMolPerL() {
            return mostMolPerL;
        }

        /** What raises alkalinity in it; null where nothing does. */
        public @Nullable AlkalinitySource source() {
            return switch (this) {
                case LIMEWATER -> AlkalinitySource.LIMEWATER;
                case SODA_ASH -> AlkalinitySource.SODA_ASH;
                case BICARBONATE -> AlkalinitySource.BICARBONATE;
                case SODIUM_HYDROXIDE -> AlkalinitySource.SODIUM_HYDROXIDE;
                case POTASSIUM_HYDROXIDE -> AlkalinitySource.POTASSIUM_HYDROXIDE;
                case CALCIUM_CHLORIDE, MAGNESIUM_CHLORIDE, MAGNESIUM_SULFATE, POTASSIUM_CHLORIDE -> null;
            };
        }

        public double meqPerMol() {
            return switch (this) {
                case LIMEWATER, SODA_ASH -> 2000;
                case BICARBONATE, SODIUM_HYDROXIDE, POTASSIUM_HYDROXIDE -> 1000;
                case CALCIUM_CHLORIDE, MAGNESIUM_CHLORIDE, MAGNESIUM_SULFATE, POTASSIUM_CHLORIDE -> 0;
            };
        }

        public double calciumMgPerMol() {
            return switch (this) {
                case LIMEWATER, CALCIUM_CHLORIDE -> AlkalinitySource.CALCIUM_MG_PER_MOL;
                default -> 0;
            };
        }

        public double magnesiumMgPerMol() {
            return this == MAGNESIUM_CHLORIDE || this == MAGNESIUM_SULFATE ? MAGNESIUM_MG_PER_MOL : 0;
        }

        public double potassiumMgPerMol() {
            return this == POTASSIUM_HYDROXIDE ? 1000 * AlkalinitySource.POTASSIUM_G_PER_MOL : 0;
        }

        /**
         * Of the powder as it is usually sold: dry and pure, with its water of crystallisation (two of calcium chloride, six
         * of magnesium chloride, seven of its sulfate). IUPAC atomic weights.
         */
        public double gramsPerMol() {
            AlkalinitySource source = source();
            if (source != null) {
                return source.gramsPerEquivalent() * meqPerMol() / 1000;
            }
            return switch (this) {
                case CALCIUM_CHLORIDE -> 147.014;
                case MAGNESIUM_CHLORIDE -> 203.301;
                case MAGNESIUM_SULFATE -> 246.471;
                default -> 74.551;
            };
        }
    }

    private static final double MAGNESIUM_MG_PER_MOL = 24_305;
    private static final double WATER_G_PER_ML = 0.998;

    public Solution {
        within("molPerL", molPerL, 0, solute.mostMolPerL(), "mol/L");
    }

    /** At room temperature, g/mL; straight with what is dissolved, from memory of handbook tables, to one in a hundred. */
    public double gramsPerMl() {
        double perMol = switch (solute) {
            case LIMEWATER -> 0.06;
            case SODA_ASH -> 0.100;
            case BICARBONATE -> 0.056;
            case SODIUM_HYDROXIDE -> 0.041;
            case POTASSIUM_HYDROXIDE -> 0.047;
            case CALCIUM_CHLORIDE -> 0.086;
            case MAGNESIUM_CHLORIDE -> 0.072;
            case MAGNESIUM_SULFATE -> 0.112;
            case POTASSIUM_CHLORIDE -> 0.045;
        };
        return WATER_G_PER_ML + perMol * molPerL;
    }

    /** What raises alkalinity in it; null where nothing does. */
    public @Nullable AlkalinitySource source() {
        return solute.source();
    }

    /** Whether it carries carbonate or hydroxide that calcium falls out with. */
    boolean basic() {
        return switch (solute) {
            case SODA_ASH, BICARBONATE, SODIUM_HYDROXIDE, POTASSIUM_HYDROXIDE -> true;
            case LIMEWATER, CALCIUM_CHLORIDE, MAGNESIUM_CHLORIDE, MAGNESIUM_SULFATE, POTASSIUM_CHLORIDE -> false;
        };
    }

    /** meq in a millilitre. */
    public double meqPerMl() {
        return solute.meqPerMol() / 1000 * molPerL;
    }

    /** mg in a millilitre. */
    public double calciumMgPerMl() {
        return solute.calciumMgPerMol() / 1000 * molPerL;
    }

    /** mg in a millilitre. */
    public double magnesiumMgPerMl() {
        return solute.magnesiumMgPerMol() / 1000 * molPerL;
    }

    /** mg in a millilitre. */
    public double potassiumMgPerMl() {
        return solute.potassiumMgPerMol() / 1000 * molPerL;
    }

    /** Whether it falls out where it meets carbonate or hydroxide. */
    boolean fallsOut() {
        return calciumMgPerMl() > 0 || magnesiumMgPerMl() > 0;
    }
}
