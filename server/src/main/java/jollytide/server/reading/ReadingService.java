package jollytide.server.reading;

import static jollytide.core.units.Quantities.plain;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import jollytide.server.home.LocalTimes;
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
    private static final int BATCH = 5000;

    private final SeriesRepository series;
    private final ReadingRepository readings;
    private final TankService tanks;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    ReadingService(
            SeriesRepository series, ReadingRepository readings, TankService tanks, JdbcTemplate jdbc, Clock clock) {
        this.series = series;
        this.readings = readings;
        this.tanks = tanks;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A stored value that a new one contradicts. */
    public record Conflict(ReadingView stored, double offered) {}

    public record Page(List<ReadingView> readings, @Nullable String next) {}

    public List<ReadingView> save(UUID keeperId, UUID tankId, NewReadings request) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant at = LocalTimes.resolve("at", request.at(), tank.home().zone(), clock.instant());
        Map<Reading.Key, Reading> toSave = new LinkedHashMap<>();
        List<ReadingRow> saved = new ArrayList<>();
        List<Conflict> conflicts = new ArrayList<>();
        for (int i = 0; i < request.values().size(); i++) {
            NewReading value = request.values().get(i);
            check("values[" + i + "]", value);
            Series s = seriesFor(tank, value);
            Reading.Key key = new Reading.Key(s.id, at);
            ReadingRow row = new ReadingRow(s.id, s.quantity, s.place, s.method, s.unit, at, value.value());
            Optional<Reading> stored = Optional.ofNullable(toSave.get(key)).or(() -> readings.findById(key));
            boolean differs = stored.isPresent() && stored.get().value != value.value();
            if (differs && !Boolean.TRUE.equals(request.replace())) {
                conflicts.add(new Conflict(
                        ReadingView.of(
                                new ReadingRow(s.id, s.quantity, s.place, s.method, s.unit, at, stored.get().value)),
                        value.value()));
                continue;
            }
            toSave.put(key, new Reading(key, value.value()));
            saved.add(row);
        }
        if (!conflicts.isEmpty()) {
            throw Problem.of(
                            HttpStatus.CONFLICT,
                            "Another value is stored",
                            "For that time another value is stored already. Nothing was saved; say whether to replace it.")
                    .with("conflicts", conflicts);
        }
        readings.saveAll(toSave.values());
        return saved.stream().map(ReadingView::of).toList();
    }

    /** A value of a series, in its unit. */
    public record TimedValue(Instant at, double value) {}

    /** Saves many readings of one series in batches; where a time is taken, the stored value stays. */
    public void saveAll(UUID keeperId, UUID tankId, RawUnit unit, Place place, Method method, List<TimedValue> values) {
        Tank tank = tanks.tank(keeperId, tankId);
        Series s = seriesFor(tank, new NewReading(unit, place, method, unit.min()));
        series.flush();
        jdbc.batchUpdate(
                "insert ignore into reading (series_id, at, value) values (?, ?, ?)",
                values,
                BATCH,
                (statement, value) -> {
                    statement.setLong(1, s.id);
                    statement.setObject(2, LocalDateTime.ofInstant(value.at(), ZoneOffset.UTC));
                    statement.setDouble(3, unit.checked(value.value()));
                });
    }

    /** Replaces a reading by a corrected one; when the correction is refused the old one stays. */
    public ReadingView correct(UUID keeperId, UUID tankId, String id, NewReadings corrected) {
        if (corrected.values().size() != 1) {
            throw Problem.refused(new FieldError("values", null, "one value", "A correction holds one value."));
        }
        Reading old = owned(tanks.tank(keeperId, tankId), id);
        readings.delete(old);
        readings.flush();
        return save(keeperId, tankId, corrected).get(0);
    }

    public void delete(UUID keeperId, UUID tankId, String id) {
        readings.delete(owned(tanks.tank(keeperId, tankId), id));
    }

    @Transactional(readOnly = true)
    public Page page(UUID keeperId, UUID tankId, @Nullable Quantity quantity, @Nullable String after, int limit) {
        Tank tank = tanks.tank(keeperId, tankId);
        Reading.Key from = after == null
                ? new Reading.Key(Long.MAX_VALUE, Instant.parse("9999-01-01T00:00:00Z"))
                : ReadingId.parse(after);
        int size = Math.min(MAX_PAGE, Math.max(1, limit));
        List<ReadingRow> rows = readings.page(subjects(tank), quantity, from.at(), from.seriesId(), Limit.of(size + 1));
        List<ReadingView> page = rows.stream().limit(size).map(ReadingView::of).toList();
        return new Page(page, rows.size() > size ? page.get(size - 1).id() : null);
    }

    /** Readings of one quantity at one place around the tank, newest first. */
    @Transactional(readOnly = true)
    public List<ReadingRow> between(Tank tank, Quantity quantity, Place place, Instant from, Instant to, Limit limit) {
        return readings.between(List.of(subject(tank, place)), quantity, place, from, to, limit);
    }

    private Reading owned(Tank tank, String id) {
        Reading.Key key = ReadingId.parse(id);
        boolean mine = series.findById(key.seriesId())
                .filter(s -> subjects(tank).contains(s.subjectId))
                .isPresent();
        return Optional.of(key)
                .filter(k -> mine)
                .flatMap(readings::findById)
                .orElseThrow(() -> Problem.notFound("reading"));
    }

    private Series seriesFor(Tank tank, NewReading value) {
        UUID subject = subject(tank, value.place());
        Quantity quantity = value.unit().quantity();
        return series.findBySubjectIdAndQuantityAndPlaceAndMethodAndUnit(
                        subject, quantity, value.place(), value.method(), value.unit())
                .orElseGet(() -> {
                    Series s = new Series();
                    s.homeId = tank.home().id();
                    s.roomId = value.place() == Place.ROOM ? tank.room().id() : null;
                    s.tankId = subject.equals(tank.id()) ? tank.id() : null;
                    s.subjectId = subject;
                    s.quantity = quantity;
                    s.place = value.place();
                    s.method = value.method();
                    s.unit = value.unit();
                    return series.save(s);
                });
    }

    private static UUID subject(Tank tank, Place place) {
        return switch (place) {
            case TANK, INTAKE -> tank.id();
            case ROOM -> tank.room().id();
            case OUTDOORS -> tank.home().id();
        };
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
                    plain(value) + " cannot be " + unit.symbol() + "; allowed is " + allowed + "."));
        }
        boolean air = unit.quantity() == Quantity.CO2;
        if (air == (reading.place() == Place.TANK)) {
            throw Problem.refused(new FieldError(
                    field + ".place",
                    reading.place().name(),
                    air ? "ROOM, OUTDOORS or INTAKE" : "TANK",
                    unit.quantity() + " is measured in the " + (air ? "air" : "tank") + "."));
        }
    }
}
