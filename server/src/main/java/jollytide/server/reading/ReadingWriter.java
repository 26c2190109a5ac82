package jollytide.server.reading;

import java.sql.Types;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one way in which readings enter and leave the log: the values and what their half hours hold change together, in
 * the caller's transaction. One writer at a time to a series.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class ReadingWriter {
    static final int BUCKET_SECONDS = 1800;
    private static final int BATCH = 5000;
    /** Values further apart than this are looked up apart, so that a stray one does not draw in years of others. */
    private static final int APART_BUCKETS = 96;

    private final JdbcTemplate jdbc;

    ReadingWriter(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** A stored value that another one contradicts. */
    public record Clash(Instant at, double stored, double offered) {}

    /**
     * What became of the values.
     *
     * @param saved new ones
     * @param again ones that this import had saved before it was interrupted
     * @param alreadyThere ones that stood there with the same value
     * @param clashes ones that stood there with another value, which was kept
     */
    public record Outcome(int saved, int again, int alreadyThere, List<Clash> clashes) {}

    private record Stored(
            Instant at, double value, @Nullable Long importId) {}

    /** Adds values; where a time is taken the stored value stays. Of two values for one time the first counts. */
    public Outcome add(long seriesId, Collection<TimedValue> values, @Nullable Long importId) {
        lock(seriesId);
        List<Clash> clashes = new ArrayList<>();
        List<TimedValue> offered = new ArrayList<>(values.size());
        int alreadyThere = 0;
        for (TimedValue v : inOrder(values)) {
            TimedValue last = offered.isEmpty() ? null : offered.get(offered.size() - 1);
            if (last == null || !last.at().equals(v.at())) {
                offered.add(v);
            } else if (last.value() == v.value()) {
                alreadyThere++;
            } else {
                clashes.add(new Clash(v.at(), last.value(), v.value()));
            }
        }
        Iterator<Stored> stored = stored(seriesId, offered).iterator();
        Stored there = stored.hasNext() ? stored.next() : null;
        List<TimedValue> fresh = new ArrayList<>(offered.size());
        int again = 0;
        for (TimedValue v : offered) {
            while (there != null && there.at().isBefore(v.at())) {
                there = stored.hasNext() ? stored.next() : null;
            }
            if (there == null || !there.at().equals(v.at())) {
                fresh.add(v);
            } else if (there.value() != v.value()) {
                clashes.add(new Clash(v.at(), there.value(), v.value()));
            } else if (importId != null && importId.equals(there.importId())) {
                again++;
            } else {
                alreadyThere++;
            }
        }
        store("insert into reading (series_id, at, value, import_id) values (?, ?, ?, ?)", seriesId, fresh, importId);
        return new Outcome(fresh.size(), again, alreadyThere, clashes);
    }

    /** By time, of equal times the earlier in the collection first; the database keeps microseconds. */
    private static List<TimedValue> inOrder(Collection<TimedValue> values) {
        return values.stream()
                .map(v -> new TimedValue(v.at().truncatedTo(ChronoUnit.MICROS), v.value()))
                .sorted(Comparator.comparing(TimedValue::at))
                .toList();
    }

    /** Puts values entered by hand in place of whatever stands at their times. */
    public void put(long seriesId, Collection<TimedValue> values) {
        lock(seriesId);
        store(
                "insert into reading (series_id, at, value, import_id) values (?, ?, ?, ?)"
                        + " on duplicate key update value = values(value), import_id = values(import_id)",
                seriesId,
                inOrder(values),
                null);
    }

    /** Gives stored readings other values; where they came from stays known. */
    public void revalue(long seriesId, Collection<TimedValue> values) {
        lock(seriesId);
        List<TimedValue> ordered = inOrder(values);
        jdbc.batchUpdate(
                "update reading set value = ? where series_id = ? and at = ?", ordered, BATCH, (statement, v) -> {
                    statement.setDouble(1, v.value());
                    statement.setLong(2, seriesId);
                    statement.setObject(3, utc(v.at()));
                });
        summarise(seriesId, ordered.stream().map(TimedValue::at).toList());
    }

    public void remove(long seriesId, Instant at) {
        lock(seriesId);
        jdbc.update("delete from reading where series_id = ? and at = ?", seriesId, utc(at));
        summarise(seriesId, List.of(at));
    }

    /** Takes out what an import brought between two times. */
    public void removeImported(long seriesId, long importId, Instant from, Instant to) {
        lock(seriesId);
        List<Instant> gone = jdbc
                .queryForList(
                        "select at from reading where series_id = ? and at between ? and ? and import_id = ? order by at",
                        LocalDateTime.class,
                        seriesId,
                        utc(from),
                        utc(to),
                        importId)
                .stream()
                .map(t -> t.toInstant(ZoneOffset.UTC))
                .toList();
        jdbc.update(
                "delete from reading where series_id = ? and at between ? and ? and import_id = ?",
                seriesId,
                utc(from),
                utc(to),
                importId);
        summarise(seriesId, gone);
    }

    private void lock(long seriesId) {
        jdbc.queryForList("select id from series where id = ? for update", seriesId);
    }

    private void store(String sql, long seriesId, List<TimedValue> values, @Nullable Long importId) {
        if (values.isEmpty()) {
            return;
        }
        jdbc.batchUpdate(sql, values, BATCH, (statement, v) -> {
            statement.setLong(1, seriesId);
            statement.setObject(2, utc(v.at()));
            statement.setDouble(3, v.value());
            if (importId == null) {
                statement.setNull(4, Types.BIGINT);
            } else {
                statement.setLong(4, importId);
            }
        });
        summarise(seriesId, values.stream().map(TimedValue::at).toList());
    }

    /** What stands in the half hours of the offered values, by time. */
    private List<Stored> stored(long seriesId, List<TimedValue> offered) {
        List<Stored> stored = new ArrayList<>();
        for (int[] run : runs(offered.stream().map(TimedValue::at).toList())) {
            jdbc.query(
                    "select at, value, import_id from reading where series_id = ? and at >= ? and at < ? order by at",
                    row -> {
                        long importId = row.getLong(3);
                        Long known = row.wasNull() ? null : importId;
                        Instant at = row.getObject(1, LocalDateTime.class).toInstant(ZoneOffset.UTC);
                        stored.add(new Stored(at, row.getDouble(2), known));
                    },
                    seriesId,
                    start(run[0]),
                    start(run[1] + 1));
        }
        return stored;
    }

    /** Runs of half hours, first and last, that hold the times; the times are in order. */
    private static List<int[]> runs(List<Instant> times) {
        List<int[]> runs = new ArrayList<>();
        for (Instant at : times) {
            int bucket = bucket(at);
            int[] last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null && bucket - last[1] <= APART_BUCKETS) {
                last[1] = bucket;
            } else {
                runs.add(new int[] {bucket, bucket});
            }
        }
        return runs;
    }

    /** What one half hour holds, while it is counted. */
    private static final class Sum {
        private int n;
        private double total;
        private double low = Double.POSITIVE_INFINITY;
        private int lowS;
        private double high = Double.NEGATIVE_INFINITY;
        private int highS;

        private void take(double value, int second) {
            n++;
            total += value;
            if (value < low) {
                low = value;
                lowS = second;
            }
            if (value > high) {
                high = value;
                highS = second;
            }
        }
    }

    /** Counts anew the half hours that hold {@code touched}, times in order. */
    private void summarise(long seriesId, List<Instant> touched) {
        for (int[] run : runs(touched)) {
            TreeMap<Integer, Sum> sums = new TreeMap<>();
            jdbc.query(
                    "select timestampdiff(second, '1970-01-01', at), value from reading"
                            + " where series_id = ? and at >= ? and at < ? order by at",
                    row -> {
                        long second = row.getLong(1);
                        sums.computeIfAbsent((int) Math.floorDiv(second, (long) BUCKET_SECONDS), b -> new Sum())
                                .take(row.getDouble(2), (int) Math.floorMod(second, (long) BUCKET_SECONDS));
                    },
                    seriesId,
                    start(run[0]),
                    start(run[1] + 1));
            jdbc.update(
                    "delete from reading_half_hour where series_id = ? and bucket between ? and ?",
                    seriesId,
                    run[0],
                    run[1]);
            jdbc.batchUpdate(
                    "insert into reading_half_hour (series_id, bucket, n, total, low, low_s, high, high_s)"
                            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
                    sums.entrySet(),
                    BATCH,
                    (statement, e) -> {
                        Sum sum = e.getValue();
                        statement.setLong(1, seriesId);
                        statement.setInt(2, e.getKey());
                        statement.setInt(3, sum.n);
                        statement.setDouble(4, sum.total);
                        statement.setDouble(5, sum.low);
                        statement.setInt(6, sum.lowS);
                        statement.setDouble(7, sum.high);
                        statement.setInt(8, sum.highS);
                    });
        }
    }

    private static int bucket(Instant at) {
        return (int) Math.floorDiv(at.getEpochSecond(), (long) BUCKET_SECONDS);
    }

    private static LocalDateTime start(int bucket) {
        return LocalDateTime.ofEpochSecond((long) bucket * BUCKET_SECONDS, 0, ZoneOffset.UTC);
    }

    private static LocalDateTime utc(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
}
