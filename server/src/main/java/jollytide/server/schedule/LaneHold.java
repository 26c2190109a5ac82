package jollytide.server.schedule;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import jollytide.core.schedule.Known;
import jollytide.server.schedule.ScheduleDocument.StateEntry;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import tools.jackson.databind.json.JsonMapper;

/** A lane held by hand. */
@Entity
class LaneHold {
    @Id
    UUID id;

    UUID tankId;
    String lane;

    /** A {@link ScheduleDocument.StateEntry}. */
    @JdbcTypeCode(SqlTypes.JSON)
    Map<String, Object> state;

    Instant begunAt;
    Instant endsAt;

    /** Somebody saw that it does again what it should, or let it go. */
    boolean seen;

    StateEntry state(JsonMapper json) {
        return json.convertValue(state, StateEntry.class);
    }

    Known.Hold toCore(JsonMapper json) {
        return new Known.Hold(lane, state(json).toCore(), begunAt, endsAt);
    }
}
