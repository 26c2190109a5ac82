package jollytide.server.account;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A token as its keeper sees it: never its secret.
 *
 * @param mainsHomeId for a sensor: the home about whose mains, and nothing else, it may tell
 */
public record TokenView(
        UUID id,
        String label,
        Instant createdAt,
        @Nullable Instant lastUsedAt,
        @Nullable UUID mainsHomeId) {}
