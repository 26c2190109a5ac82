package jollytide.server.account;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Browsers from which a keeper signed in before, known by a secret in a cookie of which only the hash is kept. */
@Component
class KnownDevices {
    private static final int AT_MOST = 20;

    private final JdbcTemplate jdbc;
    private final Clock clock;

    KnownDevices(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    boolean knows(UUID keeperId, @Nullable String secret) {
        return secret != null
                && jdbc.update(
                                "update known_device set last_used_at = ? where keeper_id = ? and hash = ?",
                                now(),
                                keeperId,
                                new Secret(secret).hash())
                        == 1;
    }

    /** A secret for this browser; the device that was away longest is forgotten for it. */
    String remember(UUID keeperId) {
        Secret secret = Secret.make("device_");
        jdbc.update(
                "insert into known_device (id, keeper_id, hash, last_used_at) values (?, ?, ?, ?)",
                UUID.randomUUID(),
                keeperId,
                secret.hash(),
                now());
        List<UUID> old = jdbc.queryForList(
                "select id from known_device where keeper_id = ? order by last_used_at desc limit 100 offset ?",
                UUID.class,
                keeperId,
                AT_MOST);
        old.forEach(id -> jdbc.update("delete from known_device where id = ?", id));
        return secret.clear();
    }

    void forgetAll(UUID keeperId) {
        jdbc.update("delete from known_device where keeper_id = ?", keeperId);
    }

    private LocalDateTime now() {
        return LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    }
}
