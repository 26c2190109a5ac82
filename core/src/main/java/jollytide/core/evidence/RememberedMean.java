package jollytide.core.evidence;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What the water remembers of the air above it. Water that settles towards the air with time constant τ holds, at any
 * moment, the mean of the past weighted by exp(−age/τ): the exact solution of τ dx/dt = air − x.
 *
 * @param value the weighted mean, in the readings' unit
 * @param newest the latest reading that took part
 * @param readings how many took part
 */
public record RememberedMean(double value, Observation newest, int readings) {
    /** Beyond three time constants a reading keeps less than 5 % of its weight. */
    private static final double HORIZON_IN_TAU = 3;

    /**
     * The mean at {@code at} over readings up to three {@code tauHours} old. Between readings the air is taken to change
     * in a straight line; after the last it is taken to stay. Nothing is assumed before the first.
     *
     * @param tauHours time constant, 0.5 to 200 h
     * @return empty when no reading is recent enough
     */
    public static Optional<RememberedMean> of(List<Observation> readings, Instant at, double tauHours) {
        within("settlingHours", tauHours, 0.5, 200, "h");
        Instant horizon = at.minusSeconds(Math.round(HORIZON_IN_TAU * tauHours * 3600));
        List<Observation> used = readings.stream()
                .filter(r -> !r.at().isAfter(at) && !r.at().isBefore(horizon))
                .sorted(Comparator.comparing(Observation::at))
                .toList();
        if (used.isEmpty()) {
            return Optional.empty();
        }
        Observation newest = used.get(used.size() - 1);
        double newestAge = ageInTau(newest, at, tauHours);
        double held = 1 - Math.exp(-newestAge);
        double sum = newest.value() * held;
        double weight = held;
        for (int i = 1; i < used.size(); i++) {
            Observation older = used.get(i - 1);
            Observation newer = used.get(i);
            double a = ageInTau(newer, at, tauHours);
            double b = ageInTau(older, at, tauHours);
            double segment = Math.exp(-a) - Math.exp(-b);
            if (b - a < 1e-9) {
                continue;
            }
            double slope = (older.value() - newer.value()) / (b - a);
            sum += newer.value() * segment + slope * (Math.exp(-a) - Math.exp(-b) * (1 + b - a));
            weight += segment;
        }
        double value = weight > 1e-9 ? sum / weight : newest.value();
        return Optional.of(new RememberedMean(value, newest, used.size()));
    }

    private static double ageInTau(Observation reading, Instant at, double tauHours) {
        return Duration.between(reading.at(), at).toMillis() / 3.6e6 / tauHours;
    }
}
