package jollytide.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import java.util.concurrent.TimeUnit;

/** A schema of its own on the private test server, which is started if it does not run. Gone when the JVM ends. */
public final class TestDatabase {
    private static final Path ROOT = root();
    private static final Path SERVER = ROOT.resolve(".cache/test-db");

    private final String name =
            "jollytide_test_" + UUID.randomUUID().toString().substring(0, 8).replace("-", "");
    private final int port;
    private final String password;

    public TestDatabase() {
        script("start");
        try {
            port = Integer.parseInt(Files.readString(SERVER.resolve("port")).strip());
            password = Files.readString(SERVER.resolve("password")).strip();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        execute("create database " + name);
        Runtime.getRuntime().addShutdownHook(new Thread(() -> execute("drop database " + name)));
    }

    public String name() {
        return name;
    }

    public int port() {
        return port;
    }

    public String password() {
        return password;
    }

    /** Stops and starts the server under whoever is connected. */
    public void restart() {
        script("stop");
        script("start");
    }

    public void stop() {
        script("stop");
    }

    public void start() {
        script("start");
    }

    /** Cuts off everybody who works in this database, in the middle of whatever they do. */
    public void dropConnections() {
        String url = "jdbc:mariadb://127.0.0.1:" + port + "/";
        try (Connection connection = DriverManager.getConnection(url, "jollytide", password);
                var list = connection.createStatement();
                var kill = connection.createStatement();
                ResultSet others =
                        list.executeQuery("select id from information_schema.processlist where db = '" + name + "'")) {
            while (others.next()) {
                try {
                    kill.execute("kill " + others.getLong(1));
                } catch (SQLException gone) {
                    // ended by itself in between
                }
            }
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void script(String what) {
        try {
            // To a file: a pipe would stay open in the server's hands.
            Path log = Files.createTempFile("mariadb", ".log");
            Process process = new ProcessBuilder(ROOT.resolve("scripts/mariadb").toString(), what, SERVER.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(log.toFile())
                    .start();
            if (!process.waitFor(90, TimeUnit.SECONDS) || process.exitValue() != 0) {
                throw new IllegalStateException("scripts/mariadb " + what + ": " + Files.readString(log));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private void execute(String sql) {
        String url = "jdbc:mariadb://127.0.0.1:" + port + "/";
        try (Connection connection = DriverManager.getConnection(url, "jollytide", password);
                var statement = connection.createStatement()) {
            statement.execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    static Path root() {
        Path dir = Path.of("").toAbsolutePath();
        while (!Files.exists(dir.resolve("scripts/mariadb"))) {
            dir = dir.getParent();
        }
        return dir;
    }
}
