package jollytide.server.history;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.units.InputException;
import jollytide.core.units.Quantities;
import jollytide.server.event.EventService;
import jollytide.server.event.EventView;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.ReadingService;
import jollytide.server.reading.ReadingService.Logged;
import jollytide.server.reading.ReadingService.Span;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Months of a tank: traces thinned to what a drawing can show, tests as they are, the days' troughs and peaks. */
@Service
@Transactional(readOnly = true)
class HistoryService {
    private static final Duration HALF_HOUR = Duration.ofMinutes(30);
    private static final Duration EMPTY_LOG = Duration.ofDays(30);
    /** Up to so many readings are drawn one by one as marks with their method. */
    private static final int MARKS = 300;
    /** Up to so many, for each pixel, the raw readings are thinned; beyond, their half hours are. */
    private static final int RAW_PER_PIXEL = 6;

    private static final Duration LIGHT_SHOWN_UP_TO = Duration.ofDays(31);
    /** Room air this much richer than outdoors has somebody breathing into it. Common practice, no source. */
    private static final double SOMEBODY_AT_HOME_PPM = 150;

    private final TankService tanks;
    private final ReadingService readings;
    private final EventService events;
    private final ChapterBook chapters;
    private final Clock clock;

    HistoryService(TankService tanks, ReadingService readings, EventService events, ChapterBook chapters, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.events = events;
        this.chapters = chapters;
        this.clock = clock;
    }

    /**
     * Readings without a gap: for each point the lowest and the highest value around its time. Lists of equal length.
     *
     * @param at seconds since 1970
     */
    record Stretch(List<Long> at, List<Double> low, List<Double> high) {}

    /** One reading on its own. */
    record Mark(Instant at, double value, Method method) {}

    /** One quantity at one place, in the core's unit: pH NBS, meq/L, °C, psu, mg/L, dry ppm. */
    record Track(Quantity quantity, Place place, List<Stretch> stretches, List<Mark> marks) {}

    /**
     * A day's trough and peak of pH, NBS scale.
     *
     * @param whole whether the day was logged closely enough for both to be true extremes
     */
    record DayBar(LocalDate day, double trough, Instant troughAt, double peak, Instant peakAt, boolean whole) {}

    /** How far the log reaches; both null without any reading. */
    record LogSpan(@Nullable Instant from, @Nullable Instant to) {}

    /** From one moment to another. */
    record Stay(Instant from, Instant to) {}

    /**
     * A stretch of the log.
     *
     * @param lit when the lamps were on; empty over stretches too long to show it
     * @param occupied when somebody was at home, as the room's CO2 lets expect
     */
    record HistoryView(
            Instant from,
            Instant to,
            List<Track> tracks,
            List<DayBar> days,
            List<EventView> events,
            List<Stay> lit,
            List<Stay> occupied) {
        /** Without the keeper's notes, and without who was home when. */
        HistoryView forHelpers() {
            return new HistoryView(
                    from,
                    to,
                    tracks,
                    days,
                    events.stream()
                            .filter(event -> !event.tellsWhoWasHome())
                            .map(EventView::withoutNote)
                            .toList(),
                    lit,
                    List.of());
        }
    }

    /** From the first reading to the last. */
    LogSpan span(UUID keeperId, UUID tankId) {
        Optional<Span> logged = readings.span(tanks.tank(keeperId, tankId));
        return new LogSpan(
                logged.map(Span::from).orElse(null), logged.map(Span::to).orElse(null));
    }

    HistoryView history(
            UUID keeperId, UUID tankId, @Nullable Instant wantedFrom, @Nullable Instant wantedTo, int width) {
        Tank tank = tanks.tank(keeperId, tankId);
        Quantities.within("width", width, 50, 4000, "pixels");
        Optional<Span> logged = readings.span(tank);
        Instant now = clock.instant();
        Instant to = wantedTo != null ? wantedTo : logged.map(Span::to).orElse(now);
        Instant from = wantedFrom != null ? wantedFrom : logged.map(Span::from).orElse(now.minus(EMPTY_LOG));
        if (!from.isBefore(to)) {
            throw new InputException("from", from.getEpochSecond(), "before to", "from must lie before to.");
        }
        List<Track> tracks = readings.logged(tank, from, to).stream()
                .map(kind -> track(tank, kind, from, to, width))
                .toList();
        boolean showLight = Duration.between(from, to).compareTo(LIGHT_SHOWN_UP_TO) <= 0;
        return new HistoryView(
                from,
                to,
                tracks,
                days(tank, from, to),
                events(tank, from, to),
                showLight ? lit(chapters.stretches(tank), from, to) : List.of(),
                occupied(tank, tracks));
    }

