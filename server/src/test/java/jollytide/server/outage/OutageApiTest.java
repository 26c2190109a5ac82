package jollytide.server.outage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class OutageApiTest extends ServerTest {
    private static final String PUMP = """
            {"name":"battery pump","place":"under the stairs","who":"Jonas","gives":"AIR","airLPerH":120,"loadW":3.4,
             "energy":"UPS","upsW":100,"upsMinutes":23}""";

    private static String home(Visitor visitor) {
        return "/homes/" + visitor.get("/homes").body().path(0).path("id").asString();
    }

    private static String note(UUID id, String tank, Instant at, String kind, String rest) {
        return "{\"notes\":[{\"id\":\"%s\",\"tankId\":\"%s\",\"at\":\"%s\",\"kind\":\"%s\"%s}]}"
                .formatted(id, tank, at, kind, rest);
    }

    /** Plan, outage, notes, power back, report: as a keeper goes through it. */
    @Test
    void anOutageFromPlanToReport() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);

        JsonNode bare = keeper.get(home + "/readiness").body();
        assertThat(bare.path("weakest").asString()).startsWith("Nothing aerates without the mains");
        assertThat(bare.path("purchases")).isNotEmpty();
        JsonNode pump = keeper.post(home + "/kit", PUMP).body();
        double early = pump.path("runTime").path("early").asDouble();
        assertThat(early).isBetween(3.0, 5.0);
        JsonNode ready = keeper.get(home + "/readiness").body();
        JsonNode night = ready.path("tanks").path(0);
        assertThat(night.path("keptSummer").path("early").asDouble())
                .isGreaterThan(night.path("bareSummer").path("early").asDouble() + 1);
        assertThat(ready.path("due").path(0).asString()).contains("never tested");

        String outages = home + "/outages";
        JsonNode begun = keeper.post(outages, "{}").body();
        String outage = outages + "/" + begun.path("id").asString();
        assertThat(keeper.post(outages, "{}").body().path("id")).isEqualTo(begun.path("id"));
        JsonNode clock = begun.path("tanks").path(0);
        assertThat(clock.path("startMgPerL").asDouble()).isBetween(5.0, 8.0);
        assertThat(clock.path("course").path("danger").path("early").asDouble())
                .isLessThan(clock.path("course").path("danger").path("likely").asDouble());
        assertThat(clock.path("steps").path(0).path("step").path("id").asString())
                .isEqualTo("look");
        assertThat(clock.path("steps").toString())
                .contains("Start: battery pump")
                .contains("do not restart it dirty");

        UUID once = UUID.randomUUID();
        Instant now = PRESENT.plusSeconds(5);
        String on = note(
                once, tank, now, "BACKUP_ON", ",\"ref\":\"" + pump.path("id").asString() + "\"");
        JsonNode aired = keeper.post(outage + "/notes", on).body();
        assertThat(aired.path("tanks")
                        .path(0)
                        .path("course")
                        .path("danger")
                        .path("early")
                        .asDouble())
                .isGreaterThan(clock.path("course").path("danger").path("early").asDouble() + 0.5);
        // The same note again, as from a card that is brought in twice.
        assertThat(keeper.post(outage + "/notes", on).body().path("notes")).hasSize(1);
        keeper.post(outage + "/notes", note(UUID.randomUUID(), tank, now, "STEP_DONE", ",\"ref\":\"look\""));
        JsonNode gasping = keeper.post(outage + "/notes", note(UUID.randomUUID(), tank, now, "GASPING", ""))
                .body();
        assertThat(gasping.path("tanks").path(0).path("gasping").asBoolean()).isTrue();
        JsonNode read = keeper.post(outage + "/notes", note(UUID.randomUUID(), tank, now, "OXYGEN", ",\"value\":4.2"))
                .body();
        assertThat(read.path("tanks")
                        .path(0)
                        .path("steps")
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("DONE");

        JsonNode over = keeper.post(outage + "/end", "{}").body();
        assertThat(over.path("tanks").path(0).path("after").toString())
                .contains("clean it before it runs")
                .contains("every day until zero");
        assertThat(keeper.get(outages + "/current").body().path("outage").isNull()
                        || keeper.get(outages + "/current")
                                .body()
                                .path("outage")
                                .isMissingNode())
                .isTrue();
    }

    /** Power that flickers: fifty cuts within minutes are one outage. */
    @Test
    void flickeringPowerIsOneOutage() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String mains = home(keeper) + "/mains";
        IntStream.range(0, 50).forEach(i -> {
            assertThat(keeper.post(mains, "{\"on\":false}").status()).isEqualTo(200);
            assertThat(keeper.post(mains, "{\"on\":true}").status()).isEqualTo(200);
        });
        JsonNode past = keeper.get(home(keeper) + "/outages").body();
        assertThat(past).hasSize(1);
        assertThat(past.path(0).path("cuts").asInt()).isEqualTo(50);
    }

    /** A card that is brought in twice makes one outage with one log; a phone's clock that runs ahead does no harm. */
    @Test
    void aCardBroughtInTwiceChangesNothing() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        Instant began = PRESENT.minus(Duration.ofHours(20));
        UUID id = UUID.randomUUID();
        for (int i = 0; i < 2; i++) {
            JsonNode outage =
                    keeper.post(home + "/outages", "{\"at\":\"" + began + "\"}").body();
            String path = home + "/outages/" + outage.path("id").asString();
            Instant ahead = PRESENT.plus(Duration.ofDays(3));
            keeper.post(path + "/notes", note(id, tank, ahead, "OXYGEN", ",\"value\":5.1"));
            keeper.post(path + "/end", "{\"at\":\"" + began.plus(Duration.ofHours(3)) + "\"}");
        }
        JsonNode past = keeper.get(home + "/outages").body();
        assertThat(past).hasSize(1);
        JsonNode told = keeper.get(home + "/outages/" + past.path(0).path("id").asString())
                .body()
                .path("notes");
        assertThat(told).hasSize(1);
        assertThat(Instant.parse(told.path(0).path("at").asString())).isBefore(PRESENT.plus(Duration.ofHours(1)));
    }

    /** Two helpers log at once, and one phone sends the same note on two ways in one moment. */
    @Test
    void notesThatComeAtOnceAreAllThereAndOnce() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        JsonNode outage = keeper.post(home(keeper) + "/outages", "{}").body();
        String notes = home(keeper) + "/outages/" + outage.path("id").asString() + "/notes";
        UUID same = UUID.randomUUID();
        assertThat(IntStream.range(0, 12)
                        .parallel()
                        .map(i -> keeper.post(
                                        notes, note(i % 2 == 0 ? same : UUID.randomUUID(), tank, PRESENT, "CALM", ""))
                                .status()))
                .containsOnly(200);
        assertThat(keeper.get(home(keeper) + "/outages/current")
                        .body()
                        .path("outage")
                        .path("notes"))
                .hasSize(7);
    }

    @Test
    void theCardHoldsThePlanAndHarmsNobody() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = home(keeper);
        keeper.post(home + "/kit", PUMP.replace("battery pump", "</script><script>alert(1)</script>"));
        String card = keeper.get(home + "/card").text().replace("http://www.w3.org/2000/svg", "");
        assertThat(card).contains("Tide pool").contains("The power is out: start the clock");
        assertThat(card)
                .doesNotContain("</script><script>alert")
                .doesNotContain("http://")
                .doesNotContain("https://");
        assertThat(card.length()).isLessThan(200_000);
    }

    @Test
    void nonsenseIsRefusedInWordsAndOthersHomesAreNotThere() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        assertThat(keeper.post(home + "/kit", PUMP.replace("\"airLPerH\":120", "\"airLPerH\":0"))
                        .problem())
                .contains("backupAirLPerH is 0");
        assertThat(keeper.post(home + "/kit", PUMP.replace(",\"upsMinutes\":23", ""))
                        .problem())
                .contains("upsMinutes is missing");
        assertThat(keeper.post(home + "/kit", PUMP.replace("\"energy\":\"UPS\"", "\"energy\":\"DRY_CELLS\""))
                        .body()
                        .path("runTime")
                        .path("likely")
                        .asDouble())
                .isZero();
        JsonNode outage = keeper.post(home + "/outages", "{}").body();
        String notes = home + "/outages/" + outage.path("id").asString() + "/notes";
        assertThat(keeper.post(notes, note(UUID.randomUUID(), tank, PRESENT, "OXYGEN", ",\"value\":99"))
                        .problem())
                .contains("value is 99");
        assertThat(keeper.post(notes, note(UUID.randomUUID(), tank, PRESENT, "STEP_DONE", ""))
                        .problem())
                .contains("missing");
        assertThat(keeper.post(home + "/outages", "{\"at\":\"" + PRESENT.plus(Duration.ofDays(2)) + "\"}")
                        .problem())
                .contains("future");
        for (String path : new String[] {"/readiness", "/kit", "/outages", "/card"}) {
            assertThat(visitor().asNewKeeper().get(home + path).status()).isEqualTo(404);
        }
    }
}
