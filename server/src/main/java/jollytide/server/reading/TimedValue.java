package jollytide.server.reading;

import java.time.Instant;

/** A value of a series, in its unit. */
public record TimedValue(Instant at, double value) {}
