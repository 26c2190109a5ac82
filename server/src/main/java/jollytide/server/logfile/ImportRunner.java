package jollytide.server.logfile;

import jakarta.annotation.PreDestroy;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import jollytide.core.logfile.LogReader;
import jollytide.core.logfile.Meaning;
import jollytide.server.logfile.ImportViews.BadLine;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingWriter;
import jollytide.server.reading.ReadingWriter.Outcome;
import jollytide.server.reading.SeriesBook;
import jollytide.server.reading.TimedValue;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads confirmed files into the log, one after the other, a transaction for every few thousand readings. A runner holds
 * a lease on its file; a file whose runner died is read anew from its beginning, which changes nothing that is saved
 * already.
 */
@Component
class ImportRunner {
    private static final Logger LOG = LoggerFactory.getLogger(ImportRunner.class);
    private static final int CHUNK = 20_000;
    private static final int MAX_BAD_LISTED = 1000;
    private static final Duration LEASE = Duration.ofSeconds(12);
    private static final Duration KEEP_WAITING = Duration.ofDays(7);
    /** Between two tries while the database is away or full: whatever else waits has its turn meanwhile. */
    private static final Duration TRY_AGAIN = Duration.ofSeconds(2);

    private static final int MAX_REASON = 300;
    private static final int MAX_TEXT = 200;
    /** MariaDB's words for a full disk: the server's own, a table's file, and what the system says on writing. */
    private static final Set<Integer> DISK_FULL = Set.of(1021, 1114, 1026, 3);

    private final LogImports imports;
    private final PlanReader reader;
    private final JsonMapper json;
    private final FileStore files;
    private final TankService tanks;
    private final SeriesBook book;
    private final ReadingWriter writer;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final ScheduledExecutorService thread =
            Executors.newSingleThreadScheduledExecutor(task -> named(task, "imports"));
    private final ExecutorService saver = Executors.newSingleThreadExecutor(task -> named(task, "imports-saving"));
    private volatile boolean closing;

    ImportRunner(
            LogImports imports,
            PlanReader reader,
            JsonMapper json,
            FileStore files,
            TankService tanks,
            SeriesBook book,
            ReadingWriter writer,
            JdbcTemplate jdbc,
            TransactionTemplate transaction,
            Clock clock) {
        this.imports = imports;
        this.reader = reader;
        this.json = json;
        this.files = files;
        this.tanks = tanks;
        this.book = book;
        this.writer = writer;
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.clock = clock;
    }

    private static Thread named(Runnable task, String name) {
        Thread t = new Thread(task, name);
        t.setDaemon(true);
        return t;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        var unused = thread.scheduleWithFixedDelay(this::runAll, 0, 2, TimeUnit.SECONDS);
    }

    /** Looks for work at once rather than at the next round. */
    void wake() {
        thread.execute(this::runAll);
    }

    @PreDestroy
    void end() throws InterruptedException {
        closing = true;
        thread.shutdown();
        thread.awaitTermination(10, TimeUnit.SECONDS);
        saver.shutdown();
    }

    private void runAll() {
        try {
            for (Optional<LogImport> next = claim(); next.isPresent() && !closing; next = claim()) {
                run(next.get());
            }
            jdbc.update(
                    "delete from log_import where state in ('WAITING', 'FAILED') and created_at < ?",
                    utc(clock.instant().minus(KEEP_WAITING)));
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("imports wait for the database: {}", e.getMessage());
        } catch (RuntimeException e) {
            LOG.error("looking for imports failed", e);
        }
    }

    /** What passes by itself is tried again, later; whatever else goes wrong with a file ends it, and says why. */
    private void run(LogImport file) {
        try {
            new Run(file).run();
        } catch (RuntimeException e) {
            if (isFull(e)) {
                LOG.warn("the import of {} waits: the disk is full", file.name);
                waits(file, "The disk is full. The import continues when there is space.");
            } else if (passes(e)) {
                LOG.warn("the import of {} waits for the database: {}", file.name, e.getMessage());
                waits(file, "The database was not reachable. The import continues by itself.");
            } else {
                LOG.error("the import of {} failed", file.name, e);
                fails(file, "We can’t import this: " + e.getMessage());
            }
        }
    }

    /** A lost connection or a lock that another transaction held, however deeply it is wrapped. */
    private static boolean passes(Throwable e) {
        return causes(e)
                .anyMatch(cause -> cause instanceof TransientDataAccessException
                        || cause instanceof RecoverableDataAccessException
                        || cause instanceof DataAccessResourceFailureException
                        || cause instanceof CannotCreateTransactionException
                        || (cause instanceof SQLException sql && isOfTheConnection(sql)));
    }

