package jollytide.server.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Sets;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What was done to a tank in the bench's own terms: the twin has it on from then to its end. */
class DoneTest extends ServerTest {
    private Visitor keeper;
    private String tank;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
    }

    private static String hoursAgo(int hours) {
        return PRESENT.minus(hours, ChronoUnit.HOURS)
                .truncatedTo(ChronoUnit.SECONDS)
                .toString();
    }

    private static String body(String title, String at, String until, String... measures) {
        return """
                {"event":{"kind":"REMEDY","at":"%s","until":%s,"excludesDays":null,"title":"%s","note":""},
                 "measures":[%s]}""".formatted(at, until == null ? "null" : "\"" + until + "\"", title, String.join(",", measures));
    }

    private static final String WIDE = Sets.measure("outdoor-line", "lengthM=4", "boreMm=12.7");
    private static final String THIN = Sets.measure("outdoor-line", "lengthM=6", "boreMm=6");

    private JsonNode bench() {
        return keeper.get(tank + "/bench").body();
    }

    private double trough(String set) {
        JsonNode bench = bench();
        return keeper.post(tank + "/bench/forecast", """
                        {"tanks":[%s],"variants":[%s],"days":null}""".formatted(
                                bench.path("tanks").get(0), set))
                .body()
                .get(0)
                .path("troughPh")
                .path("value")
                .asDouble();
    }

    @Test
    void whatWasDoneStandsAndItsForecastIsKept() {
        double before = trough(Sets.NONE);
        double tried = trough(Sets.of(WIDE));
        Visitor.Answer done = keeper.post(tank + "/done", body("hose to the front", hoursAgo(1), null, WIDE));
        assertThat(done.status()).as(done.text()).isEqualTo(201);
        JsonNode forecast = done.body().path("event").path("forecast");
        assertThat(forecast.path("troughPh").path("value").asDouble()).isCloseTo(tried, within(0.002));
        assertThat(forecast.path("gainPh").path("value").asDouble()).isCloseTo(tried - before, within(0.002));
        assertThat(forecast.path("gainPh").path("low").asDouble())
                .isLessThan(forecast.path("gainPh").path("high").asDouble());
        assertThat(bench().path("standing").get(0).path("title").asString()).isEqualTo("hose to the front");
        assertThat(trough(Sets.NONE)).isCloseTo(tried, within(0.004));
    }

    /** Media that were noted and never weighed in stand in the first schedule all the same. */
    @Test
    void mediaThatWereNotedStandInTheFirstSchedule() {
        assertThat(keeper.get(tank + "/schedule").text()).doesNotContain("MEDIA");
        String media = Sets.measure("scrubber", "massKg=1", "recirculated=0");
        keeper.post(tank + "/done", body("media", hoursAgo(100), null, media));
        JsonNode rules = keeper.get(tank + "/schedule").body().path("schedule").path("rules");
        assertThat(rules.toString()).contains("\"lane\":\"air\"").contains("MEDIA");
    }

    /** The hose is tried off the tank: as if it had never been fitted, once settled; and another in its place. */
    @Test
    void whatStandsCanBeTriedWithout() {
        double before = trough(Sets.NONE);
        double wide = trough(Sets.of(WIDE));
        double thin = trough(Sets.of(THIN));
        String hose = keeper.post(tank + "/done", body("hose", hoursAgo(100), null, WIDE))
                .body()
                .path("event")
                .path("id")
                .asString();
        String without = "\"without\":[\"" + hose + "\"]";
        assertThat(trough(Sets.NONE)).isCloseTo(wide, within(0.004));
        assertThat(trough("{\"measures\":[]," + without + "}")).isCloseTo(before, within(0.004));
        assertThat(trough("{\"measures\":[" + THIN + "]," + without + "}")).isCloseTo(thin, within(0.004));
        Visitor.Answer gone = keeper.post(
                tank + "/bench/forecast",
                "{\"tanks\":[" + bench().path("tanks").get(0) + "],\"variants\":[{\"measures\":[],\"without\":[\""
                        + UUID.randomUUID() + "\"]}],\"days\":null}");
        assertThat(gone.status()).isEqualTo(422);
        assertThat(gone.text()).contains("has already ended");
    }

    @Test
    void theNextOfItsKindEndsItAndWhatIsOverStandsNoMore() {
        double before = trough(Sets.NONE);
        keeper.post(tank + "/done", body("wide", hoursAgo(100), null, WIDE));
        JsonNode second = keeper.post(tank + "/done", body("thin", hoursAgo(20), null, THIN))
                .body();
        assertThat(second.path("ended").toString()).isEqualTo("[\"wide\"]");
        assertThat(bench().path("standing")).hasSize(1);
        JsonNode thin = second.path("event");
        String edit =
                """
                {"version":%d,"event":{"kind":"REMEDY","at":"%s","until":"%s","excludesDays":null,"title":"thin","note":""}}""".formatted(thin.path("version").asLong(), thin.path("at").asString(), hoursAgo(2));
        assertThat(keeper.put(tank + "/events/" + thin.path("id").asString(), edit)
                        .status())
                .isEqualTo(200);
        assertThat(bench().path("standing")).isEmpty();
        assertThat(trough(Sets.NONE)).isCloseTo(before, within(0.002));
    }

    @Test
    void whatIsWrittenDownLateEndsWhereTheNextBegan() {
        keeper.post(tank + "/done", body("thin", hoursAgo(20), null, THIN));
        JsonNode late = keeper.post(tank + "/done", body("wide", hoursAgo(100), null, WIDE))
                .body()
                .path("event");
        assertThat(Instant.parse(late.path("until").asString())).isBefore(PRESENT.minus(19, ChronoUnit.HOURS));
        Visitor.Answer over = keeper.post(tank + "/done", body("wide again", hoursAgo(30), hoursAgo(10), WIDE));
        assertThat(over.status()).isEqualTo(422);
        assertThat(over.firstError().path("message").asString()).contains("“thin”", "same kind");
    }

    @Test
    void anEventSaysLaterWhatItDidAndTakesItBack() {
        String event = keeper.post(tank + "/events", """
                        {"kind":"REMEDY","at":"%s","until":null,"excludesDays":null,"title":"a hose","note":""}""".formatted(hoursAgo(5)))
                .body()
                .path("id")
                .asString();
        assertThat(bench().path("standing")).isEmpty();
        String path = tank + "/events/" + event + "/measures";
        JsonNode said =
                keeper.put(path, "{\"version\":0,\"measures\":[" + WIDE + "]}").body();
        assertThat(said.path("event").path("measures")).hasSize(1);
        assertThat(bench().path("standing")).hasSize(1);
        assertThat(keeper.put(path, "{\"version\":0,\"measures\":[]}").status()).isEqualTo(409);
        JsonNode nothing = keeper.put(path, "{\"version\":1,\"measures\":[]}").body();
        assertThat(nothing.path("event").path("measures").isArray()).isTrue();
        assertThat(bench().path("standing")).isEmpty();
    }

    @Test
    void whatTheTankCannotHaveIsRefusedAndNothingIsKept() {
        Visitor.Answer none = keeper.post(tank + "/done", body("nothing", hoursAgo(1), null));
        assertThat(none.status()).isEqualTo(422);
        Visitor.Answer reactor =
                keeper.post(tank + "/done", body("reactor", hoursAgo(1), null, Sets.measure("reactor")));
        assertThat(reactor.status()).isEqualTo(422);
        Visitor.Answer tomorrow = keeper.post(tank + "/done", body("hose", hoursAgo(-30), null, WIDE));
        assertThat(tomorrow.firstError().path("field").asString()).isEqualTo("at");
        assertThat(keeper.get(tank + "/history").body().path("events")).isEmpty();
    }

    /** A description that changes under it is said, and the tank is computed without. */
    @Test
    void whatNoLongerFitsIsSaid() {
        keeper.post(tank + "/done", body("hose", hoursAgo(1), null, WIDE));
        long version = keeper.get(tank).body().path("version").asLong();
        keeper.put(
                tank,
                "{\"version\":" + version + ",\"since\":null,\"description\":"
                        + Samples.TANK.replace("\"skimmerAirDrawLPerH\":500", "\"skimmerAirDrawLPerH\":null") + "}");
        JsonNode bench = bench();
        assertThat(bench.path("fitProblem").asString()).contains("“hose”", "skimmer");
        assertThat(bench.path("standing")).isEmpty();
    }

    /** A maintenance of which nobody says what it did makes another tank; one that did nothing does not. */
    @Test
    void onlyWhatIsNotSaidBeginsAnew() {
        Visitor mira = visitor();
        mira.post("/session/demo", "");
        String heron = BenchTest.tank(mira, "Heron");
        String event = mira.post(heron + "/events", """
                        {"kind":"MAINTENANCE","at":"%s","until":null,"excludesDays":null,"title":"cleaned","note":""}""".formatted(hoursAgo(3)))
                .body()
                .path("id")
                .asString();
        JsonNode unsaid = mira.get(heron + "/twin").body();
        mira.put(heron + "/events/" + event + "/measures", "{\"version\":0,\"measures\":[]}");
        JsonNode said = mira.get(heron + "/twin").body();
        mira.delete(heron + "/events/" + event);
        assertThat(unsaid.path("fitted").asBoolean()).isFalse();
        assertThat(unsaid.path("problem").asString()).contains("“cleaned”", "Describe the event’s effect");
        assertThat(said.path("fitted").asBoolean()).isTrue();
    }

    /** A probe that was calibrated weeks ago is not taken off by a hose. */
    @Test
    void whatDidNothingIsEndedByNothing() {
        String cleaned = keeper.post(tank + "/events", """
                        {"kind":"MAINTENANCE","at":"%s","until":null,"excludesDays":null,"title":"cleaned","note":""}""".formatted(hoursAgo(50)))
                .body()
                .path("id")
                .asString();
        keeper.put(tank + "/events/" + cleaned + "/measures", "{\"version\":0,\"measures\":[]}");
        JsonNode done = keeper.post(tank + "/done", body("hose", hoursAgo(1), null, WIDE))
                .body();
        assertThat(done.path("ended")).isEmpty();
        assertThat(keeper.get(tank + "/events/" + cleaned).body().has("until")).isFalse();
    }

    @Test
    void whatAnimalsUseIsOneMoreUnknown() {
        for (int i = 0; i < 90; i++) {
            String at = PRESENT.minus(30L * (i + 20), ChronoUnit.MINUTES).toString();
            double ph = 8 + 0.1 * Math.sin(i / 48.0 * 2 * Math.PI);
            keeper.post(tank + "/readings", Samples.reading(at, "PH_NBS", "TANK", "PROBE", ph));
        }
        assertThat(keeper.get(tank + "/twin").body().path("unknowns").toString())
                .contains("\"RESPIRATION\"")
                .doesNotContain("\"USE\"");
        long version = keeper.get(tank).body().path("version").asLong();
        String uses = Samples.TANK.replace(
                "\"assumptions\":{}", "\"assumptions\":{},\"parts\":{\"alkalinityUseDkhPerDay\":1}");
        keeper.put(tank, "{\"version\":" + version + ",\"since\":null,\"description\":" + uses + "}");
        JsonNode twin = keeper.get(tank + "/twin").body();
        assertThat(twin.path("unknowns").toString()).contains("\"USE\"");
    }

    /** A tank that was learnt before a hose was fitted is not unknown after it. */
    @Test
    void whatWasLearntOfTheTankStaysLearnt() {
        Visitor mira = visitor();
        mira.post("/session/demo", "");
        String heron = BenchTest.tank(mira, "Heron");
        double before = width(mira.get(heron + "/twin").body());
        String stone = mira.post(
                        heron + "/done", body("a stone", hoursAgo(3), null, Sets.measure("stone", "airLPerH=60")))
                .body()
                .path("event")
                .path("id")
                .asString();
        JsonNode after = mira.get(heron + "/twin").body();
        mira.delete(heron + "/events/" + stone);
        assertThat(stone).isNotEmpty();
        assertThat(after.path("fitted").asBoolean()).isTrue();
        assertThat(after.path("standing")).hasSize(1);
        assertThat(width(after)).isCloseTo(before, within(0.1 * before));
    }

    /** Of what is left open of its respiration. */
    private static double width(JsonNode twin) {
        for (JsonNode one : twin.path("unknowns")) {
            if (one.path("unknown").asString().equals("RESPIRATION")) {
                return one.path("after").path("high").asDouble()
                        - one.path("after").path("low").asDouble();
            }
        }
        throw new AssertionError(twin.toString());
    }

    /** The demo's half-inch hose stood for four days; on one of them the twin is the tank as it was then. */
    @Test
    void aPastDayIsTheTankAsItWas() {
        Visitor mira = visitor();
        mira.post("/session/demo", "");
        String reef = BenchTest.tank(mira, "Lantern Reef");
        JsonNode hose = null;
        for (JsonNode e : mira.get(reef + "/history").body().path("events")) {
            hose = e.path("title").asString().startsWith("half-inch") ? e : hose;
        }
        assertThat(hose).isNotNull();
        String day = Instant.parse(hose.path("at").asString())
                .plus(2, ChronoUnit.DAYS)
                .toString()
                .substring(0, 10);
        JsonNode then = mira.get(reef + "/twin?day=" + day).body();
        assertThat(then.path("standing").get(0).path("id")).isEqualTo(hose.path("id"));
        assertThat(mira.get(reef + "/twin").body().path("standing")).isEmpty();
        for (String never : List.of("2090-01-01", "0001-01-01", "%2B999999999-12-31")) {
            assertThat(mira.get(reef + "/twin?day=" + never).status()).as(never).isEqualTo(422);
        }
        assertThat(mira.get(reef + "/twin?day=yesterday").status()).isBetween(400, 422);
    }
}
