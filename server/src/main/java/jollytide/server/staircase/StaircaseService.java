package jollytide.server.staircase;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import jollytide.core.air.RoomAir;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RememberedMean;
import jollytide.core.exchange.SettlingTime;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.staircase.CarbonateMap;
import jollytide.core.staircase.DayAround;
import jollytide.core.staircase.DayAround.AlkalinityRise;
import jollytide.core.staircase.Staircase;
import jollytide.core.staircase.StaircaseBuilder;
import jollytide.core.staircase.StaircaseInputs;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.probe.ProbeBook;
import jollytide.server.reading.ReadingRow;
import jollytide.server.reading.ReadingService;
import jollytide.server.reading.ReadingView;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers what was measured around a moment and has the core build the staircase from it. */
@Service
@Transactional(readOnly = true)
class StaircaseService {
    /** A reading this much after the moment still belongs to it: people measure one thing after the other. */
    private static final Duration SAME_SITTING = Duration.ofHours(1);

    private static final Duration BEFORE_SWITCH = Duration.ofHours(2);
    private static final Duration AFTER_SWITCH = Duration.ofMinutes(10);
    private static final int DAYS_BACK = 14;
    private static final Duration DAY = Duration.ofDays(1);
    private static final Duration TWO_MONTHS = Duration.ofDays(60);
    private static final Duration EVER = Duration.ofDays(20_000);
    /** Readings of one quantity at one moment by different methods: the checked probe's is the one to believe. */
    private static final Limit METHODS_AT_ONE_TIME = Limit.of(4);

    private static final Duration MIDDLE = Duration.ofMinutes(15);
    /** CO2 around which the settling time is taken while the water's own is not known, µatm. From memory. */
    private static final double TYPICAL_UATM = 800;

    private final TankService tanks;
    private final ReadingService readings;
    private final ProbeBook probes;
    private final Clock clock;

    StaircaseService(TankService tanks, ReadingService readings, ProbeBook probes, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.probes = probes;
        this.clock = clock;
    }

    /** The moments of the day that a staircase can describe. */
    enum MomentName {
        BEFORE_LIGHTS_ON,
        BEFORE_LIGHTS_OFF,
        LATEST,
        /** A reading that the caller names. */
        READING
    }

    /**
     * One of those moments.
     *
     * @param ph the pH reading that stands for it; null when there is none
     */
    record Moment(MomentName name, @Nullable ReadingView ph) {}

    record StaircaseView(MomentName shown, List<Moment> moments, Staircase staircase, CarbonateMap map) {}

    StaircaseView staircase(UUID keeperId, UUID tankId, @Nullable MomentName wanted, @Nullable Instant at) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        Optional<ReadingRow> beforeOn = beforeSwitch(tank, now, LightClock::lastOn);
        Optional<ReadingRow> beforeOff = beforeSwitch(tank, now, LightClock::lastOff);
        Optional<ReadingRow> latest = latest(tank, Quantity.PH, Place.TANK, now, EVER);
        Optional<ReadingRow> named = at == null ? Optional.empty() : latest(tank, Quantity.PH, Place.TANK, at, DAY);

