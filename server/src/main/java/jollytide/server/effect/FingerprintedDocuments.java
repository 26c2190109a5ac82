package jollytide.server.effect;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What takes seconds to find, each with a fingerprint of all that it was made from.
 *
 * @param table with a row for each tank and moment
 * @param version of the document
 */
record FingerprintedDocuments<T>(
        JdbcTemplate jdbc, JsonMapper json, Clock clock, String table, Class<T> type, int version) {
    private static final Logger LOG = LoggerFactory.getLogger(FingerprintedDocuments.class);

    /** A tank's, by fingerprint. */
    Map<String, T> of(UUID tank) {
        Map<String, T> kept = new HashMap<>();
        jdbc.query(
                "select fingerprint, document from " + table + " where tank_id = ? and version = ?",
                row -> {
                    try {
                        kept.put(row.getString(1), json.readValue(row.getString(2), type));
                    } catch (JacksonException unreadable) {
                        LOG.warn(
                                "what is kept in {} of tank {} cannot be read and is made anew",
                                table,
                                tank,
                                unreadable);
                    }
                },
                tank.toString(),
                version);
        return kept;
    }

    /** One for each moment. */
    void keep(UUID tank, Instant at, String fingerprint, T found) {
        jdbc.update(
                "insert into " + table + " (tank_id, at, fingerprint, made_at, version, document)"
                        + " values (?, ?, ?, ?, ?, ?)"
                        + " on duplicate key update fingerprint = values(fingerprint), made_at = values(made_at),"
                        + " version = values(version), document = values(document)",
                tank.toString(),
                utc(at),
                fingerprint,
                utc(clock.instant()),
                version,
                json.writeValueAsString(found));
    }

    static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
}
