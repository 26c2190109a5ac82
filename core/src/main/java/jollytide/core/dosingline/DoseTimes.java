package jollytide.core.dosingline;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.LocalTime;
import java.util.Arrays;
import java.util.stream.IntStream;
import jollytide.core.dosing.DoseHours;
import org.jspecify.annotations.Nullable;

/**
 * When of a day a line doses: so many equal doses, evenly from a first one on.
 *
 * @param first by the clock of its home
 * @param overH the hours that they are spread over: 24 for all day, the hours of darkness for the night alone
 */
public record DoseTimes(int perDay, LocalTime first, double overH) {
    /** Doses are spread over at least so long. */
    public static final Duration LEAST_OVER = Duration.ofMinutes(15);

    private static final int DAY_MIN = 1440;
    private static final int HOUR_MIN = 60;

    public DoseTimes {
        within("dosesPerDay", perDay, 1, 288, "a day");
        within("overH", overH, LEAST_OVER.toMinutes() / 60.0, 24, "h");
    }

    /** Minutes after midnight, in the order of the doses. */
    public int[] minutes() {
        int from = first.toSecondOfDay() / 60;
        return IntStream.range(0, perDay)
                .map(i -> (int) ((from + Math.round(60 * overH * i / perDay)) % DAY_MIN))
                .toArray();
    }

    /** Shares of a day by its hours; all alike for a line that drips all day. */
    static double[] hours(@Nullable DoseTimes times) {
        double[] shares = new double[DoseHours.HOURS];
        if (times == null) {
            Arrays.fill(shares, 1.0 / DoseHours.HOURS);
            return shares;
        }
        for (int minute : times.minutes()) {
            shares[minute / HOUR_MIN] += 1.0 / times.perDay;
        }
        return shares;
    }

    /** Between the two doses that lie nearest, round the clock, minutes. */
    public int apartMinutes(DoseTimes other) {
        return IntStream.of(minutes())
                .flatMap(a -> IntStream.of(other.minutes()).map(b -> {
                    int apart = Math.floorMod(a - b, DAY_MIN);
                    return Math.min(apart, DAY_MIN - apart);
                }))
                .min()
                .orElse(DAY_MIN);
    }
}
