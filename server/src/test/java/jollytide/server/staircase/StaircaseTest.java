package jollytide.server.staircase;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;

class StaircaseTest extends ServerTest {

    @Test
    void theWorkedCaseIsTooCloseToCall() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        keeper.post(tank + "/readings", Samples.workedCase(PRESENT));
        var view = keeper.get(tank + "/staircase?moment=LATEST").body();
        var staircase = view.path("staircase");
        assertThat(staircase.path("verdict").path("kind").asString()).isEqualTo("TOO_CLOSE");
        assertThat(staircase.path("waterUatm").path("value").asDouble()).isCloseTo(1284, within(2.0));
        assertThat(staircase.path("room").path("balancePhNbs").asDouble()).isCloseTo(8.02, within(0.005));
        assertThat(view.path("map").path("lines")).hasSize(7);
    }

    @Test
    void anEmptyLogIsToldWhatIsMissing() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        var staircase = keeper.get(tank + "/staircase").body().path("staircase");
        assertThat(staircase.path("verdict").path("kind").asString()).isEqualTo("PH_MISSING");
        assertThat(staircase.path("missing")).hasSize(3);
    }

    @Test
    void thingsMeasuredOneAfterTheOtherBelongTogether() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        Instant start = PRESENT.minus(50, ChronoUnit.MINUTES).truncatedTo(ChronoUnit.SECONDS);
        post(keeper, tank, start, "PH_NBS", "TANK", 7.84);
        post(keeper, tank, start.plus(10, ChronoUnit.MINUTES), "DKH", "TANK", 8.5);
        post(keeper, tank, start.plus(40, ChronoUnit.MINUTES), "CO2_PPM", "ROOM", 830);
        var verdict = keeper.get(tank + "/staircase?moment=LATEST")
                .body()
                .path("staircase")
                .path("verdict");
        assertThat(verdict.path("kind").asString()).isEqualTo("TOO_CLOSE");
    }

    @Test
    void theReadingBeforeLightsOnIsFoundAcrossAClockChange() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        // Lights on at 10:00 in Amsterdam: 08:00Z the day before the clocks go back, 09:00Z the day after.
        post(keeper, tank, Instant.parse("2025-10-26T07:55:00Z"), "PH_NBS", "TANK", 7.90);
        post(keeper, tank, Instant.parse("2025-10-26T08:50:00Z"), "PH_NBS", "TANK", 7.85);
        var at = keeper.get(tank + "/staircase?at=2025-10-26T12:00:00Z").body();
        assertThat(at.path("staircase").path("at").asString()).isEqualTo("2025-10-26T08:50:00Z");
        assertThat(at.path("staircase").path("dark").asBoolean()).isTrue();
    }

    @Test
    void theDemoTanksTellThreeStories() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        assertThat(verdict(visitor, "Lantern Reef", "BEFORE_LIGHTS_ON")).isEqualTo("TOO_CLOSE");
        assertThat(verdict(visitor, "Room 6", "BEFORE_LIGHTS_OFF")).isIn("ROOM_DOMINATES", "TANK_TAKES_UP");
        assertThat(verdict(visitor, "Heron", "BEFORE_LIGHTS_ON")).isEqualTo("TANK_DOMINATES");
    }

    /** The application outlives its database: it says so meanwhile and goes on by itself. */
    @Test
    void theDatabaseRestartsUnderTheApplication() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        keeper.post(tank + "/readings", Samples.workedCase(PRESENT));
        DATABASE.restart();
        var answer = keeper.get(tank + "/staircase?moment=LATEST");
        if (answer.status() != 200) {
            assertThat(answer.status()).isEqualTo(503);
            answer = keeper.get(tank + "/staircase?moment=LATEST");
        }
        assertThat(answer.status()).isEqualTo(200);
    }

    private static String verdict(Visitor visitor, String name, String moment) {
        for (var tank : visitor.get("/tanks").body()) {
            if (tank.path("description").path("name").asString().equals(name)) {
                return visitor.get("/tanks/" + tank.path("id").asString() + "/staircase?moment=" + moment)
                        .body()
                        .path("staircase")
                        .path("verdict")
                        .path("kind")
                        .asString();
            }
        }
        throw new IllegalStateException("no tank " + name);
    }

    private static void post(Visitor keeper, String tank, Instant at, String unit, String place, double value) {
        var answer = keeper.post(tank + "/readings", Samples.reading(at.toString(), unit, place, "PROBE", value));
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    }
}
