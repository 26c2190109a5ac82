package jollytide.server.home;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;

/**
 * A room that holds tanks.
 *
 * @param volumeM3 air volume in m³; null when not known
 * @param airChangesPerH how often an hour its air is changed with outdoors, windows shut; assumed when null
 * @param adults who usually sleep or sit there, or in rooms with open doors to it
 */
public record RoomDescription(
        @NotBlank @Size(max = 80) String name,
        @Nullable Double volumeM3,
        @NotNull Integer adults,
        @NotNull Integer children,
        @NotNull Integer pets,
        @Nullable Double airChangesPerH) {}
