package jollytide.server.experiment;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Experiment;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class ChosenExperiment {
    @Id
    UUID id;

    @Version
    long version;

    UUID tankId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(40)")
    Experiment kind;

    Instant plannedFrom;
    Instant plannedUntil;

    @JdbcTypeCode(SqlTypes.JSON)
    List<Promised> promised;

    double lowestOxygen;
    Instant cautionAt;
    Instant begunAt;
    Instant endedAt;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Ended ended;

    UUID eventId;

    @JdbcTypeCode(SqlTypes.JSON)
    List<Decision.Open> openBefore;

    @JdbcTypeCode(SqlTypes.JSON)
    List<Decision.Open> openAfter;

    /** By how much it was expected to narrow a decision's band: 0.4 when it would lose two fifths. */
    record Promised(Decision decision, double narrowing) {}

    boolean running() {
        return begunAt != null && endedAt == null;
    }

    /** Whether it is still to begin, or going on. */
    boolean current(Instant now) {
        return endedAt == null && (begunAt != null || plannedUntil.isAfter(now));
    }
}
