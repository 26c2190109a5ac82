package jollytide.core.reef;

/**
 * What lives in a tank besides its fish. From it follows what rock, animals and bacteria breathe until a log tells
 * better: shares of an ordinary mixed reef, from memory.
 */
public enum Livestock {
    FISH_ONLY(0.6, 0.4, false),
    SOFT_CORALS(0.85, 0.8, true),
    MIXED_REEF(1, 1, true),
    STONY_CORALS(1.2, 1.3, true),
    PLANTS(0.9, 1.2, false);

    private final double respiration;
    private final double photosynthesis;
    private final boolean corals;

    Livestock(double respiration, double photosynthesis, boolean corals) {
        this.respiration = respiration;
        this.photosynthesis = photosynthesis;
        this.corals = corals;
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
}
