package jollytide.server.reading;

import java.sql.Types;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.probe.ProbeHistory;
import jollytide.core.probe.ProbeMap;
import jollytide.core.seawater.Seawater;
import jollytide.server.probe.ProbeBook;
import jollytide.server.tank.Tank;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the log holds of some tanks, read in three statements however many tanks there are. Whoever computes from it does
 * so after the connection is given back.
 */
@Component
public class LogSnapshots {
    private static final Set<Quantity> DRAWN =
            EnumSet.of(Quantity.PH, Quantity.CO2, Quantity.OXYGEN, Quantity.ALKALINITY, Quantity.TEMPERATURE);

    private static final long BUCKETS_A_DAY = Duration.ofDays(1).toSeconds() / ReadingWriter.BUCKET_SECONDS;

    private final SeriesRepository series;
    private final ProbeBook probes;
    private final NamedParameterJdbcTemplate jdbc;

    LogSnapshots(SeriesRepository series, ProbeBook probes, JdbcTemplate jdbc) {
        this.series = series;
        this.probes = probes;
        this.jdbc = new NamedParameterJdbcTemplate(jdbc);
    }

    /**
     * Of each tank: half hours of what its twin is fitted to between two times, and the newest reading of every series until the second.
     */
    @Transactional(readOnly = true)
    public Map<UUID, LogSnapshot> of(List<Tank> tanks, Instant from, Instant to) {
        List<Series> all = seriesOf(tanks);
        Map<Long, Series> drawn = byId(all, s -> DRAWN.contains(s.quantity));
        List<HalfHour> halfHours = drawn.isEmpty() ? List.of() : halfHours(drawn, from, to);
        List<ReadingRow> newest = newest(byId(all, s -> true), Instant.EPOCH, to);
        Map<UUID, ProbeHistory> probeOf = probes.of(tanks);
        Map<UUID, LogSnapshot> snapshots = new HashMap<>();
        for (Tank tank : tanks) {
            Set<Long> own = all.stream()
                    .filter(s -> s.subjectId.equals(SeriesBook.subject(tank, s.place)))
                    .map(s -> s.id)
                    .collect(Collectors.toSet());
            ProbeHistory probe = probeOf.getOrDefault(tank.id(), ProbeHistory.NONE);
            snapshots.put(
                    tank.id(),
                    new LogSnapshot(
                            to,
                            newest.stream()
                                    .filter(r -> own.contains(r.seriesId()))
                                    .map(r -> r.through(probe))
                                    .toList(),
                            halfHours.stream()
                                    .filter(h -> own.contains(h.seriesId()))
                                    .map(h -> through(probe, drawn.get(h.seriesId()), h))
                                    .collect(Collectors.groupingBy(h -> {
                                        Series s = drawn.get(h.seriesId());
                                        return new LogSnapshot.What(s.quantity, s.place);
                                    })),
                            probe));
        }
        return snapshots;
    }

    /**
     * What the log holds of a tank, day by day of universal time (since 1970) in a few characters: others once a reading
     * came, went or was mended.
     */
    @Transactional(readOnly = true)
    public SortedMap<Long, String> stamps(Tank tank) {
        Map<Long, Series> drawn = byId(seriesOf(List.of(tank)), s -> DRAWN.contains(s.quantity));
        SortedMap<Long, String> stamps = new TreeMap<>();
        if (!drawn.isEmpty()) {
            jdbc.query(
                    "select bucket div :aDay, concat(count(*), ' ', sum(n), ' ', sum(total), ' ', sum(total * (bucket % :aDay)))"
                            + " from reading_half_hour where series_id in (:series) group by 1",
                    new MapSqlParameterSource().addValue("aDay", BUCKETS_A_DAY).addValue("series", drawn.keySet()),
                    row -> {
                        stamps.put(row.getLong(1), row.getString(2));
                    });
        }
        return stamps;
    }

    private static HalfHour through(ProbeHistory probe, Series s, HalfHour h) {
        return probe.known() && ReadingRow.isProbes(s.quantity, s.place, s.method) ? h.through(probe) : h;
    }

