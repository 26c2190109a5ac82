package jollytide.server.logfile;

import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Meaning;
import jollytide.server.account.SignedIn;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The log of a tank, its room and its home's outdoor air as a file that comes back in without loss. */
@RestController
@RequestMapping("/api/v1/tanks/{tankId}")
class ExportController {
    private static final int ROWS_AT_ONCE = 5000;

    private final TankService tanks;
    private final JdbcTemplate jdbc;

    ExportController(TankService tanks, JdbcTemplate jdbc) {
        this.tanks = tanks;
        this.jdbc = new JdbcTemplate(java.util.Objects.requireNonNull(jdbc.getDataSource()));
        this.jdbc.setFetchSize(ROWS_AT_ONCE);
    }

    private interface Taker {
        void reading(Meaning meaning, Instant at, double value) throws IOException;
    }

    /** One reading a line: time in UTC, the series' name, the raw value. */
    @GetMapping(value = "/log.csv", produces = "text/csv")
    @Transactional(readOnly = true)
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
    }

    /** The same as SenML JSON (RFC 8428). */
    @GetMapping(value = "/log.senml.json", produces = "application/senml+json")
    @Transactional(readOnly = true)
    public void senml(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID tankId,
            @RequestParam(required = false) @Nullable Instant from,
            @RequestParam(required = false) @Nullable Instant to,
            HttpServletResponse response)
            throws IOException {
        Tank tank = tanks.tank(who.keeperId(), tankId);
        head(response, "application/senml+json", "senml.json");
        try (Senml.Writer out = new Senml.Writer(response.getOutputStream())) {
            export(tank, from, to, out::reading);
        }
    }

    private static void head(HttpServletResponse response, String type, String ending) {
        response.setContentType(type);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.setHeader("Content-Disposition", "attachment; filename=\"log." + ending + "\"");
    }

    private void export(Tank tank, @Nullable Instant from, @Nullable Instant to, Taker taker) {
        Instant first = from == null ? Instant.EPOCH : from;
        Instant last = to == null ? Instant.parse("9999-01-01T00:00:00Z") : to;
        jdbc.query(
                "select s.unit, s.place, s.method, r.at, r.value from series s join reading r on r.series_id = s.id"
                        + " where s.subject_id in (?, ?, ?) and r.at between ? and ? order by s.id, r.at",
                row -> {
                    Meaning meaning = new Meaning(
                            RawUnit.valueOf(row.getString(1)),
                            Place.valueOf(row.getString(2)),
                            Method.valueOf(row.getString(3)));
                    try {
                        taker.reading(
                                meaning,
                                row.getObject(4, LocalDateTime.class).toInstant(ZoneOffset.UTC),
                                row.getDouble(5));
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                },
                tank.id(),
                tank.room().id(),
                tank.home().id(),
                LocalDateTime.ofInstant(first, ZoneOffset.UTC),
                LocalDateTime.ofInstant(last, ZoneOffset.UTC));
    }
}
