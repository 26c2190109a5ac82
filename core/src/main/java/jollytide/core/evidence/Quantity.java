package jollytide.core.evidence;

/** What is measured. */
public enum Quantity {
    PH,
    ALKALINITY,
    TEMPERATURE,
    SALINITY,
    CALCIUM,
    POTASSIUM,
    MAGNESIUM,
    /** All of it, poisonous or not. */
    AMMONIA,
    NITRITE,
    OXYGEN,
    CO2
}
