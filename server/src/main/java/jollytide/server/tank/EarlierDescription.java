package jollytide.server.tank;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A tank as it was described in an earlier time. */
@Entity
class EarlierDescription {
    @Id
    UUID id;

    @Version
    long version;

    UUID tankId;

    /** Its end; it began where the one before it ended, the first with the log. */
    Instant until;

    @JdbcTypeCode(SqlTypes.JSON)
    TankDescription description;
}