    private Track track(Tank tank, Logged shown, Instant from, Instant to, int width) {
        Seawater water = typicalWater(tank);
        double pressure = tank.home().pressureHpa();
        List<HalfHour> groups =
                readings.grouped(tank, shown.quantity(), shown.place(), from, to, halfHoursPerPoint(from, to, width));
        long n = groups.stream().mapToLong(HalfHour::n).sum();
        if (n > (long) RAW_PER_PIXEL * width) {
            return new Track(
                    shown.quantity(),
                    shown.place(),
                    stretches(groups, halfHoursPerPoint(from, to, width), water, pressure),
                    List.of());
        }
        List<Observation> raw =
                readings.between(tank, shown.quantity(), shown.place(), from, to, Limit.unlimited()).stream()
                        .map(row -> row.standard(water, pressure))
                        .toList();
        if (n <= MARKS) {
            List<Mark> marks = raw.stream()
                    .map(o -> new Mark(o.at(), o.value(), o.method()))
                    .toList();
            return new Track(shown.quantity(), shown.place(), List.of(), marks);
        }
        List<Stretch> stretches = Trace.stretches(raw).stream()
                .map(stretch -> single(Trace.thinned(stretch, width)))
                .toList();
        return new Track(shown.quantity(), shown.place(), stretches, List.of());
    }

    private static int halfHoursPerPoint(Instant from, Instant to, int width) {
        return (int) Math.max(1, (Duration.between(from, to).dividedBy(HALF_HOUR) + width - 1) / width);
    }

    private static Stretch single(List<Observation> stretch) {
        List<Double> values = stretch.stream().map(Observation::value).toList();
        return new Stretch(stretch.stream().map(o -> o.at().getEpochSecond()).toList(), values, values);
    }

    /** Groups that follow one another without one missing, values in the core's unit; several series are merged. */
    private static List<Stretch> stretches(
            List<HalfHour> groups, int halfHoursPerPoint, Seawater water, double pressure) {
        Duration step = HALF_HOUR.multipliedBy(halfHoursPerPoint);
        List<Stretch> stretches = new ArrayList<>();
        Instant last = null;
        for (HalfHour group : groups) {
            if (last == null || Duration.between(last, group.start()).compareTo(step) > 0) {
                stretches.add(new Stretch(new ArrayList<>(), new ArrayList<>(), new ArrayList<>()));
            }
            Stretch stretch = stretches.get(stretches.size() - 1);
            double low = rounded(group.standard(group.low(), water, pressure));
            double high = rounded(group.standard(group.high(), water, pressure));
            int end = stretch.at().size() - 1;
            if (group.start().equals(last) && end >= 0) {
                stretch.low().set(end, Math.min(stretch.low().get(end), low));
                stretch.high().set(end, Math.max(stretch.high().get(end), high));
            } else {
                stretch.at().add(group.start().plus(step.dividedBy(2)).getEpochSecond());
                stretch.low().add(low);
                stretch.high().add(high);
            }
            last = group.start();
        }
        return stretches;
    }

