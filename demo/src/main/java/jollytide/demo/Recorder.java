package jollytide.demo;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.NavigableSet;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.Stream;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.RawUnit;
import jollytide.core.evidence.Sensor;
import jollytide.core.probe.Calibration;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.units.AlkalinityUnit;
import jollytide.demo.TankHistory.Sample;
import jollytide.demo.TankHistory.Series;

/** Runs a twin and lets sensors and a keeper with test kits read it. */
final class Recorder {
    static final int DAYS = 120;
    private static final Duration EVERY = Duration.ofMinutes(5);
    private static final Duration WARM_UP = Duration.ofDays(6);
    private static final Duration CALIBRATED_BEFORE_START = Duration.ofDays(20);
    private static final double GAPS_PER_DAY = 0.08;
    private static final Set<DayOfWeek> TEST_DAYS = Set.of(DayOfWeek.WEDNESDAY, DayOfWeek.SATURDAY);

    private static final Sensor PROBE = new Sensor(3, 0.02, -0.0012, 0.003, 0.01);
    private static final Sensor THERMOMETER = new Sensor(5, 0.1, 0, 0.03, 0.1);
    private static final Sensor CO2_METER = new Sensor(8, 12, 0, 9, 1);
    private static final Sensor ALKALINITY_KIT = new Sensor(0, 0, 0, 0.08, 0.1);

    private final TwinTank tank;
    private final Household household;
    private final SplittableRandom random;
    private final ZoneId zone;
    private final NavigableSet<Instant> calibrations;

    /** @param calibrations when the keeper put the pH probe into its buffers */
    Recorder(TwinTank tank, Household household, long seed, List<Instant> calibrations) {
        this.tank = tank;
        this.household = household;
        this.random = new SplittableRandom(seed);
        this.zone = household.zone();
        this.calibrations = new TreeSet<>(calibrations);
    }

    private Instant end() {
        return household.end().truncatedTo(ChronoUnit.MINUTES);
    }

    private Instant begin() {
        return end().minus(DAYS, ChronoUnit.DAYS).truncatedTo(ChronoUnit.HOURS);
    }

    /** What the probe showed in two buffers each time, before its meter set itself by them. */
    List<Calibration> found() {
        List<Calibration> found = new ArrayList<>();
        Instant setBefore = begin().minus(CALIBRATED_BEFORE_START);
        for (Instant at : calibrations) {
            double days = Duration.between(setBefore, at).toHours() / 24.0;
            double tooMuch = PROBE.offset() + PROBE.driftPerDay() * days;
            List<Calibration.BufferReading> points = Stream.of(7.0, 10.0)
                    .map(buffer ->
                            new Calibration.BufferReading(buffer, 22, Math.round((buffer + tooMuch) * 100) / 100.0))
                    .toList();
            found.add(new Calibration(at, points, Calibration.Then.SET_ITSELF, null));
            setBefore = at;
        }
        return found;
    }

    List<Series> record(double startDkh) {
        Instant end = end();
        Instant begin = begin();
        Twin twin = new Twin(tank);
        double meq = AlkalinityUnit.DKH.toMeqPerL(startDkh);
        TwinState start = twin.start(begin.minus(WARM_UP), meq, 700);
        List<TwinState> truth = twin.run(start, end, EVERY).stream()
                .filter(s -> !s.at().isBefore(begin))
                .toList();
        return List.of(
                logged(truth, begin, RawUnit.PH_NBS, Place.TANK, Method.PROBE, PROBE),
                logged(truth, begin, RawUnit.CELSIUS, Place.TANK, Method.METER, THERMOMETER),
                logged(truth, begin, RawUnit.CO2_PPM, Place.ROOM, Method.METER, CO2_METER),
                alkalinityTests(truth),
                monthly(truth, RawUnit.PSU, Method.REFRACTOMETER, tank.water().salinityPsu()),
                monthly(truth, RawUnit.CALCIUM_MG_PER_L, Method.TITRATION_KIT, DemoHistory.CALCIUM_MG_PER_L));
    }

    private Series logged(
            List<TwinState> truth, Instant begin, RawUnit unit, Place place, Method method, Sensor sensor) {
        Sensor.AtWork atWork = sensor.new AtWork(random.split());
        SplittableRandom gaps = random.split();
        List<Sample> samples = new ArrayList<>();
        Instant silentUntil = begin;
        for (TwinState state : truth) {
            Instant calibrated = calibrations.floor(state.at());
            Instant since = calibrated == null ? begin.minus(CALIBRATED_BEFORE_START) : calibrated;
            double days = Duration.between(since, state.at()).toMinutes() / 1440.0;
            double shown = atWork.read(value(state, unit), (double) EVERY.toMinutes(), days);
            if (gaps.nextDouble() < GAPS_PER_DAY * EVERY.toMinutes() / 1440) {
                silentUntil = state.at().plus(Duration.ofMinutes(60 + gaps.nextInt(240)));
            }
            if (!state.at().isBefore(silentUntil)) {
                samples.add(new Sample(state.at(), tidy(shown)));
            }
        }
        return new Series(unit, place, method, samples);
    }

    private static double value(TwinState state, RawUnit unit) {
        return switch (unit) {
            case PH_NBS -> state.phNbs();
            case CELSIUS -> state.temperatureC();
            case CO2_PPM -> state.roomPpm();
            default -> throw new IllegalArgumentException("no sensor reads " + unit);
        };
    }

    /** Wednesdays and Saturdays in the early evening. */
    private Series alkalinityTests(List<TwinState> truth) {
        Sensor.AtWork kit = ALKALINITY_KIT.new AtWork(random.split());
        List<Sample> samples = new ArrayList<>();
        for (TwinState state : truth) {
            var local = state.at().atZone(zone);
            boolean testTime =
                    local.toLocalTime().truncatedTo(ChronoUnit.MINUTES).equals(LocalTime.of(18, 0));
            if (testTime && TEST_DAYS.contains(local.getDayOfWeek())) {
                Seawater water = new Seawater(tank.water().salinityPsu(), state.temperatureC());
                double dkh = AlkalinityUnit.DKH.fromMeqPerL(state.alkalinityMolPerKg() * 1000 * water.densityKgPerL());
                samples.add(new Sample(state.at(), tidy(kit.read(dkh, 0, 0))));
            }
        }
        return new Series(RawUnit.DKH, Place.TANK, Method.TITRATION_KIT, samples);
    }

    private Series monthly(List<TwinState> truth, RawUnit unit, Method method, double value) {
        Instant last = truth.get(truth.size() - 1).at();
        List<Sample> samples = new ArrayList<>();
        for (int days = 3; days < DAYS; days += 29) {
            samples.add(0, new Sample(last.minus(days, ChronoUnit.DAYS), value));
        }
        return new Series(unit, Place.TANK, method, samples);
    }

    private static double tidy(double value) {
        return Math.round(value * 1000) / 1000.0;
    }
}
