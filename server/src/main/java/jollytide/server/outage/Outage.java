package jollytide.server.outage;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
class Outage {
    @Id
    UUID id;

    UUID homeId;
    Instant startedAt;
    Instant endedAt;
    int cuts;

    /** When the power went again after it had come back; null where it did not. */
    @Nullable
    Instant lastCutAt;

    /** The outage that this one turned out to be part of; its id stays another name of that one. */
    @Nullable
    UUID mergedInto;

    /** When it was taken out as one that never was. */
    @Nullable
    Instant removedAt;

    /** Where it began until a helper moved that earlier, and who; null where nobody did. */
    @Nullable
    Instant beganBefore;

    @Nullable
    String movedBy;
}
