package jollytide.server.today;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.stream.StreamSupport;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class DayTest extends ServerTest {

    private static String tank(Visitor visitor, String name) {
        return StreamSupport.stream(visitor.get("/tanks").body().spliterator(), false)
                .filter(t -> t.path("description").path("name").asString().equals(name))
                .map(t -> "/tanks/" + t.path("id").asString())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aDayOfTheDemoHasItsShape() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        JsonNode day = visitor.get(tank(visitor, "Lantern Reef") + "/day?day=2026-11-11")
                .body();
        assertThat(day.path("usual")).hasSize(48);
        assertThat(day.path("lit")).hasSize(1);
        assertThat(day.path("trough").path("ph").asDouble()).isBetween(7.7, 7.95);
        assertThat(day.path("peak").path("ph").asDouble()).isBetween(8.05, 8.35);
        assertThat(day.path("surrounded").asBoolean()).isTrue();
        assertThat(day.path("warnings")).isEmpty();
    }

    @Test
    void theDayOfAClockChangeHasTwentyFiveHours() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        JsonNode day = visitor.get(tank(visitor, "Lantern Reef") + "/day?day=2026-10-25")
                .body();
        Instant start = Instant.parse(day.path("start").asString());
        Instant end = Instant.parse(day.path("end").asString());
        assertThat(end.getEpochSecond() - start.getEpochSecond()).isEqualTo(25 * 3600);
        assertThat(day.path("lit").path(0).path("from").asString()).isEqualTo("2026-10-25T09:00:00Z");
    }

    @Test
    void readingsOfTheDaylightOnlyAreNamedAsSuch() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        for (String at : new String[] {"2026-11-10T14:00", "2026-11-11T15:00", "2026-11-12T13:00"}) {
            keeper.post(tank + "/readings", Samples.reading(at, "PH_NBS", "TANK", "PROBE", 8.1));
        }
        JsonNode day = keeper.get(tank + "/day").body();
        assertThat(day.path("day").asString()).isEqualTo("2026-11-12");
        assertThat(day.path("stretches")).hasSize(1);
        assertThat(day.path("surrounded").asBoolean()).isFalse();
        assertThat(day.path("warnings").path(0).asString()).contains("taken in the light");
    }

    @Test
    void anOldLogSaysHowOldItIs() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        keeper.post(tank + "/readings", Samples.reading("2026-11-01T08:00", "PH_NBS", "TANK", "PROBE", 8.1));
        assertThat(keeper.get(tank + "/day").body().path("warnings").path(0).asString())
                .contains("hours old");
    }

    @Test
    void anEmptyDayIsEmpty() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        JsonNode day = keeper.get(tank + "/day?day=2026-03-29").body();
        assertThat(day.path("stretches")).isEmpty();
        assertThat(day.path("trough").isMissingNode()).isTrue();
        assertThat(keeper.get(tank + "/day?day=tomorrow").status()).isEqualTo(422);
    }

    @Test
    void eventsStandOnTheirDayUntilTheyAreTakenBack() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        var event = keeper.post(tank + "/events", """
                {"kind":"REMEDY","at":"2026-11-11T13:20","title":"window open","note":""}""");
        assertThat(event.status()).isEqualTo(201);
        JsonNode day = keeper.get(tank + "/day?day=2026-11-11").body();
        assertThat(day.path("events").path(0).path("at").asString()).isEqualTo("2026-11-11T12:20:00Z");
        Visitor other = visitor().asNewKeeper();
        String path = tank + "/events/" + event.body().path("id").asString();
        assertThat(other.delete(path).status()).isEqualTo(404);
        assertThat(keeper.delete(path).status()).isEqualTo(204);
        assertThat(keeper.get(tank + "/day?day=2026-11-11").body().path("events"))
                .isEmpty();
        assertThat(keeper.post(tank + "/events", """
                {"kind":"GHOST","at":"2026-11-11T13:20","title":"x","note":""}""").status()).isEqualTo(422);
    }

    @Test
    void totalScaleReadingsAreShownOnTheNbsScale() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        keeper.post(tank + "/readings", Samples.reading("2026-11-11T08:00", "PH_TOTAL", "TANK", "PROBE", 7.9));
        JsonNode day = keeper.get(tank + "/day").body();
        assertThat(day.path("trough").path("ph").asDouble()).isCloseTo(8.034, within(0.005));
    }
}
