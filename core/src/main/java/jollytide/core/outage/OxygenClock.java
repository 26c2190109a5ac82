package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Surface;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * Oxygen over the hours of an outage: V dO/dt = G (p_air − p) V⁻¹ − demand, with the mains' paths off. Thresholds in
 * mg/L are from memory; animals that gasp override every number.
 */
public final class OxygenClock {
    private static final double STEP_H = 1.0 / 60;
    private static final int POINT_EVERY_STEPS = 10;
    private static final double GRAIN_C = 0.05;
    private static final double STILL_EXPONENT = 2.0 / 3;
    /** How far a reading may move the estimated demand: beyond that something else is wrong. */
    private static final double LEAST_CORRECTION = 0.3;

    private static final double MOST_CORRECTION = 3;

    private final Stricken tank;
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

    public OxygenClock(Stricken tank, List<Running> backups, List<Reading> readings) {
        this.tank = tank;
        this.backups = List.copyOf(backups);
        this.readings = readings.stream()
                .sorted(Comparator.comparingDouble(Reading::atH))
                .toList();
    }

    /**
     * A moment of the clock.
     *
     * @param ammoniaMgPerL ammonia nitrogen from the fish since the failure, on the early side, with nothing taken up
     */
    public record OxygenPoint(
            double hours, double early, double likely, double late, double celsius, double ammoniaMgPerL) {}

    /** The hours ahead. */
    public record OxygenCourse(List<OxygenPoint> points, Times caution, Times danger, Times loss) {}

    /** From the failure on, for so many hours. */
    public OxygenCourse run(double hours) {
        within("hours", hours, 0.5, 240, "h");
        double[] early = values(Guess.EARLY, hours, Backup.Way::least, Energy.RunTime::early);
        double[] likely = values(Guess.LIKELY, hours, OxygenClock::middle, Energy.RunTime::likely);
        double[] late = values(Guess.LATE, hours, Backup.Way::most, Energy.RunTime::late);
        List<OxygenPoint> points = new ArrayList<>();
        double ammonia = 0;
        for (int i = 0; i < early.length; i += POINT_EVERY_STEPS) {
            double t = i * STEP_H;
            points.add(new OxygenPoint(t, early[i], likely[i], late[i], tank.celsius(t), ammonia));
            ammonia += tank.ammoniaMgPerLPerH(tank.celsius(t), t, Guess.EARLY) * POINT_EVERY_STEPS * STEP_H;
        }
        return new OxygenCourse(
                points,
                times(early, likely, late, OxygenLines.CAUTION),
                times(early, likely, late, OxygenLines.DANGER),
                times(early, likely, late, OxygenLines.LOSS));
    }

    private interface Transfer {
        double of(Backup.Way way, Seawater water);
    }

    private static double middle(Backup.Way way, Seawater water) {
        return Math.sqrt(way.least(water) * way.most(water));
    }

    private double[] values(Guess guess, double hours, Transfer transfer, ToDoubleFunction<Energy.RunTime> lasts) {
        double start = tank.startMgPerL() + (tank.startMeasured() ? 0 : guess.startMgPerL());
        double correction = 1;
        double from = 0;
        // Each reading moves the demand until the run before it meets the reading; then the run goes on from there.
        int steps = (int) Math.round(hours / STEP_H);
        double[] all = new double[steps + 1];
        double at = Math.max(0, start);
        for (Reading reading : readings) {
            if (reading.atH() > hours) {
                break;
            }
            if (reading.atH() > from + 0.1) {
                correction = corrected(guess, at, from, reading, transfer, lasts, correction);
            }
            fill(all, guess, at, from, reading.atH(), transfer, lasts, correction);
            at = reading.mgPerL();
            from = reading.atH();
        }
        fill(all, guess, at, from, hours, transfer, lasts, correction);
        return all;
    }

    private double corrected(
            Guess guess,
            double at,
            double from,
            Reading reading,
            Transfer transfer,
            ToDoubleFunction<Energy.RunTime> lasts,
            double before) {
        double low = LEAST_CORRECTION;
        double high = MOST_CORRECTION;
        for (int i = 0; i < 30; i++) {
            double tried = (low + high) / 2;
            double[] scratch = new double[(int) Math.round(reading.atH() / STEP_H) + 1];
            fill(scratch, guess, at, from, reading.atH(), transfer, lasts, tried);
            if (scratch[scratch.length - 1] > reading.mgPerL()) {
                low = tried;
            } else {
                high = tried;
            }
        }
        // A single reading has its error: half of what it says is believed.
        return Math.sqrt(before * (low + high) / 2);
    }

    private void fill(
            double[] all,
            Guess guess,
            double start,
            double fromH,
            double toH,
            Transfer transfer,
            ToDoubleFunction<Energy.RunTime> lasts,
            double correction) {
        // Water cools slowly: what hangs on its temperature is made anew for each twentieth of a degree.
        double made = Double.NaN;
        double solubility = 0;
        double saturation = 0;
        double still = 0;
        double wanted = 0;
        boolean digesting = false;
        double[] given = new double[backups.size()];
        double[] lastsH = backups.stream()
                .mapToDouble(b -> Math.max(0, lasts.applyAsDouble(b.backup().runTime()) - b.usedH()))
                .toArray();
        int first = (int) Math.round(fromH / STEP_H);
        int last = Math.min(all.length - 1, (int) Math.round(toH / STEP_H));
        double oxygen = start;
        if (first < all.length) {
            all[first] = oxygen;
        }
        for (int i = first; i < last; i++) {
            double t = i * STEP_H;
            double celsius = tank.celsius(t);
            if (!(Math.abs(celsius - made) <= GRAIN_C) || digesting != tank.digestingAt(t)) {
                made = celsius;
                digesting = tank.digestingAt(t);
                wanted = tank.demandMgPerLPerH(celsius, t, guess) * correction;
                Seawater water = tank.water(celsius);
                solubility = Gas.OXYGEN.solubility(water);
                saturation = tank.saturationMgPerL(celsius);
                still = stillConductance(guess, water);
                for (int b = 0; b < given.length; b++) {
                    given[b] = transfer.of(backups.get(b).backup().way(), water);
                }
            }
            double conductance = still;
            for (int b = 0; b < given.length; b++) {
                Running running = backups.get(b);
                double ends = running.fromH() + lastsH[b];
                Double stopped = running.toH();
                if (t >= running.fromH() && t < ends && (stopped == null || t < stopped)) {
                    conductance += given[b];
                }
            }
            // 1/h: conductance over what the water holds for an atm.
            double rate = conductance / (solubility * tank.litres());
            double demand = wanted * OxygenLines.demandLeft(oxygen);
            double rests = saturation - demand / rate;
            oxygen = Math.max(0, rests + (oxygen - rests) * Math.exp(-rate * STEP_H));
            all[i + 1] = oxygen;
        }
    }

    private double stillConductance(Guess guess, Seawater water) {
        double area = Math.max(0.001, tank.surfaceM2());
        return new Surface(area, guess.stillCmPerH(), STILL_EXPONENT).conductance(Gas.OXYGEN, water);
    }

    private static Times times(double[] early, double[] likely, double[] late, double mgPerL) {
        return new Times(below(early, mgPerL), below(likely, mgPerL), below(late, mgPerL));
    }

    private static @Nullable Double below(double[] values, double mgPerL) {
        for (int i = 0; i < values.length; i++) {
            if (values[i] < mgPerL) {
                return i * STEP_H;
            }
        }
        return null;
    }
}
