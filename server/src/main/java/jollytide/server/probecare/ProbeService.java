package jollytide.server.probecare;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.Trace;
import jollytide.core.probe.AirBalance;
import jollytide.core.probe.Buffer;
import jollytide.core.probe.Calibration;
import jollytide.core.probe.MethodsCompared;
import jollytide.core.probe.ProbeHistory;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.home.LocalTimes;
import jollytide.server.probe.ProbeBook;
import jollytide.server.probe.ProbeBook.Kept;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.ReadingRow;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shows a tank's pH probe, looks at calibrations before they are kept, and says what they move. */
@Service
@Transactional
class ProbeService {
    /** Where a reef's pH is: a correction is given for a reading of this. */
    private static final double REEF_PH = 8.2;

    private static final Duration MOVED_OVER = Duration.ofDays(21);
    private static final Duration COMPARED_OVER = Duration.ofDays(180);
    private static final int COURSE_STEPS = 180;
    private static final Duration BEFORE_THE_FIRST = Duration.ofDays(10);
    private static final Duration TWO_MONTHS = Duration.ofDays(60);

    private final TankService tanks;
    private final ProbeBook probes;
    private final ReadingService readings;
    private final Clock clock;

    ProbeService(TankService tanks, ProbeBook probes, ReadingService readings, Clock clock) {
        this.tanks = tanks;
        this.probes = probes;
        this.readings = readings;
        this.clock = clock;
    }

    /**
     * A calibration as it is shown.
     *
     * @param id null while it is only looked at
     * @param slopePercent of the ideal one; null with fewer than two buffers
     * @param offsetMv at pH 7, at 25 °C; null without a buffer
     * @param tooMuchPh what it showed too much at pH 8.2; null without a buffer
     */
    record CalibrationView(
            @Nullable UUID id,
            Instant at,
            List<Calibration.BufferReading> points,
            Calibration.Then meter,
            @Nullable Double setC,
            String note,
            @Nullable Double slopePercent,
            @Nullable Double offsetMv,
            @Nullable Double tooMuchPh,
            Calibration.Condition condition) {
        static CalibrationView of(@Nullable UUID id, String note, Calibration c, double tankC) {
            Double tooMuch = c.points().isEmpty()
                    ? null
                    : -new ProbeHistory(List.of(c), tankC)
                            .at(c.at().minusMillis(1))
                            .correction(REEF_PH);
            return new CalibrationView(
                    id,
                    c.at(),
                    c.points(),
                    c.then(),
                    c.setC(),
                    note,
                    known(c.slopePercent()),
                    known(c.offsetMv()),
                    c.then() == Calibration.Then.NEW_PROBE ? null : tooMuch,
                    c.condition());
        }

        private static @Nullable Double known(double value) {
            return Double.isNaN(value) ? null : value;
        }
    }

    /** What it shows beside another method, both at one time. */
    record ComparedView(Method method, List<MethodsCompared.Pair> pairs, double meanDifference) {}

    /**
     * A probe.
     *
     * @param calibrations newest first
     * @param correctionPh of a reading of 8.2 now
     * @param uncertaintyPh ± of a corrected reading now; null while nothing is known of it
     * @param due when it should stand in buffers again
     * @param since when it was put in; null when not known
     * @param course through half a year, and from ten days before the first calibration at the earliest; empty without one
     */
    record ProbeView(
            List<CalibrationView> calibrations,
            double correctionPh,
            @Nullable Double uncertaintyPh,
            @Nullable Instant due,
            boolean late,
            @Nullable Instant since,
            List<CoursePoint> course,
            List<BufferView> buffers,
            List<ComparedView> compared) {}

    /** What is added to a reading of 8.2 at a moment, and ± of it then. */
    record CoursePoint(Instant at, double correctionPh, double uncertaintyPh) {}

    /** A standard buffer by the degree, from {@link Buffer#LEAST_C} on. */
    record BufferView(Buffer buffer, double fromC, List<Double> ph) {
        static List<BufferView> all() {
            return Stream.of(Buffer.values())
                    .map(b -> new BufferView(
                            b,
                            Buffer.LEAST_C,
                            IntStream.rangeClosed((int) Buffer.LEAST_C, (int) Buffer.MOST_C)
                                    .mapToObj(b::ph)
                                    .toList()))
                    .toList();
        }
    }

