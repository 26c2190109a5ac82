package jollytide.server.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SumsTest extends ServerTest {
    private static final String WATER = """
            {"ph":7.84,"phScale":"NBS","alkalinity":{"value":8.5,"unit":"dKH"},
             "temperatureC":25.5,"salinity":35,"calciumMgPerL":null}""";

    @Test
    void water() {
        var body = visitor().post("/sums/water", WATER).body();
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

    @ParameterizedTest
    @CsvSource({"8.5, dKH", "3.0315, meqPerL", "151.71, ppmCaCO3"})
    void equilibriumInAnyUnit(double value, String unit) {
        var body =
                visitor().post("/sums/equilibrium", """
                        {"airCo2Ppm":830,"pressureHpa":1013.25,"alkalinity":{"value":%s,"unit":"%s"},
                         "temperatureC":25.5,"salinity":35}""".formatted(value, unit)).body();
        assertThat(body.path("phNbs").asDouble()).isCloseTo(8.02, within(0.003));
        assertThat(body.path("co2Uatm").asDouble()).isLessThan(830);
    }

    /** Standard Methods 4500-O, table: 25 °C, fresh water. */
    @Test
    void oxygen() {
        var body = visitor().post("/sums/oxygen", """
                {"temperatureC":25,"salinity":0}""").body();
        assertThat(body.path("saturationMgPerL").asDouble()).isCloseTo(8.26, within(0.005));
    }

    @Test
    void noSolutionNamesTheSmallestAlkalinity() {
        var answer = visitor().post("/sums/water", WATER.replace("7.84", "9.5").replace("8.5", "1.2"));
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
        var answer = visitor().post("/sums/water", WATER.replace(good, bad));
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        assertThat(answer.firstError().path("field").asString()).isEqualTo(field);
        assertThat(answer.firstError().path("allowed").asString()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({"NaN", "{", "''", "[1]"})
    void whatIsNoJsonObjectIsRefused(String body) {
        assertThat(visitor().post("/sums/water", body).status()).isIn(400, 422);
    }

    @Test
    void giantBodiesAreRefused() {
        var answer = visitor().post("/sums/water", " ".repeat(1_200_000) + WATER);
        assertThat(answer.status()).isEqualTo(413);
    }
}
