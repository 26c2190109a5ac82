package jollytide.server.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.bench.Caution;
import jollytide.core.bench.DoseLimit;
import jollytide.core.bench.FixedLine;
import jollytide.core.bench.Forecast;
import jollytide.core.bench.Forecast.SettledDay;
import jollytide.core.bench.Living;
import jollytide.core.bench.MediaInUse;
import jollytide.core.bench.Outlay;
import jollytide.core.bench.Remedies;
import jollytide.core.bench.Remedy;
import jollytide.core.bench.Setup;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Skimmer;
import jollytide.core.media.MediaLife;
import jollytide.core.reef.Evaporation;
import jollytide.core.reef.LightClock;
import jollytide.core.staircase.CarbonateMap;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.bench.BenchController.ForecastRequest;
import jollytide.server.media.MediaService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Runs remedies on a computed twin of the tank. */
@Service
class BenchService {
    private static final Duration RUN = Duration.ofDays(7);
    private static final int DRAWN_DAYS = 2;
    /** A fortnight is drawn by the hour. */
    private static final int QUARTERS_OF_AN_HOUR = 4;
    /** The air over a tank, for evaporation. From memory. */
    private static final double AIR_C = 21;

    private static final double AIR_HUMIDITY = 0.5;
    /** Room assumed where its volume is not known, for costs only, m³. */
    private static final double ORDINARY_ROOM_M3 = 100;
    /** Moves smaller than a test kit can tell are not drawn: dKH, mg/L, mg/L. */
    private static final double MOVED_DKH = 0.05;

    private static final double MOVED_CALCIUM = 2;
    private static final double MOVED_POTASSIUM = 1;
    /** Time constants until a change has come through, to 95 %. */
    private static final double SETTLED_TAUS = 3;

    private final TankService tanks;
    private final TwinBook book;
    private final MediaService media;

    BenchService(TankService tanks, TwinBook book, MediaService media) {
        this.tanks = tanks;
        this.book = book;
        this.media = media;
    }

    /**
     * The tank on the bench.
     *
     * @param roomPpm the room's CO2 for each hour of an ordinary day
     * @param roomMeasured whether that is from the log; else assumed
     * @param airChangesPerH of the room: described, or at least what the log asks for
     * @param roomM3 null when not described
     * @param hose that stays; null without one
     * @param troughPh mean of the whole days since the tank last changed, of a fortnight at most; null without such days
     * @param tanks that could be behind the log: all of them have that trough and peak
     * @param lit when the lamps are on in the days that forecasts are drawn for
     * @param fitted false when there is no log to fit to, or no plausible tank fits it
     * @param fitProblem why it is not, or what is doubtful about it; null when nothing is to be said
     * @param alkalinityUseDkhPerDay as described, or what the reactor brings; 0 when neither is known
     * @param contradiction in the description, in words; null when there is none
     * @param evaporationLPerDay assumed from surface and temperature: the most limewater that fits into a day
     * @param mediaCapacityLPerKg assumed, or taught by this tank's own fills
     */
    record BenchView(
            double alkalinityMeqPerL,
            boolean alkalinityMeasured,
            double temperatureC,
            double salinityPsu,
            double outdoorPpm,
            List<Double> roomPpm,
            boolean roomMeasured,
            double airChangesPerH,
            @Nullable Double roomM3,
            @Nullable Double skimmerAirDrawLPerH,
            @Nullable HoseView hose,
            boolean cabinet,
            boolean canopy,
            boolean reactor,
            @Nullable Double troughPh,
            @Nullable Double peakPh,
            int daysUsed,
            List<Living> tanks,
            boolean fitted,
            @Nullable String fitProblem,
            List<LightClock.Lit> lit,
            AlkalinitySource alkalinitySource,
            double alkalinityUseDkhPerDay,
            double evaporationLPerDay,
            double mediaCapacityLPerKg,
            boolean mediaCapacityLearnt,
            @Nullable String contradiction,
            CarbonateMap map) {}

    /**
     * The hose from outdoors as it stands.
     *
     * @param keptShare of the skimmer's free draw
     * @param drawMeasured whether that was measured; else from length and bore
     * @param outdoorShare of what is breathed, from CO2 at the intake; null when not measured, and everything is assumed
     */
    record HoseView(
            double keptShare,
            boolean drawMeasured,
            @Nullable Double outdoorShare) {
        static @Nullable HoseView of(Setup setup) {
            FixedLine line = setup.line();
            Skimmer skimmer = setup.skimmer();
            return line == null || skimmer == null
                    ? null
                    : new HoseView(line.kept(skimmer.airDrawLPerH()), line.drawnLPerH() != null, line.outdoorShare());
        }
    }