    /**
     * By how much a calibration moves what was logged.
     *
     * @param days whole days of the last three weeks
     * @param troughBefore mean trough as it is read without it, and {@code troughAfter} with it
     */
    record Moved(int days, double troughBefore, double troughAfter) {}

    /** @param moved null where there is no log to move */
    record Looked(CalibrationView calibration, @Nullable Moved moved) {}

    @Transactional(readOnly = true)
    public ProbeView probe(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        List<Kept> kept = probes.kept(tank);
        ProbeHistory history = probes.of(tank);
        double tankC = tank.assumptions().temperatureC();
        OptionalDouble uncertainty = history.uncertainty(now, REEF_PH);
        Instant due = history.due();
        return new ProbeView(
                kept.stream()
                        .sorted(Comparator.comparing((Kept k) -> k.calibration().at())
                                .reversed())
                        .map(k -> CalibrationView.of(k.id(), k.note(), k.calibration(), tankC))
                        .toList(),
                history.at(now).correction(REEF_PH),
                uncertainty.isPresent() ? uncertainty.getAsDouble() : null,
                due,
                due != null && due.isBefore(now),
                kept.stream()
                        .map(Kept::calibration)
                        .filter(c -> c.then() == Calibration.Then.NEW_PROBE)
                        .map(Calibration::at)
                        .reduce((a, b) -> b)
                        .orElse(null),
                kept.isEmpty()
                        ? List.of()
                        : course(history, kept.get(0).calibration().at(), now),
                BufferView.all(),
                compared(tank, now));
    }

    private static List<CoursePoint> course(ProbeHistory history, Instant first, Instant now) {
        Instant back = now.minus(COMPARED_OVER);
        Instant before = first.minus(BEFORE_THE_FIRST);
        Instant from = before.isBefore(back) ? back : before;
        Duration step = Duration.between(from, now).dividedBy(COURSE_STEPS);
        return IntStream.rangeClosed(0, COURSE_STEPS)
                .mapToObj(i -> from.plus(step.multipliedBy(i)))
                // Nothing is known from before a probe that was new.
                .flatMap(at -> history.uncertainty(at, REEF_PH).stream()
                        .mapToObj(doubt -> new CoursePoint(at, history.at(at).correction(REEF_PH), doubt)))
                .toList();
    }

