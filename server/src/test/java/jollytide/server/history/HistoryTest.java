package jollytide.server.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.StreamSupport;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class HistoryTest extends ServerTest {

    private static JsonNode track(JsonNode history, String quantity, String place) {
        return StreamSupport.stream(history.path("tracks").spliterator(), false)
                .filter(t -> t.path("quantity").asString().equals(quantity)
                        && t.path("place").asString().equals(place))
                .findFirst()
                .orElseThrow();
    }

    private static double extreme(JsonNode track, String which) {
        var values = StreamSupport.stream(track.path("stretches").spliterator(), false)
                .flatMap(s -> StreamSupport.stream(s.path(which).spliterator(), false))
                .mapToDouble(JsonNode::asDouble);
        return (which.equals("low") ? values.min() : values.max()).orElseThrow();
    }

    private Visitor demo() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        return visitor;
    }

    private static String lantern(Visitor visitor) {
        return StreamSupport.stream(visitor.get("/tanks").body().spliterator(), false)
                .filter(t -> t.path("description").path("name").asString().equals("Lantern Reef"))
                .map(t -> "/tanks/" + t.path("id").asString())
                .findFirst()
                .orElseThrow();
    }

    @Test
    void monthsAreThinnedAndKeepEveryExtreme() {
        Visitor visitor = demo();
        JsonNode all = visitor.get(lantern(visitor) + "/history?width=300").body();
        JsonNode fine = visitor.get(lantern(visitor) + "/history?width=4000").body();
        JsonNode ph = track(all, "PH", "TANK");
        int points = StreamSupport.stream(ph.path("stretches").spliterator(), false)
                .mapToInt(s -> s.path("at").size())
                .sum();
        assertThat(points).isBetween(200, 301);
        // A point is read through the calibrations of its beginning: the drift of some hours may stand between them.
        assertThat(extreme(ph, "low")).isCloseTo(extreme(track(fine, "PH", "TANK"), "low"), within(5e-4));
        assertThat(extreme(ph, "high")).isCloseTo(extreme(track(fine, "PH", "TANK"), "high"), within(5e-4));
        assertThat(all.path("days").size()).isBetween(119, 121);
        assertThat(track(all, "ALKALINITY", "TANK").path("marks").size()).isBetween(33, 35);
        assertThat(all.path("events").size()).isGreaterThan(9);
        assertThat(all.path("lit")).isEmpty();
    }

    @Test
    void aWeekShowsLightAndWhoWasAtHome() {
        Visitor visitor = demo();
        JsonNode away = visitor.get(
                        lantern(visitor) + "/history?from=2026-09-25T00:00:00Z&to=2026-10-02T00:00:00Z&width=800")
                .body();
        assertThat(away.path("lit")).hasSize(7);
        assertThat(away.path("occupied")).as("nine days with nobody home").isEmpty();
        JsonNode home = visitor.get(
                        lantern(visitor) + "/history?from=2026-11-01T00:00:00Z&to=2026-11-08T00:00:00Z&width=800")
                .body();
        assertThat(home.path("occupied").size()).isPositive();
        assertThat(home.path("days").path(2).path("whole").asBoolean()).isTrue();
    }

    @Test
    void anEmptyLogAndNonsenseAreAnswered() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        JsonNode empty = keeper.get(tank + "/history").body();
        assertThat(empty.path("tracks")).isEmpty();
        assertThat(keeper.get(tank + "/history/span").body()).isEmpty();
        assertThat(keeper.get(tank + "/history?from=2026-02-01T00:00:00Z&to=2026-01-01T00:00:00Z")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.get(tank + "/history?width=1").status()).isEqualTo(422);
        assertThat(visitor().asNewKeeper().get(tank + "/history").status()).isEqualTo(404);
    }
}
