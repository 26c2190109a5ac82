package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.dosingline.LineHistory.Seen;
import jollytide.core.dosingline.LineHistory.State;
import jollytide.core.dosingline.LineHistory.What;
import jollytide.core.evidence.Estimate;
import org.junit.jupiter.api.Test;

/** 60 mL a day. */
class LineHistoryTest {
    private static final Instant FILLED = Instant.parse("2026-10-01T08:00:00Z");
    private static final Solution LIMEWATER = new Solution(Solution.Solute.LIMEWATER, 0.0203);
    private static final DosePlan SIXTY = new DosePlan(List.of(new DosePlan.DailyDose(FILLED, 60)));

    private static Instant day(double days) {
        return FILLED.plus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private static Seen filled(double day, double ml) {
        return new Seen(day(day), What.FILLED, new ReservoirLevel(day(day), ml, 1));
    }

    private static Seen level(double day, double ml) {
        return new Seen(day(day), What.LEVEL, new ReservoirLevel(day(day), ml, ReservoirLevel.AT_MARKS_ML));
    }

    private static Seen changed(double day) {
        return new Seen(day(day), What.CHANGED, null);
    }

    private static State state(Seen... seen) {
        LineHistory history = new LineHistory(List.of(seen));
        return history.state(history.dosed(LIMEWATER, SIXTY, null));
    }

    private static List<Seen> fills(double share, int count, double days) {
        List<Seen> seen = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            seen.add(filled(i * days, 300));
            seen.add(level((i + 1) * days - 0.01, 300 - share * 60 * (days - 0.01)));
        }
        return seen;
    }

    /** 0.85 of three days says little, of six such fills it is surely too little. */
    @Test
    void shortFillsAreJudgedTogether() {
        assertThat(state(fills(0.85, 1, 3).toArray(Seen[]::new))).isEqualTo(State.NOT_KNOWN);
        assertThat(state(fills(0.85, 6, 3).toArray(Seen[]::new))).isEqualTo(State.SHORT);
        assertThat(state(fills(1.15, 6, 3).toArray(Seen[]::new))).isEqualTo(State.TOO_MUCH);
    }

    /** As planned is not what nobody can tell. */
    @Test
    void asPlannedIsSaidOnlyWhenKnown() {
        assertThat(state(fills(1, 1, 3).toArray(Seen[]::new))).isEqualTo(State.NOT_KNOWN);
        assertThat(state(fills(1, 6, 3).toArray(Seen[]::new))).isEqualTo(State.AS_PLANNED);
        assertThat(state(filled(0, 1600), level(10, 1000))).isEqualTo(State.AS_PLANNED);
    }

    /** Six good fills do not hide a bad one after them, and the share is what it brings now. */
    @Test
    void aLineThatHasFailedIsJudgedByItsNewestFill() {
        List<Seen> seen = new ArrayList<>(fills(1, 6, 3));
        seen.add(filled(18, 1600));
        seen.add(level(28, 1600 - 0.7 * 600));
        LineHistory history = new LineHistory(seen);
        DosedLine dosed = history.dosed(LIMEWATER, SIXTY, null);
        assertThat(history.state(dosed)).isEqualTo(State.SHORT);
        assertThat(dosed.share().value()).isCloseTo(0.7, within(1e-6));
    }

    /** Of two fills alike the band is narrower by the root of two, as of two measurements alike. */
    @Test
    void twoFillsSayMoreThanOne() {
        LineHistory history = new LineHistory(fills(0.9, 2, 3));
        DosedLine dosed = history.dosed(LIMEWATER, SIXTY, null);
        Estimate one = dosed.runs().get(1).share();
        Estimate both = dosed.share();
        assertThat(both.value()).isCloseTo(0.9, within(1e-3));
        assertThat(both.high() - both.value()).isCloseTo((one.high() - one.value()) / Math.sqrt(2), within(1e-3));
    }

    /** Changed in the minute of its last level, or minutes after the fill. */
    @Test
    void aChangeBeginsAnewAndKeepsTheFilling() {
        assertThat(state(filled(0, 1600), level(10, 1150))).isEqualTo(State.SHORT);
        assertThat(state(filled(0, 1600), level(10, 1150), changed(10))).isEqualTo(State.NOT_KNOWN);
        assertThat(state(filled(0, 1600), level(10, 1150), changed(10.01))).isEqualTo(State.NOT_KNOWN);
        Seen[] soonAfter = {filled(0, 1600), changed(0.004), level(10, 1150)};
        assertThat(state(soonAfter)).isEqualTo(State.SHORT);
        assertThat(state(filled(0, 1600), changed(2), level(10, 1150))).isEqualTo(State.NOT_KNOWN);
    }

    /** What fills before a change showed says nothing of the line after it. */
    @Test
    void fillsBeforeAChangeDoNotCount() {
        List<Seen> seen = new ArrayList<>(fills(0.7, 4, 3));
        seen.add(changed(12));
        seen.add(filled(12, 1600));
        LineHistory history = new LineHistory(seen);
        assertThat(history.state(history.dosed(LIMEWATER, SIXTY, null))).isEqualTo(State.NOT_KNOWN);
        assertThat(history.dosed(LIMEWATER, SIXTY, null).seenShare()).isNull();
        seen.add(level(22, 1000));
        LineHistory later = new LineHistory(seen);
        assertThat(later.state(later.dosed(LIMEWATER, SIXTY, null))).isEqualTo(State.AS_PLANNED);
        assertThat(later.dosed(LIMEWATER, SIXTY, null).runs()).hasSize(5);
    }
}
