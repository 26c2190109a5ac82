package jollytide.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Days and moments beyond what a calendar, a clock or the database holds are refused by name, or hold nothing. */
class FarDatesTest extends ServerTest {
    private static final List<String> DAYS = List.of(
            "+999999999-12-31",
            "-999999999-01-01",
            "+10000-01-01",
            "9999-12-31",
            "0001-01-01",
            "-0001-02-03",
            "1900-01-01");
    private static final List<String> MOMENTS = List.of(
            "+1000000000-12-31T23:59:59Z",
            "-1000000000-01-01T00:00:00Z",
            "+999999999-12-31T23:59:59Z",
            "9999-12-31T23:59:59Z",
            "0001-01-01T00:00:00Z",
            "1900-01-01T00:00:00Z");

    private Visitor keeper;
    private String tank;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        assertThat(keeper.post(tank + "/readings", Samples.workedCase(PRESENT)).status())
                .isEqualTo(201);
    }

    private void answered(String address, String far) {
        Answer answer = keeper.get(address.replace("FAR", URLEncoder.encode(far, StandardCharsets.UTF_8)));
        named(address, far, answer);
    }

    private static void named(String address, String far, Answer answer) {
        assertThat(answer.status())
                .as("%s with %s: %s", address, far, answer.text())
                .isLessThan(500);
        if (answer.status() == 400 || answer.status() == 422) {
            assertThat(answer.body().path("errors").findValuesAsString("field"))
                    .as("%s with %s: %s", address, far, answer.text())
                    .isNotEmpty();
        }
    }

    @Test
    void daysAskedFor() {
        for (String far : DAYS) {
            answered(tank + "/day?day=FAR", far);
            answered(tank + "/twin?day=FAR", far);
            answered(tank + "/suspects?since=FAR", far);
            answered(tank + "/effects/between?from=FAR&until=FAR&after=FAR&end=FAR", far);
            String unnoted =
                    tank + "/effects/unnoted/" + URLEncoder.encode(far, StandardCharsets.UTF_8) + "/SKIMMER/dismissal";
            named(unnoted, far, keeper.put(unnoted, ""));
            answered(tank + "/effects/between?from=2026-01-01&until=2026-01-03&after=2026-01-03&end=FAR", far);
            answered(tank + "/effects/between?from=FAR&until=2026-01-03&after=2026-01-03&end=2026-01-04", far);
        }
    }

    @Test
    void momentsAskedFor() {
        for (String far : MOMENTS) {
            answered(tank + "/history?from=FAR", far);
            answered(tank + "/history?to=FAR", far);
            answered(tank + "/history?from=FAR&to=FAR", far);
            answered(tank + "/log.csv?from=FAR", far);
            answered(tank + "/log.csv?to=FAR", far);
            answered(tank + "/log.senml.json?from=FAR&to=FAR", far);
            answered(tank + "/staircase?at=FAR", far);
        }
    }

    @Test
    void daysAndMomentsSaid() {
        String schedule = keeper.get(tank + "/schedule").body().path("schedule").toString();
        for (String far : DAYS) {
            named(
                    "schedule/day",
                    far,
                    keeper.post(tank + "/schedule/day", "{\"day\":\"%s\",\"schedule\":%s}".formatted(far, schedule)));
        }
        String home = "/homes/" + keeper.get(tank).body().path("homeId").asString();
        for (String far : MOMENTS) {
            said(tank + "/readings", Samples.reading(far, "DKH", "TANK", "TITRATION_KIT", 8), far);
            said(
                    tank + "/events",
                    "{\"title\":\"x\",\"kind\":\"FAULT\",\"at\":\"%s\",\"note\":\"\"}".formatted(far),
                    far);
            said(
                    tank + "/schedule/holds",
                    "{\"lane\":\"return\",\"state\":{\"does\":\"OFF\"},\"until\":\"%s\"}".formatted(far),
                    far);
            said(tank + "/dosing", """
                    {"name":"a","solute":"LIMEWATER","share":1,"vesselMl":500,"mlPerDay":5,"at":"%s"}""".formatted(far), far);
            said(home + "/outages", "{\"at\":\"%s\"}".formatted(far), far);
            said(home + "/outages", "{\"at\":\"2026-01-01T00:00:00Z\",\"until\":\"%s\"}".formatted(far), far);
        }
    }

    private void said(String door, String body, String far) {
        Answer answer = keeper.post(door, body);
        assertThat(answer.status())
                .as("%s with %s: %s", door, far, answer.text())
                .isBetween(400, 499);
        named(door, far, answer);
    }
}
