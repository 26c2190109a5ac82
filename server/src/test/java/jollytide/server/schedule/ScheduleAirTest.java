package jollytide.server.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.StreamSupport;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a schedule, or a hold by hand, leaves the animals of their air. */
class ScheduleAirTest extends OneSchedule {
    /** Ten minutes without flow while the fish are fed: in the day, and due once they are over. */
    @Test
    void aLaneIsHeldByHand() {
        String hold = "{\"lanes\":[\"flow-left\",\"flow-right\"],\"state\":{\"does\":\"OFF\"},\"minutes\":%s}";
        Answer held = keeper.post(schedule + "/holds", hold.formatted("10"));
        assertThat(held.status()).as(held.text()).isEqualTo(201);
        assertThat(held.body().path("shortened").asBoolean()).isFalse();
        assertThat(held.body().path("lowestOxygenMgPerL").asDouble()).isBetween(4.0, 8.0);
        assertThat(each(held.body().path("holds"), "lane")).containsExactlyInAnyOrder("flow-left", "flow-right");
        JsonNode left = of(day(today(), "").path("lanes"), "id", "flow-left").path("pieces");
        assertThat(StreamSupport.stream(left.spliterator(), false)
                        .map(p -> p.path("winner").path("strength").asString()))
                .contains("HOLD");
        // Another in its place; the first is over.
        JsonNode again =
                keeper.post(schedule + "/holds", hold.formatted("5")).body().path("holds");
        assertThat(again).hasSize(2);
        String one = again.path(0).path("id").asString();
        assertThat(keeper.delete(schedule + "/holds/" + one).body()).hasSize(1);
        assertThat(keeper.get(schedule + "/holds").body()).hasSize(1);
        for (String wrong : List.of("0", "721", "null", "1e9")) {
            assertThat(keeper.post(schedule + "/holds", hold.formatted(wrong)).status())
                    .as(wrong)
                    .isBetween(400, 422);
        }
        for (String wrong : List.of("nobody", "air")) {
            Answer refused =
                    keeper.post(schedule + "/holds", hold.formatted("5").replace("flow-left", wrong));
            assertThat(refused.status()).as(wrong).isEqualTo(422);
            assertThat(refused.text()).contains("no such device");
        }
        for (int i = 0; i < 100; i++) {
            keeper.post(schedule + "/holds", hold.formatted("5"));
        }
        assertThat(keeper.post(schedule + "/holds", hold.formatted("5")).text()).contains("Too many holds today");
    }

    /** However a night without air comes about, its oxygen shows it: here three devices by three rules. */
    @Test
    void aNightWithoutAirIsNotSaved() {
        ObjectNode document = today();
        add(document, "windows", """
                {"id":"still","name":"still","allDay":false,"from":{"time":"21:30"},"until":{"time":"10:00"}}""");
        for (String lane : List.of("return", "flow-left", "flow-right", "skimmer")) {
            add(document, "rules", """
                    {"lane":"%s","kind":"SPECIAL","window":"still","state":{"does":"OFF"}}""".formatted(lane));
        }
        Answer refused = save("null", document);
        assertThat(refused.status()).as(refused.text()).isEqualTo(422);
        assertThat(refused.problem()).contains("oxygen may fall to");
        // An hour of it at noon is another matter.
        ObjectNode brief = today();
        add(brief, "windows", """
                {"id":"noon","name":"noon","allDay":false,"from":{"time":"12:00"},"until":{"time":"12:04"}}""");
        for (String lane : List.of("flow-left", "flow-right")) {
            add(brief, "rules", """
                    {"lane":"%s","kind":"SPECIAL","window":"noon","state":{"does":"OFF"}}""".formatted(lane));
        }
        Answer saved = save("null", brief);
        assertThat(saved.status()).isEqualTo(200);
        assertThat(saved.body().path("caution").isMissingNode())
                .as(saved.text())
                .isTrue();
    }

    /** A skimmer that rests at night, longer and longer: before that is refused there is a caution. */
    @Test
    void aNightWithLittleAirIsSavedWithACaution() {
        List<String> cautions = new ArrayList<>();
        ObjectNode plain = today();
        for (int minutes = 30; minutes < 600 && cautions.isEmpty(); minutes += 30) {
            ObjectNode document = plain.deepCopy();
            add(document, "windows", """
                    {"id":"calm","name":"calm","allDay":false,"from":{"time":"00:30"},"until":{"time":"%s"}}""".formatted(LocalTime.of(0, 30).plusMinutes(minutes)));
            add(document, "rules", """
                    {"lane":"skimmer","kind":"SPECIAL","window":"calm","state":{"does":"OFF"}}""");
            JsonNode version = keeper.get(schedule).body().path("version");
            Answer saved = save(version.isMissingNode() ? "null" : version.asString(), document);
            assertThat(saved.status()).as(saved.text()).isEqualTo(200);
            if (!saved.body().path("caution").isMissingNode()) {
                cautions.add(saved.body().path("caution").asString());
            }
        }
        assertThat(cautions).singleElement().asString().startsWith("Oxygen may fall to 4.");
    }

    /** Shorter than the twin's samples, whatever the minute. */
    @Test
    void aHoldOfAMinuteSaysItsOxygen() {
        JsonNode held = keeper.post(schedule + "/holds", """
                {"lanes":["flow-left"],"state":{"does":"OFF"},"minutes":1}""").body();
        assertThat(held.path("lowestOxygenMgPerL").asDouble()).isBetween(4.0, 8.0);
    }

    /** Everything held off for half a day: the hold ends by itself before oxygen is in danger, and says so. */
    @Test
    void aHoldEndsBeforeDanger() {
        JsonNode held = keeper.post(schedule + "/holds", """
                {"lanes":["return","flow-left","flow-right","skimmer"],"state":{"does":"OFF"},"minutes":720}""").body();
        assertThat(held.path("shortened").asBoolean()).as(held.toString()).isTrue();
        Instant until = Instant.parse(held.path("until").asString());
        assertThat(until).isBefore(PRESENT.plus(Duration.ofHours(11)));
        assertThat(held.path("lowestOxygenMgPerL").asDouble()).isGreaterThan(3.5);
        for (JsonNode lane : held.path("holds")) {
            assertThat(Instant.parse(lane.path("until").asString())).isEqualTo(until);
        }
    }

    /** Two hands hold one lane in the same moment: one hold stays, and letting it go lets it go. */
    @Test
    void twoParallelHoldsLeaveOne() throws Exception {
        String hold = "{\"lanes\":[\"flow-left\"],\"state\":{\"does\":\"OFF\"},\"minutes\":20}";
        ExecutorService hands = Executors.newFixedThreadPool(6);
        List<Callable<Answer>> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            all.add(() -> keeper.post(schedule + "/holds", hold));
        }
        hands.invokeAll(all);
        hands.shutdown();
        JsonNode left = keeper.get(schedule + "/holds").body();
        assertThat(left).hasSize(1);
        assertThat(keeper.delete(schedule + "/holds/" + left.path(0).path("id").asString())
                        .body())
                .isEmpty();
    }
}