    private static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }

    private List<DayBar> days(Tank tank, Instant from, Instant to) {
        ZoneId zone = tank.home().zone();
        Seawater water = typicalWater(tank);
        double pressure = tank.home().pressureHpa();
        Instant first = LocalDate.ofInstant(from, zone).atStartOfDay(zone).toInstant();
        Instant last = LocalDate.ofInstant(to, zone)
                .plusDays(1)
                .atStartOfDay(zone)
                .toInstant()
                .minusSeconds(1);
        List<DayBar> days = new ArrayList<>();
        Extremes day = null;
        for (HalfHour h : readings.halfHours(tank, Quantity.PH, Place.TANK, first, last)) {
            if (day == null || !h.start().isBefore(day.end)) {
                if (day != null) {
                    days.add(day.bar());
                }
                day = new Extremes(LocalDate.ofInstant(h.start(), zone), zone);
            }
            day.take(h, h.standard(h.low(), water, pressure), h.standard(h.high(), water, pressure));
        }
        if (day != null) {
            days.add(day.bar());
        }
        return days;
    }

    /** A day's extremes while they are gathered. */
    private static final class Extremes {
        private final LocalDate date;
        private final Instant end;
        private int halfHours;
        private double low = Double.POSITIVE_INFINITY;
        private Instant lowAt = Instant.EPOCH;
        private double high = Double.NEGATIVE_INFINITY;
        private Instant highAt = Instant.EPOCH;

        private Extremes(LocalDate date, ZoneId zone) {
            this.date = date;
            this.end = date.plusDays(1).atStartOfDay(zone).toInstant();
        }

        private void take(HalfHour h, double lowest, double highest) {
            halfHours++;
            if (lowest < low) {
                low = lowest;
                lowAt = h.lowAt();
            }
            if (highest > high) {
                high = highest;
                highAt = h.highAt();
            }
        }

        private DayBar bar() {
            return new DayBar(date, low, lowAt, high, highAt, Trace.tellsItsExtremes(halfHours));
        }
    }

    /** Those of the stretch, and those that put on what stood in it. */
    private List<EventView> events(Tank tank, Instant from, Instant to) {
        Map<UUID, EventView> all = new LinkedHashMap<>();
        Stream.concat(
                        events.standing(List.of(tank), from, to).getOrDefault(tank.id(), List.of()).stream(),
                        events.between(tank, from, to).stream())
                .sorted(Comparator.comparing(EventView::at))
                .forEach(event -> all.put(event.id(), event));
        return List.copyOf(all.values());
    }

    /** Each chapter by its own light clock. */
    private static List<Stay> lit(List<ChapterBook.Stretch> chapters, Instant from, Instant to) {
        List<Stay> all = new ArrayList<>();
        for (ChapterBook.Stretch chapter : chapters) {
            Instant first = chapter.from() == null || chapter.from().isBefore(from) ? from : chapter.from();
            Instant last = chapter.until() == null || chapter.until().isAfter(to) ? to : chapter.until();
            if (first.isBefore(last)) {
                ZoneId zone = chapter.tank().home().zone();
                chapter.tank()
                        .light()
                        .litBetween(first, last, zone)
                        .forEach(lit -> all.add(new Stay(lit.from(), lit.to())));
            }
        }
        return all;
    }

    /** From the drawn trace of the room's CO2. */
    private static List<Stay> occupied(Tank tank, List<Track> tracks) {
        double somebody = tank.assumptions().outdoorPpm() + SOMEBODY_AT_HOME_PPM;
        List<Stay> stays = new ArrayList<>();
        tracks.stream()
                .filter(t -> t.quantity() == Quantity.CO2 && t.place() == Place.ROOM)
                .flatMap(t -> t.stretches().stream())
                .forEach(stretch -> {
                    Instant since = null;
                    for (int i = 0; i < stretch.at().size(); i++) {
                        Instant at = Instant.ofEpochSecond(stretch.at().get(i));
                        boolean there = (stretch.low().get(i) + stretch.high().get(i)) / 2 > somebody;
                        if (there && since == null) {
                            since = at;
                        } else if (!there && since != null) {
                            stays.add(new Stay(since, at));
                            since = null;
                        }
                    }
                    if (since != null) {
                        stays.add(new Stay(
                                since,
                                Instant.ofEpochSecond(
                                        stretch.at().get(stretch.at().size() - 1))));
                    }
                });
        return stays;
    }

    private static Seawater typicalWater(Tank tank) {
        Assumptions assumed = tank.assumptions();
        return new Seawater(assumed.salinityPsu(), assumed.temperatureC());
    }
}
