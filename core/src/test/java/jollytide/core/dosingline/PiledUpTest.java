package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.dosingline.SingleDose.Addition;
import jollytide.core.dosingline.SingleDose.WaterChange;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import org.junit.jupiter.api.Test;

/** By stoichiometry: 39.0983 mg of potassium and 24.305 mg of magnesium in a millimole. */
class PiledUpTest {
    private static final Instant START = Instant.parse("2026-10-01T00:00:00Z");
    /** 100 mL a day of 0.5 mol/L into 400 L: 0.125 mmol/L, 4.887 mg/L of potassium a day. */
    private static final PiledUp.Line LYE =
            line(new Solution(Solution.Solute.POTASSIUM_HYDROXIDE, 0.5), new DosePlan.DailyDose(START, 100));

    private static final double PER_DAY = 0.125 * 39.0983;

    private static PiledUp.Line line(Solution solution, DosePlan.DailyDose... plans) {
        return new PiledUp.Line(solution, new DosePlan(List.of(plans)));
    }

    private static Instant day(double days) {
        return START.plus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    @Test
    void countsFromTheFirstDoseAsTheSeaHoldsIt() {
        assertThat(PiledUp.POTASSIUM.mgPerL(List.of(LYE), List.of(), 400, null, day(10)))
                .isCloseTo(400 + 10 * PER_DAY, within(0.01));
        assertThat(PiledUp.MAGNESIUM.mgPerL(List.of(LYE), List.of(), 400, null, day(10)))
                .isEqualTo(1290);
        // A line that has ended brought what it brought.
        PiledUp.Line ended =
                line(LYE.solution(), new DosePlan.DailyDose(START, 100), new DosePlan.DailyDose(day(4), 0));
        assertThat(PiledUp.POTASSIUM.mgPerL(List.of(ended), List.of(), 400, null, day(10)))
                .isCloseTo(400 + 4 * PER_DAY, within(0.01));
    }

    @Test
    void aTestSaysMoreThanTheSum() {
        Observation test = new Observation(430, Method.TITRATION_KIT, day(7));
        assertThat(PiledUp.POTASSIUM.mgPerL(List.of(LYE), List.of(), 400, test, day(10)))
                .isCloseTo(430 + 3 * PER_DAY, within(0.01));
    }

    /** A quarter of new water takes a quarter of what had piled up by then; in whatever order hands are told. */
    @Test
    void waterChangesTakeItAlong() {
        WaterChange quarter = new WaterChange(day(5), 0.25, new NewWater(3, 420));
        Addition salt = Addition.ofPowder(day(2), Solution.Solute.MAGNESIUM_SULFATE, 246.471, 1, 400);
        assertThat(PiledUp.POTASSIUM.mgPerL(List.of(LYE), List.of(quarter, salt), 400, null, day(10)))
                .isCloseTo(400 + (5 * 0.75 + 5) * PER_DAY, within(0.01));
        assertThat(PiledUp.MAGNESIUM.mgPerL(List.of(LYE), List.of(quarter, salt), 400, null, day(10)))
                .as("a mole in 400 L, three quarters of it left")
                .isCloseTo(1290 + 0.75 * 24_305 / 400.0, within(0.01));
    }
}
