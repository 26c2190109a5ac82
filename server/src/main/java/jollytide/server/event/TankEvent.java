package jollytide.server.event;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.server.measure.SetRequest.PutMeasure;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class TankEvent {
    @Id
    UUID id;

    @Version
    long version;

    UUID tankId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    EventKind kind;

    Instant at;
    Instant until;
    boolean excludesDays;
    String title;
    String note;

    /** Null while nobody said what it did; empty when it did nothing to the tank that readings do not show. */
    @JdbcTypeCode(SqlTypes.JSON)
    List<PutMeasure> measures;

    @JdbcTypeCode(SqlTypes.JSON)
    KeptForecast forecast;

    boolean putsSomethingOn() {
        return measures != null && !measures.isEmpty();
    }
}