    /** SQLSTATE classes 08 (connection) and 40 (rolled back); the pool's own "closed" has none. */
    private static boolean isOfTheConnection(SQLException e) {
        String state = e.getSQLState();
        return state == null || state.startsWith("08") || state.startsWith("40");
    }

    private static boolean isFull(Throwable e) {
        return causes(e).anyMatch(cause -> cause instanceof SQLException sql && DISK_FULL.contains(sql.getErrorCode()));
    }

    private static Stream<Throwable> causes(Throwable e) {
        return Stream.iterate(e, Objects::nonNull, Throwable::getCause);
    }

    /** Gives up this instance's hold on a file for a while, if the database lets it; otherwise the lease runs out. */
    private void waits(LogImport file, @Nullable String reason) {
        Instant until = clock.instant().plus(reason == null ? Duration.ZERO : TRY_AGAIN);
        try {
            jdbc.update(
                    "update log_import set leased_until = ?, reason = ? where id = ? and tries = ? and state = "
                            + "'RUNNING'",
                    utc(until),
                    reason,
                    file.id,
                    file.tries);
        } catch (DataAccessException e) {
            LOG.warn("the database is still away: {}", e.getMessage());
        }
    }

    private void fails(LogImport file, String reason) {
        int mine = jdbc.update(
                "update log_import set version = version + 1, state = 'FAILED', leased_until = null, reason = ?"
                        + " where id = ? and tries = ? and state = 'RUNNING'",
                cut(reason, MAX_REASON),
                file.id,
                file.tries);
        if (mine == 1) {
            files.drop(file.id);
        }
    }

    private static String cut(String text, int most) {
        return text.length() > most ? text.substring(0, most - 1) + "…" : text;
    }

    /** The keeper whose last turn is longest ago comes first, and among their files the one whose is. */
    private Optional<LogImport> claim() {
        Instant now = clock.instant();
        List<Long> free = jdbc.queryForList(
                "select i.id from log_import i join tank t on t.id = i.tank_id join room r on r.id = t.room_id"
                        + " join home h on h.id = r.home_id"
                        + " where t.removed_at is null and r.removed_at is null and h.removed_at is null"
                        + " and i.state = 'RUNNING' and (i.leased_until is null or i.leased_until < ?)"
                        + " order by (select max(i2.claimed_at) from log_import i2 join tank t2 on t2.id = i2.tank_id"
                        + " join room r2 on r2.id = t2.room_id join home h2 on h2.id = r2.home_id"
                        + " where h2.keeper_id = h.keeper_id), i.claimed_at, i.id limit 1",
                Long.class,
                utc(now));
        if (free.isEmpty()) {
            return Optional.empty();
        }
        int mine = jdbc.update(
                "update log_import set leased_until = ?, claimed_at = ?, tries = tries + 1 where id = ?"
                        + " and state = 'RUNNING' and (leased_until is null or leased_until < ?)",
                utc(now.plus(LEASE)),
                utc(now),
                free.get(0),
                utc(now));
        return mine == 1 ? imports.findById(free.get(0)) : Optional.empty();
    }

    private static @Nullable LocalDateTime utc(@Nullable Instant at) {
        return at == null ? null : LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }

    /** The file was stopped, or another runner took it over. */
    private static final class Lost extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** What a transaction saves: some readings, and how far the file is with them. */
    private record Chunk(
            Map<Meaning, List<TimedValue>> readings,
            List<BadLine> badLines,
            long lines,
            long bytes,
            long bad,
            @Nullable Instant first,
            @Nullable Instant last,
            boolean atEnd) {}

    /** One file from beginning to end. While one chunk is saved the next is read. */
    private final class Run implements LogReader.Sink {
        private final LogImport file;
        private final ImportPlan plan;
        private final FileStore.Reading in;
        private Map<Meaning, List<TimedValue>> waiting = new LinkedHashMap<>();
        private List<BadLine> badWaiting = new ArrayList<>();
        private Future<?> saving = CompletableFuture.completedFuture(null);
        private int inWaiting;
        private long lines;
        private long saved;
        private long alreadyThere;
        private long conflicts;
        private long bad;
        private @Nullable Instant first;
        private @Nullable Instant last;

        Run(LogImport file) {
            this.file = file;
            this.plan = json.readValue(file.plan, ImportPlan.class);
            this.in = files.read(file.id);
        }

