package jollytide.server.outage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Outages that are told late, twice, by several hands, or by mistake. */
class OutagePlacedTest extends ServerTest {
    private Visitor keeper;
    private String tank;
    private String home;
    private String outages;

    @BeforeEach
    void aHome() {
        keeper = visitor().asNewKeeper();
        tank = Samples.tank(keeper);
        home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        outages = home + "/outages";
    }

    private static Instant ago(double hours) {
        return PRESENT.minus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    private JsonNode told(UUID id, double fromAgoH, Double untilAgoH) {
        Answer answer = keeper.post(
                outages,
                "{\"id\":\"%s\",\"at\":\"%s\"%s}"
                        .formatted(
                                id, ago(fromAgoH), untilAgoH == null ? "" : ",\"until\":\"" + ago(untilAgoH) + "\""));
        assertThat(answer.status()).isEqualTo(200);
        return answer.body();
    }

    private void spans(JsonNode outage, double fromAgoH, Double untilAgoH) {
        assertThat(Instant.parse(outage.path("startedAt").asString())).isEqualTo(ago(fromAgoH));
        if (untilAgoH == null) {
            assertThat(outage.path("endedAt").isMissingNode()
                            || outage.path("endedAt").isNull())
                    .isTrue();
        } else {
            assertThat(Instant.parse(outage.path("endedAt").asString())).isEqualTo(ago(untilAgoH));
        }
    }

    /** A phone that was away tells of an earlier outage: the later one stays as it was. */
    @Test
    void anEarlierOutageToldLaterHasItsOwnPlace() {
        JsonNode later = told(UUID.randomUUID(), 5, 1.0);
        JsonNode earlier = told(UUID.randomUUID(), 20, 16.0);
        spans(earlier, 20, 16.0);
        JsonNode past = keeper.get(outages).body();
        assertThat(past).hasSize(2);
        spans(past.path(0), 5, 1.0);
        assertThat(past.path(0).path("id")).isEqualTo(later.path("id"));
    }

    /** As old clients and cards tell it: the start, then its end. */
    @Test
    void aStartWithoutItsEndTakesTheEndOfTheOutageThatItRunsInto() {
        told(UUID.randomUUID(), 5, 1.0);
        JsonNode one = told(UUID.randomUUID(), 20, null);
        spans(one, 20, 1.0);
        assertThat(one.path("notes").toString()).contains("Overlapping outages were merged into one");
        assertThat(keeper.get(outages).body()).hasSize(1);
    }

    @Test
    void whatOverlapsIsOneOutageUnderEveryIdThatItEverHad() {
        UUID phone = UUID.randomUUID();
        UUID sensor = UUID.randomUUID();
        told(sensor, 6, 4.0);
        UUID second = UUID.randomUUID();
        told(second, 3, 2.0);
        String of = outages + "/" + second + "/notes";
        keeper.post(of, note(UUID.randomUUID(), ago(2.5), "NOTE", ",\"text\":\"torch\""));
        JsonNode one = told(phone, 7, 2.5);
        spans(one, 7, 2.0);
        assertThat(one.path("notes").toString()).contains("torch").contains("merged into one");
        assertThat(keeper.get(outages).body()).hasSize(1);
        for (UUID id : new UUID[] {phone, sensor, second}) {
            assertThat(keeper.get(outages + "/" + id).body().path("id")).isEqualTo(one.path("id"));
        }
    }

    @Test
    void anOutageThatIsOnReachesBackToTheEarliestWord() {
        JsonNode on = keeper.post(outages, "{}").body();
        JsonNode longer = told(UUID.randomUUID(), 3, null);
        assertThat(longer.path("id")).isEqualTo(on.path("id"));
        spans(longer, 3, null);
        JsonNode apart = told(UUID.randomUUID(), 9, 8.0);
        spans(apart, 9, 8.0);
        spans(keeper.get(outages + "/current").body().path("outage"), 3, null);
    }

    @Test
    void tellingTwiceIsTellingOnce() {
        UUID id = UUID.randomUUID();
        told(id, 4, null);
        JsonNode again = told(id, 4, 2.0);
        spans(again, 4, 2.0);
        spans(told(id, 4, 2.0), 4, 2.0);
        assertThat(keeper.get(outages).body()).hasSize(1);
    }

    @Test
    void timesThatCannotBeAreRefusedByName() {
        Answer backwards = keeper.post(outages, "{\"at\":\"%s\",\"until\":\"%s\"}".formatted(ago(2), ago(3)));
        assertThat(backwards.firstError().path("field").asString()).isEqualTo("until");
        Answer old = keeper.post(outages, "{\"at\":\"1970-01-01T00:00:00Z\"}");
        assertThat(old.problem()).contains("more than a year ago");
        assertThat(keeper.get(outages).body()).isEmpty();
    }

    private String note(UUID id, Instant at, String kind, String rest) {
        return "{\"notes\":[%s]}".formatted(one(id, at, kind, rest));
    }

    private String one(UUID id, Instant at, String kind, String rest) {
        return "{\"id\":\"%s\",\"tankId\":\"%s\",\"at\":\"%s\",\"kind\":\"%s\"%s}".formatted(id, tank, at, kind, rest);
    }

    /** Each note has its own answer: one that cannot be taken holds back no other. */
    @Test
    void aRefusedNoteHoldsBackNoOther() {
        String notes =
                outages + "/" + keeper.post(outages, "{}").body().path("id").asString() + "/notes";
        UUID bad = UUID.randomUUID();
        UUID good = UUID.randomUUID();
        JsonNode answer = keeper.post(
                        notes,
                        "{\"notes\":[%s,%s]}"
                                .formatted(
                                        one(bad, PRESENT, "OXYGEN", ",\"value\":99"),
                                        one(good, PRESENT, "OXYGEN", ",\"value\":5.5")))
                .body();
        assertThat(answer.path("refused")).hasSize(1);
        assertThat(answer.path("refused").path(0).path("id").asString()).isEqualTo(bad.toString());
        assertThat(answer.path("refused").path(0).path("message").asString()).contains("99");
        assertThat(answer.path("outage").path("notes").path(0).path("id").asString())
                .isEqualTo(good.toString());
        Answer none =
                keeper.post(notes, note(UUID.randomUUID(), PRESENT, "NOTE", ",\"text\":\"" + "a".repeat(501) + "\""));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.firstError().path("field").asString()).isEqualTo("notes[0].text");
    }

