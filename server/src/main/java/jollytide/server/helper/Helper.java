package jollytide.server.helper;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.UUID;
import jollytide.server.home.Home;

/** Somebody who was invited. Only the link's hash is kept. */
@Entity
class Helper {
    @Id
    UUID id;

    @ManyToOne(fetch = FetchType.LAZY)
    Home home;

    String name;

    @Column(columnDefinition = "CHAR(64)")
    String hash;

    Instant createdAt;
    Instant lastCameAt;
}