    /** Without keeping it. */
    @Transactional(readOnly = true)
    public Looked look(UUID keeperId, UUID tankId, NewCalibration body) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant at = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        Calibration fresh = body.at(at);
        return new Looked(
                CalibrationView.of(null, body.note(), fresh, tank.assumptions().temperatureC()), moved(tank, fresh));
    }

    public Looked keep(UUID keeperId, UUID tankId, NewCalibration body) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant at = LocalTimes.resolve("at", body.at(), tank.home().zone(), clock.instant());
        Moved moved = moved(tank, body.at(at));
        Kept kept = probes.add(tank, body.at(at), body.note());
        return new Looked(
                CalibrationView.of(
                        kept.id(),
                        kept.note(),
                        kept.calibration(),
                        tank.assumptions().temperatureC()),
                moved);
    }

    public void delete(UUID keeperId, UUID tankId, UUID id) {
        probes.delete(tanks.tank(keeperId, tankId), id);
    }

    private @Nullable Moved moved(Tank tank, Calibration fresh) {
        Instant now = clock.instant();
        ProbeHistory with = new ProbeHistory(
                Stream.concat(probes.kept(tank).stream().map(Kept::calibration), Stream.of(fresh))
                        .toList(),
                tank.assumptions().temperatureC());
        List<HalfHour> logged = readings.halfHours(tank, Quantity.PH, Place.TANK, now.minus(MOVED_OVER), now).stream()
                .filter(h -> h.method() == Method.PROBE)
                .toList();
        Seawater water = water(tank);
        double pressure = tank.home().pressureHpa();
        Collection<Trace.Extremes> before = extremes(tank, logged, h -> h.mean(water, pressure));
        Collection<Trace.Extremes> after =
                extremes(tank, logged, h -> with.at(h.start()).ph(h.unit().toStandard(h.mean(), water, pressure)));
        return before.isEmpty()
                ? null
                : new Moved(
                        before.size(),
                        mean(before, e -> e.trough().value()),
                        mean(after, e -> e.trough().value()));
    }

    private static double mean(Collection<Trace.Extremes> days, ToDoubleFunction<Trace.Extremes> of) {
        return days.stream().mapToDouble(of).average().orElseThrow();
    }

    private static Collection<Trace.Extremes> extremes(
            Tank tank, List<HalfHour> logged, ToDoubleFunction<HalfHour> value) {
        return Trace.days(
                        logged.stream()
                                .map(h -> new Observation(value.applyAsDouble(h), h.method(), h.start()))
                                .toList(),
                        tank.home().zone())
                .values();
    }

    private List<ComparedView> compared(Tank tank, Instant now) {
        Seawater water = water(tank);
        double pressure = tank.home().pressureHpa();
        Map<Boolean, List<HalfHour>> all =
                readings.halfHours(tank, Quantity.PH, Place.TANK, now.minus(COMPARED_OVER), now).stream()
                        .collect(Collectors.partitioningBy(h -> h.method() == Method.PROBE));
        List<Observation> probe = observations(all.get(true), water, pressure);
        return Stream.of(Method.COLOUR_KIT, Method.PROBE_CHECKED)
                .flatMap(method -> {
                    List<MethodsCompared.Pair> pairs = MethodsCompared.pairs(
                            probe,
                            observations(
                                    all.get(false).stream()
                                            .filter(h -> h.method() == method)
                                            .toList(),
                                    water,
                                    pressure));
                    return MethodsCompared.meanDifference(pairs).stream()
                            .mapToObj(mean -> new ComparedView(method, pairs, mean));
                })
                .toList();
    }

    private static List<Observation> observations(List<HalfHour> halfHours, Seawater water, double pressure) {
        return halfHours.stream()
                .map(h -> new Observation(
                        h.mean(water, pressure),
                        h.method(),
                        h.n() == 1 ? h.lowAt() : h.start().plusSeconds(900)))
                .toList();
    }

    /**
     * What a glass of tank water shows once outdoor air has bubbled through it until its pH rests.
     *
     * @param glassC its own temperature
     * @param airPpm of that air; outdoor air when null
     */
    record Glass(double shownPh, double glassC, @Nullable Double airPpm) {}

    /**
     * What the glass should show.
     *
     * @param shownPh corrected by the calibrations
     * @param holds whether it lies within what the balance allows
     * @param alkalinityDkh of the last test, that the balance is computed from
     */
    record Balance(
            Estimate expectedPh,
            double shownPh,
            boolean holds,
            double alkalinityDkh,
            Instant testedAt,
            double airPpm) {}

    @Transactional(readOnly = true)
    public Balance balance(UUID keeperId, UUID tankId, Glass glass) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        Assumptions assumed = tank.assumptions();
        Seawater typical = water(tank);
        double pressure = tank.home().pressureHpa();
        ReadingRow test = newest(tank, Quantity.ALKALINITY, now)
                .orElseThrow(() -> Problem.refused(new FieldError(
                        "alkalinity",
                        null,
                        "a test of the last two months",
                        "We need an alkalinity test from the last two months. Add one first.")));
        double salinity = newest(tank, Quantity.SALINITY, now)
                .map(row -> row.standard(typical, pressure).value())
                .orElse(assumed.salinityPsu());
        double alkalinity = test.standard(typical, pressure).value();
        double ppm = glass.airPpm() == null ? assumed.outdoorPpm() : glass.airPpm();
        Estimate expected = AirBalance.expected(
                new Seawater(salinity, glass.glassC()),
                alkalinity,
                AlkalinityUnit.DKH.toMeqPerL(assumed.alkalinityErrorDkh(test.method(), 0)),
                ppm,
                pressure);
        double shown = probes.of(tank).at(now).ph(glass.shownPh());
        return new Balance(
                expected, shown, expected.holds(shown), AlkalinityUnit.DKH.fromMeqPerL(alkalinity), test.at(), ppm);
    }

    private Optional<ReadingRow> newest(Tank tank, Quantity quantity, Instant now) {
        return readings.between(tank, quantity, Place.TANK, now.minus(TWO_MONTHS), now, Limit.of(1)).stream()
                .findFirst();
    }

    private static Seawater water(Tank tank) {
        return new Seawater(tank.assumptions().salinityPsu(), tank.assumptions().temperatureC());
    }
}
