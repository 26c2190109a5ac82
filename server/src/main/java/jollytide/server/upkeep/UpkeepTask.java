package jollytide.server.upkeep;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import jollytide.core.upkeep.Chore;

@Entity
class UpkeepTask {
    @Id
    UUID id;

    UUID tankId;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(30)")
    Chore chore;

    /** Which of several; empty where there is one. */
    String name;

    /** Between two times, as its keeper wants it; null where it is assumed and learned. */
    Double ownDays;

    Instant addedAt;

    /** It was put off up to then. */
    LocalDate notBefore;

    Instant endedAt;
}
