package jollytide.server.outage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class OutageApiTest extends ServerTest {
    private static final String PUMP = """
            {"name":"battery pump","place":"under the stairs","who":"Jonas","gives":"AIR","airLPerH":600,"loadW":3.4,
             "energy":"UPS","upsW":100,"upsMinutes":23,"yearsOld":0,"startsItself":false}""";

    private static String home(Visitor visitor) {
        return "/homes/" + visitor.get("/homes").body().path(0).path("id").asString();
    }

    private static String note(UUID id, String tank, Instant at, String kind, String rest) {
        return "{\"notes\":[{\"id\":\"%s\",\"tankId\":\"%s\",\"at\":\"%s\",\"kind\":\"%s\"%s}]}"
                .formatted(id, tank, at, kind, rest);
    }

    /** Plan, outage, notes, power back, report: as a keeper goes through it. */
    @Test
    void anOutageFromPlanToReport() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);

        JsonNode bare = keeper.get(home + "/readiness").body();
        assertThat(bare.path("weakest").asString()).contains("Nothing aerates without mains power");
        assertThat(bare.path("purchases")).isNotEmpty();
        JsonNode pump = keeper.post(home + "/kit", PUMP).body();
        double early = pump.path("runTime").path("early").asDouble();
        assertThat(early).isBetween(3.0, 5.0);
        JsonNode ready = keeper.get(home + "/readiness").body();
        JsonNode night = ready.path("tanks").path(0);
        assertThat(night.path("keptSummer").path("early").asDouble())
                .isGreaterThan(night.path("bareSummer").path("early").asDouble() + 1);

        String outages = home + "/outages";
        JsonNode plan = keeper.get(outages + "/plan").body();
        assertThat(plan.path("tanks").path(0).path("after")).isNotEmpty();
        assertThat(keeper.get(outages).body()).isEmpty();
        JsonNode begun = keeper.post(outages, "{}").body();
        String outage = outages + "/" + begun.path("id").asString();
        assertThat(keeper.post(outages, "{}").body().path("id")).isEqualTo(begun.path("id"));
        JsonNode clock = begun.path("tanks").path(0);
        assertThat(clock.path("startMgPerL").asDouble()).isBetween(5.0, 8.0);
        assertThat(clock.path("course").path("danger").path("early").asDouble())
                .isLessThan(clock.path("course").path("danger").path("likely").asDouble());
        assertThat(clock.path("steps").path(0).path("step").path("id").asString())
                .isEqualTo("look");
        assertThat(clock.path("steps").toString())
                .contains("Start: battery pump")
                .doesNotContain("canister");

        UUID once = UUID.randomUUID();
        Instant now = PRESENT.plusSeconds(5);
        String on = note(
                once, tank, now, "BACKUP_ON", ",\"ref\":\"" + pump.path("id").asString() + "\"");
        JsonNode aired = keeper.post(outage + "/notes", on).body();
        assertThat(aired.path("outage")
                        .path("tanks")
                        .path(0)
                        .path("course")
                        .path("danger")
                        .path("early")
                        .asDouble())
                .isGreaterThan(clock.path("course").path("danger").path("early").asDouble() + 0.5);
        // The same note again, as from a card that is brought in twice.
        assertThat(keeper.post(outage + "/notes", on).body().path("outage").path("notes"))
                .hasSize(1);
        keeper.post(outage + "/notes", note(UUID.randomUUID(), tank, now, "STEP_DONE", ",\"ref\":\"look\""));
        JsonNode gasping = keeper.post(outage + "/notes", note(UUID.randomUUID(), tank, now, "GASPING", ""))
                .body();
        assertThat(gasping.path("outage").path("tanks").path(0).path("gasping").asBoolean())
                .isTrue();
        JsonNode read = keeper.post(outage + "/notes", note(UUID.randomUUID(), tank, now, "OXYGEN", ",\"value\":4.2"))
                .body();
        assertThat(read.path("outage")
                        .path("tanks")
                        .path(0)
                        .path("steps")
                        .path(0)
                        .path("state")
                        .asString())
                .isEqualTo("DONE");

        JsonNode over = keeper.post(outage + "/end", "{}").body();
        assertThat(over.path("tanks").path(0).path("after").toString())
                .contains("daily until both are zero twice")
                .doesNotContain("clean it before it runs");
        assertThat(keeper.get(outages + "/current").body().path("outage").isNull()
                        || keeper.get(outages + "/current")
                                .body()
                                .path("outage")
                                .isMissingNode())
                .isTrue();
    }

    private static String pump(String change) {
        return PUMP.replace("\"startsItself\":false", change).replace(",}", "}");
    }

    /** A power left empty is assumed and says so; a zero, or more than a UPS carries, is refused at the door. */
    /** A generator for the tank's own pumps: it must carry them as they run and as they start. */
    @Test
    void aGeneratorCarriesTheWholeTankOrIsRefused() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String kit = home(keeper) + "/kit";
        String asked = "{\"name\":\"generator\",\"place\":\"shed\",\"who\":\"all\",\"gives\":\"WHOLE_TANK\","
                + "\"movedM2\":0.9,\"motion\":\"ROLLING\",\"airLPerH\":500,\"energy\":\"%s\",\"fuelL\":10,\"loadW\":%s,\"ratedW\":%s,\"motorW\":60}";
        Visitor.Answer carries = keeper.post(kit, asked.formatted("GENERATOR", "200", "1000"));
        assertThat(carries.status()).as(carries.text()).isEqualTo(201);
        // 200 W as it runs, 320 W as the last pump starts.
        assertThat(keeper.post(kit, asked.formatted("GENERATOR", "200", "320")).status())
                .isEqualTo(201);
        for (String refused : new String[] {
            asked.formatted("GENERATOR", "200", "319"),
            asked.formatted("GENERATOR", "200", "180"),
            asked.formatted("GENERATOR", "200", "null"),
            asked.formatted("GENERATOR", "null", "1000"),
            asked.formatted("DRY_CELLS", "200", "1000")
        }) {
            assertThat(keeper.post(kit, refused).status()).as(refused).isEqualTo(422);
        }
        Visitor.Answer ready = keeper.get(home(keeper) + "/readiness");
        assertThat(ready.status()).isEqualTo(200);
        // Seven tenths of twenty hours each, one after the other.
        assertThat(ready.body()
                        .path("tanks")
                        .path(0)
                        .path("keptSummer")
                        .path("early")
                        .asDouble())
                .as(ready.text())
                .isBetween(28.0, 30.0);
    }

    @Test
    void noPumpRunsForEver() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String kit = home(keeper) + "/kit";
        Visitor.Answer zero = keeper.post(kit, PUMP.replace("\"loadW\":3.4", "\"loadW\":0"));
        assertThat(zero.status()).isEqualTo(422);
        assertThat(zero.firstError().path("field").asString()).isEqualTo("loadW");
        Visitor.Answer over = keeper.post(kit, PUMP.replace("\"loadW\":3.4", "\"loadW\":150"));
        assertThat(over.status()).isEqualTo(422);
        assertThat(over.problem()).contains("Overloaded");
        JsonNode assumed = keeper.post(kit, PUMP.replace("\"loadW\":3.4,", "")).body();
        // 600 L/h pressed 0.4 m down through stone and valve: 1.15 W of ideal power, a sixth of what the pump takes.
        assertThat(assumed.path("watts").asDouble()).isBetween(6.0, 9.0);
        assertThat(assumed.path("runTime").path("late").asDouble()).isLessThan(24);
        JsonNode claimed = keeper.post(kit, pump("\"makerHours\":30")).body();
        assertThat(claimed.path("runTime").path("early").asDouble()).isEqualTo(15);
        String battery =
                "{\"name\":\"bank\",\"place\":\"\",\"who\":\"\",\"gives\":\"AIR\",\"airLPerH\":120,\"loadW\":4,"
                        + "\"energy\":\"LITHIUM_BATTERY\",\"wattHours\":500%s}";
        double inverted = keeper.post(kit, battery.formatted(""))
                .body()
                .path("runTime")
                .path("likely")
                .asDouble();
        double direct = keeper.post(kit, battery.formatted(",\"directCurrent\":true"))
                .body()
                .path("runTime")
                .path("likely")
                .asDouble();
        assertThat(inverted).isBetween(0.25 * direct, 0.4 * direct);
    }

    /** On a plugged-in UPS a pump runs before anybody is there, and it is what a tank with nobody home has. */
    @Test
    void whatStartsByItselfRunsWithNobodyHome() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        keeper.post(home + "/kit", pump("\"tankId\":\"" + tank + "\""));
        JsonNode night = keeper.get(home + "/readiness").body().path("tanks").path(0);
        double alone = night.path("alone").path("early").asDouble();
        assertThat(alone)
                .isGreaterThan(night.path("bareSummer").path("early").asDouble() + 0.5)
                .isEqualTo(night.path("keptSummer").path("early").asDouble());
        JsonNode clock =
                keeper.post(home + "/outages", "{}").body().path("tanks").path(0);
        assertThat(clock.path("kit").path(0).path("running").asBoolean()).isTrue();
        assertThat(clock.path("steps").toString()).contains("Check that it runs: battery pump");
    }

    @Test
    void beginningsAndTemperaturesMoveTheClock() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String outages = home(keeper) + "/outages";
        JsonNode begun = keeper.post(outages, "{}").body();
        String outage = outages + "/" + begun.path("id").asString();
        Instant at = Instant.parse(begun.path("startedAt").asString());
        JsonNode earlier = keeper.post(outage + "/began", "{\"at\":\"" + at.minusSeconds(1800) + "\"}")
                .body();
        assertThat(Instant.parse(earlier.path("startedAt").asString())).isEqualTo(at.minusSeconds(1800));
        assertThat(keeper.post(outage + "/began", "{\"at\":\"" + at.plusSeconds(60) + "\"}")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.post(outage + "/began", "{\"at\":\"" + at.minus(Duration.ofDays(3)) + "\"}")
                        .status())
                .isEqualTo(422);
        double before = danger(earlier);
        JsonNode warm = keeper.post(
                        outage + "/notes",
                        note(UUID.randomUUID(), tank, at.plusSeconds(5), "WATER_TEMPERATURE", ",\"value\":30"))
                .body()
                .path("outage");
        assertThat(danger(warm)).isLessThan(before - 0.3);
        assertThat(keeper.post(
                                outage + "/notes",
                                note(UUID.randomUUID(), tank, at.plusSeconds(5), "WATER_TEMPERATURE", ",\"value\":60"))
                        .status())
                .isEqualTo(422);
    }

    private static double danger(JsonNode outage) {
        return outage.path("tanks")
                .path(0)
                .path("course")
                .path("danger")
                .path("likely")
                .asDouble();
    }

    /** Power that flickers: fifty cuts within minutes are one outage. */
    @Test
    void flickeringPowerIsOneOutage() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String mains = home(keeper) + "/mains";
        IntStream.range(0, 50).forEach(i -> {
            assertThat(keeper.post(mains, "{\"on\":false}").status()).isEqualTo(200);
            assertThat(keeper.post(mains, "{\"on\":true}").status()).isEqualTo(200);
        });
        JsonNode past = keeper.get(home(keeper) + "/outages").body();
        assertThat(past).hasSize(1);
        assertThat(past.path(0).path("cuts").asInt()).isEqualTo(50);
    }

    /** A card that is brought in twice makes one outage with one log; a phone's clock that runs ahead does no harm. */
    @Test
    void aCardBroughtInTwiceChangesNothing() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        Instant began = PRESENT.minus(Duration.ofHours(20));
        UUID id = UUID.randomUUID();
        for (int i = 0; i < 2; i++) {
            JsonNode outage =
                    keeper.post(home + "/outages", "{\"at\":\"" + began + "\"}").body();
            String path = home + "/outages/" + outage.path("id").asString();
            Instant ahead = PRESENT.plus(Duration.ofDays(3));
            keeper.post(path + "/notes", note(id, tank, ahead, "OXYGEN", ",\"value\":5.1"));
            keeper.post(path + "/end", "{\"at\":\"" + began.plus(Duration.ofHours(3)) + "\"}");
        }
        JsonNode past = keeper.get(home + "/outages").body();
        assertThat(past).hasSize(1);
        JsonNode told = keeper.get(home + "/outages/" + past.path(0).path("id").asString())
                .body()
                .path("notes");
        assertThat(told).hasSize(1);
        assertThat(Instant.parse(told.path(0).path("at").asString())).isBefore(PRESENT.plus(Duration.ofHours(1)));
    }

    /** Two helpers log at once, and one phone sends the same note on two ways in one moment. */
    @Test
    void notesThatComeAtOnceAreAllThereAndOnce() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        JsonNode outage = keeper.post(home(keeper) + "/outages", "{}").body();
        String notes = home(keeper) + "/outages/" + outage.path("id").asString() + "/notes";
        UUID same = UUID.randomUUID();
        assertThat(IntStream.range(0, 12)
                        .parallel()
                        .map(i -> keeper.post(
                                        notes, note(i % 2 == 0 ? same : UUID.randomUUID(), tank, PRESENT, "CALM", ""))
                                .status()))
                .containsOnly(200);
        assertThat(keeper.get(home(keeper) + "/outages/current")
                        .body()
                        .path("outage")
                        .path("notes"))
                .hasSize(7);
    }

    @Test
    void theCardHoldsThePlanAndHarmsNobody() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = home(keeper);
        keeper.post(home + "/kit", PUMP.replace("battery pump", "</script><script>alert(1)</script>"));
        String card = keeper.get(home + "/card").text().replace("http://www.w3.org/2000/svg", "");
        assertThat(card).contains("Tide pool").contains("Power is out: start the clock");
        assertThat(card)
                .doesNotContain("</script><script>alert")
                .doesNotContain("http://")
                .doesNotContain("https://");
        assertThat(card.length()).isLessThan(200_000);
    }

    @Test
    void nonsenseIsRefusedInWordsAndOthersHomesAreNotThere() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        String home = home(keeper);
        assertThat(keeper.post(home + "/kit", PUMP.replace("\"airLPerH\":600", "\"airLPerH\":0"))
                        .problem())
                .contains("backupAirLPerH is 0");
        assertThat(keeper.post(home + "/kit", PUMP.replace(",\"upsMinutes\":23", ""))
                        .problem())
                .contains("upsMinutes is missing");
        assertThat(keeper.post(home + "/kit", PUMP.replace("\"energy\":\"UPS\"", "\"energy\":\"DRY_CELLS\""))
                        .body()
                        .path("runTime")
                        .path("likely")
                        .asDouble())
                .isZero();
        JsonNode outage = keeper.post(home + "/outages", "{}").body();
        String notes = home + "/outages/" + outage.path("id").asString() + "/notes";
        assertThat(keeper.post(notes, note(UUID.randomUUID(), tank, PRESENT, "OXYGEN", ",\"value\":99"))
                        .problem())
                .contains("value is 99");
        assertThat(keeper.post(notes, note(UUID.randomUUID(), tank, PRESENT, "STEP_DONE", ""))
                        .problem())
                .contains("missing");
        assertThat(keeper.post(home + "/outages", "{\"at\":\"" + PRESENT.plus(Duration.ofDays(2)) + "\"}")
                        .problem())
                .contains("future");
        for (String path : new String[] {"/readiness", "/kit", "/outages", "/card", "/cuts?from=18:00&hours=4"}) {
            assertThat(visitor().asNewKeeper().get(home + path).status()).isEqualTo(404);
        }
    }

    /** A second tank of the same size in the same room. */
    private static String second(Visitor keeper, String tank) {
        String room = keeper.get("/tanks/" + tank).body().path("roomId").asString();
        return keeper.post("/rooms/" + room + "/tanks", Samples.TANK.replace("Tide pool", "Rock shelf"))
                .body()
                .path("id")
                .asString();
    }

    private static double keptEarly(JsonNode readiness, String tank) {
        for (JsonNode night : readiness.path("tanks")) {
            if (night.path("tankId").asString().equals(tank)) {
                return night.path("keptSummer").path("early").asDouble(48);
            }
        }
        throw new IllegalStateException(readiness.toString());
    }

    /** One pump is at one tank; a central pump serves both, each with its share. */
    @Test
    void onePumpIsNotCountedTwice() {
        Visitor keeper = visitor().asNewKeeper();
        String first = Samples.tank(keeper);
        String other = second(keeper, first);
        String home = home(keeper);
        double bare = keptEarly(keeper.get(home + "/readiness").body(), first);
        JsonNode pump = keeper.post(home + "/kit", PUMP).body();
        JsonNode ready = keeper.get(home + "/readiness").body();
        double least = Math.min(keptEarly(ready, first), keptEarly(ready, other));
        double most = Math.max(keptEarly(ready, first), keptEarly(ready, other));
        assertThat(least).isEqualTo(bare);
        assertThat(most).isGreaterThan(bare + 0.5);

        JsonNode outage = keeper.post(home + "/outages", "{}").body();
        String notes = home + "/outages/" + outage.path("id").asString() + "/notes";
        String ref = ",\"ref\":\"" + pump.path("id").asString() + "\"";
        keeper.post(notes, note(UUID.randomUUID(), first, PRESENT.plusSeconds(60), "BACKUP_ON", ref));
        JsonNode moved = keeper.post(notes, note(UUID.randomUUID(), other, PRESENT.plusSeconds(90), "BACKUP_ON", ref))
                .body();
        assertThat(running(moved.path("outage"), first)).isFalse();
        assertThat(running(moved.path("outage"), other)).isTrue();

        String central = PUMP.replace("battery pump", "central pump")
                .replace("\"gives\"", "\"over\":[\"" + first + "\",\"" + other + "\"],\"gives\"")
                .replace("\"airLPerH\":120", "\"airLPerH\":400");
        assertThat(keeper.post(home + "/kit", central).status()).isEqualTo(201);
        keeper.delete(home + "/kit/" + pump.path("id").asString());
        JsonNode shared = keeper.get(home + "/readiness").body();
        // Half of its air for each of them.
        assertThat(keptEarly(shared, first)).isGreaterThan(bare + 0.2).isEqualTo(keptEarly(shared, other));
        assertThat(keeper.post(
                                home + "/kit",
                                PUMP.replace("\"gives\"", "\"tankId\":\"" + UUID.randomUUID() + "\",\"gives\""))
                        .problem())
                .contains("in this home");
    }

    private static boolean running(JsonNode outage, String tank) {
        for (JsonNode clock : outage.path("tanks")) {
            if (clock.path("tankId").asString().equals(tank)) {
                return clock.path("kit").path(0).path("running").asBoolean();
            }
        }
        throw new IllegalStateException(outage.toString());
    }

    /** A warm room and a late meal shorten the time; what was noted last counts. */
    @Test
    void roomAndMealMoveThePrediction() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        JsonNode begun = keeper.post(home(keeper) + "/outages", "{}").body();
        String notes = home(keeper) + "/outages/" + begun.path("id").asString() + "/notes";
        JsonNode cool = keeper.post(notes, note(UUID.randomUUID(), tank, PRESENT, "ROOM_TEMPERATURE", ",\"value\":12"))
                .body()
                .path("outage");
        JsonNode warm = keeper.post(
                        notes,
                        note(UUID.randomUUID(), tank, PRESENT.plusSeconds(5), "ROOM_TEMPERATURE", ",\"value\":31"))
                .body()
                .path("outage");
        assertThat(lastCelsius(warm)).isGreaterThan(lastCelsius(cool) + 5);
        assertThat(warm.path("tanks").path(0).path("roomC").asDouble()).isEqualTo(31);
        JsonNode fed = keeper.post(
                        notes, note(UUID.randomUUID(), tank, PRESENT.plusSeconds(6), "FED", ",\"value\":0.5"))
                .body()
                .path("outage");
        assertThat(fed.path("tanks").path(0).path("fedH").asDouble()).isEqualTo(0.5);
        assertThat(keeper.post(notes, note(UUID.randomUUID(), tank, PRESENT, "ROOM_TEMPERATURE", ",\"value\":90"))
                        .problem())
                .contains("value is 90");
    }

    private static double lastCelsius(JsonNode outage) {
        JsonNode points = outage.path("tanks").path(0).path("course").path("points");
        return points.path(points.size() - 1).path("celsius").asDouble();
    }

    /** Power cuts at the same hours every day, and what an outage of some length asks for. */
    @Test
    void dailyCutsAndTiersAreReckoned() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = home(keeper);
        keeper.post(home + "/kit", PUMP);
        JsonNode shorter = keeper.get(home + "/cuts?from=18:00&hours=1").body();
        JsonNode longer = keeper.get(home + "/cuts?from=18:00&hours=4").body();
        JsonNode one = longer.path("tanks").path(0);
        assertThat(one.path("bareEarly").asDouble())
                .isLessThan(shorter.path("tanks").path(0).path("bareEarly").asDouble());
        assertThat(one.path("keptEarly").asDouble())
                .isGreaterThan(one.path("bareEarly").asDouble());
        assertThat(shorter.path("kit").path(0).path("cuts").asInt())
                .isGreaterThan(longer.path("kit").path(0).path("cuts").asInt());
        assertThat(keeper.get(home + "/cuts?from=18:00&hours=40").problem()).contains("hours is 40");
        assertThat(keeper.get(home + "/cuts?from=never&hours=4")
                        .firstError()
                        .path("field")
                        .asString())
                .isEqualTo("from");

        JsonNode tiers = keeper.get(home + "/readiness").body().path("tiers");
        assertThat(tiers).hasSize(6);
        double before = 0;
        for (JsonNode tier : tiers) {
            double euros = tier.path("euros").asDouble(1e9);
            assertThat(euros).isGreaterThanOrEqualTo(before);
            before = euros;
        }
    }
}
