package jollytide.core.dosingline;

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
                            "Washing soda crystals contain water: use 2.7 times as many grams.");
                case BICARBONATE -> new Powder("sodium bicarbonate, NaHCO3", 4.8, -18.7, null);
                case SODIUM_HYDROXIDE -> new Powder("sodium hydroxide, NaOH", null, 44.5, null);
                case POTASSIUM_HYDROXIDE ->
                    new Powder(
                            "potassium hydroxide, KOH",
                            null,
                            57.6,
                            "Flakes contain about a tenth water. Use more grams, by the maker’s analysis.");
                case CALCIUM_CHLORIDE ->
                    new Powder(
                            "calcium chloride, CaCl2·2H2O",
                            4.2,
                            44.8,
                            "Anhydrous powder takes three quarters of the grams and heats up twice as much.");
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
                        ? "Wear goggles, gloves and a dust mask. Keep children and pets out of the room. If it "
                                + "gets in an eye, rinse long with water and get medical help."
                        : "Wear goggles and raise no dust: even mild powders sting in the eye.");
        steps.add(text(
                "Label the vessel first. Fill it with %.1f L of fresh water (RO)%s",
                ml / 1000,
                warms >= WARM_K
                        ? (", cold. The solution heats up by about %.0f K. Use a heat-proof vessel and leave "
                                        + "it open.")
                                .formatted(warms)
                        : lime ? ", at room temperature. Warm water dissolves less." : ", at room temperature."));
        steps.add(
                burns(solution)
                        ? "Add powder to water, one spoonful at a time, never water to powder. Never mix with "
                                + "acids or cleaners. Stir until dissolved."
                        : "Add powder to water and stir until clear.");
        if (powder.others != null) {
            steps.add(powder.others);
        }
        if (lime) {
            steps.add("Close the vessel: air forms a white skin and weakens the limewater.");
            steps.add(
                    saturated
                            ? "Let the solution clear for at least four hours. A quarter of the powder stays "
                                    + "at the bottom, which shows saturation. Dose only the clear part: end "
                                    + "the tube a hand’s width above the sediment."
                            : "Let the solution clear for at least four hours.");
            steps.add("The sediment is good for one more filling. Then dispose of it by your local rules.");
        }
        if (ml > vesselMl) {
            steps.add(text(
                    "This fills the dosing vessel %.1f times. Mix everything in one labelled vessel with a "
                            + "lid. Keep the rest closed, cool and locked away from children and pets.",
                    Math.floor(10 * ml / vesselMl) / 10));
        }
        steps.add("Test alkalinity before the first dose. Then test every 2–3 days at the same hour.");
        return List.copyOf(steps);
    }

    private static List<String> label(String name, Solution solution, Powder powder, double mlPerDay, String place) {
        List<String> label = new ArrayList<>();
        label.add(name);
        label.add(text("%s, %.3g mol/L in water", powder.name, solution.molPerL()));
        if (burns(solution)) {
            label.add("CAUSTIC. Wear goggles and gloves. Never mix with acids.");
        }
        label.add("Do not drink. Keep away from children and pets.");
        label.add("If in an eye: rinse long with water, get medical help.");
        label.add(text("For the tank: %.0f mL a day%s", mlPerDay, place.isBlank() ? "" : ", into " + place));
        return List.copyOf(label);
    }

    private static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}
