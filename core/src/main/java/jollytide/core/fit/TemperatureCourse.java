package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The water's temperature through its log, hour by hour, straight between them and across gaps; before the first hour and
 * after the last one as in those.
 *
 * @param from the middle of the first hour
 * @param hourlyC °C
 */
public record TemperatureCourse(Instant from, List<Double> hourlyC) {
    private static final long HOUR_S = 3600;

    public TemperatureCourse {
        hourlyC = List.copyOf(hourlyC);
    }

    /** @param readings °C, in their order, at least one; those of one hour are taken together */
    public static TemperatureCourse of(List<Reading> readings) {
        Instant first = readings.get(0).at();
        Instant from = first.minusSeconds(Math.floorMod(first.getEpochSecond(), HOUR_S));
        int hours = hour(from, readings.get(readings.size() - 1).at()) + 1;
        double[] sum = new double[hours];
        int[] n = new int[hours];
        for (Reading r : readings) {
            sum[hour(from, r.at())] += r.value();
            n[hour(from, r.at())]++;
        }
        int[] known = IntStream.range(0, hours).filter(h -> n[h] > 0).toArray();
        return new TemperatureCourse(
                from.plusSeconds(HOUR_S / 2),
                IntStream.range(0, hours)
                        .mapToObj(h -> {
                            int i = Arrays.binarySearch(known, h);
                            int after = known[i < 0 ? -i - 1 : i];
                            int before = i < 0 ? known[-i - 2] : after;
                            double here = sum[before] / n[before];
                            double share = after == before ? 0 : (h - before) / (double) (after - before);
                            return here + share * (sum[after] / n[after] - here);
                        })
                        .toList());
    }

    private static int hour(Instant from, Instant t) {
        return (int) Duration.between(from, t).toHours();
    }

    /** °C. */
    public double at(Instant t) {
        double hours = Math.max(
                0, Math.min(hourlyC.size() - 1, Duration.between(from, t).toMillis() / 3.6e6));
        int i = (int) hours;
        double here = hourlyC.get(i);
        return i + 1 < hourlyC.size() ? here + (hours - i) * (hourlyC.get(i + 1) - here) : here;
    }
}
