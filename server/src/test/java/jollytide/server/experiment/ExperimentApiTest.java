package jollytide.server.experiment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.Experiment;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Sets;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** An experiment from its choice to what it showed, and all that guards the animals meanwhile. */
class ExperimentApiTest extends ServerTest {
    private static final String HOURS = "{\"experiment\":\"SKIMMER_OFF_BEFORE_LIGHT\"}";
    private static final String NOW = "{\"at\":null}";
    private static final String DONE = "{\"at\":null,\"ended\":\"DONE\"}";
    private static final Duration EVERY = Duration.ofHours(1);
    private static final Duration TRIED_FOR = Duration.ofHours(2);
    private static final int DAYS = 6;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private TwinBook book;

    @Autowired
    private TankService tanks;

    @Autowired
    private ExperimentService service;

    private Visitor keeper;
    private String id;
    private String tank;

    private static final Instant TRIED = PRESENT.minus(80, ChronoUnit.HOURS).truncatedTo(ChronoUnit.HOURS);

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        id = Samples.tank(keeper);
        tank = "/tanks/" + id;
        describe(Samples.LAGOON);
    }

    /** As an ordinary tank of this description would have logged it, up to now; two hours without skimmer among them. */
    private void logged() {
        Setup setup = book.setup(tanks.tankOfAnyone(UUID.fromString(id)));
        OrdinaryDays days = new OrdinaryDays(setup, TankParameters.ORDINARY);
        Instant from = PRESENT.minus(DAYS, ChronoUnit.DAYS).truncatedTo(ChronoUnit.HOURS);
        List<TwinState> states = new ArrayList<>(
                days.run(days.today(from), MeasureSet.NONE, Duration.between(from, TRIED.minus(TRIED_FOR)), EVERY));
        states.addAll(days.run(states.get(states.size() - 1), MeasureSet.of(new SkimmerDraw(0)), TRIED_FOR, EVERY));
        states.addAll(
                days.run(states.get(states.size() - 1), MeasureSet.NONE, Duration.between(TRIED, PRESENT), EVERY));
        for (TwinState s : states) {
            keeper.post(
                    tank + "/readings",
                    Samples.reading(s.at().toString(), "PH_NBS", "TANK", "PROBE", Math.round(s.phNbs() * 1000) / 1e3));
        }
    }

    private JsonNode planned() {
        Answer answer = keeper.post(tank + "/experiments", HOURS);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.body();
    }

    /** As if it had been chosen in another night: its hours are those around now. */
    private void shift(JsonNode planned, int fromMinutes, int untilMinutes) {
        jdbc.update(
                "update chosen_experiment set planned_from = ?, planned_until = ? where id = ?",
                utc(PRESENT.plus(fromMinutes, ChronoUnit.MINUTES)),
                utc(PRESENT.plus(untilMinutes, ChronoUnit.MINUTES)),
                planned.path("id").asString());
    }

    private static String utc(Instant at) {
        return at.toString().replace("T", " ").replace("Z", "");
    }

    private String path(JsonNode experiment) {
        return tank + "/experiments/" + experiment.path("id").asString();
    }

    private JsonNode begun() {
        JsonNode planned = planned();
        shift(planned, -10, 110);
        Answer answer = keeper.post(path(planned) + "/begin", NOW);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    private JsonNode current() {
        return keeper.get(tank + "/experiments/current").body().path("current");
    }

    /** The lamps' own day; what the event puts on the tank is that its lamps stay off. */
    @Test
    void aDayWithoutLampsIsPlannedBegunAndStands() {
        Answer answer = keeper.post(tank + "/experiments", "{\"experiment\":\"LAMPS_OFF_FOR_A_DAY\"}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        JsonNode dark = answer.body();
        assertThat(dark.path("stops").asString()).isEqualTo("LAMPS");
        Instant from = Instant.parse(dark.path("from").asString());
        assertThat(from.atZone(java.time.ZoneId.of("Europe/Amsterdam")).getHour())
                .isEqualTo(10);
        shift(dark, -10, 600);
        JsonNode running = keeper.post(path(dark) + "/begin", NOW).body();
        Instant until = Instant.parse(running.path("until").asString());
        assertThat(Instant.parse(running.path("lateFrom").asString())).isEqualTo(until.plus(12, ChronoUnit.HOURS));
        String event = jdbc.queryForObject(
                "select event_id from chosen_experiment where id = ?",
                String.class,
                dark.path("id").asString());
        assertThat(keeper.get(tank + "/events/" + event)
                        .body()
                        .path("measures")
                        .path(0)
                        .path("kind")
                        .asString())
                .isEqualTo("lamps");
        String home = keeper.get(tank).body().path("homeId").asString();
        assertThat(keeper.get("/homes/" + home + "/due").text()).contains("lamps back on the timer after");
    }

    @Test
    void itIsPlannedForItsHoursAndDueThen() {
        JsonNode planned = planned();
        // Lights-on is at ten in Amsterdam: the two hours before it, tomorrow.
        assertThat(planned.path("from").asString()).isEqualTo("2026-11-13T07:00:00Z");
        assertThat(planned.path("until").asString()).isEqualTo("2026-11-13T09:00:00Z");
        assertThat(planned.path("stage").asString()).isEqualTo("PLANNED");
        assertThat(planned.path("lowestOxygenMgPerL").asDouble()).isGreaterThanOrEqualTo(5);
        String home = keeper.get(tank).body().path("homeId").asString();
        JsonNode due = keeper.get("/homes/" + home + "/due").body().path(0);
        assertThat(due.path("what").asString()).isEqualTo("Tide pool: skimmer off at 08:00.");
        assertThat(due.path("on").asString()).isEqualTo("2026-11-13");
        String calendar = keeper.get("/homes/" + home + "/due.ics").text().replace("\r\n ", "");
        assertThat(calendar).contains("DTSTART:20261113T070000Z", "DTEND:20261113T090000Z");
        assertThat(calendar.lines().filter("BEGIN:VALARM"::equals)).hasSize(2);
        assertThat(calendar).contains("TRIGGER;RELATED=START:PT0S", "TRIGGER;RELATED=END:PT0S");

        assertThat(keeper.post(tank + "/experiments", HOURS).status()).isEqualTo(409);
        Answer early = keeper.post(path(planned) + "/begin", NOW);
        assertThat(early.status()).isEqualTo(422);
        assertThat(early.problem()).contains("Too early");
        assertThat(keeper.post(path(planned) + "/end", DONE).status()).isEqualTo(422);

        assertThat(keeper.send("DELETE", path(planned), "").status()).isEqualTo(204);
        assertThat(current().isObject()).isFalse();
        assertThat(keeper.get("/homes/" + home + "/due").body()).isEmpty();
    }

    @Test
    void nobodyBeganItAndAnotherTakesItsPlace() {
        shift(planned(), -200, -80);
        assertThat(current().isObject()).isFalse();
        assertThat(planned().path("stage").asString()).isEqualTo("PLANNED");
        assertThat(jdbc.queryForObject("select count(*) from chosen_experiment where tank_id = ?", Integer.class, id))
                .isOne();
    }

    @Test
    void whileItGoesOnTheTankIsWhatItUsuallyIs() {
        String bench = keeper.get(tank + "/bench").body().path("tanks").toString();
        JsonNode running = begun();
        assertThat(running.path("stage").asString()).isEqualTo("RUNNING");
        Instant until = Instant.parse(running.path("until").asString());
        Instant late = Instant.parse(running.path("lateFrom").asString());
        assertThat(late).isAfter(until.minusSeconds(1)).isBeforeOrEqualTo(until.plusSeconds(900));
        JsonNode now = keeper.get(tank + "/bench").body();
        assertThat(now.path("standing")).isEmpty();
        assertThat(now.path("tanks")).hasToString(bench);
        assertThat(keeper.post(path(running) + "/begin", NOW).status()).isEqualTo(409);
        assertThat(keeper.send("DELETE", path(running), "").status()).isEqualTo(409);
    }

    /** Whoever deletes its event by mistake leaves the skimmer off: it is still called for, and noted when it is on. */
    @Test
    void withoutItsEventItStillGoesOn() {
        JsonNode running = begun();
        String event = keeper.get(tank + "/history")
                .body()
                .path("events")
                .path(0)
                .path("id")
                .asString();
        assertThat(keeper.send("DELETE", tank + "/events/" + event, "").status())
                .isEqualTo(204);
        assertThat(current().path("stage").asString()).isEqualTo("RUNNING");
        assertThat(keeper.post(path(running) + "/end", DONE).status()).isEqualTo(200);
        JsonNode events = keeper.get(tank + "/history").body().path("events");
        assertThat(events).hasSize(1);
        keeper.send("DELETE", tank + "/events/" + events.path(0).path("id").asString(), "");
        assertThat(keeper.get(tank + "/experiments").body().path("over")).isEmpty();
    }

    @Test
    void aReadingThatIsTooLowCallsEverybody() {
        begun();
        assertThat(current().has("shortOfOxygen")).isFalse();
        String at = Instant.now().plus(Duration.between(Instant.now(), PRESENT)).toString();
        keeper.post(tank + "/readings", Samples.reading(at, "OXYGEN_MG_PER_L", "TANK", "PROBE", 4.6));
        // Read before it began by the clock's seconds, it would be no warning.
        jdbc.update("update chosen_experiment set begun_at = ? where tank_id = ?", utc(PRESENT.minusSeconds(600)), id);
        assertThat(current().path("shortOfOxygen").asDouble()).isEqualTo(4.6);
    }

    @Test
    void aHelperSeesItAndEndsIt() {
        JsonNode running = begun();
        String home = keeper.get(tank).body().path("homeId").asString();
        String code = keeper.post("/homes/" + home + "/helpers", "{\"name\":\"Jonas\"}")
                .body()
                .path("code")
                .asString();
        Visitor helper = visitor();
        helper.post("/session/helper", "{\"code\":\"" + code + "\"}");
        helper.get("/session");
        assertThat(helper.get(tank + "/experiments/current")
                        .body()
                        .path("current")
                        .path("stage")
                        .asString())
                .isEqualTo("RUNNING");
        assertThat(helper.post(tank + "/experiments", HOURS).status()).isEqualTo(403);
        Answer ended = helper.post(path(running) + "/end", "{\"at\":null,\"ended\":\"ANIMALS\"}");
        assertThat(ended.status()).as(ended.text()).isEqualTo(200);
        assertThat(ended.body().path("ended").asString()).isEqualTo("ANIMALS");
        assertThat(helper.post(path(running) + "/end", DONE).status()).isEqualTo(409);
    }

    /** It is fitted at once, up to the end of its way back; then what it showed stays as it was. */
    @Test
    void whatItShowedIsShownBesideWhatItPromised() {
        logged();
        int halfHours = keeper.get(tank + "/twin").body().path("halfHours").asInt();
        JsonNode running = begun();
        jdbc.update(
                "update chosen_experiment set begun_at = ? where tank_id = ?",
                utc(PRESENT.minusSeconds(10 * 3600)),
                id);
        jdbc.update("update tank_event set at = ? where tank_id = ?", utc(PRESENT.minusSeconds(10 * 3600)), id);
        String eightHoursAgo = PRESENT.minusSeconds(8 * 3600).toString();
        Answer ended = keeper.post(path(running) + "/end", "{\"at\":\"" + eightHoursAgo + "\",\"ended\":\"DONE\"}");
        assertThat(ended.status()).as(ended.text()).isEqualTo(200);
        assertThat(Instant.parse(ended.body().path("until").asString())).isEqualTo(eightHoursAgo);
        JsonNode event = keeper.get(tank + "/history").body().path("events").path(0);
        assertThat(event.path("kind").asString()).isEqualTo("EXPERIMENT");
        assertThat(Instant.parse(event.path("until").asString())).isEqualTo(eightHoursAgo);
        // Today's hours up to two ago, which the nightly fit would not have had.
        assertThat(keeper.get(tank + "/twin").body().path("halfHours").asInt()).isGreaterThan(halfHours + 8);

        JsonNode over = keeper.get(tank + "/experiments").body().path("over").path(0);
        assertThat(over.path("settled").asBoolean()).isFalse();
        assertThat(over.path("findings")).isNotEmpty().allSatisfy(finding -> {
            assertThat(finding.path("promised").asDouble()).isBetween(0.0, 1.0);
            double before = width(finding.path("before"));
            double after = width(finding.path("after"));
            assertThat(finding.path("achieved").asDouble())
                    .isEqualTo(before == 0 ? 0 : 1 - after / before, within(1e-9));
        });
        for (int i = 0; i < 50 && !settled(); i++) {
            assertThat(service.settleOne()).isTrue();
        }
        JsonNode kept = keeper.get(tank + "/experiments").body().path("over").path(0);
        assertThat(kept.path("findings").path(0).path("after"))
                .isEqualTo(over.path("findings").path(0).path("after"));
    }

    private boolean settled() {
        return keeper.get(tank + "/experiments")
                .body()
                .path("over")
                .path(0)
                .path("settled")
                .asBoolean();
    }

    private static double width(JsonNode band) {
        return band.path("high").asDouble() - band.path("low").asDouble();
    }

    /** Of another change nobody knows how strong it was, so its readings are left out; of an experiment it is known. */
    @Test
    void theReadingsOfAnExperimentCount() {
        logged();
        int all = keeper.get(tank + "/twin").body().path("halfHours").asInt();
        String event = noted("EXPERIMENT");
        assertThat(keeper.get(tank + "/twin").body().path("halfHours").asInt()).isEqualTo(all);
        keeper.send("DELETE", event, "");
        noted("OTHER");
        assertThat(keeper.get(tank + "/twin").body().path("halfHours").asInt()).isLessThan(all - 40);
    }

    /** Noted by hand: as long as nobody says what it did, the tank was not as it is described. */
    @Test
    void anExperimentOfWhichNobodySaysWhatItDidIsLeftOut() {
        logged();
        int all = keeper.get(tank + "/twin").body().path("halfHours").asInt();
        keeper.post(tank + "/events", """
                {"kind":"EXPERIMENT","at":"%s","until":"%s","excludesDays":null,"title":"something","note":""}""".formatted(TRIED.minus(TRIED_FOR), TRIED));
        int hours = (int) TRIED_FOR.plus(Experiment.RECOVERY).toHours();
        assertThat(keeper.get(tank + "/twin").body().path("halfHours").asInt()).isEqualTo(all - hours);
    }

    private String noted(String kind) {
        Answer done = keeper.post(tank + "/done", """
                {"event":{"kind":"%s","at":"%s","until":"%s","excludesDays":null,"title":"off","note":""},
                 "measures":[%s]}""".formatted(
                        kind, TRIED.minus(TRIED_FOR), TRIED, Sets.measure("skimmer-draw", "times=0")));
        assertThat(done.status()).as(done.text()).isEqualTo(201);
        return tank + "/events/" + done.body().path("event").path("id").asString();
    }

    @Test
    void anExperimentEnds() {
        Answer refused = keeper.post(tank + "/events", """
                {"kind":"EXPERIMENT","at":"2026-11-10T08:00","until":null,"excludesDays":null,"title":"off","note":""}""");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.firstError().path("field").asString()).isEqualTo("until");
    }

    @Test
    void onlyWhatNeedsAGuardIsGuarded() {
        Answer kit = keeper.post(tank + "/experiments", "{\"experiment\":\"ANOTHER_ALKALINITY_TEST\"}");
        assertThat(kit.status()).isEqualTo(422);
        assertThat(keeper.post(tank + "/experiments", "{\"experiment\":\"NIGHT\"}")
                        .status())
                .isIn(400, 422);
        describe(Samples.LAGOON.replace(",\"skimmerAirDrawLPerH\":500", ""));
        Answer none = keeper.post(tank + "/experiments", HOURS);
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.problem()).contains("no skimmer");
    }

    /** A tank full of fish: whatever it would tell, it is not made; what was planned before they came is not begun. */
    @Test
    void oxygenIsLookedAtWhenItIsChosenAndWhenItBegins() {
        JsonNode planned = planned();
        shift(planned, -10, 110);
        String crowd = "{\"fish\":[{\"name\":\"tang\",\"count\":40,\"massG\":120}]}";
        describe(Samples.LAGOON.replace("\"assumptions\":{}", "\"assumptions\":{},\"parts\":" + crowd));
        Answer begin = keeper.post(path(planned) + "/begin", NOW);
        assertThat(begin.status()).as(begin.text()).isEqualTo(422);
        assertThat(begin.problem()).containsIgnoringCase("oxygen");
        keeper.send("DELETE", path(planned), "");
        assertThat(keeper.post(tank + "/experiments", HOURS).problem()).contains("Oxygen could fall to");
    }

    private void describe(String description) {
        long version = keeper.get(tank).body().path("version").asLong();
        Answer saved = keeper.put(tank, "{\"version\":" + version + ",\"description\":" + description + "}");
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
    }
}
