package jollytide.server.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A tank whose schedule is asked for, changed and saved. */
abstract class OneSchedule extends ServerTest {
    static final JsonMapper JSON = JsonMapper.builder().build();

    Visitor keeper;
    String tank;
    String schedule;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        schedule = tank + "/schedule";
    }

    ObjectNode today() {
        Answer answer = keeper.get(schedule);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return (ObjectNode) answer.body().path("schedule");
    }

    Answer save(String version, JsonNode document) {
        return keeper.put(schedule, "{\"version\":" + version + ",\"schedule\":" + document + "}");
    }

    JsonNode day(JsonNode document, String rest) {
        Answer answer = keeper.post(schedule + "/day", "{\"schedule\":" + document + rest + "}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    static void add(ObjectNode document, String list, String entry) {
        ((ArrayNode) document.path(list)).add(JSON.readTree(entry));
    }

    static List<String> each(JsonNode list, String field) {
        return StreamSupport.stream(list.spliterator(), false)
                .map(n -> n.path(field).asString())
                .toList();
    }

    static JsonNode of(JsonNode list, String field, String value) {
        return StreamSupport.stream(list.spliterator(), false)
                .filter(n -> n.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow();
    }

    /** A stone that rests, and an hour in which it bubbles while the right pumps swell and the left ones rest. */
    ObjectNode withBubbleHour() {
        ObjectNode document = today();
        add(document, "lanes", """
                {"id":"stone","kind":"AIR_PUMP","name":"stone at the return","rest":{"does":"OFF"},"afterPower":{"does":"OFF"}}""");
        add(document, "windows", """
                {"id":"bubbles","name":"bubble hour","allDay":false,"from":{"time":"19:00"},"until":{"time":"20:00"}}""");
        add(document, "rules", """
                {"lane":"stone","kind":"SPECIAL","window":"bubbles","state":{"does":"ON"}}""");
        add(document, "rules", """
                {"lane":"flow-right","kind":"SPECIAL","window":"bubbles","state":{"does":"WAVE","onS":300,"offS":30}}""");
        add(document, "rules", """
                {"lane":"flow-left","kind":"SPECIAL","window":"bubbles","state":{"does":"OFF"}}""");
        return document;
    }
}
