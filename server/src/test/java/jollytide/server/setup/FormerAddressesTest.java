package jollytide.server.setup;

import static org.assertj.core.api.Assertions.assertThat;

import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Callers who know the API by the names it had until December 2026. */
class FormerAddressesTest extends ServerTest {
    @ParameterizedTest
    @CsvSource({
        "/api/v1/sums/water, /api/v1/calculators/water",
        "/api/v1/sums/haul, /api/v1/calculators/transport",
        "/api/v1/tanks/7/ledger, /api/v1/tanks/7/gas-balance",
        "/api/v1/tanks/7/programme, /api/v1/tanks/7/schedule",
        "/api/v1/tanks/7/programme/holds/9, /api/v1/tanks/7/schedule/holds/9",
        "/api/v1/tanks/7/doses/3/notes/4, /api/v1/tanks/7/dosing/3/notes/4",
        "/api/v1/tanks/7/margin, /api/v1/tanks/7/oxygen-margin",
        "/api/v1/tanks/7/by-hand/additions/sum, /api/v1/tanks/7/by-hand/additions/preview",
    })
    void leadToTodaysAddress(String former, String today) {
        assertThat(FormerAddresses.today(former)).contains(today);
    }

    @ParameterizedTest
    @CsvSource({
        "/api/v1/tanks/7/schedule",
        "/api/v1/tanks/7/dosing/3",
        "/api/v1/tanks/7/outages/9/notes",
        "/api/v1/tanks/7/marginal",
        "/tank/7/doses",
    })
    void todaysAddressesStayWhereTheyAre(String address) {
        assertThat(FormerAddresses.today(address)).isEmpty();
    }

    @Test
    void methodBodyAndQueryGoAlong() {
        Visitor keeper = visitor().asNewKeeper();
        String tank = "/tanks/" + Samples.tank(keeper);
        Answer moved = keeper.get(tank + "/ledger?hour=NOW");
        assertThat(moved.status()).isEqualTo(308);
        assertThat(moved.header("Location")).isEqualTo("/api/v1" + tank + "/gas-balance?hour=NOW");
        assertThat(moved.header("Sunset")).isEqualTo(FormerAddresses.SUNSET);
        Answer saved = keeper.put(tank + "/schedule", """
                {"version": null, "programme": {
                  "lanes": [{"id": "air", "kind": "AIR_PATH", "name": "skimmer air",
                    "rest": {"does": "FRESH"}, "afterPower": {"does": "FRESH"}}],
                  "windows": [{"id": "night", "name": "night", "allDay": false,
                    "from": {"time": "22:00"}, "until": {"time": "08:00"}}],
                  "rules": [{"lane": "air", "kind": "USUAL", "window": "night",
                    "state": {"does": "LED_BACK", "share": 0.1}}]}}""");
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        assertThat(saved.text()).contains("RECIRCULATED").doesNotContain("LED_BACK");
    }
}
