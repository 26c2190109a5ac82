package jollytide.server.reading;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.io.Serializable;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

/** One raw value; its series says what it is. Read only: {@link ReadingWriter} writes. */
@Entity
@Immutable
class Reading {
    @EmbeddedId
    Key id;

    double value;

    /** Series and time. */
    @Embeddable
    record Key(Long seriesId, Instant at) implements Serializable {}
}
