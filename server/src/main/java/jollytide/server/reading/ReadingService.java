package jollytide.server.reading;

import static jollytide.core.units.Quantities.plain;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Plausible;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Meaning;
import jollytide.core.probe.ProbeHistory;
import jollytide.core.probe.ProbeMap;
import jollytide.core.seawater.Seawater;
import jollytide.server.home.LocalTimes;
import jollytide.server.probe.ProbeBook;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingController.NewReading;
import jollytide.server.reading.ReadingController.NewReadings;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Readings around one tank: its own, its room's and its home's outdoor air. Saving is idempotent: the same value at the
 * same time changes nothing, another value at the same time is a conflict until the keeper says which holds.
 */
@Service
@Transactional
public class ReadingService {
    private static final int MAX_PAGE = 500;

    private final SeriesRepository series;
    private final ReadingRepository readings;
    private final SeriesBook book;
    private final ReadingWriter writer;
    private final TankService tanks;
    private final ProbeBook probes;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    ReadingService(
            SeriesRepository series,
            ReadingRepository readings,
            SeriesBook book,
            ReadingWriter writer,
            TankService tanks,
            ProbeBook probes,
            JdbcTemplate jdbc,
            Clock clock) {
        this.series = series;
        this.readings = readings;
        this.book = book;
        this.writer = writer;
        this.tanks = tanks;
        this.probes = probes;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A stored value that a new one contradicts. */
    public record Conflict(ReadingView stored, double offered) {}

    public record Page(List<ReadingView> readings, @Nullable String next) {}

    /**
     * A series that no person types: what it said last, and its last day.
     *
     * @param n readings in the 24 hours until the last one, their lowest and highest in the series' unit
     */
    public record SensorLine(
            Quantity quantity,
            Place place,
            Method method,
            RawUnit unit,
            Instant at,
            double value,
            long n,
            double low,
            double high) {}

    /** Nobody reads by hand more often than that in a day. From memory. */
    private static final int MOST_BY_HAND = 12;

    private static final int HALF_HOURS_OF_A_DAY = 48;

    /**
     * A typed value that no tank usually reads.
     *
     * @param index of it among those that were sent
     */
    public record Unusual(int index, Plausible.Doubt doubt) {}

    private static void asked(NewReadings request) {
        List<Unusual> unusual = new ArrayList<>();
        for (int i = 0; i < request.values().size(); i++) {
            NewReading value = request.values().get(i);
            int index = i;
            check("values[" + i + "]", value);
            Plausible.doubt(value.unit(), value.value()).ifPresent(doubt -> unusual.add(new Unusual(index, doubt)));
        }
        if (!unusual.isEmpty()) {
            throw Problem.of(HttpStatus.CONFLICT, "Is this right?", "This value is unusual. Nothing is saved yet.")
                    .with("unusual", unusual);
        }
    }

    public List<ReadingView> save(UUID keeperId, UUID tankId, NewReadings request) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant at = LocalTimes.resolve("at", request.at(), tank.home().zone(), clock.instant());
        if (Boolean.TRUE.equals(request.ask())) {
            asked(request);
        }
        Map<Long, ReadingRow> toSave = new LinkedHashMap<>();
        List<Conflict> conflicts = new ArrayList<>();
        for (int i = 0; i < request.values().size(); i++) {
            NewReading value = request.values().get(i);
            check("values[" + i + "]", value);
            ReadingRow row = row(book.idFor(tank, value.meaning()), value, at);
            Optional<ReadingRow> stored = Optional.ofNullable(toSave.get(row.seriesId()))
                    .or(() -> readings.findById(new Reading.Key(row.seriesId(), at))
                            .map(r -> row.withValue(r.value)));
            boolean differs = stored.isPresent() && stored.get().value() != value.value();
            if (differs && !Boolean.TRUE.equals(request.replace())) {
                conflicts.add(new Conflict(ReadingView.of(stored.get()), value.value()));
            } else {
                toSave.put(row.seriesId(), row);
            }
        }
        if (!conflicts.isEmpty()) {
            throw Problem.of(
                            HttpStatus.CONFLICT,
                            "Another value is stored",
                            "Another value is already stored for that time. Nothing was saved. Choose whether "
                                    + "to replace it.")
                    .with("conflicts", conflicts);
        }
        toSave.values().forEach(row -> writer.put(row.seriesId(), List.of(new TimedValue(row.at(), row.value()))));
        return toSave.values().stream().map(ReadingView::of).toList();
    }

