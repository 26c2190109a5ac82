package jollytide.server.probecare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A probe in its buffers: readings stay as they were taken, everything derived follows. */
class ProbeTest extends ServerTest {
    private Visitor keeper;
    private String tank;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
    }

    private static String hoursAgo(double hours) {
        return PRESENT.minus(Duration.ofMinutes(Math.round(hours * 60))).toString();
    }

    /** Found to show so much too much in both buffers. */
    private static String body(String at, double tooMuch, String meter) {
        return String.format(Locale.ROOT, """
                {"at":"%s","points":[{"bufferPh":7.0,"bufferC":25,"shownPh":%.3f},
                 {"bufferPh":10.0,"bufferC":25,"shownPh":%.3f}],"meter":"%s","setC":null,"note":""}""", at, 7 + tooMuch, 10 + tooMuch, meter);
    }

    private JsonNode glance() {
        return keeper.get(tank + "/glance").body().path("ph");
    }

    @Test
    void whatIsDerivedIsCorrectedAndWhatWasReadStays() {
        keeper.post(tank + "/readings", Samples.workedCase(PRESENT.minusSeconds(3600)));
        double before = ph(keeper.get(tank + "/staircase?moment=LATEST").body());
        assertThat(before).isCloseTo(7.84, within(1e-9));
        Visitor.Answer kept = keeper.post(tank + "/probe/calibrations", body(hoursAgo(0.5), 0.08, "LEFT_AS_IT_WAS"));
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        assertThat(kept.body().path("calibration").path("tooMuchPh").asDouble()).isCloseTo(0.08, within(1e-9));
        JsonNode staircase = keeper.get(tank + "/staircase?moment=LATEST").body();
        assertThat(ph(staircase)).isCloseTo(7.76, within(1e-9));
        assertThat(glance().path("value").asDouble()).isEqualTo(7.84);
        assertThat(glance().path("corrected").asDouble()).isCloseTo(7.76, within(1e-9));
        assertThat(keeper.get(tank + "/day")
                        .body()
                        .path("stretches")
                        .get(0)
                        .get(0)
                        .path("ph")
                        .asDouble())
                .isCloseTo(7.76, within(1e-9));
        assertThat(keeper.get(tank + "/log.csv").text()).contains("7.84").doesNotContain("7.76");
        String id = kept.body().path("calibration").path("id").asString();
        assertThat(keeper.delete(tank + "/probe/calibrations/" + id).status()).isEqualTo(204);
        assertThat(ph(keeper.get(tank + "/staircase?moment=LATEST").body())).isCloseTo(7.84, within(1e-9));
    }

    private static double ph(JsonNode staircase) {
        for (JsonNode input : staircase.path("staircase").path("inputs")) {
            if (input.path("name").asString().equals("PH")) {
                return input.path("value").asDouble();
            }
        }
        throw new AssertionError(staircase.toString());
    }

    private double doubt() {
        for (JsonNode input : keeper.get(tank + "/staircase?moment=LATEST")
                .body()
                .path("staircase")
                .path("inputs")) {
            if (input.path("name").asString().equals("PH")) {
                return input.path("error").asDouble();
            }
        }
        throw new AssertionError();
    }

    @Test
    void theStaircaseHasThisProbesOwnDoubt() {
        keeper.post(tank + "/readings", Samples.workedCase(PRESENT.minusSeconds(3600)));
        assertThat(doubt()).isCloseTo(0.1, within(1e-9));
        keeper.post(tank + "/probe/calibrations", body(hoursAgo(2), 0, "SET_ITSELF"));
        assertThat(doubt()).isCloseTo(0.02, within(0.001));
    }

    @Test
    void whatMovesIsSaidBeforeItIsKept() {
        StringBuilder day = new StringBuilder();
        Instant start = PRESENT.minus(Duration.ofHours(60));
        for (int i = 0; i < 120; i++) {
            String at = start.plus(Duration.ofMinutes(30L * i)).toString();
            keeper.post(
                    tank + "/readings",
                    Samples.reading(at, "PH_NBS", "TANK", "PROBE", 8 + 0.2 * Math.sin(i / 48.0 * 2 * Math.PI)));
            day.append(at);
        }
        JsonNode looked = keeper.post(tank + "/probe/look", body(hoursAgo(0.1), -0.05, "LEFT_AS_IT_WAS"))
                .body();
        JsonNode moved = looked.path("moved");
        assertThat(moved.path("days").asInt()).isPositive();
        assertThat(moved.path("troughAfter").asDouble()
                        - moved.path("troughBefore").asDouble())
                .isCloseTo(0.05, within(1e-6));
        assertThat(looked.path("calibration").path("slopePercent").asDouble()).isCloseTo(100, within(1e-6));
        assertThat(looked.path("calibration").path("condition").asString()).isEqualTo("GOOD");
        assertThat(keeper.get(tank + "/probe").body().path("calibrations")).isEmpty();
    }

    @Test
    void theProbesPage() {
        keeper.post(tank + "/readings", Samples.reading(hoursAgo(3), "PH_NBS", "TANK", "PROBE", 8.1));
        keeper.post(tank + "/readings", Samples.reading(hoursAgo(2.9), "PH_NBS", "TANK", "COLOUR_KIT", 8.3));
        keeper.post(tank + "/probe/calibrations", body(hoursAgo(24 * 40), 0.05, "NEW_PROBE"));
        JsonNode probe = keeper.get(tank + "/probe").body();
        assertThat(probe.path("since").asString()).isEqualTo(hoursAgo(24 * 40));
        assertThat(probe.path("late").asBoolean()).isTrue();
        assertThat(probe.path("uncertaintyPh").asDouble()).isCloseTo(0.02 + 0.01 * 40 / 7, within(0.001));
        assertThat(probe.path("correctionPh").asDouble()).isZero();
        JsonNode compared = probe.path("compared").get(0);
        assertThat(compared.path("method").asString()).isEqualTo("COLOUR_KIT");
        assertThat(compared.path("meanDifference").asDouble()).isCloseTo(0.2, within(1e-9));
        String home = keeper.get(tank).body().path("homeId").asString();
        assertThat(keeper.get("/homes/" + home + "/due").text()).contains("probe-", "Calibrate the pH probe");
    }

    @Test
    void theGlassOfAir() {
        String glass = "{\"shownPh\":%s,\"glassC\":22,\"airPpm\":420}";
        Visitor.Answer untested = keeper.post(tank + "/probe/air", glass.formatted("8.2"));
        assertThat(untested.firstError().path("message").asString()).contains("alkalinity test");
        keeper.post(tank + "/readings", Samples.workedCase(PRESENT.minusSeconds(3600)));
        JsonNode balance =
                keeper.post(tank + "/probe/air", glass.formatted("8.0")).body();
        assertThat(balance.path("holds").asBoolean()).isFalse();
        double expected = balance.path("expectedPh").path("value").asDouble();
        assertThat(keeper.post(tank + "/probe/air", glass.formatted(expected))
                        .body()
                        .path("holds")
                        .asBoolean())
                .isTrue();
    }

    @ParameterizedTest(name = "{3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "\"shownPh\":10.010 | \"shownPh\":6.5 | points | swapped",
                "\"bufferC\":25 | \"bufferC\":90 | bufferC | 45",
                "\"bufferPh\":7.0, | | points[0].bufferPh | Choose a standard buffer",
                "\"meter\":\"LEFT_AS_IT_WAS\" | \"meter\":\"THROWN_AWAY\" | meter | LEFT_AS_IT_WAS",
                "\"shownPh\":10.010 | \"millivolts\":9999 | millivolts | 500"
            })
    void whatCannotBeIsRefusedByName(String good, String bad, String field, String words) {
        String body = body(hoursAgo(1), 0.01, "LEFT_AS_IT_WAS").replace(good, bad == null ? "" : bad);
        Visitor.Answer answer = keeper.post(tank + "/probe/calibrations", body);
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).contains(field);
        assertThat(answer.text()).contains(words);
        assertThat(keeper.get(tank + "/probe").body().path("calibrations")).isEmpty();
    }

    @Test
    void tomorrowAndTwoInAMinuteAreRefusedAndBeforeTheLogIsNot() {
        assertThat(keeper.post(tank + "/probe/calibrations", body(hoursAgo(-20), 0, "SET_ITSELF"))
                        .firstError()
                        .path("field")
                        .asString())
                .isEqualTo("at");
        assertThat(keeper.post(tank + "/probe/calibrations", body(hoursAgo(20000), 0, "SET_ITSELF"))
                        .status())
                .isEqualTo(201);
        assertThat(keeper.post(tank + "/probe/calibrations", body(hoursAgo(5), 0, "SET_ITSELF"))
                        .status())
                .isEqualTo(201);
        assertThat(keeper.post(tank + "/probe/calibrations", body(hoursAgo(5.01), 0, "SET_ITSELF"))
                        .text())
                .contains("within two minutes");
        assertThat(keeper.get(tank + "/probe").body().path("calibrations")).hasSize(2);
    }
}
