package jollytide.core.dosingline;

import java.util.List;
import jollytide.core.dosing.AlkalinitySource;
import org.jspecify.annotations.Nullable;

/**
 * What stays behind in the water while what is dosed is used: potassium of its hydroxide, sodium of soda, bicarbonate and
 * lye, chloride and sulfate of calcium and magnesium salts. Stoichiometry of the formulas.
 *
 * @param potassiumMgPerL a day
 * @param saltMgPerL a day, sodium, chloride and sulfate
 */
public record Creep(double potassiumMgPerL, double saltMgPerL) {
    /** Natural seawater holds about 400 mg/L of potassium. */
    public static final double USUAL_POTASSIUM = 400;
    /** Seawater of S 35 holds about 1290 mg/L of magnesium. */
    public static final double USUAL_MAGNESIUM = 1290;
    /** Animals suffer somewhere above. Common practice. */
    public static final double MOST_POTASSIUM = 500;

    /** From memory. */
    private static final double MOST_SALT_ON_TOP = 1000;

    private static final double DAYS_OF_A_WEEK = 7;
    private static final double SODIUM_G_PER_MOL = 22.990;
    private static final double CHLORINE_G_PER_MOL = 35.453;
    private static final double SULFATE_G_PER_MOL = 96.06;

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
                case CALCIUM_CHLORIDE, MAGNESIUM_CHLORIDE -> salt += 2 * mmolPerL * CHLORINE_G_PER_MOL;
                case MAGNESIUM_SULFATE -> salt += mmolPerL * SULFATE_G_PER_MOL;
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
     * The share of the water to change each week so that no more than so much stays on top of what the new water holds: at
     * the change as much goes as came in the week. Above 1 no change keeps up.
     */
    private static double weeklyChange(double mgPerLPerDay, double mostOnTop) {
        return DAYS_OF_A_WEEK * mgPerLPerDay / mostOnTop;
    }

    /** That keeps potassium below {@link #MOST_POTASSIUM}. */
    public double weeklyForPotassium() {
        return weeklyChange(potassiumMgPerL, MOST_POTASSIUM - USUAL_POTASSIUM);
    }

    /** That keeps salt within a gram per litre of what it was. */
    public double weeklyForSalt() {
        return weeklyChange(saltMgPerL, MOST_SALT_ON_TOP);
    }
}