    /** A quantity over time: value of the first tank, and the band between all of them. */
    record BandCourse(List<Double> value, List<Double> low, List<Double> high) {}

    /**
     * How long scrubber media last in such a use.
     *
     * @param days between the least and the most capacity that is assumed
     * @param halfDay when half of the gain is gone; null when that never comes
     * @param colourDay when to change them by colour; null when they never get there
     */
    record MediaForecast(
            MediaLife.End end,
            Estimate days,
            @Nullable Double colourDay,
            @Nullable Double halfDay) {}

    /**
     * What a set does to alkalinity, calcium and potassium; only where it moves them.
     *
     * @param alkalinityDkh at the forecast's moments; the others likewise
     * @param potassiumGainMgPerL over that of the start
     */
    record Chemistry(List<Double> alkalinityDkh, List<Double> calciumMgPerL, List<Double> potassiumGainMgPerL) {}

    /**
     * A dose that was stopped: the forecast is that of the most that is allowed.
     *
     * @param allowed in the unit in which it was asked for: mL/day of limewater, else dKH/day
     */
    record DoseStop(String because, double asked, double allowed, boolean limewater) {}

    /**
     * What a variant brings.
     *
     * @param at seconds since 1970, from the start on
     * @param troughPh of the settled day, with fresh media; the others likewise
     * @param gainPh of that trough, over the same day's as it is
     * @param settleHours until a change has come through
     * @param drawKept share of the skimmer's draw that a hose leaves; null without hose
     * @param ways whether the set removes the source of the CO2, offsets it, or is a fault
     */
    record VariantView(
            List<Long> at,
            BandCourse ph,
            BandCourse oxygenMgPerL,
            BandCourse roomPpm,
            Estimate troughPh,
            Instant troughAt,
            Estimate peakPh,
            Estimate gainPh,
            Estimate lowestOxygenMgPerL,
            double highestOmega,
            Estimate settleHours,
            @Nullable Estimate drawKept,
            @Nullable Double boreKeeping95Mm,
            @Nullable MediaForecast media,
            @Nullable Chemistry chemistry,
            @Nullable DoseStop stopped,
            Outlay.Cost cost,
            List<Remedy.Way> ways,
            List<String> cautions) {}

    BenchView bench(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        TwinBook.Described known = book.describe(tank);
        Setup setup = known.setup();
        Skimmer skimmer = setup.skimmer();
        MediaService.Capacity capacity = media.capacity(tank);
        return new BenchView(
                setup.alkalinityMeqPerL(),
                known.alkalinityMeasured(),
                setup.water().temperatureC(),
                setup.water().salinity(),
                setup.outdoorPpm(),
                setup.room().ppm().hourlyPpm(),
                known.roomMeasured(),
                setup.room().airChangesPerH(),
                tank.room().volumeM3(),
                skimmer == null ? null : skimmer.airDrawLPerH(),
                HoseView.of(setup),
                setup.cabinet() != null,
                setup.canopy() != null,
                setup.reactor() != null,
                known.troughPh(),
                known.peakPh(),
                known.daysUsed(),
                known.tanks(),
                known.fitted(),
                known.problem(),
                tank.light().litBetween(known.start(), known.start().plus(Duration.ofDays(15)), setup.zone()),
                setup.source(),
                AlkalinityUnit.DKH.fromMeqPerL(setup.useMeqPerLPerDay()),
                evaporationLPerDay(tank, setup),
                capacity.assumed().capacityLPerKg(),
                capacity.learnt(),
                setup.contradiction(),
                CarbonateMap.of(setup.water(), setup.pressureHpa()));
    }

