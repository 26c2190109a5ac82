package jollytide.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import jollytide.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Slows down guessing: after a few wrong tries each further one doubles the wait, up to a quarter of an hour. A try is
 * counted before its password is compared, so that many at once are no way around, and taken back when it was right. Held
 * in memory by each instance; what is remembered is bounded, so that guessing many names does not fill it.
 */
@Component
class SignInThrottle {
    private static final Duration FIRST_WAIT = Duration.ofSeconds(4);
    private static final Duration LONGEST = Duration.ofMinutes(15);
    private static final int MOST_REMEMBERED = 10_000;

    private final Clock clock;
    private final Map<String, Failures> failures = new LinkedHashMap<>();

    SignInThrottle(Clock clock) {
        this.clock = clock;
    }

    /**
     * What tries are counted by.
     *
     * @param free wrong tries before there is a wait
     */
    record Budget(String key, int free) {
        /** For one keeper, or one name that is nobody's, as the database compares names. */
        static Budget ofName(String sameName) {
            return new Budget("name " + sameName, 5);
        }

        /** For one address, whatever names come from it. */
        static Budget ofAddress(String address) {
            return new Budget("address " + address, 20);
        }

        /** For a browser that its keeper signed in with before: nobody else uses it up. */
        static Budget ofDevice(String hash) {
            return new Budget("device " + hash, 5);
        }

        static Budget ofSetupCode(String address) {
            return new Budget("setup " + address, 5);
        }
    }

    /** @throws Problem when one of the budgets asks to wait; then none of them counts this try */
    synchronized void count(List<Budget> budgets) {
        Instant now = clock.instant();
        for (Budget budget : budgets) {
            Failures seen = failures.get(budget.key());
            if (seen != null && now.isBefore(seen.openAgain())) {
                long seconds = Duration.between(now, seen.openAgain()).toSeconds() + 1;
                throw Problem.of(
                                HttpStatus.TOO_MANY_REQUESTS,
                                "Too many attempts",
                                "Too many wrong attempts. Try again in " + seconds + " seconds.")
                        .retryAfter(seconds);
            }
        }
        for (Budget budget : budgets) {
            Failures seen = failures.remove(budget.key());
            int count = seen == null ? 1 : seen.count() + 1;
            Duration wait = count < budget.free()
                    ? Duration.ZERO
                    : FIRST_WAIT.multipliedBy(1L << Math.min(20, count - budget.free()));
            Duration bounded = wait.compareTo(LONGEST) > 0 ? LONGEST : wait;
            if (failures.size() >= MOST_REMEMBERED) {
                failures.remove(failures.keySet().iterator().next());
            }
            failures.put(budget.key(), new Failures(count, now.plus(bounded)));
        }
    }

    /** The try was right. A name and a device are clean again; an address keeps what other names cost it. */
    synchronized void right(List<Budget> budgets) {
        for (Budget budget : budgets) {
            if (budget.key().startsWith("address ")) {
                failures.computeIfPresent(
                        budget.key(),
                        (key, seen) -> seen.count() <= 1 ? null : new Failures(seen.count() - 1, Instant.MIN));
            } else {
                failures.remove(budget.key());
            }
        }
    }

    /** As after a start. */
    synchronized void forgetAll() {
        failures.clear();
    }

    private record Failures(int count, Instant openAgain) {}
}
