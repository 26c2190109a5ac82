package jollytide.server.event;

/** What kind of thing changed. */
public enum EventKind {
    REMEDY,
    FAULT,
    ADDITIVE,
    SEASON,
    PEOPLE,
    SMOKE,
    MAINTENANCE,
    /** Done to learn from it, and taken back: when and what is known exactly, so its readings count. */
    EXPERIMENT,
    OTHER
}
