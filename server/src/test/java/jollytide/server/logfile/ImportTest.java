package jollytide.server.logfile;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.StreamSupport;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class ImportTest extends ServerTest {
    private static final Path LOGGERS = Path.of("../core/src/test/resources/loggers");
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    @Autowired
    private JdbcTemplate jdbc;

    private Visitor keeper;
    private String tank;
    private String imports;

    @BeforeEach
    void tank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        imports = tank + "/imports";
    }

    private JsonNode upload(String text) {
        return upload(text.getBytes(StandardCharsets.UTF_8));
    }

    private JsonNode upload(byte[] file) {
        Visitor.Answer answer = keeper.upload(imports + "?name=log.csv", file);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.body();
    }

    /** Every open question answered with the likeliest answer. */
    private String plan(JsonNode offer) {
        ObjectNode plan = json.createObjectNode();
        if (offer.has("layout")) {
            plan.set("layout", offer.path("layout"));
        }
        plan.put("zone", offer.path("zone").asString());
        ArrayNode channels = plan.putArray("channels");
        for (JsonNode channel : offer.path("channels")) {
            JsonNode guess = channel.path("guess");
            if (guess.has("quantity")) {
                channels.addObject()
                        .put("key", channel.path("key").asString())
                        .put("unit", guess.path("units").path(0).asString())
                        .put("place", guess.path("places").path(0).asString())
                        .put("method", guess.path("method").asString());
            }
        }
        return plan.toString();
    }

    private String start(JsonNode offer) {
        String path = imports + "/" + offer.path("view").path("id").asLong();
        Visitor.Answer started = keeper.post(path + "/start", plan(offer));
        assertThat(started.status()).as(started.text()).isEqualTo(202);
        return path;
    }

    private JsonNode finished(String path) {
        Instant until = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(until)) {
            JsonNode view = keeper.get(path).body();
            if (!view.path("state").asString().equals("RUNNING")) {
                return view;
            }
            pause(50);
        }
        throw new AssertionError("the import does not end: " + keeper.get(path).text());
    }

    private static void pause(long millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private JsonNode bring(String text) {
        return finished(start(upload(text)));
    }

    private static String minutes(int n, double ph) {
        StringBuilder text = new StringBuilder("time,pH\n");
        Instant start = Instant.parse("2026-08-01T00:00:00Z");
        for (int i = 0; i < n; i++) {
            text.append(start.plus(Duration.ofMinutes(i)))
                    .append(',')
                    .append(ph)
                    .append('\n');
        }
        return text.toString();
    }

    @ParameterizedTest
    @ValueSource(strings = {"sump-logger.csv", "old-desktop.csv", "one-a-line.txt"})
    void loggersFilesGoInAsTheyAre(String name) throws IOException {
        JsonNode offer = upload(Files.readAllBytes(LOGGERS.resolve(name)));
        String path = imports + "/" + offer.path("view").path("id").asLong();
        JsonNode preview = keeper.post(path + "/preview", plan(offer)).body();
        assertThat(preview.path("readings").size()).isGreaterThan(20);
        assertThat(preview.path("bad")).isEmpty();
        JsonNode done = finished(start(offer));
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("saved").asLong()).isGreaterThan(80);
        assertThat(done.path("bad").asLong()).isZero();
        assertThat(done.path("bytesRead").asLong()).isEqualTo(done.path("bytes").asLong());
    }

    @Test
    void theSameFileTwiceChangesNothing() {
        assertThat(bring(minutes(50, 8.1)).path("saved").asLong()).isEqualTo(50);
        JsonNode again = bring(minutes(50, 8.1));
        assertThat(again.path("saved").asLong()).isZero();
        assertThat(again.path("alreadyThere").asLong()).isEqualTo(50);
        assertThat(again.path("conflicts").asLong()).isZero();
    }

    @Test
    void conflictsAreListedReplacedAndPutBack() {
        bring(minutes(5, 8.1));
        JsonNode other = bring(minutes(8, 8.2));
        String path = imports + "/" + other.path("id").asLong();
        assertThat(other.path("saved").asLong()).isEqualTo(3);
        assertThat(other.path("conflicts").asLong()).isEqualTo(5);
        JsonNode conflicts = keeper.get(path + "/conflicts").body();
        assertThat(conflicts).hasSize(5);
        assertThat(conflicts.path(0).path("stored").asDouble()).isEqualTo(8.1);
        assertThat(conflicts.path(0).path("offered").asDouble()).isEqualTo(8.2);
        assertThat(values()).containsExactlyInAnyOrder(8.1, 8.1, 8.1, 8.1, 8.1, 8.2, 8.2, 8.2);
        keeper.post(path + "/replace?byTheFile=true", "");
        assertThat(values()).containsOnly(8.2);
        assertThat(keeper.delete(path).status()).isEqualTo(204);
        assertThat(values()).as("an undone import puts back what it replaced").containsExactly(8.1, 8.1, 8.1, 8.1, 8.1);
        assertThat(keeper.get(path).status()).isEqualTo(404);
    }

    private List<Double> values() {
        return StreamSupport.stream(
                        keeper.get(tank + "/readings?limit=500")
                                .body()
                                .path("readings")
                                .spliterator(),
                        false)
                .map(r -> r.path("value").asDouble())
                .toList();
    }

    @Test
    void badLinesAreListedAndGoodOnesKept() {
        JsonNode done = bring("""
                time,pH
                2026-11-01T00:00:00Z,8.1
                2026-11-01T00:05:00Z,=cmd|' /C calc'!A0
                2099-01-01T00:00:00Z,8.1
                2026-11-01T00:10
                2026-11-01T00:15:00Z,8.2
                """);
        assertThat(done.path("saved").asLong()).isEqualTo(2);
        assertThat(done.path("bad").asLong()).isEqualTo(3);
        JsonNode bad =
                keeper.get(imports + "/" + done.path("id").asLong() + "/bad").body();
        assertThat(bad.path(0).path("line").asLong()).isEqualTo(3);
        assertThat(bad.path(0).path("text").asString()).contains("=cmd");
        assertThat(bad.path(1).path("reason").asString()).contains("future");
        assertThat(bad.path(2).path("reason").asString()).contains("cut short");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "PK\u0003\u0004rest",
                "no times here\nat all\n",
                "{\"a\":1}",
                "[{\"n\":\"x\"}",
                "\u0000\u0001"
            })
    void filesThatCannotBeReadAreRefusedInWords(String text) {
        Visitor.Answer answer = keeper.upload(imports + "?name=x", text.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).isEqualTo("file");
        assertThat(keeper.get(imports).body()).isEmpty();
    }

    @Test
    void plansThatCannotBeAreRefused() {
        JsonNode offer = upload("time,pH,pH sump\n2026-11-01T00:00:00Z,8.1,8.2\n");
        String path = imports + "/" + offer.path("view").path("id").asLong();
        assertThat(keeper.post(path + "/start", plan(offer)).problem())
                .contains("by the same method at the same place");
        String air = plan(offer).replace("\"place\":\"TANK\"", "\"place\":\"ROOM\"");
        assertThat(keeper.post(path + "/preview", air).problem()).contains("measured in the tank");
        String nowhere = plan(offer).replace("Europe/Amsterdam", "Europe/Atlantis");
        assertThat(keeper.post(
                                path + "/start",
                                nowhere.replace(
                                        "\"key\":\"2\",\"unit\":\"PH_NBS\"", "\"key\":\"2\",\"unit\":\"PH_TOTAL\""))
                        .problem())
                .contains("no time zone Europe/Atlantis");
        assertThat(keeper.post(path + "/start", "{\"channels\":[]}").status()).isEqualTo(422);
        assertThat(keeper.get(path).body().path("state").asString()).isEqualTo("WAITING");
    }

    @Test
    void somebodyElsesImportIsNotThere() {
        JsonNode offer = upload(minutes(5, 8.1));
        long id = offer.path("view").path("id").asLong();
        Visitor other = visitor().asNewKeeper();
        assertThat(other.get(imports + "/" + id).status()).isEqualTo(404);
        String own = "/tanks/" + Samples.tank(other) + "/imports/";
        assertThat(other.get(own + id).status()).isEqualTo(404);
        assertThat(other.post(own + id + "/start", plan(offer)).status()).isEqualTo(404);
        assertThat(other.delete(own + id).status()).isEqualTo(404);
        assertThat(keeper.get(imports + "/" + id).status()).isEqualTo(200);
    }

    @ParameterizedTest
    @ValueSource(strings = {"log.csv", "log.senml.json"})
    void whatGoesOutComesBackInWithoutLoss(String format) {
        bring(
                "time,pH,Temp °C,CO2 room\n2026-11-01T00:00:00.25Z,8.123456789,25.1,801\n2026-11-01T00:05:00Z,8.2,25.2,802\n");
        keeper.post(tank + "/readings", Samples.reading("2026-11-01T08:00", "SG_20", "TANK", "HYDROMETER", 1.0265));
        Visitor.Answer out = keeper.get(tank + "/" + format);
        assertThat(out.status()).isEqualTo(200);
        String second = "/tanks/" + Samples.tank(keeper);
        imports = second + "/imports";
        JsonNode offer = upload(out.text());
        for (JsonNode channel : offer.path("channels")) {
            assertThat(channel.path("guess").path("units")).hasSize(1);
            assertThat(channel.path("guess").path("places")).hasSize(1);
        }
        JsonNode done = finished(start(offer));
        assertThat(done.path("saved").asLong()).isEqualTo(7);
        assertThat(records(keeper.get(second + "/" + format).text())).isEqualTo(records(out.text()));
    }

    /** Series stand in the order in which they were opened, which may differ. */
    private static List<String> records(String text) {
        return Pattern.compile("\\{[^}]*\\}|[\\w][^\\r\\n]*")
                .matcher(text)
                .results()
                .map(MatchResult::group)
                .sorted()
                .toList();
    }

    @Test
    void senmlWithBaseFieldsIsResolved() {
        JsonNode offer = upload("""
                [{"bn":"sump-","bt":1793000000,"bu":"Cel","n":"temp","v":25.1},
                 {"n":"temp","t":300,"v":25.2},{"n":"ph","u":"pH","t":300,"v":8.1},
                 {"n":"ph","u":"pH","t":360,"vs":"off"},{"bt":0,"n":"ph","u":"pH","t":-5,"v":8.1}]""");
        assertThat(offer.path("view").path("format").asString()).isEqualTo("SENML");
        assertThat(offer.path("channels")).hasSize(2);
        JsonNode done = finished(start(offer));
        assertThat(done.path("saved").asLong()).isEqualTo(3);
        assertThat(done.path("firstAt").asString()).isEqualTo("2026-10-26T07:33:20Z");
        JsonNode bad =
                keeper.get(imports + "/" + done.path("id").asLong() + "/bad").body();
        assertThat(bad.path(0).path("reason").asString()).contains("no number");
        assertThat(bad.path(1).path("reason").asString()).contains("relative");
    }

    @Test
    void aRunningImportCanBeStoppedAndTakenOut() {
        String path = start(upload(minutes(105_000, 8.1)));
        JsonNode stopped = keeper.post(path + "/stop", "").body();
        assertThat(stopped.path("state").asString()).isIn("STOPPED", "DONE");
        pause(1500);
        JsonNode after = keeper.get(path).body();
        assertThat(after.path("saved").asLong()).isEqualTo(count());
        assertThat(keeper.delete(path).status()).isEqualTo(204);
        assertThat(count()).isZero();
        assertThat(halfHours()).isEmpty();
    }

    private long countPatiently() {
        for (int tries = 0; ; tries++) {
            try {
                return count();
            } catch (DataAccessException dropped) {
                assertThat(tries).isLessThan(20);
            }
        }
    }

    private long count() {
        Long n = jdbc.queryForObject(
                "select count(*) from reading r join series s on s.id = r.series_id" + " where hex(s.tank_id) = ?",
                Long.class,
                hex());
        return n == null ? 0 : n;
    }

    private String hex() {
        return tank.substring("/tanks/".length()).replace("-", "").toUpperCase(java.util.Locale.ROOT);
    }

    private record Sums(long bucket, long n, double total, double low, double high) {}

    private List<Sums> halfHours() {
        return jdbc.query(
                "select h.bucket, h.n, round(h.total, 6), h.low, h.high from reading_half_hour h"
                        + " join series s on s.id = h.series_id where hex(s.tank_id) = ? order by s.id, h.bucket",
                (row, i) ->
                        new Sums(row.getLong(1), row.getLong(2), row.getDouble(3), row.getDouble(4), row.getDouble(5)),
                hex());
    }

    private List<Sums> halfHoursCountedAnew() {
        return jdbc.query(
                "select timestampdiff(second, '1970-01-01', r.at) div 1800 b, count(*), round(sum(r.value), 6),"
                        + " min(r.value), max(r.value) from reading r join series s on s.id = r.series_id"
                        + " where hex(s.tank_id) = ? group by s.id, b order by s.id, b",
                (row, i) ->
                        new Sums(row.getLong(1), row.getLong(2), row.getDouble(3), row.getDouble(4), row.getDouble(5)),
                hex());
    }

    @Test
    void halfHoursStayTrueThroughEveryKindOfWriting() {
        bring(
                "time,pH\n2026-11-01T03:00:00Z,8.1\n2026-11-01T00:00:00Z,8.3\n2026-11-01T00:29:59Z,7.9\n2026-11-01T00:10:00Z,8.0\n");
        JsonNode second =
                bring("time,pH\n2026-11-01T00:20:00Z,7.7\n2026-11-01T03:00:00Z,8.4\n2020-02-02T00:00:00Z,8\n");
        String path = imports + "/" + second.path("id").asLong();
        keeper.post(path + "/replace?byTheFile=true", "");
        keeper.post(tank + "/readings", Samples.reading("2026-11-01T00:15:00Z", "PH_NBS", "TANK", "PROBE", 8.6));
        assertThat(halfHours()).hasSize(3).isEqualTo(halfHoursCountedAnew());
        keeper.delete(path);
        assertThat(halfHours()).hasSize(2).isEqualTo(halfHoursCountedAnew());
        String id = keeper.get(tank + "/readings?limit=1")
                .body()
                .path("readings")
                .path(0)
                .path("id")
                .asString();
        keeper.put(tank + "/readings/" + id, Samples.reading("2026-11-02T00:00:00Z", "PH_NBS", "TANK", "PROBE", 8.0));
        assertThat(halfHours()).isEqualTo(halfHoursCountedAnew());
    }

    /** The database drops every connection, twenty times at random points: nothing is half there, and it ends whole. */
    @Test
    void brokenConnectionsLeaveNothingHalfDone() {
        Random random = new Random(20261112);
        String path = start(upload(minutes(110_000, 8.1)));
        List<Long> seen = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            pause(random.nextInt(250));
            DATABASE.dropConnections();
            seen.add(countPatiently());
        }
        JsonNode done = finished(path);
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("saved").asLong()).isEqualTo(110_000);
        assertThat(count()).isEqualTo(110_000);
        assertThat(halfHours()).isEqualTo(halfHoursCountedAnew());
        assertThat(seen).as("whole chunks only").allMatch(n -> n % 20_000 == 0 || n == 110_000);
    }

    @Test
    void theDatabaseRestartedInBetweenIsWaitedFor() {
        String path = start(upload(minutes(110_000, 8.1)));
        pause(400);
        DATABASE.restart();
        JsonNode done = finished(path);
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("saved").asLong()).isEqualTo(110_000);
        assertThat(count()).isEqualTo(110_000);
        assertThat(halfHours()).isEqualTo(halfHoursCountedAnew());
    }

    @Test
    void anEndlessNameInAFileStopsNobody() {
        String name = "x".repeat(400);
        JsonNode done = bring("[{\"n\":\"" + name + "\",\"u\":\"pH\",\"t\":1764000000,\"v\":8.1},"
                + "{\"n\":\"" + name + "\",\"u\":\"pH\",\"t\":1764000060,\"v\":\"high\"},"
                + "{\"n\":\"" + name + "\",\"u\":\"pH\",\"t\":1,\"v\":8.1}]");
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("bad").asLong()).isPositive();
        assertThat(bring(minutes(10, 8.0)).path("state").asString()).isEqualTo("DONE");
    }

    @Test
    void aFileThatCannotBeReadFailsWithItsReasonAndTheNextOneGoesOn() {
        JsonNode offer = upload(minutes(60_000, 8.1));
        long id = offer.path("view").path("id").asLong();
        jdbc.update(
                "update log_import set state = 'RUNNING', plan = ? where id = ?",
                plan(offer).replace("YEAR_FIRST", "NO_SUCH_FORM"),
                id);
        assertThat(bring(minutes(10, 8.0)).path("state").asString()).isEqualTo("DONE");
        JsonNode failed = finished(imports + "/" + id);
        assertThat(failed.path("state").asString()).isEqualTo("FAILED");
        assertThat(failed.path("reason").asString()).contains("can’t import this");
        assertThat(keeper.delete(imports + "/" + id).status()).isEqualTo(204);
    }

    /** A trigger gives the error that MariaDB gives when its disk is full. */
    @Test
    void aFullDiskIsSaidAndTheImportGoesOnOnceThereIsRoom() {
        jdbc.execute("create trigger full_disk before insert on reading for each row"
                + " signal sqlstate 'HY000' set mysql_errno = 1021, message_text = 'Disk full'");
        String path;
        try {
            path = start(upload(minutes(100, 8.1)));
            Instant until = Instant.now().plus(PATIENCE);
            while (!keeper.get(path).body().path("reason").asString().contains("disk is full")) {
                assertThat(Instant.now()).isBefore(until);
                pause(50);
            }
            assertThat(keeper.get(path).body().path("state").asString()).isEqualTo("RUNNING");
        } finally {
            jdbc.execute("drop trigger full_disk");
        }
        JsonNode done = finished(path);
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("saved").asLong()).isEqualTo(100);
        assertThat(done.has("reason")).isFalse();
    }

    @Test
    void keepersTakeTurns() {
        String first = start(upload(minutes(120_000, 8.1)));
        String second = start(upload(minutes(10, 8.2)));
        Visitor one = keeper;
        String theirs = imports;
        tank();
        String others = start(upload(minutes(10, 8.3)));
        finished(others);
        keeper = one;
        imports = theirs;
        finished(first);
        finished(second);
        assertThat(claimed(others)).isAfter(claimed(first)).isBefore(claimed(second));
    }

    private Instant claimed(String path) {
        return jdbc.queryForObject(
                "select claimed_at from log_import where id = ?",
                (row, i) -> row.getTimestamp(1).toInstant(),
                Long.parseLong(path.substring(path.lastIndexOf('/') + 1)));
    }

    @Test
    void aPlanThatNoFileCanFollowIsRefusedAtTheDoor() {
        JsonNode offer = upload(minutes(10, 8.1));
        String path = imports + "/" + offer.path("view").path("id").asLong() + "/start";
        String good = plan(offer);
        refused(path, good.replace("\"key\":\"1\"", "\"key\":\"-1\""), "channels[0].key");
        refused(path, good.replace("\"key\":\"1\"", "\"key\":\"pH\""), "channels[0].key");
        refused(path, good.replaceAll(",\"timeForm\":\"\\w+\"", ""), "layout.timeForm");
        refused(path, good.replace("\"delimiter\":\",\"", "\"delimiter\":\"x\""), "layout.delimiter");
        refused(path, good.replace("\"timeColumn\":0", "\"timeColumn\":0,\"valueColumn\":1"), "layout.valueColumn");
        refused(path, good.replace("\"timeColumn\":0", "\"timeColumn\":-1"), "timeColumn");
        assertThat(keeper.post(path, good).status()).isEqualTo(202);
    }

    private void refused(String path, String plan, String field) {
        Visitor.Answer answer = keeper.post(path, plan);
        assertThat(answer.status()).as(plan + answer.text()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).contains(field);
    }

    @Test
    void giantFilesAreRefusedBeforeTheyAreRead() {
        Visitor.Answer answer = keeper.announce(imports + "?name=log.csv", 300_000_000L);
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.problem()).contains("250 MB");
    }
}
