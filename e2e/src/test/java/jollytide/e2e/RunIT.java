package jollytide.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509TrustManager;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** {@code ./run} as it is typed, slips included, and reached from other machines. */
class RunIT {
    private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();

    @TempDir
    static Path dir;

    private static ProcessBuilder run(Map<String, String> environment, Path out, String... arguments) {
        String[] command = new String[arguments.length + 1];
        command[0] = "./run";
        System.arraycopy(arguments, 0, command, 1, arguments.length);
        ProcessBuilder builder = new ProcessBuilder(command)
                .directory(ROOT.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile());
        builder.environment().remove("JOLLY_TIDE_HOSTS");
        Map<String, String> all = new HashMap<>(environment);
        all.putIfAbsent("JOLLY_TIDE_HOME", dir.resolve("home").toString());
        all.put("JOLLY_TIDE_JAR", ROOT.resolve("server/target/jolly-tide.jar").toString());
        builder.environment().putAll(all);
        return builder;
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({
        "--bakcup, x, 2, usage: ./run",
        "--help, , 0, usage: ./run",
        "--backup, , 1, --backup needs a file.",
        "--restore, , 1, --restore needs a file.",
        "--backup, nowhere.gz, 1, There are no data of Jolly Tide in",
        "--reset-password, , 1, There are no data of Jolly Tide in"
    })
    void slipsAreToldAndMakeNothing(String first, String second, int exit, String words) throws Exception {
        Path out = Files.createTempFile(dir, "said", ".log");
        Process process = (second == null ? run(Map.of(), out, first) : run(Map.of(), out, first, second)).start();
        process.getOutputStream().close();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(Files.readString(out)).contains(words);
        assertThat(process.exitValue()).isEqualTo(exit);
        assertThat(dir.resolve("home")).doesNotExist();
    }

    @ParameterizedTest
    @CsvSource({"harbour", "0", "65536", "80 80", "-1"})
    void aPortThatIsNoneIsTold(String port) throws Exception {
        Path out = Files.createTempFile(dir, "said", ".log");
        Process process = run(Map.of("JOLLY_TIDE_PORT", port), out).start();
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(Files.readString(out)).contains("JOLLY_TIDE_PORT is '" + port + "'. Allowed: 1 to 65535.");
        assertThat(process.exitValue()).isEqualTo(1);
    }

    /** From other machines it is reached encrypted, by its own names only, without the demo; its first account needs the code. */
    @Test
    void beyondThisMachineItIsEncryptedAndAsksForTheCode() throws Exception {
        Path home = dir.resolve("open");
        Path out = Files.createTempFile(dir, "said", ".log");
        int port = freePort();
        Process process = run(
                        Map.of(
                                "JOLLY_TIDE_HOME",
                                home.toString(),
                                "JOLLY_TIDE_PORT",
                                "" + port,
                                "JOLLY_TIDE_BIND",
                                "0.0.0.0"),
                        out)
                .start();
        try {
            for (int i = 0; !Files.readString(out).contains("is ready at https://127.0.0.1:" + port); i++) {
                assertThat(process.isAlive() && i < 600)
                        .as(Files.readString(out))
                        .isTrue();
                Thread.sleep(250);
            }
            for (String secret : new String[] {"tls.p12", "tls.password"}) {
                assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(home.resolve(secret))))
                        .isEqualTo("rw-------");
            }
            String address = "https://localhost:" + port + "/api/v1";
            assertThat(call(address + "/session", null).body()).contains("\"setupCodeNeeded\":true");
            assertThat(call(address + "/session/demo", "{}").statusCode()).isEqualTo(404);
            Matcher code =
                    Pattern.compile("Setup code for a new account: ([0-9a-f]+)").matcher(Files.readString(out));
            assertThat(code.find()).isTrue();
            String account = "{\"name\":\"%s\",\"password\":\"a good password\",\"setupCode\":\"%s\"}";
            assertThat(call(address + "/keepers", account.formatted("Ada", code.group(1)))
                            .statusCode())
                    .isEqualTo(201);
            assertThat(call(address + "/keepers", account.formatted("Eve", code.group(1)))
                            .statusCode())
                    .as("a code opens one account")
                    .isEqualTo(422);
        } finally {
            process.destroy();
            assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        }
    }

    /** The certificate is the server's own: nobody vouches for it, and this test trusts it. */
    private static HttpResponse<String> call(String address, String body) throws Exception {
        SSLContext trusting = SSLContext.getInstance("TLS");
        trusting.init(null, new TrustManager[] {new Trusting()}, new SecureRandom());
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(address)).header("Content-Type", "application/json");
        return HttpClient.newBuilder()
                .sslContext(trusting)
                .build()
                .send(
                        (body == null ? request : request.POST(HttpRequest.BodyPublishers.ofString(body))).build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    private static final class Trusting implements X509TrustManager {
        @Override
        public void checkClientTrusted(X509Certificate[] chain, String type) {
            throw new UnsupportedOperationException();
        }

        @Override
        public void checkServerTrusted(X509Certificate[] chain, String type) {
            assertThat(chain[0].getSubjectX500Principal().getName()).isEqualTo("CN=Jolly Tide");
        }

        @Override
        public X509Certificate[] getAcceptedIssuers() {
            return new X509Certificate[0];
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
