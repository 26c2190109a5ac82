package jollytide.server.forecast;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** The table of forecasts. A day is claimed before it is computed, so that one instance computes it. */
@Component
class DayForecasts {
    /** A claim older than this is of an instance that is gone. */
    private static final Duration LEASE = Duration.ofMinutes(10);

    private final JdbcTemplate jdbc;
    private final Clock clock;

    DayForecasts(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What was forecast of a day; null where nothing was known of the tank. */
    record Kept(
            LocalDate day,
            Instant madeAt,
            @Nullable Estimate trough,
            @Nullable Estimate peak) {}

    /** Whether this instance may compute a day now. */
    boolean claim(UUID tank, LocalDate day) {
        LocalDateTime now = utc(clock.instant());
        return jdbc.update(
                                "insert ignore into day_forecast (tank_id, day, claimed_at) values (?, ?, ?)",
                                tank.toString(),
                                day,
                                now)
                        == 1
                || jdbc.update(
                                "update day_forecast set claimed_at = ? where tank_id = ? and day = ? and made_at is null"
                                        + " and claimed_at < ?",
                                now,
                                tank.toString(),
                                day,
                                utc(clock.instant().minus(LEASE)))
                        == 1;
    }

    void keep(UUID tank, LocalDate day, @Nullable Estimate trough, @Nullable Estimate peak) {
        jdbc.update(
                "update day_forecast set made_at = ?, trough = ?, trough_low = ?, trough_high = ?, peak = ?, peak_low = ?,"
                        + " peak_high = ? where tank_id = ? and day = ?",
                utc(clock.instant()),
                trough == null ? null : trough.value(),
                trough == null ? null : trough.low(),
                trough == null ? null : trough.high(),
                peak == null ? null : peak.value(),
                peak == null ? null : peak.low(),
                peak == null ? null : peak.high(),
                tank.toString(),
                day);
    }

    /** Days that are kept or being computed. */
    Set<LocalDate> days(UUID tank, LocalDate from) {
        return new HashSet<>(jdbc.query(
                "select day from day_forecast where tank_id = ? and day >= ? and (made_at is not null or claimed_at >= ?)",
                (row, i) -> row.getObject(1, LocalDate.class),
                tank.toString(),
                from,
                utc(clock.instant().minus(LEASE))));
    }

    /** Those of a tank since a day, oldest first. */
    List<Kept> of(UUID tank, LocalDate from) {
        return jdbc.query(
                "select day, made_at, trough, trough_low, trough_high, peak, peak_low, peak_high from day_forecast"
                        + " where tank_id = ? and day >= ? and made_at is not null order by day",
                (row, i) -> new Kept(
                        row.getObject(1, LocalDate.class),
                        row.getObject(2, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                        estimate(row, 3),
                        estimate(row, 6)),
                tank.toString(),
                from);
    }

    private static @Nullable Estimate estimate(ResultSet row, int first) throws SQLException {
        double value = row.getDouble(first);
        return row.wasNull() ? null : new Estimate(value, row.getDouble(first + 1), row.getDouble(first + 2));
    }

    private static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
}
