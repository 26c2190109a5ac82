package jollytide.server.supplies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The cupboard of a home with one tank. */
class SuppliesApiTest extends ServerTest {
    private Visitor keeper;
    private String tank;
    private String home;
    private String supplies;

    @BeforeEach
    void aHome() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        home = "/homes/" + keeper.get("/homes").body().path(0).path("id").asString();
        supplies = home + "/supplies";
    }

    private static Instant before(double days) {
        return PRESENT.minus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private Answer supply(String rest) {
        return keeper.post(supplies, "{\"name\":\"lime\",\"deliveryDays\":5," + rest + "}");
    }

    private String kept(String rest) {
        Answer made = supply(rest);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return supplies + "/" + made.body().path("id").asString();
    }

    private Answer entry(String supply, double daysAgo, String what, double amount, String unit) {
        return keeper.post(supply + "/entries", """
                {"at":"%s","what":"%s","amount":%s,"unit":"%s"}""".formatted(before(daysAgo), what, amount, unit));
    }

    private void noted(String supply, double daysAgo, String what, double amount, String unit) {
        Answer made = entry(supply, daysAgo, what, amount, unit);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
    }

    private JsonNode first() {
        Answer answer = keeper.get(supplies);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.body().path("supplies").path(0);
    }

    private void limewater(double mlPerDay) {
        Answer made = keeper.post(tank + "/dosing", """
                {"name":"limewater","solute":"LIMEWATER","share":1,"vesselMl":5000,"mlPerDay":%s,"at":"%s"}""".formatted(mlPerDay, before(40)));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
    }

    /** 800 mL of saturated limewater take 0.0203 × 0.8 × 74.092 × 1.3 = 1.564 g of lime a day. */
    @Test
    void aLineUsesItsPowderUp() {
        limewater(800);
        String lime =
                kept("\"uses\":\"POWDER\",\"solute\":\"LIMEWATER\",\"unit\":\"G\",\"packageAmount\":500,\"price\":12");
        noted(lime, 10, "COUNTED", 100, "G");
        JsonNode view = first();
        assertThat(view.path("perDay").path("value").asDouble()).isCloseTo(1.564, within(0.002));
        assertThat(view.path("left").path("value").asDouble()).isCloseTo(100 - 15.64, within(0.1));
        assertThat(view.path("perMonth").asDouble()).isCloseTo(1.564 * 30.4375 / 500 * 12, within(0.01));
        assertThat(view.path("buy").asInt()).isZero();
        JsonNode costs = keeper.get(tank + "/consumers").body();
        assertThat(costs.path("consumed").path(0).path("perMonth").asDouble())
                .isCloseTo(view.path("perMonth").asDouble(), within(1e-9));
        assertThat(costs.path("perMonth").asDouble())
                .isCloseTo(view.path("perMonth").asDouble(), within(1e-9));
    }

    /** 20 g at 1.564 a day counted yesterday, last 9 days at the least; with five days of delivery they are ordered within a week, and on the list. */
    @Test
    void whatRunsOutIsOrderedInTime() {
        limewater(800);
        String lime = kept("\"uses\":\"POWDER\",\"solute\":\"LIMEWATER\",\"unit\":\"G\",\"packageAmount\":100");
        noted(lime, 1, "COUNTED", 20, "G");
        JsonNode view = first();
        assertThat(view.path("buy").asInt()).isEqualTo(2);
        assertThat(view.path("late").asBoolean()).isFalse();
        JsonNode due = keeper.get(home + "/due").body();
        assertThat(due.findValuesAsString("what")).contains("Order lime.");
        noted(lime, 0, "BOUGHT", 1000, "G");
        assertThat(entry(lime, 0, "COUNTED", 5, "G").status()).isEqualTo(201);
        assertThat(first().path("late").asBoolean()).isTrue();
    }

    @Test
    void poundsAreCountedAsGrams() {
        String salt = kept("\"uses\":\"OWN\",\"ownPerDay\":0.1,\"unit\":\"LB\",\"packageAmount\":50");
        noted(salt, 1, "BOUGHT", 50, "LB");
        noted(salt, 0, "COUNTED", 10, "KG");
        JsonNode view = first();
        assertThat(view.path("left").path("value").asDouble()).isCloseTo(22.046, within(0.001));
        assertThat(view.path("perDay").path("value").asDouble()).isCloseTo(0.1, within(1e-9));
    }

    /** A test each week, of which three strips go: three sevenths a day. */
    @Test
    void testsAndChoresTakePieces() {
        for (int week = 0; week < 4; week++) {
            keeper.post(
                    tank + "/readings",
                    Samples.reading(before(7.0 * week + 1).toString(), "DKH", "TANK", "TITRATION_KIT", 8));
        }
        kept("\"uses\":\"TESTS\",\"quantity\":\"ALKALINITY\",\"perUse\":3,\"unit\":\"PIECES\",\"packageAmount\":50");
        assertThat(first().path("perDay").path("value").asDouble()).isCloseTo(3.0 / 7, within(1e-9));
        keeper.post(tank + "/upkeep", "{\"chore\":\"AIR_STONE\",\"name\":\"\",\"days\":40}");
        Answer stones = keeper.post(supplies, """
                {"name":"a stone","uses":"CHORE","chore":"AIR_STONE","unit":"PIECES","packageAmount":1,"deliveryDays":3}""");
        assertThat(stones.status()).as(stones.text()).isEqualTo(201);
        assertThat(keeper.get(supplies).body().path("supplies").findValues("perDay").stream()
                        .map(rate -> rate.path("value").asDouble()))
                .anySatisfy(perDay -> assertThat(perDay).isCloseTo(1 / 40.0, within(1e-9)));
    }

    @Test
    void whatCannotBeIsRefused() {
        String lime = kept("\"uses\":\"POWDER\",\"solute\":\"LIMEWATER\",\"unit\":\"G\",\"packageAmount\":500");
        assertThat(entry(lime, 0, "COUNTED", -5, "G").status()).isEqualTo(422);
        assertThat(entry(lime, 0, "COUNTED", 5, "PIECES").text()).contains("unit that fits this supply");
        noted(lime, 3, "COUNTED", 100, "G");
        assertThat(entry(lime, 1, "COUNTED", 300, "G").text()).contains("Add the purchase first");
        assertThat(supply("\"uses\":\"POWDER\",\"unit\":\"G\",\"packageAmount\":500")
                        .text())
                .contains("a powder");
        assertThat(supply("\"uses\":\"POWDER\",\"solute\":\"LIMEWATER\",\"unit\":\"PIECES\",\"packageAmount\":5")
                        .text())
                .contains("a weight for powder");
        assertThat(supply("\"uses\":\"TESTS\",\"quantity\":\"PH\",\"unit\":\"PIECES\",\"packageAmount\":5")
                        .status())
                .isEqualTo(422);
        assertThat(supply("\"uses\":\"OWN\",\"unit\":\"G\",\"packageAmount\":0").status())
                .isEqualTo(422);
        assertThat(keeper.put(
                                lime,
                                "{\"name\":\"lime\",\"deliveryDays\":5,\"uses\":\"OWN\",\"ownPerDay\":1,\"unit\":\"ML\",\"packageAmount\":500}")
                        .status())
                .isEqualTo(422);
    }

    @Test
    void whatIsNotKeptComesBackByUndo() {
        String lime = kept("\"uses\":\"OWN\",\"ownPerDay\":1,\"unit\":\"G\",\"packageAmount\":500");
        noted(lime, 1, "BOUGHT", 500, "G");
        String entry = first().path("entries").path(0).path("id").asString();
        assertThat(keeper.delete(lime + "/entries/" + entry).status()).isEqualTo(204);
        assertThat(first().path("entries")).isEmpty();
        assertThat(first().path("left").isMissingNode() || first().path("left").isNull())
                .isTrue();
        keeper.post(lime + "/end", "");
        assertThat(keeper.get(supplies).body().path("supplies")).isEmpty();
        assertThat(keeper.get(supplies).body().path("ended")).hasSize(1);
        keeper.delete(lime + "/end");
        assertThat(keeper.get(supplies).body().path("supplies")).hasSize(1);
        assertThat(keeper.put(
                                lime,
                                "{\"name\":\"fine lime\",\"deliveryDays\":5,\"uses\":\"OWN\",\"ownPerDay\":2,\"unit\":\"KG\",\"packageAmount\":0.5}")
                        .status())
                .isEqualTo(204);
        assertThat(first().path("supply").path("packageAmount").asDouble()).isCloseTo(0.5, within(1e-9));
    }
}
