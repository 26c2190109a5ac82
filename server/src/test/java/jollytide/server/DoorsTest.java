package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The doors as a hostile visitor finds them: foreign names, foreign pages, impossible times and ids. */
class DoorsTest extends ServerTest {

    private String raw(String head) throws IOException {
        URI address = URI.create(visitor().base());
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            socket.getOutputStream()
                    .write((head.replace("HERE", address.getAuthority()) + "Connection: close\r\n\r\n")
                            .getBytes(StandardCharsets.UTF_8));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void aForeignNameThatPointsHereGetsNoAnswer() throws IOException {
        assertThat(raw("GET /api/v1/session HTTP/1.1\r\nHost: reef.example\r\n"))
                .startsWith("HTTP/1.1 421")
                .contains("JOLLY_TIDE_HOSTS");
        assertThat(raw("GET /api/v1/session HTTP/1.1\r\nHost: HERE\r\n")).startsWith("HTTP/1.1 200");
        assertThat(raw("GET /api/v1/session HTTP/1.1\r\nHost: localhost:80\r\n"))
                .startsWith("HTTP/1.1 200");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/session/demo", "/session", "/session/helper", "/keepers"})
    void aForeignPageOpensNoSession(String door) throws IOException {
        String post = "POST /api/v1" + door + " HTTP/1.1\r\nHost: HERE\r\nContent-Length: 0\r\n";
        for (String origin : new String[] {"http://evil.example", "null", "http://HERE.evil.example", ":"}) {
            assertThat(raw(post + "Origin: " + origin + "\r\n"))
                    .startsWith("HTTP/1.1 403")
                    .doesNotContain("Set-Cookie: tide=");
        }
    }

    @Test
    void thePageItselfOpensTheDemo() throws IOException {
        assertThat(
                        raw(
                                "POST /api/v1/session/demo HTTP/1.1\r\nHost: HERE\r\nContent-Length: 0\r\nOrigin: http://HERE\r\n"))
                .startsWith("HTTP/1.1 200");
    }

    @Test
    void noNameIsPinnedToEncryption() throws IOException {
        assertThat(raw("GET / HTTP/1.1\r\nHost: HERE\r\nX-Forwarded-Proto: https\r\n"))
                .doesNotContain("Strict-Transport-Security");
    }

    @ParameterizedTest
    @ValueSource(strings = {"+1000000000-01-01T00:00:00Z", "-1000000000-01-01T00:00:00Z", "1969-12-31T00:00:00Z"})
    void timesThatNoCalendarHoldsAreRefused(String at) {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String encoded = at.replace("+", "%2B");
        Visitor.Answer span = keeper.get("/tanks/" + tank + "/history?from=" + encoded + "&to=" + encoded);
        assertThat(span.status()).as(span.text()).isEqualTo(422);
        assertThat(span.firstError().path("allowed").asString()).contains("1970");
        String home = keeper.get("/homes").body().path(0).path("id").asString();
        Visitor.Answer outage = keeper.post("/homes/" + home + "/outages", "{\"at\":\"" + at + "\"}");
        assertThat(outage.status()).as(outage.text()).isEqualTo(422);
        assertThat(outage.firstError().path("field").asString()).contains("at");
    }

    @ParameterizedTest
    @ValueSource(strings = {"99999999999999999999999", "nonsense", "-1"})
    void idsThatNothingHasAreNotFoundOrRefused(String id) {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        assertThat(keeper.get(tank + "/imports/" + id).status()).isIn(404, 422);
        assertThat(keeper.delete(tank + "/readings/" + id).status()).isIn(404, 422);
        assertThat(keeper.get("/tanks/" + id).status()).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "00000000-0000-0000-0000-000000000000",
                "ffffffff-ffff-ffff-ffff-ffffffffffff",
                "00000000-0000-1000-0000-000000000001",
                "6ba7b810-9dad-11d1-80b4-00c04fd430c8"
            })
    void anIdMadeByAPhoneIsKeptOrRefusedInWords(String id) {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        String outage = keeper.post(home + "/outages", "{}").body().path("id").asString();
        Visitor.Answer noted = keeper.post(
                home + "/outages/" + outage + "/notes",
                "{\"notes\":[{\"id\":\"" + id
                        + "\",\"at\":\"2026-11-12T15:00:00Z\",\"kind\":\"NOTE\",\"text\":\"dark\"}]}");
        assertThat(noted.status()).as(noted.text()).isIn(200, 409, 422);
    }

    @Test
    void whatTheDatabaseRefusesIsSaidWithItsCode() throws Exception {
        String name = "twice" + UUID.randomUUID();
        String body = "{\"name\":\"" + name + "\",\"password\":\"a good password\"}";
        var pool = java.util.concurrent.Executors.newFixedThreadPool(6);
        try {
            var calls = java.util.stream.IntStream.range(0, 6)
                    .<java.util.concurrent.Callable<Integer>>mapToObj(
                            i -> () -> visitor().post("/keepers", body).status())
                    .toList();
            var answers = new java.util.ArrayList<Integer>();
            for (var each : pool.invokeAll(calls)) {
                answers.add(each.get());
            }
            assertThat(answers).containsOnlyOnce(201).isSubsetOf(201, 422, 503);
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void aTokenThatCannotBeLookedUpIsAProblemDocument() {
        Visitor script = visitor().withBearer("tide_x");
        DATABASE.stop();
        try {
            Visitor.Answer answer = script.get("/homes");
            assertThat(answer.status()).as(answer.text()).isEqualTo(503);
            assertThat(answer.header("Content-Type")).contains("problem+json");
            assertThat(answer.problem()).contains("database");
        } finally {
            DATABASE.start();
        }
    }

    @Test
    void whatTheContainerRefusesIsAProblemDocument() {
        Visitor.Answer answer = visitor().get("//error");
        assertThat(answer.header("Content-Type")).contains("problem+json");
    }
}
