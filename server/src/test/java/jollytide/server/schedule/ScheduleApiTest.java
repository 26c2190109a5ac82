package jollytide.server.schedule;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import jollytide.server.Samples;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The schedule of one tank: as it is described, saved, read in, and looked through. */
class ScheduleApiTest extends OneSchedule {
    @Test
    void firstItIsTheTankAsItIsDescribed() {
        Answer answer = keeper.get(schedule);
        assertThat(answer.body().path("version").isMissingNode()).isTrue();
        ObjectNode document = today();
        assertThat(each(document.path("lanes"), "id")).contains("display", "return", "flow-left", "skimmer", "air");
        JsonNode day = day(document, ",\"day\":\"2026-11-12\"");
        assertThat(day.path("conflicts")).isEmpty();
        JsonNode display = of(day.path("lanes"), "id", "display");
        assertThat(display.path("pieces")).hasSize(3);
        assertThat(display.path("pieces").path(1).path("winner").path("by").asString())
                .isEqualTo("lamps on");
        assertThat(display.path("pieces").path(1).path("from"))
                .isEqualTo(day.path("lit").path(0).path("from"));
    }

    @Test
    void theHourWithoutSurgesIsFoundAndMendedByWhatIsOffered() {
        JsonNode day = day(withBubbleHour(), "");
        assertThat(each(day.path("conflicts"), "kind")).containsExactly("NO_SURGES");
        JsonNode out = day.path("conflicts").path(0).path("waysOut").path(0);
        assertThat(out.path("what").asString()).startsWith("add two surges");
        JsonNode mended = out.path("mended");
        assertThat(day(mended, "").path("conflicts")).isEmpty();
        Answer saved = save("null", mended);
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        // What was saved is what is read again, in a file as well.
        assertThat(today()).isEqualTo(mended);
    }

    @Test
    void whoChangesAnOlderOneIsShownBoth() {
        ObjectNode first = today();
        String version = save("null", first).body().path("version").toString();
        assertThat(save(version, withBubbleHour()).status()).isEqualTo(200);
        Answer late = save(version, first);
        assertThat(late.status()).isEqualTo(409);
        assertThat(each(late.body().path("current").path("schedule").path("windows"), "id"))
                .contains("bubbles");
        assertThat(save("null", first).status()).isEqualTo(409);
    }

    @Test
    void whatLeavesAnimalsWithoutAirIsNotSaved() {
        ObjectNode document = today();
        ((ObjectNode) of(document.path("lanes"), "id", "air"))
                .set("rest", JSON.readTree("{\"does\":\"RECIRCULATED\",\"share\":0.1}"));
        assertThat(day(document, "").path("conflicts").path(0).path("forbids").asBoolean())
                .isTrue();
        Answer refused = save("null", document);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("must be on fresh air when no rule applies");
    }

    @Test
    void whatDoesNotFitIsSaidWithItsPlace() {
        ObjectNode document = today();
        add(document, "rules", """
                {"lane":"nobody","kind":"SPECIAL","window":"all-day","state":{"does":"ON"}}""");
        refused(document, "There is no device “nobody”");
        document = today();
        add(document, "windows", """
                {"id":"none","name":"none","allDay":false,"from":{"time":"08:00"},"until":{"time":"08:00"}}""");
        refused(document, "at the same time");
        document = today();
        add(document, "windows", """
                {"id":"none","name":"none","allDay":false,"from":{"time":"25:00"},"until":{"time":"08:00"}}""");
        refused(document, "must be a time such as 19:05");
        document = today();
        add(document, "windows", """
                {"id":"leap","name":"leap","allDay":true,"from":{"time":"00:00"},"until":{"time":"00:00"},
                 "seasonFrom":"02-30","seasonUntil":"03-01"}""");
        refused(document, "no such day");
        document = today();
        add(document, "rules", """
                {"lane":"return","kind":"FOLLOW_UP","window":"all-day"}""");
        refused(document, "needs a steps");
        document = today();
        add(document, "rules", """
                {"lane":"return","kind":"USUAL","window":"all-day","state":{"does":"WAVE","onS":0,"offS":30}}""");
        refused(document, "Enter seconds on and off for a wave");
        document = today();
        add(document, "lanes", """
                {"id":"%s","kind":"DOSER","name":"soda","rest":{"does":"OFF"},"afterPower":{"does":"OFF"}}""".formatted(java.util.UUID.randomUUID()));
        refused(document, "Dosing has no line “soda”");
    }