    private static ReadingRow row(long seriesId, NewReading v, Instant at) {
        return new ReadingRow(seriesId, v.unit().quantity(), v.place(), v.method(), v.unit(), at, v.value());
    }

    /** Saves many readings of one series; where a time is taken, the stored value stays. */
    public void saveAll(UUID keeperId, UUID tankId, Meaning meaning, List<TimedValue> values) {
        values.forEach(v -> meaning.unit().checked(v.value()));
        writer.add(book.idFor(tanks.tank(keeperId, tankId), meaning), values, null);
    }

    /** Replaces a reading by a corrected one; when the correction is refused the old one stays. */
    public ReadingView correct(UUID keeperId, UUID tankId, String id, NewReadings corrected) {
        if (corrected.values().size() != 1) {
            throw Problem.refused(new FieldError("values", null, "one value", "Enter exactly one value."));
        }
        if (Boolean.TRUE.equals(corrected.ask())) {
            asked(corrected);
        }
        Reading.Key old = owned(tanks.tank(keeperId, tankId), id);
        writer.remove(old.seriesId(), old.at());
        return save(keeperId, tankId, corrected).get(0);
    }

    public void delete(UUID keeperId, UUID tankId, String id) {
        Reading.Key key = owned(tanks.tank(keeperId, tankId), id);
        writer.remove(key.seriesId(), key.at());
    }

    @Transactional(readOnly = true)
    public Page page(
            UUID keeperId,
            UUID tankId,
            @Nullable Quantity quantity,
            boolean byHand,
            @Nullable String after,
            int limit) {
        Tank tank = tanks.tank(keeperId, tankId);
        Reading.Key from = after == null
                ? new Reading.Key(Long.MAX_VALUE, Instant.parse("9999-01-01T00:00:00Z"))
                : ReadingId.parse(after);
        int size = Math.min(MAX_PAGE, Math.max(1, limit));
        List<Series> all = series.findBySubjectIdIn(subjects(tank));
        Set<Long> sensors = byHand ? lastDays(all).keySet() : Set.of();
        List<ReadingRow> rows = all.stream()
                .filter(s -> quantity == null || s.quantity == quantity)
                .filter(s -> !sensors.contains(s.id))
                .flatMap(s -> {
                    // Times that several series share stand in the order of the series.
                    Instant before = s.id < from.seriesId() ? from.at().plus(1, ChronoUnit.MICROS) : from.at();
                    return readings.newestBefore(s.id, before, Limit.of(size + 1)).stream()
                            .map(r -> row(s, r));
                })
                .sorted(Comparator.comparing(ReadingRow::at)
                        .thenComparing(ReadingRow::seriesId)
                        .reversed())
                .limit(size + 1)
                .toList();
        List<ReadingView> page = rows.stream().limit(size).map(ReadingView::of).toList();
        return new Page(page, rows.size() > size ? page.get(size - 1).id() : null);
    }

    /** What sensors say around a tank: a line each. */
    @Transactional(readOnly = true)
    public List<SensorLine> sensors(UUID keeperId, UUID tankId) {
        List<Series> all = series.findBySubjectIdIn(subjects(tanks.tank(keeperId, tankId)));
        Map<Long, LastDay> days = lastDays(all);
        return all.stream()
                .filter(s -> days.containsKey(s.id))
                .flatMap(s -> readings.newestBefore(s.id, Instant.parse("9999-01-01T00:00:00Z"), Limit.of(1)).stream()
                        .map(r -> days.get(s.id).line(s, r)))
                .sorted(Comparator.comparing(SensorLine::at).reversed())
                .toList();
    }

    private record LastDay(long n, double low, double high) {
        SensorLine line(Series s, Reading newest) {
            return new SensorLine(s.quantity, s.place, s.method, s.unit, newest.id.at(), newest.value, n, low, high);
        }
    }

