package jollytide.server.reading;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.time.Instant;

/** One raw value; its series says what it is. */
@Entity
class Reading {
    @EmbeddedId
    Key id;

    double value;

    protected Reading() {}

    Reading(Key id, double value) {
        this.id = id;
        this.value = value;
    }

    /** Series and time. */
    @Embeddable
    record Key(Long seriesId, Instant at) implements Serializable {}
}
