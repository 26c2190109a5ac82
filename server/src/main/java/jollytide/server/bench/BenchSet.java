package jollytide.server.bench;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class BenchSet {
    @Id
    UUID id;

    UUID tankId;
    String name;

    @JdbcTypeCode(SqlTypes.JSON)
    Variant variant;

    Instant keptAt;
}
