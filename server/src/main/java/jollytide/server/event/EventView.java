package jollytide.server.event;

import java.time.Instant;
import java.util.UUID;

/** Something that changed. */
public record EventView(UUID id, EventKind kind, Instant at, String title, String note) {
    static EventView of(TankEvent e) {
        return new EventView(e.id, e.kind, e.at, e.title, e.note);
    }
}
