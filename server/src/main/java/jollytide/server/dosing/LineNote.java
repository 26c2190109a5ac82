package jollytide.server.dosing;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import jollytide.core.dosingline.Cylinder;
import jollytide.core.dosingline.LineHistory;
import jollytide.core.dosingline.ReservoirLevel;
import org.jspecify.annotations.Nullable;

@Entity
public class LineNote {
    @Id
    UUID id;

    UUID lineId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    LineHistory.What kind;

    Double ml;
    Double deviationMl;
    /** What the pump was set to give into a cylinder; then {@code ml} is what it gave. */
    Double askedMl;

    String note;

    /** What it held then; null where nobody looked. */
    private @Nullable ReservoirLevel level() {
        return ml == null || askedMl != null ? null : new ReservoirLevel(at, ml, deviationMl);
    }

    LineHistory.Seen seen() {
        return new LineHistory.Seen(at, kind, level(), askedMl == null ? null : new Cylinder(at, askedMl, ml));
    }
}
