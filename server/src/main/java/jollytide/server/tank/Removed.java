package jollytide.server.tank;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.server.problem.Problem;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Homes, rooms and tanks that their keeper removed: for a day they come back as they were, then they are gone. */
@Service
@Transactional
class Removed {
    private static final Duration KEPT = Duration.ofDays(1);

    private final JdbcTemplate jdbc;
    private final Clock clock;

    Removed(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What was removed. */
    enum Kind {
        TANK("tank t join room r on r.id = t.room_id join home h on h.id = r.home_id", "t"),
        ROOM("room r join home h on h.id = r.home_id", "r"),
        HOME("home h", "h");

        private final String place;
        private final String alias;

        Kind(String place, String alias) {
            this.place = place;
            this.alias = alias;
        }

        private String table() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param until when it can be undone */
    record RemovedThing(Kind kind, UUID id, String name, Instant at, Instant until) {}

    /** The newest first; what was removed longer ago is deleted. */
    List<RemovedThing> of(UUID keeperId) {
        forget();
        return Stream.of(Kind.values())
                .flatMap(kind -> jdbc
                        .query(
                                "select %1$s.id, %1$s.name, %1$s.removed_at from %2$s where h.keeper_id = ? and %1$s.removed_at is not null"
                                        .formatted(kind.alias, kind.place),
                                (row, i) -> {
                                    Instant at = row.getObject(3, LocalDateTime.class)
                                            .toInstant(ZoneOffset.UTC);
                                    return new RemovedThing(
                                            kind, row.getObject(1, UUID.class), row.getString(2), at, at.plus(KEPT));
                                },
                                keeperId)
                        .stream())
                .sorted((a, b) -> b.at().compareTo(a.at()))
                .toList();
    }

    void undo(UUID keeperId, UUID id) {
        for (Kind kind : Kind.values()) {
            int undone = jdbc.update(
                    "update %2$s set %1$s.removed_at = null where %1$s.id = ? and h.keeper_id = ? and %1$s.removed_at is not null"
                            .formatted(kind.alias, kind.place),
                    id,
                    keeperId);
            if (undone > 0) {
                return;
            }
        }
        throw Problem.notFound("removed thing");
    }

    /** What was removed more than a day ago is deleted. */
    void forget() {
        LocalDateTime before = LocalDateTime.ofInstant(clock.instant().minus(KEPT), ZoneOffset.UTC);
        for (Kind kind : Kind.values()) {
            jdbc.update("delete from " + kind.table() + " where removed_at < ?", before);
        }
    }
}
