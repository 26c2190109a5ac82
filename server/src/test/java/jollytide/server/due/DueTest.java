package jollytide.server.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is due, as a list and as a calendar. */
class DueTest extends ServerTest {
    private static final String PUMP = """
            {"name":"pump; under, the stairs","place":"","who":"","gives":"AIR","airLPerH":120,"loadW":3.4,
             "energy":"UPS","upsW":100,"upsMinutes":23%s}""";

    @Test
    void testsAndDatesAreDue() throws IOException, ParserException {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        assertThat(keeper.get(home + "/due").body()).isEmpty();
        keeper.post(home + "/kit", PUMP.formatted(""));
        keeper.post(home + "/kit", PUMP.formatted(",\"testedHours\":5,\"testedOn\":\"2026-02-01\""));
        keeper.post(home + "/kit", PUMP.formatted(",\"testedHours\":5,\"expires\":\"2026-11-01\""));
        JsonNode due = keeper.get(home + "/due").body();
        assertThat(due.findValuesAsString("on")).containsExactly("2026-11-01", "2026-11-12", "2027-02-01");
        assertThat(due.path(0).path("what").asString()).contains("expired");
        assertThat(due.path(0).path("late").asBoolean()).isTrue();
        assertThat(due.path(2).path("late").asBoolean()).isFalse();

        // Read by the library as any calendar would: the same entries, again and again the same identity.
        String text = keeper.get(home + "/due.ics").text();
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        List<VEvent> events = calendar.getComponents("VEVENT");
        assertThat(events).hasSize(3);
        assertThat(events.get(1).getSummary().getValue()).startsWith("pump; under, the stairs: never tested");
        assertThat(text.lines()).allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(75));
        assertThat(keeper.get(home + "/due.ics").text().lines().filter(l -> l.startsWith("UID")))
                .containsExactlyElementsOf(
                        text.lines().filter(l -> l.startsWith("UID")).toList());
        assertThat(visitor().asNewKeeper().get(home + "/due.ics").status()).isEqualTo(404);
    }

    /** RFC 5545, 3.1: no line has more than 75 octets, and a folded one reads as it was written. */
    @Test
    void linesAreFoldedByOctetsInAnyScript() throws IOException, ParserException {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        String name = "予備のエアポンプ、階段の下、Überdruckpumpe für das große Becken 🫧🫧🫧🫧🫧🫧🫧🫧";
        assertThat(keeper.post(home + "/kit", PUMP.formatted("").replace("pump; under, the stairs", name))
                        .status())
                .isEqualTo(201);
        String text = keeper.get(home + "/due.ics").text();
        assertThat(text.lines())
                .allSatisfy(line ->
                        assertThat(line.getBytes(StandardCharsets.UTF_8)).hasSizeLessThanOrEqualTo(75));
        Calendar calendar = new CalendarBuilder().build(new StringReader(text));
        List<VEvent> events = calendar.getComponents("VEVENT");
        assertThat(events.get(0).getSummary().getValue()).startsWith(name + ": never tested");
    }

    /** Whoever knows the address reads what is due, and nothing else; a new one closes the old one. */
    @Test
    void aCalendarReadsItsOwnAddress() {
        Visitor keeper = visitor().asNewKeeper();
        Samples.tank(keeper);
        String home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        keeper.post(home + "/kit", PUMP.formatted(""));
        assertThat(keeper.get(home + "/calendar").body().path("since").isMissingNode())
                .isTrue();
        Visitor.Answer made = keeper.post(home + "/calendar", "");
        assertThat(made.status()).isEqualTo(201);
        String first = made.body().path("token").asString();
        assertThat(keeper.get(home + "/calendar").body().path("since").asString())
                .isNotBlank();
        Visitor.Answer read = visitor().get("/calendar/" + first);
        assertThat(read.status()).isEqualTo(200);
        assertThat(read.text()).startsWith("BEGIN:VCALENDAR").contains("never tested");
        assertThat(visitor().withBearer(first).get(home + "/due").status()).isEqualTo(401);
        assertThat(visitor().get("/calendar/" + first + "x").status()).isEqualTo(404);

        String second = keeper.post(home + "/calendar", "").body().path("token").asString();
        assertThat(visitor().get("/calendar/" + first).status()).isEqualTo(404);
        assertThat(visitor().get("/calendar/" + second).status()).isEqualTo(200);
        assertThat(visitor().asNewKeeper().post(home + "/calendar", "").status())
                .isEqualTo(404);
        assertThat(visitor().asNewKeeper().delete(home + "/calendar").status()).isEqualTo(404);
        assertThat(keeper.delete(home + "/calendar").status()).isEqualTo(204);
        assertThat(visitor().get("/calendar/" + second).status()).isEqualTo(404);
        assertThat(keeper.delete(home + "/calendar").status()).as("twice").isEqualTo(204);
    }
}