    /** The last day of those series that are a sensor's. */
    private Map<Long, LastDay> lastDays(List<Series> all) {
        Map<Long, LastDay> days = new HashMap<>();
        if (all.isEmpty()) {
            return days;
        }
        String wanted = all.stream().map(s -> s.id.toString()).collect(Collectors.joining(","));
        jdbc.query(
                "select h.series_id, sum(h.n), min(h.low), max(h.high) from reading_half_hour h join"
                        + " (select series_id, max(bucket) newest from reading_half_hour where series_id in (" + wanted
                        + ") group by series_id) m on m.series_id = h.series_id and h.bucket > m.newest - "
                        + HALF_HOURS_OF_A_DAY + " group by h.series_id having sum(h.n) > " + MOST_BY_HAND,
                row -> {
                    days.put(row.getLong(1), new LastDay(row.getLong(2), row.getDouble(3), row.getDouble(4)));
                });
        return days;
    }

    /** Readings of one quantity at one place around the tank, newest first. */
    @Transactional(readOnly = true)
    public List<ReadingRow> between(Tank tank, Quantity quantity, Place place, Instant from, Instant to, Limit limit) {
        List<ReadingRow> rows = new ArrayList<>();
        ProbeHistory probe = probe(tank, quantity, place);
        for (Series s : series.findBySubjectIdAndQuantityAndPlace(SeriesBook.subject(tank, place), quantity, place)) {
            readings.newest(s.id, from, to, limit)
                    .forEach(r -> rows.add(row(s, r).through(probe)));
        }
        rows.sort(Comparator.comparing(ReadingRow::at).reversed());
        return limit.isLimited() && rows.size() > limit.max() ? rows.subList(0, limit.max()) : rows;
    }

    /** What is known of the probe that a quantity may be from. */
    private ProbeHistory probe(Tank tank, Quantity quantity, Place place) {
        return quantity == Quantity.PH && place == Place.TANK ? probes.of(tank) : ProbeHistory.NONE;
    }

    private static ReadingRow row(Series s, Reading r) {
        return new ReadingRow(s.id, s.quantity, s.place, s.method, s.unit, r.id.at(), r.value);
    }

    /** The half hours of one quantity at one place around the tank, oldest first. */
    @Transactional(readOnly = true)
    public List<HalfHour> halfHours(Tank tank, Quantity quantity, Place place, Instant from, Instant to) {
        return ofEachSeries(
                tank,
                quantity,
                place,
                s -> jdbc.query(
                        "select bucket, n, total, low, low_s, high, high_s from reading_half_hour"
                                + " where series_id = ? and bucket between ? and ? order by bucket",
                        (row, i) -> {
                            Instant start = Instant.ofEpochSecond(row.getLong(1) * ReadingWriter.BUCKET_SECONDS);
                            int n = row.getInt(2);
                            double mean = row.getDouble(3) / n;
                            double low = row.getDouble(4);
                            Instant lowAt = start.plusSeconds(row.getInt(5));
                            double high = row.getDouble(6);
                            Instant highAt = start.plusSeconds(row.getInt(7));
                            return new HalfHour(
                                    s.id, s.unit, s.method, start, n, mean, low, lowAt, high, highAt, ProbeMap.RIGHT);
                        },
                        s.id,
                        bucket(from),
                        bucket(to)));
    }

    /**
     * The half hours of one quantity at one place, {@code perGroup} of them taken together, oldest first. The moments of
     * the extremes are those of the group's beginning.
     */
    @Transactional(readOnly = true)
    public List<HalfHour> grouped(Tank tank, Quantity quantity, Place place, Instant from, Instant to, int perGroup) {
        return ofEachSeries(
                tank,
                quantity,
                place,
                s -> jdbc.query(
                        "select bucket div ? as g, sum(n), sum(total), min(low), max(high) from reading_half_hour"
                                + " where series_id = ? and bucket between ? and ? group by g order by g",
                        (row, i) -> {
                            Instant start =
                                    Instant.ofEpochSecond(row.getLong(1) * perGroup * ReadingWriter.BUCKET_SECONDS);
                            int n = row.getInt(2);
                            double mean = row.getDouble(3) / n;
                            double low = row.getDouble(4);
                            double high = row.getDouble(5);
                            return new HalfHour(
                                    s.id, s.unit, s.method, start, n, mean, low, start, high, start, ProbeMap.RIGHT);
                        },
                        perGroup,
                        s.id,
                        bucket(from),
                        bucket(to)));
    }

