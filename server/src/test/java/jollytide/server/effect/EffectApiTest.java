package jollytide.server.effect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.Sets;
import jollytide.server.Visitor.Answer;
import jollytide.server.reading.TimedValue;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What a change did, from the note of it to its card. */
class EffectApiTest extends LoggedTankTest {
    @Autowired
    private EffectService service;

    /** Weekly tests of which the last four fall by 0.3 dKH each. */
    @Test
    void showsAnAlkalinityThatFallsAndWhatIsNotedOfIt() {
        for (int week = 11; week >= 0; week--) {
            String at = PRESENT.minus(7L * week, ChronoUnit.DAYS).toString().substring(0, 16);
            double dkh = 8.6 - 0.3 * Math.max(0, 4 - week);
            Answer kept = keeper.post(tank + "/readings", Samples.reading(at, "DKH", "TANK", "TITRATION_KIT", dkh));
            assertThat(kept.status()).as(kept.text()).isEqualTo(201);
        }
        JsonNode courses = keeper.get(tank + "/effects/drifts").body().path("courses");
        assertThat(courses.size()).isEqualTo(1);
        JsonNode course = courses.path(0);
        assertThat(course.path("of").asString()).isEqualTo("ALKALINITY");
        assertThat(course.path("measured").size()).isEqualTo(12);
        JsonNode found = course.path("drifts").path(0);
        // 0.3 dKH in seven days, in meq/L.
        assertThat(found.path("drift").path("perDay").path("value").asDouble())
                .isCloseTo(-0.3 / 7 * 20 / 56.0774, within(0.002));
        assertThat(found.path("noted").size()).isZero();
        keeper.post(
                tank + "/events",
                "{\"kind\":\"FAULT\",\"at\":\"" + PRESENT.minus(27, ChronoUnit.DAYS)
                        + "\",\"title\":\"doser slipped\",\"note\":\"\"}");
        assertThat(keeper.get(tank + "/effects/drifts").text()).contains("doser slipped");
        assertThat(visitor().asNewKeeper().get(tank + "/effects/drifts").status())
                .isEqualTo(404);
    }

    private String between(String from, String until, String after, String end) {
        return tank + "/effects/between?from=" + from + "&until=" + until + "&after=" + after + "&end=" + end;
    }

    /** The same days as the card compares, chosen by hand; what stands between them is said. */
    @Test
    void comparesAnyDaysThatItsKeeperChooses() {
        double truth = logged(TIMES);
        livelier();
        LocalDate changed = LocalDate.ofInstant(CHANGED, ZoneId.of("Europe/Amsterdam"));
        Answer answer = keeper.get(between(
                changed.minusDays(6).toString(),
                changed.minusDays(1).toString(),
                changed.plusDays(3).toString(),
                changed.plusDays(6).toString()));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode found = answer.body().path("found");
        assertThat(found.path("effect").path("daysBefore").size()).isEqualTo(6);
        assertThat(found.path("effect").path("daysAfter").size()).isEqualTo(4);
        JsonNode left = found.path("effect").path("trough").path("left");
        assertThat(left.path("value").asDouble()).isCloseTo(truth, within(0.03));
        assertThat(found.path("verdict").asString()).isEqualTo("AS_POSSIBLE");
        assertThat(answer.body().path("changes").path(0).path("title").asString())
                .isEqualTo("outlet turned up");
        assertThat(answer.body().path("changes").path(0).path("plainly").asString())
                .isNotEqualTo("outlet turned up");
    }

    @Test
    void refusesDaysThatCannotBeCompared() {
        logged(1);
        String day = LocalDate.ofInstant(CHANGED, ZoneId.of("Europe/Amsterdam")).toString();
        String before = LocalDate.parse(day).minusDays(4).toString();
        String today =
                LocalDate.ofInstant(PRESENT, ZoneId.of("Europe/Amsterdam")).toString();
        assertThat(keeper.get(between(before, day, before, day)).status()).isEqualTo(422);
        assertThat(keeper.get(between(day, before, day, day)).status()).isEqualTo(422);
        assertThat(keeper.get(between(before, before, day, today)).text()).contains("We compare whole days");
        assertThat(keeper.get(between("2026-01-01", before, day, day)).status()).isEqualTo(422);
        assertThat(keeper.get(between("soon", before, day, day)).status()).isEqualTo(422);
        assertThat(keeper.get(between("+999999999-12-31", "+999999999-12-31", day, day))
                        .status())
                .isEqualTo(422);
        Answer nothing = keeper.get(between("2024-05-01", "2024-05-03", before, before));
        assertThat(nothing.status()).isEqualTo(200);
        assertThat(nothing.body().path("found").isMissingNode()).isTrue();
        assertThat(visitor()
                        .asNewKeeper()
                        .get(between(before, before, day, day))
                        .status())
                .isEqualTo(404);
    }

