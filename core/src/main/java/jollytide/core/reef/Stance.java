package jollytide.core.reef;

/** What a keeper wants from pH. */
public enum Stance {
    /** Raise the trough to its goal. */
    LIFT,
    /** Keep the widest margin and the smallest swing; act only below the act line. */
    STEADY
}
