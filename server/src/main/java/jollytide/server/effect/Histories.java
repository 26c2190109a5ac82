package jollytide.server.effect;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.SortedMap;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.Reading;
import jollytide.core.probe.Calibration;
import jollytide.core.seawater.Seawater;
import jollytide.server.effect.EffectViews.Trough;
import jollytide.server.event.EventService;
import jollytide.server.probe.ProbeBook;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import jollytide.server.twin.TwinBook;
import org.springframework.stereotype.Component;

/** What happened to tanks, and whether what was made of it still rests on the same. */
@Component
class Histories {
    /** However fast the water follows, animals and lamps need a day; however slowly, nobody waits for longer. */
    private static final Duration LEAST_SETTLING = Duration.ofDays(1);

    private static final Duration MOST_SETTLING = Duration.ofDays(4);

    private final EventService events;
    private final ChapterBook chapters;
    private final ProbeBook probes;
    private final ReadingService readings;
    private final LogSnapshots snapshots;
    private final TwinBook book;
    private final Clock clock;

    Histories(
            EventService events,
            ChapterBook chapters,
            ProbeBook probes,
            ReadingService readings,
            LogSnapshots snapshots,
            TwinBook book,
            Clock clock) {
        this.events = events;
        this.chapters = chapters;
        this.probes = probes;
        this.readings = readings;
        this.snapshots = snapshots;
        this.book = book;
        this.clock = clock;
    }

    TankHistory of(Tank tank) {
        Instant now = clock.instant();
        List<Calibration> calibrations =
                probes.kept(tank).stream().map(ProbeBook.Kept::calibration).toList();
        return new TankHistory(
                tank,
                now,
                events.between(tank, Instant.EPOCH, now),
                chapters.changes(tank),
                calibrations,
                troughs(tank),
                settling(tank));
    }

    private Duration settling(Tank tank) {
        Duration settling = book.settling(tank);
        return settling.compareTo(LEAST_SETTLING) < 0
                ? LEAST_SETTLING
                : settling.compareTo(MOST_SETTLING) > 0 ? MOST_SETTLING : settling;
    }

    private List<Trough> troughs(Tank tank) {
        Seawater water = new Seawater(
                tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
        List<Observation> halfHours =
                readings.halfHours(tank, Quantity.PH, Place.TANK, Instant.EPOCH, clock.instant()).stream()
                        .filter(h -> TwinBook.PROBES.contains(h.method()))
                        .map(h -> new Observation(h.mean(water, tank.home().pressureHpa()), h.method(), h.start()))
                        .toList();
        return Trace.days(halfHours, tank.home().zone()).entrySet().stream()
                .map(e -> new Trough(e.getKey(), e.getValue().trough().value()))
                .toList();
    }

    /** What was logged of something between two times in the core's unit, so many half hours taken together; pH by probes. */
    List<Reading> read(TankHistory history, Quantity quantity, Place place, Instant from, Instant until, int perGroup) {
        return readings.observed(history.tank(), quantity, place, from, until, perGroup).stream()
                .filter(o -> quantity != Quantity.PH || TwinBook.PROBES.contains(o.method()))
                .map(o -> new Reading(o.at(), o.value()))
                .toList();
    }

    /** When which part of its log was written last. */
    SortedMap<Long, String> stamps(Tank tank) {
        return snapshots.stamps(tank);
    }

    /**
     * Of all that something rests on.
     *
     * @param what it is made from beside the events from one time to another and the log
     * @param stamps of the part of the log that it is made from
     */
    String fingerprint(
            TankHistory history, List<Object> what, Instant from, Instant until, SortedMap<Long, String> stamps) {
        List<String> meanwhile = history.between(from.minus(TwinBook.LOOKED_BACK), until).stream()
                .map(e -> e.id() + " " + e.version())
                .toList();
        return book.fingerprint(List.of(what, meanwhile, history.calibrations(), stamps));
    }

    /** Those of the days from one time to another. */
    static SortedMap<Long, String> within(SortedMap<Long, String> stamps, Instant from, Instant until) {
        return stamps.subMap(epochDay(from), epochDay(until.minusNanos(1)) + 1);
    }

    private static long epochDay(Instant t) {
        return Math.floorDiv(t.getEpochSecond(), Duration.ofDays(1).toSeconds());
    }
}
