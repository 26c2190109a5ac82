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
    OTHER
}
