package jollytide.core.units;

/** How keepers read volume; inside it is litres. */
public enum VolumeUnit {
    LITRE,
    /** The US liquid gallon. */
    US_GALLON
}
