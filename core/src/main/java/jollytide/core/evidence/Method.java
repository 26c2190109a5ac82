package jollytide.core.evidence;

/** How a value came to be. A number without its method cannot be judged. */
public enum Method {
    PROBE("probe"),
    /** A probe that read two buffers right on the same day. */
    PROBE_CHECKED("probe, checked in two buffers"),
    COLOUR_KIT("colour kit"),
    TITRATION_KIT("titration kit"),
    METER("meter"),
    REFRACTOMETER("refractometer"),
    HYDROMETER("hydrometer"),
    /** Told by hand: remembered, guessed, or read off somebody else's display. */
    ESTIMATE("estimate");

    private final String label;

    Method(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
