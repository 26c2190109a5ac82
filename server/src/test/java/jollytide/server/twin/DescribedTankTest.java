package jollytide.server.twin;

import static jollytide.server.twin.BenchTest.forecast;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Sets;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a keeper describes and assumes of a tank is what its bench and its margin count with. */
class DescribedTankTest extends ServerTest {
    /** Everything a keeper can describe comes back as it was written, and the bench uses it. */
    @Test
    void aDescribedTankIsUsed() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        JsonNode before = keeper.get(tank).body();
        assertThat(before.path("description").path("parts").path("fish").isMissingNode()
                        || before.path("description").path("parts").path("fish").isNull())
                .isTrue();
        String parts = """
                {"falls":[{"name":"drain","flowLPerH":2000,"over":"CABINET"}],"canopy":"AJAR","cabinet":"SHUT",
                 "skimmerInCabinet":true,"fish":[{"name":"surgeonfish","count":2,"massG":90}],
                 "alkalinitySource":"SODA_ASH","alkalinityUseDkhPerDay":1,
                 "reactor":{"effluentLPerH":1,"effluentPhNbs":6.7,"effluentDkh":30},
                 "refugium":{"mmolPerH":2,"on":"21:00","off":"09:00"}}""";
        String described = Samples.TANK.replace("\"ROLLING\"", "\"ROLLING\",\"over\":\"CANOPY\"");
        String description = described.replace("\"assumptions\":{}", "\"assumptions\":{},\"parts\":" + parts);
        Visitor.Answer saved =
                keeper.put(tank, "{\"version\":" + before.path("version") + ",\"description\":" + description + "}");
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        JsonNode after = saved.body().path("description").path("parts");
        assertThat(after.path("fish").path(0).path("massG").asDouble()).isEqualTo(90);
        assertThat(after.path("refugium").path("on").asString()).isEqualTo("21:00");
        // An edit by someone who knows nothing of parts leaves them.
        Visitor.Answer plain = keeper.put(
                tank, "{\"version\":" + saved.body().path("version") + ",\"description\":" + described + "}");
        assertThat(plain.body()
                        .path("description")
                        .path("parts")
                        .path("cabinet")
                        .asString())
                .isEqualTo("SHUT");

