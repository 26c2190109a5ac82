package jollytide.core.fit;

import java.time.Instant;

/** A measured value, in the unit of the list that it stands in. */
public record Reading(Instant at, double value) {}
