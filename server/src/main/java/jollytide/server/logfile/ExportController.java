package jollytide.server.logfile;

import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Meaning;
import jollytide.server.account.SignedIn;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.exc.JacksonIOException;

/** The log of a tank, its room and its home's outdoor air as a file that comes back in without loss. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}")
class ExportController {
    private static final Logger LOG = LoggerFactory.getLogger(ExportController.class);
    private static final int ROWS_AT_ONCE = 5000;
    private static final Instant EARLIEST = Instant.parse("1900-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("9999-01-01T00:00:00Z");

    private final TankService tanks;
    private final JdbcTemplate jdbc;

    ExportController(TankService tanks, JdbcTemplate jdbc) {
        this.tanks = tanks;
        this.jdbc = jdbc;
    }

    private interface Taker {
        void reading(Meaning meaning, Instant at, double value) throws IOException;
    }

    /** One reading a line: time in UTC, the series' name, the raw value. */
    @GetMapping(value = "/log.csv", produces = "text/csv")
    public void csv(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @Nullable Instant from,
            @RequestParam(required = false) @Nullable Instant to,
            HttpServletResponse response)
            throws IOException {
        Tank tank = tanks.tank(who.keeperId(), tankId);
        head(response, "text/csv", "csv");
        BufferedWriter out =
                new BufferedWriter(new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8));
        download(() -> {
            out.write("time,series,value\r\n");
            export(tank, from, to, (meaning, at, value) -> {
                out.write(at.toString());
                out.write(',');
                out.write(meaning.name());
                out.write(',');
                out.write(Double.toString(value));
                out.write("\r\n");
            });
            out.flush();
        });
    }

    /** The same as SenML JSON (RFC 8428). */
    @GetMapping(value = "/log.senml.json", produces = "application/senml+json")
    public void senml(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @Nullable Instant from,
            @RequestParam(required = false) @Nullable Instant to,
            HttpServletResponse response)
            throws IOException {
        Tank tank = tanks.tank(who.keeperId(), tankId);
        head(response, "application/senml+json", "senml.json");
        OutputStream body = response.getOutputStream();
        download(() -> {
            try (Senml.Writer out = new Senml.Writer(body)) {
                export(tank, from, to, out::reading);
            }
        });
    }

    private static void head(HttpServletResponse response, String type, String ending) {
        response.setContentType(type);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.setHeader("Content-Disposition", "attachment; filename=\"log." + ending + "\"");
    }

    private record Row(Meaning meaning, Instant at, double value) {}

    private interface Download {
        void run() throws IOException;
    }

    /** A reader who goes away in the middle is no fault of anybody's: one line says so. */
    private static void download(Download download) {
        try {
            download.run();
        } catch (IOException | JacksonIOException gone) {
            LOG.info("a download ended early: its reader went away");
        }
    }

    /** Some rows at a time, each from where the last ended: while a slow reader takes them no connection is held. */
    private void export(Tank tank, @Nullable Instant from, @Nullable Instant to, Taker taker) throws IOException {
        Instant first = from == null ? EARLIEST : from;
        Instant last = to == null ? LATEST : to;
        for (long series : seriesOf(tank)) {
            Instant after = first.minusNanos(1000);
            List<Row> some;
            do {
                some = rows(series, after, last);
                for (Row row : some) {
                    taker.reading(row.meaning, row.at, row.value);
                    after = row.at;
                }
            } while (some.size() == ROWS_AT_ONCE);
        }
    }

    private List<Long> seriesOf(Tank tank) {
        return jdbc.queryForList(
                "select id from series where subject_id in (?, ?, ?) order by id",
                Long.class,
                tank.id(),
                tank.room().id(),
                tank.home().id());
    }

    /** Of one series, by its key: time alone tells where the last page ended. */
    private List<Row> rows(long series, Instant after, Instant last) {
        return jdbc.query(
                "select s.unit, s.place, s.method, r.at, r.value from series s join reading r on r.series_id = s.id"
                        + " where s.id = ? and r.at > ? and r.at <= ? order by r.at limit " + ROWS_AT_ONCE,
                (row, n) -> new Row(
                        new Meaning(
                                RawUnit.valueOf(row.getString(1)),
                                Place.valueOf(row.getString(2)),
                                Method.valueOf(row.getString(3))),
                        row.getObject(4, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                        row.getDouble(5)),
                series,
                LocalDateTime.ofInstant(after, ZoneOffset.UTC),
                LocalDateTime.ofInstant(last, ZoneOffset.UTC));
    }
}
