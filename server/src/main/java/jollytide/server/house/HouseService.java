package jollytide.server.house;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.reef.LightClock;
import jollytide.core.reef.TargetBand;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The last twenty-four hours of every tank, by half hours: quick for dozens of them. */
@Service
@Transactional(readOnly = true)
class HouseService {
    private static final Duration SHOWN = Duration.ofHours(24);
    private static final Duration MIDDLE = Duration.ofMinutes(15);
    /** A longer silence is drawn as a gap. */
    private static final Duration GAP = Duration.ofHours(3);

    private final TankService tanks;
    private final ReadingService readings;
    private final Clock clock;

    HouseService(TankService tanks, ReadingService readings, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.clock = clock;
    }

    /** How soon a tank asks for its keeper by its low alone, the most urgent first. */
    enum Urgency {
        /** Its low was below the action level. */
        ACT_NOW,
        /** Its low was below the goal. */
        BELOW_GOAL,
        /** No pH was logged in these hours. */
        NO_READING,
        IN_GOAL
    }

    /** A pH, NBS scale. */
    record PhPoint(Instant at, double ph) {}

    /**
     * One tank.
     *
     * @param curve means of half hours, oldest first, parted where nothing was logged for some hours
     * @param low the lowest pH of these hours; null without any
     * @param lit when the lamps were on in these hours
     */
    record TankRow(
            UUID tankId,
            Urgency urgency,
            List<List<PhPoint>> curve,
            @Nullable PhPoint low,
            List<LightClock.Lit> lit) {}

    /**
     * All tanks, the most urgent first.
     *
     * @param from the beginning of the hours shown; they end at {@code now}
     */
    record HouseView(Instant from, Instant now, List<TankRow> tanks) {}

    HouseView house(UUID keeperId) {
        Instant now = clock.instant();
        Instant from = now.minus(SHOWN);
        return new HouseView(
                from,
                now,
                tanks.all(keeperId).stream()
                        .map(tank -> row(tank, from, now))
                        .sorted(Comparator.comparing(TankRow::urgency))
                        .toList());
    }

    private TankRow row(Tank tank, Instant from, Instant now) {
        Assumptions assumed = tank.assumptions();
        Seawater water = new Seawater(assumed.salinityPsu(), assumed.temperatureC());
        double pressure = tank.home().pressureHpa();
        List<HalfHour> halfHours = readings.halfHours(tank, Quantity.PH, Place.TANK, from, now).stream()
                .sorted(Comparator.comparing(HalfHour::start))
                .toList();
        PhPoint low = halfHours.stream()
                .map(h -> new PhPoint(h.lowAt(), h.standard(h.low(), water, pressure)))
                .min(Comparator.comparingDouble(PhPoint::ph))
                .orElse(null);
        List<PhPoint> means = halfHours.stream()
                .map(h -> new PhPoint(h.start().plus(MIDDLE), h.mean(water, pressure)))
                .toList();
        return new TankRow(
                tank.id(),
                urgency(low, tank.band()),
                stretches(means),
                low,
                tank.light().litBetween(from, now, tank.home().zone()));
    }

    static Urgency urgency(@Nullable PhPoint low, TargetBand band) {
        if (low == null) {
            return Urgency.NO_READING;
        }
        return low.ph() < band.actBelow()
                ? Urgency.ACT_NOW
                : low.ph() < band.troughAtLeast() ? Urgency.BELOW_GOAL : Urgency.IN_GOAL;
    }

    static List<List<PhPoint>> stretches(List<PhPoint> points) {
        List<List<PhPoint>> all = new ArrayList<>();
        PhPoint before = null;
        for (PhPoint point : points) {
            if (before == null || before.at().plus(GAP).isBefore(point.at())) {
                all.add(new ArrayList<>());
            }
            all.get(all.size() - 1).add(point);
            before = point;
        }
        return all;
    }
}
