package jollytide.server.home;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class HomeTest extends ServerTest {
    private static String home(String money) {
        return Samples.HOME.replace("}", "," + money + "}");
    }

    /** Prices that are assumed in euros are told in the home's money. */
    @Test
    void pricesAreInTheHomesMoney() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = Samples.tank(keeper);
        JsonNode at = keeper.get("/tanks/" + tank).body();
        String homeId = at.path("homeId").asString();
        assertThat(at.path("currency").asString()).isEqualTo("EUR");
        JsonNode euros = keeper.get("/homes/" + homeId + "/readiness")
                .body()
                .path("purchases")
                .path(0);

        String edit = "{\"version\":0,\"description\":%s}";
        keeper.put("/homes/" + homeId, edit.formatted(home("\"currency\":\"sek\",\"perEuro\":11")));
        assertThat(keeper.get("/tanks/" + tank).body().path("currency").asString())
                .isEqualTo("SEK");
        JsonNode kronor = keeper.get("/homes/" + homeId + "/readiness")
                .body()
                .path("purchases")
                .path(0);
        assertThat(kronor.path("what").asString()).isEqualTo(euros.path("what").asString());
        assertThat(kronor.path("price").asDouble())
                .isCloseTo(11 * euros.path("price").asDouble(), within(1e-6));
    }

    @Test
    void moneyThatIsNoneIsRefused() {
        Visitor keeper = visitor().asNewKeeper();
        for (String money : new String[] {"\"currency\":\"shells\"", "\"currency\":\"EUR\",\"perEuro\":0"}) {
            Visitor.Answer answer = keeper.post("/homes", home(money));
            assertThat(answer.status()).as(money).isEqualTo(422);
            assertThat(answer.text()).containsAnyOf("currency", "perEuro");
        }
    }
}
