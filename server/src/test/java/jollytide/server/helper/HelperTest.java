package jollytide.server.helper;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Sets;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Somebody who helps at one home, and a sensor that only tells of its mains. */
class HelperTest extends ServerTest {
    private static final String READING = Samples.reading("2026-01-05T10:00", "PH_NBS", "TANK", "PROBE", 8.1);

    private static String home(Visitor visitor) {
        return visitor.get("/homes").body().path(0).path("id").asString();
    }

    private static String code(Visitor keeper, String home) {
        Answer invited = keeper.post("/homes/" + home + "/helpers", "{\"name\":\"Jonas\"}");
        assertThat(invited.status()).isEqualTo(201);
        return invited.body().path("code").asString();
    }

    private Visitor helper(String code) {
        Visitor helper = visitor();
        Answer in = helper.post("/session/helper", "{\"code\":\"" + code + "\"}");
        assertThat(in.status()).isEqualTo(200);
        assertThat(in.body().path("keeper").asString()).isEqualTo("Jonas");
        assertThat(in.body().path("helper").asBoolean()).isTrue();
        helper.get("/session");
        return helper;
    }

    @Test
    void aHelperSeesTheHomeAndLogsReadingsAndSteps() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        Samples.tank(keeper);
        Visitor helper = helper(code(keeper, home));

        assertThat(helper.get("/homes").body()).hasSize(1);
        assertThat(helper.get("/tanks").body()).hasSize(1);
        assertThat(helper.get("/homes/" + home + "/readiness").status()).isEqualTo(200);
        assertThat(helper.post("/tanks/" + tank + "/readings", READING).status())
                .isEqualTo(201);
        assertThat(helper.get("/tanks/" + tank + "/glance").body().toString()).contains("8.1");

        // What is stored stays: another value at that time is the keeper's to decide.
        String other = READING.replace("8.1", "8.3");
        assertThat(helper.post("/tanks/" + tank + "/readings", other).status()).isEqualTo(409);
        Answer replaced = helper.post("/tanks/" + tank + "/readings", other.replaceFirst("\\{", "{\"replace\":true,"));
        assertThat(replaced.status()).isEqualTo(403);
        assertThat(replaced.problem()).contains("Only the keeper can replace it");

