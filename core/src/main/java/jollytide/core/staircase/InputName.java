package jollytide.core.staircase;

/** The inputs of a staircase, in the order in which errors are propagated. */
public enum InputName {
    PH,
    ALKALINITY,
    TEMPERATURE,
    SALINITY,
    ROOM_CO2,
    OUTDOOR_CO2
}
