package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Path;
import jollytide.core.exchange.Surface;
import jollytide.core.numerics.Crossing;
import jollytide.core.reef.Life;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.Cooling;
import jollytide.core.twin.Heater;
import jollytide.core.twin.Lamp;
import jollytide.core.twin.OnStore;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.Part;
import jollytide.core.twin.Reef;
import jollytide.core.twin.RoomSpace;
import jollytide.core.twin.StillEvaporation;
import jollytide.core.twin.Swimmers;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.Water;
import org.jspecify.annotations.Nullable;

/**
 * The twin without mains: its pumped paths off, its surface still, backups on while their stores last. Its carbon is not
 * followed, for oxygen does not hang on it. Thresholds in mg/L are from memory; animals that gasp override every number.
 */
public final class NightWithoutMains {
    /** The failure: an outage is counted from it. */
    private static final Instant FAILURE = Instant.EPOCH;

    private static final Duration POINT_EVERY = Duration.ofMinutes(10);
    private static final double POINT_EVERY_H = 1.0 / 6;
    private static final double STILL_EXPONENT = 2.0 / 3;
    /** CO2 of the room matters to no oxygen. */
    private static final double ANY_PPM = 420;
    /** How far a reading may move the estimated demand: beyond that something else is wrong. */
    private static final double LEAST_CORRECTION = 0.3;

    private static final double MOST_CORRECTION = 3;
    private static final double CORRECTION_ACCURACY = 1e-4;
    /** Two readings closer than this say nothing of the demand between them, h. */
    private static final double TOO_CLOSE_H = 0.1;

    private final TankAtFailure tank;
    private final List<Running> backups;
    private final List<Reading> readings;

    /**
     * A backup in use.
     *
     * @param fromH hours into the outage
     * @param toH when it was stopped; null while nobody has
     * @param usedH of its energy that were taken before
     */
    public record Running(
            Backup backup, double fromH, @Nullable Double toH, double usedH) {
        public Running {
            within("fromH", fromH, 0, 10_000, "h");
            within("usedH", usedH, 0, 10_000, "h");
        }

        /** With all of its energy. */
        public Running(Backup backup, double fromH, @Nullable Double toH) {
            this(backup, fromH, toH, 0);
        }
    }

    /** Oxygen that was measured on the way. */
    public record Reading(double atH, double mgPerL) {
        public Reading {
            within("atH", atH, 0, 10_000, "h");
            within("readingMgPerL", mgPerL, 0, 20, "mg/L");
        }
    }

    public NightWithoutMains(TankAtFailure tank, List<Running> backups, List<Reading> readings) {
        this.tank = tank;
        this.backups = List.copyOf(backups);
        this.readings = readings.stream()
                .sorted(Comparator.comparingDouble(Reading::atH))
                .toList();
    }

    /**
     * A moment of the clock.
     *
     * @param celsius as it likely goes
     * @param coldestC where heat is lost fastest: in dry air, half as fast again
     * @param ammoniaMgPerL ammonia nitrogen from the fish since the failure, on the early side, with nothing taken up
     */
    public record OxygenPoint(
            double hours,
            double early,
            double likely,
            double late,
            double celsius,
            double coldestC,
            double ammoniaMgPerL) {}

    /** The hours ahead. */
    public record OxygenCourse(List<OxygenPoint> points, Times caution, Times danger, Times loss) {}

    /** From the failure on, for so many hours. */
    public OxygenCourse run(double hours) {
        within("hours", hours, 0.5, 240, "h");
        List<Backup> first = backups.stream()
                .filter(running -> running.fromH() == 0)
                .map(Running::backup)
                .toList();
        Side side = new Side(tank.early(first), Backup.Way::least, Energy.RunTime::early, Heat.NO_COOLER);
        List<TwinState> early = course(side, hours);
        List<TwinState> likely =
                course(new Side(tank.likely(), NightWithoutMains::middle, Energy.RunTime::likely, Heat.LIKELY), hours);
        List<TwinState> late =
                course(new Side(tank.late(first), Backup.Way::most, Energy.RunTime::late, Heat.LIKELY), hours);
        List<TwinState> coldest = temperature(Heat.FASTEST, hours);
        List<OxygenPoint> points = new ArrayList<>();
        for (int i = 0; i < early.size(); i++) {
            points.add(new OxygenPoint(
                    i * POINT_EVERY_H,
                    early.get(i).oxygenMgPerL(),
                    likely.get(i).oxygenMgPerL(),
                    late.get(i).oxygenMgPerL(),
                    likely.get(i).temperatureC(),
                    coldest.get(i).temperatureC(),
                    early.get(i).ammoniaMgPerL()));
        }
        return new OxygenCourse(
                points,
                times(points, OxygenLines.CAUTION),
                times(points, OxygenLines.DANGER),
                times(points, OxygenLines.LOSS));
    }

