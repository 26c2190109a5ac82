package jollytide.server.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.StreamSupport;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class BenchTest extends ServerTest {

    private static String tank(Visitor visitor, String name) {
        return StreamSupport.stream(visitor.get("/tanks").body().spliterator(), false)
                .filter(t -> t.path("description").path("name").asString().equals(name))
                .map(t -> "/tanks/" + t.path("id").asString())
                .findFirst()
                .orElseThrow();
    }

    private JsonNode forecast(Visitor visitor, String tank, JsonNode bench, String variants) {
        Visitor.Answer answer = visitor.post(
                tank + "/bench/forecast", "{\"tanks\":" + bench.path("tanks") + ",\"variants\":[" + variants + "]}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    /** Against what docs/demo-history.md says is true of Lantern Reef, which the bench cannot see. */
    @Test
    void theFitFindsLanternReefsBreath() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        JsonNode bench = visitor.get(tank(visitor, "Lantern Reef") + "/bench").body();
        assertThat(bench.path("fitted").asBoolean()).isTrue();
        assertThat(bench.path("roomMeasured").asBoolean()).isTrue();
        assertThat(bench.path("tanks")).hasSize(3);
        JsonNode expected = bench.path("tanks").path(0);
        assertThat(expected.path("respirationMmolPerLPerH").asDouble()).isBetween(0.014, 0.024);
        assertThat(expected.path("photosynthesisMmolPerLPerH").asDouble()).isBetween(0.027, 0.044);
    }

    @Test
    void aLineToTheCleanSideBeatsTheBakerysAndSaysWhy() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Lantern Reef");
        JsonNode bench = visitor.get(tank + "/bench").body();
        JsonNode variants = forecast(visitor, tank, bench, """
                {"line":{"lengthM":6,"boreMm":12.7}},
                {"line":{"lengthM":6,"boreMm":12.7,"flue":{"fromHour":3,"toHour":7,"ppm":780}}},
                {"mediaPass":0.05,"freshShare":0},
                {"limewaterMlPerDay":60,"limewaterStrength":0.5}""");
        double front = variants.path(0).path("gainPh").path("value").asDouble();
        double rear = variants.path(1).path("gainPh").path("value").asDouble();
        assertThat(front).isGreaterThan(0.05).isGreaterThan(rear);
        assertThat(variants.path(0).path("gainPh").path("low").asDouble()).isLessThan(front);
        assertThat(variants.path(0).path("drawKept").path("value").asDouble()).isGreaterThan(0.9);
        assertThat(variants.path(2).path("cautions").toString())
                .contains("closed loop")
                .contains("drown");
        assertThat(variants.path(2).path("lowestOxygenMgPerL").path("low").asDouble())
                .isLessThan(6);
        assertThat(variants.path(3).path("gainPh").path("high").asDouble()).isLessThan(0.02);
        assertThat(variants.path(0).path("at")).hasSize(192);
        assertThat(variants.path(0).path("ph").path("value")).hasSize(192);
    }

    @Test
    void aTankWithoutALogIsAnOrdinaryReefAndSaysSo() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        JsonNode bench = keeper.get(tank + "/bench").body();
        assertThat(bench.path("fitted").asBoolean()).isFalse();
        assertThat(bench.path("roomMeasured").asBoolean()).isFalse();
        assertThat(bench.path("tanks")).hasSize(1);
        JsonNode as = forecast(keeper, tank, bench, "{}").path(0);
        assertThat(as.path("gainPh").path("value").asDouble()).isCloseTo(0, within(0.01));
    }

    @Test
    void nonsenseIsRefusedInWords() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        String living =
                "[{\"skimmerFactor\":1,\"respirationMmolPerLPerH\":0.018,\"photosynthesisMmolPerLPerH\":0.034}]";
        String path = tank + "/bench/forecast";
        String body = "{\"tanks\":" + living + ",\"variants\":[%s]}";
        assertThat(keeper.post(path, body.formatted("{\"line\":{\"lengthM\":-1,\"boreMm\":6}}"))
                        .problem())
                .contains("lengthM is -1");
        assertThat(keeper.post(path, body.formatted("{\"mediaPass\":2}")).problem())
                .contains("mediaPass is 2");
        assertThat(keeper.post(path, body.formatted("{\"stone\":{\"airLPerH\":1e9,\"diameterMm\":2,\"depthM\":0.3}}"))
                        .status())
                .isEqualTo(422);
        assertThat(keeper.post(path, "{\"tanks\":[],\"variants\":[{}]}").status())
                .isEqualTo(422);
        assertThat(visitor().asNewKeeper().get(tank + "/bench").status()).isEqualTo(404);
    }
}
