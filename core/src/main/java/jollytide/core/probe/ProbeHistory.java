package jollytide.core.probe;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * A probe's calibrations in their order, and what they make of its readings. Between two of them its error moves
 * straight from what the first left to what the second found; before the first it is what that found, after the last
 * what that left.
 */
public final class ProbeHistory {
    public static final ProbeHistory NONE = new ProbeHistory(List.of(), 25);

    /** Just calibrated, ± pH; then it grows with the weeks. From memory. */
    private static final double AT_ONCE_PH = 0.02;

    private static final double PER_WEEK_PH = 0.01;
    private static final double MOST_PH = 0.15;
    /** One buffer leaves the slope open: so much for each pH away from it. From memory. */
    private static final double SLOPE_DOUBT = 0.03;
    /** Common practice: monthly. */
    private static final Duration DUE_AFTER = Duration.ofDays(30);
    /** Two calibrations are not made in less. */
    private static final Duration APART = Duration.ofMinutes(2);

    private final List<Calibration> all;
    private final List<Knot> knots = new ArrayList<>();

    /** A calibration: what it found of the probe until then, null where nothing, and what it left. */
    private record Knot(Instant at, @Nullable ProbeMap found, ProbeMap left) {}

    /**
     * @param calibrations in any order
     * @param tankC of the water that it stands in
     * @throws InputException when two of them were made within two minutes
     */
    public ProbeHistory(List<Calibration> calibrations, double tankC) {
        within("temperatureC", tankC, 0, 40, "°C");
        all = calibrations.stream()
                .sorted(Comparator.comparing(Calibration::at))
                .toList();
        for (int i = 1; i < all.size(); i++) {
            if (Duration.between(all.get(i - 1).at(), all.get(i).at()).compareTo(APART) < 0) {
                throw new InputException(
                        "at",
                        all.get(i).at().getEpochSecond(),
                        "two minutes from any other",
                        "Another calibration is within two minutes of this one. Delete that one or correct "
                                + "the time.");
            }
        }
        ProbeMap left = ProbeMap.RIGHT;
        for (Calibration c : all) {
            left = c.after(tankC, left);
            knots.add(new Knot(c.at(), c.then() == Calibration.Then.NEW_PROBE ? null : c.found(tankC), left));
        }
    }

    /** Whether anything is known of the probe. */
    public boolean known() {
        return !all.isEmpty();
    }

    /** What it was at a moment. */
    public ProbeMap at(Instant t) {
        Knot before = null;
        for (Knot next : knots) {
            if (next.at.isAfter(t)) {
                ProbeMap left = before == null ? ProbeMap.RIGHT : before.left;
                if (next.found == null) {
                    return left;
                }
                return before == null ? next.found : left.towards(next.found, share(before.at, t, next.at));
            }
            before = next;
        }
        return before == null ? ProbeMap.RIGHT : before.left;
    }

    private static double share(Instant from, Instant t, Instant to) {
        return Duration.between(from, t).toMillis()
                / (double) Duration.between(from, to).toMillis();
    }

    /**
     * How far a corrected reading may still be off, ± pH; empty while nothing is known of the probe.
     *
     * @param ph that is read
     */
    public OptionalDouble uncertainty(Instant t, double ph) {
        List<Double> sides = new ArrayList<>();
        before(t).ifPresent(c -> sides.add(doubt(c, Duration.between(c.at(), t), ph)));
        after(t).ifPresent(c -> sides.add(doubt(c, Duration.between(t, c.at()), ph)));
        return sides.stream().mapToDouble(Double::doubleValue).min();
    }

    private static double doubt(Calibration c, Duration away, double ph) {
        double weeks = away.toHours() / (7 * 24.0);
        double slope = c.points().size() == 1
                ? SLOPE_DOUBT * Math.abs(ph - c.points().get(0).bufferPh())
                : 0;
        return Math.min(MOST_PH, AT_ONCE_PH + PER_WEEK_PH * weeks + slope);
    }

    private Optional<Calibration> before(Instant t) {
        return all.stream().filter(c -> !c.at().isAfter(t)).reduce((a, b) -> b);
    }

    /** The next one that found how it stood until then. */
    private Optional<Calibration> after(Instant t) {
        return all.stream()
                .filter(c -> c.at().isAfter(t))
                .findFirst()
                .filter(c ->
                        c.then() != Calibration.Then.NEW_PROBE && !c.points().isEmpty());
    }

    /** When it should stand in buffers again; null while nothing is known of it. */
    public @Nullable Instant due() {
        return all.isEmpty() ? null : all.get(all.size() - 1).at().plus(DUE_AFTER);
    }
}
