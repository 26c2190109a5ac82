package jollytide.server.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.StreamSupport;
import jollytide.core.reef.TargetBand;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import jollytide.server.house.HouseService.PhPoint;
import jollytide.server.house.HouseService.Urgency;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every tank's last day on one page. */
class HouseTest extends ServerTest {
    private static final TargetBand BAND = new TargetBand(8.0, 8.4, 7.8);
    private static final Instant NOON = Instant.parse("2026-11-12T12:00:00Z");

    private static PhPoint at(int minutes, double ph) {
        return new PhPoint(NOON.plus(Duration.ofMinutes(minutes)), ph);
    }

    private static void log(Visitor keeper, String tank, Instant at, double ph) {
        Answer saved = keeper.post(
                "/tanks/" + tank + "/readings",
                Samples.reading(at.truncatedTo(ChronoUnit.SECONDS).toString(), "PH_NBS", "TANK", "PROBE", ph));
        assertThat(saved.status()).as(saved.text()).isEqualTo(201);
    }

    @Test
    void aLowIsUrgentByTheGoalRange() {
        assertThat(HouseService.urgency(at(0, 7.79), BAND)).isEqualTo(Urgency.ACT_NOW);
        assertThat(HouseService.urgency(at(0, 7.8), BAND)).isEqualTo(Urgency.BELOW_GOAL);
        assertThat(HouseService.urgency(at(0, 7.99), BAND)).isEqualTo(Urgency.BELOW_GOAL);
        assertThat(HouseService.urgency(at(0, 8.0), BAND)).isEqualTo(Urgency.IN_GOAL);
        assertThat(HouseService.urgency(null, BAND)).isEqualTo(Urgency.NO_READING);
    }

    @Test
    void silenceOfHoursIsAGap() {
        assertThat(HouseService.stretches(List.of(at(0, 8), at(30, 8), at(210, 8), at(391, 8))))
                .extracting(List::size)
                .containsExactly(3, 1);
        assertThat(HouseService.stretches(List.of())).isEmpty();
    }

    @Test
    void theMostUrgentTankStandsFirst() {
        Visitor keeper = visitor().asNewKeeper();
        Instant now = Instant.parse(keeper.get("/house").body().path("now").asString());
        String calm = Samples.tank(keeper);
        String silent = Samples.tank(keeper);
        String low = Samples.tank(keeper);
        String worst = Samples.tank(keeper);
        log(keeper, calm, now.minus(Duration.ofHours(5)), 8.1);
        log(keeper, silent, now.minus(Duration.ofHours(30)), 7.5);
        log(keeper, low, now.minus(Duration.ofHours(5)), 7.9);
        log(keeper, worst, now.minus(Duration.ofHours(9)), 7.7);
        log(keeper, worst, now.minus(Duration.ofHours(2)), 8.2);

        JsonNode house = keeper.get("/house").body();
        List<JsonNode> rows =
                StreamSupport.stream(house.path("tanks").spliterator(), false).toList();
        assertThat(rows).extracting(row -> row.path("tankId").asString()).containsExactly(worst, low, silent, calm);
        JsonNode first = rows.get(0);
        assertThat(first.path("urgency").asString()).isEqualTo("ACT_NOW");
        assertThat(first.path("low").path("ph").asDouble()).isEqualTo(7.7);
        assertThat(first.path("curve")).hasSize(2);
        assertThat(first.path("lit")).isNotEmpty();
        assertThat(rows.get(2).path("low").isMissingNode()).isTrue();
        assertThat(Duration.between(
                        Instant.parse(house.path("from").asString()),
                        Instant.parse(house.path("now").asString())))
                .isEqualTo(Duration.ofHours(24));
    }

    @Test
    void anotherKeepersTanksAreNotShown() {
        Samples.tank(visitor().asNewKeeper());
        assertThat(visitor().asNewKeeper().get("/house").body().path("tanks")).isEmpty();
        assertThat(visitor().get("/house").status()).isEqualTo(401);
    }
}
