package jollytide.server.schedule;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "programme")
class StoredSchedule {
    @Id
    UUID tankId;

    @Version
    Long version;

    /** Of the document: 1 is a {@link ScheduleDocument}. */
    int format;

    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, Object> document;

    Instant savedAt;
}
