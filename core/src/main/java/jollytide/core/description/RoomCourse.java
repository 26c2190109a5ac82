package jollytide.core.description;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * The room's CO2 as it was logged, hour by hour: what a past day really breathed, weekdays and empty days alike.
 *
 * @param from the first hour
 * @param hourlyPpm dry ppm at the beginning of each hour; NaN where nothing was logged
 */
public record RoomCourse(Instant from, List<Double> hourlyPpm) {
    public RoomCourse {
        hourlyPpm = List.copyOf(hourlyPpm);
    }

    /** As a log corrects it; gaps stay gaps. */
    public RoomCourse corrected(TankParameters tank, double outdoorPpm) {
        return tank.correctsRoom()
                ? new RoomCourse(
                        from,
                        hourlyPpm.stream()
                                .map(ppm -> tank.roomPpm(ppm, outdoorPpm))
                                .toList())
                : this;
    }

    /** Straight between two logged hours; empty beside them. */
    public Optional<Double> at(Instant t) {
        double hours = Duration.between(from, t).toMillis() / 3.6e6;
        int i = (int) Math.floor(hours);
        if (i < 0 || i + 1 >= hourlyPpm.size()) {
            return Optional.empty();
        }
        double here = hourlyPpm.get(i);
        double next = hourlyPpm.get(i + 1);
        double ppm = here + (hours - i) * (next - here);
        return Double.isNaN(ppm) ? Optional.empty() : Optional.of(ppm);
    }
}
