package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import jollytide.core.dosingline.DosePlan.DailyDose;
import org.junit.jupiter.api.Test;

/** No dosing after a power cut, until the return has run for half an hour and somebody has looked. Common practice. */
class HoldTest {
    private static final Instant CUT = Instant.parse("2026-11-01T12:00:00Z");
    private static final Instant BACK = CUT.plus(Duration.ofHours(6));
    private static final Duration DAY = Duration.ofDays(1);

    @Test
    void itLastsUntilSomebodyHasLookedAndNotLessThanHalfAnHour() {
        assertThat(new Hold(CUT, null, null).lasts(CUT.plus(DAY))).isTrue();
        assertThat(new Hold(CUT, BACK, null).lasts(BACK.plus(DAY))).isTrue();
        Hold early = new Hold(CUT, BACK, BACK.plusSeconds(60));
        assertThat(early.lasts(BACK.plus(Duration.ofMinutes(29)))).isTrue();
        assertThat(early.lasts(BACK.plus(Duration.ofMinutes(31)))).isFalse();
        Hold seen = new Hold(CUT, BACK, BACK.plus(Duration.ofHours(2)));
        assertThat(seen.until(BACK.plus(DAY))).isEqualTo(BACK.plus(Duration.ofHours(2)));
        assertThat(seen.lasts(CUT.minusSeconds(1))).isFalse();
    }

    @Test
    void ofAnOutageLongAgoNobodyIsAsked() {
        Hold old = new Hold(CUT, BACK, null);
        assertThat(old.until(BACK.plus(Duration.ofDays(8)))).isEqualTo(BACK.plus(Hold.RUNS_AGAIN));
    }

    /** 240 mL a day are 10 an hour; six hours of outage and two until somebody looked are 80 less. */
    @Test
    void nothingIsPlannedMeanwhile() {
        DosePlan plan = new DosePlan(List.of(new DailyDose(CUT.minus(DAY), 240)));
        Hold hold = new Hold(CUT, BACK, BACK.plus(Duration.ofHours(2)));
        DosePlan held = plan.held(List.of(hold), CUT.plus(DAY));
        assertThat(held.planned(CUT.minus(DAY), CUT.plus(DAY))).isCloseTo(480 - 80, within(1e-9));
        assertThat(held.mlPerDay(CUT.plusSeconds(1))).isZero();
        assertThat(held.mlPerDay(BACK.plus(Duration.ofHours(3)))).isEqualTo(240);
        DosePlan open = plan.held(List.of(new Hold(CUT, BACK, null)), CUT.plus(DAY));
        assertThat(open.planned(CUT, CUT.plus(DAY))).isZero();
    }

    /** What was planned anew while it lasted holds once it is over. */
    @Test
    void aPlanThatWasChangedMeanwhileHoldsAfterIt() {
        DosePlan plan = new DosePlan(List.of(
                new DailyDose(CUT.minus(DAY), 240), new DailyDose(BACK, 120), new DailyDose(BACK.plus(DAY), 60)));
        DosePlan held = plan.held(List.of(new Hold(CUT, BACK, BACK.plus(Duration.ofHours(1)))), BACK.plus(DAY));
        assertThat(held.mlPerDay(BACK.plusSeconds(60))).isZero();
        assertThat(held.mlPerDay(BACK.plus(Duration.ofHours(2)))).isEqualTo(120);
        assertThat(held.mlPerDay(BACK.plus(DAY))).isEqualTo(60);
    }
}