    private void refused(ObjectNode document, String words) {
        Answer answer = save("null", document);
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.text()).contains(words);
    }

    private String line() {
        Answer made = keeper.post(tank + "/dosing", """
                {"at":"%s","name":"soda","solute":"SODA_ASH","share":0.5,"vesselMl":140,"mlPerDay":5,
                 "times":{"perDay":24,"first":"00:00","overH":24}}""".formatted(PRESENT.minusSeconds(7200)));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.body().path("id").asString();
    }

    /** Its times are Doses' and nowhere else: what is changed here is changed there. */
    @Test
    void aLineOfDosesIsALaneAndKeepsItsTimes() {
        save("null", today());
        String line = line();
        ObjectNode document = today();
        assertThat(each(document.path("lanes"), "id")).contains(line);
        of(document.path("rules"), "lane", line);
        ((ObjectNode) of(document.path("rules"), "lane", line)).put("window", "dark");
        JsonNode day = day(document, "");
        assertThat(of(day.path("lanes"), "id", line).path("doses")).hasSize(24);
        JsonNode left = of(day.path("conflicts"), "kind", "DOSES_LEFT_OUT");
        JsonNode mended = left.path("waysOut").path(0).path("mended");
        String version = keeper.get(schedule).body().path("version").toString();
        Answer saved = save(version, mended);
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        JsonNode times =
                keeper.get(tank + "/dosing").body().path("lines").path(0).path("times");
        assertThat(times.path("overH").asDouble()).isLessThan(24);
        assertThat(times)
                .isEqualTo(of(today().path("lanes"), "id", line).path("doses").path("times"));
        // An end in Doses takes the lane and its rules away.
        keeper.delete(tank + "/dosing/" + line);
        assertThat(each(today().path("lanes"), "id")).doesNotContain(line);
        assertThat(each(today().path("rules"), "lane")).doesNotContain(line);
    }

    @Test
    void aCutIsThoughtOf() {
        String line = line();
        JsonNode day = day(today(), """
                ,"day":"2026-11-12","what":{"cut":{"from":"2026-11-12T02:00:00Z","until":"2026-11-12T03:10:00Z"}}""");
        JsonNode pieces = of(day.path("lanes"), "id", "return").path("pieces");
        assertThat(each(pieces, "from"))
                .contains("2026-11-12T02:00:00Z", "2026-11-12T03:10:00Z", "2026-11-12T03:40:00Z");
        JsonNode doser = of(day.path("lanes"), "id", line).path("pieces");
        assertThat(doser.path(doser.size() - 1).path("winner").path("by").asString())
                .isEqualTo("until you confirm that the return runs");
        Answer backwards = keeper.post(
                schedule + "/day",
                "{\"schedule\":" + today()
                        + ",\"what\":{\"cut\":{\"from\":\"2026-11-12T02:00:00Z\",\"until\":\"2026-11-12T01:00:00Z\"}}}");
        assertThat(backwards.status()).isEqualTo(422);
    }

    @Test
    void templatesFitThemselvesToTheLanesThatAreThere() {
        Answer bubbles = keeper.post(schedule + "/templates/BUBBLE_HOUR", "{\"schedule\":" + today() + "}");
        assertThat(bubbles.status()).as(bubbles.text()).isEqualTo(200);
        assertThat(each(run(bubbles.body().path("schedule"), ",\"days\":2").path("brings"), "chore"))
                .containsExactly("SOCK", "SKIMMER_CUP");
        assertThat(day(bubbles.body().path("schedule"), "").path("conflicts")).isEmpty();
        Answer holiday = keeper.post(
                schedule + "/templates/HOLIDAY",
                "{\"holidayFrom\":\"12-20\",\"holidayUntil\":\"01-03\",\"schedule\":"
                        + bubbles.body().path("schedule") + "}");
        JsonNode hour = of(holiday.body().path("schedule").path("windows"), "name", "bubble hour");
        assertThat(hour.path("seasonFrom").asString()).isEqualTo("01-04");
        assertThat(hour.path("seasonUntil").asString()).isEqualTo("12-19");
        Answer refugium = keeper.post(schedule + "/templates/REVERSE_REFUGIUM", "{\"schedule\":" + today() + "}");
        assertThat(refugium.status()).isEqualTo(422);
        assertThat(refugium.text()).contains("no device for a refugium");
    }

    private JsonNode run(JsonNode document, String rest) {
        Answer answer = keeper.post(schedule + "/run", "{\"schedule\":" + document + rest + "}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body();
    }

    /** Media by night lift the trough beside today's; what they use and hold is said, and that the fill is assumed. */
    @Test
    void theTwinRunsIt() {
        JsonNode night = keeper.post(schedule + "/templates/NIGHT_MEDIA", "{\"schedule\":" + today() + "}")
                .body()
                .path("schedule");
        JsonNode runs = run(night, ",\"days\":14");
        double gain = runs.path("asked").path("troughPh").path("value").asDouble()
                - runs.path("now").path("troughPh").path("value").asDouble();
        assertThat(gain).isGreaterThan(0.02);
        assertThat(runs.path("asked")
                        .path("media")
                        .path("lastDays")
                        .path("value")
                        .asDouble())
                .isBetween(2.0, 400.0);
        assertThat(runs.path("asked").path("highestCo2Ppm").path("value").asDouble())
                .isLessThan(runs.path("now").path("highestCo2Ppm").path("value").asDouble());
        assertThat(runs.path("now").path("media").isMissingNode()).isTrue();
        assertThat(runs.path("assumed").toString()).contains("No media fill is logged");
        assertThat(runs.path("asked").path("at").size()).isBetween(150, 420);
        JsonNode same = run(today(), ",\"days\":2");
        assertThat(same.path("asked")).isEqualTo(same.path("now"));
        String cut = ",\"what\":{\"cut\":{\"from\":\"%s\",\"until\":\"%s\"}}"
                .formatted(PRESENT.minusSeconds(3600), PRESENT.plusSeconds(4 * 3600));
        JsonNode dark = run(today(), ",\"days\":2" + cut);
        assertThat(dark.path("asked").path("lowestOxygenMgPerL").path("value").asDouble())
                .isLessThan(dark.path("now")
                        .path("lowestOxygenMgPerL")
                        .path("value")
                        .asDouble());
        assertThat(keeper.post(schedule + "/run", "{\"days\":15,\"schedule\":" + today() + "}")
                        .status())
                .isEqualTo(422);
    }

    /** A return that stands from noon on: doses into it are found, and the twin's oxygen falls. */
    @Test
    void aDeviceThatDoesNotObeyIsThoughtOf() {
        line();
        String stuck =
                ",\"what\":{\"stuck\":{\"lane\":\"%s\",\"state\":{\"does\":\"%s\"},\"from\":\"2026-11-12T11:00:00Z\"}}";
        JsonNode day = day(today(), ",\"day\":\"2026-11-12\"" + stuck.formatted("return", "OFF"));
        JsonNode pieces = of(day.path("lanes"), "id", "return").path("pieces");
        assertThat(pieces.path(pieces.size() - 1).path("winner").path("by").asString())
                .isEqualTo("stuck");
        assertThat(each(day.path("conflicts"), "kind")).containsOnly("DOSE_WITHOUT_RETURN");
        for (String wrong : List.of("nobody\",\"x\":\"", "air")) {
            Answer refused =
                    keeper.post(schedule + "/day", "{\"schedule\":" + today() + stuck.formatted(wrong, "OFF") + "}");
            assertThat(refused.status()).as(wrong).isBetween(400, 422);
        }
    }

    @Test
    void readingsAreThoughtOf() {
        JsonNode gated = keeper.post(schedule + "/templates/GATE_BELOW_PH", "{\"schedule\":" + today() + "}")
                .body()
                .path("schedule");
        for (String said : List.of("HOLDS", "DOES_NOT", "NOT_KNOWN")) {
            JsonNode air = of(
                            day(gated, ",\"what\":{\"readings\":\"" + said + "\"}")
                                    .path("lanes"),
                            "id",
                            "air")
                    .path("pieces")
                    .path(0)
                    .path("winner");
            assertThat(air.path("state").path("does").asString())
                    .as(said)
                    .isEqualTo(said.equals("HOLDS") ? "MEDIA" : "FRESH");
            assertThat(air.path("strength").asString()).isEqualTo(said.equals("DOES_NOT") ? "REST" : "GATE");
        }
    }

    /** A day that was: the gate goes by what the log has, and the outage that was noted is in it. */
    @Test
    void aDayThatWasIsDrawnByWhatWasStored() {
        String line = line();
        JsonNode gated = keeper.post(schedule + "/templates/GATE_BELOW_PH", "{\"schedule\":" + today() + "}")
                .body()
                .path("schedule");
        for (String read : List.of("10:00\",8.30", "10:10\",8.05", "10:20\",8.10")) {
            String[] timeAndPh = read.split("\",", -1);
            Answer put = keeper.post(
                    tank + "/readings",
                    Samples.reading(
                            "2026-01-05T" + timeAndPh[0], "PH_NBS", "TANK", "PROBE", Double.parseDouble(timeAndPh[1])));
            assertThat(put.status()).as(put.text()).isBetween(200, 299);
        }
        String home = keeper.get(tank).body().path("homeId").asString();
        String outages = "/homes/" + home + "/outages";
        Answer outage = keeper.post(outages, "{\"at\":\"2026-01-05T14:00:00Z\"}");
        assertThat(outage.status()).as(outage.text()).isBetween(200, 299);
        Answer ended = keeper.post(
                outages + "/" + outage.body().path("id").asString() + "/end", "{\"at\":\"2026-01-05T15:00:00Z\"}");
        assertThat(ended.status()).as(ended.text()).isBetween(200, 299);
        JsonNode day = day(gated, ",\"day\":\"2026-01-05\"");
        JsonNode air = of(day.path("lanes"), "id", "air").path("pieces");
        assertThat(StreamSupport.stream(air.spliterator(), false)
                        .map(p -> p.path("winner").path("by").asString() + " "
                                + p.path("winner").path("state").path("does").asString()))
                .startsWith(
                        "no recent reading FRESH",
                        "without a rule FRESH",
                        "pH below 8.2 MEDIA",
                        "no recent reading FRESH");
        assertThat(air.path(2).path("from").asString()).endsWith(":10:00Z");
        JsonNode pumps = of(day.path("lanes"), "id", "return").path("pieces");
        assertThat(StreamSupport.stream(pumps.spliterator(), false)
                        .map(p -> p.path("winner").path("by").asString()))
                .contains("power cut");
        // Nobody let doses go on; so long ago they are taken to have gone on once the return had run for half an hour.
        JsonNode soda = of(day.path("lanes"), "id", line).path("pieces");
        assertThat(StreamSupport.stream(soda.spliterator(), false)
                        .map(p -> p.path("until").asString() + " "
                                + p.at("/winner/state/does").asString()))
                .containsExactly(
                        "2026-01-05T14:00:00Z ON",
                        "2026-01-05T15:00:00Z OFF",
                        "2026-01-05T15:30:00Z OFF",
                        "2026-01-05T23:00:00Z ON");
        JsonNode missing = day(gated, ",\"day\":\"2026-01-05\",\"what\":{\"readings\":\"NOT_KNOWN\"}");
        assertThat(each(of(missing.path("lanes"), "id", "air").path("pieces"), "from"))
                .doesNotContain(air.path(2).path("from").asString());
    }

    /** What is stored is always readable: a full schedule, and more dosing lines than it had when it was saved. */
    @Test
    void aFullScheduleStaysReadable() {
        ObjectNode document = today();
        for (int i = document.path("lanes").size(); i < 100; i++) {
            add(document, "lanes", """
                    {"id":"fan-%d","kind":"FAN","name":"fan %d","rest":{"does":"OFF"},"afterPower":{"does":"OFF"}}""".formatted(i, i));
        }
        Answer saved = save("null", document);
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        String doses = schedule.replace("/schedule", "/dosing");
        for (int i = 0; i < 3; i++) {
            Answer line = keeper.post(doses, """
                    {"name":"drip %d","solute":"LIMEWATER","share":1,"vesselMl":1000,"mlPerDay":20,"at":"%s"}""".formatted(i, PRESENT.minusSeconds(60)));
            assertThat(line.status()).as(line.text()).isEqualTo(201);
        }
        assertThat(keeper.get(schedule).status()).isEqualTo(200);
        String home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        assertThat(keeper.get(home + "/due").status()).isEqualTo(200);
        assertThat(keeper.get(home + "/due.ics").status()).isEqualTo(200);
        assertThat(keeper.get(schedule + "/steps.ics").status()).isEqualTo(200);
    }

    @Test
    void aStateThatSaysNothingIsRefusedByName() {
        ObjectNode document = today();
        add(document, "rules", """
                {"lane":"flow-left","kind":"USUAL","window":"all-day","state":{"share":0.5}}""");
        Answer refused = save("null", document);
        assertThat(refused.status()).isBetween(400, 422);
        assertThat(refused.text()).contains("does");
    }

    /** Twenty-eight evenings, each with its date, two hours before the tank's lamps go off. */
    @Test
    void whoSwitchesByHandHasItInTheCalendar() {
        assertThat(keeper.get(schedule + "/steps.ics").text()).doesNotContain("VEVENT");
        JsonNode bubbles = keeper.post(schedule + "/templates/BUBBLE_HOUR", "{\"schedule\":" + today() + "}")
                .body()
                .path("schedule");
        save("null", bubbles);
        String calendar = keeper.get(schedule + "/steps.ics").text().replace("\r\n ", "");
        assertThat(calendar.split("BEGIN:VEVENT", -1)).hasSize(29);
        assertThat(calendar).contains("bubble hour").contains("flow pumps").contains("DTSTART");
    }

    /** All of them on one lane, in two hundred windows: answered, and what nobody reads is left out. */
    @Test
    void aThousandRules() {
        ObjectNode document = today();
        int before = document.path("rules").size();
        for (int i = 0; i < 190; i++) {
            add(document, "windows", """
                    {"id":"w%d","name":"w%d","allDay":false,"from":{"time":"%02d:%02d"},"until":{"time":"%02d:%02d"}}""".formatted(i, i, i / 60, i % 60, 20 + i / 60, (i * 7) % 60));
        }
        for (int i = before; i < 1000; i++) {
            add(document, "rules", """
                    {"lane":"flow-left","kind":"SPECIAL","window":"w%d","state":{"does":"SHARE","share":%s}}""".formatted(i % 190, 0.3 + (i % 50) / 100.0));
        }
        JsonNode day = day(document, "");
        assertThat(day.path("conflicts").size()).isEqualTo(30);
        assertThat(day.path("more").asInt()).isPositive();
        of(day.path("lanes"), "id", "flow-left")
                .path("pieces")
                .forEach(piece -> assertThat(piece.path("losers").size()).isLessThanOrEqualTo(8));
        add(document, "rules", """
                {"lane":"flow-left","kind":"SPECIAL","window":"w1","state":{"does":"ON"}}""");
        Answer refused = save("null", document);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text()).contains("rules");
    }
}
