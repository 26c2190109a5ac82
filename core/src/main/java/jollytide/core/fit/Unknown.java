package jollytide.core.fit;

/** What a log is asked about. Each has a size, 0 where it is as expected. */
public enum Unknown {
    /** Natural logarithm of what the reef breathes, over what its kind lets expect. */
    RESPIRATION("respiration", true, "more respiration", "less respiration"),
    /** Likewise of its photosynthesis. */
    PHOTOSYNTHESIS("photosynthesis", true, "more photosynthesis", "less photosynthesis"),
    /** Natural logarithm of the surfaces' exchange, over what is expected of them. */
    SURFACES("surface gas exchange", true, "more surface movement", "less surface movement"),
    /** Likewise of the skimmer's. */
    SKIMMER("skimmer gas exchange", true, "a stronger skimmer", "a weaker skimmer"),
    /** By how much the water holds more than its tests say, meq/L. */
    ALKALINITY("the alkalinity test", false, "more alkalinity than tested", "less alkalinity than tested"),
    /** By how much the room holds more CO2 than was measured, ppm. */
    ROOM("the room’s CO2 meter", false, "more room CO2 than measured", "less room CO2 than measured"),
    /** Natural logarithm of what a room that nobody measured holds more than outdoors, over what is estimated. */
    ROOM_EXCESS("room CO2, not measured", true, "a fuller room", "an emptier room"),
    /** Natural logarithm of the room's air changes, over those that are described or assumed. */
    AIR_CHANGES("the room’s air changes", true, "an airier room", "a tighter room"),
    /** By how much the lamps are later than described, h; what probe and water lag behind them cannot be parted from it. */
    LAMPS("the light schedule, with lags", false, "later lamps", "earlier lamps"),
    /** Natural logarithm of the alkalinity that the animals use, over what is described. */
    USE("the use of alkalinity", true, "a higher use of alkalinity", "a lower use of alkalinity"),
    /** Natural logarithm of the odds that a hose's skimmer breathes outdoor rather than room air, over those expected. */
    INTAKE("air through the hose", true, "a tighter hose", "a second inlet"),
    /** What the probe reads too much in the middle of the log, pH. */
    PROBE("the pH probe", false, "a pH probe that reads high", "a pH probe that reads low"),
    /** By how much more each day, pH/day. */
    DRIFT("the pH probe’s drift", false, "a probe that drifts up", "a probe that drifts down"),
    /** What the oxygen probe reads too much, mg/L. */
    OXYGEN_PROBE("the oxygen probe", false, "an oxygen probe that reads high", "an oxygen probe that reads low");

    private final String label;
    private final boolean factor;
    private final String more;
    private final String less;

    Unknown(String label, boolean factor, String more, String less) {
        this.label = label;
        this.factor = factor;
        this.more = more;
        this.less = less;
    }

    public String label() {
        return label;
    }

    /** Whether its size is the natural logarithm of a factor. */
    public boolean factor() {
        return factor;
    }

    /** What a log cannot tell from the most probable tank, in words. */
    String with(Unknown other, boolean same) {
        return "The log can’t separate " + more + " from " + (same ? other.more : other.less) + ".";
    }

    /** Whether a log of pH and oxygen can say anything of it; else it stays what was assumed. */
    boolean shows() {
        return this != AIR_CHANGES;
    }
}
