package jollytide.e2e;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import jollytide.server.TestDatabase;

/** The packaged application as a process of its own, with demo data and a fresh schema; one for all browser tests. */
final class RunningApp {
    private static final Path JAR = Path.of("../server/target/jolly-tide.jar");
    private static final Path DEMO = Path.of("../server/target/jolly-tide-demo.jar");
    private static final Duration PATIENCE = Duration.ofMinutes(2);
    private static RunningApp running;

    private final String address;
    private final ProcessBuilder builder;
    private final File log = new File("target/application.log");
    private Process process;

    private RunningApp() throws IOException, InterruptedException {
        TestDatabase database = new TestDatabase();
        int port = freePort();
        address = "http://127.0.0.1:" + port;
        builder =
                new ProcessBuilder("java", "-XX:TieredStopAtLevel=1", "-Dloader.path=" + DEMO, "-jar", JAR.toString());
        builder.environment().put("JOLLY_TIDE_DB_PORT", Integer.toString(database.port()));
        builder.environment().put("JOLLY_TIDE_DB_NAME", database.name());
        builder.environment().put("JOLLY_TIDE_DB_PASSWORD", database.password());
        builder.environment().put("JOLLY_TIDE_DEMO", "true");
        builder.environment().put("JOLLY_TIDE_NIGHTLY", "false");
        builder.environment().put("JOLLY_TIDE_PORT", Integer.toString(port));
        builder.redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(log));
        Files.deleteIfExists(log.toPath());
        Runtime.getRuntime().addShutdownHook(new Thread(() -> process.destroy()));
        launch();
    }

    private void launch() throws IOException, InterruptedException {
        process = builder.start();
        Instant until = Instant.now().plus(PATIENCE);
        while (!answers()) {
            if (!process.isAlive() || Instant.now().isAfter(until)) {
                throw new IllegalStateException("the application did not start: " + Files.readString(log.toPath()));
            }
            Thread.sleep(250);
        }
        warmUp();
    }

    /** Stops the application, as a machine without power stops. */
    static void stop() throws InterruptedException {
        running.process.destroyForcibly();
        running.process.waitFor();
    }

    /** Starts it again where it was. */
    static void startAgain() throws IOException, InterruptedException {
        running.launch();
    }

    /** The first page of a young JVM is slow; the tests are about the others. */
    private void warmUp() throws IOException, InterruptedException {
        for (String path : new String[] {"/", "/api/v1/session", "/api/v1/openapi.json"}) {
            HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(address + path)).build(),
                            HttpResponse.BodyHandlers.discarding());
        }
    }

    static synchronized String address() {
        if (running == null) {
            try {
                running = new RunningApp();
            } catch (IOException e) {
                throw new IllegalStateException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
        return running.address;
    }

    private boolean answers() throws InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + "/api/v1/session"))
                .timeout(Duration.ofSeconds(2))
                .build();
        try {
            return HttpClient.newHttpClient()
                            .send(request, HttpResponse.BodyHandlers.discarding())
                            .statusCode()
                    == 200;
        } catch (IOException e) {
            return false;
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
