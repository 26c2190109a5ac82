package jollytide.core.effects;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.SettlingTime;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.units.InputException;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.moment.Mean;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.jspecify.annotations.Nullable;

/**
 * What a change did that has no whole day of its own: hour by hour against the same hours of the days before it, less
 * what room and alkalinity explain. What is left rises towards its end as the water follows, 1 − e^(−t/τ). What the
 * same way finds in equally long stretches of the days before, where nothing was changed, is its band.
 *
 * @param from when it was changed, {@code until} the next change, or now
 * @param through share of the change that had come through by then
 * @param left where it would end, mean pH over its hours
 * @param possible what it can do in these very hours; null where nobody said in measures' terms what was done
 * @param stretches of the days before that its band rests on
 * @param halfHours what was left in each
 */
public record Trial(
        Instant from,
        Instant until,
        double through,
        Comparison.Remainder left,
        @Nullable Estimate possible,
        int stretches,
        List<HalfHour> halfHours) {
    /** Shorter than this the probe's own restlessness is all there is. Common practice, no source. */
    public static final Duration LEAST = Duration.ofHours(6);

    /** For longer there would be whole days to compare. */
    public static final Duration MOST = Duration.ofDays(5);

    private static final int LEAST_STRETCHES = 3;
    /** With less of its hours logged nobody knows how it went. */
    private static final double LEAST_LOGGED = 0.8;

    private static final double NINETY = 1.645;
    private static final double HALF_HOUR_H = 0.5;

    /** @param moved by how much pH was another than on the days before, {@code rises} what the change makes of it */
    public record HalfHour(Instant at, double moved, double rises) {}

    /**
     * @param log from the days before to the end, as if nothing had been changed
     * @param was the tank before
     * @param tanks that could be behind the days before, as {@link jollytide.core.fit.FittedTank#apart} gives them; at
     *     least one
     * @param since the tank as it is described since; null where nobody said in measures' terms what was done
     * @param behind tanks at the edges of what could be behind the days before
     * @param doubt what else stands between the days before and these hours
     * @return null where too little was logged before it or of it
     */
    public static @Nullable Trial of(
            TankLog log,
            Setup was,
            List<TankParameters> tanks,
            @Nullable Setup since,
            List<TankParameters> behind,
            Instant from,
            Instant until,
            Predicate<LocalDate> leftOut,
            Doubt doubt,
            ZoneId zone) {
        try {
            OrdinaryDays days = new OrdinaryDays(was, tanks.get(0));
            double timeConstantH = days.timeConstantH(days.today(from), MeasureSet.NONE);
            List<Residue> residues = tanks.stream()
                    .flatMap(tank -> Residue.of(log, was, tank, leftOut, zone).stream())
                    .toList();
            return residues.isEmpty()
                    ? null
                    : of(log, was, since, behind, residues, timeConstantH, from, until, doubt, zone);
        } catch (InputException leavesWhatWaterCanBe) {
            return null;
        }
    }

    private static @Nullable Trial of(
            TankLog log,
            Setup was,
            @Nullable Setup since,
            List<TankParameters> behind,
            List<Residue> residues,
            double timeConstantH,
            Instant from,
            Instant until,
            Doubt doubt,
            ZoneId zone) {
        Residue likely = residues.get(0);
        Rise rise = new Rise(timeConstantH);
        List<Reading> moved = likely.moved(from, until, from);
        double[] before = placebos(likely, rise, log.ph().get(0).at(), from, until, zone);
        if (!logged(moved, from, until) || before.length < LEAST_STRETCHES) {
            return null;
        }
        double value = rise.end(moved, from);
        double ofDays = new StandardDeviation().evaluate(before);
        double fit = residues.stream()
                .mapToDouble(r -> rise.end(r.moved(from, until, from), from) - value)
                .map(d -> d * d)
                .sum();
        double slower = new Rise(timeConstantH * SettlingTime.UNCERTAINTY_FACTOR).end(moved, from) - value;
        double faster = new Rise(timeConstantH / SettlingTime.UNCERTAINTY_FACTOR).end(moved, from) - value;
        double time = Math.max(Math.abs(slower), Math.abs(faster)) / NINETY;
        // The days' own scatter about their mean, and that of their mean.
        double half90 = new TDistribution(before.length - 1.0).inverseCumulativeProbability(0.95)
                * ofDays
                * Math.sqrt(1 + 1.0 / before.length);
        double rest = fit + time * time + doubt.deviation() * doubt.deviation();
        double half = Math.hypot(half90, NINETY * Math.sqrt(rest));
        return new Trial(
                from,
                until,
                rise.share(from, until),
                new Comparison.Remainder(value, half / NINETY, half90 / NINETY, value - half, value + half),
                since == null ? null : possible(log, was, since, behind, rise, from, until),
                before.length,
                moved.stream()
                        .map(r -> new HalfHour(r.at(), r.value(), value * rise.share(from, r.at())))
                        .toList());
    }

    /**
     * Where a rise from nothing would end that some changes of pH lie closest to.
     *
     * @param timeConstantH of the water
     */
    public static double end(List<Reading> moved, Instant from, double timeConstantH) {
        return new Rise(timeConstantH).end(moved, from);
    }

    private static boolean logged(List<Reading> moved, Instant from, Instant until) {
        double halfHours = Duration.between(from, until).toMinutes() / (60 * HALF_HOUR_H);
        return moved.size() >= LEAST_LOGGED * halfHours;
    }

    /** What the same way finds in stretches like this one that began at the same hour of earlier days. */
    private static double[] placebos(
            Residue likely, Rise rise, Instant first, Instant from, Instant until, ZoneId zone) {
        Duration length = Duration.between(from, until);
        List<Double> found = new ArrayList<>();
        for (int k = 1; ; k++) {
            Instant then = from.atZone(zone).minusDays(k).toInstant();
            if (then.isBefore(first.plus(TankLog.RUN_IN))) {
                return Shift.array(found);
            }
            Instant end = then.plus(length);
            List<Reading> moved = end.isAfter(from) ? List.of() : likely.moved(then, end, from);
            if (!moved.isEmpty() && logged(moved, then, end)) {
                found.add(rise.end(moved, then));
            }
        }
    }

    private static @Nullable Estimate possible(
            TankLog log, Setup was, Setup since, List<TankParameters> behind, Rise rise, Instant from, Instant until) {
        TankLog with = log.with(List.of(new TankLog.Interlude(from, until.plus(Duration.ofHours(1)), since)));
        List<Double> gains = behind.stream()
                .flatMap(tank -> {
                    try {
                        List<Reading> shown = with.shownBy(was, tank);
                        List<Reading> unmoved = log.shownBy(was, tank);
                        List<Reading> gain = IntStream.range(0, shown.size())
                                .filter(i -> !shown.get(i).at().isBefore(from)
                                        && shown.get(i).at().isBefore(until))
                                .mapToObj(i -> new Reading(
                                        shown.get(i).at(),
                                        shown.get(i).value() - unmoved.get(i).value()))
                                .toList();
                        return Stream.of(rise.end(gain, from));
                    } catch (InputException leavesWhatWaterCanBe) {
                        return Stream.of();
                    }
                })
                .toList();
        return gains.isEmpty() ? null : OrdinaryDays.band(gains);
    }

    /** @param timeConstantH of the water, τ */
    private record Rise(double timeConstantH) {
        double share(Instant from, Instant t) {
            return 1 - Math.exp(-Duration.between(from, t).toSeconds() / 3600.0 / timeConstantH);
        }

        /** Where a rise from nothing would end that these lie closest to (least squares). */
        double end(List<Reading> moved, Instant from) {
            double along = 0;
            double own = 0;
            for (Reading r : moved) {
                double share = share(from, r.at());
                along += share * r.value();
                own += share * share;
            }
            return along / own;
        }
    }

    /** What readings show more than a tank, each with its half hour of the clock. */
    private record Residue(List<Reading> left, List<Boolean> counts, ZoneId zone) {
        static List<Residue> of(
                TankLog log, Setup was, TankParameters tank, Predicate<LocalDate> leftOut, ZoneId zone) {
            try {
                List<Reading> shown = log.shownBy(was, tank);
                Instant follows = log.ph().get(0).at().plus(TankLog.RUN_IN);
                List<Reading> left = IntStream.range(0, shown.size())
                        .mapToObj(i -> new Reading(
                                shown.get(i).at(),
                                log.ph().get(i).value() - shown.get(i).value()))
                        .toList();
                List<Boolean> counts = left.stream()
                        .map(r -> !r.at().isBefore(follows) && !leftOut.test(LocalDate.ofInstant(r.at(), zone)))
                        .toList();
                return List.of(new Residue(left, counts, zone));
            } catch (InputException leavesWhatWaterCanBe) {
                return List.of();
            }
        }

        /** In a stretch, less the mean of the same half hours of all other days up to a moment. */
        List<Reading> moved(Instant from, Instant until, Instant usualUntil) {
            Map<Integer, Mean> usual = new HashMap<>();
            for (int i = 0; i < left.size(); i++) {
                Reading r = left.get(i);
                boolean inside = !r.at().isBefore(from) && r.at().isBefore(until);
                if (counts.get(i) && !inside && r.at().isBefore(usualUntil)) {
                    usual.computeIfAbsent(r.halfHour(zone), h -> new Mean()).increment(r.value());
                }
            }
            return left.stream()
                    .filter(r -> !r.at().isBefore(from) && r.at().isBefore(until))
                    .flatMap(r -> {
                        Mean mean = usual.get(r.halfHour(zone));
                        return mean == null
                                ? Stream.of()
                                : Stream.of(new Reading(r.at(), r.value() - mean.getResult()));
                    })
                    .toList();
        }
    }
}
