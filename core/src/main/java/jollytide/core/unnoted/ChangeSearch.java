package jollytide.core.unnoted;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;

/**
 * Looks for days from which on a log differs from the twin in another way than before. What is left of each day by the
 * clock is compared with what each {@link Cause} alone would change of it: a weaker skimmer moves morning and afternoon
 * apart, a probe moves all hours alike. A change is found where one of them takes away more squares than chance does
 * (generalised likelihood ratio over all days and causes), then again on both sides of it.
 */
public final class ChangeSearch {
    /** More squares than chance takes away: found with seed 1 of {@code scripts/bench unnoted}. */
    public static final double LEAST_EVIDENCE = 12;
    /** Days on each side that are compared. */
    private static final int MOST_DAYS = 14;

    private static final int LEAST_DAYS = 3;
    /** What takes away nearly as much explains it as well, as a share. From memory. */
    private static final double AS_WELL = 0.8;
    /** What takes away less than this of the most to first order is not looked at closer. */
    private static final double WORTH_TRYING = 0.3;
    /** A change that moves no hour of the day by more than this nobody would look for, pH. */
    private static final double NOTHING_PH = 0.02;

    private static final int LONGEST_RAMP = 7;
    private static final double NINETY = 1.645;
    /** Of the derivative with the size. */
    private static final double STEP = 0.05;

    private final TankLog log;
    private final Setup setup;
    private final Fits fits;
    private final ZoneId zone;
    private final double leastEvidence;
    private final DayCourses courses;
    private final Map<Integer, Optional<Leftover>> leftovers = new HashMap<>();
    private final List<Unnoted> found = new ArrayList<>();

    /** The tank by what was logged up to some moment. */
    @FunctionalInterface
    public interface Fits {
        /** Null where nothing plausible is behind that. */
        @Nullable
        FittedTank until(Instant then);
    }

    private ChangeSearch(
            TankLog log, Setup setup, Fits fits, Predicate<LocalDate> leftOut, ZoneId zone, double leastEvidence) {
        this.log = log;
        this.setup = setup;
        this.fits = fits;
        this.zone = zone;
        this.leastEvidence = leastEvidence;
        courses = DayCourses.of(log.ph(), leftOut, zone);
    }

    /**
     * All that is found, in its order.
     *
     * @param log of days in which nothing is noted that moves pH
     * @param leftOut days of which somebody said that they tell nothing
     * @param leastEvidence {@link #LEAST_EVIDENCE}, but in a study of that
     */
    public static List<Unnoted> of(
            TankLog log, Setup setup, Fits fits, Predicate<LocalDate> leftOut, ZoneId zone, double leastEvidence) {
        ChangeSearch search = new ChangeSearch(log, setup, fits, leftOut, zone, leastEvidence);
        search.within(0, search.courses.days().size());
        return search.found.stream().sorted(Comparator.comparing(Unnoted::from)).toList();
    }

    /** Of the days from one to before another. */
    private void within(int from, int until) {
        if (until - from >= 2 * LEAST_DAYS) {
            // What spans a large change is no plausible tank: then as it was in the first fortnight, or halfway.
            Stream.of(until, Math.min(until, from + MOST_DAYS), (from + until) / 2)
                    .flatMap(day -> leftover(day).stream())
                    .findFirst()
                    .ifPresent(tank -> within(from, until, tank));
        }
    }

    private void within(int from, int until, Leftover tank) {
        Optional<Split> best = IntStream.rangeClosed(from + LEAST_DAYS, until - LEAST_DAYS)
                .boxed()
                .flatMap(day -> tank.causes().stream().map(cause -> new Split(from, day, day, until, cause)))
                .max(Comparator.comparingDouble(split -> split.evidence(tank)));
        if (best.isEmpty() || best.get().evidence(tank) < leastEvidence) {
            return;
        }
        Split split = best.get().ramp(tank);
        // The tank is known best as it was before the change; where nothing is known of that, as it was found.
        describe(split, leftover(split.day).orElse(tank)).ifPresent(found::add);
        within(from, split.day);
        within(split.end, until);
    }

    /** Of the tank as it is known at the end of the day before one. */
    private Optional<Leftover> leftover(int day) {
        return leftovers.computeIfAbsent(day, d -> {
            LocalDate last = courses.days().get(d - 1);
            FittedTank fitted = fits.until(last.plusDays(1).atStartOfDay(zone).toInstant());
            try {
                return fitted == null || fitted.freshPh() == 0
                        ? Optional.empty()
                        : Optional.of(new Leftover(log, setup, fitted, courses));
            } catch (InputException leavesWhatWaterCanBe) {
                return Optional.empty();
            }
        });
    }

    /**
     * Days before a change and after it.
     *
     * @param from the first that may be compared
     * @param day the first that shows the change, {@code end} the first that shows all of it
     * @param until the first that may no longer be compared
     */
    private record Split(int from, int day, int end, int until, Cause cause) {
        int first() {
            return Math.max(from, day - MOST_DAYS);
        }

        int last() {
            return Math.min(until, end + MOST_DAYS);
        }

        double share() {
            return 1.0 / (last() - end) + 1.0 / (day - first());
        }

        RealVector moved(Leftover tank) {
            return tank.left(end, last()).subtract(tank.left(first(), day));
        }

        Split by(Cause other) {
            return new Split(from, day, end, until, other);
        }

        /** By how much the cause lessens the squares, to first order. */
        double evidence(Leftover tank) {
            RealVector shape = tank.shape(cause, end, last());
            double along = tank.noise().product(shape, moved(tank), share());
            return along * along / tank.noise().product(shape, shape, share());
        }