    /** A home that emptied; a log of the water alone says so, and that nobody measured the room. */
    @Test
    void showsTimesWhenNobodyWasHome() {
        logged(TIMES);
        assertThat(keeper.get(tank + "/effects/absences")
                        .body()
                        .path("absences")
                        .size())
                .isZero();
        Answer gone = keeper.post(
                tank + "/done", """
                {"event":{"kind":"PEOPLE","at":"%s","until":"%s","excludesDays":null,"title":"away","note":""},
                 "measures":[%s]}""".formatted(CHANGED, CHANGED.plus(4, ChronoUnit.DAYS), Sets.measure("nobody")));
        assertThat(gone.status()).as(gone.text()).isEqualTo(201);
        JsonNode absence =
                keeper.get(tank + "/effects/absences").body().path("absences").path(0);
        assertThat(absence.path("title").asString()).isEqualTo("away");
        // Nobody pays for being away.
        assertThat(cards().path(0).path("perMonth").isMissingNode()
                        || cards().path(0).path("perMonth").isNull())
                .isTrue();
        assertThat(absence.path("ph").path("cameTo").path("mean").asDouble()).isNotZero();
        assertThat(absence.path("ph").path("away").path("half").path("value").asDouble())
                .isBetween(0.5, 36.0);
        assertThat(absence.path("room").size()).isZero();
        assertThat(absence.path("clearing").isMissingNode()).isTrue();
        assertThat(visitor().asNewKeeper().get(tank + "/effects/absences").status())
                .isEqualTo(404);
    }

    private void tested(int daysAgo, double dkh) {
        String at = PRESENT.minus(daysAgo, ChronoUnit.DAYS).toString().substring(0, 16);
        Answer kept = keeper.post(tank + "/readings", Samples.reading(at, "DKH", "TANK", "TITRATION_KIT", dkh));
        assertThat(kept.status()).as(kept.text()).isEqualTo(201);
    }

    /** Tests that stood while pH was low fall by a tenth of a degree a day since: that much more is used. */
    @Test
    void showsWhetherMoreIsUsedSincePhRose() {
        logged(TIMES);
        livelier();
        for (int day = 22; day > 8; day -= 3) {
            tested(day, 8.6);
        }
        assertThat(card(CHANGED).path("use").isMissingNode()).isTrue();
        for (int day = 7; day >= 1; day -= 2) {
            tested(day, 8.6 - 0.1 * (7 - day));
        }
        JsonNode use = card(CHANGED).path("use");
        assertThat(use.path("said").asString()).isEqualTo("ROSE");
        assertThat(use.path("dosed").asBoolean()).isFalse();
        assertThat(use.path("step").path("changed").path("value").asDouble())
                .isCloseTo(0.1 * 20 / 56.0774, within(0.001));
        assertThat(use.path("omegaAtPeak").asDouble()).isBetween(1.0, 8.0);
        assertThat(cards().path(0).path("use")).isEqualTo(use);
    }

    private JsonNode cards() {
        Answer answer = keeper.get(tank + "/effects");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body().path("cards");
    }