    private interface Transfer {
        double of(Backup.Way way, Seawater water);
    }

    private static double middle(Backup.Way way, Seawater water) {
        return Math.sqrt(way.least(water) * way.most(water));
    }

    /** How heat comes and goes. */
    private enum Heat {
        /** By glass, air and vapour. */
        LIKELY,
        /** Cooling would spare oxygen and is not counted on; warming is, in full. */
        NO_COOLER,
        /** Half as fast again, in dry air. */
        FASTEST
    }

    /** Over the likely loss. From memory, as is the humidity. */
    private static final double FASTEST_LOSS = 1.5;

    private static final double DRY_AIR = 0.3;
    /** No water in a home is colder. */
    private static final double COLDEST_START_C = 5;

    /** One side of what is not known: the tank's parameters, how well backups work, how long, and its heat. */
    private record Side(Guess guess, Transfer transfer, ToDoubleFunction<Energy.RunTime> lasts, Heat heat) {}

    /** How much colder than usual it is after so many hours without mains. */
    public StillCool coolAfter(double hours) {
        within("hours", hours, 0, 240, "h");
        return hours < POINT_EVERY_H
                ? tank.stillCool()
                : StillCool.of(
                        tank.startC() - lastC(temperature(Heat.LIKELY, hours)),
                        tank.startC() - lastC(temperature(Heat.FASTEST, hours)));
    }

    private static double lastC(List<TwinState> course) {
        return course.get(course.size() - 1).temperatureC();
    }

    /** Temperature alone. */
    private List<TwinState> temperature(Heat heat, double hours) {
        List<Part> parts = new ArrayList<>();
        warmth(heat, parts);
        Twin twin = new Twin(new TwinTank(water(heat), parts, false));
        List<TwinState> all = new ArrayList<>(List.of(twin.start(FAILURE, 0, 0)));
        on(twin, all.get(0), hours, all);
        return all;
    }

    private List<TwinState> course(Side side, double hours) {
        Guess guess = side.guess();
        double start = tank.startMgPerL() + (tank.startMeasured() ? 0 : guess.startMgPerL());
        Twin twin = new Twin(twin(side, 1));
        TwinState state = withOxygen(twin.start(FAILURE, 0, 0), Math.max(0, start));
        List<TwinState> all = new ArrayList<>(List.of(state));
        double correction = 1;
        double from = 0;
        // Each reading moves the demand until the run before it meets the reading; then the run goes on from there.
        for (Reading reading : readings) {
            if (reading.atH() > hours) {
                break;
            }
            if (reading.atH() > from + TOO_CLOSE_H) {
                correction = corrected(side, state, reading, correction);
                twin = new Twin(twin(side, correction));
            }
            state = on(twin, state, reading.atH(), all);
            state = withOxygen(state, reading.mgPerL());
            if (all.get(all.size() - 1).at().equals(state.at())) {
                all.set(all.size() - 1, state);
            }
            from = reading.atH();
        }
        on(twin, state, hours, all);
        return all;
    }

    /** Goes on to an hour; what falls on the course's points on the way is added to it. */
    private static TwinState on(Twin twin, TwinState from, double toH, List<TwinState> points) {
        Instant to = at(toH);
        TwinState state = twin.carriedOver(from);
        Instant next = at(points.size() * POINT_EVERY_H);
        if (next.isAfter(to)) {
            return last(twin, state, to);
        }
        state = last(twin, state, next);
        points.add(state);
        List<TwinState> run = twin.run(state, to, POINT_EVERY);
        points.addAll(run);
        TwinState reached = run.isEmpty() ? state : run.get(run.size() - 1);
        return last(twin, reached, to);
    }

    private static TwinState last(Twin twin, TwinState from, Instant to) {
        if (!to.isAfter(from.at())) {
            return from;
        }
        List<TwinState> run = twin.run(from, to, Duration.between(from.at(), to));
        return run.get(run.size() - 1);
    }

    private static TwinState withOxygen(TwinState state, double mgPerL) {
        return state.with(
                Water.OXYGEN,
                mgPerL / Gases.OXYGEN_MG_PER_MOL / state.seawater().densityKgPerL());
    }

    private double corrected(Side side, TwinState from, Reading reading, double before) {
        double found = Crossing.of(
                tried -> -missed(side, from, reading, tried), LEAST_CORRECTION, MOST_CORRECTION, CORRECTION_ACCURACY);
        // A single reading has its error: half of what it says is believed.
        return Math.sqrt(before * found);
    }

