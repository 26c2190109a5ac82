package jollytide.core.doses;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.dosing.AlkalinitySource;
import org.jspecify.annotations.Nullable;

/**
 * What stays behind in the water while what is dosed is used: potassium of its hydroxide, sodium of soda, bicarbonate and
 * lye, chloride of calcium chloride. Stoichiometry of the formulas.
 *
 * @param potassiumMgPerL a day
 * @param saltMgPerL a day, sodium and chloride
 */
public record Creep(double potassiumMgPerL, double saltMgPerL) {
    /** Natural seawater holds about 400 mg/L of potassium. */
    public static final double USUAL_POTASSIUM = 400;
    /** Animals suffer somewhere above. Common practice. */
    public static final double MOST_POTASSIUM = 500;

    private static final double SODIUM_G_PER_MOL = 22.990;
    private static final double CHLORINE_G_PER_MOL = 35.453;

    /** Of all lines, as they are planned. */
    public static Creep of(List<LineRules.Planned> lines, double litres) {
        double potassium = 0;
        double salt = 0;
        for (LineRules.Planned line : lines) {
            double mmolPerL = line.mlPerDay() * line.solution().molPerL() / litres;
            switch (line.solution().solute()) {
                case POTASSIUM_HYDROXIDE -> potassium += mmolPerL * AlkalinitySource.POTASSIUM_G_PER_MOL;
                case SODA_ASH -> salt += 2 * mmolPerL * SODIUM_G_PER_MOL;
                case BICARBONATE, SODIUM_HYDROXIDE -> salt += mmolPerL * SODIUM_G_PER_MOL;
                case CALCIUM_CHLORIDE -> salt += 2 * mmolPerL * CHLORINE_G_PER_MOL;
                case LIMEWATER, POTASSIUM_CHLORIDE -> {
                    // All of limewater is used; the other is refused.
                }
            }
        }
        return new Creep(potassium, salt);
    }

    /** Days until potassium passes {@link #MOST_POTASSIUM}; null where none is dosed, 0 where it has. */
    public @Nullable Double daysToMostPotassium(double now) {
        return potassiumMgPerL <= 0 ? null : Double.valueOf(Math.max(0, MOST_POTASSIUM - now) / potassiumMgPerL);
    }

    /**
     * The share of the water to change so that something falls from {@code now} to {@code wanted}.
     *
     * @param fresh what the new water holds of it
     * @return 0 where nothing is to be done
     * @throws jollytide.core.units.InputException where no change of that water brings it so far
     */
    public static double waterChange(double now, double wanted, double fresh) {
        if (now <= wanted) {
            return 0;
        }
        within("fresh", fresh, 0, wanted, "mg/L");
        return (now - wanted) / (now - fresh);
    }
}
