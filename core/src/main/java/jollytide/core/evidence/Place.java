package jollytide.core.evidence;

/** Where a reading was taken. */
public enum Place {
    TANK,
    ROOM,
    OUTDOORS,
    /** Where skimmer or air pump draw their air. */
    INTAKE
}
