package jollytide.server.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.bench.Caution;
import jollytide.core.bench.DailyAir;
import jollytide.core.bench.Forecast;
import jollytide.core.bench.Forecast.SettledDay;
import jollytide.core.bench.Living;
import jollytide.core.bench.LogFit;
import jollytide.core.bench.Remedies;
import jollytide.core.bench.Setup;
import jollytide.core.dosing.Limewater;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Skimmer;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import jollytide.core.staircase.Assumptions;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;
import jollytide.core.units.Quantities;
import jollytide.server.bench.BenchController.Flue;
import jollytide.server.bench.BenchController.ForecastRequest;
import jollytide.server.bench.BenchController.Stone;
import jollytide.server.bench.BenchController.Variant;
import jollytide.server.event.EventKind;
import jollytide.server.event.EventService;
import jollytide.server.reading.HalfHour;
import jollytide.server.reading.ReadingRow;
import jollytide.server.reading.ReadingService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Describes the tank to the twin, and runs remedies on it. */
@Service
@Transactional(readOnly = true)
class BenchService {
    private static final Duration LOOKED_BACK = Duration.ofDays(14);
    private static final Duration RUN = Duration.ofDays(7);
    private static final Duration DRAWN = Duration.ofDays(2);
    private static final Duration TWO_MONTHS = Duration.ofDays(60);
    /** A day with fewer logged half hours does not tell its trough and peak. */
    private static final int HALF_HOURS_OF_A_DAY = 40;

    private static final int LEAST_DAYS = 3;
    /** Common practice: two days. */
    private static final Duration SETTLING = Duration.ofDays(2);

    private static final Set<EventKind> CHANGES_THE_TANK =
            EnumSet.of(EventKind.REMEDY, EventKind.FAULT, EventKind.MAINTENANCE);
    private static final double ROOM_ASSUMED_PPM = 800;

    private final TankService tanks;
    private final ReadingService readings;
    private final EventService events;
    private final Clock clock;

    BenchService(TankService tanks, ReadingService readings, EventService events, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.events = events;
        this.clock = clock;
    }

    /**
     * The tank on the bench.
     *
     * @param roomPpm the room's CO2 for each hour of an ordinary day
     * @param roomMeasured whether that is from the log; else assumed
     * @param troughPh mean of the whole days since the tank last changed, of a fortnight at most; null without such days
     * @param tanks that could be behind the log: all of them have that trough and peak
     * @param lit when the lamps are on in the two days that forecasts are drawn for
     * @param fitted false when there is no log to fit to, or no plausible tank fits it
     */
    record BenchView(
            double alkalinityMeqPerL,
            boolean alkalinityMeasured,
            double temperatureC,
            double salinityPsu,
            double outdoorPpm,
            List<Double> roomPpm,
            boolean roomMeasured,
            @Nullable Double skimmerAirDrawLPerH,
            @Nullable Double troughPh,
            @Nullable Double peakPh,
            int daysUsed,
            List<Living> tanks,
            boolean fitted,
            List<LightClock.Lit> lit) {}

    /** A quantity over time: value of the first tank, and the band between all of them. */
    record Course(List<Double> value, List<Double> low, List<Double> high) {}

    /**
     * What a variant brings.
     *
     * @param at seconds since 1970, from the start on
     * @param troughPh of the settled day; the others likewise
     * @param gainPh of the trough, over today
     * @param drawKept share of the skimmer's draw that a hose leaves; null without hose
     */
    record VariantView(
            List<Long> at,
            Course ph,
            Course oxygenMgPerL,
            Estimate troughPh,
            Instant troughAt,
            Estimate peakPh,
            Estimate gainPh,
            Estimate lowestOxygenMgPerL,
            @Nullable Estimate drawKept,
            @Nullable Double boreKeeping95Mm,
            List<String> cautions) {}

    /** What the log knows for a setup. */
    private record Known(Setup setup, boolean alkalinityMeasured, boolean roomMeasured) {}

    BenchView bench(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        Known known = known(tank, now);
        List<double[]> sinceChange = wholeDays(tank, asItIsSince(tank, now), now);
        List<double[]> days =
                sinceChange.size() >= LEAST_DAYS ? sinceChange : wholeDays(tank, now.minus(LOOKED_BACK), now);
        Double trough = days.size() < LEAST_DAYS ? null : mean(days, 0);
        Double peak = days.size() < LEAST_DAYS ? null : mean(days, 1);
        List<Living> fitted = trough == null || peak == null
                ? List.of()
                : LogFit.tanks(known.setup(), start(tank, now), trough, peak);
        Skimmer skimmer = known.setup().skimmer();
        return new BenchView(
                known.setup().alkalinityMeqPerL(),
                known.alkalinityMeasured(),
                known.setup().water().temperatureC(),
                known.setup().water().salinity(),
                known.setup().outdoorPpm(),
                known.setup().room().hourlyPpm(),
                known.roomMeasured(),
                skimmer == null ? null : skimmer.airDrawLPerH(),
                trough,
                peak,
                days.size(),
                fitted.isEmpty() ? List.of(Living.ORDINARY) : fitted,
                !fitted.isEmpty(),
                tank.light()
                        .litBetween(
                                start(tank, now),
                                start(tank, now).plus(DRAWN),
                                tank.home().zone()));
    }

