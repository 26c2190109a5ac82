package jollytide.server.account;

/** How a keeper reads and types the time of day. */
public enum ClockFace {
    HOURS_24,
    HOURS_12
}
