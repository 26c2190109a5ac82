package jollytide.server.twin;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class BenchSet {
    @Id
    UUID id;

    UUID tankId;
    String name;

    /** The document as it was kept. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, Object> variant;

    /** Of that document: 1 is read by {@link FirstSets}, 2 is a {@link SetRequest}. */
    int version;

    Instant keptAt;
}