    /** The same in the core's unit, each group of half hours at its beginning. */
    @Transactional(readOnly = true)
    public List<Observation> observed(
            Tank tank, Quantity quantity, Place place, Instant from, Instant to, int perGroup) {
        Seawater water = new Seawater(
                tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
        return grouped(tank, quantity, place, from, to, perGroup).stream()
                .map(h -> new Observation(h.mean(water, tank.home().pressureHpa()), h.method(), h.start()))
                .toList();
    }

    private List<HalfHour> ofEachSeries(
            Tank tank, Quantity quantity, Place place, Function<Series, List<HalfHour>> halfHours) {
        List<Series> all = series.findBySubjectIdAndQuantityAndPlace(SeriesBook.subject(tank, place), quantity, place);
        ProbeHistory probe = probe(tank, quantity, place);
        if (all.size() == 1) {
            return through(probe, all.get(0), halfHours.apply(all.get(0)));
        }
        return all.stream()
                .flatMap(s -> through(probe, s, halfHours.apply(s)).stream())
                .sorted(Comparator.comparing(HalfHour::start))
                .toList();
    }

    private static List<HalfHour> through(ProbeHistory probe, Series s, List<HalfHour> halfHours) {
        return probe.known() && ReadingRow.isProbes(s.quantity, s.place, s.method)
                ? halfHours.stream().map(h -> h.through(probe)).toList()
                : halfHours;
    }

    /** A quantity at a place. */
    public record Logged(Quantity quantity, Place place) {}

    /** What was logged around the tank between two times, to the half hour. */
    @Transactional(readOnly = true)
    public List<Logged> logged(Tank tank, Instant from, Instant to) {
        return jdbc.query(
                "select distinct s.quantity, s.place from series s where s.subject_id in (?, ?, ?) and exists"
                        + " (select 1 from reading_half_hour h where h.series_id = s.id and h.bucket between ? and ?)"
                        + " order by s.quantity, s.place",
                (row, i) -> new Logged(Quantity.valueOf(row.getString(1)), Place.valueOf(row.getString(2))),
                tank.id(),
                tank.room().id(),
                tank.home().id(),
                bucket(from),
                bucket(to));
    }

    /** A stretch of time. */
    public record Span(Instant from, Instant to) {}

    /** From the first to the last reading around the tank, to the half hour; empty without any. */
    @Transactional(readOnly = true)
    public Optional<Span> span(Tank tank) {
        return Objects.requireNonNull(jdbc.queryForObject(
                "select min(a), max(b) from (select"
                        + " (select bucket from reading_half_hour where series_id = s.id order by bucket limit 1) a,"
                        + " (select bucket from reading_half_hour where series_id = s.id order by bucket desc "
                        + "limit 1) b"
                        + " from series s where s.subject_id in (?, ?, ?)) spans",
                (row, i) -> {
                    long first = row.getLong(1) * ReadingWriter.BUCKET_SECONDS;
                    long last = (row.getLong(2) + 1) * ReadingWriter.BUCKET_SECONDS;
                    return row.wasNull()
                            ? Optional.<Span>empty()
                            : Optional.of(new Span(Instant.ofEpochSecond(first), Instant.ofEpochSecond(last)));
                },
                tank.id(),
                tank.room().id(),
                tank.home().id()));
    }

    static long bucket(Instant at) {
        return Math.floorDiv(at.getEpochSecond(), (long) ReadingWriter.BUCKET_SECONDS);
    }

    private Reading.Key owned(Tank tank, String id) {
        Reading.Key key = ReadingId.parse(id);
        boolean mine = series.findById(key.seriesId())
                .filter(s -> subjects(tank).contains(s.subjectId))
                .isPresent();
        if (!mine || !readings.existsById(key)) {
            throw Problem.notFound("reading");
        }
        return key;
    }

    private static List<UUID> subjects(Tank tank) {
        return List.of(tank.id(), tank.room().id(), tank.home().id());
    }

    private static void check(String field, NewReading reading) {
        RawUnit unit = reading.unit();
        double value = reading.value();
        if (!(value >= unit.min() && value <= unit.max())) {
            String allowed = plain(unit.min()) + " to " + plain(unit.max()) + " " + unit.symbol();
            throw Problem.refused(new FieldError(
                    field + ".value",
                    plain(value),
                    allowed,
                    plain(value) + " can’t be " + unit.symbol() + ". Allowed: " + allowed + "."));
        }
        SeriesBook.check(field, reading.meaning());
    }
}
