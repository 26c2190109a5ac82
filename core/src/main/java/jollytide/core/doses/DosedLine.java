package jollytide.core.doses;

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
 * @param last what the reservoir was read to hold last, or was filled up to; null where nobody looked
 */
public record DosedLine(
        Solution solution,
        Schedule schedule,
        @Nullable DoseTimes times,
        List<Delivered> runs,
        @Nullable ReservoirLevel last) {
    /** Share of its plan that a line brings of which nobody read two levels; assumed. */
    public static final Estimate UNSEEN = new Estimate(1, 0.9, 1.05);

    public DosedLine {
        runs = List.copyOf(runs);
    }

    /** Of the run that was read last. */
    public Estimate share() {
        return runs.isEmpty() ? UNSEEN : runs.get(runs.size() - 1).share();
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
        double rest = schedule.planned(then, until);
        return new Estimate(value + rest * share.value(), low + rest * share.low(), high + rest * share.high());
    }

    /** What all lines brought a day between two times, of whatever a millilitre of each holds. */
    public static Estimate arrivedPerDay(
            List<DosedLine> lines, Instant from, Instant until, ToDoubleFunction<Solution> perMl) {
        double days = Duration.between(from, until).toMinutes() / 1440.0;
        Estimate sum = Estimate.exact(0);
        for (DosedLine line : lines) {
            Estimate one = line.arrivedMl(from, until).times(perMl.applyAsDouble(line.solution()) / days);
            sum = new Estimate(sum.value() + one.value(), sum.low() + one.low(), sum.high() + one.high());
        }
        return sum;
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
