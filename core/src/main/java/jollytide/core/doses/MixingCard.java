package jollytide.core.doses;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import jollytide.core.dosing.AlkalinitySource;
import org.jspecify.annotations.Nullable;

/**
 * How a solution is mixed.
 *
 * @param powder what is weighed out
 * @param grams of it
 * @param teaspoons level ones of 5 mL, as a check by eye; null for what is only ever weighed
 * @param warmsByK how much dissolving it warms the water
 * @param steps in their order, each caution at its own
 * @param label what stands on the vessel
 */
public record MixingCard(
        String powder,
        double grams,
        @Nullable Double teaspoons,
        double warmsByK,
        List<String> steps,
        List<String> label) {
    /** Of what is wanted, so much is put in: what does not dissolve shows that it is saturated. Common practice. */
    private static final double EXCESS_LIME = 1.3;
    /** Weaker limewater has nothing left over. */
    private static final double SATURATED = 0.99;

    /** Powder that is mostly something else is the wrong powder. Washing soda in crystals is 0.37 soda ash. */
    public static final double LEAST_ASSAY = 0.3;

    private static final double HEAT_CAPACITY_J_PER_ML_K = 4.18;
    /** From here on warmth needs care. From memory. */
    private static final double WARM_K = 3;

    /**
     * What is weighed out.
     *
     * @param gramsPerSpoon of a level teaspoon; lime by the trade's rule that two in a US gallon saturate, the others from
     *     memory; null for what burns too much to be measured by eye
     * @param kjPerMol that dissolving sets free; from memory
     */
    private record Powder(
            String name,
            @Nullable Double gramsPerSpoon,
            double kjPerMol,
            @Nullable String others) {
        static Powder of(Solution.Solute solute) {
            return switch (solute) {
                case LIMEWATER -> new Powder("calcium hydroxide, Ca(OH)2", 2.85, 16.7, null);
                case SODA_ASH ->
                    new Powder(
                            "soda ash, Na2CO3 without water",
                            5.0,
                            26.7,
                            "Washing soda in crystals holds water: 2.7 times as many grams.");
                case BICARBONATE -> new Powder("sodium bicarbonate, NaHCO3", 4.8, -18.7, null);
                case SODIUM_HYDROXIDE -> new Powder("sodium hydroxide, NaOH", null, 44.5, null);
                case POTASSIUM_HYDROXIDE ->
                    new Powder(
                            "potassium hydroxide, KOH",
                            null,
                            57.6,
                            "Flakes hold about a tenth of water: by the maker's analysis, more grams.");
                case CALCIUM_CHLORIDE ->
                    new Powder(
                            "calcium chloride, CaCl2·2H2O",
                            4.2,
                            44.8,
                            "Without water it takes three quarters of the grams, and warms twice as much.");
                case MAGNESIUM_CHLORIDE ->
                    new Powder(
                            "magnesium chloride, MgCl2·6H2O",
                            4.5,
                            15,
                            "Anhydrous powder takes half the grams and gets hot. Add it slowly.");
                case MAGNESIUM_SULFATE ->
                    new Powder("magnesium sulfate, MgSO4·7H2O", 5.0, -16, "Anhydrous powder takes half the grams.");
                case POTASSIUM_CHLORIDE -> new Powder("potassium chloride, KCl", 5.0, -17.2, null);
            };
        }
    }

    private static final double LEAST_ML = 10;
    private static final double MOST_ML = 500_000;

    /**
     * @param name of the line
     * @param ml that are mixed
     * @param vesselMl that the dosing vessel takes: more is mixed for several fillings
     * @param mlPerDay that are planned
     * @param place where its hose ends; empty where nobody said
     * @param assay share of the powder's weight that is what it is bought for: 1 for pure and dry
     */
    public static MixingCard of(
            String name, Solution solution, double ml, double vesselMl, double mlPerDay, String place, double assay) {
        within("ml", ml, LEAST_ML, MOST_ML, "mL");
        Powder powder = Powder.of(solution.solute());
        boolean lime = solution.solute() == Solution.Solute.LIMEWATER;
        boolean saturated = lime && solution.molPerL() >= SATURATED * Solution.Solute.LIMEWATER.mostMolPerL();
        double grams = solution.molPerL()
                / 1000
                * solution.solute().gramsPerMol()
                * ml
                * (saturated ? EXCESS_LIME : 1)
                / within("assay", assay, LEAST_ASSAY, 1, "of the powder's weight");
        double warms = Math.max(0, powder.kjPerMol * solution.molPerL() / HEAT_CAPACITY_J_PER_ML_K);
        return new MixingCard(
                powder.name,
                grams,
                powder.gramsPerSpoon == null ? null : Double.valueOf(grams / powder.gramsPerSpoon),
                warms,
                steps(solution, powder, ml, vesselMl, warms, saturated),
                label(name, solution, powder, mlPerDay, place));
    }

    private static boolean burns(Solution solution) {
        AlkalinitySource source = solution.source();
        return source != null && source.caustic();
    }

    private static List<String> steps(
            Solution solution, Powder powder, double ml, double vesselMl, double warms, boolean saturated) {
        boolean lime = solution.solute() == Solution.Solute.LIMEWATER;
        List<String> steps = new ArrayList<>();
        steps.add(
                burns(solution)
                        ? "Goggles, gloves, dust mask; children and pets out of the room. In an eye: rinse long with water"
                                + " and get medical help."
                        : "Goggles, and no dust in the air: what is mild on a spoon stings in an eye.");
        steps.add(text(
                "Label the vessel first. Fill it with %.1f L of fresh water from reverse osmosis%s",
                ml / 1000,
                warms >= WARM_K
                        ? ", cold: it warms by about %.0f K. The vessel must bear heat and stay open.".formatted(warms)
                        : lime ? ", at room temperature: warm water holds less." : ", at room temperature."));
        steps.add(
                burns(solution)
                        ? "Powder into water, a spoonful at a time, never water onto powder, never with acids or other"
                                + " cleaners. Stir until it has dissolved."
                        : "Powder into water, and stir until it is clear.");
        if (powder.others != null) {
            steps.add(powder.others);
        }
        if (lime) {
            steps.add("Close it: air makes a white skin on it, and weak water below.");
            steps.add(
                    saturated
                            ? "Leave it until it is clear, four hours at least. A quarter of the powder stays on the ground"
                                    + " and shows that it is saturated: only the clear part is dosed, the hose ends a hand"
                                    + " above."
                            : "Leave it until it is clear, four hours at least.");
            steps.add("What stays on the ground serves one more filling; then it is waste, by your place's rules.");
        }
        if (ml > vesselMl) {
            steps.add(text(
                    "This fills the dosing vessel %.1f times. Mix it in one vessel that closes and bears a label."
                            + " Keep the rest shut, cool and locked away from children and pets.",
                    Math.floor(10 * ml / vesselMl) / 10));
        }
        steps.add("Test alkalinity before the first dose, and every two or three days at the same hour after it.");
        return List.copyOf(steps);
    }

    private static List<String> label(String name, Solution solution, Powder powder, double mlPerDay, String place) {
        List<String> label = new ArrayList<>();
        label.add(name);
        label.add(text("%s, %.3g mol/L in water", powder.name, solution.molPerL()));
        if (burns(solution)) {
            label.add("CAUSTIC. Goggles, gloves. Never with acids.");
        }
        label.add("Not for drinking. Away from children and pets.");
        label.add("In an eye: rinse long with water, get medical help.");
        label.add(text("For the tank: %.0f mL a day as planned%s", mlPerDay, place.isBlank() ? "" : ", into " + place));
        return List.copyOf(label);
    }

    private static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}
