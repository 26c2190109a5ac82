package jollytide.server.dosing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** How high pH stands before something is dosed that lifts it: by a whole day's log, else by tests and the twin. */
class DailyHighApiTest extends ServerTest {
    private Visitor keeper;
    private String tank;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        tank = "/tanks/" + Samples.tank(keeper);
    }

    private void read(Duration ago, String unit, double value) {
        Answer made = keeper.post(
                tank + "/readings",
                Samples.reading(
                        PRESENT.minus(ago).toString(),
                        unit,
                        "TANK",
                        unit.equals("DKH") ? "TITRATION_KIT" : "PROBE",
                        value));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
    }

    private Answer lye() {
        return keeper.post(tank + "/dosing", """
                {"name":"lye","solute":"SODIUM_HYDROXIDE","share":0.1,"vesselMl":100,"mlPerDay":5,"at":"%s",
                "siphon":"OUTLET_ABOVE","stuck":"METERED_HEAD"}""".formatted(PRESENT));
    }

    private void richWaterInFreshAir() {
        read(Duration.ofDays(1), "DKH", 22);
        for (int hour = 1; hour <= 72; hour++) {
            Answer air = keeper.post(
                    tank + "/readings",
                    Samples.reading(PRESENT.minus(Duration.ofHours(hour)).toString(), "CO2_PPM", "ROOM", "METER", 420));
            assertThat(air.status()).as(air.text()).isEqualTo(201);
        }
    }

    /** Water of 22 dKH stands above 8.5 with fresh air: a pH that was read once, in the morning, hides that. */
    @Test
    void withoutADaysLogTheTwinIsAsked() {
        richWaterInFreshAir();
        assertThat(lye().text()).contains("Your daily high is pH 8.");
        read(Duration.ofHours(3), "PH_NBS", 8.1);
        Answer still = lye();
        assertThat(still.status()).isEqualTo(422);
        assertThat(still.text()).contains("Your daily high is pH 8.");
    }

    @Test
    void aDayOfItsLogSaysItBetter() {
        richWaterInFreshAir();
        for (int halfHour = 0; halfHour < 96; halfHour++) {
            read(Duration.ofMinutes(30L * halfHour), "PH_NBS", 8.1);
        }
        Answer answer = lye();
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    }
}
