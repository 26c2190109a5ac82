package jollytide.server.outage;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class KitItem {
    @Id
    UUID id;

    @Version
    long version;

    UUID homeId;

    @JdbcTypeCode(SqlTypes.JSON)
    KitDescription description;
}
