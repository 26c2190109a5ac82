package jollytide.server.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A 420 L tank that is dosed. */
class DosingApiTest extends ServerTest {
    @Autowired
    private JdbcTemplate jdbc;

    private Visitor keeper;
    private String tank;
    private String doses;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        doses = tank + "/dosing";
    }

    private static Instant before(double days) {
        return PRESENT.minus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private Answer line(String solute, double share, double vesselMl, double mlPerDay, Instant at) {
        return keeper.post(
                doses, """
                {"name":"%s","solute":"%s","share":%s,"vesselMl":%s,"mlPerDay":%s,"at":"%s"}""".formatted(solute.toLowerCase(Locale.ROOT), solute, share, vesselMl, mlPerDay, at));
    }

    private String limewater(double mlPerDay) {
        Answer made = line("LIMEWATER", 1, 5000, mlPerDay, before(40));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return doses + "/" + made.body().path("id").asString();
    }

    private Answer note(String line, Instant at, String kind, Object value, String readIn) {
        return keeper.post(
                line + "/notes", """
                {"at":"%s","kind":"%s","value":%s,"readIn":%s,"note":""}""".formatted(at, kind, value, readIn == null ? "null" : "\"" + readIn + "\""));
    }

    private void noted(String line, double daysAgo, String kind, Object value) {
        Answer made = note(line, before(daysAgo), kind, value, value == null ? null : "ML");
        assertThat(made.status()).as(made.text()).isEqualTo(201);
    }

    private JsonNode first() {
        Answer answer = keeper.get(doses);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body().path("lines").path(0);
    }

    /** 300 mL of saturated limewater a day: 300 × 0.0406 / 420 = 0.029 meq/L. */
    @Test
    void saysWhatALineBringsAndWhenItsVesselIsEmpty() {
        String line = limewater(300);
        noted(line, 4, "FILLED", null);
        JsonNode view = first();
        assertThat(view.path("meqPerLPerDay").asDouble()).isCloseTo(0.029, within(0.0001));
        assertThat(view.path("state").asString()).isEqualTo("NOT_KNOWN");
        assertThat(view.path("daysLeft").path("value").asDouble()).isCloseTo(5000 / 300.0 - 4, within(0.01));
    }

    private Answer cylinder(String line, double daysAgo, Object asked, Object gave) {
        return keeper.post(line + "/notes", """
                {"at":"%s","kind":"CYLINDER","value":%s,"asked":%s,"readIn":null,"note":""}""".formatted(before(daysAgo), gave, asked));
    }

    /** Set to give 30 mL it gave 24: four fifths, until something is changed or levels tell. */
    @Test
    void aPumpIsRunIntoACylinder() {
        String line = limewater(300);
        assertThat(cylinder(line, 2, 30, 24).status()).isEqualTo(201);
        JsonNode view = first();
        assertThat(view.path("state").asString()).isEqualTo("SHORT");
        assertThat(view.path("cylinderShare").path("value").asDouble()).isCloseTo(0.8, within(1e-9));
        assertThat(view.path("lookFor")).isNotEmpty();
        JsonNode noted = view.path("notes").path(0);
        assertThat(noted.path("askedMl").asDouble()).isEqualTo(30);
        assertThat(noted.path("ml").asDouble()).isEqualTo(24);
        // It is no level: what the vessel holds is not known by it.
        assertThat(view.path("daysLeft").isMissingNode()
                        || view.path("daysLeft").isNull())
                .isTrue();
        noted(line, 1, "CHANGED", null);
        assertThat(first().path("state").asString()).isEqualTo("NOT_KNOWN");
        assertThat(cylinder(line, 0.5, 30, 30).status()).isEqualTo(201);
        assertThat(first().path("state").asString()).isEqualTo("AS_PLANNED");
    }

    @Test
    void aCylinderNeedsBothAndHoldsNoMoreThanTwice() {
        String line = limewater(300);
        assertThat(cylinder(line, 1, null, 24).status()).isEqualTo(422);
        assertThat(cylinder(line, 1, 30, null).status()).isEqualTo(422);
        assertThat(cylinder(line, 1, 30, 61).status()).isEqualTo(422);
        assertThat(cylinder(line, 1, -30, 20).status()).isEqualTo(422);
        assertThat(cylinder(line, 1, 0, 0).status()).isEqualTo(422);
        assertThat(first().path("notes")).isEmpty();
    }

    @Test
    void aLineThatFallsShortIsCalledWithWhereToLook() {
        String line = limewater(300);
        noted(line, 10, "FILLED", 5000);
        for (int day = 8; day >= 0; day -= 2) {
            noted(line, day, "LEVEL", 5000 - 0.74 * 300 * (10 - day));
        }
        noted(line, 1, "BUBBLES", null);
        JsonNode view = first();
        assertThat(view.path("state").asString()).isEqualTo("SHORT");
        assertThat(view.path("runs").path(0).path("share").path("value").asDouble())
                .isCloseTo(0.74, within(0.01));
        assertThat(view.path("lookFor").path(0).asString()).contains("Air in the dosing line");
        String home = keeper.get(tank).body().path("homeId").asString();
        assertThat(keeper.get("/homes/" + home + "/due").text())
                .contains("limewater: less than planned arrives", "limewater: refill.");
    }

    /** What was changed begins anew: 74 % before, all of it since. */
    @Test
    void aChangeIsSeenBeforeAndAfter() {
        String line = limewater(300);
        noted(line, 20, "FILLED", 5000);
        noted(line, 10, "LEVEL", 5000 - 0.74 * 300 * 10);
        noted(line, 10, "CHANGED", null);
        noted(line, 2, "LEVEL", 2780 - 300 * 8);
        JsonNode view = first();
        assertThat(view.path("runs").size()).isEqualTo(2);
        assertThat(view.path("runs").path(1).path("share").path("value").asDouble())
                .isCloseTo(1, within(0.01));
        assertThat(view.path("state").asString()).isEqualTo("AS_PLANNED");
    }

    /** Tests fell by 0.1 dKH a week while 300 mL a day arrived. */
    @Test
    void whatIsUsedIsWhatArrivedLessWhatTestsShow() {
        String line = limewater(300);
        noted(line, 30, "FILLED", 5000);
        noted(line, 15, "LEVEL", 500);
        noted(line, 15, "FILLED", 5000);
        noted(line, 0, "LEVEL", 500);
        for (int week = 3; week >= 0; week--) {
            keeper.post(
                    tank + "/readings",
                    Samples.reading(before(7.0 * week).toString(), "DKH", "TANK", "TITRATION_KIT", 8 + 0.1 * week));
        }
        JsonNode use = keeper.get(doses).body().path("use");
        double arrived = 300 * 2 * 0.0203 / 420;
        assertThat(use.at("/alkalinity/arrivedPerDay/value").asDouble()).isCloseTo(arrived, within(0.0005));
        assertThat(use.path("alkalinity").path("perDay").path("value").asDouble())
                .isCloseTo(arrived + AlkalinityUnit.DKH.toMeqPerL(0.1) / 7, within(0.0006));
        assertThat(use.path("calcium").isMissingNode()).isTrue();
        // Half of 0.0051 meq/L a day: 26 mL of saturated limewater into 420 L.
        JsonNode next = first().path("next");
        assertThat(next.path("mlPerDay").asDouble())
                .isCloseTo(300 + AlkalinityUnit.DKH.toMeqPerL(0.1) / 7 / 2 * 420 / 0.0406, within(3.0));
        assertThat(next.path("missing").path("low").asDouble()).isPositive();
        // What is missing is missing once: a smaller line beside it is not raised, too.
        Answer drop = line("LIMEWATER", 1, 1000, 5, before(0.1));
        assertThat(drop.status()).isEqualTo(201);
        assertThat(keeper.get(doses).body().path("lines").findValues("next")).hasSize(1);
        // One that brings all that is missing ends it, whatever arrived in the weeks before.
        String smaller = doses + "/" + drop.body().path("id").asString();
        assertThat(keeper.post(smaller + "/plans", "{\"at\":\"" + before(0.05) + "\",\"mlPerDay\":50}")
                        .status())
                .isEqualTo(204);
        assertThat(keeper.get(doses).body().path("lines").findValues("next")).isEmpty();
    }

    @Test
    void rulesStopALineAndSayWhatIsAllowed() {
        Answer tooMuch = line("LIMEWATER", 1, 5000, 50_000, before(1));
        assertThat(tooMuch.status()).isEqualTo(422);
        assertThat(tooMuch.text()).contains("Salinity would fall", "mL a day");
        Answer vessel = line("LIMEWATER", 1, 25_000, 300, before(1));
        assertThat(vessel.text()).contains("empties at once", "siphon");
        assertThat(line("SODA_ASH", 1, 100, 90, before(1)).text()).contains("rise too fast");
        String line = limewater(300);
        assertThat(keeper.post(line + "/plans", "{\"at\":\"" + before(1) + "\",\"mlPerDay\":50000}")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.post(line + "/plans", "{\"at\":\"" + before(1) + "\",\"mlPerDay\":400}")
                        .status())
                .isEqualTo(204);
        assertThat(first().path("mlPerDay").asDouble()).isEqualTo(400);
    }

    /** Where a vessel that empties at once would kill, both ways must be closed; what they are stands with the line. */
    @Test
    void aVesselThatWouldKillNeedsItsGuards() {
        String can = """
                {"name":"can","solute":"LIMEWATER","share":1,"vesselMl":25000,"mlPerDay":300,%s"at":"%s"}""";
        for (String missing :
                List.of("\"siphon\":\"NOTHING\",\"stuck\":\"TIMER_IN_SERIES\",", "\"siphon\":\"OUTLET_ABOVE\",", "")) {
            Answer refused = keeper.post(doses, can.formatted(missing, before(1)));
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.problem()).contains("Animals would die");
        }
        String both = "\"siphon\":\"OUTLET_ABOVE\",\"stuck\":\"METERED_HEAD\",";
        assertThat(keeper.post(doses, can.formatted(both, before(1))).status()).isEqualTo(201);
        assertThat(first().path("emptied").path("kills").asBoolean()).isTrue();
        assertThat(first().path("siphon").asString()).isEqualTo("OUTLET_ABOVE");
        // One that ran before anybody was asked goes on, and is due.
        jdbc.update("update dosing_line set siphon = null, stuck = null where name = 'can'");
        assertThat(first().path("mlPerDay").asDouble()).isEqualTo(300);
        String home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        assertThat(keeper.get(home + "/due").text()).contains("keeps this vessel from emptying at once");
        String line = doses + "/" + first().path("id").asString();
        assertThat(keeper.put(line + "/guard", "{\"siphon\":\"ANTI_SIPHON_VALVE\",\"stuck\":\"TIMER_IN_SERIES\"}")
                        .status())
                .isEqualTo(204);
        assertThat(keeper.get(home + "/due").text()).doesNotContain("keeps this vessel from emptying at once");
    }

    /** Potassium counts from when its line began, over lines that have ended, less what water changes took along. */
    @Test
    void potassiumIsCountedFromTheBeginning() {
        Answer lye = line("POTASSIUM_HYDROXIDE", 0.5, 500, 60, before(40));
        assertThat(lye.status()).as(lye.text()).isEqualTo(201);
        double now = keeper.get(doses).body().path("creep").path("potassiumNow").asDouble();
        double perDay =
                keeper.get(doses).body().path("creep").path("potassiumMgPerL").asDouble();
        assertThat(now).isCloseTo(400 + 40 * perDay, within(0.1 * perDay));
        keeper.post(doses + "/" + lye.body().path("id").asString() + "/end", "");
        JsonNode ended = keeper.get(doses).body().path("creep");
        assertThat(ended.path("potassiumMgPerL").asDouble()).isZero();
        assertThat(ended.path("potassiumNow").asDouble()).isCloseTo(now, within(0.1));
        keeper.post(
                doses.replace("/dosing", "/by-hand/water-changes"),
                "{\"at\":\"" + before(0.01) + "\",\"water\":{\"litres\":40},\"note\":\"\"}");
        assertThat(keeper.get(doses).body().path("creep").path("potassiumNow").asDouble())
                .isLessThan(now - 0.05 * (now - 400));
    }

    /** A test says more than the sum of what was dosed. */
    @Test
    void potassiumIsCountedFromItsTest() {
        line("POTASSIUM_HYDROXIDE", 0.5, 500, 60, before(40));
        double perDay =
                keeper.get(doses).body().path("creep").path("potassiumMgPerL").asDouble();
        Answer tested = keeper.post(
                tank + "/readings",
                Samples.reading(before(10).toString(), "POTASSIUM_MG_PER_L", "TANK", "TITRATION_KIT", 430));
        assertThat(tested.status()).as(tested.text()).isEqualTo(201);
        assertThat(keeper.get(doses).body().path("creep").path("potassiumNow").asDouble())
                .isCloseTo(430 + 10 * perDay, within(0.1 * perDay));
    }

    /** Magnesium salts may be dosed as far as 1500 mg/L is not passed within thirty days. */
    @Test
    void magnesiumHasItsLimit() {
        Answer much = line("MAGNESIUM_CHLORIDE", 0.5, 500, 400, before(0.01));
        assertThat(much.status()).isEqualTo(422);
        assertThat(much.text()).contains("Magnesium would pass 1500 mg/L");
        assertThat(line("MAGNESIUM_CHLORIDE", 0.5, 500, 60, before(0.01)).status())
                .isEqualTo(201);
    }

    /** Two cans that are each allowed would be too much together; the second is told what is left. */
    @Test
    void linesThatShareOneEvaporationAreAddedUp() {
        double evaporates = keeper.get(doses).body().path("evaporationLPerDay").asDouble() * 1000;
        String first = limewater(Math.floor(0.6 * evaporates));
        Answer second = line("LIMEWATER", 1, 4000, Math.floor(0.6 * evaporates), before(1));
        assertThat(second.status()).isEqualTo(422);
        assertThat(second.text()).contains("from all dosing lines", "mL a day");
        assertThat(keeper.post(first + "/end", "").status()).isEqualTo(204);
        assertThat(line("LIMEWATER", 1, 4000, Math.floor(0.6 * evaporates), before(1))
                        .status())
                .isEqualTo(201);
        Answer back = keeper.delete(first + "/end");
        assertThat(back.status()).as("the other has taken its place").isEqualTo(422);
    }

    @Test
    void aLineThatGoesOnLaterDosedNothingMeanwhile() {
        String line = limewater(300);
        assertThat(keeper.post(line + "/end", "").status()).isEqualTo(204);
        jdbc.update(
                "update dosing_line set ended_at = ? where id = ?",
                before(10).toString().replace("T", " ").replace("Z", ""),
                line.substring(line.lastIndexOf('/') + 1));
        assertThat(keeper.delete(line + "/end").status()).isEqualTo(204);
        assertThat(first().path("mlPerDay").asDouble()).isEqualTo(300);
        assertThat(first().path("plans").findValuesAsString("mlPerDay")).containsExactly("300.0", "0.0", "300.0");
    }

    /** A plan that would not be allowed any more says so, and may always be turned down, by however little. */
    @Test
    void lessThanBeforeIsNeverRefused() {
        String line = limewater(300);
        assertThat(first().path("stopped")).isEmpty();
        jdbc.update(
                "update dose_plan set ml_per_day = 50000 where line_id = ?", line.substring(line.lastIndexOf('/') + 1));
        assertThat(first().path("stopped").toString()).contains("Salinity would fall");
        String more = "{\"at\":\"" + before(1) + "\",\"mlPerDay\":%d}";
        assertThat(keeper.post(line + "/plans", more.formatted(60_000)).status())
                .isEqualTo(422);
        assertThat(keeper.post(line + "/plans", more.formatted(40_000)).status())
                .isEqualTo(204);
        assertThat(keeper.post(line + "/plans", more.formatted(0)).status()).isEqualTo(204);
        assertThat(first().path("stopped")).isEmpty();
    }

    private String other(String solute, double share, double mlPerDay, String times) {
        return """
                {"name":"%s","solute":"%s","share":%s,"vesselMl":200,"mlPerDay":%s,"times":%s,"at":"%s"}""".formatted(solute.toLowerCase(Locale.ROOT), solute, share, mlPerDay, times, before(1));
    }

    private static String times(int perDay, String first) {
        return "{\"perDay\":" + perDay + ",\"first\":\"" + first + "\",\"overH\":24}";
    }

    @Test
    void calciumAndAlkalinityAreKeptApartByTheirTimes() {
        assertThat(keeper.post(doses, other("SODA_ASH", 0.1, 20, times(12, "00:00")))
                        .status())
                .isEqualTo(201);
        Answer drips = keeper.post(doses, other("CALCIUM_CHLORIDE", 0.2, 20, "null"));
        assertThat(drips.status()).isEqualTo(422);
        assertThat(drips.firstError().path("field").asString()).isEqualTo("times");
        assertThat(keeper.post(doses, other("CALCIUM_CHLORIDE", 0.2, 20, times(12, "00:10")))
                        .status())
                .isEqualTo(422);
        Answer apart = keeper.post(doses, other("CALCIUM_CHLORIDE", 0.2, 20, times(12, "01:00")));
        assertThat(apart.status()).as(apart.text()).isEqualTo(201);
        String line = doses + "/" + apart.body().path("id").asString();
        Answer closer = keeper.put(line + "/times", "{\"times\":" + times(12, "00:05") + "}");
        assertThat(closer.status()).isEqualTo(422);
        assertThat(first().path("times").path("first").asString()).isEqualTo("01:00");
        assertThat(keeper.put(line + "/times", "{\"times\":" + times(12, "01:20") + "}")
                        .status())
                .isEqualTo(204);
        assertThat(keeper.put(line + "/times", "{\"times\":" + times(12, "25:20") + "}")
                        .status())
                .isEqualTo(422);
    }

    /** An hour apart, but side by side: refused at the place, by a new line and by one that is led elsewhere. */
    @Test
    void calciumAndAlkalinityEndApart() {
        keeper.post(doses, into("SODA_ASH", "00:00", "the return chamber"));
        Answer beside = keeper.post(doses, into("CALCIUM_CHLORIDE", "01:00", "The return chamber "));
        assertThat(beside.status()).isEqualTo(422);
        assertThat(beside.firstError().path("field").asString()).isEqualTo("place");
        assertThat(beside.text()).contains("“soda_ash” ends in the same place");
        Answer apart = keeper.post(doses, into("CALCIUM_CHLORIDE", "01:00", "the display"));
        assertThat(apart.status()).as(apart.text()).isEqualTo(201);
        String line = doses + "/" + apart.body().path("id").asString();
        assertThat(keeper.put(line + "/place", "{\"place\":\"the return chamber\"}")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.put(line + "/place", "{\"place\":\"" + "x".repeat(61) + "\"}")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.get(doses).body().path("lines").findValuesAsString("place"))
                .containsExactlyInAnyOrder("the return chamber", "the display");
        assertThat(keeper.put(line + "/place", "{\"place\":\"\"}").status()).isEqualTo(204);
        assertThat(keeper.put(line + "/place", "{\"place\":\"the overflow\"}").status())
                .isEqualTo(204);
        assertThat(keeper.get(line + "/card").body().path("label").toString()).contains(", into the overflow");
    }

    private String into(String solute, String first, String place) {
        return other(solute, 0.1, 20, times(12, first)).replaceFirst("\\{", "{\"place\":\"" + place + "\",");
    }

    /** One dose of 20 meq of lye into 420 L is small; all of a day's hundred at once is not. */
    @Test
    void aSingleDoseIsLimited() {
        Answer once = keeper.post(doses, other("SODIUM_HYDROXIDE", 0.5, 190, times(1, "03:00")));
        assertThat(once.status()).isEqualTo(422);
        assertThat(once.text()).contains("once mixed", "doses a day");
        assertThat(keeper.post(doses, other("POTASSIUM_CHLORIDE", 0.5, 10, "null"))
                        .text())
                .contains("no alkalinity, and does not move pH");
    }

    @Test
    void saysHowAVesselIsMixedAndWhatStaysBehind() {
        Answer made = keeper.post(doses, other("POTASSIUM_HYDROXIDE", 0.5, 60, times(24, "00:30")));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        String line = doses + "/" + made.body().path("id").asString();
        JsonNode card = keeper.get(line + "/card").body();
        // 0.5 mol/L × 0.2 L × 56.105 g/mol.
        assertThat(card.path("grams").asDouble()).isCloseTo(5.6105, within(1e-3));
        assertThat(card.path("label").path(0).asString()).isEqualTo("potassium_hydroxide");
        assertThat(keeper.get(line + "/card?ml=100").body().path("grams").asDouble())
                .isCloseTo(2.805, within(1e-3));
        assertThat(keeper.get(line + "/card?ml=300").text()).contains("This fills the dosing vessel 1.5 times");
        assertThat(keeper.get(line + "/card?ml=600000").status()).isEqualTo(422);
        JsonNode creep = keeper.get(doses).body().path("creep");
        // 30 meq a day × 39.1 mg ÷ 420 L, since yesterday.
        assertThat(creep.path("potassiumMgPerL").asDouble()).isCloseTo(30 * 39.0983 / 420, within(0.01));
        assertThat(creep.path("daysToMostPotassium").asDouble()).isBetween(34.0, 36.0);
        assertThat(visitor().asNewKeeper().get(line + "/card").status()).isEqualTo(404);
    }

    /** Nothing is dosed after a power cut until the return has run for half an hour and somebody has looked. */
    @Test
    void dosesWaitAfterAPowerCut() {
        limewater(300);
        String home = keeper.get(tank).body().path("homeId").asString();
        String outage = keeper.post("/homes/" + home + "/outages", "{}")
                .body()
                .path("id")
                .asString();
        JsonNode hold = keeper.get(doses).body().path("hold");
        assertThat(hold.path("from").isMissingNode()).isFalse();
        assertThat(hold.path("earliest").isMissingNode()).isTrue();
        assertThat(keeper.post(doses + "/go-on", "").text()).contains("outage is not over");
        assertThat(keeper.post("/homes/" + home + "/outages/" + outage + "/end", "{}")
                        .status())
                .isEqualTo(200);
        assertThat(keeper.post(doses + "/go-on", "").text()).contains("half an hour");
        assertThat(keeper.get("/homes/" + home + "/due").text()).contains("dosing is on hold since the outage");
        jdbc.update(
                "update outage set started_at = ?, ended_at = ? where id = ?",
                before(0.2).toString().replace("T", " ").replace("Z", ""),
                before(0.1).toString().replace("T", " ").replace("Z", ""),
                outage);
        assertThat(keeper.get(doses).body().path("hold").path("earliest").isMissingNode())
                .isFalse();
        assertThat(keeper.post(doses + "/go-on", "").status()).isEqualTo(204);
        assertThat(keeper.get(doses).body().path("hold").isMissingNode()).isTrue();
        assertThat(keeper.post(doses + "/go-on", "").status()).as("twice").isEqualTo(204);
        assertThat(keeper.get("/homes/" + home + "/due").text()).doesNotContain("doses wait");
    }

    @Test
    void levelsThatCannotBeAreRefused() {
        String line = limewater(300);
        noted(line, 10, "FILLED", 5000);
        noted(line, 5, "LEVEL", 3500);
        assertThat(note(line, before(4), "LEVEL", 4500, "ML").text()).contains("Log a filling instead");
        assertThat(note(line, before(4), "LEVEL", 6000, "ML").status()).isEqualTo(422);
        assertThat(note(line, before(4), "LEVEL", -1, "ML").status()).isEqualTo(422);
        assertThat(note(line, before(4), "LEVEL", null, null).text()).contains("The level is missing");
        assertThat(note(line, before(4), "LEVEL", 12, "CM").text()).contains("cross-section");
        assertThat(note(line, before(-2), "LEVEL", 100, "ML").status()).isEqualTo(422);
        assertThat(first().path("notes").size()).isEqualTo(2);
    }

    @Test
    void centimetresAreReadByTheVesselsShape() {
        Answer made = keeper.post(doses, """
                {"name":"can","solute":"LIMEWATER","share":1,"vesselMl":5000,"areaCm2":250,"mlPerDay":300,"at":"%s"}""".formatted(before(20)));
        String line = doses + "/" + made.body().path("id").asString();
        assertThat(note(line, before(3), "LEVEL", 12, "CM").status()).isEqualTo(201);
        assertThat(first().path("notes").path(0).path("ml").asDouble()).isEqualTo(3000);
        assertThat(note(line, before(2), "LEVEL", 21, "CM").status()).isEqualTo(422);
    }

    /** A can of 400 g that weighs 2895 g holds 2495 g of limewater, as heavy as water: 2500 mL. */
    @Test
    void aWeightIsReadByTheEmptyVessels() {
        Answer made = keeper.post(doses, """
                {"name":"can","solute":"LIMEWATER","share":1,"vesselMl":5000,"emptyG":400,"mlPerDay":300,"at":"%s"}""".formatted(before(20)));
        String line = doses + "/" + made.body().path("id").asString();
        assertThat(note(line, before(3), "LEVEL", 2895, "G").status()).isEqualTo(201);
        assertThat(first().path("notes").path(0).path("ml").asDouble()).isCloseTo(2497, within(3.0));
        assertThat(note(line, before(2), "LEVEL", 390, "G").status())
                .as("lighter than empty")
                .isEqualTo(422);
        assertThat(note(line, before(2), "LEVEL", 6000, "G").status())
                .as("heavier than full")
                .isEqualTo(422);
        String unweighed = limewater(100);
        assertThat(note(unweighed, before(2), "LEVEL", 900, "G").text()).contains("weight of the empty vessel");
    }

    @Test
    void whatWasNotedEndedOrDeletedIsTakenBack() {
        String line = limewater(300);
        noted(line, 1, "LEVEL", 3500);
        String note = first().path("notes").path(0).path("id").asString();
        assertThat(keeper.delete(line + "/notes/" + note).status()).isEqualTo(204);
        assertThat(first().path("notes")).isEmpty();
        assertThat(keeper.post(line + "/end", "").status()).isEqualTo(204);
        assertThat(first().path("mlPerDay").asDouble()).isZero();
        assertThat(keeper.delete(line + "/end").status()).isEqualTo(204);
        assertThat(first().path("mlPerDay").asDouble()).isEqualTo(300);
        assertThat(keeper.delete(line).status()).isEqualTo(204);
        assertThat(first().isMissingNode()).isTrue();
        assertThat(keeper.post(line + "/remembered", "").status()).isEqualTo(204);
        assertThat(first().path("mlPerDay").asDouble()).as("it has ended").isZero();
        assertThat(first().path("plans")).isNotEmpty();
    }
}
