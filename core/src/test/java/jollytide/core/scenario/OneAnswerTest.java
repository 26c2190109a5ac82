package jollytide.core.scenario;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.outage.Backup;
import jollytide.core.outage.KitPlan;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.outage.OxygenFlow;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.Fish;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.transport.Transport;
import jollytide.core.twin.TwinState;
import org.junit.jupiter.api.Test;

/** One question, one answer: whichever screen asks, the same twin runs. */
class OneAnswerTest {
    private static final Instant MIDNIGHT = Instant.parse("2026-11-10T23:00:00Z");
    private static final Setup TANK = Setup.plain(
            400,
            new Seawater(35, 25.5),
            3.0,
            Gases.STANDARD_HPA,
            List.of(new Surface(0.8, SurfaceClass.STILL)),
            new Skimmer(400),
            420,
            new RoomDay(DailyAir.constant(700), 0.3),
            new LightClock(LocalTime.of(10, 0), LocalTime.of(10, 0), true, 0),
            ZoneId.of("Europe/Amsterdam"));
    private static final TankParameters REEF = new TankParameters(1, 0.01, 0);
    private static final OrdinaryDays DAYS = new OrdinaryDays(TANK, REEF);
    private static final TwinState TODAY = DAYS.today(MIDNIGHT);

    private static NightWithoutMains.OxygenCourse bare(TankAtFailure tank) {
        return new NightWithoutMains(tank, List.of(), List.of()).run(WorstNight.LOOKED_AHEAD_H);
    }

    private static final RoomAround SUMMER = RoomAround.expected(27);

    /** How long it holds without mains on the hottest night: OxygenMargin, Readiness and the clock. */
    @Test
    void marginAndReadinessSayTheSame() {
        OxygenMargin.Still margin = new OxygenMargin(TANK, List.of(REEF), SUMMER, 0)
                .answer(List.of(TODAY))
                .still();
        TankAtFailure summer = WorstNight.of(TANK, List.of(REEF), List.of(TODAY), WorstNight.HOTTEST_K, SUMMER, 0)
                .tank();
        assertThat(margin.danger()).isEqualTo(bare(summer).danger());
        assertThat(margin.danger())
                .isEqualTo(KitPlan.best(summer, List.of(), WorstNight.LOOKED_AHEAD_H)
                        .course()
                        .danger());
        assertThat(margin.danger().early()).isNotNull();
    }

    /**
     * A tank in the dark with its skimmer standing still has nothing but its surface, as one without mains has: from the
     * same oxygen the Bench and the clock follow one line, where surface, demand and temperature are the same.
     */
    @Test
    void theBenchAndTheClockFollowOneLine() {
        List<TwinState> bench =
                DAYS.run(TODAY, MeasureSet.of(new SkimmerDraw(0)), Duration.ofHours(24), Duration.ofMinutes(10));
        TankAtFailure tank = new TankAtFailure(
                400, 35, Gases.STANDARD_HPA, 0.8, 0.01, Fish.NONE, TODAY.oxygenMgPerL(), true, 25.5, 25.5, 0, 24);
        List<NightWithoutMains.OxygenPoint> clock = bare(tank).points();
        for (int i = 0; i < bench.size(); i++) {
            assertThat(clock.get(i + 1).likely()).isCloseTo(bench.get(i).oxygenMgPerL(), within(0.01));
        }
        assertThat(bench.get(143).oxygenMgPerL()).isLessThan(TODAY.oxygenMgPerL() - 1);
    }

    /** Fish in open, aerated water: the road and the night without mains, with the same stone, end at one oxygen. */
    @Test
    void theRoadAndTheClockFollowOneLine() {
        Fish fish = new Fish(List.of(new Fish.Group(6, 40)));
        double litres = 40;
        // On the early side a stone is rigid, the surface of both still, and fish are frightened.
        Bubbles rigid = new Bubbles(60, 2, 0.3, Bubbles.Skin.RIGID);
        Transport road = new Transport(fish, litres, 0, false, rigid, false, 25, 25, 0, 35, 2.9, 8.1, 0);
        List<Transport.TransportMoment> onTheRoad =
                road.trip(24, Transport.Side.EARLY, Transport.Limits.REEF).moments();
        Backup stone = new Backup("stone", new Backup.Stone(60, 2, 0.3), 0, null);
        double surfaceM2 = Math.pow(litres / 1000, 2.0 / 3);
        TankAtFailure same =
                new TankAtFailure(litres, 35, Gases.STANDARD_HPA, surfaceM2, 0, fish, 6, true, 25, 25, 0, 24);
        double withoutMains = new NightWithoutMains(
                        same, List.of(new NightWithoutMains.Running(stone, 0, null)), List.of())
                .run(24)
                .points()
                .get(144)
                .early();
        assertThat(onTheRoad.get(onTheRoad.size() - 1).oxygenMgPerL())
                .isCloseTo(withoutMains, within(0.02))
                .isLessThan(6);
    }

    /** The pocket card's tables are the clock's: from any oxygen on, the way down is the same. */
    @Test
    void thePocketCardFollowsTheClock() {
        TankAtFailure tank =
                new TankAtFailure(400, 35, Gases.STANDARD_HPA, 0.8, 0.01, Fish.NONE, 6.2, true, 25.5, 25.5, 0, 24);
        List<Double> falling = OxygenFlow.of(tank, List.of()).likely().falling();
        List<NightWithoutMains.OxygenPoint> clock = bare(tank).points();
        int at = 0;
        while (falling.get(at) > 6.2) {
            at++;
        }
        double share = (falling.get(at - 1) - 6.2) / (falling.get(at - 1) - falling.get(at));
        double from = at - 1 + share;
        for (int ahead : new int[] {12, 36, 72}) {
            int below = (int) (from + ahead);
            double between =
                    falling.get(below) + (from + ahead - below) * (falling.get(below + 1) - falling.get(below));
            assertThat(between).isCloseTo(clock.get(ahead).likely(), within(0.02));
        }
    }

    /** Early is never later than likely, nor likely than late, whatever the tank. */
    @Test
    void theSidesKeepTheirOrder() {
        for (double demand : new double[] {0.003, 0.01, 0.03}) {
            TankAtFailure tank =
                    new TankAtFailure(400, 35, Gases.STANDARD_HPA, 0.8, demand, Fish.NONE, 6.2, false, 26, 18, 0.03, 3);
            assertThat(bare(tank).points())
                    .allSatisfy(p -> assertThat(p.early())
                            .isLessThanOrEqualTo(p.likely() + 1e-6)
                            .isLessThanOrEqualTo(p.late() + 1e-6));
        }
        assertThat(OutageAssumptions.DEFAULT.early().demandTimes())
                .isGreaterThan(OutageAssumptions.DEFAULT.late().demandTimes());
    }
}
