package jollytide.core.units;

/** How keepers state alkalinity. */
public enum AlkalinityUnit {
    /** German carbonate hardness: one degree is 10 mg/L of CaO (definition), two equivalents a mole. */
    DKH("dKH", 2 * 10 / 56.0774),
    MEQ_PER_L("meq/L", 1),
    /** mg/L of CaCO3, 100.0869 g/mol, two equivalents a mole. */
    PPM_CACO3("ppm CaCO3", 2 / 100.0869);

    private final String symbol;
    private final double meqPerLitre;

    AlkalinityUnit(String symbol, double meqPerLitre) {
        this.symbol = symbol;
        this.meqPerLitre = meqPerLitre;
    }

    public String symbol() {
        return symbol;
    }

    /** The same alkalinity in meq/L. */
    public double toMeqPerL(double value) {
        return value * meqPerLitre;
    }

    /** The alkalinity {@code meqPerL} in this unit. */
    public double fromMeqPerL(double meqPerL) {
        return meqPerL / meqPerLitre;
    }
}
