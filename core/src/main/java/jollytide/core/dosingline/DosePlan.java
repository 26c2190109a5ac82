package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** How much a day was planned since when, in their order. Between doses it is taken as flowing evenly. */
public record DosePlan(List<DailyDose> plans) {
    private static final double DAY_S = 86_400;

    /** @param mlPerDay 0 while nothing is dosed */
    public record DailyDose(Instant since, double mlPerDay) {
        public DailyDose {
            within("mlPerDay", mlPerDay, 0, 100_000, "mL/day");
        }
    }

    public DosePlan {
        plans = plans.stream().sorted(Comparator.comparing(DailyDose::since)).toList();
    }

    /** The same with nothing planned while a hold lasts. */
    public DosePlan held(List<Hold> holds, Instant now) {
        DosePlan held = this;
        for (Hold hold : holds) {
            held = held.without(hold.from(), hold.until(now));
        }
        return held;
    }

    private DosePlan without(Instant from, @Nullable Instant until) {
        List<DailyDose> left = new ArrayList<>(plans.stream()
                .filter(p ->
                        p.since().isBefore(from) || (until != null && p.since().isAfter(until)))
                .toList());
        left.add(new DailyDose(from, 0));
        if (until != null) {
            left.add(new DailyDose(until, mlPerDay(until)));
        }
        return new DosePlan(left);
    }

    /** Planned between two times, mL. */
    public double planned(Instant from, Instant until) {
        double sum = 0;
        for (int i = 0; i < plans.size(); i++) {
            Instant begins = later(plans.get(i).since(), from);
            Instant ends = i + 1 < plans.size() ? earlier(plans.get(i + 1).since(), until) : until;
            if (begins.isBefore(ends)) {
                sum += plans.get(i).mlPerDay() * Duration.between(begins, ends).toSeconds() / DAY_S;
            }
        }
        return sum;
    }

    /** In force at a moment, mL/day; 0 before the first. */
    public double mlPerDay(Instant at) {
        return plans.stream()
                .filter(p -> !p.since().isAfter(at))
                .reduce((earlier, later) -> later)
                .map(DailyDose::mlPerDay)
                .orElse(0.0);
    }

    /** The most that is in force at any moment from then on, mL/day. */
    public double mostMlPerDay(Instant from) {
        return Math.max(
                mlPerDay(from),
                plans.stream()
                        .filter(p -> p.since().isAfter(from))
                        .mapToDouble(DailyDose::mlPerDay)
                        .max()
                        .orElse(0));
    }

    private static Instant later(Instant a, Instant b) {
        return a.isAfter(b) ? a : b;
    }

    private static Instant earlier(Instant a, Instant b) {
        return a.isBefore(b) ? a : b;
    }
}
