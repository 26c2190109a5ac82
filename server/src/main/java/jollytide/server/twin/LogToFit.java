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
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.air.RoomAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.dosingline.KnownUse;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Experiment;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.TemperatureCourse;
import jollytide.core.measure.Setup;
import jollytide.core.probe.ProbeHistory;
import jollytide.core.reef.ReefWater;
import jollytide.core.seawater.Seawater;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventView;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.LogSnapshot;
import jollytide.server.tank.ChapterBook;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;

/**
 * What of a tank's log its twin is fitted to: a fortnight up to the last midnight, or up to the last experiment's way
 * back, run as the tank was at each hour; not before a change that nobody described in measures' terms, and without the days that its keeper left out.
 *
 * @param change the last of those; null without one
 * @param days those of them since the tank is what it is now that were logged closely
 */
record LogToFit(TankLog log, @Nullable Change change, List<Trace.Extremes> days) {
    private static final int HALF_HOUR_S = 1800;
    static final Duration TWO_MONTHS = Duration.ofDays(60);
    /** Common practice: two days. */
    static final Duration SETTLING = Duration.ofDays(2);

    private static final Set<EventKind> CHANGES_THE_TANK =
            EnumSet.of(EventKind.REMEDY, EventKind.FAULT, EventKind.MAINTENANCE);

    /** What made another tank of it, nobody said in which way. */
    record Change(String title, Instant at) {
        Instant settled() {
            return at.plus(SETTLING);
        }
    }

    /** A time whose readings say nothing of the tank as it is described. */
    private record Out(Instant from, Instant until) {
        boolean holds(Instant t) {
            return !t.isBefore(from) && t.isBefore(until);
        }
    }

    /**
     * What of a log is fitted to.
     *
     * @param happened in the time that the snapshot looks back
     * @param chapters of the tank's description up to then, the last one as it is
     */
    static LogToFit of(
            Tank tank,
            LogSnapshot ofTank,
            List<EventView> happened,
            SetupOfTank.Known known,
            List<ChapterBook.Stretch> chapters) {
        Instant midnight = TwinBook.start(tank, ofTank.at());
        Instant until = until(midnight, happened, ofTank.at());
        Instant back = TwinBook.ago(midnight);
        Change change = lastChange(happened);
        Instant since = change == null || change.settled().isBefore(back) ? back : change.settled();
        Setup setup = known.setup();
        List<Out> settling = settling(known.standing(), chapters, until);
        List<Out> unsaid = unsaid(happened);
        Predicate<Instant> out = t -> leftOut(t, setup.zone(), happened)
                || settling.stream().anyMatch(o -> o.holds(t))
                || unsaid.stream().anyMatch(o -> o.holds(t));
        List<Reading> ph = readings(ofTank, Quantity.PH, setup, since, until, out);
        List<Reading> oxygen = readings(ofTank, Quantity.OXYGEN, setup, since, until, out);
        Instant asItIs = settling.stream()
                .map(Out::until)
                .filter(settled -> settled.isAfter(since))
                .max(Comparator.naturalOrder())
                .orElse(since);
        Predicate<Instant> usual = t -> !t.isBefore(asItIs) && t.isBefore(midnight) && !tried(t, happened);
        return new LogToFit(
                new TankLog(
                        ph,
                        oxygen,
                        room(ofTank, setup, back, until),
                        known.roomMeasured(),
                        alkalinity(ofTank, setup.water(), setup.pressureHpa()),
                        temperature(ofTank, setup, since, until),
                        interludes(known, chapters, back, until)),
                change,
                wholeDays(tank, ph.stream().filter(r -> usual.test(r.at())).toList()));
    }

    /** All that was logged between two times, as of one tank, the days that nobody learns from among them. */
    static TankLog whole(LogSnapshot ofTank, Setup setup, boolean roomMeasured, Instant from, Instant until) {
        return new TankLog(
                readings(ofTank, Quantity.PH, setup, from, until, t -> false),
                List.of(),
                room(ofTank, setup, from, until),
                roomMeasured,
                alkalinity(ofTank, setup.water(), setup.pressureHpa()),
                temperature(ofTank, setup, from, until),
                List.of());
    }

