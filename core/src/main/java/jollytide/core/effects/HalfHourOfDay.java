package jollytide.core.effects;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import jollytide.core.fit.Reading;
import org.hipparchus.stat.descriptive.rank.Percentile;

/**
 * What days showed at one half hour of the clock, pH.
 *
 * @param minuteOfDay its middle, local time
 * @param low tenth percentile of the days, {@code high} the ninetieth
 */
public record HalfHourOfDay(int minuteOfDay, double low, double median, double high) {
    private static final int MINUTES = 30;
    private static final double LOW = 10;
    private static final double MIDDLE = 50;
    private static final double HIGH = 90;

    /** Of some days, by the clock. */
    public static List<HalfHourOfDay> of(Collection<Reading> readings, ZoneId zone, Predicate<LocalDate> days) {
        SortedMap<Integer, List<Double>> byClock = new TreeMap<>();
        for (Reading r : readings) {
            if (days.test(LocalDate.ofInstant(r.at(), zone))) {
                byClock.computeIfAbsent(r.halfHour(zone), h -> new ArrayList<>())
                        .add(r.value());
            }
        }
        return byClock.entrySet().stream()
                .map(e -> of(e.getKey() * MINUTES + MINUTES / 2, Shift.array(e.getValue())))
                .toList();
    }

    private static HalfHourOfDay of(int minuteOfDay, double[] values) {
        Percentile percentile = new Percentile();
        percentile.setData(values);
        return new HalfHourOfDay(
                minuteOfDay, percentile.evaluate(LOW), percentile.evaluate(MIDDLE), percentile.evaluate(HIGH));
    }
}
