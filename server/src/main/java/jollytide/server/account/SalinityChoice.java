package jollytide.server.account;

/** The salinity units of a reading, under the names they have there. */
public enum SalinityChoice {
    PSU,
    SG_25,
    SG_20,
    MS_PER_CM
}
