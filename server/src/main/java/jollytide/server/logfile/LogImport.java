package jollytide.server.logfile;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** One file on its way into the log, and afterwards the record of what it brought. */
@Entity
class LogImport {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    Long id;

    @Version
    long version;

    UUID tankId;
    String name;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(10)")
    Format format;

    long bytes;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    State state;

    Instant createdAt;

    /** The confirmed {@link ImportPlan} as JSON; null before. */
    @Lob
    String plan;

    long bytesRead;
    long linesRead;
    long saved;
    long alreadyThere;
    long conflicts;
    long bad;
    Instant firstAt;
    Instant lastAt;
    boolean replaced;

    /** How often a runner began with it: more than once after a crash. */
    int tries;

    /** Until then one runner works on it; whoever finds the time past may take over. */
    Instant leasedUntil;

    /** Why it failed, or what it waits for; null while all is well. */
    String reason;

    /** When a runner last took it. */
    Instant claimedAt;

    enum Format {
        CSV,
        SENML
    }

    enum State {
        /** Uploaded, waiting for the keeper's answers. */
        WAITING,
        RUNNING,
        DONE,
        /** Stopped by the keeper; what was saved until then stays. */
        STOPPED,
        /** It cannot be read into the log; what was saved until then stays. */
        FAILED
    }
}
