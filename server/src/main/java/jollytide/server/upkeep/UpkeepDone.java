package jollytide.server.upkeep;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.upkeep.Interval;

@Entity
class UpkeepDone {
    @Id
    UUID id;

    UUID taskId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(10)")
    Interval.Found found;

    String note;
}
