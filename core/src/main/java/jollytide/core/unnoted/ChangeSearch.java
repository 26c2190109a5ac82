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
import jollytide.core.days.DayCourses;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import org.hipparchus.linear.RealVector;
import org.jspecify.annotations.Nullable;

/**
 * Looks for days from which on a log differs from the twin in another way than before. What is left of each day by the
 * clock is compared with what each {@link Cause} alone would change of it: a weaker skimmer moves morning and afternoon
 * apart, a probe moves all hours alike. A change is found where one of them takes away more squares than chance does
 * (generalised likelihood ratio over all days and causes), then again on both sides of it.
 */
public final class ChangeSearch {
    /** More squares than chance takes away: found with seed 1 of {@code scripts/bench unnoted}. */
    private static final double LEAST_EVIDENCE = 12;
    /** What takes away nearly as much explains it as well, as a share. From memory. */
    private static final double AS_WELL = 0.8;
    /** What takes away less than this of the most to first order is not looked at closer. */
    private static final double WORTH_TRYING = 0.3;
    /** A change that moves no hour of the day by more than this nobody would look for, pH. */
    private static final double NOTHING_PH = 0.02;

    private static final double NINETY = 1.645;

    private final TankLog log;
    private final Setup setup;
    private final Fits fits;
    private final ZoneId zone;
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

    private ChangeSearch(TankLog log, Setup setup, Fits fits, Predicate<LocalDate> leftOut, ZoneId zone) {
        this.log = log;
        this.setup = setup;
        this.fits = fits;
        this.zone = zone;
        courses = DayCourses.of(log.ph(), leftOut, zone);
    }

    /**
     * All that is found, in its order.
     *
     * @param log of days in which nothing is noted that moves pH
     * @param leftOut days of which somebody said that they tell nothing
     * @return null where no plausible tank is behind any of it, or too few days are
     */
    public static @Nullable List<Unnoted> of(
            TankLog log, Setup setup, Fits fits, Predicate<LocalDate> leftOut, ZoneId zone) {
        ChangeSearch search = new ChangeSearch(log, setup, fits, leftOut, zone);
        search.within(0, search.courses.days().size());
        if (search.leftovers.values().stream().allMatch(Optional::isEmpty)) {
            return null;
        }
        return search.found.stream().sorted(Comparator.comparing(Unnoted::from)).toList();
    }

    /** Of the days from one to before another. */
    private void within(int from, int until) {
        if (until - from >= 2 * Split.LEAST_DAYS) {
            // What spans a large change is no plausible tank: then as it was in the first fortnight, or halfway.
            Stream.of(until, Math.min(until, from + Split.MOST_DAYS), (from + until) / 2)
                    .flatMap(day -> leftover(day).stream())
                    .findFirst()
                    .ifPresent(tank -> within(from, until, tank));
        }
    }

    private void within(int from, int until, Leftover tank) {
        Optional<Split> best = IntStream.rangeClosed(from + Split.LEAST_DAYS, until - Split.LEAST_DAYS)
                .boxed()
                .flatMap(day -> tank.causes().stream().map(cause -> new Split(from, day, day, until, cause)))
                .max(Comparator.comparingDouble(split -> split.evidence(tank)));
        if (best.isEmpty() || best.get().evidence(tank) < LEAST_EVIDENCE) {
            return;
        }
        Split split = best.get().ramp(tank);
        // The tank is known best as it was before the change; where nothing is known of that, as it was found.
        describe(split, leftover(split.day()).orElse(tank)).ifPresent(found::add);
        within(from, split.day());
        within(split.end(), until);
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
        if (Math.min(best.evidence(), s.evidenceWithoutOneDay(tank)) < LEAST_EVIDENCE
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
