package jollytide.core.probe;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * What a probe showed in buffers.
 *
 * @param points one or two; none when the meter set itself and nobody looked before
 * @param then what was done with the meter afterwards
 * @param setC the temperature that a meter takes for granted which does not compensate for it; null when it does
 */
public record Calibration(
        Instant at,
        List<BufferReading> points,
        Then then,
        @Nullable Double setC) {
    /** Slopes, % of the ideal one. From memory. */
    private static final double SUSPECT_ABOVE = 102;

    private static final double AGEING_BELOW = 95;
    private static final double REPLACE_BELOW = 90;
    /** From memory. */
    private static final double MOST_OFFSET_MV = 30;
    /** No probe is so; the buffers or what was typed are. */
    private static final double LEAST_SLOPE = 70;

    private static final double MOST_SLOPE = 115;
    /** Two buffers nearer to each other tell no slope. */
    private static final double LEAST_APART_PH = 1;

    /** What happened to the meter once the buffers had been read. */
    public enum Then {
        /** It goes on as it was: its readings are corrected here. */
        LEFT_AS_IT_WAS,
        /** It set itself by the buffers: its readings are right from then on. */
        SET_ITSELF,
        /** Another probe took its place, and was set: nothing of before is its. */
        NEW_PROBE
    }

    /** How a probe stands. */
    public enum Condition {
        GOOD,
        /** Steeper than an ideal one can be. */
        SUSPECT_BUFFERS,
        AGEING,
        REPLACE,
        /** One buffer tells no slope. */
        UNKNOWN
    }

    /**
     * A buffer and what was shown in it.
     *
     * @param bufferPh at its temperature
     * @param shownPh by the meter
     */
    public record BufferReading(double bufferPh, double bufferC, double shownPh) {
        public BufferReading {
            within("bufferPh", bufferPh, 1, 13, "pH");
            within("bufferC", bufferC, 5, 45, "°C");
            within("shownPh", shownPh, 0, 14, "pH");
        }

        /** From a meter that shows millivolts. */
        public static BufferReading ofMillivolts(double bufferPh, double bufferC, double millivolts) {
            within("millivolts", millivolts, -500, 500, "mV");
            return new BufferReading(bufferPh, bufferC, Nernst.shown(millivolts, bufferC));
        }
    }

    public Calibration {
        points = points.stream()
                .sorted(Comparator.comparingDouble(BufferReading::bufferPh))
                .toList();
        if (points.size() > 2) {
            throw new InputException("points", points.size(), "one or two buffers", "Two buffers are enough.");
        }
        if (setC != null) {
            within("setC", setC, 5, 45, "°C");
        }
        if (points.isEmpty() && then == Then.LEFT_AS_IT_WAS) {
            throw new InputException("points", 0, "one or two buffers", "Enter at least one buffer.");
        }
        if (points.size() == 2) {
            check(points.get(0), points.get(1));
        }
        if (points.size() == 1
                && Math.abs(points.get(0).bufferPh() - points.get(0).shownPh()) > 1.5) {
            throw new InputException(
                    "points",
                    points.get(0).shownPh(),
                    "within 1.5 of the buffer",
                    "The reading is more than 1.5 off the buffer. Did you swap the buffers?");
        }
    }

    private static void check(BufferReading low, BufferReading high) {
        double apart = high.bufferPh() - low.bufferPh();
        if (apart < LEAST_APART_PH) {
            throw new InputException(
                    "points", apart, "1 pH apart or more", "The two buffers are too close together for a slope.");
        }
        if (high.shownPh() < low.shownPh()) {
            throw new InputException(
                    "points",
                    high.shownPh() - low.shownPh(),
                    "more in the higher buffer",
                    "The reading is lower in the higher buffer: the buffers are swapped.");
        }
        double slope = 100 * (high.shownPh() - low.shownPh()) / apart;
        if (slope < LEAST_SLOPE || slope > MOST_SLOPE) {
            throw new InputException(
                    "points",
                    slope,
                    "a slope of 70 to 115 %",
                    String.format(
                            Locale.ROOT,
                            "That would be %.0f %% of the ideal slope, impossible for a working probe. Check "
                                    + "for the same buffer twice, a spoilt buffer or a typing error.",
                            slope));
        }
    }

    /** % of the ideal slope at the buffers' temperature; NaN with fewer than two of them. */
    public double slopePercent() {
        return points.size() < 2
                ? Double.NaN
                : 100
                        * (points.get(1).shownPh() - points.get(0).shownPh())
                        / (points.get(1).bufferPh() - points.get(0).bufferPh());
    }

    /** What it would give at pH 7, where an ideal probe gives nothing, mV at 25 °C; NaN without a buffer. */
    public double offsetMv() {
        if (points.isEmpty()) {
            return Double.NaN;
        }
        BufferReading first = points.get(0);
        double slope = points.size() < 2 ? 1 : slopePercent() / 100;
        double shownAt7 = first.shownPh() + slope * (Nernst.ZERO_PH - first.bufferPh());
        return (Nernst.ZERO_PH - shownAt7) * Nernst.millivoltsPerPh(25);
    }

    public Condition condition() {
        double slope = slopePercent();
        if (Math.abs(offsetMv()) > MOST_OFFSET_MV || slope < REPLACE_BELOW) {
            return Condition.REPLACE;
        }
        if (Double.isNaN(slope)) {
            return Condition.UNKNOWN;
        }
        return slope > SUSPECT_ABOVE
                ? Condition.SUSPECT_BUFFERS
                : slope < AGEING_BELOW ? Condition.AGEING : Condition.GOOD;
    }

    /**
     * The map that the buffers found, before anything was set; null without a buffer.
     *
     * @param tankC of the water that it stands in: a meter that does not compensate is wrong there by another amount
     */
    @Nullable
    ProbeMap found(double tankC) {
        if (points.isEmpty()) {
            return null;
        }
        double perPh = points.size() < 2
                ? 1
                : (points.get(1).bufferPh() - points.get(0).bufferPh())
                        / (compensated(points.get(1)) - compensated(points.get(0)));
        BufferReading first = points.get(0);
        double at7 = first.bufferPh() + perPh * (Nernst.ZERO_PH - compensated(first));
        return new ProbeMap(at7, perPh / uncompensated(tankC));
    }

    /** How much steeper than it should be it shows things at a temperature. */
    private double uncompensated(double celsius) {
        return setC == null ? 1 : Nernst.millivoltsPerPh(celsius) / Nernst.millivoltsPerPh(setC);
    }

    private double compensated(BufferReading point) {
        return Nernst.ZERO_PH + (point.shownPh() - Nernst.ZERO_PH) / uncompensated(point.bufferC());
    }

    /** The map from then on. */
    ProbeMap after(double tankC, ProbeMap before) {
        if (then == Then.LEFT_AS_IT_WAS) {
            ProbeMap found = found(tankC);
            return found == null ? before : found;
        }
        return new ProbeMap(Nernst.ZERO_PH, 1 / uncompensated(tankC));
    }
}