        MomentName shown = at != null ? MomentName.READING : wanted != null ? wanted : preferred(beforeOn, latest);
        Optional<ReadingRow> ph = switch (shown) {
            case BEFORE_LIGHTS_ON -> beforeOn;
            case BEFORE_LIGHTS_OFF -> beforeOff;
            case LATEST -> latest;
            case READING -> named;
        };
        Instant moment = ph.map(ReadingRow::at).orElse(at == null ? now : at);
        StaircaseInputs inputs = inputs(tank, moment, ph);
        Seawater water = water(inputs);
        List<Moment> moments = List.of(
                moment(MomentName.BEFORE_LIGHTS_ON, beforeOn),
                moment(MomentName.BEFORE_LIGHTS_OFF, beforeOff),
                moment(MomentName.LATEST, latest));
        return new StaircaseView(
                shown,
                moments,
                StaircaseBuilder.build(inputs),
                CarbonateMap.of(water, tank.home().pressureHpa()));
    }

    /** The trough tells most; a log whose newest reading is a day past its last trough is asked about that one. */
    private static MomentName preferred(Optional<ReadingRow> beforeOn, Optional<ReadingRow> latest) {
        boolean fresh = beforeOn.isPresent()
                && latest.isPresent()
                && Duration.between(beforeOn.get().at(), latest.get().at()).compareTo(DAY) <= 0;
        return fresh ? MomentName.BEFORE_LIGHTS_ON : MomentName.LATEST;
    }

    private static Moment moment(MomentName name, Optional<ReadingRow> ph) {
        return new Moment(name, ph.map(ReadingView::of).orElse(null));
    }

    private interface Switch {
        Instant last(LightClock light, Instant t, ZoneId zone);
    }

    private Optional<ReadingRow> beforeSwitch(Tank tank, Instant now, Switch which) {
        LightClock light = tank.light();
        if (!light.switches()) {
            return Optional.empty();
        }
        Instant until = now.plus(BEFORE_SWITCH);
        for (int day = 0; day <= DAYS_BACK; day++) {
            Instant turn = which.last(light, until, tank.home().zone());
            List<ReadingRow> near = readings.between(
                    tank,
                    Quantity.PH,
                    Place.TANK,
                    turn.minus(BEFORE_SWITCH),
                    turn.plus(AFTER_SWITCH),
                    Limit.unlimited());
            // At the switch itself the curve has turned already: what stands just before it tells more.
            Optional<ReadingRow> nearest = near.stream()
                    .min(Comparator.comparing((ReadingRow row) -> !row.at().isBefore(turn))
                            .thenComparing(
                                    row -> Duration.between(row.at(), turn).abs()));
            if (nearest.isPresent()) {
                return nearest;
            }
            until = turn.minusSeconds(1);
        }
        return Optional.empty();
    }

    private Optional<ReadingRow> latest(Tank tank, Quantity quantity, Place place, Instant until, Duration maxAge) {
        return readings.between(tank, quantity, place, until.minus(maxAge), until, METHODS_AT_ONE_TIME).stream()
                .min(Comparator.comparing(ReadingRow::at)
                        .reversed()
                        .thenComparing(row -> row.method() != Method.PROBE_CHECKED));
    }

    private StaircaseInputs inputs(Tank tank, Instant moment, Optional<ReadingRow> ph) {
        Assumptions assumptions = assumptions(tank, ph);
        double pressure = tank.home().pressureHpa();
        Seawater typical = new Seawater(assumptions.salinityPsu(), assumptions.temperatureC());
        Observation temperature = near(tank, Quantity.TEMPERATURE, Place.TANK, moment, DAY, typical);
        Observation salinity = near(tank, Quantity.SALINITY, Place.TANK, moment, TWO_MONTHS, typical);
        Seawater water = new Seawater(
                salinity == null ? typical.salinity() : salinity.value(),
                temperature == null ? typical.temperatureC() : temperature.value());
        Observation alkalinity = near(tank, Quantity.ALKALINITY, Place.TANK, moment, TWO_MONTHS, water);
        Observation outdoors = near(tank, Quantity.CO2, Place.OUTDOORS, moment, TWO_MONTHS, water);
        Estimate settling = settlingHours(tank, water, alkalinity);
        double outdoorPpm = outdoors == null ? assumptions.outdoorPpm() : outdoors.value();
        return new StaircaseInputs(
                moment,
                !tank.light().litAt(moment, tank.home().zone()),
                ph.map(row -> row.standard(water, pressure)).orElse(null),
                alkalinity,
                temperature,
                salinity,
                near(tank, Quantity.CALCIUM, Place.TANK, moment, TWO_MONTHS, water),
                room(tank, moment, settling.value(), water),
                outdoors,
                near(tank, Quantity.CO2, Place.INTAKE, moment, DAY, water),
                pressure,
                tank.band(),
                tank.stance(),
                settling,
                roomExpected(tank, outdoorPpm),
                tank.parts().line() != null,
                around(tank, moment, water),
                assumptions);
    }

    /** A probe whose calibrations are known has an error of its own. */
    private Assumptions assumptions(Tank tank, Optional<ReadingRow> ph) {
        OptionalDouble known = ph.isEmpty()
                ? OptionalDouble.empty()
                : probes.of(tank).uncertainty(ph.get().at(), ph.get().value());
        return known.isPresent() ? tank.assumptions().withProbeError(known.getAsDouble()) : tank.assumptions();
    }

    private @Nullable Observation near(
            Tank tank, Quantity quantity, Place place, Instant moment, Duration maxAge, Seawater water) {
        return latest(tank, quantity, place, moment.plus(SAME_SITTING), maxAge.plus(SAME_SITTING))
                .map(row -> row.standard(water, tank.home().pressureHpa()))
                .map(observation -> notAfter(moment, observation))
                .orElse(null);
    }

    /** The 24 hours before the moment, and those after it as far as they are logged; by half hours. */
    private DayAround around(Tank tank, Instant moment, Seawater water) {
        List<Observation> day = halfHours(tank, Quantity.PH, Place.TANK, moment.minus(DAY), moment.plus(DAY), water);
        return new DayAround(
                day.stream().min(Comparator.comparingDouble(Observation::value)).orElse(null),
                day.stream().max(Comparator.comparingDouble(Observation::value)).orElse(null),
                rise(tank, moment, water));
    }

    /** From the lowest alkalinity test within a day before the newest, each with its kit's error. */
    private @Nullable AlkalinityRise rise(Tank tank, Instant moment, Seawater water) {
        List<Observation> tests = readings
                .between(
                        tank,
                        Quantity.ALKALINITY,
                        Place.TANK,
                        moment.minus(DAY.multipliedBy(2)),
                        moment.plus(DAY),
                        Limit.unlimited())
                .stream()
                .map(row -> row.standard(water, tank.home().pressureHpa()))
                .toList();
        if (tests.size() < 2) {
            return null;
        }
        Observation newest = tests.get(0);
        return tests.stream()
                .skip(1)
                .filter(t -> Duration.between(t.at(), newest.at()).compareTo(DAY) <= 0)
                .min(Comparator.comparingDouble(Observation::value))
                .map(first -> {
                    double from = AlkalinityUnit.DKH.fromMeqPerL(first.value());
                    double to = AlkalinityUnit.DKH.fromMeqPerL(newest.value());
                    double error = Math.hypot(
                            tank.assumptions().alkalinityErrorDkh(first.method(), 0),
                            tank.assumptions().alkalinityErrorDkh(newest.method(), 0));
                    return new AlkalinityRise(from, to - from, error);
                })
                .orElse(null);
    }

    /** Half hours as observations in their middle; a single reading where it was taken. */
    private List<Observation> halfHours(
            Tank tank, Quantity quantity, Place place, Instant from, Instant to, Seawater water) {
        double pressure = tank.home().pressureHpa();
        return readings.halfHours(tank, quantity, place, from, to).stream()
                .map(h -> new Observation(
                        h.mean(water, pressure),
                        h.method(),
                        h.n() == 1 ? h.lowAt() : h.start().plus(MIDDLE)))
                .toList();
    }

    /** Over the water's whole memory, however often a meter reads; the newest older reading where that is empty. */
    private @Nullable RememberedMean room(Tank tank, Instant moment, double settlingHours, Seawater water) {
        double pressure = tank.home().pressureHpa();
        Instant from = moment.minusSeconds(Math.round(3 * settlingHours * 3600));
        List<Observation> recent =
                halfHours(tank, Quantity.CO2, Place.ROOM, from, moment.plus(SAME_SITTING), water).stream()
                        .map(o -> notAfter(moment, o))
                        .toList();
        return RememberedMean.of(recent, moment, settlingHours)
                .or(() -> latest(tank, Quantity.CO2, Place.ROOM, moment, TWO_MONTHS)
                        .map(row -> row.standard(water, pressure))
                        .map(old -> new RememberedMean(old.value(), old, 1)))
                .orElse(null);
    }

    private static Observation notAfter(Instant moment, Observation o) {
        return o.at().isAfter(moment) ? new Observation(o.value(), o.method(), moment) : o;
    }

    /** The keeper's own value, else from the described surfaces and skimmer, else the assumed one. */
    private static Estimate settlingHours(Tank tank, Seawater water, @Nullable Observation alkalinity) {
        Assumptions assumptions = tank.assumptions();
        double conductance = tank.co2Conductance(water);
        boolean own = assumptions.settlingHours() != Assumptions.DEFAULT.settlingHours();
        if (own || conductance <= 0) {
            double hours = assumptions.settlingHours();
            double factor = own ? 1 : SettlingTime.UNCERTAINTY_FACTOR;
            return new Estimate(hours, hours / factor, hours * factor);
        }
        double meqPerL = alkalinity == null
                ? AlkalinityUnit.DKH.toMeqPerL(assumptions.normalAlkalinityDkh())
                : alkalinity.value();
        Estimate hours = SettlingTime.hours(
                CarbonateSystem.of(water),
                meqPerL / 1000 / water.densityKgPerL(),
                TYPICAL_UATM,
                tank.netVolumeL(),
                conductance);
        return new Estimate(bounded(hours.value()), bounded(hours.low()), bounded(hours.high()));
    }

    /** As far as a room's past is looked back on at all. */
    private static double bounded(double hours) {
        return Math.max(Assumptions.LEAST_SETTLING_H, Math.min(Assumptions.MOST_SETTLING_H, hours));
    }

    private static @Nullable Estimate roomExpected(Tank tank, double outdoorPpm) {
        Double volume = tank.room().volumeM3();
        return volume == null || tank.room().people().nobody()
                ? null
                : RoomAir.expectedShutPpm(
                        outdoorPpm,
                        tank.room().people(),
                        volume,
                        RoomAir.airChangesPerH(tank.room().airChangesPerH()));
    }

    private static Seawater water(StaircaseInputs inputs) {
        Assumptions assumptions = inputs.assumptions();
        Observation s = inputs.salinityPsu();
        Observation t = inputs.temperatureC();
        return new Seawater(
                s == null ? assumptions.salinityPsu() : s.value(), t == null ? assumptions.temperatureC() : t.value());
    }
}
