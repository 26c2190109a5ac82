package jollytide.server.today;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.server.event.EventService;
import jollytide.server.event.EventView;
import jollytide.server.problem.KnownDay;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The day ribbon's data. */
@Service
@Transactional(readOnly = true)
class DayService {
    private static final int USUAL_DAYS = 14;
    private static final int USUAL_MIN_DAYS = 3;
    private static final int WIDTH = 1200;
    private static final Duration OLD = Duration.ofHours(36);
    /** A trough further than this from lights-on is worth a word. Common practice, no source. */
    private static final Duration CLOCK_MISMATCH = Duration.ofHours(4);

    private static final Duration HALF_OF_HALF_AN_HOUR = Duration.ofMinutes(15);
    private static final Duration YEARS = Duration.ofDays(20_000);

    private final TankService tanks;
    private final ReadingService readings;
    private final EventService events;
    private final ChapterBook chapters;
    private final Clock clock;

    DayService(TankService tanks, ReadingService readings, EventService events, ChapterBook chapters, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.events = events;
        this.chapters = chapters;
        this.clock = clock;
    }

    /** A pH of the curve. */
    record CurvePoint(Instant at, double ph, Method method) {}

    /**
     * One day of a tank.
     *
     * @param day the local date
     * @param latest the date of the newest reading, or today without one
     * @param stretches pH without a gap, NBS scale; a stretch of one is a reading on its own
     * @param rampMinutes how long the lamps take to come up and to go down
     * @param usual what was usual in the fourteen days before, by half hours
     * @param surrounded whether readings close around both extremes show that they are extremes
     * @param warnings what to know before believing the curve
     */
    record DayView(
            LocalDate day,
            LocalDate latest,
            Instant start,
            Instant end,
            Instant now,
            List<List<CurvePoint>> stretches,
            List<Trace.Usual> usual,
            List<LightClock.Lit> lit,
            int rampMinutes,
            @Nullable CurvePoint trough,
            @Nullable CurvePoint peak,
            boolean surrounded,
            List<EventView> events,
            List<String> warnings) {}

    DayView day(UUID keeperId, UUID tankId, @Nullable LocalDate wanted) {
        Tank tank = tanks.tank(keeperId, tankId);
        ZoneId zone = tank.home().zone();
        Instant now = clock.instant();
        List<Observation> last = ph(tank, now.minus(YEARS), now.plusSeconds(600), Limit.of(1));
        LocalDate today = LocalDate.ofInstant(now, zone);
        LocalDate latest =
                last.isEmpty() ? today : LocalDate.ofInstant(last.get(0).at(), zone);
        LocalDate day = wanted == null ? latest : KnownDay.of("day", wanted);
        Instant start = day.atStartOfDay(zone).toInstant();
        Instant end = day.plusDays(1).atStartOfDay(zone).toInstant();
        LightClock light = chapters.at(tank, end).tank().light();

        List<Observation> ofDay = ph(tank, start, end.minusMillis(1), Limit.unlimited());
        Instant usualFrom = day.minusDays(USUAL_DAYS).atStartOfDay(zone).toInstant();
        List<Observation> before = halfHours(tank, usualFrom, start.minusMillis(1));
        var extremes = Trace.extremes(ofDay);
        return new DayView(
                day,
                latest,
                start,
                end,
                now,
                Trace.stretches(ofDay).stream()
                        .map(stretch -> Trace.thinned(stretch, WIDTH).stream()
                                .map(DayService::point)
                                .toList())
                        .toList(),
                Trace.usual(before, zone, USUAL_MIN_DAYS),
                light.litBetween(start, end, zone),
                light.rampMinutes(),
                extremes.map(e -> point(e.trough())).orElse(null),
                extremes.map(e -> point(e.peak())).orElse(null),
                extremes.map(Trace.Extremes::surrounded).orElse(false),
                events.between(tank, start, end.minusMillis(1)),
                warnings(tank, zone, now, last, before, ofDay));
    }

    private List<Observation> ph(Tank tank, Instant from, Instant to, Limit limit) {
        Seawater water = water(tank);
        return readings.between(tank, Quantity.PH, Place.TANK, from, to, limit).stream()
                .map(row -> row.standard(water, tank.home().pressureHpa()))
                .toList();
    }

    /** The fortnight before, by half hours: a year of one-minute readings is too much to read for a band. */
    private List<Observation> halfHours(Tank tank, Instant from, Instant to) {
        Seawater water = water(tank);
        double pressure = tank.home().pressureHpa();
        return readings.halfHours(tank, Quantity.PH, Place.TANK, from, to).stream()
                .map(h -> new Observation(
                        h.mean(water, pressure), h.method(), h.start().plus(HALF_OF_HALF_AN_HOUR)))
                .toList();
    }

    private static Seawater water(Tank tank) {
        Assumptions assumed = tank.assumptions();
        return new Seawater(assumed.salinityPsu(), assumed.temperatureC());
    }

    private static CurvePoint point(Observation o) {
        return new CurvePoint(o.at(), o.value(), o.method());
    }

    private static List<String> warnings(
            Tank tank,
            ZoneId zone,
            Instant now,
            List<Observation> last,
            List<Observation> before,
            List<Observation> ofDay) {
        List<String> warnings = new ArrayList<>();
        if (last.isEmpty()) {
            return warnings;
        }
        Duration age = Duration.between(last.get(0).at(), now);
        if (age.compareTo(OLD) > 0) {
            warnings.add("The last pH reading is " + age.toHours() + " hours old.");
        }
        List<Observation> all = new ArrayList<>(before);
        all.addAll(ofDay);
        LightClock light = tank.light();
        boolean everDark = all.stream().anyMatch(o -> !light.litAt(o.at(), zone));
        if (all.size() > 1 && !everDark) {
            warnings.add("All readings of the last two weeks were taken in the light. The daily low comes "
                    + "before lights-on, so your real low may be lower.");
        }
        if (light.switches()) {
            Trace.extremes(ofDay)
                    .filter(Trace.Extremes::surrounded)
                    .map(e -> Duration.between(
                            light.lastOn(e.trough().at().plus(Duration.ofHours(12)), zone),
                            e.trough().at()))
                    .filter(off -> off.abs().compareTo(CLOCK_MISMATCH) > 0)
                    .ifPresent(off ->
                            warnings.add("The lowest pH came " + off.abs().toHours()
                                    + " hours " + (off.isNegative() ? "before" : "after")
                                    + " lights-on. Visitors, a ramp or a wrongly described light "
                                    + "schedule can cause that."));
        }
        return warnings;
    }
}
