package jollytide.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** After an outage somebody saw that the return runs, and let doses go on. */
@Entity
class DoseRelease {
    @Id
    UUID id;

    UUID tankId;
    UUID outageId;
    Instant at;
}
