package jollytide.core.evidence;

/** What is measured. */
public enum Quantity {
    PH,
    ALKALINITY,
    TEMPERATURE,
    SALINITY,
    CALCIUM,
    OXYGEN,
    CO2
}
