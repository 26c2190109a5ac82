package jollytide.core.programme;

import java.time.LocalTime;

/**
 * When the display's lamps go on and off.
 *
 * @param followClock whether they follow when the clocks change; timers of their own stay on standard time all year
 */
public record Lamps(LocalTime on, LocalTime off, boolean followClock) {}
