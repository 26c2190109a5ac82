package jollytide.server.tank;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A tank that changed, or that was described wrongly: two different things. */
class ChapterTest extends ServerTest {
    private static final String FIRST = Samples.TANK;
    private static final String WEAKER = FIRST.replace("\"skimmerAirDrawLPerH\":500", "\"skimmerAirDrawLPerH\":350");

    private Visitor keeper;
    private String tank;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = Samples.tank(keeper);
    }

    private static String daysAgo(int days) {
        return PRESENT.minus(days, ChronoUnit.DAYS)
                .truncatedTo(ChronoUnit.SECONDS)
                .toString();
    }

    private Visitor.Answer edit(String description, String since) {
        long version = keeper.get("/tanks/" + tank).body().path("version").asLong();
        return keeper.put(
                "/tanks/" + tank, """
                {"version":%d,"description":%s,"since":%s}""".formatted(version, description, since == null ? "null" : "\"" + since + "\""));
    }

    private JsonNode chapters() {
        return keeper.get("/tanks/" + tank + "/chapters").body();
    }

    private static double draw(JsonNode chapter) {
        return chapter.path("description").path("skimmerAirDrawLPerH").asDouble();
    }

    @Test
    void aChangeKeepsHowItWas() {
        String since = daysAgo(10);
        assertThat(edit(WEAKER, since).status()).isEqualTo(200);
        JsonNode chapters = chapters();
        assertThat(chapters).hasSize(2);
        assertThat(draw(chapters.get(0))).isEqualTo(500);
        assertThat(chapters.get(0).path("until").asString()).isEqualTo(since);
        assertThat(draw(chapters.get(1))).isEqualTo(350);
        assertThat(chapters.get(1).path("from").asString()).isEqualTo(since);
        assertThat(chapters.get(1).path("changed").toString()).isEqualTo("[\"SKIMMER\"]");
    }

    @Test
    void aMistakeIsMendedAsFarBackAsItWasMade() {
        edit(WEAKER, daysAgo(30));
        edit(WEAKER.replace("BROKEN", "BROKEN").replace("ROLLING", "BROKEN"), daysAgo(10));
        // The volume was wrong from the beginning; the skimmer's draw only since it became 350.
        String right = WEAKER.replace("ROLLING", "BROKEN")
                .replace("\"netVolumeL\":420", "\"netVolumeL\":380")
                .replace("\"skimmerAirDrawLPerH\":350", "\"skimmerAirDrawLPerH\":300");
        assertThat(edit(right, null).status()).isEqualTo(200);
        JsonNode chapters = chapters();
        assertThat(chapters).hasSize(3);
        assertThat(chapters)
                .allSatisfy(
                        c -> assertThat(c.path("description").path("netVolumeL").asDouble())
                                .isEqualTo(380));
        assertThat(draw(chapters.get(0))).isEqualTo(500);
        assertThat(draw(chapters.get(1))).isEqualTo(300);
        assertThat(draw(chapters.get(2))).isEqualTo(300);
        assertThat(chapters.get(0).path("description").path("surfaces").toString())
                .contains("ROLLING");
        assertThat(chapters.get(2).path("description").path("surfaces").toString())
                .contains("BROKEN");
    }

    /** What a keeper wants of a tank is no gear. */
    @Test
    void anotherNameOrBandBeginsNoChapter() {
        edit(FIRST.replace("Tide pool", "Rock pool").replace("8.4", "8.35"), daysAgo(3));
        assertThat(chapters()).hasSize(1);
    }

    @ParameterizedTest(name = "since {0} days ago")
    @CsvSource({"-2, future", "20, later than", "10, later than"})
    void aChapterThatCannotBeIsRefusedAndNothingIsSaved(int days, String words) {
        String since = daysAgo(10);
        edit(WEAKER, since);
        Visitor.Answer answer = edit(FIRST, days == 10 ? since : daysAgo(days));
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).isEqualTo("since");
        assertThat(answer.firstError().toString()).contains(words);
        assertThat(draw(keeper.get("/tanks/" + tank).body())).isEqualTo(350);
        assertThat(chapters()).hasSize(2);
    }

    @Test
    void aBoundaryIsMovedButNotOverItsNeighbours() {
        edit(WEAKER, daysAgo(30));
        edit(FIRST, daysAgo(10));
        JsonNode first = chapters().get(0);
        String path = "/tanks/" + tank + "/chapters/" + first.path("id").asString();
        String body = "{\"version\":" + first.path("version").asLong() + ",\"until\":\"%s\",\"description\":null}";
        assertThat(keeper.put(path, body.formatted(daysAgo(5)))
                        .firstError()
                        .path("message")
                        .asString())
                .contains("end before it starts");
        String moved = daysAgo(20);
        assertThat(keeper.put(path, body.formatted(moved)).status()).isEqualTo(200);
        assertThat(chapters().get(1).path("from").asString()).isEqualTo(moved);
        assertThat(keeper.put(path, body.formatted(daysAgo(21))).status()).isEqualTo(409);
    }

    @Test
    void anEarlierDescriptionIsMendedAndAChapterThatWasNoneIsJoined() {
        edit(WEAKER, daysAgo(10));
        JsonNode first = chapters().get(0);
        String path = "/tanks/" + tank + "/chapters/" + first.path("id").asString();
        String mended = FIRST.replace("\"skimmerAirDrawLPerH\":500", "\"skimmerAirDrawLPerH\":450");
        assertThat(keeper.put(
                                path,
                                "{\"version\":" + first.path("version").asLong() + ",\"until\":null,\"description\":"
                                        + mended + "}")
                        .status())
                .isEqualTo(200);
        assertThat(draw(chapters().get(0))).isEqualTo(450);
        String impossible = FIRST.replace("\"netVolumeL\":420", "\"netVolumeL\":-1");
        assertThat(keeper.put(
                                path,
                                "{\"version\":" + (first.path("version").asLong() + 1)
                                        + ",\"until\":null,\"description\":" + impossible + "}")
                        .status())
                .isEqualTo(422);
        assertThat(keeper.delete(path).status()).isEqualTo(200);
        assertThat(chapters()).hasSize(1);
        assertThat(draw(chapters().get(0))).isEqualTo(350);
    }

    /** A form says in full what was left out before: no gear changed. */
    @Test
    void whatIsSaidInFullIsNoChange() {
        String full = FIRST.replace(
                "\"assumptions\":{}",
                "\"assumptions\":{},\"parts\":{\"falls\":[],\"stones\":[],\"fish\":[],\"skimmerInCabinet\":false,"
                        + "\"canister\":false,\"alkalinitySource\":\"SODA_ASH\",\"livestock\":\"MIXED_REEF\"}");
        edit(full, daysAgo(3));
        assertThat(chapters()).hasSize(1);
    }

    /** As Undo sends it: the chapter goes with the change. */
    @Test
    void aChangeThatIsTakenBackLeavesNoChapter() {
        edit(WEAKER, daysAgo(10));
        edit(FIRST, null);
        assertThat(chapters()).hasSize(1);
        assertThat(draw(chapters().get(0))).isEqualTo(500);
    }

    /** Lamps of an earlier chapter are drawn by their own clock. */
    @Test
    void aPastDayIsLitAsItWasThen() {
        edit(FIRST.replace("\"10:00\"", "\"06:00\""), daysAgo(5));
        JsonNode before = keeper.get("/tanks/" + tank + "/day?day=" + daysAgo(8).substring(0, 10))
                .body();
        JsonNode after = keeper.get("/tanks/" + tank + "/day?day=" + daysAgo(2).substring(0, 10))
                .body();
        assertThat(hours(before)).isEqualTo(11);
        assertThat(hours(after)).isEqualTo(15);
    }

    private static long hours(JsonNode day) {
        JsonNode lit = day.path("lit").get(0);
        return ChronoUnit.HOURS.between(
                Instant.parse(lit.path("from").asString()),
                Instant.parse(lit.path("to").asString()));
    }
}
