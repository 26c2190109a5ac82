package jollytide.core.description;

import java.util.Collections;
import java.util.List;
import jollytide.core.units.InputException;

/** CO2 of some air through an ordinary day, dry ppm, one value for the beginning of each local hour. */
public record DailyAir(List<Double> hourlyPpm) {
    static final double LEAST_PPM = 100;
    private static final double MOST_PPM = 20_000;

    public DailyAir {
        if (hourlyPpm.size() != 24 || hourlyPpm.stream().anyMatch(ppm -> !(ppm >= LEAST_PPM && ppm <= MOST_PPM))) {
            throw new InputException(
                    "hourlyPpm", hourlyPpm.size(), "24 values of 100 to 20000 ppm", "Air by hours, 24 of them.");
        }
        hourlyPpm = List.copyOf(hourlyPpm);
    }

    public static DailyAir constant(double ppm) {
        return new DailyAir(Collections.nCopies(24, ppm));
    }

    /** As a log corrects it. */
    public DailyAir corrected(TankParameters tank, double outdoorPpm) {
        return new DailyAir(hourlyPpm.stream()
                .map(ppm -> Math.min(MOST_PPM, tank.roomPpm(ppm, outdoorPpm)))
                .toList());
    }

    /** At a local time in hours, 0 to 24; straight between the hours. */
    public double at(double localHour) {
        int hour = (int) localHour % 24;
        double now = hourlyPpm.get(hour);
        return now + (localHour - Math.floor(localHour)) * (hourlyPpm.get((hour + 1) % 24) - now);
    }

    public double mean() {
        return hourlyPpm.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    }
}
