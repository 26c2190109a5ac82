package jollytide.server.event;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

@Entity
class TankEvent {
    @Id
    UUID id;

    UUID tankId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    EventKind kind;

    Instant at;
    Instant until;
    boolean excludesDays;
    String title;
    String note;
}
