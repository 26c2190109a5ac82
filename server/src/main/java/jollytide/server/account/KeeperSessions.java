package jollytide.server.account;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The open sessions of a keeper; each carries the keeper's id as the name of who is in. */
@Component
class KeeperSessions {
    private final JdbcTemplate jdbc;

    KeeperSessions(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** @param except the session that goes on; null when none does */
    void end(UUID keeperId, @Nullable String except) {
        jdbc.update(
                "delete from SPRING_SESSION where PRINCIPAL_NAME = ? and SESSION_ID <> ?",
                keeperId.toString(),
                except == null ? "" : except);
    }
}
