package jollytide.core.outage;

import org.jspecify.annotations.Nullable;

/** Hours until something, on the early, the likely and the late side; null where it does not come within the run. */
public record Times(
        @Nullable Double early,
        @Nullable Double likely,
        @Nullable Double late) {}
