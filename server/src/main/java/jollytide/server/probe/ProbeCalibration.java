package jollytide.server.probe;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import jollytide.core.probe.Calibration;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
class ProbeCalibration {
    @Id
    UUID id;

    @Version
    long version;

    UUID tankId;
    Instant at;

    @JdbcTypeCode(SqlTypes.JSON)
    List<Calibration.BufferReading> points;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Calibration.Then meter;

    @Column(name = "set_c")
    Double setC;

    String note;

    Calibration toCore() {
        return new Calibration(at, points, meter, setC);
    }
}
