package jollytide.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.air.AirLine;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A hose through which less comes than its keeper thinks. */
class IntakeTest {
    private static final int DAYS = 12;
    private static final Instant PUT_ON = Logged.START.plus(Duration.ofDays(6));
    private static final RoomCourse ROOM = Logged.room(DAYS, Logged.HOME);
    private static final Setup HOSED =
            Logged.TANK.with(MeasureSet.of(new OutdoorLine(new AirLine(3, 19, AirLine.ASSUMED_LOSS), null, 0)));

    private static TankParameters truth(double share) {
        double expected = HOSED.intake().orElseThrow().outdoors();
        double odds = share / (1 - share) / (expected / (1 - expected));
        return new TankParameters(0.9, 1.2, 0.024, 0.041).withIntakeOdds(odds);
    }

    private static TankLog log(double share) {
        TankParameters truth = truth(share);
        OrdinaryDays before = new OrdinaryDays(Logged.TANK, truth, ROOM);
        List<TwinState> states = new ArrayList<>(
                before.run(before.today(Logged.START), MeasureSet.NONE, Duration.between(Logged.START, PUT_ON)));
        TwinState putOn = states.remove(states.size() - 1);
        states.addAll(new OrdinaryDays(HOSED, truth, ROOM).run(putOn, MeasureSet.NONE, Duration.ofDays(DAYS - 6)));
        return Logged.log(Logged.ph(states), ROOM)
                .with(List.of(new TankLog.Interlude(Logged.START, PUT_ON, Logged.TANK)));
    }

    private static double share(FittedTank fitted) {
        return IntakeAir.withOdds(
                HOSED.intake().orElseThrow().outdoors(), fitted.likely().intakeOddsFactor());
    }

    private static FittedTank.Learned intake(FittedTank fitted) {
        return fitted.learned().stream()
                .filter(l -> l.unknown() == Unknown.INTAKE)
                .findFirst()
                .orElseThrow();
    }

    /** Half the air through a second inlet: what the log of a week before and a week with the hose tells. */
    @ParameterizedTest
    @CsvSource({"0.5, 0.2", "0.7, 0.2", "0.97, 0.1"})
    void aLogTellsWhatComesThroughTheHose(double truth, double close) {
        FittedTank fitted = Logged.fit(HOSED, log(truth));
        FittedTank.Learned learned = intake(fitted);
        double size = Math.log(truth(truth).intakeOddsFactor());
        assertThat(learned.size()).isCloseTo(size, within(1.645 * learned.deviation()));
        assertThat(learned.deviation()).isLessThan(learned.before());
        assertThat(share(fitted)).isCloseTo(truth, within(close));
    }

    @Test
    void withoutAHoseNothingIsAskedOfIt() {
        assertThat(Logged.fit(Logged.TANK, log(0.95)).unknowns()).doesNotContain(Unknown.INTAKE);
        assertThat(Logged.TANK.intake()).isEmpty();
    }

    /** Where the room says little, the meter at the intake is what tells; it costs ten minutes. */
    @Test
    void aMeterAtTheIntakeIsProposedWhereAHoseIsOn() {
        FittedTank unfitted = TwinFit.unfitted(HOSED, TankParameters.ORDINARY, log(0.6), Priors.ASSUMED);
        assertThat(Experiment.ranked(HOSED, unfitted, Edges.of(HOSED, unfitted, Logged.START), Logged.START))
                .filteredOn(p -> p.experiment() == Experiment.INTAKE_METER)
                .singleElement()
                .satisfies(p -> {
                    assertThat(p.allowed()).isTrue();
                    int line = Decision.of(HOSED).indexOf(Decision.LINE_GAIN);
                    assertThat(p.narrowing().get(line)).isBetween(0.05, 1.0);
                });
        FittedTank without = TwinFit.unfitted(Logged.TANK, TankParameters.ORDINARY, log(0.6), Priors.ASSUMED);
        assertThat(Experiment.ranked(Logged.TANK, without, Edges.of(Logged.TANK, without, Logged.START), Logged.START))
                .noneMatch(p -> p.experiment() == Experiment.INTAKE_METER);
    }

    /** A hose that is on and one that is only tried: the second is taken as its physics says. */
    @Test
    void aHoseThatIsTriedIsTight() {
        TankParameters leaking = truth(0.5);
        OrdinaryDays withIt = new OrdinaryDays(HOSED, leaking);
        double as = withIt.settled(withIt.today(Logged.START), MeasureSet.NONE, Duration.ofDays(5))
                .troughPh();
        OrdinaryDays without = new OrdinaryDays(Logged.TANK, leaking);
        TwinState today = without.today(Logged.START);
        double tried =
                without.settled(today, HOSED.standing(), Duration.ofDays(5)).troughPh();
        double bare =
                without.settled(today, MeasureSet.NONE, Duration.ofDays(5)).troughPh();
        assertThat(as - bare).isPositive().isLessThan(0.7 * (tried - bare));
    }
}
