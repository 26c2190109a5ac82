package jollytide.core.fit;

/** What a log is asked about. Each has a size, 0 where it is as expected. */
public enum Unknown {
    /** Natural logarithm of what the reef breathes, over what its kind lets expect. */
    RESPIRATION("the reef's respiration", true),
    /** Likewise of its photosynthesis. */
    PHOTOSYNTHESIS("its photosynthesis", true),
    /** Natural logarithm of the surfaces' exchange, over what is expected of them. */
    SURFACES("the surfaces' exchange", true),
    /** Likewise of the skimmer's. */
    SKIMMER("the skimmer's exchange", true),
    /** By how much the water holds more than its tests say, meq/L. */
    ALKALINITY("the alkalinity test", false),
    /** By how much the room holds more CO2 than was measured or estimated, ppm. */
    ROOM("the room's CO2", false),
    /** Natural logarithm of the room's air changes, over those that are described or assumed. */
    AIR_CHANGES("the room's air changes", true),
    /** By how much the lamps are later than described, h. */
    LAMPS("the light clock", false),
    /** What the probe reads too much in the middle of the log, pH. */
    PROBE("the pH probe", false),
    /** By how much more each day, pH/day. */
    DRIFT("the pH probe's drift", false),
    /** What the oxygen probe reads too much, mg/L. */
    OXYGEN_PROBE("the oxygen probe", false);

    private final String label;
    private final boolean factor;

    Unknown(String label, boolean factor) {
        this.label = label;
        this.factor = factor;
    }

    public String label() {
        return label;
    }

    /** Whether its size is the natural logarithm of a factor. */
    public boolean factor() {
        return factor;
    }

    /** Whether a log of pH and oxygen can say anything of it; else it stays what was assumed. */
    boolean shows() {
        return this != AIR_CHANGES;
    }
}
