package jollytide.core.evidence;

import java.util.random.RandomGenerator;

/**
 * A probe or meter: it follows slowly, is off, drifts, is noisy, and shows so many steps.
 *
 * @param responseMinutes time constant with which it follows
 * @param offset what it reads too much from the start
 * @param driftPerDay what is added to that each day
 * @param noise standard deviation of one reading
 * @param step what it rounds to
 */
public record Sensor(double responseMinutes, double offset, double driftPerDay, double noise, double step) {

    /** One sensor at work; readings are asked for in time order. */
    public final class AtWork {
        private final RandomGenerator random;
        private double followed = Double.NaN;

        public AtWork(RandomGenerator random) {
            this.random = random;
        }

        /**
         * What it shows.
         *
         * @param truth the true value now
         * @param minutesSinceLast since it was last asked
         * @param days since it was put to work
         */
        public double read(double truth, double minutesSinceLast, double days) {
            double share = responseMinutes <= 0 ? 1 : 1 - Math.exp(-minutesSinceLast / responseMinutes);
            followed = Double.isNaN(followed) ? truth : followed + share * (truth - followed);
            double shown = followed + offset + driftPerDay * days + noise * random.nextGaussian();
            return Math.round(shown / step) * step;
        }
    }
}