        void run() {
            try {
                transaction.executeWithoutResult(t -> {
                    jdbc.update("delete from log_import_bad where import_id = ?", file.id);
                    jdbc.update("delete from log_import_conflict where import_id = ?", file.id);
                });
                try {
                    reader.read(file, plan, in, this);
                } catch (Problem e) {
                    bad(
                            lines,
                            "",
                            e.detail().getDetail() == null
                                    ? "not readable"
                                    : e.detail().getDetail());
                }
                hand(!closing);
                await();
                if (closing) {
                    waits(file, null);
                }
            } catch (Lost e) {
                LOG.info("the import of {} was stopped", file.name);
            }
        }

        @Override
        public void reading(Meaning meaning, Instant at, double value, long line) {
            waiting.computeIfAbsent(meaning, m -> new ArrayList<>()).add(new TimedValue(at, value));
            first = first == null || at.isBefore(first) ? at : first;
            last = last == null || at.isAfter(last) ? at : last;
            if (++inWaiting >= CHUNK) {
                hand(false);
            }
        }

        @Override
        public void bad(long line, String text, String reason) {
            bad++;
            if (bad <= MAX_BAD_LISTED) {
                badWaiting.add(new BadLine(line, cut(text, MAX_TEXT), cut(reason, MAX_REASON)));
            }
        }

        @Override
        public boolean goOn(long linesRead) {
            lines = linesRead;
            return !closing;
        }

        /** Hands what was read to the saving thread, once the chunk before is saved. */
        private void hand(boolean atEnd) {
            await();
            Chunk chunk = new Chunk(waiting, badWaiting, lines, in.done(), bad, first, last, atEnd);
            waiting = new LinkedHashMap<>();
            badWaiting = new ArrayList<>();
            inWaiting = 0;
            saving = saver.submit(() -> transaction.executeWithoutResult(t -> save(chunk)));
        }

        /** @throws RuntimeException what the saving of the last chunk failed with */
        private void await() {
            try {
                saving.get();
            } catch (ExecutionException e) {
                throw e.getCause() instanceof RuntimeException cause ? cause : new IllegalStateException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }

        private void save(Chunk chunk) {
            for (Map.Entry<Meaning, List<TimedValue>> e : chunk.readings().entrySet()) {
                save(book.idFor(tanks.tankOfAnyone(file.tankId), e.getKey()), e.getValue());
            }
            jdbc.batchUpdate(
                    "insert into log_import_bad (import_id, line, text, reason) values (?, ?, ?, ?)",
                    chunk.badLines(),
                    MAX_BAD_LISTED,
                    (statement, b) -> {
                        statement.setLong(1, file.id);
                        statement.setLong(2, b.line());
                        statement.setString(3, b.text());
                        statement.setString(4, b.reason());
                    });
            report(chunk);
        }

        private void save(long seriesId, List<TimedValue> values) {
            Outcome outcome = writer.add(seriesId, values, file.id);
            saved += outcome.saved();
            // On a first reading, what this import saved already is a line that stands twice in the file.
            boolean afterCrash = file.tries > 1;
            saved += afterCrash ? outcome.again() : 0;
            alreadyThere += outcome.alreadyThere() + (afterCrash ? 0 : outcome.again());
            conflicts += outcome.clashes().size();
            jdbc.batchUpdate(
                    "insert ignore into log_import_conflict (import_id, series_id, at, stored, offered)"
                            + " values (?, ?, ?, ?, ?)",
                    outcome.clashes(),
                    CHUNK,
                    (statement, c) -> {
                        statement.setLong(1, file.id);
                        statement.setLong(2, seriesId);
                        statement.setObject(3, utc(c.at()));
                        statement.setDouble(4, c.stored());
                        statement.setDouble(5, c.offered());
                    });
        }

        /** Progress and the next lease, in the same transaction as the readings: either all of it holds or none. */
        private void report(Chunk chunk) {
            int mine = jdbc.update(
                    "update log_import set version = version + 1, state = ?, reason = null, leased_until = ?, "
                            + "bytes_read = ?,"
                            + " lines_read = ?, saved = ?, already_there = ?, conflicts = ?, bad = ?, first_at = ?,"
                            + " last_at = ? where id = ? and state = 'RUNNING' and tries = ?",
                    chunk.atEnd() ? "DONE" : "RUNNING",
                    utc(clock.instant().plus(LEASE)),
                    chunk.bytes(),
                    chunk.lines(),
                    saved,
                    alreadyThere,
                    conflicts,
                    chunk.bad(),
                    utc(chunk.first()),
                    utc(chunk.last()),
                    file.id,
                    file.tries);
            if (mine == 0) {
                throw new Lost();
            }
            if (chunk.atEnd()) {
                files.drop(file.id);
            }
        }
    }
}
