package jollytide.server.home;

import static org.assertj.core.api.Assertions.assertThat;

import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;

/** Somebody else's home, room, tank and readings are not there. */
class OwnershipTest extends ServerTest {

    @Test
    void anotherKeepersThingsAreNotFound() {
        Visitor owner = visitor().asNewKeeper();
        String home = owner.post("/homes", Samples.HOME).body().path("id").asString();
        String room = owner.post("/homes/" + home + "/rooms", Samples.ROOM)
                .body()
                .path("id")
                .asString();
        String tank = owner.post("/rooms/" + room + "/tanks", Samples.TANK)
                .body()
                .path("id")
                .asString();
        String reading = owner.post(
                        "/tanks/" + tank + "/readings",
                        Samples.reading("2026-01-05T10:00", "PH_NBS", "TANK", "PROBE", 8.1))
                .body()
                .path(0)
                .path("id")
                .asString();

        Visitor other = visitor().asNewKeeper();
        String edit = """
                {"version":0,"description":%s}""";
        assertThat(other.get("/homes").body()).isEmpty();
        assertThat(other.put("/homes/" + home, edit.formatted(Samples.HOME)).status())
                .isEqualTo(404);
        assertThat(other.delete("/homes/" + home).status()).isEqualTo(404);
        assertThat(other.post("/homes/" + home + "/rooms", Samples.ROOM).status())
                .isEqualTo(404);
        assertThat(other.put("/rooms/" + room, edit.formatted(Samples.ROOM)).status())
                .isEqualTo(404);
        assertThat(other.delete("/rooms/" + room).status()).isEqualTo(404);
        assertThat(other.post("/rooms/" + room + "/tanks", Samples.TANK).status())
                .isEqualTo(404);
        assertThat(other.get("/tanks/" + tank).status()).isEqualTo(404);
        assertThat(other.put("/tanks/" + tank, edit.formatted(Samples.TANK)).status())
                .isEqualTo(404);
        assertThat(other.delete("/tanks/" + tank).status()).isEqualTo(404);
        assertThat(other.get("/tanks/" + tank + "/readings").status()).isEqualTo(404);
        assertThat(other.get("/tanks/" + tank + "/glance").status()).isEqualTo(404);
        assertThat(other.get("/tanks/" + tank + "/staircase").status()).isEqualTo(404);
        String own = Samples.tank(other);
        assertThat(other.delete("/tanks/" + own + "/readings/" + reading).status())
                .isEqualTo(404);

        assertThat(owner.get("/tanks/" + tank + "/readings").body().path("readings"))
                .hasSize(1);
        assertThat(owner.delete("/homes/" + home).status()).isEqualTo(204);
        assertThat(owner.get("/tanks/" + tank).status()).isEqualTo(404);
    }
}