    private static double mean(List<double[]> days, int which) {
        return days.stream().mapToDouble(d -> d[which]).average().orElseThrow();
    }

    /** The last local midnight: from there the drawing runs. */
    private static Instant start(Tank tank, Instant now) {
        ZoneId zone = tank.home().zone();
        return LocalDate.ofInstant(now, zone).atStartOfDay(zone).toInstant();
    }

    private Known known(Tank tank, Instant now) {
        Assumptions assumed = tank.assumptions();
        double pressure = tank.home().pressureHpa();
        Seawater typical = new Seawater(assumed.salinityPsu(), assumed.temperatureC());
        double temperature = latest(tank, Quantity.TEMPERATURE, now, Duration.ofDays(2))
                .map(row -> row.standard(typical, pressure).value())
                .orElse(assumed.temperatureC());
        double salinity = latest(tank, Quantity.SALINITY, now, TWO_MONTHS)
                .map(row -> row.standard(typical, pressure).value())
                .orElse(assumed.salinityPsu());
        Seawater water = new Seawater(salinity, temperature);
        Optional<Double> alkalinity = latest(tank, Quantity.ALKALINITY, now, TWO_MONTHS)
                .map(row -> row.standard(water, pressure).value());
        Optional<DailyAir> room = room(tank, now, water, pressure);
        Double draw = tank.skimmerAirDrawLPerH();
        Setup setup = new Setup(
                tank.netVolumeL(),
                water,
                alkalinity.orElse(AlkalinityUnit.DKH.toMeqPerL(assumed.normalAlkalinityDkh())),
                pressure,
                tank.surfaces(),
                draw == null ? null : new Skimmer(draw),
                assumed.outdoorPpm(),
                room.orElse(DailyAir.constant(ROOM_ASSUMED_PPM)),
                tank.light(),
                tank.home().zone());
        return new Known(setup, alkalinity.isPresent(), room.isPresent());
    }

    private Optional<ReadingRow> latest(Tank tank, Quantity quantity, Instant now, Duration maxAge) {
        return readings.between(tank, quantity, Place.TANK, now.minus(maxAge), now, Limit.of(1)).stream()
                .findFirst();
    }

    /** The room by hours, from the last fortnight; empty unless every hour was measured. */
    private Optional<DailyAir> room(Tank tank, Instant now, Seawater water, double pressure) {
        ZoneId zone = tank.home().zone();
        double[] sum = new double[24];
        int[] n = new int[24];
        for (HalfHour h : readings.halfHours(tank, Quantity.CO2, Place.ROOM, now.minus(LOOKED_BACK), now)) {
            int hour = h.start().atZone(zone).getHour();
            sum[hour] += h.unit().toStandard(h.mean(), water, pressure);
            n[hour]++;
        }
        if (IntStream.of(n).anyMatch(count -> count == 0)) {
            return Optional.empty();
        }
        return Optional.of(
                new DailyAir(IntStream.range(0, 24).mapToObj(h -> sum[h] / n[h]).toList()));
    }

    /** Since when the tank is what it is now: the last hardware event and two days for settling, a fortnight at most. */
    private Instant asItIsSince(Tank tank, Instant now) {
        return events.between(tank, now.minus(LOOKED_BACK), now).stream()
                .filter(e -> CHANGES_THE_TANK.contains(e.kind()))
                .map(e -> e.at().plus(SETTLING))
                .max(Comparator.naturalOrder())
                .orElse(now.minus(LOOKED_BACK));
    }

    /** Trough and peak, NBS scale, of each day that was logged closely. */
    private List<double[]> wholeDays(Tank tank, Instant since, Instant now) {
        ZoneId zone = tank.home().zone();
        Assumptions assumed = tank.assumptions();
        Seawater water = new Seawater(assumed.salinityPsu(), assumed.temperatureC());
        double pressure = tank.home().pressureHpa();
        List<double[]> days = new ArrayList<>();
        LocalDate today = LocalDate.ofInstant(now, zone);
        for (LocalDate day = LocalDate.ofInstant(since, zone).plusDays(1); day.isBefore(today); day = day.plusDays(1)) {
            Instant from = day.atStartOfDay(zone).toInstant();
            Instant to = day.plusDays(1).atStartOfDay(zone).toInstant().minusSeconds(1);
            List<HalfHour> halfHours = readings.halfHours(tank, Quantity.PH, Place.TANK, from, to);
            if (halfHours.size() >= HALF_HOURS_OF_A_DAY) {
                double[] means = halfHours.stream()
                        .mapToDouble(h -> h.unit().toStandard(h.mean(), water, pressure))
                        .sorted()
                        .toArray();
                days.add(new double[] {means[0], means[means.length - 1]});
            }
        }
        return days;
    }

