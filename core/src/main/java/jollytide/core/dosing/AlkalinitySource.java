package jollytide.core.dosing;

/**
 * What raises alkalinity, and what else a mole of it brings. The stoichiometry is that of the formulas; molar masses
 * from the IUPAC standard atomic weights.
 */
public enum AlkalinitySource {
    SODA_ASH("soda ash, Na2CO3", 105.988, 2, 1, 0, 0, false),
    BICARBONATE("sodium bicarbonate, NaHCO3", 84.006, 1, 1, 0, 0, false),
    SODIUM_HYDROXIDE("sodium hydroxide, NaOH", 39.997, 1, 0, 0, 0, true),
    POTASSIUM_HYDROXIDE("potassium hydroxide, KOH", 56.105, 1, 0, 0, 1, true),
    LIMEWATER("calcium hydroxide (limewater), Ca(OH)2", 74.092, 2, 0, 1, 0, true);

    public static final double CALCIUM_G_PER_MOL = 40.078;

    public static final double CALCIUM_MG_PER_MOL = CALCIUM_G_PER_MOL * 1000;
    public static final double POTASSIUM_G_PER_MOL = 39.0983;

    private final String label;
    private final double gramsPerMol;
    private final double equivalents;
    private final double carbon;
    private final double calcium;
    private final double potassium;
    private final boolean caustic;

    AlkalinitySource(
            String label,
            double gramsPerMol,
            double equivalents,
            double carbon,
            double calcium,
            double potassium,
            boolean caustic) {
        this.label = label;
        this.gramsPerMol = gramsPerMol;
        this.equivalents = equivalents;
        this.carbon = carbon;
        this.calcium = calcium;
        this.potassium = potassium;
        this.caustic = caustic;
    }

    public String label() {
        return label;
    }

    /** Whether it burns skin and eyes. */
    public boolean caustic() {
        return caustic;
    }

    /** Grams of the dry, pure substance for so many equivalents. */
    public double gramsPerEquivalent() {
        return gramsPerMol / equivalents;
    }

    /** Moles of inorganic carbon that come with an equivalent of alkalinity. */
    public double carbonPerEquivalent() {
        return carbon / equivalents;
    }

    public double calciumPerEquivalent() {
        return calcium / equivalents;
    }

    public double potassiumPerEquivalent() {
        return potassium / equivalents;
    }

    /** What so many milliequivalents per litre and day bring. */
    public Inflow perDay(double meqPerL) {
        return new Inflow(
                meqPerL,
                meqPerL * carbonPerEquivalent(),
                meqPerL * calciumPerEquivalent(),
                meqPerL * potassiumPerEquivalent());
    }
}