    /** A reading from before the failure says nothing of the hours since. */
    @Test
    void aNoteFromBeforeTheStartIsNoReadingOfTheOutage() {
        JsonNode begun = keeper.post(outages, "{}").body();
        String notes = outages + "/" + begun.path("id").asString() + "/notes";
        double before = begun.path("tanks")
                .path(0)
                .path("course")
                .path("points")
                .path(0)
                .path("likely")
                .asDouble();
        JsonNode read = keeper.post(notes, note(UUID.randomUUID(), ago(2), "OXYGEN", ",\"value\":3.1"))
                .body()
                .path("outage");
        assertThat(read.path("tanks")
                        .path(0)
                        .path("course")
                        .path("points")
                        .path(0)
                        .path("likely")
                        .asDouble())
                .isEqualTo(before);
    }

    /** A false alarm is taken out and comes back for a day; a wrong "power is back" likewise. */
    @Test
    void mistakesAreUndone() {
        JsonNode begun = keeper.post(outages, "{}").body();
        String outage = outages + "/" + begun.path("id").asString();
        assertThat(keeper.post(outage + "/end", "{}").body().path("endedAt").isNull())
                .isFalse();
        JsonNode on = keeper.post(outage + "/goes-on", "{}").body();
        assertThat(on.path("endedAt").isMissingNode() || on.path("endedAt").isNull())
                .isTrue();
        assertThat(keeper.delete(outage).status()).isEqualTo(204);
        assertThat(keeper.get(outages).body()).isEmpty();
        assertThat(keeper.get(outage).status()).isEqualTo(404);
        JsonNode other = keeper.post(outages, "{}").body();
        assertThat(other.path("id")).isNotEqualTo(begun.path("id"));
        JsonNode back = keeper.post(outage + "/restore", "{}").body();
        assertThat(back.path("startedAt")).isEqualTo(begun.path("startedAt"));
        assertThat(keeper.get(outages).body()).hasSize(1);
    }

