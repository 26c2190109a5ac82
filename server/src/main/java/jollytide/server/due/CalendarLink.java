package jollytide.server.due;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** An address by which a calendar reads what is due at a home. Only its hash is kept. */
@Entity
class CalendarLink {
    @Id
    UUID homeId;

    @Column(columnDefinition = "CHAR(64)")
    String hash;

    Instant createdAt;
}
