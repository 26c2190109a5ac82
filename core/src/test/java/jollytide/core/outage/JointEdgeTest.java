package jollytide.core.outage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.random.RandomGenerator;
import jollytide.core.reef.Fish;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

/** Without a log, one tank in twenty may be in danger sooner than early says, and one in twenty later than late. */
class JointEdgeTest {
    private static final double LN_SD = 0.5;
    private static final OutageAssumptions ASSUMED = OutageAssumptions.DEFAULT;

    private static TankAtFailure expected(RandomGenerator random) {
        double litres = 60 * Math.exp(2.5 * random.nextDouble());
        double celsius = 24.5 + 3 * random.nextDouble();
        double saturation = Gases.oxygenSaturationMgPerL(new Seawater(35, celsius), 1013);
        return new TankAtFailure(
                litres,
                35,
                1013,
                0.016 * Math.pow(litres, 2.0 / 3) * (0.8 + 0.4 * random.nextDouble()),
                0.018,
                new Fish(List.of(new Fish.Group((int) (litres * random.nextDouble() / 40), 20))),
                saturation - 0.3 - random.nextDouble(),
                false,
                celsius,
                RoomAround.known(celsius),
                0,
                24,
                ASSUMED,
                0,
                LN_SD);
    }

    /** One of the tanks that could be it, known in full; alive, as all that are described. */
    private static TankAtFailure truth(TankAtFailure expected, RandomGenerator random) {
        while (true) {
            double respiration = Math.exp(LN_SD * random.nextGaussian());
            double demand = Math.exp(Math.log(ASSUMED.demandDoubt()) / 1.645 * random.nextGaussian());
            double activity = ASSUMED.fishActivity() * Math.exp(Math.log(4.0 / 3) / 1.645 * random.nextGaussian());
            double still = ASSUMED.stillCmPerH() * Math.exp(Math.log(1.5) / 1.645 * random.nextGaussian());
            double reef = expected.reefMmolPerLPerH() * respiration;
            Guess real = new Guess(demand, still, 0, activity);
            TankAtFailure other = with(expected, reef, expected.startMgPerL(), new OutageAssumptions(1, still, 0, 1));
            double used = other.demandMgPerLPerH(expected.startC(), 0, real);
            double usual = expected.demandMgPerLPerH(expected.startC(), 0, expected.likely());
            double saturation = expected.saturationMgPerL(expected.startC());
            double lacks = (saturation - expected.startMgPerL()) * used / usual * Math.exp(0.3 * random.nextGaussian());
            double start = saturation - lacks - ASSUMED.startDoubtMgPerL() / 1.645 * random.nextGaussian();
            if (start >= Fish.UNLIKELY_MG_PER_L) {
                return with(
                        expected,
                        reef * demand,
                        Math.min(saturation, start),
                        new OutageAssumptions(1, still, 0, Math.max(1, activity * demand)));
            }
        }
    }

    private static TankAtFailure with(TankAtFailure t, double reef, double start, OutageAssumptions assumed) {
        return new TankAtFailure(
                t.litres(),
                t.salinity(),
                t.pressureHpa(),
                t.surfaceM2(),
                reef,
                t.fish(),
                start,
                true,
                t.startC(),
                t.room(),
                0,
                24,
                assumed,
                0,
                0);
    }

    private static double orNever(Double hours) {
        return hours == null ? Double.MAX_VALUE : hours;
    }

    private static double sooner(List<Backup> running, int tanks, long seed, boolean early) {
        RandomGenerator random = new Random(seed);
        int n = 0;
        List<NightWithoutMains.Running> all = new ArrayList<>();
        running.forEach(b -> all.add(new NightWithoutMains.Running(b, 0, null)));
        for (int i = 0; i < tanks; i++) {
            TankAtFailure expected = expected(random);
            Times said = new NightWithoutMains(expected, all, List.of()).run(36).danger();
            Times real = new NightWithoutMains(truth(expected, random), all, List.of())
                    .run(36)
                    .danger();
            boolean beyond = early
                    ? orNever(real.likely()) < orNever(said.early())
                    : orNever(real.likely()) > orNever(said.late());
            n += beyond ? 1 : 0;
        }
        return (double) n / tanks;
    }

    @Test
    void dangerComesBeforeEarlyInOneTankOfTwentyAtMost() {
        assertThat(sooner(List.of(), 400, 7, true)).isBetween(0.02, 0.065);
        assertThat(sooner(List.of(), 200, 8, false)).isLessThan(0.1);
    }

    /** Each doubt at its own edge, and a quarter on the demand, as it was: one tank in five is in danger sooner. */
    @Test
    void aLittleMoreDemandAloneWasNotEnough() {
        RandomGenerator random = new Random(7);
        int n = 0;
        for (int i = 0; i < 400; i++) {
            TankAtFailure expected = expected(random);
            TankAtFailure unaware = new TankAtFailure(
                    expected.litres(),
                    35,
                    1013,
                    expected.surfaceM2(),
                    expected.reefMmolPerLPerH(),
                    expected.fish(),
                    expected.startMgPerL(),
                    false,
                    expected.startC(),
                    expected.room(),
                    0,
                    24,
                    ASSUMED,
                    0,
                    0);
            double before = orNever(new NightWithoutMains(unaware, List.of(), List.of())
                    .run(36)
                    .danger()
                    .early());
            double real = orNever(new NightWithoutMains(truth(expected, random), List.of(), List.of())
                    .run(36)
                    .danger()
                    .likely());
            n += real < before ? 1 : 0;
        }
        assertThat(n / 400.0).isGreaterThan(0.12);
    }

    /** Known respiration has no joint edge: what is assumed stays as it is written. */
    @Test
    void aLogsTankKeepsItsSides() {
        TankAtFailure tank = with(expected(new Random(1)), 0.018, 6, ASSUMED);
        assertThat(tank.early(List.of())).isEqualTo(ASSUMED.early());
        assertThat(tank.late(List.of())).isEqualTo(ASSUMED.late());
    }

    /** What aerates makes the start matter less and the demand more. */
    @Test
    void airMovesTheEdge() {
        TankAtFailure tank = expected(new Random(2));
        Backup stone = new Backup("stone", new Backup.Stone(tank.litres(), 2, 0.4), 0, null);
        assertThat(tank.early(List.of(stone)).demandTimes())
                .isGreaterThan(tank.early(List.of()).demandTimes());
    }
}