    /** Flickering power: a phone that was away says that it was back, of a time before it failed again. The clock runs on. */
    @Test
    void aLateWordOfTheEndDoesNotStopAnOutageThatWentOn() {
        UUID phone = UUID.randomUUID();
        told(phone, 3, null);
        String outage = outages + "/" + phone;
        assertThat(keeper.post(outage + "/end", at(2)).status()).isEqualTo(200);
        spans(told(UUID.randomUUID(), 1.9, null), 3, null);
        Answer late = keeper.post(outage + "/end", at(2.1));
        assertThat(late.status()).isEqualTo(422);
        assertThat(late.problem()).contains("failed again");
        spans(told(phone, 3, 2.0), 3, null);
        assertThat(keeper.post(outage + "/end", at(1)).status()).isEqualTo(200);
        spans(keeper.get(outage).body(), 3, 1.0);
    }

    /** One that goes on after all takes in what came after it: no home has two at once. */
    @Test
    void whatGoesOnTakesInWhatCameAfterIt() {
        JsonNode first = told(UUID.randomUUID(), 20, 16.0);
        JsonNode second = told(UUID.randomUUID(), 5, 1.0);
        JsonNode on = keeper.post(outages + "/" + first.path("id").asString() + "/goes-on", "{}")
                .body();
        spans(on, 20, null);
        assertThat(keeper.get(outages).body()).hasSize(1);
        assertThat(keeper.get(outages + "/" + second.path("id").asString())
                        .body()
                        .path("id"))
                .isEqualTo(first.path("id"));
    }

    private static String at(double agoH) {
        return "{\"at\":\"" + ago(agoH) + "\"}";
    }

    /** A helper may move the start earlier, and the keeper sees who did and moves it back. */
    @Test
    void aHelperMovesTheStartEarlierOnly() {
        String code = keeper.post(home + "/helpers", "{\"name\":\"Jonas\"}")
                .body()
                .path("code")
                .asString();
        Visitor helper = visitor();
        helper.post("/session/helper", "{\"code\":\"" + code + "\"}");
        JsonNode begun = keeper.post(outages, "{\"at\":\"" + ago(1) + "\"}").body();
        String began = outages + "/" + begun.path("id").asString() + "/began";
        assertThat(helper.post(began, "{\"at\":\"" + ago(0.5) + "\"}").problem())
                .contains("Only the keeper");
        JsonNode moved = helper.post(began, "{\"at\":\"" + ago(2) + "\"}").body();
        spans(moved, 2, null);
        assertThat(moved.path("moved").path("by").asString()).isEqualTo("Jonas");
        assertThat(Instant.parse(moved.path("moved").path("from").asString())).isEqualTo(ago(1));
        JsonNode undone = keeper.post(began, "{\"at\":\"" + ago(1) + "\"}").body();
        spans(undone, 1, null);
        assertThat(undone.path("moved").isMissingNode() || undone.path("moved").isNull())
                .isTrue();
    }

    private static final String PUMP = """
            {"name":"%s","place":"shelf","who":"Mira","gives":"AIR","airLPerH":600,"loadW":3.4,
             "energy":"UPS","upsW":100,"upsMinutes":23,"startsItself":false}""";

    private JsonNode step(JsonNode outage, String what) {
        for (JsonNode step : outage.path("tanks").path(0).path("steps")) {
            if (step.path("step").path("what").asString().contains(what)) {
                return step;
            }
        }
        return json.createObjectNode();
    }

