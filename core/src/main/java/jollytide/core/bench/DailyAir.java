package jollytide.core.bench;

import java.time.ZonedDateTime;
import java.util.List;
import jollytide.core.units.InputException;

/** The room's CO2 through an ordinary day, dry ppm, one value for the beginning of each local hour. */
public record DailyAir(List<Double> hourlyPpm) {
    public DailyAir {
        if (hourlyPpm.size() != 24 || hourlyPpm.stream().anyMatch(ppm -> !(ppm >= 100 && ppm <= 20_000))) {
            throw new InputException(
                    "hourlyPpm", hourlyPpm.size(), "24 values of 100 to 20000 ppm", "Room air by hours.");
        }
        hourlyPpm = List.copyOf(hourlyPpm);
    }

    public static DailyAir constant(double ppm) {
        return new DailyAir(java.util.Collections.nCopies(24, ppm));
    }

    double at(ZonedDateTime local) {
        double share = (local.getMinute() * 60 + local.getSecond()) / 3600.0;
        double now = hourlyPpm.get(local.getHour());
        double next = hourlyPpm.get((local.getHour() + 1) % 24);
        return now + share * (next - now);
    }
}
