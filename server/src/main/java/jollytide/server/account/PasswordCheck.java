package jollytide.server.account;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import jollytide.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Hashes and compares passwords. Both are slow on purpose, so a few run at once and no database connection is held
 * meanwhile.
 */
@Component
class PasswordCheck {
    private static final Duration PATIENCE = Duration.ofSeconds(4);

    private final PasswordEncoder encoder;
    private final Semaphore running =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);

    PasswordCheck(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    String hash(String password) {
        return inTurn(() -> encoder.encode(password));
    }

    boolean fits(String password, String hash) {
        return inTurn(() -> encoder.matches(password, hash));
    }

    private <T> T inTurn(Supplier<T> work) {
        try {
            if (!running.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS)) {
                throw Problem.of(
                                HttpStatus.SERVICE_UNAVAILABLE,
                                "Too many at once",
                                "Too many sign-ins at the moment. Try again in a few seconds.")
                        .retryAfter(PATIENCE.toSeconds());
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
        try {
            return work.get();
        } finally {
            running.release();
        }
    }
}
