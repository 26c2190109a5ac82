package jollytide.server.tank;

import static org.assertj.core.api.Assertions.assertThat;

import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TankTest extends ServerTest {

    private static String edit(long version, String description) {
        return """
                {"version":%d,"description":%s}""".formatted(version, description);
    }

    @Test
    void theSecondTabToSaveSeesBothVersions() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        long version = keeper.get("/tanks/" + tank).body().path("version").asLong();
        var first = keeper.put("/tanks/" + tank, edit(version, Samples.TANK.replace("Tide pool", "First tab")));
        assertThat(first.status()).isEqualTo(200);
        var second = keeper.put("/tanks/" + tank, edit(version, Samples.TANK.replace("Tide pool", "Second tab")));
        assertThat(second.status()).isEqualTo(409);
        assertThat(second.body()
                        .path("current")
                        .path("description")
                        .path("name")
                        .asString())
                .isEqualTo("First tab");
        long current = second.body().path("current").path("version").asLong();
        assertThat(keeper.put("/tanks/" + tank, edit(current, Samples.TANK.replace("Tide pool", "Second tab")))
                        .status())
                .isEqualTo(200);
    }

    @Test
    void everyChangeCountsAsAVersionEvenOfASurface() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        long version = keeper.get("/tanks/" + tank).body().path("version").asLong();
        keeper.put("/tanks/" + tank, edit(version, Samples.TANK.replace("ROLLING", "BROKEN")));
        assertThat(keeper.get("/tanks/" + tank).body().path("version").asLong()).isGreaterThan(version);
    }

    @ParameterizedTest(name = "{1} instead of {0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "\"netVolumeL\":420 | \"netVolumeL\":0 | netVolumeL",
                "\"netVolumeL\":420 | \"netVolumeL\":-5 | netVolumeL",
                "\"netVolumeL\":420 | \"netVolumeL\":\"lots\" | netVolumeL",
                "\"netVolumeL\":420 | \"netVolumeL\":1e400 | netVolumeL",
                "\"netVolumeL\":420, | | netVolumeL",
                "\"areaM2\":0.9 | \"areaM2\":-1 | areaM2",
                "\"10:00\" | \"25:00\" | light.on",
                "\"troughAtLeast\":8.0 | \"troughAtLeast\":8.6 | troughAtLeast",
                "\"skimmerAirDrawLPerH\":500 | \"skimmerAirDrawLPerH\":900000 | skimmerAirDrawLPerH",
                "\"LIFT\" | \"CHASE\" | stance",
                "\"Tide pool\" | \"  \" | name",
                "\"assumptions\":{} | \"assumptions\":{\"settlingHours\":0} | settlingHours",
                "\"stance\" | \"colour\":1,\"stance\" | colour"
            })
    void whatCannotBeIsRefusedByName(String good, String bad, String field) {
        Visitor keeper = visitor().asNewKeeper();
        String home = keeper.post("/homes", Samples.HOME).body().path("id").asString();
        String room = keeper.post("/homes/" + home + "/rooms", Samples.ROOM)
                .body()
                .path("id")
                .asString();
        var answer = keeper.post("/rooms/" + room + "/tanks", Samples.TANK.replace(good, bad == null ? "" : bad));
        assertThat(answer.status()).as(answer.text()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).endsWith(field);
        assertThat(answer.firstError().path("allowed").asString()).isNotBlank();
        assertThat(keeper.get("/tanks").body()).isEmpty();
    }

    @Test
    void homesWithUnknownZonesOrRoomsWithoutAirAreRefused() {
        Visitor keeper = visitor().asNewKeeper();
        var zone = keeper.post("/homes", Samples.HOME.replace("Europe/Amsterdam", "Atlantis/Harbour"));
        assertThat(zone.status()).isEqualTo(422);
        assertThat(zone.firstError().path("field").asString()).isEqualTo("zone");
        String home = keeper.post("/homes", Samples.HOME).body().path("id").asString();
        assertThat(keeper.post("/homes/" + home + "/rooms", Samples.ROOM.replace("40", "0"))
                        .status())
                .isEqualTo(422);
        assertThat(keeper.post("/homes/" + home + "/rooms", Samples.ROOM.replace("\"adults\":1", "\"adults\":-1"))
                        .status())
                .isEqualTo(422);
    }
}
