package jollytide.server.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;
import jollytide.core.evidence.Estimate;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Forecasts that are kept before their day, and held against it. */
class ForecastTest extends ServerTest {
    private static final LocalDate TODAY = LocalDate.ofInstant(PRESENT, ZoneId.of("Europe/Amsterdam"));
    private static final Estimate FORECAST = new Estimate(8.0, 7.9, 8.1);

    @Autowired
    private NightlyFit nightly;

    @Autowired
    private DayForecasts kept;

    @Autowired
    private JdbcTemplate jdbc;

    private static UUID tank(Visitor visitor, String name) {
        for (JsonNode t : visitor.get("/tanks").body()) {
            if (t.path("description").path("name").asString().equals(name)) {
                return UUID.fromString(t.path("id").asString());
            }
        }
        throw new AssertionError(name);
    }

    @Test
    void oneInstanceClaimsADayUntilItsLeaseIsOver() {
        Visitor keeper = visitor().asNewKeeper();
        UUID tank = UUID.fromString(Samples.tank(keeper));
        assertThat(kept.claim(tank, TODAY)).isTrue();
        assertThat(kept.claim(tank, TODAY)).isFalse();
        jdbc.update("update day_forecast set claimed_at = '2026-11-12 10:00:00' where tank_id = ?", tank.toString());
        assertThat(kept.claim(tank, TODAY)).isTrue();
        kept.keep(tank, TODAY, FORECAST, null);
        assertThat(kept.claim(tank, TODAY)).isFalse();
        assertThat(kept.of(tank, TODAY)).hasSize(1);
    }

    @Test
    void whatCameIsHeldAgainstWhatWasForecast() {
        Visitor mira = visitor();
        mira.post("/session/demo", "");
        UUID heron = tank(mira, "Heron");
        LocalDate day = TODAY.minusDays(20);
        JsonNode came = mira.get("/tanks/" + heron + "/day?day=" + day).body();
        double trough = came.path("trough").path("ph").asDouble();
        kept.claim(heron, day);
        kept.keep(heron, day, new Estimate(trough + 0.03, trough - 0.05, trough + 0.1), FORECAST);
        kept.claim(heron, day.minusDays(1));
        kept.keep(heron, day.minusDays(1), null, null);
        JsonNode score = mira.get("/tanks/" + heron + "/forecasts").body();
        JsonNode shown = null;
        for (JsonNode one : score.path("days")) {
            assertThat(one.path("day").asString()).isNotEqualTo(day.minusDays(1).toString());
            shown = one.path("day").asString().equals(day.toString()) ? one : shown;
        }
        assertThat(shown).isNotNull();
        assertThat(shown.path("cameTrough").asDouble()).isCloseTo(trough, within(0.02));
        assertThat(shown.path("afterwards").asBoolean()).isTrue();
        // A day in which the tank was tried out says nothing of how well ordinary days are forecast.
        mira.post("/tanks/" + heron + "/events", """
                {"kind":"EXPERIMENT","at":"%sT06:00","until":"%sT08:00","excludesDays":null,"title":"tried","note":""}""".formatted(day, day));
        JsonNode tried = mira.get("/tanks/" + heron + "/forecasts").body();
        jdbc.update("delete from tank_event where title = 'tried'");
        jdbc.update("delete from day_forecast where tank_id = ? and day <= ?", heron.toString(), day);
        assertThat(tried.path("trough").path("n").asInt())
                .isEqualTo(score.path("trough").path("n").asInt() - 1);
        assertThat(score.path("trough").path("n").asInt()).isPositive();
        assertThat(score.path("trough").path("inside").asInt()).isPositive();
    }

    /** Today comes before the days that were; a tank without a log has nothing to forecast. */
    @Test
    void theNightsWorkBeginsWithTodayAndKeepsWhatItFinds() {
        Visitor mira = visitor();
        mira.post("/session/demo", "");
        UUID reef = tank(mira, "Lantern Reef");
        UUID empty = UUID.fromString(Samples.tank(visitor().asNewKeeper()));
        // Tanks of other tests may have their turn before it.
        for (int i = 0; i < 200 && kept.of(reef, TODAY).isEmpty(); i++) {
            assertThat(nightly.next()).isTrue();
        }
        assertThat(kept.of(reef, TODAY)).hasSize(1);
        assertThat(jdbc.queryForObject(
                        "select count(*) from day_forecast where day < ? and made_at is not null",
                        Integer.class,
                        TODAY))
                .as("days that were wait for today's")
                .isZero();
        assertThat(kept.days(empty, TODAY.minusDays(30))).isEmpty();
        JsonNode score = mira.get("/tanks/" + reef + "/forecasts").body();
        JsonNode today = score.path("days").get(score.path("days").size() - 1);
        assertThat(today.path("day").asString()).isEqualTo(TODAY.toString());
        assertThat(today.path("trough").path("high").asDouble())
                .isGreaterThan(today.path("trough").path("low").asDouble());
        assertThat(today.has("cameTrough")).isFalse();
        assertThat(today.path("afterwards").asBoolean()).isFalse();
    }
}
