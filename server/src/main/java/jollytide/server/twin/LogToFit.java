package jollytide.server.twin;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.description.RoomCourse;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Setup;
import jollytide.core.seawater.Seawater;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventView;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.LogSnapshot;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;

/**
 * What of a tank's log its twin is fitted to: since the tank last changed, up to the last midnight, without the days that
 * its keeper left out.
 *
 * @param change what last made another tank of it; null when nothing is known
 * @param days those of them that were logged closely
 */
record LogToFit(TankLog log, @Nullable Change change, List<Day> days) {
    static final Duration TWO_MONTHS = Duration.ofDays(60);
    /** Common practice: two days. */
    private static final Duration SETTLING = Duration.ofDays(2);
    /** Half hours are means of many readings; a glance at a kit is no such. */
    private static final Set<Method> PROBES = EnumSet.of(Method.PROBE, Method.PROBE_CHECKED, Method.METER);

    private static final Set<EventKind> CHANGES_THE_TANK =
            EnumSet.of(EventKind.REMEDY, EventKind.FAULT, EventKind.MAINTENANCE);

    /** A whole local day and its extremes, NBS scale. */
    record Day(Instant start, Instant end, double troughPh, double peakPh) {}

    /** What made another tank of it, and when that was over. */
    record Change(String words, Instant at) {
        Instant settled() {
            return at.plus(SETTLING);
        }
    }

    /**
     * What of a log is fitted to.
     *
     * @param happened in the time that the snapshot looks back
     * @param describedSince since when the tank is as it is described; null when it always was
     */
    static LogToFit of(
            Tank tank,
            LogSnapshot ofTank,
            List<EventView> happened,
            SetupOfTank.Known known,
            @Nullable Instant describedSince) {
        Instant midnight = TwinBook.start(tank, ofTank.at());
        Change change = lastChange(happened, known.standing(), describedSince, midnight);
        Instant since = Stream.of(TwinBook.ago(midnight), change == null ? Instant.MIN : change.settled())
                .max(Comparator.naturalOrder())
                .orElseThrow();
        Setup setup = known.setup();
        List<Standing.Put> ended = known.standing().all().stream()
                .filter(put -> over(put, midnight))
                .toList();
        Predicate<Instant> out = t -> leftOut(t, setup.zone(), happened)
                || ended.stream().anyMatch(put -> !t.isBefore(put.event().at()) && t.isBefore(settled(put)));
        List<Reading> ph = readings(ofTank, Quantity.PH, setup, since, midnight, out);
        List<Reading> oxygen = readings(ofTank, Quantity.OXYGEN, setup, since, midnight, out);
        return new LogToFit(
                new TankLog(
                        ph,
                        oxygen,
                        room(ofTank, setup, midnight),
                        known.roomMeasured(),
                        alkalinity(ofTank, setup.water(), setup.pressureHpa()),
                        ended.stream()
                                .map(put -> new TankLog.Interlude(
                                        put.event().at(),
                                        end(put),
                                        put.measures().over(setup.standing())))
                                .toList()),
                change,
                wholeDays(tank, ph));
    }

    private static boolean over(Standing.Put put, Instant t) {
        Instant until = put.event().until();
        return until != null && !until.isAfter(t);
    }

    private static Instant end(Standing.Put put) {
        return Objects.requireNonNull(put.event().until());
    }

    /** From when on the water says nothing any more of what was on it. */
    private static Instant settled(Standing.Put put) {
        return end(put).plus(SETTLING);
    }

    /**
     * Since when the tank is what it is now. What was on it for a while and is described in measures' terms is no such
     * change: the run goes through it, and its days are left out.
     */
    private static @Nullable Change lastChange(
            List<EventView> happened, Standing standing, @Nullable Instant describedSince, Instant midnight) {
        Stream<Change> undescribed = happened.stream()
                .filter(e -> e.measures() == null && CHANGES_THE_TANK.contains(e.kind()))
                .map(e -> new Change("“" + e.title() + "”", e.until() == null ? e.at() : e.until()));
        Stream<Change> lasting = standing.all().stream()
                .filter(put -> !over(put, midnight))
                .map(put ->
                        new Change("“" + put.event().title() + "”", put.event().at()));
        Stream<Change> described = describedSince == null
                ? Stream.of()
                : Stream.of(new Change("the change of its description", describedSince));
        return Stream.of(undescribed, lasting, described)
                .flatMap(Function.identity())
                .max(Comparator.comparing(Change::at))
                .orElse(null);
    }