    /** The same, run as what the tank was in each of those hours. */
    static TankLog whole(
            LogSnapshot ofTank,
            SetupOfTank.Known known,
            List<ChapterBook.Stretch> chapters,
            Instant from,
            Instant until) {
        return whole(ofTank, known.setup(), known.roomMeasured(), from, until)
                .with(interludes(known, chapters, from, until));
    }

    /** Up to the last midnight; where an experiment was over since then, up to the end of its way back or now. */
    private static Instant until(Instant midnight, List<EventView> happened, Instant now) {
        return happened.stream()
                .filter(EventView::experiment)
                .map(EventView::until)
                .filter(over -> over != null && over.isBefore(now))
                .map(over -> over.plus(Experiment.RECOVERY))
                .map(back -> halfHour(back.isAfter(now) ? now : back))
                .filter(back -> back.isAfter(midnight))
                .max(Comparator.naturalOrder())
                .orElse(midnight);
    }

    /** The one that has begun. */
    private static Instant halfHour(Instant t) {
        return t.truncatedTo(ChronoUnit.SECONDS).minusSeconds(t.getEpochSecond() % HALF_HOUR_S);
    }

    /** Whether an experiment went on then, or the water was on its way back from one. */
    private static boolean tried(Instant t, List<EventView> happened) {
        return happened.stream()
                .filter(EventView::experiment)
                .anyMatch(e -> !t.isBefore(e.at())
                        && (e.until() == null || t.isBefore(e.until().plus(Experiment.RECOVERY))));
    }

    /**
     * With what is known of the probe in the middle of the log: its ± is taken for two standard deviations.
     *
     * @param airChangesKnown whether the keeper says how often the room's air is changed
     * @param use as doses and tests tell it; null where it is as described
     */
    static Priors priors(TankLog log, ProbeHistory probe, boolean airChangesKnown, @Nullable KnownUse use) {
        Priors ofRoom = airChangesKnown ? Priors.ASSUMED.withAirChanges(RoomAir.OWN_LN_DEVIATION) : Priors.ASSUMED;
        Priors assumed = use == null ? ofRoom : ofRoom.withUse(use.lnDeviation());
        if (log.ph().isEmpty()) {
            return assumed;
        }
        Reading middle = log.ph().get(log.ph().size() / 2);
        OptionalDouble known = probe.uncertainty(middle.at(), middle.value());
        return known.isPresent() ? assumed.withProbe(known.getAsDouble() / 2, assumed.probePhPerDay()) : assumed;
    }

    /** As what the tank stood in each stretch between its changes, where that is not what it is now. */
    private static List<TankLog.Interlude> interludes(
            SetupOfTank.Known known, List<ChapterBook.Stretch> chapters, Instant back, Instant last) {
        Stream<Instant> ofMeasures = known.standing().all().stream()
                .flatMap(put -> Stream.of(
                        Optional.of(put.event().at()),
                        Optional.ofNullable(put.event().until())))
                .flatMap(Optional::stream);
        Stream<Instant> ofChapters =
                chapters.stream().map(ChapterBook.Stretch::from).filter(Objects::nonNull);
        List<Instant> edges = Stream.of(ofMeasures, ofChapters, Stream.of(back, last))
                .flatMap(Function.identity())
                .filter(t -> !t.isBefore(back) && !t.isAfter(last))
                .sorted()
                .distinct()
                .toList();
        List<TankLog.Interlude> all = new ArrayList<>();
        for (int i = 0; i + 1 < edges.size(); i++) {
            Instant from = edges.get(i);
            Tank then = chapters.stream()
                    .filter(c -> c.until() == null || c.until().isAfter(from))
                    .findFirst()
                    .orElseThrow()
                    .tank();
            Setup as = known.as().apply(then).with(known.standing().at(from));
            if (!as.equals(known.setup())) {
                all.add(new TankLog.Interlude(from, edges.get(i + 1), as));
            }
        }
        return all;
    }

    /**
     * After a change the water settles. How strong something was that is off again nobody knows: the run goes through it,
     * and its readings are left out. An experiment was made to be read.
     */
    private static List<Out> settling(Standing standing, List<ChapterBook.Stretch> chapters, Instant last) {
        Stream<Standing.Put> lasting =
                standing.all().stream().filter(put -> !put.event().experiment());
        Stream<Out> ofMeasures = lasting.map(put -> {
            Instant at = put.event().at();
            Instant until = put.event().until();
            boolean over = until != null && !until.isAfter(last);
            return new Out(at, (over ? until : at).plus(SETTLING));
        });
        Stream<Out> ofChapters = chapters.stream()
                .map(ChapterBook.Stretch::from)
                .filter(Objects::nonNull)
                .map(from -> new Out(from, from.plus(SETTLING)));
        return Stream.concat(ofMeasures, ofChapters).toList();
    }