    List<VariantView> forecast(UUID keeperId, UUID tankId, ForecastRequest request) {
        Tank tank = tanks.tank(keeperId, tankId);
        Setup setup = book.setup(tank);
        Instant at = book.start(tank);
        Double roomM3 = tank.room().volumeM3();
        VariantReader reader =
                new VariantReader(setup, roomM3, media.capacity(tank).assumed());
        double evaporation = evaporationLPerDay(tank, setup);
        int days = request.days() == null ? DRAWN_DAYS : request.days();
        Duration run = days > DRAWN_DAYS ? Duration.ofDays(days) : RUN;
        Living first = request.tanks().get(0);
        List<Tried> variants = request.variants().parallelStream()
                .map(reader::read)
                .map(asked -> new Tried(
                        asked,
                        DoseLimit.of(
                                new Forecast(setup, first), setup, asked, book.settled(setup, first, at), evaporation)))
                .toList();
        // Tanks and variants are run side by side.
        List<List<Run>> byVariant = variants.parallelStream()
                .map(tried -> request.tanks().parallelStream()
                        .map(living -> run(setup, living, tried.drawn(), at, run))
                        .toList())
                .toList();
        List<SettledDay> today = request.tanks().stream()
                .map(living -> Forecast.settled(book.asItIs(setup, living, at, run)))
                .toList();
        Double tariff = tank.home().tariffPerKWh();
        double perEuro = tank.home().perEuro();
        Outlay outlay = new Outlay(
                Outlay.Prices.ASSUMED.withElectricity(tariff == null ? null : tariff / perEuro),
                setup,
                roomM3 == null ? ORDINARY_ROOM_M3 : roomM3,
                perEuro);
        return IntStream.range(0, variants.size())
                .mapToObj(i -> view(setup, variants.get(i), byVariant.get(i), today, request.tanks(), days, outlay))
                .toList();
    }

    /** What was asked for, and the limit that it passed. */
    private record Tried(Remedies asked, @Nullable DoseLimit limit) {
        Remedies drawn() {
            return limit == null ? asked : limit.within(asked);
        }

        @Nullable
        DoseStop stop() {
            Remedy.OtherSource dose = asked.find(Remedy.OtherSource.class).orElse(null);
            if (limit == null || dose == null) {
                return null;
            }
            double share = limit.allowedMeqPerLPerDay() / dose.meqPerLPerDay();
            Double litres = dose.litresPerDay();
            double askedFor = litres == null ? AlkalinityUnit.DKH.fromMeqPerL(dose.meqPerLPerDay()) : litres * 1000;
            return new DoseStop(limit.because(), askedFor, askedFor * share, litres != null);
        }
    }

    /** A run as it will be, and the day on which it has settled, while media are fresh. */
    private record Run(List<TwinState> states, SettledDay settled, double lowestOxygen) {
        static Run of(List<TwinState> states, SettledDay settled) {
            return new Run(states, settled, lowest(states));
        }
    }

    private static double lowest(List<TwinState> run) {
        return run.stream().mapToDouble(TwinState::oxygenMgPerL).min().orElseThrow();
    }

    private Run run(Setup setup, Living living, Remedies remedies, Instant at, Duration length) {
        if (remedies.all().isEmpty()) {
            List<TwinState> asItIs = book.asItIs(setup, living, at, length);
            return Run.of(asItIs, Forecast.settled(asItIs));
        }
        Forecast forecast = new Forecast(setup, living);
        TwinState today = book.settled(setup, living, at);
        List<TwinState> states = forecast.run(today, remedies, length);
        Remedy.Scrubber media = remedies.find(Remedy.Scrubber.class).orElse(null);
        if (media == null) {
            return Run.of(states, Forecast.settled(states));
        }
        SettledDay fresh = Forecast.settled(forecast.run(today, Forecast.withFreshMedia(remedies), length));
        // Nobody knows how tight a loop is: its oxygen is that of a tight one.
        boolean loop = media.freshShare() < media.media().assumed().leak();
        return loop
                ? new Run(states, fresh, lowest(forecast.run(today, Forecast.withTightLoop(remedies), length)))
                : Run.of(states, fresh);
    }

    private static double evaporationLPerDay(Tank tank, Setup setup) {
        return Evaporation.litresPerDay(tank.surfaceM2(), setup.water().temperatureC(), AIR_C, AIR_HUMIDITY, 0);
    }

