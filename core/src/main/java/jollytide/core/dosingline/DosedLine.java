package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.function.ToDoubleFunction;
import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/**
 * A line as it is planned and as its reservoir shows it.
 *
 * @param times null for one that drips all day
 * @param runs between fillings and changes, in their order
 * @param sinceChange those of them since something of the line was changed last
 * @param last what the reservoir was read to hold last, or was filled up to; null where nobody looked
 * @param cylinder into which the pump was run last since something was changed; null where it was not
 */
public record DosedLine(
        Solution solution,
        DosePlan schedule,
        @Nullable DoseTimes times,
        List<Delivered> runs,
        List<Delivered> sinceChange,
        @Nullable ReservoirLevel last,
        @Nullable Cylinder cylinder) {
    /** Share of its plan that a line brings of which nobody read two levels; assumed. */
    public static final Estimate UNSEEN = new Estimate(1, 0.9, 1.05);

    public DosedLine {
        runs = List.copyOf(runs);
        sinceChange = List.copyOf(sinceChange);
    }

    /** Of the cylinder, else of the fills since the last change together, else of the run before it. */
    public Estimate share() {
        Cylinder newest = newestCylinder();
        return newest != null ? newest.share() : ofRuns();
    }

    /** As {@link #share}, where somebody has looked since the last change; else null. */
    public @Nullable Estimate seenShare() {
        return newestCylinder() == null && sinceChange.isEmpty() ? null : share();
    }

    private Estimate ofRuns() {
        if (!sinceChange.isEmpty()) {
            return Fills.of(sinceChange).share();
        }
        return runs.isEmpty() ? UNSEEN : runs.get(runs.size() - 1).share();
    }

    /** The cylinder, where no levels were read since; else null. */
    public @Nullable Cylinder newestCylinder() {
        boolean read = cylinder != null
                && !runs.isEmpty()
                && runs.get(runs.size() - 1).until().isAfter(cylinder.at());
        return read ? null : cylinder;
    }

    /** What arrived between two times, mL: by the levels of each run, and from one to the next by the one before. */
    public Estimate arrivedMl(Instant from, Instant until) {
        double value = 0;
        double low = 0;
        double high = 0;
        Estimate share = UNSEEN;
        Instant then = from;
        for (Delivered run : runs) {
            Instant ends = run.until().isBefore(until) ? run.until() : until;
            share = run.share();
            if (ends.isAfter(then)) {
                double planned = schedule.planned(then, ends);
                value += planned * share.value();
                low += planned * share.low();
                high += planned * share.high();
                then = ends;
            }
        }
        Cylinder newest = newestCylinder();
        Instant tried = newest == null || newest.at().isAfter(until)
                ? until
                : newest.at().isBefore(then) ? then : newest.at();
        double rest = schedule.planned(then, tried);
        double since = schedule.planned(tried, until);
        Estimate gives = share();
        return new Estimate(
                value + rest * share.value() + since * gives.value(),
                low + rest * share.low() + since * gives.low(),
                high + rest * share.high() + since * gives.high());
    }

    /** What all lines bring, of whatever a millilitre of each holds. */
    public static Use.Arrivals arrivals(List<DosedLine> lines, ToDoubleFunction<Solution> perMl) {
        return (from, until) -> {
            Estimate sum = Estimate.exact(0);
            for (DosedLine line : lines) {
                Estimate one = line.arrivedMl(from, until).times(perMl.applyAsDouble(line.solution()));
                sum = new Estimate(sum.value() + one.value(), sum.low() + one.low(), sum.high() + one.high());
            }
            return sum;
        };
    }

    /** Days from then on until it is empty; null where nobody looked, or nothing is dosed. */
    public @Nullable Estimate daysLeft(Instant now) {
        double perDay = schedule.mlPerDay(now);
        Estimate share = share();
        if (last == null || perDay <= 0 || share.low() <= 0) {
            return null;
        }
        double since = Duration.between(last.at(), now).toMinutes() / 1440.0;
        double whole = last.ml() / perDay;
        return new Estimate(
                Math.max(0, whole / share.value() - since),
                Math.max(0, whole / share.high() - since),
                Math.max(0, whole / share.low() - since));
    }
}
