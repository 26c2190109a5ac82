package jollytide.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.random.RandomGenerator;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.Priors;
import jollytide.core.measure.Setup;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.outage.Times;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.WorstNight;
import jollytide.core.twin.TwinState;

/**
 * Whether danger comes before "early" on tanks without a log: their truth is drawn from the stated priors, and their mains
 * fail at the worst hour of an ordinary night.
 */
final class EarlyStudy {
    private static final double HOURS = 48;
    private static final double NINETY = 1.645;
    private static final OutageAssumptions ASSUMED = OutageAssumptions.DEFAULT;

    private EarlyStudy() {}

    private record Night(Times said, Times before, double real) {}

    public static void main(String[] args) {
        int n = Integer.parseInt(args[0]);
        long seed = Long.parseLong(args[1]);
        List<Night> nights = new ArrayList<>();
        for (int i = 0; nights.size() < n; i++) {
            Night night = night(new Random(seed * 100_003 + i));
            if (night != null) {
                nights.add(night);
            }
        }
        report("early, joint edge", nights, night -> orLong(night.said().early()));
        report(
                "early, each at its own edge (before)",
                nights,
                night -> orLong(night.before().early()));
        report("likely", nights, night -> orLong(night.said().likely()));
        long late = nights.stream()
                .filter(night -> night.real() > orLong(night.said().late()))
                .count();
        System.out.printf(Locale.ROOT, "danger after late: %.1f %%%n", 100.0 * late / n);
    }

    private interface Said {
        double of(Night night);
    }

    private static void report(String what, List<Night> nights, Said said) {
        long sooner =
                nights.stream().filter(night -> night.real() < said.of(night)).count();
        double[] hours = nights.stream().mapToDouble(said::of).sorted().toArray();
        System.out.printf(
                Locale.ROOT,
                "%s: danger sooner in %.1f %% of %d tanks; median %.2f h, a tenth below %.2f h%n",
                what,
                100.0 * sooner / nights.size(),
                nights.size(),
                hours[hours.length / 2],
                hours[hours.length / 10]);
    }

    private static double orLong(Double hours) {
        return hours == null ? HOURS : hours;
    }

    /** Null where the true tank's animals would not have lived through an ordinary night. */
    private static Night night(RandomGenerator random) {
        SimulatedTank world = SimulatedTank.livable(random, false, SimulatedTank.Kind.PLAIN);
        double litres = world.described().netVolumeL();
        Fish fish = new Fish(List.of(new Fish.Group((int) (litres * 0.6 * random.nextDouble() / 20), 20)));
        Setup described = withFish(world.described(), fish);
        Setup real = withFish(world.real(), fish);
        TwinState begun = new OrdinaryDays(real, world.truth()).today(SimulatedTank.START);
        TankAtFailure lowest = night(real, world.truth(), begun, 0).tank();
        if (lowest.startMgPerL() < Fish.UNLIKELY_MG_PER_L) {
            return null;
        }
        double demand = Math.exp(Math.log(ASSUMED.demandDoubt()) / NINETY * random.nextGaussian());
        double activity = ASSUMED.fishActivity() * Math.exp(Math.log(4.0 / 3) / NINETY * random.nextGaussian());
        double still = ASSUMED.stillCmPerH() * Math.exp(Math.log(1.5) / NINETY * random.nextGaussian());
        TankAtFailure truth = new TankAtFailure(
                lowest.litres(),
                lowest.salinity(),
                lowest.pressureHpa(),
                lowest.surfaceM2(),
                lowest.reefMmolPerLPerH() * demand,
                fish,
                lowest.startMgPerL(),
                true,
                lowest.startC(),
                lowest.room(),
                lowest.coolingPerH(),
                lowest.fedWithinHours(),
                new OutageAssumptions(1, still, 0, Math.max(1, activity * demand)),
                0,
                0);
        TankParameters expected = TankParameters.ORDINARY;
        TwinState settled = new OrdinaryDays(described, expected).today(SimulatedTank.START);
        return new Night(
                danger(night(described, expected, settled, Priors.ASSUMED.metabolism())
                        .tank()),
                danger(night(described, expected, settled, 0).tank()),
                orLong(danger(truth).likely()));
    }

    private static WorstNight.Night night(Setup setup, TankParameters tank, TwinState settled, double lnSd) {
        RoomAround room = RoomAround.known(setup.water().temperatureC());
        return WorstNight.of(setup, List.of(tank), List.of(settled), 0, room, lnSd);
    }

    private static Times danger(TankAtFailure tank) {
        return new NightWithoutMains(tank, List.of(), List.of()).run(HOURS).danger();
    }

    private static Setup withFish(Setup setup, Fish fish) {
        Life life = setup.life();
        return setup.with(new Life(
                life.respirationMmolPerLPerH(),
                life.photosynthesisMmolPerLPerH(),
                life.lightSaturation(),
                life.refugiumMmolPerH(),
                fish,
                life.fishActivity(),
                life.calcificationMeqPerLPerDay(),
                life.quotient()));
    }
}
