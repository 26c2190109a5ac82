package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Sensor;
import jollytide.core.fit.Reading;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.Water;

/** A probe in the water: means of half hours of what it shows every five minutes. */
final class SimulatedProbe {
    private static final Duration EVERY = Duration.ofMinutes(5);
    private static final Duration DOSED_EVERY = Duration.ofMinutes(15);
    /** Respiration and photosynthesis of one day against another's: fed more, a cloudier pane. No fit knows of it. */
    private static final double DAY_TO_DAY = 0.04;

    private final RandomGenerator random;
    private final Sensor.AtWork work;
    private final List<Reading> ph = new ArrayList<>();
    private TwinState state;
    private double sum;
    private int n;

    SimulatedProbe(RandomGenerator random, TankParameters truth, Setup real, RoomCourse room) {
        this.random = random;
        work = new Sensor(2, 0.04 * random.nextGaussian(), 0.001 * random.nextGaussian(), 0.005, 0.01)
        .new AtWork(random);
        state = new OrdinaryDays(real, truth, room).today(SimulatedTank.START);
        for (int d = 0; d < SimulatedTank.DAYS; d++) {
            day(truth, real, room, MeasureSet.NONE, state.at().plus(Duration.ofDays(1)));
        }
    }

    /** What it has shown so far. */
    List<Reading> ph() {
        return List.copyOf(ph);
    }

    private void day(TankParameters truth, Setup real, RoomCourse room, MeasureSet measures, Instant until) {
        TankParameters today = new TankParameters(
                truth.skimmerFactor(),
                truth.surfaceFactor(),
                truth.respirationMmolPerLPerH() * Math.exp(DAY_TO_DAY * random.nextGaussian()),
                truth.photosynthesisMmolPerLPerH() * Math.exp(DAY_TO_DAY * random.nextGaussian()));
        Twin twin = new Twin(
                Rig.of(real, today, measures).tank(state.at(), Duration.between(state.at(), until), room, false));
        // In single runs where nothing is dosed, so that those logs stay what they were.
        Duration step = real.useMeqPerLPerDay() > 0 ? DOSED_EVERY : Duration.between(state.at(), until);
        while (state.at().isBefore(until)) {
            Instant next = state.at().plus(step).isBefore(until) ? state.at().plus(step) : until;
            for (TwinState s : twin.run(twin.carriedOver(keptUp(state, real)), next, EVERY)) {
                read(s);
            }
        }
    }

    private void read(TwinState s) {
        double days = Duration.between(SimulatedTank.START, s.at()).toMinutes() / 1440.0;
        sum += work.read(s.phNbs(), 5, days);
        if (++n == 6) {
            ph.add(new Reading(s.at().minus(Duration.ofMinutes(12)).minusSeconds(30), sum / n));
            sum = 0;
            n = 0;
        }
        state = s;
    }

    /**
     * Where animals use alkalinity its keeper doses as much, and by tests a little more or less, within the day that
     * follows; the source brings its carbon along.
     */
    private static TwinState keptUp(TwinState state, Setup real) {
        if (real.useMeqPerLPerDay() == 0) {
            return state;
        }
        double perKg = real.alkalinityMeqPerL() / 1000 / real.water().densityKgPerL();
        double share = DOSED_EVERY.toMinutes() / 1440.0;
        double change = share * (perKg - state.alkalinityMolPerKg());
        return state.with(Water.ALKALINITY, a -> a + change)
                .with(Water.DIC, dic -> dic + change * real.source().carbonPerEquivalent());
    }

    private static TwinState gaining(TwinState state, Today today) {
        double perKg = today.gainsMeqPerL() / 1000 / today.real().water().densityKgPerL();
        return perKg == 0
                ? state
                : state.with(Water.ALKALINITY, a -> a + perKg).with(Water.DIC, dic -> dic + perKg / 2);
    }

    /** From here on as it is, then with an experiment's measures, then as it is; what was read before stays. */
    List<Reading> more(SimulatedTank world, MeasureSet during, Instant from, Instant until) {
        Instant end = SimulatedTank.START.plus(Duration.ofDays(SimulatedTank.DAYS + SimulatedTank.MORE_DAYS));
        return apart(() -> {
            day(world.truth(), world.real(), world.trueRoom(), MeasureSet.NONE, from);
            day(world.truth(), world.real(), world.trueRoom(), during, until);
            day(world.truth(), world.real(), world.trueRoom(), MeasureSet.NONE, end);
        });
    }

    /** As it is until some moment, then with measures on until {@code end}; what was read before stays. */
    List<Reading> changed(SimulatedTank world, MeasureSet measures, Instant at, Instant end) {
        return apart(() -> {
            day(world.truth(), world.real(), world.trueRoom(), MeasureSet.NONE, at);
            while (state.at().isBefore(end)) {
                Instant next = state.at().plus(Duration.ofDays(1));
                day(world.truth(), world.real(), world.trueRoom(), measures, next.isBefore(end) ? next : end);
            }
        });
    }

    /**
     * What a tank is on one day.
     *
     * @param room as it is
     * @param gainsMeqPerL alkalinity that is put in at its beginning beyond what is used, as soda ash; negative where too
     *     little is
     */
    record Today(TankParameters truth, Setup real, RoomCourse room, MeasureSet measures, double gainsMeqPerL) {}

    /** Further days, each as it is then; what was read before stays. */
    List<Reading> further(List<Today> days) {
        return apart(() -> days.forEach(today -> {
            state = gaining(state, today);
            day(
                    today.truth(),
                    today.real(),
                    today.room(),
                    today.measures(),
                    state.at().plus(Duration.ofDays(1)));
        }));
    }

    /** The next day as it is. */
    List<Reading> dayAhead(SimulatedTank world) {
        List<Reading> all = apart(() -> day(
                world.truth(),
                world.real(),
                world.trueRoom(),
                MeasureSet.NONE,
                state.at().plus(Duration.ofDays(1))));
        return all.subList(ph.size(), all.size());
    }

    /** What it has shown after that; then everything is as before. */
    private synchronized List<Reading> apart(Runnable days) {
        List<Reading> before = List.copyOf(ph);
        TwinState then = state;
        days.run();
        List<Reading> all = List.copyOf(ph);
        ph.clear();
        ph.addAll(before);
        state = then;
        return all;
    }
}
