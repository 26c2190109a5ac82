package jollytide.server.forecast;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.Experiment;
import jollytide.core.fit.Score;
import jollytide.core.seawater.Seawater;
import jollytide.server.event.EventService;
import jollytide.server.event.EventView;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Holds what was forecast against what came. */
@Service
@Transactional(readOnly = true)
class ForecastService {
    private static final int DAYS = 30;

    private final TankService tanks;
    private final ReadingService readings;
    private final EventService events;
    private final DayForecasts kept;
    private final Clock clock;

    ForecastService(TankService tanks, ReadingService readings, EventService events, DayForecasts kept, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.events = events;
        this.kept = kept;
        this.clock = clock;
    }

    /**
     * A day as it was forecast at its beginning.
     *
     * @param cameTrough by the probe, corrected; null when the day is not over, was not logged closely, or an experiment
     *     moved it
     * @param afterwards whether it was made up for later: from readings before the day, with the calibrations, chapters and events
     *     that were known when it was made
     */
    record ForecastDay(
            LocalDate day,
            Estimate trough,
            Estimate peak,
            @Nullable Double cameTrough,
            @Nullable Double camePeak,
            boolean afterwards) {}

    /**
     * The last thirty days.
     *
     * @param days oldest first, those of which something was forecast
     * @param trough null until a day has come; {@code peak} likewise
     */
    record ScoreView(
            List<ForecastDay> days,
            @Nullable Score trough,
            @Nullable Score peak) {}

    ScoreView score(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        ZoneId zone = tank.home().zone();
        LocalDate today = LocalDate.ofInstant(clock.instant(), zone);
        Map<LocalDate, Trace.Extremes> came = came(tank, today.minusDays(DAYS), today);
        List<ForecastDay> days = kept.of(tank.id(), today.minusDays(DAYS)).stream()
                .filter(k -> k.trough() != null && k.peak() != null)
                .map(k -> {
                    Trace.Extremes extremes = came.get(k.day());
                    Instant end = k.day().plusDays(1).atStartOfDay(zone).toInstant();
                    return new ForecastDay(
                            k.day(),
                            k.trough(),
                            k.peak(),
                            extremes == null ? null : extremes.trough().value(),
                            extremes == null ? null : extremes.peak().value(),
                            k.madeAt().isAfter(end));
                })
                .toList();
        return new ScoreView(
                days,
                score(days, ForecastDay::trough, ForecastDay::cameTrough),
                score(days, ForecastDay::peak, ForecastDay::camePeak));
    }

    private static @Nullable Score score(
            List<ForecastDay> days,
            Function<ForecastDay, Estimate> forecast,
            Function<ForecastDay, @Nullable Double> came) {
        List<Score.Pair> pairs = new ArrayList<>();
        for (ForecastDay day : days) {
            Double value = came.apply(day);
            if (value != null) {
                pairs.add(new Score.Pair(forecast.apply(day), value));
            }
        }
        return Score.of(pairs).orElse(null);
    }

    /** Of days that are over, were logged closely, and in which nobody made an experiment. */
    private Map<LocalDate, Trace.Extremes> came(Tank tank, LocalDate from, LocalDate today) {
        ZoneId zone = tank.home().zone();
        Instant first = from.atStartOfDay(zone).toInstant();
        Instant last = today.atStartOfDay(zone).toInstant().minusMillis(1);
        List<EventView> experiments = events.between(tank, first.minus(Experiment.RECOVERY), last).stream()
                .filter(EventView::experiment)
                .toList();
        Seawater water = new Seawater(
                tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
        List<Observation> halfHours = readings.halfHours(tank, Quantity.PH, Place.TANK, first, last).stream()
                .filter(h -> h.method() == Method.PROBE || h.method() == Method.PROBE_CHECKED)
                .map(h -> new Observation(h.mean(water, tank.home().pressureHpa()), h.method(), h.start()))
                .toList();
        Map<LocalDate, Trace.Extremes> days = new TreeMap<>(Trace.days(halfHours, zone));
        days.keySet()
                .removeIf(day -> experiments.stream()
                        .anyMatch(e -> e.moved(
                                day.atStartOfDay(zone).toInstant(),
                                day.plusDays(1).atStartOfDay(zone).toInstant())));
        return days;
    }
}