    /** A pump that stops opens its start step again; one that is broken is planned with no more. */
    @Test
    void aDeviceThatDiesOpensTheNextWay() {
        String first = keeper.post(home + "/kit", PUMP.formatted("grey pump"))
                .body()
                .path("id")
                .asString();
        keeper.post(home + "/kit", PUMP.formatted("blue pump"));
        JsonNode begun = keeper.post(outages, "{}").body();
        String notes = outages + "/" + begun.path("id").asString() + "/notes";
        JsonNode start = step(begun, "Start: grey pump");
        String id = start.path("step").path("id").asString();
        String ref = ",\"ref\":\"" + first + "\"";
        keeper.post(notes, note(UUID.randomUUID(), PRESENT.plusSeconds(1), "BACKUP_ON", ref));
        JsonNode runs = keeper.post(
                        notes, note(UUID.randomUUID(), PRESENT.plusSeconds(2), "STEP_DONE", ",\"ref\":\"" + id + "\""))
                .body()
                .path("outage");
        assertThat(step(runs, "Start: grey pump").path("state").asString()).isEqualTo("DONE");
        JsonNode off = keeper.post(notes, note(UUID.randomUUID(), PRESENT.plusSeconds(3), "BACKUP_OFF", ref))
                .body()
                .path("outage");
        assertThat(step(off, "Start: grey pump").path("state").asString()).isEqualTo("OPEN");
        JsonNode dead = keeper.post(notes, note(UUID.randomUUID(), PRESENT.plusSeconds(4), "BACKUP_FAILED", ref))
                .body()
                .path("outage");
        assertThat(step(dead, "Start: grey pump").isEmpty()).isTrue();
        JsonNode next = step(dead, "Start: blue pump");
        assertThat(next.path("state").asString()).isEqualTo("OPEN");
        assertThat(next.path("step").path("atH").asDouble()).isZero();
        JsonNode alive = keeper.post(notes, note(UUID.randomUUID(), PRESENT.plusSeconds(5), "BACKUP_ON", ref))
                .body()
                .path("outage");
        assertThat(step(alive, ": grey pump").isEmpty()).isFalse();
    }

    /** Four hours on a UPS in the morning, and the power fails again an hour after it came back: little is charged. */
    @Test
    void aSecondOutageRemembersTheFirst() {
        String ups = keeper.post(
                        home + "/kit",
                        PUMP.formatted("grey pump")
                                .replace("\"startsItself\":false", "\"startsItself\":true,\"yearsOld\":0"))
                .body()
                .path("id")
                .asString();
        double full =
                thing(keeper.get(outages + "/plan").body(), ups).path("earlyH").asDouble();
        assertThat(full).isGreaterThan(3);
        told(UUID.randomUUID(), 5, 2.0);
        JsonNode again = keeper.post(outages, "{\"at\":\"" + ago(1) + "\"}").body();
        JsonNode left = thing(again, ups);
        // Three hours used, an hour of eight charged.
        assertThat(left.path("earlyH").asDouble()).isBetween(full - 3 + full / 8 - 0.1, full - 3 + full / 8 + 0.1);
        assertThat(left.path("left").asDouble()).isLessThan(0.5);
        JsonNode fresh = keeper.post(
                        outages,
                        "{\"id\":\"" + UUID.randomUUID() + "\",\"at\":\"" + ago(30) + "\",\"until\":\"" + ago(29)
                                + "\"}")
                .body();
        assertThat(thing(fresh, ups).path("left").asDouble()).isEqualTo(1);
    }

    private static JsonNode thing(JsonNode outage, String id) {
        for (JsonNode thing : outage.path("tanks").path(0).path("kit")) {
            if (thing.path("kitId").asString().equals(id)) {
                return thing;
            }
        }
        throw new AssertionError(outage.path("tanks").path(0).path("kit").toString());
    }

    /** A room that was measured two hours ago is as warm when the power fails again. */
    @Test
    void theRoomOfTheFirstIsThatOfTheSecond() {
        JsonNode first = told(UUID.randomUUID(), 5, 2.0);
        keeper.post(
                outages + "/" + first.path("id").asString() + "/notes",
                note(UUID.randomUUID(), ago(3), "ROOM_TEMPERATURE", ",\"value\":11"));
        JsonNode again = keeper.post(outages, "{}").body();
        assertThat(again.path("tanks").path(0).path("roomC").asDouble()).isEqualTo(11);
    }

