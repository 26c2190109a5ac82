package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What any earlier version wrote can be restored: one home grows through every schema there was, is dumped at each as
 * versions before backups had a first line did it, is taken for a backup, loaded, and brought to this version.
 */
class EverySchemaTest {
    private static final String KEEPER = "00000000-0000-0000-0000-000000000001";
    private static final List<String> FIRST_HOME = List.of(
            "insert into keeper values ('" + KEEPER
                    + "', 'mira', '-', 0, 'DKH', 'CELSIUS', 'PSU', 'LITRES', '2026-01-01')",
            "insert into home values ('00000000-0000-0000-0000-000000000002', '" + KEEPER
                    + "', 0, 'Quayside House', 'Europe/Amsterdam', 0)",
            "insert into room values ('00000000-0000-0000-0000-000000000003', '00000000-0000-0000-0000-000000000002', 0,"
                    + " 'kitchen', 60, 2, 1, 1)",
            "insert into tank values ('00000000-0000-0000-0000-000000000004', '00000000-0000-0000-0000-000000000003', 0,"
                    + " 'Lantern Reef', '', 420, '10:00', '21:00', 1, 8, 8.4, 7.8, '', 'LIFT', 550, '{}')");

    /** Kept before exhaust was called recirculated. */
    private static final List<String> LED_BACK = List.of(
            "insert into bench_set (id, tank_id, name, variant, kept_at) values ('00000000-0000-0000-0000-000000000005',"
                    + " '00000000-0000-0000-0000-000000000004', 'loop', '{\"measures\":[{\"kind\":\"led-back-media\","
                    + "\"numbers\":{\"ledBack\":0.9}}]}', '2026-01-01')",
            "insert into programme (tank_id, version, format, document, saved_at) values"
                    + " ('00000000-0000-0000-0000-000000000004', 0, 1, '{\"rest\":{\"does\":\"LED_BACK\"}}', '2026-01-01')");

    private final TestDatabase grown = new TestDatabase();

    @TempDir
    Path dir;

    private static Flyway flyway(TestDatabase database, String target) {
        return Flyway.configure()
                .dataSource(url(database), "jollytide", database.password())
                .target(target)
                .load();
    }

    private static String url(TestDatabase database) {
        return "jdbc:mariadb://127.0.0.1:" + database.port() + "/" + database.name();
    }

    private static String one(TestDatabase database, String sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url(database), "jollytide", database.password());
                var statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getString(1);
        }
    }

    private static void execute(TestDatabase database, List<String> sql) throws SQLException {
        try (Connection connection = DriverManager.getConnection(url(database), "jollytide", database.password());
                var statement = connection.createStatement()) {
            for (String each : sql) {
                statement.execute(each);
            }
        }
    }

    private static byte[] ran(TestDatabase of, byte[] given, String... command) throws Exception {
        ProcessBuilder builder = new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.INHERIT);
        builder.environment().put("MYSQL_PWD", of.password());
        Process process = builder.start();
        try (OutputStream in = process.getOutputStream()) {
            in.write(given);
        }
        byte[] said;
        try (InputStream out = process.getInputStream()) {
            said = out.readAllBytes();
        }
        assertThat(process.waitFor()).as(Arrays.toString(command)).isZero();
        return said;
    }

    private static String[] client(String program, TestDatabase of, String... more) {
        String[] all = {
            program, "--no-defaults", "--protocol=tcp", "--host=127.0.0.1", "--port=" + of.port(), "--user=jollytide"
        };
        String[] whole = Arrays.copyOf(all, all.length + more.length);
        System.arraycopy(more, 0, whole, all.length, more.length);
        return whole;
    }

    /** Early backups end with the dump's last statement and an empty line. */
    private Path written(String version, byte[] dump) throws IOException {
        Path file = dir.resolve("schema-" + version + ".sql.gz");
        try (OutputStream out = new GZIPOutputStream(Files.newOutputStream(file))) {
            out.write(dump);
            out.write("\n\n".getBytes(StandardCharsets.UTF_8));
        }
        return file;
    }

    @Test
    void aHomeOfEverySchemaIsRestored() throws Exception {
        MigrationInfo[] all = flyway(grown, "latest").info().all();
        assertThat(all).hasSizeGreaterThan(30);
        String newest = all[all.length - 1].getVersion().getVersion();
        for (MigrationInfo each : all) {
            String version = each.getVersion().getVersion();
            flyway(grown, version).migrate();
            if (version.equals("1")) {
                execute(grown, FIRST_HOME);
            }
            if (version.equals("40")) {
                execute(grown, LED_BACK);
            }
            byte[] dump = ran(
                    grown,
                    new byte[0],
                    client("mariadb-dump", grown, "--single-transaction", "--skip-comments", grown.name()));
            Path file = written(version, dump);
            byte[] says = ran(
                    grown,
                    new byte[0],
                    TestDatabase.root().resolve("scripts/backup").toString(),
                    "check",
                    file.toString());
            assertThat(new String(says, StandardCharsets.UTF_8).strip()).isEqualTo(version);

            TestDatabase restored = new TestDatabase();
            ran(restored, dump, client("mariadb", restored, "--sandbox", restored.name()));
            flyway(restored, "latest").migrate();
            assertThat(one(restored, "select max(cast(version as unsigned)) from flyway_schema_history"))
                    .isEqualTo(newest);
            assertThat(one(
                            restored,
                            "select concat(k.name, ', ', h.name, ', ', t.name, ', ', t.net_volume_l) from keeper k join"
                                    + " home h on h.keeper_id = k.id join room r on r.home_id = h.id join tank t on"
                                    + " t.room_id = r.id"))
                    .as("from schema " + version)
                    .isEqualTo("mira, Quayside House, Lantern Reef, 420");
            if (Integer.parseInt(version) >= 40) {
                assertThat(one(restored, "select concat(variant, document) from bench_set, programme"))
                        .isEqualTo(
                                "{\"measures\":[{\"kind\":\"recirculated-media\",\"numbers\":{\"recirculated\":0.9}}]}"
                                        + "{\"rest\":{\"does\":\"RECIRCULATED\"}}");
            }
        }
    }
}