    private double missed(Side side, TwinState from, Reading reading, double correction) {
        Twin twin = new Twin(twin(side, correction));
        return last(twin, twin.carriedOver(from), at(reading.atH())).oxygenMgPerL() - reading.mgPerL();
    }

    private static Instant at(double hours) {
        return FAILURE.plusMillis(Math.round(hours * 3.6e6));
    }

    /** The tank on one side of what is not known. */
    private TwinTank twin(Side side, double correction) {
        Guess guess = side.guess();
        double demand = guess.demandTimes() * correction;
        List<Part> parts = new ArrayList<>();
        parts.add(new RoomSpace(ANY_PPM, RoomSpace.Hours.known(ANY_PPM)));
        parts.add(OpenPath.surface(
                "still water",
                Air.ROOM,
                new Surface(Math.max(0.001, tank.surfaceM2()), guess.stillCmPerH(), STILL_EXPONENT)));
        parts.add(new Reef(Life.reef(tank.reefMmolPerLPerH(), 0), demand, Lamp.DARK));
        parts.add(new Swimmers(
                tank.fish(),
                guess.fishActivity() * demand,
                TankAtFailure.FED_OVER_ACTIVE,
                at(tank.digestsForH()),
                1,
                1));
        warmth(side.heat(), parts);
        for (int i = 0; i < backups.size(); i++) {
            Running running = backups.get(i);
            if (sameAsAnother(running, backups.subList(0, i))) {
                continue;
            }
            Path path = (gas, water) ->
                    gas == Gas.OXYGEN ? side.transfer().of(running.backup().way(), water) : 0;
            Double to = running.toH();
            parts.add(new OnStore(
                    OpenPath.stone(running.backup().name(), Air.ROOM, path),
                    String.valueOf(i),
                    at(running.fromH()),
                    to == null ? null : at(to),
                    side.lasts().applyAsDouble(running.backup().runTime()),
                    running.usedH()));
        }
        return new TwinTank(water(side.heat()), parts, false);
    }

    /** Whether it drives pumps that another source drives then. */
    private static boolean sameAsAnother(Running running, List<Running> before) {
        return running.backup().way() instanceof Backup.OwnPumps
                && before.stream()
                        .filter(other -> other.backup().way() instanceof Backup.OwnPumps)
                        .anyMatch(other -> running.fromH() < endsH(other) && other.fromH() <= running.fromH());
    }

    private static double endsH(Running running) {
        double lasts = running.fromH() + running.backup().runTime().early() - running.usedH();
        return running.toH() == null ? lasts : Math.min(running.toH(), lasts);
    }

    private Water water(Heat heat) {
        double coolerK = switch (heat) {
            case NO_COOLER -> 0;
            case LIKELY -> tank.stillCool().likelyK();
            case FASTEST -> tank.stillCool().mostK();
        };
        return new Water(
                tank.litres(),
                tank.salinity(),
                tank.pressureHpa(),
                Math.max(COLDEST_START_C, tank.startC() - coolerK),
                false);
    }

    private void warmth(Heat heat, List<Part> parts) {
        if (heat == Heat.NO_COOLER) {
            parts.add(new Cooling(Math.max(tank.room().warmestC(), tank.startC()), tank.coolingPerH()));
            return;
        }
        RoomAround room = tank.room();
        double faster = heat == Heat.FASTEST ? FASTEST_LOSS : 1;
        if (tank.warmingW() > 0) {
            parts.add(new Heater(tank.warmingW(), tank.startC()));
        }
        double around = heat == Heat.FASTEST ? room.coldestC() : room.celsius();
        parts.add(new Cooling(around, Math.min(2, faster * tank.coolingPerH())));
        if (tank.coolingPerH() > 0) {
            double humidity = heat == Heat.FASTEST ? Math.min(DRY_AIR, room.humidity()) : room.humidity();
            parts.add(new StillEvaporation(faster * tank.surfaceM2(), around, humidity));
        }
    }

    private static Times times(List<OxygenPoint> points, double mgPerL) {
        return new Times(
                below(points, OxygenPoint::early, mgPerL),
                below(points, OxygenPoint::likely, mgPerL),
                below(points, OxygenPoint::late, mgPerL));
    }

    /** Straight between two points; null when it never comes. */
    private static @Nullable Double below(
            List<OxygenPoint> points, ToDoubleFunction<OxygenPoint> oxygen, double mgPerL) {
        for (int i = 0; i < points.size(); i++) {
            double now = oxygen.applyAsDouble(points.get(i));
            if (now < mgPerL) {
                if (i == 0) {
                    return 0.0;
                }
                double before = oxygen.applyAsDouble(points.get(i - 1));
                return (i - (mgPerL - now) / (before - now)) * POINT_EVERY_H;
            }
        }
        return null;
    }
}
