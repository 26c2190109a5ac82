package jollytide.server.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** After an outage of a 420 L tank. */
class AftermathApiTest extends ServerTest {
    @Autowired
    private JdbcTemplate jdbc;

    private Visitor keeper;
    private String tank;
    private String home;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        home = "/homes/" + keeper.get(tank).body().path("homeId").asString();
    }

    private static Instant before(double hours) {
        return PRESENT.minus(Duration.ofMinutes(Math.round(60 * hours)));
    }

    private static String stored(Instant at) {
        return at.toString().replace("T", " ").replace("Z", "");
    }

    private void outage(double fromHoursAgo, double untilHoursAgo) {
        String outage = keeper.post(home + "/outages", "{}").body().path("id").asString();
        keeper.post(home + "/outages/" + outage + "/end", "{}");
        jdbc.update(
                "update outage set started_at = ?, ended_at = ? where id = ?",
                stored(before(fromHoursAgo)),
                stored(before(untilHoursAgo)),
                outage);
    }

    private void tested(double hoursAgo, String unit, double value) {
        Answer kept = keeper.post(
                tank + "/readings", Samples.reading(before(hoursAgo).toString(), unit, "TANK", "COLOUR_KIT", value));
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
    }

    private List<String> due() {
        return keeper.get(home + "/due").body().findValuesAsString("what");
    }

    @Test
    void aShortOutageAsksForNoTests() {
        outage(30, 28);
        assertThat(due()).noneMatch(what -> what.contains("ammonia"));
    }

    @Test
    void aLongOneAsksDailyUntilTwoZeros() {
        outage(60, 50);
        assertThat(due()).anyMatch(what -> what.contains("test ammonia and nitrite, day 3"));
        tested(30, "AMMONIUM_MG_PER_L", 0.1);
        tested(30, "NITRITE_MG_PER_L", 0);
        assertThat(due()).anyMatch(what -> what.contains("test ammonia"));
        for (double hoursAgo : new double[] {26, 2}) {
            tested(hoursAgo, "AMMONIA_N_MG_PER_L", 0);
            tested(hoursAgo, "NITRITE_N_MG_PER_L", 0);
        }
        assertThat(due()).noneMatch(what -> what.contains("ammonia"));
    }

    /** 4 mg/L as ammonium are 3.1 of nitrogen; at pH 8.3 about 7 % of it are poisonous. A noted change brings it down. */
    @Test
    void aSpikeComesFirstAndGoesWithTheWaterThatIsChanged() {
        outage(60, 50);
        tested(1, "AMMONIUM_MG_PER_L", 4);
        assertThat(due().get(0)).contains("ammonia is dangerous").contains("times with hours between");
        for (int i = 0; i < 3; i++) {
            keeper.post(tank + "/by-hand/water-changes", """
                    {"at":"%s","water":{"litres":200},"note":""}""".formatted(before(0.3 - 0.1 * i)));
        }
        assertThat(due()).noneMatch(what -> what.contains("harms"));
        assertThat(due()).anyMatch(what -> what.contains("test ammonia"));
    }
}
