package jollytide.core.dosingline;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.dosing.DoseHours;
import jollytide.core.dosingline.SingleDose.Addition;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import org.jspecify.annotations.Nullable;

/**
 * What the animals take out of the water, as doses that arrived and tests tell it.
 *
 * @param meqPerLPerDay of alkalinity
 * @param lnDeviation how far that may be off: one standard deviation of its logarithm
 * @param source that brought most of it
 * @param hours of the day in which it was brought
 */
public record KnownUse(double meqPerLPerDay, double lnDeviation, AlkalinitySource source, DoseHours hours) {
    /** Weekly tests of so long tell a use. From memory. */
    public static final Duration WINDOW = Duration.ofDays(28);

    /** Less than a hundredth of a dKH a day is no use. */
    private static final double LEAST_MEQ_PER_L = 0.004;

    private static final double NINETY = 1.645;
    private static final double LEAST_DEVIATION = 0.03;
    private static final double MOST_DEVIATION = 1;

    /**
     * @param byHand what was put in at once, in any order
     * @param tests of alkalinity up to then, meq/L, in their order
     * @param zone whose clock the hours are read on
     * @return null where nothing was dosed, nothing was used, or there are too few tests
     */
    public static @Nullable KnownUse of(
            List<DosedLine> lines,
            List<SingleDose> byHand,
            List<Reading> tests,
            double litres,
            Instant until,
            ZoneId zone) {
        Instant from = until.minus(WINDOW);
        Map<AlkalinitySource, Double> brought = new EnumMap<>(AlkalinitySource.class);
        double[] byHour = new double[DoseHours.HOURS];
        for (DosedLine line : lines) {
            AlkalinitySource source = line.solution().source();
            double meq = line.arrivedMl(from, until).value() * line.solution().meqPerMl();
            if (source != null && meq > 0) {
                brought.merge(source, meq, Double::sum);
                double[] shares = DoseTimes.hours(line.times());
                Arrays.setAll(byHour, h -> byHour[h] + meq * shares[h]);
            }
        }
        for (SingleDose dose : byHand) {
            if (dose instanceof Addition addition
                    && addition.what().source() != null
                    && !addition.at().isBefore(from)
                    && addition.at().isBefore(until)) {
                double meq = addition.meqPerL() * litres;
                brought.merge(addition.what().source(), meq, Double::sum);
                byHour[addition.at().atZone(zone).getHour()] += meq;
            }
        }
        if (brought.isEmpty()) {
            return null;
        }
        Use use = Use.of(
                SingleDose.without(
                        tests.stream()
                                .filter(t -> !t.at().isBefore(from) && t.at().isBefore(until))
                                .toList(),
                        byHand,
                        Quantity.ALKALINITY),
                DosedLine.arrivals(lines, solution -> solution.meqPerMl() / litres),
                Use.ALKALINITY_TEST);
        if (use == null || use.perDay().value() < LEAST_MEQ_PER_L) {
            return null;
        }
        Estimate perDay = use.perDay();
        double deviation = (perDay.high() - perDay.low()) / 2 / NINETY / perDay.value();
        AlkalinitySource most = brought.entrySet().stream()
                .max(Comparator.comparingDouble(Map.Entry::getValue))
                .orElseThrow()
                .getKey();
        return new KnownUse(
                perDay.value(), Math.max(LEAST_DEVIATION, Math.min(MOST_DEVIATION, deviation)), most, shares(byHour));
    }

    private static DoseHours shares(double[] meq) {
        double all = DoubleStream.of(meq).sum();
        return new DoseHours(DoubleStream.of(meq).map(m -> m / all).boxed().toList());
    }
}
