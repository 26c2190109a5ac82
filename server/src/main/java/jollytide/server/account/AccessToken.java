package jollytide.server.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.UUID;

/** A personal token for scripts. Only its hash is kept. */
@Entity
class AccessToken {
    @Id
    UUID id;

    @ManyToOne(fetch = FetchType.LAZY)
    Keeper keeper;

    String label;

    @Column(columnDefinition = "CHAR(64)")
    String hash;

    Instant createdAt;
    Instant lastUsedAt;
    UUID mainsHomeId;
}