    /** The newest reading of one quantity in each tank's own water between two times, by tank. */
    @Transactional(readOnly = true)
    public Map<UUID, ReadingRow> newestInWater(List<Tank> tanks, Quantity quantity, Instant from, Instant to) {
        List<Series> all = seriesOf(tanks);
        Map<Long, Series> wanted = byId(all, s -> s.quantity == quantity && s.place == Place.TANK);
        Map<UUID, ReadingRow> newest = new HashMap<>();
        newest(wanted, from, to).stream()
                .sorted(Comparator.comparing(ReadingRow::at))
                .forEach(row -> newest.put(wanted.get(row.seriesId()).subjectId, row));
        return newest;
    }

    /** One quantity in each tank's own water between two times, in the core's unit, in their order, by tank. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Reading>> inWater(List<Tank> tanks, Quantity quantity, Instant from, Instant to) {
        Map<Long, Series> wanted = byId(seriesOf(tanks), s -> s.quantity == quantity && s.place == Place.TANK);
        Map<UUID, Tank> byId = tanks.stream().collect(Collectors.toMap(Tank::id, Function.identity()));
        return wanted.isEmpty()
                ? Map.of()
                : halfHours(wanted, from, to).stream()
                        .sorted(Comparator.comparing(HalfHour::start))
                        .collect(Collectors.groupingBy(
                                h -> wanted.get(h.seriesId()).subjectId,
                                Collectors.mapping(
                                        h -> reading(byId.get(wanted.get(h.seriesId()).subjectId), h),
                                        Collectors.toList())));
    }

    private static Reading reading(Tank tank, HalfHour h) {
        Seawater water = new Seawater(
                tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
        return new Reading(h.start(), h.mean(water, tank.home().pressureHpa()));
    }

    private List<Series> seriesOf(List<Tank> tanks) {
        Set<UUID> subjects = new HashSet<>();
        tanks.forEach(tank ->
                subjects.addAll(List.of(tank.id(), tank.room().id(), tank.home().id())));
        return subjects.isEmpty() ? List.of() : series.findBySubjectIdIn(subjects);
    }

    private static Map<Long, Series> byId(Collection<Series> all, Predicate<Series> which) {
        return all.stream().filter(which).collect(Collectors.toMap(s -> s.id, Function.identity()));
    }

    private List<HalfHour> halfHours(Map<Long, Series> wanted, Instant from, Instant to) {
        MapSqlParameterSource asked = new MapSqlParameterSource()
                .addValue("series", wanted.keySet())
                .addValue("first", ReadingService.bucket(from))
                .addValue("last", ReadingService.bucket(to));
        return jdbc.query(
                "select series_id, bucket, n, total, low, low_s, high, high_s from reading_half_hour"
                        + " where series_id in (:series) and bucket between :first and :last order by series_id, bucket",
                asked,
                (row, i) -> {
                    Series s = wanted.get(row.getLong(1));
                    Instant start = Instant.ofEpochSecond(row.getLong(2) * ReadingWriter.BUCKET_SECONDS);
                    int n = row.getInt(3);
                    return new HalfHour(
                            s.id,
                            s.unit,
                            s.method,
                            start,
                            n,
                            row.getDouble(4) / n,
                            row.getDouble(5),
                            start.plusSeconds(row.getInt(6)),
                            row.getDouble(7),
                            start.plusSeconds(row.getInt(8)),
                            ProbeMap.RIGHT);
                });
    }

    private List<ReadingRow> newest(Map<Long, Series> wanted, Instant from, Instant to) {
        if (wanted.isEmpty()) {
            return new ArrayList<>();
        }
        MapSqlParameterSource asked = new MapSqlParameterSource()
                .addValue("series", wanted.keySet())
                .addValue("first", utc(from), Types.TIMESTAMP)
                .addValue("last", utc(to), Types.TIMESTAMP);
        return jdbc.query(
                "select r.series_id, r.at, r.value from reading r join (select series_id, max(at) newest from reading"
                        + " where series_id in (:series) and at between :first and :last group by series_id) n"
                        + " on n.series_id = r.series_id and n.newest = r.at",
                asked,
                (row, i) -> {
                    Series s = wanted.get(row.getLong(1));
                    Instant at = row.getObject(2, LocalDateTime.class).toInstant(ZoneOffset.UTC);
                    return new ReadingRow(s.id, s.quantity, s.place, s.method, s.unit, at, row.getDouble(3));
                });
    }

    private static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
}
