package jollytide.server.event;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * A new event.
 *
 * @param at with an offset, or without one in the home's zone; {@code until} likewise, null for a moment or what lasts
 * @param excludesDays whether its days say nothing of how the tank usually is
 */
public record NewEvent(
        @NotNull EventKind kind,
        @NotNull @Size(max = 40) String at,
        @Nullable @Size(max = 40) String until,
        @Nullable Boolean excludesDays,
        @NotBlank @Size(max = 120) String title,
        @NotNull @Size(max = 1000) String note) {}