        JsonNode bench = keeper.get(tank + "/bench").body();
        assertThat(bench.path("cabinet").asBoolean()).isTrue();
        assertThat(bench.path("alkalinityUseDkhPerDay").asDouble()).isCloseTo(1, within(1e-9));
        JsonNode tried = forecast(
                keeper,
                tank,
                bench,
                String.join(
                        ",",
                        Sets.NONE,
                        Sets.one("cabinet", "door=FAN"),
                        Sets.one("canopy", "door=FAN"),
                        Sets.one("guests", "adults=6"),
                        Sets.one("ventilator", "m3PerH=60")));
        JsonNode cared = forecast(keeper, tank, bench, Sets.one("reactor", "secondChamber=0.6", "drip=0.4"));
        double asItIs = tried.path(0).path("troughPh").path("value").asDouble();
        assertThat(tried.path(1).path("troughPh").path("value").asDouble()).isGreaterThan(asItIs + 0.005);
        assertThat(tried.path(2).path("troughPh").path("value").asDouble()).isGreaterThan(asItIs);
        assertThat(tried.path(3).path("troughPh").path("value").asDouble()).isLessThan(asItIs - 0.05);
        assertThat(tried.path(4).path("troughPh").path("value").asDouble()).isGreaterThan(asItIs);
        assertThat(cared.path(0).path("troughPh").path("value").asDouble()).isGreaterThan(asItIs);
    }

    /** A permanent stone, a skimmer of unknown draw, and what lives in a tank: each is counted. */
    @Test
    void whatIsDescribedIsCounted() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        double plain = trough(keeper, tank, "{}", "500");
        assertThat(trough(keeper, tank, "{\"stones\":[{\"airLPerH\":400,\"outdoors\":true}]}", "500"))
                .isGreaterThan(plain + 0.02);
        assertThat(trough(keeper, tank, "{\"livestock\":\"FISH_ONLY\"}", "500")).isGreaterThan(plain + 0.01);
        double none = trough(keeper, tank, "{}", "null");
        assertThat(trough(keeper, tank, "{\"skimmerDrawUnknown\":true}", "null"))
                .isGreaterThan(none + 0.02);
        assertThat(described(keeper, tank, "{\"stones\":[{\"airLPerH\":-1}]}", "500")
                        .problem())
                .contains("airLPerH is -1");
    }

    /** A keeper's own values of the skimmer take the place of what is assumed, and nonsense is refused by name. */
    @Test
    void theSkimmersOwnValuesCount() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        double assumed = trough(keeper, tank, "{}", "500");
        assertThat(own(keeper, tank, "{\"skimmerTransferUnits\":0.5,\"skimmerWaterPerAir\":0.3}")
                        .status())
                .isEqualTo(200);
        JsonNode bench = keeper.get(tank + "/bench").body();
        JsonNode weak = forecast(keeper, tank, bench, Sets.NONE + "," + Sets.one("outdoor-line"));
        assertThat(weak.path(0).path("troughPh").path("value").asDouble()).isLessThan(assumed - 0.02);
        JsonNode unknown = weak.path(1).path("drawKept");
        assertThat(unknown.path("high").asDouble())
                .isGreaterThan(unknown.path("low").asDouble());
        own(keeper, tank, "{\"skimmerSuctionPa\":1800}");
        JsonNode known =
                forecast(keeper, tank, bench, Sets.one("outdoor-line")).path(0).path("drawKept");
        assertThat(known.path("high").asDouble()).isEqualTo(known.path("low").asDouble());
        assertThat(own(keeper, tank, "{\"skimmerResidenceS\":-1}").problem()).contains("skimmerResidenceS");
    }

    /** What is assumed of a night without mains gives way to its keeper's values: without doubt the early side waits. */
    @Test
    void theOutagesOwnValuesCount() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        double doubted = earlyDangerH(keeper, tank);
        assertThat(own(keeper, tank, "{\"outageDemandDoubt\":1,\"outageStartDoubtMgPerL\":0,\"outageFishActivity\":1}")
                        .status())
                .isEqualTo(200);
        assertThat(earlyDangerH(keeper, tank)).isGreaterThan(1.05 * doubted);
        assertThat(keeper.get(tank)
                        .body()
                        .path("description")
                        .path("assumptions")
                        .path("outageDemandDoubt")
                        .asDouble())
                .isEqualTo(1);
        assertThat(own(keeper, tank, "{\"outageStillCmPerH\":-1}").problem()).contains("outageStillCmPerH");
        assertThat(own(keeper, tank, "{\"outageDemandDoubt\":0.5}").problem()).contains("outageDemandDoubt");
    }

    private static double earlyDangerH(Visitor keeper, String tank) {
        return keeper.get(tank + "/oxygen-margin")
                .body()
                .path("answer")
                .path("still")
                .path("danger")
                .path("early")
                .asDouble();
    }

    private static Visitor.Answer own(Visitor keeper, String tank, String assumptions) {
        String version = keeper.get(tank).body().path("version").toString();
        String description = Samples.TANK.replace("\"assumptions\":{}", "\"assumptions\":" + assumptions);
        return keeper.put(tank, "{\"version\":" + version + ",\"description\":" + description + "}");
    }

    private static Visitor.Answer described(Visitor keeper, String tank, String parts, String draw) {
        String description = Samples.TANK
                .replace("\"assumptions\":{}", "\"assumptions\":{},\"parts\":" + parts)
                .replace("\"skimmerAirDrawLPerH\":500", "\"skimmerAirDrawLPerH\":" + draw);
        String version = keeper.get(tank).body().path("version").toString();
        return keeper.put(tank, "{\"version\":" + version + ",\"description\":" + description + "}");
    }

    private double trough(Visitor keeper, String tank, String parts, String draw) {
        Visitor.Answer saved = described(keeper, tank, parts, draw);
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        JsonNode bench = keeper.get(tank + "/bench").body();
        return forecast(keeper, tank, bench, Sets.NONE)
                .path(0)
                .path("troughPh")
                .path("value")
                .asDouble();
    }
}