    private static VariantView view(
            Setup setup,
            Tried tried,
            List<Run> byTank,
            List<SettledDay> today,
            List<Living> tanks,
            int days,
            Outlay outlay) {
        Remedies remedies = tried.drawn();
        List<List<TwinState>> runs = byTank.stream().map(Run::states).toList();
        List<SettledDay> settled = byTank.stream().map(Run::settled).toList();
        List<Double> gains = IntStream.range(0, runs.size())
                .mapToObj(i -> settled.get(i).troughPh() - today.get(i).troughPh())
                .toList();
        // What ends badly on the way counts, too: media drown, and oxygen is lowest before that.
        Estimate oxygen = Forecast.band(byTank.stream().map(Run::lowestOxygen).toList());
        Instant until = runs.get(0).get(0).at().plus(Duration.ofDays(days));
        int every = days > DRAWN_DAYS ? QUARTERS_OF_AN_HOUR : 1;
        List<Integer> drawn = IntStream.range(0, runs.get(0).size())
                .filter(i -> i % every == 0 && runs.get(0).get(i).at().isBefore(until))
                .boxed()
                .toList();
        AirLine line = remedies.find(Remedy.OutdoorLine.class)
                .map(Remedy.OutdoorLine::line)
                .orElse(null);
        Skimmer skimmer = setup.skimmer();
        boolean hose = line != null && skimmer != null;
        MediaLife life = MediaInUse.of(setup, remedies, runs.get(0));
        MediaLife.Life ahead = life == null ? null : life.life();
        return new VariantView(
                drawn.stream()
                        .map(i -> runs.get(0).get(i).at().getEpochSecond())
                        .toList(),
                course(runs, drawn, TwinState::phNbs),
                course(runs, drawn, TwinState::oxygenMgPerL),
                course(runs, drawn, TwinState::roomPpm),
                Forecast.band(settled.stream().map(SettledDay::troughPh).toList()),
                settled.get(0).troughAt(),
                Forecast.band(settled.stream().map(SettledDay::peakPh).toList()),
                Forecast.band(gains),
                oxygen,
                settled.stream()
                        .map(SettledDay::highestOmega)
                        .max(Comparator.naturalOrder())
                        .orElseThrow(),
                Forecast.band(tanks.stream()
                        .map(living -> SETTLED_TAUS * new Forecast(setup, living).timeConstantH(remedies))
                        .toList()),
                hose ? line.keptAssumed(skimmer.airDrawLPerH()) : null,
                hose ? line.boreKeeping(0.95, skimmer.airDrawLPerH(), AirLine.ASSUMED_SUCTION_PA) : null,
                life == null || ahead == null
                        ? null
                        : new MediaForecast(ahead.end(), life.endDays(), ahead.colourDay(), ahead.halfDay()),
                chemistry(setup, runs.get(0), drawn),
                tried.stop(),
                outlay.of(remedies, ahead),
                remedies.all().stream().map(Remedy::way).distinct().sorted().toList(),
                Caution.of(remedies, today.get(0), runs.get(0), oxygen.low()));
    }

    private static @Nullable Chemistry chemistry(Setup setup, List<TwinState> run, List<Integer> drawn) {
        double density = setup.water().densityKgPerL();
        List<Double> alkalinity =
                of(run, drawn, s -> AlkalinityUnit.DKH.fromMeqPerL(s.alkalinityMolPerKg() * 1000 * density));
        List<Double> calcium =
                of(run, drawn, s -> s.calciumMolPerKg() * AlkalinitySource.CALCIUM_G_PER_MOL * 1000 * density);
        List<Double> potassium =
                of(run, drawn, s -> s.potassiumGainMolPerKg() * AlkalinitySource.POTASSIUM_G_PER_MOL * 1000 * density);
        return moved(alkalinity) > MOVED_DKH || moved(calcium) > MOVED_CALCIUM || moved(potassium) > MOVED_POTASSIUM
                ? new Chemistry(alkalinity, calcium, potassium)
                : null;
    }

    private static List<Double> of(List<TwinState> run, List<Integer> drawn, Value value) {
        return drawn.stream().map(i -> rounded(value.of(run.get(i)))).toList();
    }

    private static double moved(List<Double> course) {
        return Math.abs(course.get(course.size() - 1) - course.get(0));
    }

    private interface Value {
        double of(TwinState state);
    }

    private static BandCourse course(List<List<TwinState>> runs, List<Integer> drawn, Value value) {
        List<Estimate> bands = drawn.stream()
                .map(i -> Forecast.band(
                        runs.stream().map(run -> value.of(run.get(i))).toList()))
                .toList();
        return new BandCourse(
                bands.stream().map(e -> rounded(e.value())).toList(),
                bands.stream().map(e -> rounded(e.low())).toList(),
                bands.stream().map(e -> rounded(e.high())).toList());
    }

    private static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }
}
