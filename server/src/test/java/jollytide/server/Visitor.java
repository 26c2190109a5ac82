package jollytide.server;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.UUID;
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
    private boolean forging;

    Visitor(String base, JsonMapper json) {
        this.base = base;
        this.json = json;
    }

    /** A status with the body, parsed when it is JSON. */
    public record Answer(int status, String text, JsonNode body) {
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

    public Answer put(String path, String body) {
        return send("PUT", path, body);
    }

    public Answer delete(String path) {
        return send("DELETE", path, "");
    }

    public Answer send(String method, String path, String body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(
                        URI.create(base + (path.startsWith("//") ? path.substring(1) : "/api/v1" + path)))
                .timeout(Duration.ofSeconds(40))
                .header("Content-Type", "application/json")
                .method(
                        method,
                        body.isEmpty()
                                ? HttpRequest.BodyPublishers.noBody()
                                : HttpRequest.BodyPublishers.ofString(body));
        for (HttpCookie cookie : cookies.getCookieStore().getCookies()) {
            if (cookie.getName().equals("XSRF-TOKEN") && !forging) {
                request.header("X-XSRF-TOKEN", cookie.getValue());
            }
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
                    json.readTree(isJson && !response.body().isEmpty() ? response.body() : "null"));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
