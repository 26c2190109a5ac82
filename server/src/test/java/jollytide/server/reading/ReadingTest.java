package jollytide.server.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class ReadingTest extends ServerTest {
    private Visitor keeper;
    private String readings;

    @BeforeEach
    void tank() {
        keeper = visitor().asNewKeeper();
        readings = "/tanks/" + Samples.tank(keeper) + "/readings";
    }

    private static String ph(String at, double value) {
        return Samples.reading(at, "PH_NBS", "TANK", "PROBE", value);
    }

    @Test
    void theSameTwiceChangesNothingAndAnotherValueIsAConflict() {
        assertThat(keeper.post(readings, ph("2026-01-05T10:00", 8.1)).status()).isEqualTo(201);
        assertThat(keeper.post(readings, ph("2026-01-05T10:00", 8.1)).status()).isEqualTo(201);
        var conflict = keeper.post(readings, ph("2026-01-05T10:00", 7.9));
        assertThat(conflict.status()).isEqualTo(409);
        var told = conflict.body().path("conflicts").path(0);
        assertThat(told.path("stored").path("value").asDouble()).isEqualTo(8.1);
        assertThat(told.path("offered").asDouble()).isEqualTo(7.9);
        assertThat(values()).containsExactly(8.1);

        String replace = ph("2026-01-05T10:00", 7.9).replace("]}", "],\"replace\":true}");
        assertThat(keeper.post(readings, replace).status()).isEqualTo(201);
        assertThat(values()).containsExactly(7.9);
    }

    /** A correction is asked about like a first value, loses nothing meanwhile, and what stays unusual is marked. */
    @Test
    void anUnusualCorrectionIsAskedAbout() {
        Visitor keeper = visitor().asNewKeeper();
        String readings = "/tanks/" + Samples.tank(keeper) + "/readings";
        String typed = Samples.reading(PRESENT.minusSeconds(3600).toString(), "DKH", "TANK", "TITRATION_KIT", 8.2);
        String first = keeper.post(readings, typed).body().path(0).path("id").asString();
        String slip = typed.replace("8.2", "28").replaceFirst("\\{", "{\"ask\":true,");
        var asked = keeper.put(readings + "/" + first, slip);
        assertThat(asked.status()).as(asked.text()).isEqualTo(409);
        var kept = keeper.get(readings).body().path("readings").path(0);
        assertThat(kept.path("value").asDouble()).isEqualTo(8.2);
        assertThat(kept.path("usual").isMissingNode()).isTrue();
        assertThat(keeper.put(readings + "/" + first, slip.replace("true", "false"))
                        .status())
                .isEqualTo(200);
        var marked = keeper.get(readings).body().path("readings").path(0);
        assertThat(marked.path("value").asDouble()).isEqualTo(28);
        assertThat(marked.path("usual").asString()).isEqualTo("5–14 dKH");
    }

    /** What no tank usually reads is asked about before it counts, with the likely slip; scripts are not asked. */
    @Test
    void theUnusualIsAskedAbout() {
        String typed = Samples.reading("2026-01-05T10:00", "PSU", "TANK", "REFRACTOMETER", 1.025);
        var asked = keeper.post(readings, typed.replaceFirst("\\{", "{\"ask\":true,"));
        assertThat(asked.status()).as(asked.text()).isEqualTo(409);
        assertThat(asked.body()
                        .path("unusual")
                        .path(0)
                        .path("doubt")
                        .path("slips")
                        .toString())
                .contains("SG_25");
        assertThat(keeper.get(readings).text()).doesNotContain("1.025");
        assertThat(keeper.post(readings, typed.replaceFirst("\\{", "{\"ask\":false,"))
                        .status())
                .isEqualTo(201);
        String usual = Samples.reading("2026-01-05T10:00", "DKH", "TANK", "TITRATION_KIT", 8.2);
        assertThat(keeper.post(readings, usual.replaceFirst("\\{", "{\"ask\":true,"))
                        .status())
                .isEqualTo(201);
    }

    @Test
    void correctingDeletingAndUndoing() {
        String id = keeper.post(readings, ph("2026-01-05T10:00", 81 / 10.0))
                .body()
                .path(0)
                .path("id")
                .asString();
        var corrected = keeper.put(readings + "/" + id, ph("2026-01-05T10:05", 8.0));
        assertThat(corrected.status()).isEqualTo(200);
        assertThat(values()).containsExactly(8.0);
        String newId = corrected.body().path("id").asString();

        var refused = keeper.put(readings + "/" + newId, ph("2026-01-05T10:05", 80));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(values()).as("a refused correction keeps the old value").containsExactly(8.0);

        assertThat(keeper.delete(readings + "/" + newId).status()).isEqualTo(204);
        assertThat(values()).isEmpty();
        assertThat(keeper.delete(readings + "/" + newId).status()).isEqualTo(404);
        assertThat(keeper.delete(readings + "/nonsense").status()).isEqualTo(404);
    }

    @Test
    void pagesFollowOneAnotherWithoutGapOrRepeat() {
        for (int i = 0; i < 25; i++) {
            keeper.post(
                    readings,
                    ph("2026-01-05T10:%02d".formatted(i / 2), 8.0 + i * 0.01 - (i % 2) * 0.001)
                            .replace("PROBE", i % 2 == 0 ? "PROBE" : "COLOUR_KIT"));
        }
        Set<String> seen = new HashSet<>();
        String after = "";
        int pages = 0;
        do {
            var page = keeper.get(readings + "?limit=7" + after).body();
            page.path("readings")
                    .forEach(r -> assertThat(seen.add(r.path("id").asString())).isTrue());
            after = page.path("next").isMissingNode()
                    ? ""
                    : "&after=" + page.path("next").asString();
            pages++;
        } while (!after.isEmpty());
        assertThat(seen).hasSize(25);
        assertThat(pages).isEqualTo(4);
    }

    @Test
    void theHourThatHappensTwiceIsAskedFor() {
        var twice = keeper.post(readings, ph("2025-10-26T02:30", 8.1));
        assertThat(twice.status()).isEqualTo(422);
        assertThat(twice.firstError().path("allowed").asString())
                .contains("2025-10-26T02:30+02:00", "2025-10-26T02:30+01:00");
        assertThat(keeper.post(readings, ph("2025-10-26T02:30+01:00", 8.1))
                        .body()
                        .path(0)
                        .path("at")
                        .asString())
                .isEqualTo("2025-10-26T01:30:00Z");
        var never = keeper.post(readings, ph("2026-03-29T02:30", 8.1));
        assertThat(never.status()).isEqualTo(422);
        assertThat(never.problem()).contains("The clocks skipped");
    }

    @ParameterizedTest
    @CsvSource({
        "2026-01-05T10:00, PH_NBS, TANK, 81, values[0].value",
        "2026-01-05T10:00, PH_NBS, ROOM, 8.1, values[0].place",
        "2026-01-05T10:00, CO2_PPM, TANK, 800, values[0].place",
        "2026-01-05T10:00, CO2_PPM, ROOM, 5, values[0].value",
        "2026-01-05T10:00, SG_25, TANK, 35, values[0].value",
        "2026-01-05T10:00, OXYGEN_PERCENT, TANK, -1, values[0].value",
        "2036-01-05T10:00, PH_NBS, TANK, 8.1, at",
        "1970-01-01T00:00, PH_NBS, TANK, 8.1, at",
        "yesterday, PH_NBS, TANK, 8.1, at"
    })
    void slipsAreCaughtAndNothingIsStored(String at, String unit, String place, double value, String field) {
        var answer = keeper.post(readings, Samples.reading(at, unit, place, "PROBE", value));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).isEqualTo(field);
        assertThat(values()).isEmpty();
    }

    @Test
    void oneBadValueKeepsTheWholeSittingOut() {
        String sitting =
                Samples.workedCase(Instant.parse("2026-01-05T10:00:00Z")).replace("830", "3");
        assertThat(keeper.post(readings, sitting).status()).isEqualTo(422);
        assertThat(values()).isEmpty();
    }

    @Test
    void roomAirIsSharedByTheTanksOfTheRoom() {
        String room = keeper.get("/homes")
                .body()
                .path(0)
                .path("rooms")
                .path(0)
                .path("id")
                .asString();
        String neighbour = keeper.post("/rooms/" + room + "/tanks", Samples.TANK)
                .body()
                .path("id")
                .asString();
        keeper.post(readings, Samples.reading("2026-01-05T10:00", "CO2_PPM", "ROOM", "METER", 900));
        assertThat(keeper.get("/tanks/" + neighbour + "/glance")
                        .body()
                        .path("roomCo2")
                        .path("value")
                        .asDouble())
                .isEqualTo(900);
    }

    private Set<Double> values() {
        Set<Double> values = new HashSet<>();
        keeper.get(readings)
                .body()
                .path("readings")
                .forEach(r -> values.add(r.path("value").asDouble()));
        return values;
    }

    /** What people entered is listed; a sensor is a line, however often it speaks. */
    @Test
    void aSensorIsALineAndDoesNotBuryWhatPeopleEntered() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        keeper.post(tank + "/readings", Samples.reading("2026-11-10T08:00:00Z", "DKH", "TANK", "TITRATION_KIT", 8.1));
        for (int i = 0; i < 20; i++) {
            keeper.post(
                    tank + "/readings",
                    Samples.reading(
                            "2026-11-11T%02d:%02d:00Z".formatted(8 + i / 6, i % 6 * 10),
                            "PH_NBS",
                            "TANK",
                            "PROBE",
                            8 + i / 100.0));
        }
        JsonNode byHand = keeper.get(tank + "/readings?byHand=true").body().path("readings");
        assertThat(byHand).hasSize(1);
        assertThat(byHand.path(0).path("quantity").asString()).isEqualTo("ALKALINITY");
        assertThat(keeper.get(tank + "/readings?limit=100").body().path("readings"))
                .hasSize(21);
        JsonNode sensors = keeper.get(tank + "/readings/sensors").body();
        assertThat(sensors).hasSize(1);
        assertThat(sensors.path(0).path("n").asInt()).isEqualTo(20);
        assertThat(sensors.path(0).path("value").asDouble()).isEqualTo(8.19);
        assertThat(sensors.path(0).path("low").asDouble()).isEqualTo(8.0);
        assertThat(sensors.path(0).path("high").asDouble()).isEqualTo(8.19);
        assertThat(visitor().asNewKeeper().get(tank + "/readings/sensors").status())
                .isEqualTo(404);
    }
}
