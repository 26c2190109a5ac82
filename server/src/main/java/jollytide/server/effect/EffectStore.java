package jollytide.server.effect;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import jollytide.server.effect.EffectViews.Found;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The cards that were made, each with a fingerprint of all that it was made from. */
@Component
class EffectStore {
    private static final Logger LOG = LoggerFactory.getLogger(EffectStore.class);
    /** Of the document. */
    private static final int VERSION = 1;

    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final Clock clock;

    EffectStore(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** A tank's, by fingerprint. */
    Map<String, Found> of(UUID tank) {
        Map<String, Found> kept = new HashMap<>();
        jdbc.query(
                "select fingerprint, document from effect_card where tank_id = ? and version = ?",
                row -> {
                    try {
                        kept.put(row.getString(1), json.readValue(row.getString(2), Found.class));
                    } catch (JacksonException unreadable) {
                        LOG.warn("a kept card of tank {} cannot be read and is made anew", tank, unreadable);
                    }
                },
                tank.toString(),
                VERSION);
        return kept;
    }

    /** One card for each moment. */
    void keep(UUID tank, Instant at, String fingerprint, Found found) {
        jdbc.update(
                "insert into effect_card (tank_id, at, fingerprint, made_at, version, document) values (?, ?, ?, ?, ?, ?)"
                        + " on duplicate key update fingerprint = values(fingerprint), made_at = values(made_at),"
                        + " version = values(version), document = values(document)",
                tank.toString(),
                utc(at),
                fingerprint,
                utc(clock.instant()),
                VERSION,
                json.writeValueAsString(found));
    }

    private static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
}
