package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;

/** What was put into the water by hand, at once: an addition, new water for old, or fresh water. */
public sealed interface SingleDose {
    Instant at();

    /**
     * By how much it moved what tests read: alkalinity in meq/L, calcium, potassium and magnesium in mg/L, anything else by nothing.
     *
     * @param before what the water held then
     */
    double moves(Quantity quantity, double before);

    /**
     * Of a powder or a solution.
     *
     * @param mol that went in, {@code litres} of the tank that it was mixed into
     */
    record Addition(Instant at, Solution.Solute what, double mol, double litres) implements SingleDose {
        private static final double MOST_MEQ_PER_L = 5;
        private static final double MOST_CALCIUM_MG_PER_L = 300;

        public Addition {
            within("mol", mol, 0, 1000, "mol");
            within("litres", litres, 1, 100_000, "L");
        }

        /**
         * @param assay share of the powder's weight that is what it is bought for: 1 for pure and dry
         */
        public static Addition ofPowder(Instant at, Solution.Solute what, double grams, double assay, double litres) {
            return new Addition(
                    at,
                    what,
                    within("grams", grams, 0.01, 50_000, "g")
                            * within("assay", assay, MixingCard.LEAST_ASSAY, 1, "of the powder's weight")
                            / what.gramsPerMol(),
                    litres);
        }

        public static Addition ofSolution(Instant at, Solution solution, double ml, double litres) {
            return new Addition(
                    at, solution.solute(), within("ml", ml, 0.1, 500_000, "mL") / 1000 * solution.molPerL(), litres);
        }

        /**
         * This, unless it does nothing, or harms whatever lives in so much water.
         *
         * @throws InputException with the most that a sum is made for
         */
        public Addition bearable() {
            if (what == Solution.Solute.POTASSIUM_CHLORIDE) {
                throw new InputException("what", mol, "a source of alkalinity or calcium", LineRules.NO_REMEDY);
            }
            double times = Math.max(meqPerL() / MOST_MEQ_PER_L, calciumMgPerL() / MOST_CALCIUM_MG_PER_L);
            if (times > 1) {
                double most = mol / times * what.gramsPerMol();
                throw new InputException(
                        "amount",
                        mol * what.gramsPerMol(),
                        String.format(Locale.ROOT, "at most %.0f g", most),
                        String.format(
                                Locale.ROOT,
                                "That much in %.0f L would harm your animals. We compute up to %.0f g of pure "
                                        + "powder.",
                                litres,
                                most));
            }
            return this;
        }

        /** Beyond this in one day nobody should add by hand, mg/L. From memory. */
        private static final double MOST_CALCIUM_A_DAY = 50;

        private static final double MOST_POTASSIUM_A_DAY = 20;
        private static final double MOST_MAGNESIUM_A_DAY = 100;

        /**
         * This as a plan, unless a day would bring too much calcium or potassium. What was put in already is kept whatever
         * it was ({@link #bearable}).
         *
         * @throws InputException with the most that a day may bring
         */
        public Addition planned() {
            bearable();
            refuseBeyond("calcium", calciumMgPerL(), MOST_CALCIUM_A_DAY);
            refuseBeyond("potassium", potassiumMgPerL(), MOST_POTASSIUM_A_DAY);
            refuseBeyond("magnesium", magnesiumMgPerL(), MOST_MAGNESIUM_A_DAY);
            return this;
        }

        private void refuseBeyond(String of, double mgPerL, double mostMgPerL) {
            if (mgPerL <= mostMgPerL) {
                return;
            }
            double most = Math.floor(mol * mostMgPerL / mgPerL * what.gramsPerMol());
            throw new InputException(
                    "amount",
                    mol * what.gramsPerMol(),
                    String.format(Locale.ROOT, "at most %.0f g a day", most),
                    String.format(
                            Locale.ROOT,
                            "This adds %.0f mg/L of %s. At most %.0f mg/L a day: %.0f g of pure powder.",
                            mgPerL,
                            of,
                            mostMgPerL,
                            most));
        }

        public double meqPerL() {
            return mol * what.meqPerMol() / litres;
        }

        public double potassiumMgPerL() {
            return mol * what.potassiumMgPerMol() / litres;
        }

        public double magnesiumMgPerL() {
            return mol * what.magnesiumMgPerMol() / litres;
        }

        public double calciumMgPerL() {
            return mol * what.calciumMgPerMol() / litres;
        }

        @Override
        public double moves(Quantity quantity, double before) {
            return switch (quantity) {
                case ALKALINITY -> meqPerL();
                case CALCIUM -> calciumMgPerL();
                case POTASSIUM -> potassiumMgPerL();
                case MAGNESIUM -> magnesiumMgPerL();
                default -> 0;
            };
        }
    }

    /**
     * New water for old.
     *
     * @param share of the tank's water, 0 to 1
     */
    record WaterChange(Instant at, double share, NewWater with) implements SingleDose {
        /** Common practice, as for everything that moves alkalinity. */
        private static final double MOST_DKH = 1;

        public WaterChange {
            within("share", share, 0, 1, "of the water");
        }

        @Override
        public double moves(Quantity quantity, double before) {
            return switch (quantity) {
                case ALKALINITY -> share * (with.meqPerL() - before);
                case CALCIUM -> share * (with.calciumMgPerL() - before);
                case POTASSIUM -> share * (Creep.USUAL_POTASSIUM - before);
                case MAGNESIUM -> share * (Creep.USUAL_MAGNESIUM - before);
                default -> 0;
            };
        }

        /** The most that moves alkalinity no faster than animals bear, from so much, meq/L; 1 for all the water. */
        public double mostShare(double before) {
            double apart = Math.abs(AlkalinityUnit.DKH.fromMeqPerL(with.meqPerL() - before));
            return apart <= MOST_DKH ? 1 : MOST_DKH / apart;
        }

        /** What speaks against it; empty where nothing does. */
        public List<String> because(double before) {
            return share <= mostShare(before)
                    ? List.of()
                    : List.of(String.format(
                            Locale.ROOT,
                            "This would change alkalinity by %.1f dKH, more than 1 dKH in a day. Change at "
                                    + "most %.0f %% of the water.",
                            Math.abs(AlkalinityUnit.DKH.fromMeqPerL(moves(Quantity.ALKALINITY, before))),
                            100 * mostShare(before)));
        }
    }

    /** Fresh water for what evaporated: salt and all stay as they were before it went. */
    record TopOff(Instant at, double litres) implements SingleDose {
        public TopOff {
            within("litres", litres, 0.01, 5000, "L");
        }

        @Override
        public double moves(Quantity quantity, double before) {
            return 0;
        }
    }

    /**
     * Tests as they would have read without what was put in by hand meanwhile: what is left of their change is what was
     * dosed by lines and what was used.
     *
     * @param tests in their order
     * @param doses in any order; what the water held before a dose is what the newest test before it read
     */
    static List<Reading> without(List<Reading> tests, List<? extends SingleDose> doses, Quantity quantity) {
        List<Reading> level = new ArrayList<>();
        double moved = 0;
        Reading before = null;
        for (Reading test : tests) {
            for (SingleDose dose : doses) {
                if (before != null
                        && dose.at().isAfter(before.at())
                        && !dose.at().isAfter(test.at())) {
                    moved += dose.moves(quantity, before.value());
                }
            }
            level.add(new Reading(test.at(), test.value() - moved));
            before = test;
        }
        return List.copyOf(level);
    }
}
