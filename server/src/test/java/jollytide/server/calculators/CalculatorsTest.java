package jollytide.server.calculators;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.core.outage.Energy;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Sets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class CalculatorsTest extends ServerTest {
    private static final String WATER = """
            {"ph":7.84,"phScale":"NBS","alkalinity":{"value":8.5,"unit":"dKH"},
             "temperatureC":25.5,"salinity":35,"calciumMgPerL":null}""";

    @Test
    void water() {
        var body = visitor().post("/calculators/water", WATER).body();
        assertThat(body.path("co2Uatm").asDouble()).isCloseTo(1284, within(2.0));
        assertThat(body.path("phNbs").asDouble()).isCloseTo(7.84, within(1e-9));
        assertThat(body.path("phTotal").asDouble()).isCloseTo(7.706, within(0.005));
        double carbon = body.path("co2UmolPerKg").asDouble()
                + body.path("bicarbonateUmolPerKg").asDouble()
                + body.path("carbonateUmolPerKg").asDouble();
        assertThat(body.path("dicUmolPerKg").asDouble()).isCloseTo(carbon, within(1e-6));
        assertThat(body.path("extrapolated").asBoolean()).isFalse();
        assertThat(body.path("sensitivities").path("phPerDkh").asDouble()).isPositive();
    }

    @Test
    void colourKit() {
        assertThat(visitor()
                        .post("/calculators/colour-kit", "{\"firstPh\":8.2,\"secondPh\":7.9}")
                        .body()
                        .path("phNbs")
                        .asDouble())
                .isEqualTo(8.05);
        var apart = visitor().post("/calculators/colour-kit", "{\"firstPh\":8.2,\"secondPh\":7.8}");
        assertThat(apart.status()).isEqualTo(422);
        assertThat(apart.firstError().path("field").asString()).isEqualTo("secondPh");
        assertThat(apart.problem()).contains("Read both again");
    }

    @ParameterizedTest
    @CsvSource({"8.5, dKH", "3.0315, meqPerL", "151.71, ppmCaCO3"})
    void equilibriumInAnyUnit(double value, String unit) {
        var body = visitor()
                .post("/calculators/equilibrium", """
                        {"airCo2Ppm":830,"pressureHpa":1013.25,"alkalinity":{"value":%s,"unit":"%s"},
                         "temperatureC":25.5,"salinity":35}""".formatted(value, unit))
                .body();
        assertThat(body.path("phNbs").asDouble()).isCloseTo(8.02, within(0.003));
        assertThat(body.path("co2Uatm").asDouble()).isLessThan(830);
    }

    /** Standard Methods 4500-O, table: 25 °C, fresh water. */
    @Test
    void oxygen() {
        var body = visitor().post("/calculators/oxygen", """
                {"temperatureC":25,"salinity":0}""").body();
        assertThat(body.path("saturationMgPerL").asDouble()).isCloseTo(8.26, within(0.005));
    }

    @Test
    void noSolutionNamesTheSmallestAlkalinity() {
        var answer = visitor()
                .post("/calculators/water", WATER.replace("7.84", "9.5").replace("8.5", "1.2"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.problem()).contains("No solution").contains("1.4");
        assertThat(answer.firstError().path("field").asString()).isEqualTo("alkalinity.value");
    }

    @ParameterizedTest(name = "{1} instead of {0} is refused at {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "7.84 | 14 | 422 | ph",
                "7.84 | \"8\" | 422 | ph",
                "7.84 | null | 422 | ph",
                "7.84 | 1e999 | 422 | ph",
                "25.5 | -3 | 422 | temperatureC",
                "35 | 60 | 422 | salinity",
                "\"value\":8.5 | \"value\":-1 | 422 | alkalinity.value",
                "dKH | grains | 422 | alkalinity.unit",
                "NBS | SWS | 422 | phScale",
                "\"calciumMgPerL\":null | \"calciumMgPerL\":1e6 | 422 | calciumMgPerL",
                "\"ph\" | \"pH\" | 422 | pH",
            })
    void whatIsOutOfRangeIsRefusedByName(String good, String bad, int status, String field) {
        var answer = visitor().post("/calculators/water", WATER.replace(good, bad));
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        assertThat(answer.firstError().path("field").asString()).isEqualTo(field);
        assertThat(answer.firstError().path("allowed").asString()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({"NaN", "{", "''", "[1]"})
    void whatIsNoJsonObjectIsRefused(String body) {
        assertThat(visitor().post("/calculators/water", body).status()).isIn(400, 422);
    }

    @Test
    void giantBodiesAreRefused() {
        var answer = visitor().post("/calculators/water", " ".repeat(1_200_000) + WATER);
        assertThat(answer.status()).isEqualTo(413);
    }

    private JsonNode sum(String name, String body) {
        var answer = visitor().post("/calculators/" + name, body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    /** Common practice: thin airline over three metres leaves a fraction, half an inch at 5 to 8 m costs almost nothing. */
    @Test
    void airlineCalculator() {
        String hose = "{\"freeDrawLPerH\":550,\"lengthM\":%s,\"boreMm\":%s}";
        assertThat(sum("airline", hose.formatted(3, 4))
                        .path("keptShare")
                        .path("value")
                        .asDouble())
                .isLessThan(0.5);
        JsonNode half = sum("airline", hose.formatted(7, 12.7));
        assertThat(half.path("keptShare").path("value").asDouble()).isGreaterThan(0.93);
        assertThat(half.path("keptShare").path("low").asDouble())
                .isLessThan(half.path("keptShare").path("high").asDouble());
        assertThat(half.path("curve")).hasSize(21);
        assertThat(sum("airline", hose.formatted(7, 12.7).replace("}", ",\"leakMm\":12}"))
                        .path("fromLineShare")
                        .asDouble())
                .isLessThan(0.6);
    }

    /** Isothermal compression: a 56 W pump claimed for 12 000 L/h at 4.6 m is impossible. */
    @Test
    void airpumpCalculator() {
        JsonNode pump = sum("airpump", """
                {"freeLPerH":14000,"stallKPa":60,"watts":56,"depthM":4.6,"tubeLengthM":2,"tubeBoreMm":25,
                 "oneWayValve":true,"claimedLPerH":12000,"tankL":380,"tariffPerKWh":0.5}""");
        assertThat(pump.path("claimPossible").asBoolean()).isFalse();
        assertThat(pump.path("claimIdealW").asDouble()).isGreaterThan(120);
        assertThat(pump.path("kWhPerYear").asDouble()).isCloseTo(490.56, within(0.01));
        assertThat(pump.path("costPerYear").asDouble()).isCloseTo(245.28, within(0.01));
        assertThat(pump.path("firstSizeLPerH").asDouble()).isEqualTo(380);
    }

    @Test
    void bubblesCalculator() {
        JsonNode bubbles = sum("bubbles", """
                {"airLPerH":100,"diameterMm":2,"depthM":0.5,"temperatureC":25.5,"salinity":35}""");
        assertThat(bubbles.path("rigid").path("asRollingM2").asDouble()).isBetween(0.3, 1.2);
        assertThat(bubbles.path("mobile").path("asRippledM2").asDouble()).isBetween(3.5, 14.0);
        // CO2 nearly fills its bubbles, oxygen does not: air limits the one, contact the other.
        assertThat(bubbles.path("rigid").path("co2OfAirLimit").asDouble())
                .isGreaterThan(
                        2 * bubbles.path("rigid").path("oxygenOfAirLimit").asDouble());
    }

    /** 2 adults and a child in 180 m³ at 0.18 air changes an hour: over 1500 ppm by morning. */
    @Test
    void roomCalculator() {
        JsonNode room = sum("room", """
                {"volumeM3":180,"adults":2,"children":1,"pets":0,"airChangesPerH":0.18}""");
        assertThat(room.path("asleepPpm").asDouble()).isGreaterThan(1400);
        assertThat(room.path("awakePpm").asDouble()).isGreaterThan(1500);
        JsonNode decay = sum("room", """
                {"volumeM3":180,"adults":2,"children":1,"pets":0,"firstPpm":1420,"laterPpm":721.2,"hours":4}""");
        assertThat(decay.path("airChangesPerH").path("value").asDouble()).isCloseTo(0.3, within(0.001));
        assertThat(decay.path("fromDecay").asBoolean()).isTrue();
    }

    @Test
    void mediaCalculator() {
        JsonNode media = sum("media", """
                {"massKg":1,"airLPerH":600,"intakePpm":900,"freshShare":1,"hoursPerDay":24,"driesBetween":false,
                 "temperatureC":25.5}""");
        assertThat(media.path("life").path("daysByCo2").asDouble()).isCloseTo(12, within(1.0));
        assertThat(media.path("days").path("high").asDouble())
                .isGreaterThan(media.path("days").path("low").asDouble());
    }

    @Test
    void alkalinityCalculator() {
        JsonNode all = sum("alkalinity", """
                {"litres":420,"changeDkh":1,"ph":8.0,"alkalinity":{"value":7.5,"unit":"dKH"},
                 "temperatureC":25.5,"salinity":35}""");
        assertThat(all.path("sources")).hasSize(5);
        double soda = all.path("sources").path(0).path("phAtOnce").asDouble();
        assertThat(soda).isGreaterThan(8.1);
        for (JsonNode source : all.path("sources")) {
            boolean hydroxide = source.path("caustic").asBoolean();
            assertThat(source.path("phAtOnce").asDouble() > soda + 0.1).isEqualTo(hydroxide);
            assertThat(source.path("phSettled").asDouble()).isCloseTo(8.05, within(0.02));
        }
    }

    @Test
    void settlingCalculator() {
        JsonNode settling = sum("settling", """
                {"litres":420,"conductance":25,"airCo2Ppm":700,"alkalinity":{"value":8.5,"unit":"dKH"},
                 "temperatureC":25.5,"salinity":35}""");
        double tau = settling.path("timeConstantH").path("value").asDouble();
        assertThat(tau).isBetween(5.0, 60.0);
        assertThat(settling.path("settledH").path("value").asDouble()).isCloseTo(3 * tau, within(1e-9));
    }

    @Test
    void forecastCalculator() {
        String body = """
                {"tank":%s,"start":"2026-11-12T00:00:00Z","zone":"Europe/Amsterdam","days":3,"temperatureC":25.5,
                 "salinity":35,"alkalinity":{"value":8.5,"unit":"dKH"},"roomPpm":[900]%s}""";
        JsonNode plain = sum("forecast", body.formatted(Samples.TANK, ""));
        assertThat(plain.path("hours")).hasSize(72);
        assertThat(plain.path("days")).hasSize(3);
        double trough = plain.path("days").path(2).path("troughPh").asDouble();
        assertThat(plain.path("days").path(0).path("troughPh").asDouble()).isCloseTo(trough, within(0.01));
        JsonNode line = sum(
                "forecast",
                body.formatted(
                        Samples.TANK,
                        ",\"measures\":[" + Sets.measure("outdoor-line", "lengthM=5", "boreMm=16") + "]"));
        assertThat(line.path("days").path(2).path("troughPh").asDouble()).isGreaterThan(trough + 0.05);
        var wrong = visitor()
                .post("/calculators/forecast", body.formatted(Samples.TANK, "").replace("Amsterdam", "Atlantis"));
        assertThat(wrong.firstError().path("field").asString()).isEqualTo("zone");
        var drawn = visitor()
                .post("/calculators/forecast", body.formatted(Samples.TANK, "").replace("420", "0"));
        assertThat(drawn.problem()).contains("netVolumeL is 0");
    }

    /** A UPS "100 W for 23 min" with a 3.4 W pump: 11 h on paper, 3 to 5 early, 5 to 9 likely. */
    @Test
    void backupCalculator() {
        String label = "\"upsW\":100,\"upsMinutes\":23";
        JsonNode ups = sum("backup", "{%s,\"loadW\":3.4,\"yearsOld\":0}".formatted(label));
        assertThat(ups.path("naiveH").asDouble()).isCloseTo(11.3, within(0.1));
        assertThat(ups.path("earlyH").asDouble()).isBetween(3.0, 5.0);
        assertThat(ups.path("likelyH").asDouble()).isBetween(5.0, 9.0);
        JsonNode undated = sum("backup", "{%s,\"loadW\":3.4}".formatted(label));
        assertThat(undated.path("yearsOld").asDouble()).isEqualTo(Energy.Ups.YEARS_ASSUMED);
        assertThat(undated.path("lateH").asDouble())
                .isLessThan(ups.path("lateH").asDouble());
        JsonNode over = sum("backup", "{%s,\"loadW\":120}".formatted(label));
        assertThat(over.path("overloaded").asBoolean()).isTrue();
        assertThat(over.path("lateH").asDouble()).isZero();
    }

    @Test
    void outageAndPouringSums() {
        JsonNode outage = sum("outage", """
                {"litres":420,"surfaceM2":0.9,"temperatureC":25.5,"startMgPerL":6.3,
                 "fish":[{"count":8,"massG":15}]}""");
        JsonNode danger = outage.path("course").path("danger");
        assertThat(danger.path("early").asDouble())
                .isLessThan(danger.path("likely").asDouble());
        JsonNode pouring = sum("pouring", """
                {"litres":420,"surfaceM2":0.9,"temperatureC":25.5,"holdMgPerL":4}""");
        assertThat(pouring.path("bucketsPerH").asDouble()).isBetween(12.0, 26.0);
    }

    @Test
    void transportCalculator() {
        JsonNode transport = sum("transport", """
                {"fish":[{"count":2,"massG":15}],"waterL":3,"headspaceL":2,"oxygenFilled":false,"aerated":false,
                 "startC":25,"outsideC":20,"coolingPerH":0.05,"alkalinityDkh":8,"ph":8.1,"fastedHours":24,
                 "tripHours":4,"delayHours":2,"volts":12,"fuseA":10}""");
        assertThat(transport.path("trip").path("limit").asString()).isEqualTo("OXYGEN");
        assertThat(transport.path("water")).hasSize(5);
        assertThat(transport.path("socketW").asDouble()).isCloseTo(96, within(1e-6));
        assertThat(transport
                        .path("other")
                        .path("moments")
                        .path(0)
                        .path("oxygenMgPerL")
                        .asDouble())
                .isGreaterThan(5);
    }

    @ParameterizedTest(name = "{0} refuses {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "airline | {\"freeDrawLPerH\":0,\"lengthM\":5,\"boreMm\":12} | freeDrawLPerH",
                "bubbles | {\"airLPerH\":1e6,\"diameterMm\":2,\"depthM\":0.5,\"temperatureC\":25,\"salinity\":35} | airLPerH",
                "transport | {\"fish\":[{\"count\":2,\"massG\":15}],\"waterL\":4.5,\"headspaceL\":6,\"oxygenFilled\":false,\"aerated\":true,\"depthM\":2,\"startC\":25,\"outsideC\":18,\"coolingPerH\":0.05,\"alkalinityDkh\":8,\"ph\":8.1,\"fastedHours\":24,\"tripHours\":4,\"delayHours\":2} | depthM",
                "room | {\"volumeM3\":0,\"adults\":2,\"children\":1,\"pets\":0} | roomVolumeM3",
                "room | {\"volumeM3\":50,\"adults\":2,\"children\":1,\"pets\":0,\"firstPpm\":700,\"laterPpm\":900,\"hours\":2} | laterPpm",
            })
    void theOtherSumsRefuseByName(String name, String body, String field) {
        var answer = visitor().post("/calculators/" + name, body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).isEqualTo(field);
    }

    /** Worked by hand; common practice, no source: medians 7.72 and 7.81, scatter 0.02 of three days. */
    @Test
    void comparesDaysThatWereReadOff() {
        var body = visitor()
                .post("/calculators/read-off", "{\"before\":\"7.75, 7.72, 7.71\",\"after\":\"7,81\"}")
                .body();
        assertThat(body.path("compared").path("raw").asDouble()).isCloseTo(0.09, within(1e-9));
        assertThat(body.path("compared").path("scatter").asDouble()).isCloseTo(0.02, within(0.001));
        assertThat(body.path("thin").asBoolean()).isTrue();
        var range = visitor().post("/calculators/read-off", "{\"before\":\"7.75\",\"after\":\"7.6–7.8\"}");
        assertThat(range.status()).isEqualTo(422);
        assertThat(range.text()).contains("A range is not a reading").contains("after");
        assertThat(visitor()
                        .post("/calculators/read-off", "{\"before\":\"7.75\"}")
                        .status())
                .isIn(400, 422);
        assertThat(visitor()
                        .post("/calculators/read-off", "{\"before\":\"" + "8 ".repeat(400) + "\",\"after\":\"8\"}")
                        .status())
                .isIn(400, 422);
    }
}
