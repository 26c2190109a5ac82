package jollytide.server.tank;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

class RemovedTest extends ServerTest {
    @Autowired
    private JdbcTemplate jdbc;

    private Visitor keeper;
    private String tank;
    private JsonNode described;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = Samples.tank(keeper);
        keeper.post(
                "/tanks/" + tank + "/readings",
                Samples.reading(PRESENT.minusSeconds(600).toString(), "DKH", "TANK", "TITRATION_KIT", 8.0));
        described = keeper.get("/tanks/" + tank).body();
    }

    private String undo(String id) {
        return "/removed/" + id + "/undo";
    }

    private int logged() {
        return keeper.get("/tanks/" + tank + "/readings").body().size();
    }

    @Test
    void aTankComesBackAsItWas() {
        int logged = logged();
        assertThat(keeper.delete("/tanks/" + tank).status()).isEqualTo(204);
        assertThat(keeper.get("/tanks").body()).isEmpty();
        assertThat(keeper.get("/tanks/" + tank).status()).isEqualTo(404);
        assertThat(keeper.get("/tanks/" + tank + "/readings").status()).isEqualTo(404);
        assertThat(keeper.delete("/tanks/" + tank).status()).isEqualTo(404);
        JsonNode removed = keeper.get("/removed").body();
        assertThat(removed).hasSize(1);
        assertThat(removed.path(0).path("kind").asString()).isEqualTo("TANK");
        Instant at = Instant.parse(removed.path(0).path("at").asString());
        assertThat(at).isBetween(PRESENT, PRESENT.plusSeconds(3600));
        assertThat(removed.path(0).path("until").asString())
                .isEqualTo(at.plus(Duration.ofDays(1)).toString());
        assertThat(keeper.post(undo(tank), "").status()).isEqualTo(204);
        JsonNode back = keeper.get("/tanks/" + tank).body();
        assertThat(back.path("description")).isEqualTo(described.path("description"));
        assertThat(logged()).isEqualTo(logged).isPositive();
        assertThat(keeper.get("/removed").body()).isEmpty();
        assertThat(keeper.post(undo(tank), "").status()).isEqualTo(404);
    }

    /** Rooms and homes take along what is in them, and bring it back. */
    @Test
    void aRoomAndAHomeTakeTheirTanksAlong() {
        String room = described.path("roomId").asString();
        String home = described.path("homeId").asString();
        keeper.delete("/rooms/" + room);
        assertThat(keeper.get("/tanks/" + tank).status()).isEqualTo(404);
        assertThat(keeper.get("/homes").body().path(0).path("rooms")).isEmpty();
        keeper.delete("/homes/" + home);
        assertThat(keeper.get("/homes").body()).isEmpty();
        for (String door : new String[] {"/due", "/readiness", "/outages/current", "/kit"}) {
            assertThat(keeper.get("/homes/" + home + door).status()).as(door).isEqualTo(404);
        }
        keeper.post(undo(home), "");
        assertThat(keeper.get("/tanks").body()).isEmpty();
        keeper.post(undo(room), "");
        assertThat(keeper.get("/tanks").body()).hasSize(1);
    }

    /** Nobody else sees it, or brings it back. */
    @Test
    void itIsTheKeepersOwn() {
        keeper.delete("/tanks/" + tank);
        Visitor other = visitor().asNewKeeper();
        assertThat(other.get("/removed").body()).isEmpty();
        assertThat(other.post(undo(tank), "").status()).isEqualTo(404);
        assertThat(keeper.get("/removed").body()).hasSize(1);
    }

    @Test
    void afterADayItIsGone() {
        keeper.delete("/tanks/" + tank);
        jdbc.update("update tank set removed_at = removed_at - interval 25 hour where id = ?", UUID.fromString(tank));
        assertThat(keeper.get("/removed").body()).isEmpty();
        assertThat(jdbc.queryForObject("select count(*) from tank where id = ?", Integer.class, UUID.fromString(tank)))
                .isZero();
        assertThat(keeper.post(undo(tank), "").status()).isEqualTo(404);
    }
}
