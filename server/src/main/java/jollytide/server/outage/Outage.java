package jollytide.server.outage;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

@Entity
class Outage {
    @Id
    UUID id;

    UUID homeId;
    Instant startedAt;
    Instant endedAt;
    int cuts;
}
