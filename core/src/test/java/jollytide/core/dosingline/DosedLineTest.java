package jollytide.core.dosingline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import jollytide.core.evidence.Estimate;
import jollytide.core.units.InputException;
import org.junit.jupiter.api.Test;

/** 60 mL a day from 1600 mL: three quarters of it in the first ten days, all of it in the next ten. */
class DosedLineTest {
    private static final Instant FILLED = Instant.parse("2026-10-01T08:00:00Z");
    private static final Solution LIMEWATER = new Solution(Solution.Solute.LIMEWATER, 0.0203);
    private static final DosePlan SIXTY = new DosePlan(List.of(new DosePlan.DailyDose(FILLED, 60)));

    private static Instant day(double days) {
        return FILLED.plus(Duration.ofMinutes(Math.round(1440 * days)));
    }

    private static Delivered run(double from, double fromMl, double until, double untilMl) {
        return Objects.requireNonNull(Delivered.of(
                List.of(new ReservoirLevel(day(from), fromMl, 5), new ReservoirLevel(day(until), untilMl, 5)), SIXTY));
    }

    private static final DosedLine LINE = new DosedLine(
            LIMEWATER,
            SIXTY,
            null,
            List.of(run(0, 1600, 10, 1150), run(10, 1150, 20, 550)),
            List.of(run(10, 1150, 20, 550)),
            new ReservoirLevel(day(20), 550, 5),
            null);

    @Test
    void saysWhatArrivedByTheLevelsOfEachRun() {
        assertThat(LINE.arrivedMl(day(0), day(20)).value()).isCloseTo(450 + 600, within(1e-6));
        assertThat(LINE.arrivedMl(day(5), day(10)).value()).isCloseTo(225, within(1e-6));
        // Since the last level by what it showed.
        assertThat(LINE.arrivedMl(day(20), day(22)).value()).isCloseTo(120, within(1e-6));
        Estimate all = LINE.arrivedMl(day(0), day(20));
        assertThat(all.low()).isLessThan(all.value());
        assertThat(all.high()).isGreaterThan(all.value());
    }

    @Test
    void saysWhenItWillBeEmpty() {
        Estimate left = Objects.requireNonNull(LINE.daysLeft(day(22)));
        assertThat(left.value()).isCloseTo(550 / 60.0 - 2, within(1e-6));
        assertThat(left.low()).isLessThan(left.value());
        assertThat(left.high()).isGreaterThan(left.value());
        assertThat(Objects.requireNonNull(LINE.daysLeft(day(200))).value()).isZero();
    }

    /** Of a line at which nobody looked it is assumed that nine tenths to all of it arrive. */
    @Test
    void whatNobodyLookedAtIsAssumed() {
        DosedLine unseen = new DosedLine(LIMEWATER, SIXTY, null, List.of(), List.of(), null, null);
        assertThat(unseen.daysLeft(day(1))).isNull();
        assertThat(unseen.arrivedMl(day(0), day(10))).isEqualTo(new Estimate(600, 540, 630));
        DosedLine nothing =
                new DosedLine(LIMEWATER, new DosePlan(List.of()), null, List.of(), List.of(), LINE.last(), null);
        assertThat(nothing.daysLeft(day(1))).isNull();
        assertThat(nothing.arrivedMl(day(0), day(10)).value()).isZero();
    }

    /** A tube through which more went than such a one bears comes before what always may be; a change begins anew. */
    @Test
    void aWornTubeIsLookedAtFirst() {
        DosePlan litre = new DosePlan(List.of(new DosePlan.DailyDose(FILLED, 1000)));
        LineHistory unchanged = new LineHistory(List.of());
        assertThat(unchanged.pumpedSinceChange(day(50), litre)).isCloseTo(50, within(1e-9));
        assertThat(unchanged.lookFor(day(90), litre).get(0)).startsWith("Air in the dosing line");
        assertThat(unchanged.lookFor(day(92), litre).get(0)).startsWith("The pump’s tube");
        LineHistory changed = new LineHistory(List.of(new LineHistory.Seen(day(60), LineHistory.What.CHANGED, null)));
        assertThat(changed.lookFor(day(92), litre).get(0)).startsWith("Air in the dosing line");
        assertThat(changed.lookFor(day(152), litre))
                .hasSize(3)
                .first()
                .asString()
                .startsWith("The pump’s tube");
    }

    /** Set to give 20 mL it gave 18: nine tenths arrive from then on, until levels say otherwise. */
    @Test
    void aCylinderTellsWhereNoLevelsDo() {
        DosedLine tried =
                new DosedLine(LIMEWATER, SIXTY, null, List.of(), List.of(), null, new Cylinder(day(5), 20, 18));
        assertThat(tried.share().value()).isCloseTo(0.9, within(1e-9));
        assertThat(tried.share().high()).isCloseTo(0.9 + 1.645 * Math.hypot(0.5, 0.18) / 20, within(1e-9));
        // Before that as assumed.
        assertThat(tried.arrivedMl(day(0), day(10)).value()).isCloseTo(300 + 300 * 0.9, within(1e-6));
        assertThat(tried.arrivedMl(day(6), day(10)).value()).isCloseTo(240 * 0.9, within(1e-6));
        assertThat(tried.arrivedMl(day(0), day(4)).value()).isCloseTo(240, within(1e-6));
        Delivered short75 = run(0, 1600, 10, 1150);
        DosedLine readSince = new DosedLine(
                LIMEWATER, SIXTY, null, List.of(short75), List.of(short75), null, new Cylinder(day(5), 20, 18));
        assertThat(readSince.newestCylinder()).isNull();
        assertThat(readSince.share().value()).isCloseTo(0.75, within(1e-6));
    }

    @Test
    void aChangeMakesOlderCylindersVoid() {
        LineHistory.Seen cylinder =
                new LineHistory.Seen(day(5), LineHistory.What.CYLINDER, null, new Cylinder(day(5), 20, 15));
        LineHistory history = new LineHistory(List.of(cylinder));
        DosedLine dosed = history.dosed(LIMEWATER, SIXTY, null);
        assertThat(history.state(dosed)).isEqualTo(LineHistory.State.SHORT);
        LineHistory changed =
                new LineHistory(List.of(cylinder, new LineHistory.Seen(day(5), LineHistory.What.CHANGED, null)));
        assertThat(changed.state(changed.dosed(LIMEWATER, SIXTY, null))).isEqualTo(LineHistory.State.NOT_KNOWN);
        LineHistory exact = new LineHistory(
                List.of(new LineHistory.Seen(day(5), LineHistory.What.CYLINDER, null, new Cylinder(day(5), 50, 50))));
        assertThat(exact.state(exact.dosed(LIMEWATER, SIXTY, null))).isEqualTo(LineHistory.State.AS_PLANNED);
        LineHistory much = new LineHistory(
                List.of(new LineHistory.Seen(day(5), LineHistory.What.CYLINDER, null, new Cylinder(day(5), 50, 60))));
        assertThat(much.state(much.dosed(LIMEWATER, SIXTY, null))).isEqualTo(LineHistory.State.TOO_MUCH);
    }

    @Test
    void noPumpGivesNothingOfNothingOrThreeTimesAsMuch() {
        assertThatThrownBy(() -> new Cylinder(day(0), 0, 0)).isInstanceOf(InputException.class);
        assertThatThrownBy(() -> new Cylinder(day(0), 20, 61)).isInstanceOf(InputException.class);
        assertThat(new Cylinder(day(0), 20, 0).share().low()).isZero();
    }
}
