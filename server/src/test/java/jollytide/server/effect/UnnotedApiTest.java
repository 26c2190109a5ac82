package jollytide.server.effect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.SkimmerDraw;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What nobody noted, from a log to what is due by it. */
class UnnotedApiTest extends LoggedTankTest {
    @Autowired
    private UnnotedService unnoted;

    private JsonNode searched() {
        JsonNode unnoted = keeper.get(tank + "/effects/unnoted").body();
        assertThat(unnoted.path("searched").asInt()).isEqualTo(1);
        assertThat(unnoted.path("stretches").asInt()).isEqualTo(1);
        return unnoted.path("changes");
    }

    /** Said to be nothing, taken back, then noted: from there on it is a step like any other. */
    @Test
    void whatNobodyNotedIsOffered() {
        logged(TIMES);
        JsonNode change = searched().path(0);
        LocalDate from = LocalDate.parse(change.path("found").path("from").asString());
        String cause = change.path("found").path("cause").asString();
        assertThat(cause).isEqualTo("SURFACES");
        assertThat(from).isBetween(day(CHANGED), day(CHANGED).plusDays(1));
        assertThat(change.path("found").path("size").path("low").asDouble()).isLessThan(TIMES);
        assertThat(change.path("found").path("size").path("high").asDouble()).isGreaterThan(TIMES);
        String dismissal = tank + "/effects/unnoted/" + from.plusDays(1) + "/" + cause + "/dismissal";
        assertThat(keeper.put(dismissal, "").status()).isEqualTo(204);
        assertThat(keeper.put(dismissal, "").status()).isEqualTo(204);
        assertThat(searched().path(0).path("dismissed").asBoolean()).isTrue();
        assertThat(keeper.delete(dismissal).status()).isEqualTo(204);
        assertThat(searched().path(0).path("dismissed").asBoolean()).isFalse();
        noted("FAULT", CHANGED, "outlet slipped", false);
        JsonNode after = keeper.get(tank + "/effects/unnoted").body();
        assertThat(after.path("changes").size()).isZero();
    }

    /** A skimmer that draws less is due for its rinse, noted or not, until somebody says that it is nothing. */
    @Test
    void whatTheLogShowsOfTheSkimmerIsDue() {
        String upkeep = tank + "/upkeep";
        String rinsed = LocalDateTime.ofInstant(CHANGED.minus(6, ChronoUnit.DAYS), ZoneId.of("Europe/Amsterdam"))
                .toString();
        keeper.post(upkeep, """
                {"chore":"VENTURI","name":"","days":null,"lastDone":"%s"}""".formatted(rinsed));
        logged(MeasureSet.of(new SkimmerDraw(0.2)));
        assertThat(keeper.get(upkeep).body().at("/tasks/0/shownSince").isMissingNode())
                .isTrue();
        JsonNode found = searched().path(0).path("found");
        assertThat(found.path("cause").asString()).isEqualTo("SKIMMER");
        String from = found.path("from").asString();
        JsonNode due = keeper.get(upkeep).body().at("/tasks/0");
        assertThat(due.path("shownSince").asString()).isEqualTo(from);
        assertThat(due.path("due").asString()).isEqualTo(from);
        assertThat(due.path("late").asBoolean()).isTrue();
        assertThat(due.path("byLog").asInt()).isEqualTo(1);
        assertThat(due.path("days").asDouble()).isBetween(Math.sqrt(28 * 5.0), Math.sqrt(28 * 8.0));
        String home = keeper.get(tank).body().path("homeId").asString();
        assertThat(keeper.get("/homes/" + home + "/due").text())
                .contains("venturi and air tube: the log shows a weaker skimmer.");
        String dismissal = tank + "/effects/unnoted/" + from + "/SKIMMER/dismissal";
        assertThat(keeper.put(dismissal, "").status()).isEqualTo(204);
        assertThat(keeper.get(upkeep).body().at("/tasks/0/days").asDouble()).isEqualTo(28);
        assertThat(keeper.delete(dismissal).status()).isEqualTo(204);
        noted("FAULT", CHANGED, "venturi crusted", false);
        assertThat(keeper.get(tank + "/effects/unnoted").body().path("changes")).isEmpty();
        assertThat(keeper.get(upkeep).body().at("/tasks/0/shownSince").asString())
                .isEqualTo(from);
        String task = due.path("id").asString();
        keeper.post(
                upkeep + "/" + task + "/done",
                "{\"at\":\"%s\",\"found\":null,\"note\":\"\"}"
                        .formatted(day(PRESENT).atTime(0, 1)));
        JsonNode rinsedAgain = keeper.get(upkeep).body().at("/tasks/0");
        assertThat(rinsedAgain.path("shownSince").isMissingNode()).isTrue();
        assertThat(rinsedAgain.path("late").asBoolean()).isFalse();
        assertThat(rinsedAgain.path("byLog").asInt()).isEqualTo(1);
    }

    @Test
    void whereNothingChangedNothingIsOffered() {
        logged(1);
        assertThat(searched().size()).isZero();
        assertThat(keeper.put(tank + "/effects/unnoted/yesterday/SURFACES/dismissal", "")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.put(tank + "/effects/unnoted/2026-01-01/SURFACES/dismissal", "")
                        .status())
                .isEqualTo(404);
        assertThat(keeper.put(tank + "/effects/unnoted/+20260-01-01/SURFACES/dismissal", "")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.put(tank + "/effects/unnoted/2026-01-01/MOON/dismissal", "")
                        .status())
                .isEqualTo(422);
    }

    @Test
    void theNightlyThreadSearchesOneStretchAtATime() {
        logged(1);
        noted("FAULT", CHANGED, "outlet slipped", false);
        int before = keptSearches();
        assertThat(unnoted.searchOne()).isTrue();
        assertThat(keptSearches()).isEqualTo(before + 1);
    }

    /** Of all tanks, those of other tests included. */
    private int keptSearches() {
        Integer kept = jdbc.queryForObject("select count(*) from unnoted_search", Integer.class);
        return kept == null ? 0 : kept;
    }
}
