package jollytide.server.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A 420 L tank into which things are put by hand. */
class ByHandApiTest extends ServerTest {
    private Visitor keeper;
    private String tank;
    private String byHand;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
        byHand = tank + "/by-hand";
    }

    private static Instant before(double days) {
        return PRESENT.minus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private Answer powder(double daysAgo, String what, double grams, Object assay) {
        return keeper.post(byHand + "/additions", """
                {"at":"%s","amount":{"what":"%s","grams":%s,"assay":%s},"note":""}""".formatted(before(daysAgo), what, grams, assay));
    }

    private Answer change(double daysAgo, String water) {
        return keeper.post(
                byHand + "/water-changes",
                "{\"at\":\"%s\",\"water\":%s,\"note\":\"new salt\"}".formatted(before(daysAgo), water));
    }

    private JsonNode use() {
        return keeper.get(tank + "/dosing")
                .body()
                .path("use")
                .path("alkalinity")
                .path("perDay");
    }

    /** Tests stand still while 0.3 meq/L are put in in three weeks. */
    @Test
    void whatIsPutInByHandIsUsedWhereTestsStandStill() {
        for (int week = 3; week >= 0; week--) {
            keeper.post(
                    tank + "/readings",
                    Samples.reading(before(7.0 * week + 0.5).toString(), "DKH", "TANK", "TITRATION_KIT", 8));
        }
        assertThat(use().path("value").asDouble()).isCloseTo(0, within(1e-6));
        for (double day : new double[] {17, 10, 3}) {
            // 0.1 meq/L of bicarbonate into 420 L.
            Answer made = powder(day, "BICARBONATE", 84.006 * 0.042, 1);
            assertThat(made.status()).as(made.text()).isEqualTo(201);
        }
        assertThat(use().path("value").asDouble()).isCloseTo(0.1 / 7, within(0.0005));
        JsonNode newest = keeper.get(byHand).body().path("doses").path(0);
        assertThat(newest.path("meqPerL").asDouble()).isCloseTo(0.1, within(1e-4));
        keeper.delete(byHand + "/" + newest.path("id").asString());
        assertThat(keeper.get(byHand).body().path("doses")).hasSize(2);
    }

    @Test
    void newWaterIsAsTheSeaUnlessItIsSaid() {
        assertThat(change(2, "{\"litres\":42}").status()).isEqualTo(201);
        assertThat(change(1, "{\"litres\":21,\"meqPerL\":3.2}").status()).isEqualTo(201);
        JsonNode view = keeper.get(byHand).body();
        assertThat(view.path("weeklyShare").asDouble()).isCloseTo(0.15 / 4, within(1e-9));
        assertThat(view.path("doses").path(0).path("meqPerL").asDouble()).isEqualTo(3.2);
        assertThat(view.path("doses").path(1).path("meqPerL").asDouble())
                .isEqualTo(view.path("sea").path("meqPerL").asDouble());
        assertThat(view.path("doses").path(1).path("share").asDouble()).isCloseTo(0.1, within(1e-9));
    }

    @Test
    void saysBeforehandWhatItWouldDo() {
        JsonNode parted = keeper.post(byHand + "/additions/preview", """
                        {"what":"SODA_ASH","grams":40,"assay":1}""").body();
        assertThat(AlkalinityUnit.DKH.fromMeqPerL(parted.path("meqPerL").asDouble()))
                .isCloseTo(40 / 105.988 * 2000 / 420 * 2.8, within(0.02));
        assertThat(parted.path("days").asInt()).isGreaterThan(1);
        assertThat(parted.path("because")).isNotEmpty();
        JsonNode solution = keeper.post(byHand + "/additions/preview", """
                        {"what":"LIMEWATER","ml":500,"share":1}""").body();
        assertThat(solution.path("meqPerL").asDouble()).isCloseTo(500 * 0.0406 / 420, within(1e-6));
        JsonNode water = keeper.post(byHand + "/water-changes/preview", """
                        {"litres":420,"meqPerL":9}""").body();
        assertThat(water.path("because")).isNotEmpty();
        assertThat(water.path("mostLitres").asDouble()).isLessThan(420);
        assertThat(water.path("meqAfter").asDouble()).isCloseTo(9, within(1e-9));
        assertThat(keeper.get(byHand).body().path("doses")).isEmpty();
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThat(powder(1, "SODA_ASH", -3, 1).status()).isEqualTo(422);
        assertThat(powder(1, "SODA_ASH", 40_000, 1).text()).contains("at most");
        assertThat(powder(1, "SODA_ASH", 10, 0.01).text()).contains("assay");
        assertThat(powder(1, "POTASSIUM_CHLORIDE", 10, 1).text()).contains("does not move pH");
        assertThat(powder(-3, "SODA_ASH", 10, 1).status()).isEqualTo(422);
        assertThat(change(1, "{\"litres\":500}").status()).isEqualTo(422);
        assertThat(change(1, "{\"litres\":50,\"meqPerL\":90}").status()).isEqualTo(422);
        Answer both = keeper.post(byHand + "/additions", """
                {"at":"%s","amount":{"what":"SODA_ASH","grams":5,"ml":5},"note":""}""".formatted(before(1)));
        assertThat(both.text()).contains("grams of a powder or millilitres");
        assertThat(keeper.delete(byHand + "/00000000-0000-0000-0000-000000000000")
                        .status())
                .isEqualTo(404);
        assertThat(keeper.get(byHand).body().path("doses")).isEmpty();
    }

    private void toppedOff(double daysAgo, double litres) {
        Answer made = keeper.post(byHand + "/top-offs", """
                {"at":"%s","litres":%s,"note":""}""".formatted(before(daysAgo), litres));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
    }

    /** 12 L in twelve days, and 0.5 L of limewater each day: 1.5 L evaporate, whatever surface and warmth let expect. */
    @Test
    void freshWaterSaysWhatEvaporates() {
        JsonNode assumed = keeper.get(tank + "/dosing").body();
        assertThat(assumed.path("evaporationMeasured").asBoolean()).isFalse();
        keeper.post(tank + "/dosing", """
                {"name":"limewater","solute":"LIMEWATER","share":1,"vesselMl":5000,"mlPerDay":500,"at":"%s"}""".formatted(before(40)));
        toppedOff(13, 9);
        toppedOff(7, 6);
        assertThat(keeper.get(tank + "/dosing")
                        .body()
                        .path("evaporationMeasured")
                        .asBoolean())
                .as("twice is too little")
                .isFalse();
        toppedOff(1, 6);
        JsonNode measured = keeper.get(tank + "/dosing").body();
        assertThat(measured.path("evaporationMeasured").asBoolean()).isTrue();
        assertThat(measured.path("evaporationLPerDay").asDouble()).isCloseTo(1.5, within(1e-6));
        assertThat(keeper.get(tank + "/bench").body().path("evaporationLPerDay").asDouble())
                .isCloseTo(1.5, within(1e-6));
        Answer more = keeper.post(tank + "/dosing", """
                {"name":"more","solute":"LIMEWATER","share":1,"vesselMl":5000,"mlPerDay":1100,"at":"%s"}""".formatted(before(0)));
        assertThat(more.text()).contains("more than evaporates here, about 1500 mL");
        JsonNode newest = keeper.get(byHand).body().path("doses").path(0);
        assertThat(newest.path("put").asString()).isEqualTo("TOP_OFF");
        assertThat(newest.path("litres").asDouble()).isEqualTo(6);
    }

    /** What was noted stays readable when the tank turns out to be a tenth of what was described. */
    @Test
    void aSmallerTankBreaksNothing() {
        assertThat(powder(3, "SODA_ASH", 60, 1).status()).isEqualTo(201);
        assertThat(change(2, "{\"litres\":100}").status()).isEqualTo(201);
        JsonNode view = keeper.get(tank).body();
        String smaller = view.path("description").toString().replace("\"netVolumeL\":420.0", "\"netVolumeL\":42.0");
        assertThat(smaller).contains("42.0");
        Answer edited = keeper.put(
                tank, "{\"version\":" + view.path("version") + ",\"since\":null,\"description\":" + smaller + "}");
        assertThat(edited.status()).as(edited.text()).isEqualTo(200);
        assertThat(keeper.get(byHand).status()).isEqualTo(200);
        assertThat(keeper.get(tank + "/dosing").status()).isEqualTo(200);
        assertThat(keeper.get(byHand).body().path("doses").path(0).path("share").asDouble())
                .isEqualTo(1);
    }
}
