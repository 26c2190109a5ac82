package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Pattern;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whatever is sent to a door, it is let in or refused in words: never a fault of the program. Bodies follow the document of
 * the API, with values here and there that no page would send.
 */
class FuzzedDoorsTest extends ServerTest {
    private static final int TIMES_EACH = 3;
    private static final double HOSTILE = 0.08;
    private static final List<String> VALUES = List.of(
            "null",
            "-1",
            "0",
            "1e308",
            "-1e-320",
            "9223372036854775808",
            "\"\"",
            "\" \"",
            "\"\\u00a0\"",
            "\"\\u0000\"",
            "\"'; drop table tank; --\"",
            "\"\\ud83d\\udc20\\u202e\"",
            "\"+999999999-12-31T23:59:59Z\"",
            "\"-999999999-01-01\"",
            "\"24:00\"",
            "\"" + "x".repeat(5000) + "\"",
            "true",
            "[]",
            "{}",
            "[[[[[[]]]]]]");
    /** These end the session, or are counted against guessing. */
    private static final Pattern LEFT_OUT =
            Pattern.compile("/(session|keepers|me/password|help/).*|/(tanks|homes|rooms)/\\{\\w+}");

    private Random random;
    private Visitor keeper;
    private JsonNode document;
    private final Map<String, String> known = new HashMap<>();

    @ParameterizedTest
    @ValueSource(longs = {1, 2})
    void everyDoorAnswersInWords(long seed) {
        random = new Random(seed);
        keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        known.put("tankId", tank);
        known.put("homeId", keeper.get("/tanks/" + tank).body().path("homeId").asString());
        keeper.post("/tanks/" + tank + "/readings", Samples.workedCase(PRESENT));
        document = visitor().get("/openapi.json").body();
        List<String> wrong = new ArrayList<>();
        int sent = 0;
        int letIn = 0;
        for (String address : document.path("paths").propertyNames()) {
            String path = address.replace("/api/v1", "");
            JsonNode doors = document.path("paths").path(address);
            for (String method : doors.propertyNames()) {
                boolean leftOut = LEFT_OUT.matcher(path).matches() && !method.equals("get");
                if (leftOut || !List.of("get", "post", "put", "delete").contains(method)) {
                    continue;
                }
                for (int i = 0; i < TIMES_EACH; i++) {
                    JsonNode door = doors.path(method);
                    String asked = filled(path, door) + query(door);
                    String body = door.has("requestBody")
                            ? value(
                                    door.path("requestBody")
                                            .path("content")
                                            .path("application/json")
                                            .path("schema"),
                                    0)
                            : "";
                    Answer answer = send(method, asked, body);
                    sent++;
                    letIn += answer.status() < 300 ? 1 : 0;
                    if (answer.status() >= 500 || (answer.status() >= 400 && saysNothing(answer))) {
                        wrong.add(method + " " + asked + " " + body + " -> " + answer.status() + " " + answer.text());
                    }
                }
            }
        }
        assertThat(wrong).as("seed %d", seed).isEmpty();
        assertThat(sent).isGreaterThan(300);
        assertThat(letIn).as("some are let in").isGreaterThan(50);
    }

    private static boolean saysNothing(Answer answer) {
        return !answer.text().startsWith("{")
                || answer.body().path("detail").asString("").isBlank();
    }

    private Answer send(String method, String path, String body) {
        return switch (method) {
            case "get" -> keeper.get(path);
            case "post" -> keeper.post(path, body);
            case "put" -> keeper.put(path, body);
            case "delete" -> keeper.delete(path);
            default -> throw new IllegalStateException(method);
        };
    }

    private String filled(String path, JsonNode door) {
        String filled = path;
        for (JsonNode parameter : door.path("parameters")) {
            String name = parameter.path("name").asString();
            if (parameter.path("in").asString().equals("path")) {
                String value = known.getOrDefault(name, plain(parameter.path("schema")));
                filled = filled.replace("{" + name + "}", value);
            }
        }
        return filled;
    }

    private String query(JsonNode door) {
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : door.path("parameters")) {
            if (parameter.path("in").asString().equals("query") && random.nextInt(4) > 0) {
                query.append(query.isEmpty() ? '?' : '&')
                        .append(parameter.path("name").asString())
                        .append('=')
                        .append(plain(parameter.path("schema")));
            }
        }
        return query.toString();
    }

    /** A value as it stands in an address, without what the container in front refuses by itself. */
    private String plain(JsonNode schema) {
        String value = value(schema, 0).replaceAll("[^A-Za-z0-9:+. -]", "");
        return URLEncoder.encode(
                value.isBlank() ? "x" : value.substring(0, Math.min(200, value.length())), StandardCharsets.UTF_8);
    }

    private String value(JsonNode schema, int depth) {
        if (random.nextDouble() < HOSTILE) {
            return VALUES.get(random.nextInt(VALUES.size()));
        }
        if (schema.has("$ref")) {
            String name = schema.path("$ref").asString();
            return value(
                    document.path("components").path("schemas").path(name.substring(name.lastIndexOf('/') + 1)), depth);
        }
        if (schema.has("enum")) {
            JsonNode one =
                    schema.path("enum").get(random.nextInt(schema.path("enum").size()));
            return one.toString();
        }
        return switch (schema.path("type").asString("object")) {
            case "string" -> text(schema.path("format").asString(""));
            case "integer" -> String.valueOf(random.nextInt(40));
            case "number" -> String.format(Locale.ROOT, "%.3f", Math.exp(random.nextDouble() * 9 - 2));
            case "boolean" -> String.valueOf(random.nextBoolean());
            case "array" -> array(schema.path("items"), depth);
            default -> object(schema, depth);
        };
    }

    private String text(String format) {
        return switch (format) {
            case "uuid" -> "\"" + UUID.nameUUIDFromBytes(new byte[] {(byte) random.nextInt(3)}) + "\"";
            case "date-time" -> "\"" + PRESENT.minusSeconds(random.nextInt(3_000_000)) + "\"";
            case "date" -> "\"2026-10-" + (10 + random.nextInt(20)) + "\"";
            default ->
                List.of("\"12:30\"", "\"a name\"", "\"" + PRESENT + "\"", "\"2026-10-12T10:00\"")
                        .get(random.nextInt(4));
        };
    }

    private String array(JsonNode items, int depth) {
        List<String> values = new ArrayList<>();
        for (int i = random.nextInt(3); depth < 6 && i > 0; i--) {
            values.add(value(items, depth + 1));
        }
        return "[" + String.join(",", values) + "]";
    }

    private String object(JsonNode schema, int depth) {
        List<String> fields = new ArrayList<>();
        JsonNode properties = schema.path("properties");
        List<String> required = new ArrayList<>();
        schema.path("required").forEach(name -> required.add(name.asString()));
        for (String name : properties.propertyNames()) {
            boolean there = random.nextDouble() < (required.contains(name) ? 0.97 : 0.5);
            if (there && depth < 6) {
                fields.add(
                        JsonMapper.shared().writeValueAsString(name) + ":" + value(properties.path(name), depth + 1));
            }
        }
        return "{" + String.join(",", fields) + "}";
    }
}
