package jollytide.server.effect;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.logfile.Meaning;
import jollytide.core.measure.Agitation;
import jollytide.core.measure.MeasureSet;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import jollytide.server.reading.ReadingService;
import jollytide.server.reading.TimedValue;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.TwinBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Who is to blame, from the log to the checks. */
class SuspectApiTest extends ServerTest {
    private static final int DAYS_BEFORE = 18;
    private static final int DAYS_AFTER = 8;
    private static final Instant CHANGED =
            PRESENT.minus(DAYS_AFTER, ChronoUnit.DAYS).truncatedTo(ChronoUnit.HOURS);

    @Autowired
    private TwinBook book;

    @Autowired
    private TankService tanks;

    @Autowired
    private ReadingService readings;

    @Autowired
    private JdbcTemplate jdbc;

    @Autowired
    private SuspectService service;

    private Visitor keeper;
    private String id;
    private String suspects;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        id = Samples.tank(keeper);
        suspects = "/tanks/" + id + "/suspects";
    }

    /** As an ordinary tank of this description would have logged it, its surface stiller since the change. */
    private void logged() {
        OrdinaryDays days = new OrdinaryDays(book.setup(tank()), TankParameters.ORDINARY);
        Instant from = CHANGED.minus(DAYS_BEFORE, ChronoUnit.DAYS);
        Duration step = Duration.ofMinutes(30);
        List<TwinState> states =
                new ArrayList<>(days.run(days.today(from), MeasureSet.NONE, Duration.between(from, CHANGED), step));
        states.addAll(days.run(
                states.get(states.size() - 1),
                MeasureSet.of(new Agitation(0.2)),
                Duration.between(CHANGED, PRESENT),
                step));
        readings.saveAll(
                UUID.fromString(jdbc.queryForObject(
                        "select keeper_id from home where id = ?",
                        String.class,
                        tank().home().id().toString())),
                UUID.fromString(id),
                new Meaning(RawUnit.PH_NBS, Place.TANK, Method.PROBE),
                states.stream().map(s -> new TimedValue(s.at(), s.phNbs())).toList());
    }

    private Tank tank() {
        return tanks.tankOfAnyone(UUID.fromString(id));
    }

    private JsonNode asked(String query) {
        Answer answer = keeper.get(suspects + query);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    private static double share(JsonNode view, String suspect) {
        for (JsonNode family : view.path("families")) {
            for (JsonNode one : family.path("suspects")) {
                if (one.path("suspect").asString().equals(suspect)) {
                    return one.path("share").asDouble();
                }
            }
        }
        throw new AssertionError(suspect + " is not suspected");
    }

    @Test
    void blamesTheSurfaceAndKeepsWhatItFound() {
        logged();
        JsonNode view = asked("");
        assertThat(view.path("daysCompared").asBoolean()).isTrue();
        assertThat(view.path("families").path(0).path("family").asString()).isEqualTo("SURFACE");
        assertThat(view.path("steady").path("nights").asInt()).isEqualTo(7);
        assertThat(view.path("next").path(0).path("answers").size()).isGreaterThan(1);
        jdbc.update("update suspect_evidence set document = replace(document, 'Since about', 'Kept since')");
        assertThat(asked("").toString()).contains("Kept since").doesNotContain("Since about");
    }

    @Test
    void theNightlyThreadMakesEachTanksOnce() {
        logged();
        assertThat(service.makeOne(tank(), PRESENT)).isTrue();
        assertThat(kept()).isEqualTo(1);
        assertThat(service.makeOne(tank(), PRESENT)).isFalse();
        assertThat(kept()).isEqualTo(1);
    }

    private int kept() {
        Integer kept =
                jdbc.queryForObject("select count(*) from suspect_evidence where tank_id = ?", Integer.class, id);
        return kept == null ? 0 : kept;
    }

    @Test
    void comparesFromTheDayThatItsKeeperSays() {
        logged();
        LocalDate day = LocalDate.ofInstant(CHANGED, ZoneId.of("Europe/Amsterdam"));
        JsonNode view = asked("?since=" + day);
        assertThat(view.path("since").asString()).isEqualTo(day.toString());
        assertThat(view.path("families").path(0).path("family").asString()).isEqualTo("SURFACE");
    }

    @Test
    void ranksAnewByWhatWasFoundAndTakesItBack() {
        logged();
        double before = share(asked(""), "SURFACE");
        assertThat(keeper.put(suspects + "/checks/SURFACE_LOOK", "{\"answer\":0}")
                        .status())
                .isEqualTo(204);
        JsonNode after = asked("");
        assertThat(share(after, "SURFACE")).isLessThan(before / 2);
        assertThat(after.path("done").path(0).path("check").asString()).isEqualTo("SURFACE_LOOK");
        keeper.put(suspects + "/checks/SURFACE_LOOK", "{\"answer\":1}");
        assertThat(share(asked(""), "SURFACE")).isGreaterThan(before);
        keeper.delete(suspects + "/checks/SURFACE_LOOK");
        assertThat(share(asked(""), "SURFACE")).isEqualTo(before);
        assertThat(asked("").path("done")).isEmpty();
    }

    @Test
    void saysHonestlyThatAnEmptyLogTellsLittle() {
        JsonNode view = asked("");
        assertThat(view.path("daysCompared").asBoolean()).isFalse();
        assertThat(view.path("families").path(0).path("family").asString()).isEqualTo("MEASURING");
        assertThat(view.has("steady")).isFalse();
    }

    @Test
    void refusesWhatCannotBe() {
        String today =
                LocalDate.ofInstant(PRESENT, ZoneId.of("Europe/Amsterdam")).toString();
        Answer tooNew = keeper.get(suspects + "?since=" + today);
        assertThat(tooNew.status()).isEqualTo(422);
        assertThat(tooNew.text())
                .contains("Choose a day two or more whole days ago")
                .contains(" to ");
        assertThat(keeper.get(suspects + "?since=2019-01-01").status()).isEqualTo(422);
        assertThat(keeper.get(suspects + "?since=yesterday").status()).isBetween(400, 499);
        assertThat(keeper.get(suspects + "?since=%2B99999-01-01").status()).isBetween(400, 499);
        for (String body : List.of("{\"answer\":2}", "{\"answer\":-1}", "{}", "{\"answer\":null}", "[]", "")) {
            assertThat(keeper.put(suspects + "/checks/BUFFERS", body).status())
                    .as(body)
                    .isBetween(400, 499);
        }
        assertThat(keeper.put(suspects + "/checks/TAROT", "{\"answer\":0}").status())
                .isBetween(400, 499);
        assertThat(visitor().asNewKeeper().get(suspects).status()).isEqualTo(404);
        assertThat(visitor()
                        .asNewKeeper()
                        .put(suspects + "/checks/BUFFERS", "{\"answer\":0}")
                        .status())
                .isEqualTo(404);
    }
}