    List<VariantView> forecast(UUID keeperId, UUID tankId, ForecastRequest request) {
        Tank tank = tanks.tank(keeperId, tankId);
        Instant now = clock.instant();
        Setup setup = known(tank, now).setup();
        Instant at = start(tank, now);
        List<Remedies> variants =
                request.variants().stream().map(v -> remedies(v, setup)).toList();
        // Tanks are run side by side, each with all variants.
        List<List<List<TwinState>>> runs = request.tanks().parallelStream()
                .map(living -> {
                    Forecast forecast = new Forecast(setup, living);
                    TwinState today = forecast.today(at);
                    List<List<TwinState>> ofTank = new ArrayList<>();
                    ofTank.add(forecast.run(today, Remedies.NONE, Duration.ofDays(1)));
                    variants.forEach(remedies -> ofTank.add(forecast.run(today, remedies, RUN)));
                    return ofTank;
                })
                .toList();
        List<SettledDay> today =
                runs.stream().map(ofTank -> Forecast.settled(ofTank.get(0))).toList();
        return IntStream.range(0, variants.size())
                .mapToObj(i -> view(
                        setup,
                        variants.get(i),
                        runs.stream().map(ofTank -> ofTank.get(i + 1)).toList(),
                        today))
                .toList();
    }

    private static VariantView view(
            Setup setup, Remedies remedies, List<List<TwinState>> runs, List<SettledDay> today) {
        List<SettledDay> settled = runs.stream().map(Forecast::settled).toList();
        List<Double> gains = IntStream.range(0, runs.size())
                .mapToObj(i -> settled.get(i).troughPh() - today.get(i).troughPh())
                .toList();
        Estimate oxygen = Forecast.band(
                settled.stream().map(SettledDay::lowestOxygenMgPerL).toList());
        AirLine line = remedies.line();
        Skimmer skimmer = setup.skimmer();
        boolean hose = line != null && skimmer != null;
        Instant until = runs.get(0).get(0).at().plus(DRAWN);
        int drawn =
                (int) runs.get(0).stream().filter(s -> s.at().isBefore(until)).count();
        return new VariantView(
                runs.get(0).stream()
                        .limit(drawn)
                        .map(s -> s.at().getEpochSecond())
                        .toList(),
                course(runs, drawn, TwinState::phNbs),
                course(runs, drawn, TwinState::oxygenMgPerL),
                Forecast.band(settled.stream().map(SettledDay::troughPh).toList()),
                settled.get(0).troughAt(),
                Forecast.band(settled.stream().map(SettledDay::peakPh).toList()),
                Forecast.band(gains),
                oxygen,
                hose ? line.keptAssumed(skimmer.airDrawLPerH()) : null,
                hose ? line.boreKeeping(0.95, skimmer.airDrawLPerH(), AirLine.ASSUMED_SUCTION_PA) : null,
                Caution.of(remedies, today.get(0), settled.get(0), oxygen.low()));
    }

    private interface Value {
        double of(TwinState state);
    }

    private static Course course(List<List<TwinState>> runs, int drawn, Value value) {
        List<Estimate> bands = IntStream.range(0, drawn)
                .mapToObj(i -> Forecast.band(
                        runs.stream().map(run -> value.of(run.get(i))).toList()))
                .toList();
        return new Course(
                bands.stream().map(e -> rounded(e.value())).toList(),
                bands.stream().map(e -> rounded(e.low())).toList(),
                bands.stream().map(e -> rounded(e.high())).toList());
    }

    private static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }

    private static Remedies remedies(Variant v, Setup setup) {
        BenchController.Hose line = v.line();
        if (line != null && setup.skimmer() == null) {
            throw new InputException(
                    "line", line.lengthM(), "a tank with a skimmer", "There is no skimmer to fit a line to.");
        }
        Stone stone = v.stone();
        double limewater = v.limewaterMlPerDay() == null
                ? 0
                : new Limewater(or(v.limewaterStrength(), 1)).meqPerLPerDay(v.limewaterMlPerDay(), setup.netVolumeL());
        return new Remedies(
                or(v.ventilationTimes(), 1),
                Boolean.TRUE.equals(v.nobodyHome()),
                line == null ? null : new AirLine(line.lengthM(), line.boreMm(), AirLine.ASSUMED_LOSS),
                line == null || line.flue() == null ? null : mouth(line.flue(), setup.outdoorPpm()),
                or(v.mediaPass(), 1),
                or(v.freshShare(), 1),
                or(v.skimmerShare(), 1),
                or(v.surfaceTimes(), 1),
                stone == null
                        ? null
                        : new Bubbles(stone.airLPerH(), stone.diameterMm(), stone.depthM(), Bubbles.Skin.RIGID),
                limewater);
    }

    private static DailyAir mouth(Flue flue, double outdoors) {
        int from = (int) Quantities.within("line.flue.fromHour", flue.fromHour(), 0, 23, "h");
        int to = (int) Quantities.within("line.flue.toHour", flue.toHour(), 0, 24, "h");
        return new DailyAir(IntStream.range(0, 24)
                .mapToObj(h -> (from <= to ? h >= from && h < to : h >= from || h < to) ? flue.ppm() : outdoors)
                .toList());
    }

    private static double or(@Nullable Double given, double otherwise) {
        return given == null ? otherwise : given;
    }
}
