package jollytide.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

class UpkeepApiTest extends ServerTest {
    private static final LocalDate TODAY = LocalDate.ofInstant(PRESENT, ZoneOffset.UTC);

    private Visitor keeper;
    private String tank;
    private String upkeep;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        upkeep = tank + "/upkeep";
    }

    private String add(String chore, String lastDone) {
        Visitor.Answer added = keeper.post(upkeep, """
                {"chore":"%s","name":"","days":null,"lastDone":%s}""".formatted(chore, lastDone));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        return upkeep + "/" + added.body().path("id").asString();
    }

    private Visitor.Answer tick(String task, LocalDate day, String found) {
        return keeper.post(task + "/done", """
                {"at":"%sT08:00","found":%s,"note":""}""".formatted(day, found));
    }

    private JsonNode first() {
        return keeper.get(upkeep).body().path("tasks").path(0);
    }

    @Test
    void whatFitsTheTankIsProposedWithHowItIsDone() {
        JsonNode begun = keeper.get(upkeep).body();
        assertThat(begun.path("tasks")).isEmpty();
        assertThat(begun.path("more").findValuesAsString("chore"))
                .contains("VENTURI", "PRACTISE")
                .doesNotContain("LINE_FILTER", "DOSING_PUMP", "AIR_STONE");
        add("VENTURI", "null");
        JsonNode view = keeper.get(upkeep).body();
        // There may be another: it is proposed last.
        assertThat(view.path("more").findValuesAsString("chore")).last().isEqualTo("VENTURI");
        JsonNode venturi = view.path("tasks").path(0);
        assertThat(venturi.path("kind").path("steps")).hasSize(5);
        assertThat(venturi.path("kind").path("caution").asString()).contains("Unplug");
        // Nobody knows when it was done last: it is due.
        assertThat(venturi.path("due").asString()).isEqualTo(TODAY.toString());
        assertThat(venturi.path("late").asBoolean()).isTrue();
    }

    /** A skimmer that rests half the day crusts half as fast; a bubble hour asks for a sock a day. */
    @Test
    void itIsDueByHowTheScheduleUsesIt() {
        add("VENTURI", "\"" + TODAY.minusDays(20) + "T08:00\"");
        assertThat(first().path("usedPerDay").isMissingNode()).isTrue();
        String schedule = tank + "/schedule";
        String bubbles = keeper.post(
                        schedule + "/templates/BUBBLE_HOUR",
                        "{\"schedule\":" + keeper.get(schedule).body().path("schedule") + "}")
                .body()
                .path("schedule")
                .toString();
        String rests = bubbles.replace(
                        "\"rules\":[",
                        "\"rules\":[{\"lane\":\"skimmer\",\"kind\":\"USUAL\",\"window\":\"day\",\"state\":{\"does\":\"OFF\"}},")
                .replace(
                        "\"windows\":[",
                        "\"windows\":[{\"id\":\"day\",\"name\":\"day\",\"allDay\":false,\"from\":{\"time\":\"08:00\"},\"until\":{\"time\":\"20:00\"}},");
        Visitor.Answer saved = keeper.put(schedule, "{\"version\":null,\"schedule\":" + rests + "}");
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        assertThat(first().path("usedPerDay").asDouble()).isCloseTo(12, within(1e-6));
        assertThat(first().path("days").asDouble()).isCloseTo(56, within(1e-6));
        JsonNode sock = keeper.get(upkeep).body().path("more").path(0);
        assertThat(sock.path("chore").asString()).isEqualTo("SOCK");
        assertThat(sock.path("days").asDouble()).isEqualTo(1);
    }

    @Test
    void itIsCountedFromTheLastTimeAndMovedByWhatWasFound() {
        String task = add("VENTURI", "\"" + TODAY.minusDays(20) + "T08:00\"");
        assertThat(first().path("due").asString()).isEqualTo(TODAY.plusDays(8).toString());
        assertThat(first().path("late").asBoolean()).isFalse();
        String dirty = task + "/done/"
                + tick(task, TODAY, "\"DIRTY\"").body().path("id").asString();
        // Assumed 28; dirty after 20 days says 12: between them, by their logarithms, 18. In one of the nights clocks
        // were set.
        assertThat(first().path("days").asDouble()).isCloseTo(Math.sqrt(28.0 * 12), within(0.05));
        assertThat(first().path("findings").asInt()).isEqualTo(1);
        assertThat(first().path("due").asString()).isEqualTo(TODAY.plusDays(18).toString());
        assertThat(keeper.delete(dirty).status()).isEqualTo(204);
        assertThat(first().path("due").asString()).isEqualTo(TODAY.plusDays(8).toString());
        assertThat(keeper.delete(dirty).status()).isEqualTo(404);
    }

    @Test
    void itsKeeperMayWantItOtherwise() {
        String task = add("SKIMMER_CUP", "\"" + TODAY.minusDays(3) + "T08:00\"");
        assertThat(keeper.put(task, "{\"name\":\"left\",\"days\":3}").status()).isEqualTo(204);
        assertThat(first().path("name").asString()).isEqualTo("left");
        assertThat(first().path("due").asString()).isEqualTo(TODAY.toString());
        assertThat(keeper.put(task + "/later", "{\"until\":\"" + TODAY.plusDays(5) + "\"}")
                        .status())
                .isEqualTo(204);
        assertThat(first().path("due").asString()).isEqualTo(TODAY.plusDays(5).toString());
        assertThat(first().path("putOff").asBoolean()).isTrue();
        assertThat(keeper.put(task + "/later", "{\"until\":null}").status()).isEqualTo(204);
        assertThat(first().path("due").asString()).isEqualTo(TODAY.toString());
        assertThat(keeper.post(task + "/end", "").status()).isEqualTo(204);
        JsonNode ended = keeper.get(upkeep).body();
        assertThat(ended.path("tasks")).isEmpty();
        assertThat(ended.path("ended").path(0).path("done")).hasSize(1);
        assertThat(keeper.delete(task + "/end").status()).isEqualTo(204);
        assertThat(keeper.get(upkeep).body().path("tasks")).hasSize(1);
    }

    /** The list of what is due has it, on its day, and so has whoever helps; who may tick it off, too. */
    @Test
    void itIsDueAndHelpersTickItOff() {
        String task = add("SKIMMER_CUP", "\"" + TODAY.minusDays(7) + "T08:00\"");
        String home = keeper.get(tank).body().path("homeId").asString();
        JsonNode due = keeper.get("/homes/" + home + "/due").body();
        assertThat(due).hasSize(1);
        assertThat(due.path(0).path("subject").asString()).isEqualTo("UPKEEP");
        assertThat(due.path(0).path("what").asString()).contains("empty and wipe the skimmer’s cup");
        assertThat(due.path(0).path("late").asBoolean()).isTrue();
        String code = keeper.post("/homes/" + home + "/helpers", "{\"name\":\"Jonas\"}")
                .body()
                .path("code")
                .asString();
        Visitor helper = visitor();
        helper.post("/session/helper", "{\"code\":\"" + code + "\"}");
        helper.get("/session");
        assertThat(helper.get(upkeep).status()).isEqualTo(200);
        assertThat(helper.post(task + "/done", "{\"at\":\"%sT09:00\",\"found\":null,\"note\":\"\"}".formatted(TODAY))
                        .status())
                .isEqualTo(201);
        assertThat(helper.post(task + "/end", "").status()).isEqualTo(403);
        assertThat(keeper.get("/homes/" + home + "/due")
                        .body()
                        .path(0)
                        .path("on")
                        .asString())
                .isEqualTo(TODAY.plusDays(7).toString());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"chore\":\"POLISH\",\"name\":\"\",\"days\":null,\"lastDone\":null}",
                "{\"chore\":\"VENTURI\",\"name\":\"\",\"days\":0,\"lastDone\":null}",
                "{\"chore\":\"VENTURI\",\"name\":\"\",\"days\":-3,\"lastDone\":null}",
                "{\"chore\":\"VENTURI\",\"name\":\"\",\"days\":1e9,\"lastDone\":null}",
                "{\"chore\":\"VENTURI\",\"name\":\"\",\"days\":null,\"lastDone\":\"2031-01-01T08:00\"}",
                "{\"chore\":\"VENTURI\",\"name\":\"\",\"days\":null,\"lastDone\":\"yesterday\"}",
                "{\"chore\":\"VENTURI\",\"days\":null,\"lastDone\":null}"
            })
    void whatCannotBeIsRefusedAndNothingIsKept(String body) {
        assertThat(keeper.post(upkeep, body).status()).isEqualTo(422);
        assertThat(keeper.get(upkeep).body().path("tasks")).isEmpty();
    }

    @Test
    void nothingIsPutOffIntoThePastOrForEver() {
        String task = add("PRACTISE", "null");
        for (LocalDate until : List.of(TODAY.minusDays(2), TODAY.plusYears(3))) {
            Visitor.Answer answer = keeper.put(task + "/later", "{\"until\":\"" + until + "\"}");
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.text()).contains("two years ahead");
        }
    }

    /** A year of it in the demo: what this tank's own findings made of the four weeks that are assumed. */
    @Test
    void theDemosYearHasMovedAnInterval() {
        Visitor visitor = visitor();
        visitor.post("/session/demo", "");
        JsonNode lantern = visitor.get("/tanks")
                .body()
                .valueStream()
                .filter(t -> t.path("description").path("name").asString().equals("Lantern Reef"))
                .findFirst()
                .orElseThrow();
        JsonNode tasks = visitor.get("/tanks/" + lantern.path("id").asString() + "/upkeep")
                .body()
                .path("tasks");
        JsonNode venturi = tasks.valueStream()
                .filter(t -> t.path("kind").path("chore").asString().equals("VENTURI"))
                .findFirst()
                .orElseThrow();
        assertThat(venturi.path("done")).hasSize(12);
        assertThat(venturi.path("days").asDouble()).isBetween(26.0, 33.0).isNotEqualTo(28.0);
        assertThat(venturi.path("findings").asInt()).isEqualTo(6);
    }

    /** Common practice, no source: 56 W all year at 0.114 a kWh are 56 a year. */
    @Test
    void whatRunsCostsWattsTimesHoursTimesTariff() {
        JsonNode home = keeper.get("/homes").body().path(0);
        String described = home.path("description").toString().replaceFirst("\"tariffPerKWh\":[^,}]*,?", "");
        assertThat(keeper.put(
                                "/homes/" + home.path("id").asString(),
                                "{\"version\":" + home.path("version") + ",\"description\":"
                                        + described.replaceFirst("\\{", "{\"tariffPerKWh\":0.114,") + "}")
                        .status())
                .isEqualTo(200);
        String consumers = tank + "/consumers";
        String pump = consumers + "/"
                + keeper.post(consumers, "{\"name\":\"return pump\",\"watts\":56,\"hoursPerDay\":24}")
                        .body()
                        .path("id")
                        .asString();
        JsonNode costs = keeper.get(consumers).body();
        assertThat(costs.path("kWhPerYear").asDouble()).isCloseTo(56 * 8.76, within(1e-6));
        assertThat(costs.path("perYear").asDouble()).isCloseTo(56, within(0.1));
        assertThat(costs.path("perMonth").asDouble()).isCloseTo(56 / 12.0, within(0.01));
        assertThat(costs.path("tariffAssumed").asBoolean()).isFalse();
        keeper.post(consumers, "{\"name\":\"lamps\",\"watts\":150,\"hoursPerDay\":10}");
        assertThat(keeper.get(consumers).body().path("consumers").findValuesAsString("name"))
                .containsExactly("lamps", "return pump");
        assertThat(keeper.put(pump, "{\"name\":\"return pump\",\"watts\":28,\"hoursPerDay\":24}")
                        .status())
                .isEqualTo(204);
        assertThat(keeper.delete(pump).status()).isEqualTo(204);
        assertThat(keeper.get(consumers).body().path("consumers")).hasSize(1);
        for (String bad : List.of(
                "{\"name\":\"\",\"watts\":5,\"hoursPerDay\":24}",
                "{\"name\":\"x\",\"watts\":-5,\"hoursPerDay\":24}",
                "{\"name\":\"x\",\"watts\":5,\"hoursPerDay\":25}",
                "{\"name\":\"x\",\"watts\":1e99,\"hoursPerDay\":24}")) {
            assertThat(keeper.post(consumers, bad).status()).isEqualTo(422);
        }
        assertThat(keeper.get(consumers).body().path("consumers")).hasSize(1);
    }

    /** It has its keeper's name and interval, and needs both. */
    @Test
    void aTaskOfTheKeepersOwn() {
        String asked =
                "{\"chore\":\"OWN\",\"name\":\"%s\",\"days\":%s,\"lastDone\":\"" + TODAY.minusDays(10) + "T08:00\"}";
        assertThat(keeper.post(upkeep, asked.formatted("", "7")).status()).isEqualTo(422);
        assertThat(keeper.post(upkeep, asked.formatted("turn the frags", "null"))
                        .status())
                .isEqualTo(422);
        assertThat(keeper.post(upkeep, asked.formatted("turn the frags", "7")).status())
                .isEqualTo(201);
        assertThat(first().path("due").asString()).isEqualTo(TODAY.minusDays(3).toString());
        String home = "/homes/" + keeper.get(tank).body().path("homeId").asString();
        assertThat(keeper.get(home + "/due").text()).contains("turn the frags").doesNotContain("your own task");
    }
}
