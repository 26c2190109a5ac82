package jollytide.core.seawater;

/** The two pH scales that meet in a reef log: meters and kits read NBS, the equilibrium constants use the total scale. */
public enum PhScale {
    NBS,
    TOTAL
}
