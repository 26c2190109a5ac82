package jollytide.core.suspects;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.days.DayCourses;
import jollytide.core.days.DayNoise;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.units.InputException;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * What the days since some day differ from the twin by, more than those before, and how far each suspect alone would make
 * them differ like that. What the room's meter and tests of alkalinity show is in the twin already.
 */
final class DayEvidence {
    private static final int MOST_DAYS = 14;
    private static final int LEAST_BEFORE = 3;
    private static final int LEAST_AFTER = 2;
    private static final double NINETY = 1.645;
    /**
     * How well the noise of days is known, as degrees of freedom: what is left far beyond it counts by its logarithm, for
     * no cause is exactly as it is laid out here. From memory.
     */
    private static final double TRUSTED = 10;
    /** How far a fit may be off in what one size of a cause does to a tank, as a share of it. From memory. */
    private static final double FITTED_ROUGHLY = 0.5;
    /** A shape with less in it than this is none. */
    private static final double NOTHING = 1e-6;

    private final DayCourses courses;
    private final List<RealVector> left;
    private final Map<Suspect, List<RealVector>> shapes = new EnumMap<>(Suspect.class);
    private final DayNoise noise;
    private final List<Integer> onsets;

    /**
     * How well one suspect explains the days.
     *
     * @param weight as of a {@link Ground}
     * @param size that it would need, with its 90 % band
     * @param explained share of the difference that goes with it, from the likeliest day on
     * @param since that day
     */
    record Support(double weight, Estimate size, double explained, LocalDate since) {
        Support times(double share) {
            return new Support(share * weight, size, explained, since);
        }
    }

    /** Of all that show in the days; none where the log tells nothing: no plausible tank, or too few whole days. */
    static Map<Suspect, Support> of(Inquiry inquiry) {
        DayEvidence days = laidOut(inquiry);
        return days == null ? Map.of() : days.all();
    }

    private Map<Suspect, Support> all() {
        Map<Suspect, Support> all = new EnumMap<>(Suspect.class);
        shapes.forEach((suspect, shape) -> all.put(suspect, of(suspect, shape)));
        double most = all.values().stream().mapToDouble(Support::weight).max().orElse(0);
        if (most > Ground.MOST) {
            all.replaceAll((suspect, of) -> of.times(Ground.MOST / most));
        }
        return all;
    }

    private static @Nullable DayEvidence laidOut(Inquiry inquiry) {
        FittedTank tank = inquiry.before() == null ? inquiry.now() : inquiry.before();
        if (tank == null || tank.freshPh() == 0) {
            return null;
        }
        DayCourses courses = DayCourses.of(inquiry.log().ph(), inquiry.leftOut(), inquiry.zone());
        int n = courses.days().size();
        List<Integer> onsets = IntStream.rangeClosed(LEAST_BEFORE, n - LEAST_AFTER)
                .filter(d -> inquiry.mayBegin(courses.days().get(d)))
                .boxed()
                .toList();
        if (onsets.isEmpty()) {
            return null;
        }
        try {
            return new DayEvidence(inquiry, tank, courses, onsets);
        } catch (InputException leavesWhatWaterCanBe) {
            return null;
        }
    }

    private DayEvidence(Inquiry inquiry, FittedTank tank, DayCourses courses, List<Integer> onsets) {
        this.courses = courses;
        this.onsets = onsets;
        TankLog log = inquiry.log();
        double[] shown = log.shownBy(inquiry.setup(), tank.likely()).stream()
                .mapToDouble(Reading::value)
                .toArray();
        left = days(i -> log.ph().get(i).value() - shown[i], shown.length);
        List<Suspect> all = Stream.of(Suspect.values())
                .filter(s -> s.shows() && s.possible(inquiry.setup()))
                .filter(s -> s != Suspect.ROOM || !log.roomMeasured())
                .toList();
        Map<Suspect, List<RealVector>> found = new ConcurrentHashMap<>();
        all.parallelStream().forEach(suspect -> {
            double step = suspect.typical();
            try {
                double[] moved = suspect.shown(log, inquiry.setup(), tank, shown, step);
                List<RealVector> shape = days(i -> (moved[i] - shown[i]) / step, shown.length);
                if (shape.stream().anyMatch(day -> day.getLInfNorm() > NOTHING)) {
                    found.put(suspect, shape);
                }
            } catch (InputException leavesWhatWaterCanBe) {
                // A tank that cannot have it so large is not accused of it.
            }
        });
        shapes.putAll(found);
        List<RealVector> lively = Stream.of(Suspect.TANK_CO2, Suspect.LIGHT_AGED)
                .flatMap(s -> Stream.ofNullable(shapes.get(s)))
                .map(days -> DayCourses.mean(days, 0, days.size()))
                .toList();
        noise = DayNoise.of(tank.persistence(), tank.freshPh(), lively, left);
    }

    private List<RealVector> days(IntToDoubleFunction ofReading, int readings) {
        return courses.of(IntStream.range(0, readings).mapToDouble(ofReading).toArray());
    }

    private Support of(Suspect suspect, List<RealVector> shape) {
        List<Support> all = new ArrayList<>();
        for (int onset : onsets) {
            all.add(at(onset, suspect, shape));
        }
        Support best =
                all.stream().max(Comparator.comparingDouble(Support::weight)).orElseThrow();
        double weight = Gauss.lnMeanExp(all.stream().map(Support::weight).toList());
        return new Support(weight, best.size(), best.explained(), best.since());
    }

    private Support at(int onset, Suspect suspect, List<RealVector> shapes) {
        int first = Math.max(0, onset - MOST_DAYS);
        int last = Math.min(left.size(), onset + MOST_DAYS);
        double share = 1.0 / (onset - first) + 1.0 / (last - onset);
        RealVector moved = DayCourses.mean(left, onset, last).subtract(DayCourses.mean(left, first, onset));
        RealVector shape = DayCourses.mean(shapes, onset, last);
        double own = noise.product(shape, shape, share);
        double along = noise.product(shape, moved, share);
        double size = along / own;
        double variance = 1 / own;
        // Where it is the cause its size is about its usual one; both say something of it.
        double spread = Math.pow(suspect.spread(), 2) + Math.pow(FITTED_ROUGHLY * suspect.typical(), 2);
        double mean = (size / variance + suspect.typical() / spread) / (1 / variance + 1 / spread);
        double deviation = Math.hypot(Math.sqrt(1 / (1 / variance + 1 / spread)), FITTED_ROUGHLY * mean);
        double squares = noise.product(moved, moved, share);
        double without = squares - 2 * Gauss.factor(size, variance, suspect.typical(), Math.sqrt(spread), 0);
        return new Support(
                tolerant(without) - tolerant(squares),
                new Estimate(mean, mean - NINETY * deviation, mean + NINETY * deviation),
                along * along / own / squares,
                Objects.requireNonNull(courses.days().get(onset)));
    }

    /** Logarithm of the density of a day's half hours, with longer tails than the normal one's (multivariate Student's t). */
    private static double tolerant(double squares) {
        return -(TRUSTED + DayCourses.HALF_HOURS) / 2 * Math.log1p(squares / TRUSTED);
    }
}