    private JsonNode card(Instant at) {
        Answer answer = keeper.get(tank + "/effects/" + at);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    private void livelier() {
        did("outlet turned up", Sets.measure("surface", "times=" + TIMES));
    }

    private void did(String title, String measure) {
        Answer done = keeper.post(tank + "/done", """
                {"event":{"kind":"REMEDY","at":"%s","until":null,"excludesDays":null,"title":"%s","note":""},
                 "measures":[%s]}""".formatted(CHANGED, title, measure));
        assertThat(done.status()).as(done.text()).isEqualTo(201);
    }

    @Test
    void whatHelpedAsMuchAsItCouldIsSaidSo() {
        double truth = logged(TIMES);
        livelier();
        JsonNode before = cards().path(0);
        assertThat(before.path("missing").asBoolean()).isTrue();
        assertThat(before.path("found").isMissingNode() || before.path("found").isNull())
                .isTrue();
        JsonNode found = card(CHANGED).path("found");
        JsonNode left = found.path("effect").path("trough").path("left");
        assertThat(left.path("value").asDouble()).isCloseTo(truth, within(0.015));
        assertThat(left.path("low").asDouble()).isGreaterThan(0);
        assertThat(found.path("possible").path("low").asDouble()).isLessThan(truth);
        assertThat(found.path("possible").path("high").asDouble()).isGreaterThan(truth);
        assertThat(found.path("verdict").asString()).isEqualTo("AS_POSSIBLE");
        assertThat(found.path("effect").path("explained").asBoolean()).isTrue();
        assertThat(found.path("before").size()).isEqualTo(48);
        assertThat(cards().path(0).path("found").path("verdict").asString()).isEqualTo("AS_POSSIBLE");
        assertThat(cards().path(0).path("stands").asBoolean()).isTrue();
    }

    /** A kilogram of media at 16 euros that lasted four days: 16 × 30.44 ÷ 4 a month. */
    @Test
    void aStepHasWhatItCostsAMonth() {
        logged(1);
        did("media", Sets.measure("scrubber", "massKg=1"));
        Answer filled = keeper.post(tank + "/media", """
                {"at":"%s","massKg":1,"intake":"ROOM","freshShare":1,"hours":"ALWAYS","driesBetween":false}""".formatted(CHANGED));
        assertThat(filled.status()).as(filled.text()).isEqualTo(201);
        keeper.post(tank + "/media/" + filled.body().path("id").asString() + "/end", """
                {"at":"%s","by":"COLOUR"}""".formatted(
                        CHANGED.plus(4, ChronoUnit.DAYS)));
        assertThat(cards().path(0).path("perMonth").asDouble()).isCloseTo(16 * 30.44 / 4, within(0.1));
    }

    /** A hose was fitted, and nothing came of it. */
    @Test
    void whatDidLessThanItCouldIsSaidSo() {
        logged(1);
        did("hose", Sets.measure("outdoor-line", "lengthM=4", "boreMm=12.7"));
        JsonNode found = card(CHANGED).path("found");
        assertThat(found.path("effect")
                        .path("trough")
                        .path("left")
                        .path("value")
                        .asDouble())
                .isCloseTo(0, within(0.01));
        assertThat(found.path("verdict").asString()).isEqualTo("LESS_THAN_POSSIBLE");
        assertThat(found.path("lookFor").size()).isPositive();
    }

    @Test
    void whatNobodySaidMoreOfRoseOrFell() {
        logged(TIMES);
        noted("MAINTENANCE", CHANGED, "something cleaned", false);
        JsonNode found = card(CHANGED).path("found");
        assertThat(found.path("verdict").asString()).isEqualTo("ROSE");
        assertThat(found.path("possible").isMissingNode()
                        || found.path("possible").isNull())
                .isTrue();
    }

    /** A day's changes are one card; the next step two days later leaves it hours, but no whole day, and is named. */
    @Test
    void whatWasCutShortIsComparedByHours() {
        logged(TIMES);
        livelier();
        noted("ADDITIVE", CHANGED.plus(5, ChronoUnit.HOURS), "bottle on", false);
        noted("FAULT", CHANGED.plus(53, ChronoUnit.HOURS), "pump off", false);
        JsonNode cards = cards();
        assertThat(cards.size()).isEqualTo(2);
        assertThat(cards.path(0).path("changes").size()).isEqualTo(2);
        assertThat(cards.path(0).path("missing").asBoolean()).isTrue();
        assertThat(cards.path(0).path("windows").path("cutAfter").path("title").asString())
                .isEqualTo("pump off");
        assertThat(cards.path(1).path("windows").path("cutBefore").path("title").asString())
                .isEqualTo("bottle on");
        JsonNode card = card(CHANGED);
        assertThat(card.path("found").path("effect").isMissingNode()).isTrue();
        assertThat(card.path("missing").asBoolean()).isFalse();
        JsonNode hours = card.path("trial").path("hours");
        assertThat(hours.path("left").path("high").asDouble())
                .isGreaterThan(hours.path("left").path("low").asDouble());
        assertThat(hours.path("possible").isMissingNode()).isTrue();
        assertThat(hours.path("until").asString())
                .isEqualTo(CHANGED.plus(53, ChronoUnit.HOURS).toString());
        assertThat(hours.path("halfHours").size()).isBetween(100, 107);
        assertThat(card.path("trial").path("verdict").asString()).isIn("ROSE", "NOT_TOLD");
    }

    /** A hose of which nothing came, taken down after two nights. */
    @Test
    void hoursAreHeldAgainstWhatIsPossibleInThem() {
        logged(1);
        did("hose", Sets.measure("outdoor-line", "lengthM=4", "boreMm=12.7"));
        noted("FAULT", CHANGED.plus(40, ChronoUnit.HOURS), "pump off", false);
        JsonNode trial = card(CHANGED).path("trial");
        JsonNode hours = trial.path("hours");
        assertThat(hours.path("left").path("value").asDouble()).isCloseTo(0, within(0.01));
        assertThat(hours.path("possible").path("low").asDouble())
                .isGreaterThan(hours.path("left").path("high").asDouble());
        assertThat(trial.path("verdict").asString()).isEqualTo("LESS_THAN_POSSIBLE");
        assertThat(trial.path("lookFor").size()).isPositive();
        assertThat(hours.path("through").asDouble()).isGreaterThan(0.9);
    }

    /** The next step comes before anybody could see a thing. */
    @Test
    void fewHoursAreNotTold() {
        logged(TIMES);
        livelier();
        noted("FAULT", CHANGED.plus(29, ChronoUnit.HOURS), "pump off", false);
        noted("FAULT", CHANGED.plus(58, ChronoUnit.HOURS), "pump on", false);
        JsonNode off = card(CHANGED.plus(29, ChronoUnit.HOURS));
        assertThat(off.path("missing").asBoolean()).isFalse();
        assertThat(off.path("trial").path("verdict").isMissingNode()).isTrue();
    }

    /** A reading that came late, or a day that tells nothing, makes another card of it. */
    @Test
    void aCardFollowsItsLog() {
        logged(TIMES);
        livelier();
        int days = card(CHANGED).path("found").path("effect").path("daysAfter").size();
        noted("OTHER", CHANGED.plus(4, ChronoUnit.DAYS), "water change", true);
        assertThat(cards().path(0).path("beside").path(0).path("leftOut").asBoolean())
                .isTrue();
        assertThat(cards().path(0).path("found").path("effect").isMissingNode()).isTrue();
        assertThat(card(CHANGED).path("found").path("effect").path("daysAfter").size())
                .isEqualTo(days - 1);
        keep(List.of(new TimedValue(CHANGED.plus(3, ChronoUnit.DAYS).plusSeconds(60), 8.01)));
        assertThat(cards().path(0).path("found").path("effect").isMissingNode()).isTrue();
    }

    /** A change before the log, and one whose days were not logged closely: said so, with no number. */
    @Test
    void withoutDaysOnBothSidesThereIsNothingToCompare() {
        logged(1);
        noted("REMEDY", CHANGED.minus(30, ChronoUnit.DAYS), "before the log", false);
        noted("OTHER", CHANGED.plus(4, ChronoUnit.DAYS), "nothing counts", true);
        JsonNode card = cards().path(0);
        assertThat(card.path("missing").asBoolean()).isFalse();
        assertThat(card(CHANGED.minus(30, ChronoUnit.DAYS))
                        .path("found")
                        .path("effect")
                        .isMissingNode())
                .isTrue();
    }

    /** By the night's thread, for whoever looks in the morning. */
    @Test
    void cardsAreMadeWithoutAnybodyLooking() {
        logged(TIMES);
        livelier();
        assertThat(service.makeOne(tanks.tankOfAnyone(UUID.fromString(id)), PRESENT))
                .isTrue();
        assertThat(cards().path(0).path("found").path("verdict").asString()).isEqualTo("AS_POSSIBLE");
    }

    @Test
    void neitherExperimentsNorTheProbesCareAreChangesOfTheTank() {
        logged(1);
        keeper.post(tank + "/events", """
                {"kind":"EXPERIMENT","at":"%s","until":"%s","excludesDays":null,"title":"off","note":""}""".formatted(CHANGED, CHANGED.plusSeconds(3600)));
        noted("OTHER", CHANGED, "glass wiped", false);
        assertThat(cards().size()).isZero();
    }

    @Test
    void withoutALogThereIsNothing() {
        livelier();
        assertThat(keeper.get(tank + "/effects").body().path("cards").size()).isZero();
        assertThat(keeper.get(tank + "/effects/" + PRESENT).status()).isEqualTo(404);
        assertThat(keeper.get(tank + "/effects/yesterday").status()).isEqualTo(422);
    }
}
