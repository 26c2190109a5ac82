package jollytide.server.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import javax.sql.DataSource;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Sets;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** The bench of a tank: what it is fitted to, what it tries, what it keeps. */
class BenchTest extends ServerTest {
    @Autowired
    private DataSource dataSource;

    static String tank(Visitor visitor, String name) {
        return StreamSupport.stream(visitor.get("/tanks").body().spliterator(), false)
                .filter(t -> t.path("description").path("name").asString().equals(name))
                .map(t -> "/tanks/" + t.path("id").asString())
                .findFirst()
                .orElseThrow();
    }

    static JsonNode forecast(Visitor visitor, String tank, JsonNode bench, String variants) {
        Visitor.Answer answer = visitor.post(
                tank + "/bench/forecast", "{\"tanks\":" + bench.path("tanks") + ",\"variants\":[" + variants + "]}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    /** Against what docs/demo-history.md says is true of Lantern Reef, which the bench cannot see. */
    @Test
    void theFitFindsLanternReefsRespiration() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        JsonNode bench = visitor.get(tank(visitor, "Lantern Reef") + "/bench").body();
        assertThat(bench.path("fitted").asBoolean()).isTrue();
        assertThat(bench.path("roomMeasured").asBoolean()).isTrue();
        assertThat(bench.path("tanks")).hasSize(7);
        // Beside its fish; how sure of it the twin may be is for TwinTest.
        JsonNode expected = bench.path("tanks").path(0);
        assertThat(expected.path("respirationMmolPerLPerH").asDouble()).isBetween(0.012, 0.019);
        assertThat(expected.path("photosynthesisMmolPerLPerH").asDouble()).isBetween(0.032, 0.038);
    }

    @Test
    void aLineToTheCleanSideBeatsTheBakerysAndSaysWhy() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Lantern Reef");
        JsonNode bench = visitor.get(tank + "/bench").body();
        JsonNode variants = forecast(
                visitor,
                tank,
                bench,
                String.join(
                        ",",
                        Sets.one("outdoor-line", "lengthM=6", "boreMm=12.7"),
                        Sets.one("outdoor-line", "mouth=FLUE", "flueFrom=3", "flueTo=7", "fluePpm=780"),
                        Sets.one("scrubber", "massKg=1", "recirculated=1"),
                        Sets.one("limewater", "mlPerDay=60", "strength=0.5")));
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
        assertThat(variants.path(2).path("media").path("end").asString()).isEqualTo("DROWNED");
        assertThat(variants.path(2).path("media").path("days").path("value").asDouble())
                .isBetween(2.0, 5.0);
        assertThat(variants.path(2).path("cost").path("perMonth").asDouble()).isGreaterThan(50);
        assertThat(variants.path(2).path("ways").toString()).isEqualTo("[\"OFFSETS\"]");
        assertThat(variants.path(0).path("ways").toString()).isEqualTo("[\"REMOVES_THE_SOURCE\"]");
        assertThat(variants.path(0).path("settleHours").path("value").asDouble())
                .isBetween(5.0, 100.0);
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
        // A band, never a single answer; a narrower one where its kind is described cannot be had without a log.
        assertThat(bench.path("tanks")).hasSize(7);
        JsonNode as = forecast(keeper, tank, bench, Sets.NONE).path(0);
        assertThat(as.path("gainPh").path("high").asDouble()).isCloseTo(0, within(1e-9));
        assertThat(as.path("troughPh").path("high").asDouble())
                .isGreaterThan(as.path("troughPh").path("low").asDouble() + 0.05);
    }

