package jollytide.server.dose;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

@Entity
public class LineNote {
    @Id
    UUID id;

    UUID lineId;
    Instant at;

    @Enumerated(EnumType.STRING)
    @Column(columnDefinition = "VARCHAR(20)")
    Kind kind;

    Double ml;
    Double deviationMl;
    String note;

    /** What was seen or done; of the same moment in this order: what it held, then what was filled in. */
    public enum Kind {
        LEVEL,
        FILLED,
        /** Bubbles in the line. */
        BUBBLES,
        /** Something of the line: a fitting, a tube, the pump's head. */
        CHANGED
    }
}
