package jollytide.server.logfile;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.FileRefused;
import jollytide.core.logfile.LayoutFinder;
import jollytide.core.logfile.LogReader;
import jollytide.core.logfile.Meaning;
import jollytide.core.logfile.Proposal;
import jollytide.core.logfile.TextForm;
import jollytide.server.logfile.ImportViews.BadLine;
import jollytide.server.logfile.ImportViews.ConflictView;
import jollytide.server.logfile.ImportViews.ImportView;
import jollytide.server.logfile.ImportViews.Offer;
import jollytide.server.logfile.ImportViews.Preview;
import jollytide.server.logfile.ImportViews.PreviewReading;
import jollytide.server.logfile.LogImport.Format;
import jollytide.server.logfile.LogImport.State;
import jollytide.server.problem.Problem;
import jollytide.server.reading.ReadingWriter;
import jollytide.server.reading.TimedValue;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.springframework.data.domain.Limit;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Takes files in, proposes how to read them, and undoes what they brought. {@link ImportRunner} reads them. */
@Service
@Transactional
class ImportService {
    private static final int SHOWN_READINGS = 60;
    private static final int SHOWN_BAD = 12;
    private static final int LISTED = 500;
    private static final int PROBES = 24;
    private static final int LINES_PER_PROBE = 12;
    /** Below this a CO2 meter's missing pressure compensation is lost in its error: 3 % of 1000 ppm is 30 ppm. */
    private static final double PRESSURE_MATTERS_BELOW_HPA = 980;

    private final LogImports imports;
    private final FileStore files;
    private final PlanReader reader;
    private final TankService tanks;
    private final ReadingWriter writer;
    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final Clock clock;

