package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What the nightly thread leaves alone for an hour: tanks with nothing left to do, so that whole logs are not read every
 * minute, and work that was tried, so that what cannot be done holds up no other.
 */
final class Resting {
    private static final Duration REST = Duration.ofHours(1);

    private final Map<Object, Instant> until = new ConcurrentHashMap<>();

    void from(Object what, Instant now) {
        until.put(what, now.plus(REST));
    }

    boolean holds(Object what, Instant now) {
        until.values().removeIf(end -> !now.isBefore(end));
        return until.containsKey(what);
    }
}