    /** Why there is nothing to fit to: what is true of this log. Null when nothing was logged at all. */
    @Nullable
    String tooLittle(Tank tank, LogSnapshot ofTank, Setup setup) {
        Instant from = TwinBook.ago(TwinBook.start(tank, ofTank.at()));
        int inAll = wholeDays(tank, readings(ofTank, Quantity.PH, setup, from, ofTank.at(), t -> false))
                .size();
        if (inAll == 0 && log.ph().isEmpty()) {
            return null;
        }
        String logged = inAll == 1 ? "1 whole day" : inAll + " whole days";
        return change != null && change.settled().isAfter(from)
                ? "The last fortnight has " + logged + " of pH, but not half a day since " + change.words()
                        + " and two days of settling."
                : "The log has " + logged + " of pH in the last fortnight; half a day by a probe, up to last"
                        + " midnight, is the least.";
    }

    private static List<Reading> readings(
            LogSnapshot ofTank, Quantity quantity, Setup setup, Instant from, Instant until, Predicate<Instant> out) {
        return ofTank.halfHours(quantity, Place.TANK).stream()
                .filter(h -> PROBES.contains(h.method()))
                .filter(h -> !h.start().isBefore(from) && h.start().isBefore(until))
                .filter(h -> !out.test(h.start()))
                .map(h -> new Reading(middle(h), h.unit().toStandard(h.mean(), setup.water(), setup.pressureHpa())))
                .toList();
    }

    /** Of its readings: the first of so many stands at its beginning. */
    private static Instant middle(HalfHour h) {
        return h.n() == 1 ? h.lowAt() : h.start().plus(TwinBook.MIDDLE).minus(TwinBook.MIDDLE.dividedBy(h.n()));
    }

    /** An event that is not to be learnt from takes its whole local days along. */
    private static boolean leftOut(Instant at, ZoneId zone, List<EventView> happened) {
        LocalDate day = LocalDate.ofInstant(at, zone);
        Instant start = day.atStartOfDay(zone).toInstant();
        Instant end = day.plusDays(1).atStartOfDay(zone).toInstant();
        return happened.stream().anyMatch(e -> e.excludes(start, end));
    }

    private static List<Day> wholeDays(Tank tank, List<Reading> ph) {
        ZoneId zone = tank.home().zone();
        Map<LocalDate, List<Observation>> byDay = new TreeMap<>();
        for (Reading r : ph) {
            byDay.computeIfAbsent(LocalDate.ofInstant(r.at(), zone), d -> new ArrayList<>())
                    .add(new Observation(r.value(), Method.PROBE, r.at()));
        }
        return byDay.entrySet().stream()
                .filter(e -> Trace.tellsItsExtremes(e.getValue().size()))
                .flatMap(e -> Trace.extremes(e.getValue())
                        .map(extremes -> new Day(
                                e.getKey().atStartOfDay(zone).toInstant(),
                                e.getKey().plusDays(1).atStartOfDay(zone).toInstant(),
                                extremes.trough().value(),
                                extremes.peak().value()))
                        .stream())
                .toList();
    }

    /** The tests of the last fortnight; the newest one where there is none, if it is not too old. */
    static AlkalinityCourse alkalinity(LogSnapshot ofTank, Seawater water, double pressureHpa) {
        List<Reading> tests = ofTank.halfHours(Quantity.ALKALINITY, Place.TANK).stream()
                .map(h -> new Reading(h.start(), h.unit().toStandard(h.mean(), water, pressureHpa)))
                .toList();
        Stream<Reading> newest = ofTank.latest(Quantity.ALKALINITY, Place.TANK, TWO_MONTHS).stream()
                .map(row ->
                        new Reading(row.at(), row.standard(water, pressureHpa).value()));
        return AlkalinityCourse.of(tests.isEmpty() ? newest.toList() : tests);
    }

    /** The room hour by hour as it was logged in the fortnight before. */
    private static RoomCourse room(LogSnapshot ofTank, Setup setup, Instant midnight) {
        Instant from = TwinBook.ago(midnight).truncatedTo(ChronoUnit.HOURS);
        int hours = (int) Duration.between(from, midnight).toHours() + 1;
        double[] sum = new double[hours];
        int[] n = new int[hours];
        for (HalfHour h : ofTank.halfHours(Quantity.CO2, Place.ROOM)) {
            int i = (int) Duration.between(from, h.start()).toHours();
            if (i >= 0 && i < hours) {
                sum[i] += h.unit().toStandard(h.mean(), setup.water(), setup.pressureHpa());
                n[i]++;
            }
        }
        return new RoomCourse(
                from.plus(TwinBook.MIDDLE.multipliedBy(2)),
                IntStream.range(0, hours)
                        .mapToObj(i -> n[i] == 0 ? Double.NaN : sum[i] / n[i])
                        .toList());
    }
}
