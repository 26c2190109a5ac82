package jollytide.core.effects;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.stream.DoubleStream;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Reading;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;
import org.jspecify.annotations.Nullable;

/**
 * How fast a room gives its CO2 to outdoors once nobody is in it: what it holds over outdoors falls as e^(−nt), n the air
 * changes an hour (the decay method of tracer-gas tests; ISO 12569 and ASTM E741, from memory).
 *
 * @param excessPpm what it held over outdoors when they left
 * @param airChangesPerH with the 90 % band of the slope, and of a meter that may stand off
 */
public record RoomClearing(double excessPpm, Estimate airChangesPerH) {
    private static final Duration LOOKED_AT = Duration.ofHours(12);
    /** Of what was there at the beginning, so much tells how fast it goes; less is the meter's own error. */
    private static final double LEAST_SHARE = 0.2;
    /** A room meter's standing error, ppm. From memory. */
    private static final double METER_PPM = 25;

    private static final double LEAST_EXCESS_PPM = 100;
    private static final int LEAST_READINGS = 4;
    private static final double NINETY = 0.95;

    /**
     * @param room ppm, in their order
     * @param outdoorPpm what it falls towards
     * @return null where it held too little when they left, or the readings do not show that it fell
     */
    public static @Nullable RoomClearing of(
            Collection<Reading> room, Instant left, Instant cameBack, double outdoorPpm) {
        Instant until = left.plus(LOOKED_AT).isBefore(cameBack) ? left.plus(LOOKED_AT) : cameBack;
        List<Reading> since = room.stream()
                .filter(r -> !r.at().isBefore(left) && r.at().isBefore(until))
                .toList();
        Fall likely = Fall.of(since, outdoorPpm);
        if (likely == null || likely.excessPpm < LEAST_EXCESS_PPM) {
            return null;
        }
        double[] ends = DoubleStream.of(-METER_PPM, 0, METER_PPM)
                .mapToObj(off -> Fall.of(since, outdoorPpm + off))
                .filter(fall -> fall != null)
                .flatMapToDouble(fall -> DoubleStream.of(fall.perH - fall.half90, fall.perH + fall.half90))
                .sorted()
                .toArray();
        return ends[0] <= 0
                ? null
                : new RoomClearing(likely.excessPpm, new Estimate(likely.perH, ends[0], ends[ends.length - 1]));
    }

    /** Hours until half of what it held over outdoors is gone. */
    public Estimate halfH() {
        return after(Math.log(2));
    }

    /** Hours until nine tenths of it are gone. */
    public Estimate ninetyH() {
        return after(Math.log(10));
    }

    private Estimate after(double timeConstants) {
        return new Estimate(
                timeConstants / airChangesPerH.value(),
                timeConstants / airChangesPerH.high(),
                timeConstants / airChangesPerH.low());
    }

    /** A straight line through the logarithm of the excess, as far down as it stands clear of the meter's error. */
    private record Fall(double excessPpm, double perH, double half90) {
        static @Nullable Fall of(List<Reading> since, double towardsPpm) {
            if (since.isEmpty() || since.get(0).value() <= towardsPpm) {
                return null;
            }
            double least = LEAST_SHARE * (since.get(0).value() - towardsPpm);
            SimpleRegression line = new SimpleRegression();
            for (Reading r : since) {
                if (r.value() - towardsPpm < least) {
                    break;
                }
                line.addData(
                        Duration.between(since.get(0).at(), r.at()).toSeconds() / 3600.0,
                        Math.log(r.value() - towardsPpm));
            }
            if (line.getN() < LEAST_READINGS) {
                return null;
            }
            double t = new TDistribution(line.getN() - 2.0).inverseCumulativeProbability(NINETY);
            return new Fall(Math.exp(line.getIntercept()), -line.getSlope(), t * line.getSlopeStdErr());
        }
    }
}
