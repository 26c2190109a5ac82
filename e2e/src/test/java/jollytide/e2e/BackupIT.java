package jollytide.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/** {@code ./run --backup} and {@code --restore}, by the commands that a keeper types. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class BackupIT {
    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
    private static final HttpClient HTTP = HttpClient.newHttpClient();

    @TempDir
    static Path dir;

    private static Path home;
    private static Path backup;
    private static Running app;
    private static String revoked;
    private static String kept;
    private static String tank;

    private record Said(int exit, String words) {}

    /** The application, started by {@code ./run} and stopped as by Ctrl-C. */
    private record Running(Process process, String address) {
        void stop() throws InterruptedException {
            process.destroy();
            assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        }
    }

    @BeforeAll
    static void aHomeWithALog() throws Exception {
        home = dir.resolve("home");
        backup = dir.resolve("backup.sql.gz");
        app = start(home);
        revoked = token("old");
        kept = token("new");
        String list = call("GET", "/api/v1/tokens", null, kept).body();
        String first = list.substring(list.indexOf("\"id\":\"") + 6).substring(0, 36);
        String id = list.indexOf("\"label\":\"old\"") < list.indexOf("\"label\":\"new\"")
                ? first
                : list.substring(list.lastIndexOf("\"id\":\"") + 6).substring(0, 36);
        assertThat(call("DELETE", "/api/v1/tokens/" + id, null, kept).statusCode())
                .isEqualTo(204);
        String homes = call("GET", "/api/v1/tanks", null, kept).body();
        tank = homes.substring(homes.indexOf("\"id\":\"") + 6).substring(0, 36);
    }

    @AfterAll
    static void allStops() throws Exception {
        if (app != null && app.process().isAlive()) {
            app.stop();
        }
        for (Path each : List.of(home, dir.resolve("restored"), dir.resolve("Older"))) {
            run(Map.of(), "scripts/mariadb", "stop", each.resolve("database").toString());
        }
    }

    @Test
    @Order(1)
    void aBackupTakenWhileTheLogIsWrittenRestoresToOneMoment() throws Exception {
        AtomicBoolean writing = new AtomicBoolean(true);
        Thread writer = new Thread(() -> {
            for (int i = 0; writing.get(); i++) {
                String at = "2025-01-%02dT%02d:%02d:00Z".formatted(1 + i / 1440 % 28, i / 60 % 24, i % 60);
                String body = "{\"at\":\"" + at + "\",\"values\":[{\"unit\":\"PH_NBS\",\"method\":\"PROBE\","
                        + "\"place\":\"TANK\",\"value\":" + (8 + i % 10 / 100.0) + "}]}";
                assertThat(quietly("POST", "/api/v1/tanks/" + tank + "/readings", body))
                        .isLessThan(300);
            }
        });
        writer.start();
        Said said = run(Map.of(), "./run", "--backup", backup.toString());
        writing.set(false);
        writer.join();
        assertThat(said.words()).contains("The data are in " + backup);
        assertThat(said.exit()).isZero();
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(backup)))
                .isEqualTo("rw-------");

        Path restored = dir.resolve("Older");
        assertThat(run(Map.of("JOLLY_TIDE_HOME", restored.toString()), "./run", "--restore", backup.toString())
                        .words())
                .contains("Loaded: ")
                .contains("Restored");
        run(Map.of(), "scripts/mariadb", "start", restored.resolve("database").toString());
        assertThat(sql(
                        restored,
                        "select count(*) from (select series_id, timestampdiff(second, '1970-01-01', at) div 1800 b,"
                                + " count(*) n, sum(value) s, min(value) l, max(value) h from reading group by 1, 2) r"
                                + " left join reading_half_hour k on k.series_id = r.series_id and k.bucket = r.b"
                                + " and k.n = r.n and abs(k.total - r.s) < 1e-6 and k.low = r.l and k.high = r.h"
                                + " where k.n is null"))
                .isEqualTo("0");
    }

    @Test
    @Order(2)
    void everyTableComesBackAsItWasAndWhatWasRevokedStaysRevoked() throws Exception {
        app.stop();
        assertThat(run(Map.of(), "./run", "--backup", backup.toString()).exit()).isZero();
        Path restored = dir.resolve("restored");
        Said said = run(Map.of("JOLLY_TIDE_HOME", restored.toString()), "./run", "--restore", backup.toString());
        assertThat(said.words()).contains("Restored from " + backup);
        assertThat(said.exit()).isZero();

        for (Path each : List.of(home, restored)) {
            run(Map.of(), "scripts/mariadb", "start", each.resolve("database").toString());
        }
        List<String> tables = Arrays.asList(sql(home, "show tables").split("\n"));
        assertThat(tables).contains("reading", "tank", "access_token", "SPRING_SESSION");
        String sessions = tables.stream()
                .filter(table -> table.startsWith("SPRING_SESSION"))
                .map(table -> "select count(*) from " + table + ";")
                .collect(Collectors.joining());
        assertThat(sql(restored, sessions).split("\n")).containsOnly("0");
        String all = tables.stream()
                .filter(table -> !table.startsWith("SPRING_SESSION"))
                .map(table -> "select '" + table + "', count(*) from " + table + "; checksum table " + table + ";")
                .collect(Collectors.joining());
        assertThat(sql(restored, all).split("\n"))
                .containsExactly(sql(home, all).split("\n"));
        assertThat(sql(home, "select count(*) from reading")).isNotEqualTo("0");

        app = start(restored);
        assertThat(call("GET", "/api/v1/tanks", null, revoked).statusCode()).isEqualTo(401);
        assertThat(call("GET", "/api/v1/tanks", null, kept).statusCode()).isEqualTo(200);
        app.stop();
    }

    @Test
    @Order(3)
    void aFileThatIsNoWholeBackupIsRefusedAndNothingIsLost() throws Exception {
        String good =
                new String(new GZIPInputStream(Files.newInputStream(backup)).readAllBytes(), StandardCharsets.UTF_8);
        byte[] bytes = Files.readAllBytes(backup);
        refused(file("garbage", "no backup at all".getBytes(StandardCharsets.UTF_8)), "not a whole compressed file");
        refused(file("truncated", Arrays.copyOf(bytes, bytes.length / 2)), "not a whole compressed file");
        refused(gzip("word", "flyway_schema_history"), "not a backup of Jolly Tide");
        refused(gzip("foreign", "CREATE TABLE a (b INT);\nINSERT INTO a VALUES (1);\n"), "not a backup of Jolly Tide");
        refused(gzip("short", good.substring(0, good.length() / 2) + "\n"), "its checksum does not fit");
        refused(gzip("changed", good.replaceFirst("8\\.0", "8.1")), "its checksum does not fit");
        refused(gzip("Newer", good.replaceFirst("schema \\d+", "schema 99999")), "its checksum does not fit");
        String next = good.substring(0, good.lastIndexOf("-- sha256")).replaceFirst("schema \\d+", "schema 99999");
        refused(summed("Newer", next), "was written by a newer Jolly Tide");
        String broken = good.substring(0, good.lastIndexOf("-- sha256")) + "INSERT INTO nowhere VALUES (1);\n";
        refused(summed("broken", broken), "Nothing was changed");
        String shell = good.substring(0, good.lastIndexOf("-- sha256")) + "\\! touch " + dir.resolve("hacked") + "\n";
        refused(summed("shell", shell), "Nothing was changed");
        assertThat(dir.resolve("hacked")).doesNotExist();
        refused(dir.resolve("nowhere"), "cannot be read");

        Path shims = Files.createDirectories(dir.resolve("shims"));
        Path df = Files.writeString(shims.resolve("df"), "#!/bin/sh\necho h; echo 'disk 100 99 1 99% /'\n");
        assertThat(df.toFile().setExecutable(true)).isTrue();
        refused(backup, "The disk has 0 MB left", Map.of("PATH", shims + ":" + System.getenv("PATH")));
    }

    @Test
    @Order(4)
    void aBackupIsNeverSaidToBeWhereItIsNot() throws Exception {
        Path taken = Files.createDirectories(dir.resolve("taken"));
        notWritten(taken, "is a directory");
        notWritten(dir.resolve("no/such/file"), "There is no directory");
        notWritten(Path.of("/dev/full"), "is no ordinary file");
        Said said =
                run(Map.of("JOLLY_TIDE_HOME", dir.resolve("hmoe").toString()), "./run", "--backup", backup.toString());
        assertThat(said.exit()).isNotZero();
        assertThat(said.words()).contains("There are no data of Jolly Tide in").doesNotContain("The data are in");
        assertThat(dir.resolve("hmoe")).doesNotExist();

        // A file that may not grow is met like a disk that is full; the backup that was there stays.
        run(Map.of(), "scripts/mariadb", "start", home.resolve("database").toString());
        byte[] before = Files.readAllBytes(backup);
        said = run(
                Map.of("JOLLY_TIDE_HOME", home.toString()),
                "bash",
                "-c",
                "trap '' XFSZ; ulimit -f 8; ./run --backup '" + backup + "'");
        assertThat(said.exit()).isNotZero();
        assertThat(said.words()).contains("could not be written").doesNotContain("The data are in");
        assertThat(Files.readAllBytes(backup)).isEqualTo(before);

        try (var files = Files.list(dir)) {
            assertThat(files.filter(f -> f.getFileName().toString().startsWith(".")))
                    .as("nothing half-written stays behind")
                    .isEmpty();
        }
        assertThat(runIn(dir, Map.of("JOLLY_TIDE_HOME", "home"), ROOT.resolve("run") + "", "--backup", "here.gz")
                        .exit())
                .isZero();
        assertThat(dir.resolve("here.gz")).as("beside the one who called").exists();
    }

    @Test
    @Order(5)
    void dataOfANewerVersionAreLeftAlone() throws Exception {
        Path newer = dir.resolve("Older");
        run(Map.of(), "scripts/mariadb", "start", newer.resolve("database").toString());
        sql(
                newer,
                "insert into flyway_schema_history values (999, '999', 'later', 'SQL', 'V999__later.sql', 1, 'x',"
                        + " now(), 1, 1)");
        Said said = run(Map.of("JOLLY_TIDE_HOME", newer.toString(), "JOLLY_TIDE_PORT", "" + freePort()), "./run");
        assertThat(said.exit()).isNotZero();
        assertThat(said.words())
                .contains("Your data are from a newer Jolly Tide")
                .doesNotContain("is ready");
    }

    private static void refused(Path file, String words) throws Exception {
        refused(file, words, Map.of());
    }

    private static void refused(Path file, String words, Map<String, String> environment) throws Exception {
        run(Map.of(), "scripts/mariadb", "start", home.resolve("database").toString());
        String before = sql(home, "select count(*) from reading");
        Map<String, String> all = new java.util.HashMap<>(environment);
        all.put("JOLLY_TIDE_HOME", home.toString());
        Said said = run(all, "./run", "--restore", file.toString());
        assertThat(said.words()).as(file + "").contains(words).doesNotContain("Restored");
        assertThat(said.exit()).isNotZero();
        run(Map.of(), "scripts/mariadb", "start", home.resolve("database").toString());
        assertThat(sql(home, "select count(*) from reading")).isEqualTo(before);
        assertThat(home.resolve("restoring")).doesNotExist();
    }

    private static void notWritten(Path file, String words) throws Exception {
        Said said = run(Map.of("JOLLY_TIDE_HOME", home.toString()), "./run", "--backup", file.toString());
        assertThat(said.words()).contains(words).doesNotContain("The data are in");
        assertThat(said.exit()).isNotZero();
    }

    private static Path file(String name, byte[] bytes) throws IOException {
        return Files.write(dir.resolve(name), bytes);
    }

    private static Path gzip(String name, String text) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (OutputStream out = new GZIPOutputStream(bytes)) {
            out.write(text.getBytes(StandardCharsets.UTF_8));
        }
        return file(name, bytes.toByteArray());
    }

    private static Path summed(String name, String text) throws Exception {
        byte[] sum = java.security.MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
        return gzip(name, text + "-- sha256 " + java.util.HexFormat.of().formatHex(sum) + "\n");
    }

    private static String sql(Path at, String statement) throws Exception {
        Process process = new ProcessBuilder(
                        "scripts/mariadb", "client", at.resolve("database").toString(), "-N")
                .directory(ROOT.toFile())
                .redirectErrorStream(true)
                .start();
        try (OutputStream in = process.getOutputStream()) {
            in.write(statement.getBytes(StandardCharsets.UTF_8));
        }
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        assertThat(process.waitFor()).as(out).isZero();
        return out.replace("jollytide.", "");
    }

    private static Said run(Map<String, String> environment, String... command) throws Exception {
        return runIn(ROOT, environment, command);
    }

    private static Said runIn(Path where, Map<String, String> environment, String... command) throws Exception {
        Path out = Files.createTempFile("run", ".log");
        ProcessBuilder builder = new ProcessBuilder(command)
                .directory(where.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile());
        builder.environment().putAll(environment(environment));
        Process process = builder.start();
        try (OutputStream in = process.getOutputStream()) {
            in.write("y\n".getBytes(StandardCharsets.UTF_8));
        } catch (IOException closedAlready) {
            // it ended before it asked
        }
        assertThat(process.waitFor(3, TimeUnit.MINUTES)).isTrue();
        return new Said(process.exitValue(), Files.readString(out));
    }

    private static Map<String, String> environment(Map<String, String> own) {
        Map<String, String> all = new java.util.HashMap<>();
        all.put("JOLLY_TIDE_HOME", home.toString());
        all.put("JOLLY_TIDE_JAR", ROOT.resolve("server/target/jolly-tide.jar").toString());
        all.putAll(own);
        return all;
    }

    private static Running start(Path where) throws Exception {
        int port = freePort();
        Path out = Files.createTempFile("run", ".log");
        ProcessBuilder builder = new ProcessBuilder("./run")
                .directory(ROOT.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile());
        builder.environment()
                .putAll(environment(Map.of("JOLLY_TIDE_HOME", where.toString(), "JOLLY_TIDE_PORT", "" + port)));
        Process process = builder.start();
        String address = "http://127.0.0.1:" + port;
        for (int i = 0; !Files.readString(out).contains("Jolly Tide is ready at " + address); i++) {
            assertThat(process.isAlive() && i < 600).as(Files.readString(out)).isTrue();
            Thread.sleep(250);
        }
        return new Running(process, address);
    }

    /** Tokens of the demo's keeper. */
    private static String token(String label) throws Exception {
        HttpResponse<String> entered = call("POST", "/api/v1/session/demo", "{}", null);
        List<String> cookies = new ArrayList<>();
        entered.headers().allValues("set-cookie").forEach(c -> cookies.add(c.substring(0, c.indexOf(';'))));
        HttpResponse<String> seen = HTTP.send(
                HttpRequest.newBuilder(URI.create(app.address() + "/api/v1/session"))
                        .header("Cookie", String.join("; ", cookies))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        seen.headers().allValues("set-cookie").forEach(c -> cookies.add(c.substring(0, c.indexOf(';'))));
        String csrf = cookies.stream()
                .filter(c -> c.startsWith("XSRF-TOKEN="))
                .reduce((a, b) -> b)
                .orElseThrow()
                .substring("XSRF-TOKEN=".length());
        HttpResponse<String> made = HTTP.send(
                HttpRequest.newBuilder(URI.create(app.address() + "/api/v1/tokens"))
                        .header("Cookie", String.join("; ", cookies))
                        .header("X-XSRF-TOKEN", csrf)
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString("{\"label\":\"" + label + "\"}"))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(made.statusCode()).as(made.body()).isEqualTo(201);
        return made.body().replaceAll(".*\"token\":\"([^\"]+)\".*", "$1");
    }

    private static int quietly(String method, String path, String body) {
        try {
            return call(method, path, body, kept).statusCode();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    private static HttpResponse<String> call(String method, String path, String body, String token)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(app.address() + path))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        if (token != null) {
            request.header("Authorization", "Bearer " + token);
        }
        return HTTP.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static int freePort() throws IOException {
        try (var socket = new java.net.ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