    ImportService(
            LogImports imports,
            FileStore files,
            PlanReader reader,
            TankService tanks,
            ReadingWriter writer,
            JdbcTemplate jdbc,
            JsonMapper json,
            Clock clock) {
        this.imports = imports;
        this.files = files;
        this.reader = reader;
        this.tanks = tanks;
        this.writer = writer;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    Offer upload(UUID keeperId, UUID tankId, String name, InputStream body) throws IOException {
        Tank tank = tanks.tank(keeperId, tankId);
        LogImport created = new LogImport();
        created.tankId = tank.id();
        created.name = name.isBlank() ? "file" : name.strip();
        created.format = Format.CSV;
        created.state = State.WAITING;
        created.createdAt = clock.instant();
        imports.saveAndFlush(created);
        created.bytes = files.store(created.id, body);
        created.format = isJson(files.part(created.id, 0)) ? Format.SENML : Format.CSV;
        return offer(tank, created);
    }

    @Transactional(readOnly = true)
    public Offer offer(UUID keeperId, UUID tankId, long id) {
        Tank tank = tanks.tank(keeperId, tankId);
        return offer(tank, waiting(owned(tank, id)));
    }

    private Offer offer(Tank tank, LogImport file) {
        boolean pressureMatters = tank.home().pressureHpa() < PRESSURE_MATTERS_BELOW_HPA;
        String zone = tank.home().zone().getId();
        try {
            if (file.format == Format.SENML) {
                var channels = Senml.channels(files.read(file.id), pressureMatters);
                return new Offer(ImportView.of(file), null, List.of(), true, zone, channels);
            }
            byte[] head = files.head(file.id);
            TextForm form = TextForm.of(head);
            Proposal proposal = LayoutFinder.propose(
                    new ByteArrayInputStream(head), form, linesFromElsewhere(file.id, form.charset()), pressureMatters);
            return new Offer(
                    ImportView.of(file),
                    proposal.layout(),
                    proposal.timeForms(),
                    proposal.zoneStated(),
                    zone,
                    proposal.channels());
        } catch (FileRefused e) {
            throw PlanReader.refused(file, e);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean isJson(byte[] head) {
        for (byte b : head) {
            if (!Character.isWhitespace(b)) {
                return b == '[' || b == '{';
            }
        }
        return false;
    }

    /** Whole lines from places spread over the file. */
    private List<String> linesFromElsewhere(long id, Charset charset) {
        List<String> lines = new ArrayList<>();
        int parts = files.parts(id);
        int step = Math.max(1, parts / PROBES);
        for (int seq = 0; seq < parts; seq += step) {
            byte[] part = files.part(id, seq);
            for (int start :
                    parts == 1 ? new int[] {part.length / 3, 2 * part.length / 3, part.length - 2000} : new int[] {0}) {
                int from = Math.max(0, start);
                String text = new String(part, from, Math.min(4000, part.length - from), charset);
                String[] pieces = text.split("\r?\n", -1);
                for (int i = 1; i < pieces.length - 1 && i <= LINES_PER_PROBE; i++) {
                    lines.add(pieces[i]);
                }
            }
        }
        return lines;
    }

    @Transactional(readOnly = true)
    public Preview preview(UUID keeperId, UUID tankId, long id, ImportPlan plan) {
        LogImport file = waiting(owned(tanks.tank(keeperId, tankId), id));
        plan.check(file.format);
        List<PreviewReading> readings = new ArrayList<>();
        List<BadLine> bad = new ArrayList<>();
        LogReader.Sink sink = new LogReader.Sink() {
            @Override
            public void reading(Meaning m, Instant at, double value, long line) {
                if (readings.size() < SHOWN_READINGS) {
                    readings.add(new PreviewReading(line, at, m.unit(), m.place(), m.method(), value));
                }
            }

            @Override
            public void bad(long line, String text, String reason) {
                if (bad.size() < SHOWN_BAD) {
                    bad.add(new BadLine(line, text, reason));
                }
            }

            @Override
            public boolean goOn(long lines) {
                return readings.size() < SHOWN_READINGS;
            }
        };
        reader.read(file, plan, file.format == Format.SENML ? files.read(id) : wholeLines(files.head(id)), sink);
        return new Preview(readings, bad);
    }

    /** A head that ends with a line, so that its last one is not taken for one cut short. */
    private static InputStream wholeLines(byte[] head) {
        int end = head.length;
        if (end == FileStore.HEAD_BYTES) {
            while (end > 0 && head[end - 1] != '\n') {
                end--;
            }
        }
        return new ByteArrayInputStream(head, 0, end == 0 ? head.length : end);
    }

    ImportView start(UUID keeperId, UUID tankId, long id, ImportPlan plan) {
        LogImport file = waiting(owned(tanks.tank(keeperId, tankId), id));
        plan.check(file.format);
        file.plan = json.writeValueAsString(plan);
        file.state = State.RUNNING;
        return ImportView.of(imports.saveAndFlush(file));
    }

    /** The runner finds the state changed and stops; what it saved until then stays. */
    ImportView stop(UUID keeperId, UUID tankId, long id) {
        Tank tank = tanks.tank(keeperId, tankId);
        int stopped = jdbc.update(
                "update log_import set version = version + 1, state = 'STOPPED'"
                        + " where id = ? and tank_id = ? and state = 'RUNNING'",
                id,
                tank.id());
        if (stopped == 1) {
            files.drop(id);
        }
        return ImportView.of(owned(tank, id));
    }

    @Transactional(readOnly = true)
    public ImportView get(UUID keeperId, UUID tankId, long id) {
        return ImportView.of(owned(tanks.tank(keeperId, tankId), id));
    }

    @Transactional(readOnly = true)
    public List<ImportView> list(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        return imports.findByTankIdOrderByIdDesc(tank.id(), Limit.of(50)).stream()
                .map(ImportView::of)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<BadLine> bad(UUID keeperId, UUID tankId, long id) {
        LogImport file = owned(tanks.tank(keeperId, tankId), id);
        return jdbc.query(
                "select line, text, reason from log_import_bad where import_id = ? order by line, id limit ?",
                (row, i) -> new BadLine(row.getLong(1), row.getString(2), row.getString(3)),
                file.id,
                LISTED);
    }

    @Transactional(readOnly = true)
    public List<ConflictView> conflicts(UUID keeperId, UUID tankId, long id) {
        LogImport file = owned(tanks.tank(keeperId, tankId), id);
        return jdbc.query(
                "select c.at, s.place, s.method, s.unit, c.stored, c.offered from log_import_conflict c"
                        + " join series s on s.id = c.series_id where c.import_id = ? order by c.at, "
                        + "c.series_id limit ?",
                (row, i) -> new ConflictView(
                        row.getObject(1, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                        Place.valueOf(row.getString(2)),
                        Method.valueOf(row.getString(3)),
                        RawUnit.valueOf(row.getString(4)),
                        row.getDouble(5),
                        row.getDouble(6)),
                file.id,
                LISTED);
    }

    /** Puts the file's values in place of the stored ones that they contradict, or the stored ones back. */
    ImportView replace(UUID keeperId, UUID tankId, long id, boolean byTheFile) {
        LogImport file = owned(tanks.tank(keeperId, tankId), id);
        if (file.state != State.DONE) {
            throw Problem.of(HttpStatus.CONFLICT, "Not done", "The import is not finished.");
        }
        if (file.replaced != byTheFile) {
            putConflicts(file.id, byTheFile);
            file.replaced = byTheFile;
        }
        return ImportView.of(imports.saveAndFlush(file));
    }

    private void putConflicts(long id, boolean byTheFile) {
        for (long series : jdbc.queryForList(
                "select distinct series_id from log_import_conflict where import_id = ? order by series_id",
                Long.class,
                id)) {
            List<TimedValue> values = jdbc.query(
                    "select at, " + (byTheFile ? "offered" : "stored")
                            + " from log_import_conflict where import_id = ? and series_id = ?",
                    (row, i) -> new TimedValue(
                            row.getObject(1, LocalDateTime.class).toInstant(ZoneOffset.UTC), row.getDouble(2)),
                    id,
                    series);
            writer.revalue(series, values);
        }
    }

    /** Takes out all that an import brought and puts back what it replaced; then it is forgotten. */
    void undo(UUID keeperId, UUID tankId, long id) {
        Tank tank = tanks.tank(keeperId, tankId);
        LogImport file = owned(tank, id);
        if (file.state == State.RUNNING) {
            throw Problem.of(HttpStatus.CONFLICT, "Still running", "Stop the import first.");
        }
        if (file.replaced) {
            putConflicts(file.id, false);
        }
        Instant first = file.firstAt;
        Instant last = file.lastAt;
        if (first != null && last != null) {
            List<Long> touched = jdbc.queryForList(
                    "select id from series where subject_id in (?, ?, ?)",
                    Long.class,
                    tank.id(),
                    tank.room().id(),
                    tank.home().id());
            touched.forEach(series -> writer.removeImported(series, file.id, first, last));
        }
        imports.delete(file);
    }

    private LogImport owned(Tank tank, long id) {
        return imports.findByIdAndTankId(id, tank.id()).orElseThrow(() -> Problem.notFound("import"));
    }

    private static LogImport waiting(LogImport file) {
        if (file.state != State.WAITING) {
            throw Problem.of(
                    HttpStatus.CONFLICT, "Already begun", "This file is being imported or was " + "imported already.");
        }
        return file;
    }
}
