package jollytide.bench.second;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import jollytide.core.exchange.Gas;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import org.junit.jupiter.api.Test;

/** Balances of the second world that hold whatever its sizes: it judges the model, so it is judged first. */
class TankTest {
    private static final int DAYS = Tank.UNSEEN_DAYS + 4;
    private static final int STEPS = DAYS * Steps.A_DAY;
    private static final double VOLUME = 300;
    private static final double ALKALINITY = 2.9;
    private static final Seawater WATER = new Seawater(35, 25);

    private static double[] always(double value) {
        double[] all = new double[STEPS];
        Arrays.fill(all, value);
        return all;
    }

    private static Animals animals(double respiration, double quotient, double photosynthesis) {
        double[][] alike = new double[DAYS][2];
        Arrays.stream(alike).forEach(day -> Arrays.fill(day, 1));
        return new Animals(respiration, quotient, 0, photosynthesis, 1.1, 0.6, 0, new double[0], 0, alike, 0);
    }

    private static Tank tank(Animals animals, double sourceLPerH) {
        Home home = new Home(100, always(sourceLPerH), always(0.5));
        Lamps lamps = new Lamps(Lamps.Shape.SQUARE, 10, 21, 0, lit());
        Exchanger trades = new Exchanger(0.7, 8, always(0), 300, 1.5, 0.8, 0.7, always(0));
        return new Tank(VOLUME, 35, always(25), always(ALKALINITY), 0.5, home, lamps, animals, trades);
    }

    private static double[] lit() {
        return IntStream.range(0, STEPS)
                .mapToDouble(i -> Steps.hourOfDay(i) >= 10 && Steps.hourOfDay(i) < 21 ? 1 : 0)
                .toArray();
    }

    @Test
    void deadWaterComesToBalanceWithItsAir() {
        Tank.Course course = tank(animals(0, 1, 0), 0).run(Tank.Change.NONE);
        CarbonateSystem system = CarbonateSystem.of(WATER);
        double balanced = system.fromAlkalinityAndCo2(
                        ALKALINITY / 1000 / WATER.densityKgPerL(), Gases.uatmOverWater(Home.OUTDOORS, 1013.25, WATER))
                .phTotal();
        assertThat(course.lowestPh(3)).isCloseTo(system.constants().toNbs(balanced), within(2e-3));
        assertThat(course.lowestOxygen(3)).isCloseTo(Gases.oxygenSaturationMgPerL(WATER, 1013.25), within(0.01));
    }

    @Test
    void aRoomSettlesWhereItsSourceBalancesItsAirChanges() {
        double[] ppm = new Home(100, always(20), always(0.5)).ppm(1);
        assertThat(ppm[STEPS - 1]).isCloseTo(Home.OUTDOORS + 20.0 / 100 * 1000 / 0.5, within(0.5));
        double[] aired = new Home(100, always(20), always(0.5)).ppm(4);
        assertThat(aired[STEPS - 1] - Home.OUTDOORS).isCloseTo((ppm[STEPS - 1] - Home.OUTDOORS) / 4, within(0.5));
    }

    @Test
    void whatIsRespiredIsWhatTheAirBringsInSteadyDark() {
        double respiration = 0.02;
        Tank tank = tank(animals(respiration, 1, 0), 0);
        Tank.Course course = tank.run(Tank.Change.NONE);
        double oxygen = course.lowestOxygen(3) / Gases.OXYGEN_G_PER_MOL;
        double solubility = Gas.OXYGEN.solubility(WATER);
        double conductance = tank.exchanger().surface(0, Gases.schmidtOxygen(25), solubility, false)
                + tank.exchanger().skimmer(0, solubility, 25, false);
        double inAir = 0.20946 * (1 - Gases.waterVapourAtm(WATER));
        assertThat(conductance * (inAir - oxygen / 1000 / solubility) * 1000 / VOLUME)
                .isCloseTo(respiration, within(1e-4));
    }

    @Test
    void aHigherRespiratoryQuotientLowersPhAndLeavesOxygen() {
        Tank.Course one = tank(animals(0.02, 0.85, 0.04), 0).run(Tank.Change.NONE);
        Tank.Course more = tank(animals(0.02, 1.1, 0.04), 0).run(Tank.Change.NONE);
        assertThat(more.lowestPh(3)).isLessThan(one.lowestPh(3) - 0.01);
        assertThat(more.lowestOxygen(3)).isCloseTo(one.lowestOxygen(3), within(0.01));
    }

    @Test
    void remediesWorkTheWayTheyMust() {
        Tank tank = tank(animals(0.02, 1, 0.04), 30);
        double low = tank.run(Tank.Change.NONE).lowestPh(3);
        assertThat(tank.run(new Tank.Change(1, 1, 0, true, 1)).lowestPh(3)).isGreaterThan(low + 0.02);
        assertThat(tank.run(new Tank.Change(4, 1, 0, false, 1)).lowestPh(3)).isGreaterThan(low + 0.02);
        assertThat(tank.run(new Tank.Change(1, 1, 0.36, false, 1)).lowestPh(3)).isGreaterThan(low + 0.02);
        Tank.Course still = tank.run(new Tank.Change(1, 1, 0, false, 0));
        assertThat(still.lowestPh(3)).isLessThan(low);
        assertThat(still.lowestOxygen(3)).isLessThan(tank.run(Tank.Change.NONE).lowestOxygen(3));
    }

    @Test
    void skeletonsTakeWhatTheyAreSaidToTakeInADay() {
        Animals builds = new Animals(0.02, 1, 0, 0.04, 1, 0.6, 0, new double[0], 0, new double[DAYS][2], 0.4);
        double[] light = lit();
        double mean = Arrays.stream(light).average().orElseThrow();
        double day = IntStream.range(0, Steps.A_DAY)
                .mapToDouble(i -> builds.calcifies(light[i], mean) * Steps.HOURS)
                .sum();
        assertThat(day).isCloseTo(0.4, within(1e-9));
        assertThat(builds.calcifies(1, mean)).isCloseTo(3 * builds.calcifies(0, mean), within(1e-12));
    }

    @Test
    void keptTanksAreLivableAndLoggedAsSaid() {
        Kept kept = Kept.livable(new SplittableRandom(5));
        assertThat(kept.log().ph()).hasSize(48 * Kept.DAYS);
        assertThat(kept.log().ph().get(0).at()).isBetween(Kept.START, Kept.START.plusSeconds(1800));
        assertThat(IntStream.range(0, Kept.DAYS)
                        .mapToDouble(kept.asItIs()::lowestPh)
                        .min()
                        .orElseThrow())
                .isGreaterThan(7.4);
        assertThat(Math.abs(
                        kept.log().ph().get(100).value() - kept.asItIs().ph()[Tank.UNSEEN_DAYS * Steps.A_DAY + 603]))
                .isLessThan(0.25);
    }
}
