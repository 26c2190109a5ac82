package jollytide.core.suspects;

/**
 * What a suspect has to do with. Those that are alike in the course of a day are of one family: a log parts families, what
 * is in one of them is for checks.
 */
public enum Family {
    MEASURING("the measurement"),
    ROOM("the room’s air"),
    SKIMMER_AIR("the skimmer and its air"),
    SURFACE("the surface and the air above"),
    LIFE("respiration, light and doses in the tank"),
    ALKALINITY("alkalinity"),
    NONE("nothing is wrong");

    private final String label;

    Family(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
