package jollytide.core.effects;

import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.evidence.Estimate;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.jspecify.annotations.Nullable;

/**
 * Days after a change beside days before it, of one of the day's numbers, pH.
 *
 * @param before median of the days, {@code after} likewise
 * @param raw their difference
 * @param explained of it by room, alkalinity and which days they were
 * @param left for the change, with its 90 % band; without a band where single days tell no scatter
 * @param scatter of days of one side among each other, standard deviation; null with one day on each
 * @param chance of seeing as much, up or down, where nothing changed; 1 without a band
 */
public record Comparison(
        double before,
        double after,
        double raw,
        double explained,
        Remainder left,
        @Nullable Double scatter,
        double chance) {
    private static final double NINETY = 1.645;

    /**
     * What is left.
     *
     * @param deviation one standard deviation of all that is in doubt; null where the days tell no scatter
     * @param ofDays what more days would make smaller of that; null likewise
     * @param low end of the 90 % band; null likewise
     */
    public record Remainder(
            double value,
            @Nullable Double deviation,
            @Nullable Double ofDays,
            @Nullable Double low,
            @Nullable Double high) {

        /** Its band; empty of width where there is none. */
        public Estimate band() {
            return new Estimate(value, low == null ? value : low, high == null ? value : high);
        }

        /** Whether the band leaves no change out of the question. */
        public boolean claimed() {
            return low != null && high != null && (low > 0 || high < 0);
        }
    }

    /**
     * Numbers as they were read, nothing explained.
     *
     * @param before one of each day, in their order, at least one; {@code after} likewise
     */
    public static Comparison raw(List<Double> before, List<Double> after, double deviation) {
        List<Double> none = zeros(before);
        return of(before, after, List.of(new Expected(none, zeros(after))), deviation);
    }

    private static List<Double> zeros(List<Double> like) {
        return like.stream().map(v -> 0.0).toList();
    }

    /** What one tank would have shown in the days before and after, had nothing been changed. */
    record Expected(List<Double> before, List<Double> after) {}

    /**
     * @param tanks that could be behind the log: what each would have shown, the most probable first, the others each a
     *     standard deviation from it in a direction of its own
     * @param deviation of what else is in doubt
     */
    static Comparison of(List<Double> before, List<Double> after, List<Expected> tanks, double deviation) {
        double medianBefore = Shift.median(before);
        double medianAfter = Shift.median(after);
        double raw = medianAfter - medianBefore;
        Expected likely = tanks.get(0);
        List<Double> leftBefore = less(before, likely.before());
        List<Double> leftAfter = less(after, likely.after());
        Shift shift = Shift.of(leftBefore, leftAfter);
        Double scatter = scatter(before, after);
        if (shift.unknown()) {
            Remainder alone = new Remainder(shift.value(), null, null, null, null);
            return new Comparison(medianBefore, medianAfter, raw, raw - shift.value(), alone, scatter, 1);
        }
        double fit = tanks.stream()
                .mapToDouble(
                        t -> Shift.between(Shift.array(less(before, t.before())), Shift.array(less(after, t.after()))))
                .map(other -> (other - shift.value()) * (other - shift.value()))
                .sum();
        double half = Math.hypot(shift.half90(), NINETY * Math.sqrt(fit + deviation * deviation));
        double all = half / NINETY;
        return new Comparison(
                medianBefore,
                medianAfter,
                raw,
                raw - shift.value(),
                new Remainder(shift.value(), all, shift.half90() / NINETY, shift.value() - half, shift.value() + half),
                scatter,
                2 * new NormalDistribution().cumulativeProbability(-Math.abs(shift.value()) / all));
    }

    private static List<Double> less(List<Double> observed, List<Double> expected) {
        return IntStream.range(0, observed.size())
                .mapToObj(i -> observed.get(i) - expected.get(i))
                .toList();
    }

    private static @Nullable Double scatter(List<Double> before, List<Double> after) {
        int freedom = Math.max(0, before.size() - 1) + Math.max(0, after.size() - 1);
        return freedom == 0 ? null : Math.sqrt((Shift.squares(before) + Shift.squares(after)) / freedom);
    }
}