    /** Fed an hour ago, in the outage before: they still use more. */
    @Test
    void aMealInTheFirstIsStillDigestedInTheSecond() {
        JsonNode first = told(UUID.randomUUID(), 5, 0.5);
        keeper.post(
                outages + "/" + first.path("id").asString() + "/notes", note(UUID.randomUUID(), ago(1), "FED_NOW", ""));
        JsonNode again = keeper.post(outages, "{}").body();
        assertThat(again.path("tanks").path(0).path("fedH").asDouble()).isCloseTo(1, within(0.2));
    }

    /** Three hours in a room of 11 °C; two hours later the heater has not brought all of it back. */
    @Test
    void theWaterOfTheFirstIsThatOfTheSecond() {
        double usual = startC(keeper.post(outages, "{\"at\":\"" + ago(300) + "\",\"until\":\"" + ago(299) + "\"}")
                .body());
        JsonNode first = told(UUID.randomUUID(), 5, 2.0);
        keeper.post(
                outages + "/" + first.path("id").asString() + "/notes",
                note(UUID.randomUUID(), ago(4), "ROOM_TEMPERATURE", ",\"value\":11"));
        JsonNode again = keeper.post(outages, "{}").body();
        JsonNode point =
                again.path("tanks").path(0).path("course").path("points").path(0);
        assertThat(point.path("coldestC").asDouble()).isLessThan(usual - 1);
        assertThat(point.path("coldestC").asDouble())
                .isLessThan(point.path("celsius").asDouble());
        JsonNode measured = keeper.post(
                        outages + "/" + again.path("id").asString() + "/notes",
                        note(UUID.randomUUID(), PRESENT, "WATER_TEMPERATURE", ",\"value\":25"))
                .body()
                .path("outage");
        assertThat(startC(measured)).isEqualTo(25);
    }

    private static double startC(JsonNode outage) {
        return outage.path("tanks")
                .path(0)
                .path("course")
                .path("points")
                .path(0)
                .path("coldestC")
                .asDouble();
    }

    private JsonNode noted(String notes, int second, String kind, String rest) {
        JsonNode answer = keeper.post(notes, note(UUID.randomUUID(), PRESENT.plusSeconds(second), kind, rest))
                .body();
        assertThat(answer.path("refused")).isEmpty();
        return answer.path("outage");
    }

    private static double celsius(JsonNode outage, String which) {
        return outage.path("tanks")
                .path(0)
                .path("course")
                .path("points")
                .path(72)
                .path(which)
                .asDouble();
    }

    /** A meal, blankets, heat packs, and that nobody can come: each is said by one press and moves what is shown. */
    @Test
    void whatIsSaidMovesThePrediction() {
        keeper.post(home + "/kit", PUMP.formatted("hand pump"));
        JsonNode begun = keeper.post(outages, "{}").body();
        String notes = outages + "/" + begun.path("id").asString() + "/notes";
        noted(notes, 1, "ROOM_TEMPERATURE", ",\"value\":10");
        JsonNode fed = noted(notes, 2, "FED_NOW", "");
        assertThat(fed.path("tanks").path(0).path("fedH").asDouble()).isLessThan(0.2);
        JsonNode wrapped = noted(notes, 3, "WRAPPED", "");
        assertThat(celsius(wrapped, "coldestC")).isGreaterThan(celsius(fed, "coldestC") + 0.3);
        JsonNode warmed = noted(notes, 4, "HEAT_PACKS", ",\"value\":6");
        assertThat(celsius(warmed, "celsius")).isGreaterThan(celsius(wrapped, "celsius") + 0.1);
        assertThat(step(warmed, "Start: hand pump").isEmpty()).isFalse();
        JsonNode nobody = noted(notes, 5, "NOBODY_COMES", "");
        assertThat(nobody.path("nobodyComes").asBoolean()).isTrue();
        assertThat(step(nobody, "Start: hand pump").isEmpty()).isTrue();
        assertThat(step(noted(notes, 6, "SOMEBODY_COMES", ""), "Start: hand pump")
                        .isEmpty())
                .isFalse();
    }
}
