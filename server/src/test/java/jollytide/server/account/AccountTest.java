package jollytide.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AccountTest extends ServerTest {

    private static String credentials(String name, String password) {
        return """
                {"name":"%s","password":"%s"}""".formatted(name, password);
    }

    @Test
    void aKeeperEntersLeavesAndEntersAgain() {
        String name = "Jonas " + UUID.randomUUID();
        Visitor visitor = visitor();
        assertThat(visitor.get("/tanks").status()).isEqualTo(401);
        assertThat(visitor.post("/keepers", credentials(name, "eight chars at least"))
                        .status())
                .isEqualTo(201);
        assertThat(visitor.get("/tanks").body()).isEmpty();
        assertThat(visitor.delete("/session").status()).isEqualTo(204);
        assertThat(visitor.get("/tanks").status()).isEqualTo(401);
        assertThat(visitor.post("/session", credentials(name, "wrong password")).status())
                .isEqualTo(401);
        assertThat(visitor.post("/session", credentials(name, "eight chars at least"))
                        .body()
                        .path("keeper")
                        .asString())
                .isEqualTo(name);
    }

    @Test
    void guessingIsSlowedDown() {
        String name = "guessed " + UUID.randomUUID();
        visitor().post("/keepers", credentials(name, "the real password"));
        Visitor guesser = visitor();
        for (int i = 0; i < 5; i++) {
            assertThat(guesser.post("/session", credentials(name, "guess number " + i))
                            .status())
                    .isEqualTo(401);
        }
        assertThat(guesser.post("/session", credentials(name, "the real password"))
                        .status())
                .isEqualTo(429);
    }

    @Test
    void theDemoDoorLeadsToThreeTanks() {
        Visitor visitor = visitor();
        assertThat(visitor.post("/session/demo", "").body().path("keeper").asString())
                .isEqualTo("Mira");
        assertThat(visitor.get("/tanks").body())
                .extracting(t -> t.path("description").path("name").asString())
                .containsExactly("Heron", "Lantern Reef", "Room 6");
    }

    @Test
    void nobodySignsInAsTheDemoKeeperByPassword() {
        assertThat(visitor().post("/session", credentials("Mira", "")).status()).isEqualTo(401);
    }

    @ParameterizedTest
    @ValueSource(strings = {"short", "", "ééééééééééééééééééééééééééééééééééééé"})
    void passwordsThatCannotBeKeptAreRefused(String password) {
        var answer = visitor().post("/keepers", credentials("x" + UUID.randomUUID(), password));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.firstError().path("field").asString()).isEqualTo("password");
    }

    @Test
    void aTakenNameIsRefused() {
        String name = "twice " + UUID.randomUUID();
        visitor().post("/keepers", credentials(name, "a good password"));
        var answer =
                visitor().post("/keepers", credentials(name.toUpperCase(java.util.Locale.ROOT), "a good password"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.problem()).contains("taken");
    }

    @Test
    void aTokenWorksForScriptsUntilItIsRevoked() {
        Visitor keeper = visitor().asNewKeeper();
        String token = keeper.post("/tokens", """
                {"label":"logger"}""").body().path("token").asString();
        Visitor script = visitor().withBearer(token);
        assertThat(script.post("/homes", Samples.HOME).status()).isEqualTo(201);
        var listed = keeper.get("/tokens").body().path(0);
        assertThat(listed.path("label").asString()).isEqualTo("logger");
        assertThat(keeper.get("/tokens").text()).doesNotContain(token);
        assertThat(keeper.delete("/tokens/" + listed.path("id").asString()).status())
                .isEqualTo(204);
        assertThat(script.get("/homes").status()).isEqualTo(401);
        assertThat(visitor().withBearer("tide_made_up").get("/session").status())
                .isEqualTo(401);
    }

    @Test
    void aForgedRequestIsRefused() {
        Visitor keeper = visitor().asNewKeeper();
        assertThat(keeper.post("/homes", Samples.HOME).status()).isEqualTo(201);
        var answer = keeper.forging().post("/homes", Samples.HOME);
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.problem()).contains("X-XSRF-TOKEN");
    }

    @Test
    void unitsAreRemembered() {
        Visitor keeper = visitor().asNewKeeper();
        var saved = keeper.put("/me/units", """
                {"alkalinity":"MEQ_PER_L","temperature":"FAHRENHEIT","salinity":"SG_25","volume":"US_GALLON"}""");
        assertThat(saved.status()).isEqualTo(200);
        assertThat(keeper.get("/session").body().path("units").path("salinity").asString())
                .isEqualTo("SG_25");
    }

    @Test
    void timesAreReadByAClockOf24HoursUntilAnotherIsChosen() {
        Visitor keeper = visitor().asNewKeeper();
        assertThat(clock(keeper)).isEqualTo("HOURS_24");
        keeper.put("/me/units", """
                {"alkalinity":"DKH","temperature":"CELSIUS","salinity":"PSU","volume":"LITRE","clock":"HOURS_12"}""");
        assertThat(clock(keeper)).isEqualTo("HOURS_12");
        var refused = keeper.put("/me/units", """
                {"alkalinity":"DKH","temperature":"CELSIUS","salinity":"PSU","volume":"LITRE","clock":"HOURS_10"}""");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(clock(keeper)).isEqualTo("HOURS_12");
    }

    private static String clock(Visitor keeper) {
        return keeper.get("/session").body().path("units").path("clock").asString();
    }
}