    /** Against docs/demo-history.md: what the classroom's reef breathes, and that its skimmer helps. */
    @Test
    void roomSixIsFittedDayByDay() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Room 6");
        JsonNode bench = visitor.get(tank + "/bench").body();
        assertThat(bench.path("fitted").asBoolean())
                .as(bench.path("fitProblem").asString())
                .isTrue();
        JsonNode off = forecast(visitor, tank, bench, Sets.one("skimmer-draw", "times=0"))
                .path(0);
        assertThat(off.path("gainPh").path("value").asDouble()).isBetween(-0.25, -0.03);
        assertThat(off.path("lowestOxygenMgPerL").path("low").asDouble()).isLessThan(5.6);
    }

    /** A gain is the difference to the same day as it is: the two bands and the as-is trough fit together. */
    @Test
    void gainsAndTroughsAreOfTheSameDay() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Lantern Reef");
        JsonNode bench = visitor.get(tank + "/bench").body();
        JsonNode both = forecast(visitor, tank, bench, Sets.NONE + "," + Sets.one("outdoor-line"));
        assertThat(both.path(0).path("gainPh").path("value").asDouble()).isZero();
        double asItIs = both.path(0).path("troughPh").path("value").asDouble();
        assertThat(both.path(1).path("troughPh").path("value").asDouble() - asItIs)
                .isCloseTo(both.path(1).path("gainPh").path("value").asDouble(), within(1e-9));
    }

    /** Six litres of limewater a day are not offered: the most that fits is drawn, and said. */
    @Test
    void aDoseBeyondItsLimitsIsStopped() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Heron");
        JsonNode bench = visitor.get(tank + "/bench").body();
        JsonNode dosed = forecast(
                visitor,
                tank,
                bench,
                Sets.one("limewater", "mlPerDay=6000") + "," + Sets.one("limewater", "mlPerDay=20"));
        JsonNode stopped = dosed.path(0).path("stopped");
        assertThat(stopped.path("asked").asDouble()).isCloseTo(6000, within(1e-6));
        assertThat(stopped.path("allowed").asDouble())
                .isLessThanOrEqualTo(bench.path("evaporationLPerDay").asDouble() * 1000 + 1e-6);
        assertThat(stopped.path("because").asString()).isNotBlank();
        assertThat(dosed.path(1).has("stopped")).isFalse();
    }

    /** The bench says what can be tried and how it is set; each of them runs as it stands at first. */
    @Test
    void theRegistryIsToldAndEveryMeasureRuns() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Lantern Reef");
        JsonNode bench = visitor.get(tank + "/bench").body();
        List<String> kinds = StreamSupport.stream(bench.path("measures").spliterator(), false)
                .map(measure -> measure.path("kind").asString())
                .toList();
        assertThat(kinds)
                .contains("second-skimmer", "outdoor-stone", "recirculated-media", "surface-fan", "outdoor-line")
                .doesNotHaveDuplicates();
        for (JsonNode measure : bench.path("measures")) {
            for (JsonNode parameter : measure.path("parameters")) {
                assertThat(parameter.has("number")).isNotEqualTo(parameter.has("choice"));
                assertThat(parameter.path("label").asString()).isNotBlank();
            }
            JsonNode run =
                    forecast(visitor, tank, bench, Sets.one(measure.path("kind").asString()));
            assertThat(run.path(0).path("troughPh").path("value").asDouble()).isBetween(7.5, 8.6);
            assertThat(run.path(0).path("ways")).hasSize(1);
        }
        assertThat(visitor.post(
                                tank + "/bench/forecast",
                                "{\"tanks\":" + bench.path("tanks") + ",\"variants\":["
                                        + Sets.of(Sets.measure("scrubber"), Sets.measure("recirculated-media")) + "]}")
                        .problem())
                .contains("Only one of");
        assertThat(visitor.post(
                                tank + "/bench/forecast",
                                "{\"tanks\":" + bench.path("tanks") + ",\"variants\":[" + Sets.one("surface", "speed=3")
                                        + "]}")
                        .problem())
                .contains("no such number");
        assertThat(visitor.post(
                                tank + "/bench/forecast",
                                "{\"tanks\":" + bench.path("tanks") + ",\"variants\":[" + Sets.one("perpetual-motion")
                                        + "]}")
                        .problem())
                .contains("There is no change");
    }

    /** A set that was kept before measures had a registry opens as the same measures. */
    @Test
    void aSetOfTheFirstVersionStillOpens() throws Exception {
        Visitor keeper = visitor().asNewKeeper();
        String id = Samples.tank(keeper);
        try (Connection connection = dataSource.getConnection();
                PreparedStatement insert = connection.prepareStatement(
                        "INSERT INTO bench_set (id, tank_id, name, variant, kept_at, version) VALUES (?, ?, ?, ?, NOW(), 1)")) {
            insert.setObject(1, UUID.randomUUID());
            insert.setObject(2, UUID.fromString(id));
            insert.setString(3, "of last year");
            insert.setString(4, """
                    {"ventilationTimes":3,"nobodyHome":true,"line":{"lengthM":6,"boreMm":12.7,"leakMm":2,
                      "flue":{"fromHour":3,"toHour":7,"ppm":780}},
                     "media":{"massKg":1,"freshShare":0.2,"hours":"BELOW_PH","gatePh":8.1,"driesBetween":true,
                      "chokes":true},
                     "stone":{"airLPerH":100,"diameterMm":2,"depthM":0.4},"limewaterMlPerDay":500,
                     "limewaterStrength":0.5,"refugium":{"mmolPerH":3,"on":"09:00","off":"21:00"},"warmerByK":2}""");
            insert.executeUpdate();
        }
        JsonNode kept = keeper.get("/tanks/" + id + "/bench/sets").body().path(0);
        Map<String, JsonNode> measures = StreamSupport.stream(
                        kept.path("measures").spliterator(), false)
                .collect(Collectors.toMap(m -> m.path("kind").asString(), m -> m));
        assertThat(measures)
                .containsOnlyKeys(
                        "window", "nobody", "outdoor-line", "scrubber", "stone", "limewater", "refugium", "warmth");
        assertThat(measures.get("outdoor-line").path("numbers").path("fluePpm").asDouble())
                .isEqualTo(780);
        assertThat(measures.get("outdoor-line").path("choices").path("mouth").asString())
                .isEqualTo("FLUE");
        assertThat(measures.get("scrubber").path("numbers").path("recirculated").asDouble())
                .isCloseTo(0.8, within(1e-9));
        assertThat(measures.get("scrubber").path("choices").toString())
                .contains("BELOW_PH")
                .contains("CHOKED")
                .contains("DRY");
        assertThat(measures.get("refugium").path("choices").path("lit").asString())
                .isEqualTo("DAY");
        JsonNode bench = keeper.get("/tanks/" + id + "/bench").body();
        forecast(keeper, "/tanks/" + id, bench, "{\"measures\":" + kept.path("measures") + "}");
    }

    @Test
    void nonsenseIsRefusedInWords() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        String living =
                "[{\"skimmerFactor\":1,\"surfaceFactor\":1,\"respirationMmolPerLPerH\":0.018,\"photosynthesisMmolPerLPerH\":0.034,"
                        + "\"alkalinityOffMeqPerL\":0,\"roomOffPpm\":0,\"roomExcessFactor\":1,\"airChangesFactor\":1,\"lampsLateH\":0,\"useFactor\":1,\"intakeOddsFactor\":1}]";
        String path = tank + "/bench/forecast";
        String body = "{\"tanks\":" + living + ",\"variants\":[%s]}";
        assertThat(keeper.post(path, body.formatted(Sets.one("outdoor-line", "lengthM=-1", "boreMm=6")))
                        .problem())
                .contains("lengthM is -1");
        String noMedia = Sets.one("scrubber", "massKg=0");
        assertThat(keeper.post(path, body.formatted(noMedia)).problem()).contains("mediaMassKg is 0");
        assertThat(keeper.post(path, body.formatted(Sets.one("cabinet", "door=OPEN")))
                        .problem())
                .contains("cabinet");
        assertThat(keeper.post(path, body.formatted(Sets.one("stone", "airLPerH=1e9")))
                        .status())
                .isEqualTo(422);
        assertThat(keeper.post(path, "{\"tanks\":[],\"variants\":[" + Sets.NONE + "]}")
                        .status())
                .isEqualTo(422);
        assertThat(visitor().asNewKeeper().get(tank + "/bench").status()).isEqualTo(404);
    }

    @Test
    void aKeptSetIsThereAgainAndOnesOwn() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        String set = "{\"name\":\"front line\",\"measures\":["
                + Sets.measure("outdoor-line", "lengthM=6", "boreMm=12.7") + "]}";
        assertThat(keeper.post(tank + "/bench/sets", set).status()).isEqualTo(200);
        assertThat(keeper.post(tank + "/bench/sets", set.replace("12.7", "16")).status())
                .isEqualTo(200);
        JsonNode kept = keeper.get(tank + "/bench/sets").body();
        assertThat(kept).hasSize(1);
        assertThat(kept.path(0)
                        .path("measures")
                        .path(0)
                        .path("numbers")
                        .path("boreMm")
                        .asDouble())
                .isEqualTo(16);
        assertThat(keeper.post(tank + "/bench/sets", set.replace("12.7", "-3")).problem())
                .contains("boreMm is -3");
        assertThat(visitor().asNewKeeper().get(tank + "/bench/sets").status()).isEqualTo(404);
        keeper.delete(tank + "/bench/sets/" + kept.path(0).path("id").asString());
        assertThat(keeper.get(tank + "/bench/sets").body()).isEmpty();
    }

    /** The rows of a day sum to what the water gained, and the demo's fish are in them. */
    @Test
    void theGasBalanceSumsToZero() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Lantern Reef");
        for (String hour : new String[] {"LIGHTS_ON", "LIGHTS_OFF", "NOW"}) {
            JsonNode gasBalance =
                    visitor.get(tank + "/gas-balance?hour=" + hour).body();
            for (String gas : new String[] {"co2", "oxygen"}) {
                JsonNode balance = gasBalance.path(gas);
                double sum = 0;
                for (JsonNode row : balance.path("rows")) {
                    sum += row.path("dayMmol").path("value").asDouble();
                    if (row.path("conductance").isNumber()) {
                        double flux = row.path("conductance").asDouble()
                                * (row.path("airUatm").asDouble()
                                        - balance.path("waterUatm").asDouble())
                                / 1000;
                        assertThat(row.path("nowMmolPerH").path("value").asDouble())
                                .isCloseTo(flux, within(1e-6 + 1e-6 * Math.abs(flux)));
                    }
                }
                assertThat(sum).isCloseTo(balance.path("storedDayMmol").asDouble(), within(1e-5));
            }
            assertThat(gasBalance.toString()).contains("FISH");
        }
        assertThat(visitor.get(tank + "/gas-balance?hour=NOON").status()).isEqualTo(422);
    }

    @Test
    void theMarginAnswersWhetherAStoneIsNeeded() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        for (String name : new String[] {"Lantern Reef", "Heron"}) {
            JsonNode margin =
                    visitor.get(tank(visitor, name) + "/oxygen-margin").body();
            JsonNode answer = margin.path("answer");
            assertThat(answer.path("nights")).hasSize(name.equals("Heron") ? 2 : 4);
            double lowest = StreamSupport.stream(answer.path("nights").spliterator(), false)
                    .mapToDouble(night -> night.path("lowestMgPerL").asDouble())
                    .min()
                    .orElseThrow();
            assertThat(answer.path("stoneNeeded").asBoolean()).isEqualTo(lowest < 5);
            assertThat(answer.path("stone").path("lowestMgPerL").asDouble()).isGreaterThan(lowest);
            assertThat(margin.path("fish").asInt()).isPositive();
        }
    }

    /** Outdoors 410, room 830, intake 780: the bench uses 12 % of outdoor air, not with all of it. */
    @Test
    void theBenchUsesWhatTheIntakeSays() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        String hose = """
                "skimmerAirDrawLPerH":500,"parts":{"skimmerLine":{"lengthM":6,"boreMm":12.7,"drawnLPerH":%s}}""";
        String edit = "{\"version\":" + keeper.get(tank).body().path("version") + ",\"description\":"
                + Samples.TANK.replace("\"skimmerAirDrawLPerH\":500", hose) + "}";
        Visitor.Answer refused = keeper.put(tank, edit.formatted("600"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("drawnLPerH");
        assertThat(keeper.put(tank, edit.formatted("400")).status()).isEqualTo(200);
        assertThat(keeper.get(tank + "/bench")
                        .body()
                        .path("hose")
                        .path("keptShare")
                        .asDouble())
                .isEqualTo(0.8);
        JsonNode assumed = intake(keeper, tank).path("before");
        assertThat(assumed.path("value").asDouble()).isCloseTo(0.95, within(1e-9));
        assertThat(assumed.path("low").asDouble()).isCloseTo(0.62, within(0.01));
        String at = PRESENT.minusSeconds(3600).toString();
        Visitor.Answer entered = keeper.post(tank + "/readings", """
                {"at":"%s","values":[
                  {"unit":"CO2_PPM","place":"OUTDOORS","method":"METER","value":410},
                  {"unit":"CO2_PPM","place":"ROOM","method":"METER","value":830},
                  {"unit":"CO2_PPM","place":"INTAKE","method":"METER","value":780}]}""".formatted(at));
        assertThat(entered.status()).as(entered.text()).isBetween(200, 299);
        JsonNode measured = keeper.get(tank + "/bench").body().path("hose");
        assertThat(measured.path("outdoorShare").asDouble()).isCloseTo(0.12, within(0.005));
        assertThat(measured.path("drawMeasured").asBoolean()).isTrue();
        JsonNode known = intake(keeper, tank).path("before");
        assertThat(known.path("value").asDouble()).isCloseTo(0.12, within(0.005));
        assertThat(known.path("high").asDouble() - known.path("low").asDouble()).isLessThan(0.35);
    }

    private static JsonNode intake(Visitor keeper, String tank) {
        return keeper.get(tank + "/twin")
                .body()
                .path("unknowns")
                .valueStream()
                .filter(u -> u.path("unknown").asString().equals("INTAKE"))
                .findFirst()
                .orElseThrow();
    }

    /** A day that its keeper left out is not learnt from, and counts again once that is taken back. */
    @Test
    void daysThatAreLeftOutAreNotFittedTo() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        String tank = tank(visitor, "Lantern Reef");
        int days = visitor.get(tank + "/bench").body().path("daysUsed").asInt();
        Instant noon = PRESENT.minus(Duration.ofDays(2));
        Visitor.Answer left = visitor.post(tank + "/events", """
                {"kind":"SMOKE","at":"%s","until":"%s","excludesDays":true,"title":"party","note":""}""".formatted(noon, noon.plusSeconds(3600)));
        assertThat(left.status()).as(left.text()).isEqualTo(201);
        try {
            assertThat(visitor.get(tank + "/bench").body().path("daysUsed").asInt())
                    .isEqualTo(days - 1);
        } finally {
            visitor.delete(tank + "/events/" + left.body().path("id").asString());
        }
        assertThat(visitor.get(tank + "/bench").body().path("daysUsed").asInt()).isEqualTo(days);
        Visitor.Answer backwards = visitor.post(tank + "/events", """
                {"kind":"SMOKE","at":"%s","until":"%s","title":"party","note":""}""".formatted(noon, noon.minusSeconds(3600)));
        assertThat(backwards.status()).isEqualTo(422);
        assertThat(backwards.firstError().path("field").asString()).isEqualTo("until");
    }
}
