package jollytide.core.days;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import org.hipparchus.analysis.interpolation.LinearInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;

/**
 * Which readings make up the local days that were logged closely, so that any numbers beside them can be read as days of
 * 48 half hours by the clock.
 *
 * @param days in their order
 */
public record DayCourses(List<LocalDate> days, List<List<Slot>> readings) {
    public static final int HALF_HOURS = 48;

    /** Of one reading: its place in the log and its half hour of the clock. */
    public record Slot(int reading, int halfHour) {}

    public static DayCourses of(List<Reading> readings, Predicate<LocalDate> leftOut, ZoneId zone) {
        SortedMap<LocalDate, List<Slot>> byDay = new TreeMap<>();
        for (int i = 0; i < readings.size(); i++) {
            if (readings.get(i).at().isBefore(readings.get(0).at().plus(TankLog.RUN_IN))) {
                continue;
            }
            int halfHour = readings.get(i).halfHour(zone);
            List<Slot> day =
                    byDay.computeIfAbsent(LocalDate.ofInstant(readings.get(i).at(), zone), d -> new ArrayList<>());
            // The hour that a clock shows twice is read once.
            if (day.isEmpty() || day.get(day.size() - 1).halfHour < halfHour) {
                day.add(new Slot(i, halfHour));
            }
        }
        byDay.entrySet()
                .removeIf(e -> leftOut.test(e.getKey())
                        || !Trace.tellsItsExtremes(e.getValue().size()));
        return new DayCourses(List.copyOf(byDay.keySet()), List.copyOf(byDay.values()));
    }

    /** A number of each reading as days: straight across half hours that are missing, level before the first. */
    public List<RealVector> of(double[] values) {
        return readings.stream()
                .<RealVector>map(day -> new ArrayRealVector(course(day, values), false))
                .toList();
    }

    private static double[] course(List<Slot> day, double[] values) {
        double[] at = day.stream().mapToDouble(Slot::halfHour).toArray();
        double[] value = day.stream().mapToDouble(s -> values[s.reading()]).toArray();
        PolynomialSplineFunction straight = new LinearInterpolator().interpolate(at, value);
        return IntStream.range(0, HALF_HOURS)
                .mapToDouble(h -> straight.value(Math.max(at[0], Math.min(at[at.length - 1], h))))
                .toArray();
    }

    /** Of days from one to before another. */
    public static RealVector mean(List<RealVector> days, int from, int until) {
        return days.subList(from, until).stream()
                .reduce(RealVector::add)
                .orElseThrow()
                .mapDivide(until - from);
    }
}
