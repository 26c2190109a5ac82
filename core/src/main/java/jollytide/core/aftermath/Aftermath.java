package jollytide.core.aftermath;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.fit.Reading;
import jollytide.core.outage.Ammonia;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * Ammonia and nitrite after filters stood still: tested daily until both were none twice, and brought down where ammonia
 * harms. Common practice; nitrite harms little in seawater, and says that the filter is not whole yet.
 *
 * @param testBy when both are tested next
 * @param day since the mains came back, or since ammonia was first found; the first is 1
 * @param spike null unless ammonia harms by the newest test, and what was changed since
 */
public record Aftermath(Instant testBy, int day, @Nullable Spike spike) {
    /** Filters that stood still for so long recover slowly. Common practice, conservative. */
    public static final Duration LONG = Duration.ofHours(4);

    private static final Duration DAILY = Duration.ofDays(1);
    /** Two tests of one afternoon are one. */
    private static final Duration APART = Duration.ofHours(12);
    /** Nobody tests for longer on account of an outage that was never followed. */
    private static final Duration AT_MOST = Duration.ofDays(21);

    private static final int ZEROS = 2;
    /** As little as kits show as none, mg/L of nitrogen. From memory. */
    private static final double NONE_MG_PER_L = 0.02;
    /** Down to so much of what harms. */
    private static final double DOWN_TO = 0.5;
    /** At once animals bear no more than about half of new water. Common practice. */
    private static final double MOST_SHARE = 0.5;

    /**
     * Ammonia that harms.
     *
     * @param mgPerL of nitrogen, all of it, as it should be by now
     * @param poisonousMgPerL un-ionised
     * @param share of the water that is changed, at most half at a time
     * @param times that as much is changed, with hours between
     */
    public record Spike(double mgPerL, double poisonousMgPerL, double share, int times) {}

    /** What was changed of the water. */
    public record Changed(Instant at, double share) {
        public Changed {
            within("share", share, 0, 1, "of the water");
        }
    }

    /**
     * @param back when the mains came back after they were away for {@link #LONG} at least; null without such an outage
     * @param ammonia tests in their order, mg/L of nitrogen, {@code nitrite} likewise
     * @param phNbs of the water, at its highest of an ordinary day: then most of it is poisonous
     */
    public static @Nullable Aftermath of(
            @Nullable Instant back,
            List<Reading> ammonia,
            List<Reading> nitrite,
            List<Changed> changed,
            Seawater water,
            double phNbs,
            Instant now) {
        Instant found = ammonia.stream()
                .filter(t -> t.value() > NONE_MG_PER_L && t.at().isAfter(now.minus(AT_MOST)))
                .map(Reading::at)
                .findFirst()
                .orElse(null);
        Instant outage = back == null || back.isBefore(now.minus(AT_MOST)) ? null : back;
        Instant since = Stream.of(outage, found)
                .filter(t -> t != null)
                .min(Instant::compareTo)
                .orElse(null);
        if (since == null || (zeros(ammonia, since) >= ZEROS && zeros(nitrite, since) >= ZEROS)) {
            return null;
        }
        Instant testedBoth = earlier(last(ammonia, since), last(nitrite, since));
        return new Aftermath(
                testedBoth == null ? since : testedBoth.plus(DAILY),
                1 + (int) Duration.between(since, now).toDays(),
                spike(ammonia, changed, since, water, phNbs));
    }

    /** How many of the newest tests showed none, half a day apart. */
    private static int zeros(List<Reading> tests, Instant since) {
        int zeros = 0;
        Instant counted = null;
        for (int i = tests.size() - 1; i >= 0 && tests.get(i).at().isAfter(since); i--) {
            Reading test = tests.get(i);
            if (test.value() > NONE_MG_PER_L) {
                break;
            }
            if (counted == null || !test.at().isAfter(counted.minus(APART))) {
                zeros++;
                counted = test.at();
            }
        }
        return zeros;
    }

    private static @Nullable Instant last(List<Reading> tests, Instant since) {
        return tests.stream()
                .map(Reading::at)
                .filter(at -> !at.isBefore(since))
                .reduce((earlier, later) -> later)
                .orElse(null);
    }

    private static @Nullable Instant earlier(@Nullable Instant a, @Nullable Instant b) {
        return a == null || b == null ? null : a.isBefore(b) ? a : b;
    }

    private static @Nullable Spike spike(
            List<Reading> ammonia, List<Changed> changed, Instant since, Seawater water, double phNbs) {
        if (ammonia.isEmpty()) {
            return null;
        }
        Reading newest = ammonia.get(ammonia.size() - 1);
        double kept = changed.stream()
                .filter(c -> c.at().isAfter(newest.at()))
                .mapToDouble(c -> 1 - c.share())
                .reduce(1, (a, b) -> a * b);
        double mgPerL = newest.value() * kept;
        double poisonous = mgPerL * Ammonia.unionisedShare(water, phNbs, PhScale.NBS);
        if (newest.at().isBefore(since) || poisonous <= Ammonia.HARMFUL_MG_PER_L) {
            return null;
        }
        double left = DOWN_TO * Ammonia.HARMFUL_MG_PER_L / poisonous;
        int times = (int) Math.ceil(Math.log(left) / Math.log(1 - MOST_SHARE));
        return new Spike(mgPerL, poisonous, 1 - Math.pow(left, 1.0 / times), times);
    }
}
