package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.DosedByTests;
import jollytide.core.twin.Reef;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.WarmedAsRead;
import jollytide.core.twin.Water;

/** A tank run through the days of its log: in their own rooms, with their own alkalinity, from the first reading on. */
final class LogRun {
    private static final Duration EVERY = Duration.ofMinutes(30);
    private static final Duration DAY = Duration.ofDays(1);
    /** So often the first day is run, until its use and its saturation go together. */
    private static final int FIRST_DAYS = 2;

    private final Setup setup;
    private final TankLog log;
    private final double meanPh;
    /** To the half hour. */
    private final List<TankLog.Interlude> interludes;

    LogRun(Setup setup, TankLog log) {
        this.setup = setup;
        this.log = log;
        interludes = log.interludes().stream()
                .map(i -> new TankLog.Interlude(toHalfHour(i.from()), toHalfHour(i.until()), i.as()))
                .toList();
        meanPh = log.ph().stream().mapToDouble(Reading::value).average().orElseThrow();
    }

    /**
     * Every half hour from the first reading on.
     *
     * @param probeOff what the probe reads too much at the first reading
     * @throws jollytide.core.units.InputException when this tank leaves what water can be
     */
    List<TwinState> run(TankParameters tank, double probeOff) {
        Setup corrected = setup.corrected(tank);
        RoomCourse room = log.room().corrected(tank, setup.outdoorPpm());
        Instant from = log.from();
        long halfHours = Duration.between(from, log.until()).dividedBy(EVERY) + 1;
        Instant until = from.plus(EVERY.multipliedBy(halfHours));
        Duration length = Duration.between(from, until);
        DosedByTests doses =
                new DosedByTests(t -> alkalinity(t, tank), setup.source().carbonPerEquivalent());
        Function<Setup, Twin> twinOf = as -> new Twin(warmed(Rig.of(as.corrected(tank), tank, MeasureSet.NONE)
                .tank(from, length, room, false)
                .with(doses)));
        Twin now = twinOf.apply(setup);
        List<Twin> then = interludes.stream().map(i -> twinOf.apply(i.as())).toList();
        Function<Instant, Twin> twinAt = t -> IntStream.range(0, then.size())
                .filter(i -> interludes.get(i).holds(t))
                .mapToObj(then::get)
                .findFirst()
                .orElse(now);
        TwinState first = begin(twinAt.apply(from), corrected, tank, probeOff);
        if (setup.useMeqPerLPerDay() > 0) {
            Instant dayOn = from.plus(DAY).isBefore(until) ? from.plus(DAY) : until;
            for (int i = 0; i < FIRST_DAYS; i++) {
                double mean = course(first, dayOn, twinAt).stream()
                        .mapToDouble(TwinState::oversaturation)
                        .average()
                        .orElseThrow();
                first = first.with(Reef.USUAL_OVERSATURATION, mean);
            }
        }
        return course(first, until, twinAt);
    }

    private TwinTank warmed(TwinTank tank) {
        TemperatureCourse read = log.temperature();
        return read == null ? tank : tank.with(new WarmedAsRead(read::at));
    }

    private List<TwinState> course(TwinState first, Instant until, Function<Instant, Twin> twinAt) {
        TwinState state = first;
        List<TwinState> all = new ArrayList<>(List.of(state));
        double oversaturated = 0;
        while (state.at().isBefore(until)) {
            Twin twin = twinAt.apply(state.at());
            List<TwinState> run = twin.run(twin.carriedOver(state), next(state.at(), until), EVERY);
            all.addAll(run);
            oversaturated += run.stream().mapToDouble(TwinState::oversaturation).sum();
            state = usual(run.get(run.size() - 1), oversaturated / (all.size() - 1));
        }
        return all;
    }

    /** A day on, or where an interlude begins or ends. */
    private Instant next(Instant t, Instant until) {
        return interludes.stream()
                .flatMap(i -> Stream.of(i.from(), i.until()))
                .filter(switched -> switched.isAfter(t))
                .reduce(t.plus(DAY).isBefore(until) ? t.plus(DAY) : until, (a, b) -> b.isBefore(a) ? b : a);
    }

    private Instant toHalfHour(Instant t) {
        double steps = Duration.between(log.from(), t).toSeconds() / (double) EVERY.toSeconds();
        return log.from().plus(EVERY.multipliedBy(Math.round(steps)));
    }

    private TwinState begin(Twin twin, Setup corrected, TankParameters tank, double probeOff) {
        TemperatureCourse read = log.temperature();
        double celsius = read == null ? corrected.water().temperatureC() : read.at(log.from());
        CarbonateSystem system =
                CarbonateSystem.of(new Seawater(corrected.water().salinity(), celsius));
        double alkalinity = alkalinity(log.from(), tank);
        CarbonateState first = system.fromPhAndAlkalinity(
                system.constants().toTotal(log.ph().get(0).value() - probeOff, PhScale.NBS), alkalinity);
        CarbonateState usual =
                system.fromPhAndAlkalinity(system.constants().toTotal(meanPh - probeOff, PhScale.NBS), alkalinity);
        TwinState start = twin.start(log.from(), corrected.alkalinityMeqPerL(), corrected.outdoorPpm())
                .with(Water.TEMPERATURE, celsius)
                .with(Water.DIC, first.dic())
                .with(Water.ALKALINITY, alkalinity);
        return setup.useMeqPerLPerDay() > 0
                ? start.with(Reef.USUAL_OVERSATURATION, Math.max(0, usual.omegaAragonite() - 1))
                : start;
    }

    /**
     * The animals use what is described at the mean saturation of the run itself: a use that hung on the level of the
     * readings would claim to know by how much the probe is off. The first day's is found by running it.
     */
    private TwinState usual(TwinState state, double mean) {
        boolean known = Duration.between(log.from(), state.at()).compareTo(DAY) >= 0;
        return setup.useMeqPerLPerDay() > 0 && known ? state.with(Reef.USUAL_OVERSATURATION, mean) : state;
    }

    private double alkalinity(Instant at, TankParameters tank) {
        double meqPerL = log.alkalinity().at(at, setup.alkalinityMeqPerL()) + tank.alkalinityOffMeqPerL();
        return meqPerL / 1000 / setup.water().densityKgPerL();
    }

    /** A run's values at the moments of some readings, straight between its half hours. */
    static double[] at(List<TwinState> run, List<Reading> readings, ToDoubleFunction<TwinState> value) {
        Instant from = run.get(0).at();
        return readings.stream()
                .mapToDouble(r -> {
                    double steps = Duration.between(from, r.at()).toMillis() / (double) EVERY.toMillis();
                    int i = Math.max(0, Math.min(run.size() - 2, (int) Math.floor(steps)));
                    double before = value.applyAsDouble(run.get(i));
                    return before + (steps - i) * (value.applyAsDouble(run.get(i + 1)) - before);
                })
                .toArray();
    }
}