        /** The least that is left of it when any one day had not been: an odd day is no change. */
        double evidenceWithoutOneDay(Leftover tank) {
            RealVector shape = tank.shape(cause, end, last());
            int before = day - first();
            int after = last() - end;
            return IntStream.range(first(), last())
                    .filter(d -> d < day || d >= end)
                    .mapToDouble(d -> {
                        boolean early = d < day;
                        int others = (early ? before : after) - 1;
                        RealVector odd = tank.left(d)
                                .subtract(early ? tank.left(first(), day) : tank.left(end, last()))
                                .mapDivide(others);
                        RealVector moved =
                                early ? moved(tank).add(odd) : moved(tank).subtract(odd);
                        double share = early ? 1.0 / after + 1.0 / others : 1.0 / before + 1.0 / others;
                        double along = tank.noise().product(shape, moved, share);
                        return along * along / tank.noise().product(shape, shape, share);
                    })
                    .min()
                    .orElseThrow();
        }

        /**
         * By how much the size is another where another tank that could be behind the log is, one standard deviation of
         * all of those (first order).
         */
        double deviation(Leftover tank, double size) {
            double here = further(tank, size);
            return Math.sqrt(tank.neighbours().stream()
                    .mapToDouble(other -> further(other, size) - here)
                    .map(d -> d * d)
                    .sum());
        }

        private double further(Leftover tank, double size) {
            RealVector change = tank.change(cause, size, end, last());
            RealVector slope = tank.change(cause, size + STEP, end, last())
                    .subtract(change)
                    .mapDivide(STEP);
            return tank.noise().product(slope, moved(tank).subtract(change), share())
                    / tank.noise().product(slope, slope, share());
        }

        double squares(Leftover tank, double size) {
            RealVector rest = moved(tank).subtract(tank.change(cause, size, end, last()));
            return tank.noise().product(rest, rest, share());
        }

        /** The size that the cause would have on each day alone, to first order. */
        double[] daily(Leftover tank) {
            RealVector usual = tank.left(first(), day);
            RealVector shape = tank.shape(cause, end, last());
            double own = tank.noise().product(shape, shape, 1);
            return IntStream.range(first(), last())
                    .mapToDouble(d -> tank.noise().product(shape, tank.left(d).subtract(usual), 1) / own)
                    .toArray();
        }

        /** The straight rise, over a day or several, that the days' own sizes follow best (least squares). */
        Split ramp(Leftover tank) {
            double[] daily = daily(tank);
            Split best = this;
            double least = Double.MAX_VALUE;
            for (int over = 1; over <= LONGEST_RAMP; over++) {
                for (int begin = first() + LEAST_DAYS; begin + over - 1 <= last() - LEAST_DAYS; begin++) {
                    SimpleRegression line = new SimpleRegression();
                    for (int i = 0; i < daily.length; i++) {
                        double share = (first() + i - begin + 1.0) / over;
                        line.addData(Math.max(0, Math.min(1, share)), daily[i]);
                    }
                    if (line.getSumSquaredErrors() < least) {
                        least = line.getSumSquaredErrors();
                        best = new Split(from, begin, begin + over - 1, until, cause);
                    }
                }
            }
            return best;
        }
    }

    /** A cause with the size that it would need, and by how much it then lessens the squares. */
    private record Sized(Split split, Estimate size, double evidence) {}

    private Optional<Unnoted> describe(Split split, Leftover tank) {
        double most = tank.causes().stream()
                .mapToDouble(cause -> split.by(cause).evidence(tank))
                .max()
                .orElseThrow();
        List<Sized> ranked = tank.causes().stream()
                .map(split::by)
                .filter(s -> s.evidence(tank) > WORTH_TRYING * most)
                .map(s -> sized(s, tank))
                .sorted(Comparator.comparingDouble(Sized::evidence).reversed())
                .toList();
        Sized best = ranked.get(0);
        Split s = best.split();
        RealVector change = tank.change(s.cause(), best.size().value(), s.end(), s.last());
        if (Math.min(best.evidence(), s.evidenceWithoutOneDay(tank)) < leastEvidence
                || change.getLInfNorm() < NOTHING_PH) {
            return Optional.empty();
        }
        RealVector before = tank.shown(s.end(), s.last());
        RealVector after = before.add(change);
        double[] daily = s.daily(tank);
        return Optional.of(new Unnoted(
                courses.days().get(s.day()),
                s.end() - s.day() + 1,
                s.cause(),
                s.cause().shown(wider(best.size(), s.deviation(tank, best.size().value()))),
                best.evidence(),
                ranked.stream()
                        .skip(1)
                        .filter(other -> other.evidence() > AS_WELL * best.evidence())
                        .map(other -> other.split().cause())
                        .toList(),
                after.getMinValue() - before.getMinValue(),
                after.getMaxValue() - before.getMaxValue(),
                IntStream.range(0, daily.length)
                        .mapToObj(i -> new Unnoted.DaySize(
                                courses.days().get(s.first() + i), s.cause().shown(daily[i])))
                        .toList()));
    }

    private static Estimate wider(Estimate size, double deviation) {
        return new Estimate(
                size.value(),
                size.value() - Math.hypot(size.value() - size.low(), NINETY * deviation),
                size.value() + Math.hypot(size.high() - size.value(), NINETY * deviation));
    }

    private static Sized sized(Split split, Leftover tank) {
        Estimate size =
                SizeSearch.least(by -> split.squares(tank, by), split.cause().most());
        return new Sized(split, size, split.squares(tank, 0) - split.squares(tank, size.value()));
    }
}
