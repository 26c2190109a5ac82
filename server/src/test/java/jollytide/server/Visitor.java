package jollytide.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks to the API as a browser does: a cookie jar, and the token against forged requests. */
public final class Visitor {
    private final String base;
    private final JsonMapper json;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private String bearer = "";
    private String once = "";
    private boolean forging;

    Visitor(String base, JsonMapper json) {
        this.base = base;
        this.json = json;
    }

    public String base() {
        return base;
    }

    /** The jar as a header, for requests that no client of this kind makes. */
    public String cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .map(cookie -> cookie.getName() + "=" + cookie.getValue())
                .collect(Collectors.joining("; "));
    }

    /** A status with the body, parsed when it is JSON. */
    public record Answer(int status, String text, JsonNode body, HttpHeaders headers) {
        public String header(String name) {
            return headers.firstValue(name).orElse("");
        }

        public String problem() {
            return body.path("detail").asString();
        }

        public JsonNode firstError() {
            return body.path("errors").path(0);
        }
    }

    public Visitor withBearer(String token) {
        bearer = token;
        return this;
    }

    /** As a page of somebody else's would send it: with the session's cookie, without the token it cannot read. */
    public Visitor forging() {
        forging = true;
        return this;
    }

    /** Makes an account with a name of its own and stays signed in. */
    public Visitor asNewKeeper() {
        Answer answer = post("/keepers", """
                {"name":"keeper-%s","password":"a good password"}""".formatted(UUID.randomUUID()));
        if (answer.status() != 201) {
            throw new IllegalStateException(answer.text());
        }
        get("/session");
        return this;
    }

    public Answer get(String path) {
        return send("GET", path, "");
    }

    public Answer post(String path, String body) {
        return send("POST", path, body);
    }

    /** A request that names itself, so that it may be sent twice. */
    public Answer post(String path, String body, String id) {
        once = id;
        try {
            return send("POST", path, body);
        } finally {
            once = "";
        }
    }

    public Answer put(String path, String body) {
        return send("PUT", path, body);
    }

    public Answer delete(String path) {
        return send("DELETE", path, "");
    }

    /** Sends a file as it is. */
    public Answer upload(String path, byte[] file) {
        return send("POST", path, "application/octet-stream", HttpRequest.BodyPublishers.ofByteArray(file));
    }

    /** Says that so many bytes will come, and sends none of them before the answer. */
    public Answer announce(String path, long bytes) {
        URI address = URI.create(base + "/api/v1" + path);
        String cookie = cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
        try (Socket socket = new Socket(address.getHost(), address.getPort())) {
            String head =
                    "POST %s?%s HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: %s\r\nX-XSRF-TOKEN: %s\r\nConnection: close\r\n"
                            + "Content-Type: application/octet-stream\r\nContent-Length: %d\r\n\r\n";
            socket.getOutputStream()
                    .write(head.formatted(address.getPath(), address.getQuery(), cookie, forgeryToken(), bytes)
                            .getBytes(StandardCharsets.US_ASCII));
            StringBuilder answer = new StringBuilder();
            while (answer.indexOf("}") < 0) {
                answer.append((char) socket.getInputStream().read());
            }
            String body = answer.substring(answer.indexOf("{"), answer.indexOf("}") + 1);
            int status = Integer.parseInt(answer.substring("HTTP/1.1 ".length(), "HTTP/1.1 200".length()));
            return new Answer(status, body, json.readTree(body), HttpHeaders.of(Map.of(), (name, value) -> true));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private String forgeryToken() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    public Answer send(String method, String path, String body) {
        return send(
                method,
                path,
                "application/json",
                body.isEmpty() ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
    }

    private Answer send(String method, String path, String type, HttpRequest.BodyPublisher body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(
                        URI.create(base + (path.startsWith("//") ? path.substring(1) : "/api/v1" + path)))
                .timeout(Duration.ofSeconds(40))
                .header("Content-Type", type)
                .method(method, body);
        if (!forging && !forgeryToken().isEmpty()) {
            request.header("X-XSRF-TOKEN", forgeryToken());
        }
        if (!once.isEmpty()) {
            request.header("Idempotency-Key", once);
        }
        if (!bearer.isEmpty()) {
            request.header("Authorization", "Bearer " + bearer);
        }
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            boolean isJson =
                    response.headers().firstValue("Content-Type").orElse("").contains("json");
            return new Answer(
                    response.statusCode(),
                    response.body(),
                    json.readTree(isJson && !response.body().isEmpty() ? response.body() : "null"),
                    response.headers());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