        String outages = "/homes/" + home + "/outages";
        String outage =
                outages + "/" + helper.post(outages, "{}").body().path("id").asString();
        String note = """
                {"notes":[{"id":"%s","tankId":"%s","at":"%s","kind":"STEP_DONE","ref":"look","byWhom":"Mira"}]}""".formatted(UUID.randomUUID(), tank, PRESENT);
        JsonNode noted = helper.post(outage + "/notes", note)
                .body()
                .path("outage")
                .path("notes")
                .path(0);
        assertThat(noted.path("byWhom").asString()).isEqualTo("Jonas");
        assertThat(helper.post(outage + "/end", "{}").status()).isEqualTo(200);
    }

    /** What was done to the tank is read by helpers; what the keeper wrote of it, and who was home when, is not. */
    @Test
    void aHelperReadsNeitherNotesNorWhoWasHome() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String at = PRESENT.minusSeconds(3600).toString();
        String event = """
                {"kind":"%s","at":"%s","title":"%s","note":"the key is in the drawer"}""";
        keeper.post("/tanks/" + tank + "/events", event.formatted("REMEDY", at, "A stone added"));
        keeper.post("/tanks/" + tank + "/events", event.formatted("PEOPLE", at, "Skiing for a week"));
        Answer done = keeper.post("/tanks/" + tank + "/done", """
                {"event":%s,"measures":[%s]}""".formatted(
                        event.formatted("OTHER", at, "At my mother’s"), Sets.measure("nobody")));
        assertThat(done.status()).as(done.text()).isEqualTo(201);
        String history = "/tanks/" + tank + "/history?from=" + PRESENT.minusSeconds(86_400) + "&to=" + PRESENT;
        assertThat(keeper.get(history).text()).contains("A stone added", "Skiing", "mother", "drawer");
        Visitor helper = helper(code(keeper, home(keeper)));
        assertThat(helper.get(history).text())
                .contains("A stone added")
                .doesNotContain("Skiing")
                .doesNotContain("mother")
                .doesNotContain("drawer");
    }

    /** Every door of the API is tried; those that open are these and no others. */
    @Test
    void nothingElseOpens() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        Visitor helper = helper(code(keeper, home));
        String sensor = keeper.post("/homes/" + home + "/mains/tokens", "{\"label\":\"sensor\"}")
                .body()
                .path("token")
                .asString();

        assertThat(open(helper, home, tank))
                .containsExactlyInAnyOrder(
                        "GET /homes",
                        "GET /tanks",
                        "GET /tanks/{id}",
                        "GET /tanks/{tankId}/day",
                        "GET /tanks/{tankId}/experiments/current",
                        "GET /tanks/{tankId}/glance",
                        "GET /tanks/{tankId}/history",
                        "GET /tanks/{tankId}/history/span",
                        "GET /tanks/{tankId}/gas-balance",
                        "GET /tanks/{tankId}/oxygen-margin",
                        "GET /tanks/{tankId}/media",
                        "GET /tanks/{tankId}/upkeep",
                        "POST /tanks/{tankId}/upkeep/{id}/done",
                        "GET /tanks/{tankId}/readings",
                        "GET /tanks/{tankId}/staircase",
                        "POST /tanks/{tankId}/experiments/{id}/end",
                        "POST /tanks/{tankId}/readings",
                        "POST /homes/{homeId}/outages/{id}/goes-on",
                        "GET /homes/{homeId}/card",
                        "GET /homes/{homeId}/kit",
                        "GET /homes/{homeId}/outages",
                        "GET /homes/{homeId}/outages/current",
                        "GET /homes/{homeId}/outages/plan",
                        "GET /homes/{homeId}/outages/{id}",
                        "GET /homes/{homeId}/readiness",
                        "GET /homes/{homeId}/cuts",
                        "GET /homes/{homeId}/due",
                        "GET /homes/{homeId}/due.ics",
                        "POST /homes/{homeId}/outages",
                        "POST /homes/{homeId}/outages/{id}/began",
                        "POST /homes/{homeId}/outages/{id}/end",
                        "POST /homes/{homeId}/outages/{id}/notes");
        assertThat(open(visitor().withBearer(sensor), home, tank)).containsExactly("POST /homes/{homeId}/mains");
    }

    private static List<String> open(Visitor guest, String home, String tank) {
        List<String> open = new ArrayList<>();
        JsonNode paths = guest.get("/openapi.json").body().path("paths");
        for (Map.Entry<String, JsonNode> path : paths.properties()) {
            String template = path.getKey().replaceFirst("/api/v1", "");
            // Its address is the key: it opens to whoever has it, and to nobody else.
            if (template.equals("/calendar/{code}")) {
                continue;
            }
            if (template.startsWith("/calculators") || template.startsWith("/session") || template.equals("/keepers")) {
                continue;
            }
            boolean ofTank = template.startsWith("/tanks/");
            String address = template.replace("{tankId}", tank)
                    .replace("{homeId}", home)
                    .replaceFirst("\\{id}", template.matches("/(tanks|homes)/\\{id}.*") ? ofTank ? tank : home : "7")
                    .replaceAll("\\{[^}]*}", "7");
            for (String method : path.getValue().propertyNames()) {
                String verb = method.toUpperCase(java.util.Locale.ROOT);
                int status = guest.send(verb, address, verb.equals("GET") || verb.equals("DELETE") ? "" : "{}")
                        .status();
                if (status != 403) {
                    open.add(verb + " " + template);
                }
            }
        }
        return open;
    }

    @Test
    void anotherHomeOfTheSameKeeperIsShut() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String first = home(keeper);
        String elsewhere = Samples.tank(keeper);
        Visitor helper = helper(code(keeper, first));
        assertThat(helper.get("/tanks/" + elsewhere).status()).isEqualTo(403);
        assertThat(helper.get("/tanks/" + elsewhere + "/glance").status()).isEqualTo(403);
        assertThat(helper.post("/tanks/" + elsewhere + "/readings", READING).status())
                .isEqualTo(403);
        assertThat(helper.get("/tanks/" + UUID.randomUUID() + "/glance").status())
                .isEqualTo(403);
    }

    @Test
    void aWithdrawnLinkLetsNobodyInAndPutsOutWhoIsIn() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        String code = code(keeper, home);
        Visitor helper = helper(code);
        JsonNode listed = keeper.get("/homes/" + home + "/helpers").body().path(0);
        assertThat(listed.path("lastCameAt").asString()).isNotEmpty();
        assertThat(listed.toString()).doesNotContain(code);

        String link = "/homes/" + home + "/helpers/" + listed.path("id").asString();
        assertThat(visitor().asNewKeeper().delete(link).status()).isEqualTo(404);
        assertThat(keeper.delete(link).status()).isEqualTo(204);
        assertThat(helper.get("/tanks/" + tank + "/glance").status()).isEqualTo(401);
        assertThat(helper.get("/session").body().path("keeper").isString()).isFalse();
        Answer again = visitor().post("/session/helper", "{\"code\":\"" + code + "\"}");
        assertThat(again.status()).isEqualTo(401);
        assertThat(again.problem()).contains("no longer works");
    }

    @Test
    void aSensorTellsOfTheMainsAndIsRevokedLikeAnyToken() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = home(keeper);
        assertThat(visitor()
                        .asNewKeeper()
                        .post("/homes/" + home + "/mains/tokens", "{\"label\":\"x\"}")
                        .status())
                .isEqualTo(404);
        String token = keeper.post("/homes/" + home + "/mains/tokens", "{\"label\":\"hall sensor\"}")
                .body()
                .path("token")
                .asString();
        Visitor sensor = visitor().withBearer(token);
        Answer out = sensor.post("/homes/" + home + "/mains", "{\"on\":false}");
        assertThat(out.body().path("outage").path("cuts").asInt()).isEqualTo(1);
        JsonNode listed = keeper.get("/tokens").body().path(0);
        assertThat(listed.path("mainsHomeId").asString()).isEqualTo(home);
        assertThat(keeper.delete("/tokens/" + listed.path("id").asString()).status())
                .isEqualTo(204);
        assertThat(sensor.post("/homes/" + home + "/mains", "{\"on\":true}").status())
                .isEqualTo(401);
    }
}
