package jollytide.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import jollytide.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Slows down guessing: after five wrong passwords for a name each further one doubles the wait, up to a quarter of an
 * hour. Held in memory by each instance; the names are bounded so that guessing many does not fill it.
 */
@Component
class SignInThrottle {
    private static final int FREE_TRIES = 5;
    private static final Duration LONGEST = Duration.ofMinutes(15);
    private static final int MAX_NAMES = 10_000;

    private final Clock clock;
    private final Map<String, Failures> failures = new LinkedHashMap<>();

    SignInThrottle(Clock clock) {
        this.clock = clock;
    }

    synchronized void check(String name) {
        Failures seen = failures.get(key(name));
        if (seen != null && clock.instant().isBefore(seen.openAgain())) {
            long seconds = Duration.between(clock.instant(), seen.openAgain()).toSeconds() + 1;
            throw Problem.of(
                    HttpStatus.TOO_MANY_REQUESTS,
                    "Too many tries",
                    "Too many wrong passwords for this name. Try again in " + seconds + " seconds.");
        }
    }

    synchronized void failed(String name) {
        Failures seen = failures.get(key(name));
        int count = seen == null ? 1 : seen.count() + 1;
        Duration wait = count < FREE_TRIES ? Duration.ZERO : Duration.ofSeconds(1L << Math.min(20, count - FREE_TRIES));
        Duration bounded = wait.compareTo(LONGEST) > 0 ? LONGEST : wait;
        if (failures.size() >= MAX_NAMES) {
            failures.remove(failures.keySet().iterator().next());
        }
        failures.put(key(name), new Failures(count, clock.instant().plus(bounded)));
    }

    synchronized void succeeded(String name) {
        failures.remove(key(name));
    }

    private static String key(String name) {
        return name.strip().toLowerCase(java.util.Locale.ROOT);
    }

    private record Failures(int count, Instant openAgain) {}
}
