package jollytide.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Fills of a 420 L tank whose skimmer draws 500 L/h of room air, assumed at 800 ppm. */
class MediaFillTest extends ServerTest {
    private static String fill(Instant at, double freshShare) {
        return """
                {"at":"%s","massKg":1,"intake":"ROOM","freshShare":%s,"hours":"ALWAYS","driesBetween":false}""".formatted(at, freshShare);
    }

    private static String colour(Instant at, double share) {
        return "{\"at\":\"%s\",\"changedShare\":%s}".formatted(at, share);
    }

    @Test
    void aFillIsPredictedAndTeaches() {
        Visitor keeper = visitor().asNewKeeper();
        String media = "/tanks/" + Samples.tank(keeper) + "/media";
        assertThat(keeper.get(media).body().path("capacityLPerKg").asDouble()).isEqualTo(150);

        // 500 L/h × 800 ppm = 0.4 L/h, less 4.4 %: drawn warm and wet a litre holds less than the 24.2 to a mole of the
        // capacity. 115 L in 300 h, so a kilogram that is all changed after that held 115.
        Instant first = PRESENT.minus(Duration.ofHours(300 + 48));
        JsonNode made = keeper.post(media, fill(first, 1)).body();
        String id = made.path("id").asString();
        assertThat(made.path("ahead").path("end").asString()).isEqualTo("SPENT");
        keeper.post(media + "/" + id + "/colours", colour(first.plus(Duration.ofHours(300)), 1));
        keeper.post(
                media + "/" + id + "/end", "{\"at\":\"" + first.plus(Duration.ofHours(301)) + "\",\"by\":\"COLOUR\"}");
        JsonNode taught = keeper.get(media).body();
        assertThat(taught.path("capacityLearnt").asBoolean()).isTrue();
        assertThat(taught.path("capacityLPerKg").asDouble()).isCloseTo(120 * 0.956, within(1.0));

        // The next one began two days ago and is a sixth used: of the same air the same share as before.
        JsonNode second =
                keeper.post(media, fill(PRESENT.minus(Duration.ofDays(2)), 1)).body();
        assertThat(second.path("ahead").path("usedShare").asDouble()).isCloseTo(0.4 * 48 / 120, within(0.01));
        double days = second.path("ahead").path("daysByCo2").asDouble();
        assertThat(days).isCloseTo((120 - 0.4 * 48) / 9.6, within(0.3));
        // A colour that is further than the sum brings the end nearer.
        JsonNode read = keeper.post(
                        media + "/" + second.path("id").asString() + "/colours",
                        colour(PRESENT.minus(Duration.ofHours(1)), 0.5))
                .body();
        assertThat(read.path("ahead").path("usedShare").asDouble()).isGreaterThan(0.49);
        // Once a colour was read it is the colour that says when.
        assertThat(second.path("ahead").path("changeBecause").asString()).isEqualTo("SPENT");
        assertThat(read.path("ahead").path("changeBecause").asString()).isEqualTo("COLOUR");
    }

    @Test
    void exhaustRecirculatedDrownsAFill() {
        Visitor keeper = visitor().asNewKeeper();
        String media = "/tanks/" + Samples.tank(keeper) + "/media";
        JsonNode ahead = keeper.post(media, fill(PRESENT.minus(Duration.ofDays(1)), 0))
                .body()
                .path("ahead");
        assertThat(ahead.path("end").asString()).isEqualTo("DROWNED");
        assertThat(ahead.path("waterPerGram").asDouble()).isGreaterThan(0.17);
        double days = (ahead.path("ends").path("value").asDouble() - PRESENT.getEpochSecond()) / 86_400;
        assertThat(days).isBetween(1.5, 4.0);
        // One date to act on, and it is the early side: what drowns unseen lets the pH sag.
        assertThat(ahead.path("changeBecause").asString()).isEqualTo("DROWNED");
        assertThat(Instant.parse(ahead.path("changeAt").asString()))
                .isBefore(Instant.ofEpochSecond(ahead.path("ends").path("value").asLong()));
        assertThat(ahead.path("drownedSince").isNull()
                        || ahead.path("drownedSince").isMissingNode())
                .isTrue();
    }

    @Test
    void aFillThatDrownedSaysSinceWhen() {
        Visitor keeper = visitor().asNewKeeper();
        Instant filled = PRESENT.minus(Duration.ofDays(12));
        JsonNode ahead = keeper.post("/tanks/" + Samples.tank(keeper) + "/media", fill(filled, 0))
                .body()
                .path("ahead");
        Instant since = Instant.parse(ahead.path("drownedSince").asString());
        // The same fill seen on its first day was to last 1.5 to 4 days from then.
        assertThat(since).isBetween(filled.plus(Duration.ofDays(2)), filled.plus(Duration.ofDays(6)));
        // To change now, but for the sum's own step; the tests' present ticks on while they run.
        assertThat(Instant.parse(ahead.path("changeAt").asString())).isBefore(PRESENT.plus(Duration.ofHours(1)));
    }

    @Test
    void aNewFillEndsTheOldOneAndAnEndCanBeTakenBack() {
        Visitor keeper = visitor().asNewKeeper();
        String media = "/tanks/" + Samples.tank(keeper) + "/media";
        String id = keeper.post(media, fill(PRESENT.minus(Duration.ofDays(9)), 1))
                .body()
                .path("id")
                .asString();
        keeper.post(media, fill(PRESENT.minus(Duration.ofDays(1)), 1));
        JsonNode fills = keeper.get(media).body().path("fills");
        assertThat(fills).hasSize(2);
        assertThat(fills.path(1).path("endedBy").asString()).isEqualTo("EARLY");
        assertThat(keeper.delete(media + "/" + id + "/end")
                                .body()
                                .path("endedBy")
                                .isNull()
                        || keeper.get(media)
                                .body()
                                .path("fills")
                                .path(1)
                                .path("endedBy")
                                .isMissingNode())
                .isTrue();
    }

    @Test
    void nonsenseIsRefusedInWords() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        assertThat(keeper.post(tank + "/media", fill(PRESENT, 7)).problem()).contains("freshShare is 7");
        assertThat(keeper.post(tank + "/media", fill(PRESENT, 1).replace("\"massKg\":1", "\"massKg\":0"))
                        .problem())
                .contains("mediaMassKg is 0");
        String id = keeper.post(tank + "/media", fill(PRESENT.minus(Duration.ofDays(1)), 1))
                .body()
                .path("id")
                .asString();
        assertThat(keeper.post(tank + "/media/" + id + "/colours", colour(PRESENT.minus(Duration.ofDays(2)), 0.5))
                        .problem())
                .contains("before the fill");
        assertThat(visitor().asNewKeeper().get(tank + "/media").status()).isEqualTo(404);
    }

    /** What soaked media do to the air is asked, kept, and left unknown where nobody looked. */
    @Test
    void whetherAFillChokesIsKept() {
        Visitor keeper = visitor().asNewKeeper();
        String media = "/tanks/" + Samples.tank(keeper) + "/media";
        String asked = fill(PRESENT.minus(Duration.ofDays(2)), 1).replace("}", ",\"chokes\":true}");
        assertThat(keeper.post(media, asked).body().path("chokes").asBoolean()).isTrue();
        keeper.post(media, fill(PRESENT.minus(Duration.ofDays(1)), 1));
        JsonNode fills = keeper.get(media).body().path("fills");
        assertThat(fills.path(0).hasNonNull("chokes")).isFalse();
        assertThat(fills.path(1).path("chokes").asBoolean()).isTrue();
    }
}
