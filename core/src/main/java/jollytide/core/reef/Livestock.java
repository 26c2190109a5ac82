package jollytide.core.reef;

/**
 * What lives in a tank besides its fish. From it follows what rock, animals and bacteria breathe until a log tells
 * better: shares of an ordinary mixed reef, from memory.
 */
public enum Livestock {
    FISH_ONLY(0.6, 0.4, false, 0.5),
    SOFT_CORALS(0.85, 0.8, true, 0.3),
    MIXED_REEF(1, 1, true, 0.3),
    STONY_CORALS(1.2, 1.3, true, 0.4),
    PLANTS(0.9, 1.2, false, 0.1);

    private final double respiration;
    private final double photosynthesis;
    private final boolean corals;
    private final double usualFishGPerL;

    Livestock(double respiration, double photosynthesis, boolean corals, double usualFishGPerL) {
        this.respiration = respiration;
        this.photosynthesis = photosynthesis;
        this.corals = corals;
        this.usualFishGPerL = usualFishGPerL;
    }

    /** Times that of a mixed reef. */
    public double respiration() {
        return respiration;
    }

    /** Times that of a mixed reef. */
    public double photosynthesis() {
        return photosynthesis;
    }

    /** Whether anything must have moving water where it sits. */
    public boolean corals() {
        return corals;
    }

    /** Fish that commonly swim in it, grams a litre. From memory. */
    public double usualFishGPerL() {
        return usualFishGPerL;
    }
}