    /** An experiment and its way back, as long as nobody says what it did: the tank was not as it is described. */
    private static List<Out> unsaid(List<EventView> happened) {
        return happened.stream()
                .filter(e -> e.experiment() && e.measures() == null && e.until() != null)
                .map(e -> new Out(e.at(), e.until().plus(Experiment.RECOVERY)))
                .toList();
    }

    /** The last thing that changed the tank in nobody knows what way. */
    private static @Nullable Change lastChange(List<EventView> happened) {
        return happened.stream()
                .filter(e -> e.measures() == null && CHANGES_THE_TANK.contains(e.kind()))
                .map(e -> new Change(e.title(), e.until() == null ? e.at() : e.until()))
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
                ? "The last 14 days have " + logged + " of pH, but not half a day after “" + change.title()
                        + "” had settled. Describe the event’s effect, and the days before count, too."
                : "The last 14 days have " + logged + " of pH. We need at least half a day from a probe, up to "
                        + "last midnight.";
    }

    /** Null where nothing was read in that time: then it keeps its usual one. */
    private static @Nullable TemperatureCourse temperature(
            LogSnapshot ofTank, Setup setup, Instant from, Instant until) {
        List<Reading> read = ofTank.halfHours(Quantity.TEMPERATURE, Place.TANK).stream()
                .filter(h -> !h.start().isBefore(from) && h.start().isBefore(until))
                .map(h -> new Reading(middle(h), h.mean(setup.water(), setup.pressureHpa())))
                .sorted(Comparator.comparing(Reading::at))
                .toList();
        return read.isEmpty() ? null : TemperatureCourse.of(read);
    }

    private static List<Reading> readings(
            LogSnapshot ofTank, Quantity quantity, Setup setup, Instant from, Instant until, Predicate<Instant> out) {
        return ofTank.halfHours(quantity, Place.TANK).stream()
                .filter(h -> TwinBook.PROBES.contains(h.method()))
                .filter(h -> !h.start().isBefore(from) && h.start().isBefore(until))
                .filter(h -> !out.test(h.start()))
                .map(h -> new Reading(middle(h), h.mean(setup.water(), setup.pressureHpa())))
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

    private static List<Trace.Extremes> wholeDays(Tank tank, List<Reading> ph) {
        return List.copyOf(Trace.days(
                        ph.stream()
                                .map(r -> new Observation(r.value(), Method.PROBE, r.at()))
                                .toList(),
                        tank.home().zone())
                .values());
    }

    /** The tests of the last fortnight; the newest one where there is none, if it is not too old. */
    static AlkalinityCourse alkalinity(LogSnapshot ofTank, Seawater water, double pressureHpa) {
        List<Reading> tests = ofTank.halfHours(Quantity.ALKALINITY, Place.TANK).stream()
                .map(h -> new Reading(h.start(), h.mean(water, pressureHpa)))
                .filter(test -> ReefWater.mayHold(test.value()))
                .toList();
        Stream<Reading> newest = ofTank.latest(Quantity.ALKALINITY, Place.TANK, TWO_MONTHS).stream()
                .map(row ->
                        new Reading(row.at(), row.standard(water, pressureHpa).value()))
                .filter(test -> ReefWater.mayHold(test.value()));
        return AlkalinityCourse.of(tests.isEmpty() ? newest.toList() : tests);
    }

    /** The room hour by hour as it was logged. */
    private static RoomCourse room(LogSnapshot ofTank, Setup setup, Instant back, Instant last) {
        Instant from = back.truncatedTo(ChronoUnit.HOURS);
        int hours = (int) Duration.between(from, last).toHours() + 1;
        double[] sum = new double[hours];
        int[] n = new int[hours];
        for (HalfHour h : ofTank.halfHours(Quantity.CO2, Place.ROOM)) {
            int i = (int) Duration.between(from, h.start()).toHours();
            if (i >= 0 && i < hours) {
                sum[i] += h.mean(setup.water(), setup.pressureHpa());
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
