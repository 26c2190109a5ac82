package jollytide.server.tank;

import jakarta.annotation.PreDestroy;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/** Keeps the word that what was removed is deleted after a day, whether or not anybody looks. */
@Component
class RemovedForGood {
    private static final Logger LOG = LoggerFactory.getLogger(RemovedForGood.class);
    private static final long EVERY_MIN = 60;

    private final Removed removed;
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread t = new Thread(task, "removed");
        t.setDaemon(true);
        return t;
    });

    RemovedForGood(Removed removed) {
        this.removed = removed;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        var unused = thread.scheduleWithFixedDelay(this::quietly, 0, EVERY_MIN, TimeUnit.MINUTES);
    }

    @PreDestroy
    void end() {
        thread.shutdownNow();
    }

    private void quietly() {
        try {
            removed.forget();
        } catch (DataAccessException | TransactionException away) {
            LOG.warn("what was removed waits for the database: {}", away.getMessage());
        }
    }
}
