package jollytide.server.twin;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import jollytide.core.description.FixedLine;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Skimmer;
import jollytide.core.measure.Cost;
import jollytide.core.measure.CostBasis;
import jollytide.core.measure.Dose;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureKind;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Measures;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.Parameter;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerRig;
import jollytide.core.measure.Surroundings;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.Cautions;
import jollytide.core.scenario.DoseLimit;
import jollytide.core.scenario.MediaLife;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.staircase.CarbonateMap;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import jollytide.server.event.EventView;
import jollytide.server.measure.SetRequest;
import jollytide.server.media.MediaService;
import jollytide.server.tank.Tank;
import jollytide.server.tank.TankService;
import jollytide.server.twin.BenchController.ForecastRequest;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Runs measures on a computed twin of the tank. */
@Service
class BenchService {
    private static final Duration RUN = Duration.ofDays(7);
    private static final int DRAWN_DAYS = 2;
    /** A fortnight is drawn by the hour. */
    private static final int QUARTERS_OF_AN_HOUR = 4;
    /** Room assumed where its volume is not known, for costs only, m³. */
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
     * @param useDosed whether the use of alkalinity is from doses that arrived, which it has then
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
     * @param evaporationLPerDay measured, or assumed from surface and temperature: the most limewater that fits into a day
     * @param mediaCapacityLPerKg assumed, or taught by this tank's own fills
     * @param measures what can be tried on it
     * @param impossible what cannot, and what this tank lacks for it
     * @param standing events that put on what stands on it: every variant has it, too, or something in its place
     */
    record BenchView(
            double alkalinityMeqPerL,
            boolean alkalinityMeasured,
            double temperatureC,
            double salinityPsu,
            double outdoorPpm,
            List<Double> roomPpm,
            boolean roomMeasured,
            boolean useDosed,
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
            List<TankParameters> tanks,
            boolean fitted,
            @Nullable String fitProblem,
            List<LightClock.Lit> lit,
            AlkalinitySource alkalinitySource,
            double alkalinityUseDkhPerDay,
            double evaporationLPerDay,
            double mediaCapacityLPerKg,
            boolean mediaCapacityLearnt,
            @Nullable String contradiction,
            CarbonateMap map,
            List<MeasureView> measures,
            List<ImpossibleView> impossible,
            List<EventView> standing) {}

    /** A measure that this tank lacks something for; faults are left out. */
    record ImpossibleView(String kind, String name, String needs) {
        static List<ImpossibleView> of(Surroundings known) {
            return Measures.all().stream()
                    .filter(kind -> !kind.fault() && !kind.fits(known))
                    .map(kind -> new ImpossibleView(
                            kind.id(), kind.name(), kind.needs().words()))
                    .toList();
        }
    }

    /**
     * A measure that this tank has what it needs for, as a screen draws it.
     *
     * @param shortName in a list of what is on
     * @param group of which one at a time can be on; null when it goes with everything
     * @param fault whether it is something that goes wrong rather than something to do
     * @param reversible whether it can be taken back in an hour
     */
    record MeasureView(
            String kind,
            String name,
            String shortName,
            MeasureKind.@Nullable Group group,
            boolean fault,
            boolean reversible,
            List<Parameter> parameters) {
        static List<MeasureView> of(Surroundings known) {
            return Measures.all().stream()
                    .filter(kind -> kind.fits(known))
                    .map(kind -> new MeasureView(
                            kind.id(),
                            kind.name(),
                            kind.shortName(),
                            kind.group(),
                            kind.fault(),
                            kind.reversible(),
                            kind.parameters(known)))
                    .toList();
        }
    }

    /**
     * The hose from outdoors as it stands.
     *
     * @param keptShare of the skimmer's free draw
     * @param drawMeasured whether that was measured; else from length and bore
     * @param outdoorShare of what is breathed, before the log is asked
     * @param shareMeasured whether that is from CO2 at the intake; else assumed
     */
    record HoseView(double keptShare, boolean drawMeasured, double outdoorShare, boolean shareMeasured) {
        static @Nullable HoseView of(Setup setup) {
            FixedLine line = setup.line();
            Skimmer skimmer = setup.skimmer();
            return line == null || skimmer == null
                    ? null
                    : new HoseView(
                            line.kept(skimmer),
                            line.drawnLPerH() != null,
                            line.fromOutdoors().outdoors(),
                            line.outdoorShare() != null);
        }
    }

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
     * @param measure and its setting that would stand at {@code allowed}
     */
    record DoseStop(String because, String measure, String setting, double asked, double allowed) {}

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
            Cost cost,
            List<Measure.Way> ways,
            List<String> cautions) {}

    BenchView bench(UUID keeperId, UUID tankId) {
        Tank tank = tanks.tank(keeperId, tankId);
        TwinBook.Described known = book.describe(tank);
        Setup setup = known.setup();
        Skimmer skimmer = setup.skimmer();
        MediaService.Capacity capacity = media.capacity(tank);
        Surroundings around = book.around(tank, setup, capacity.assumed());
        return new BenchView(
                setup.alkalinityMeqPerL(),
                known.alkalinityMeasured(),
                setup.water().temperatureC(),
                setup.water().salinity(),
                setup.outdoorPpm(),
                setup.room().ppm().hourlyPpm(),
                known.roomMeasured(),
                known.useDosed(),
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
                around.evaporationLPerDay(),
                capacity.assumed().capacityLPerKg(),
                capacity.learnt(),
                setup.contradiction(),
                CarbonateMap.of(setup.water(), setup.pressureHpa()),
                MeasureView.of(around),
                ImpossibleView.of(around),
                known.standing());
    }

    List<VariantView> forecast(UUID keeperId, UUID tankId, ForecastRequest request) {
        Tank tank = tanks.tank(keeperId, tankId);
        TwinBook.Stands now = book.stands(tank);
        List<Variant> variants = request.variants().stream()
                .map(asked -> new Variant(now.without(asked.withoutEvents()), asked.set()))
                .toList();
        return forecast(tank, now.setup(), book.start(tank), variants, request.tanks(), request.days());
    }

    /** What is put on a tank that is set up in such a way. */
    record Variant(Setup setup, SetRequest asked) {}

    /**
     * @param setup as it is, from which every variant starts
     * @param at from where it runs
     * @param drawnDays null for the two that are drawn at first
     */
    List<VariantView> forecast(
            Tank tank,
            Setup setup,
            Instant at,
            List<Variant> asked,
            List<TankParameters> tanks,
            @Nullable Integer drawnDays) {
        MediaAssumptions capacity = media.capacity(tank).assumed();
        int days = drawnDays == null ? DRAWN_DAYS : drawnDays;
        Duration run = days > DRAWN_DAYS ? Duration.ofDays(days) : RUN;
        double evaporationLPerDay = book.around(tank, setup, capacity).evaporationLPerDay();
        List<Tried> variants = asked.parallelStream()
                .map(variant -> tried(
                        tank,
                        variant,
                        capacity,
                        evaporationLPerDay,
                        book.settled(setup, tanks.get(0), at),
                        tanks.get(0)))
                .toList();
        // Tanks and variants are run side by side.
        List<List<Run>> byVariant = variants.parallelStream()
                .map(tried -> tanks.parallelStream()
                        .map(living -> run(setup, living, tried, at, run))
                        .toList())
                .toList();
        List<SettledDay> today = tanks.stream()
                .map(living -> OrdinaryDays.settled(book.asItIs(setup, living, at, run)))
                .toList();
        return IntStream.range(0, variants.size())
                .mapToObj(i -> view(
                        setup,
                        at,
                        variants.get(i),
                        byVariant.get(i),
                        today,
                        tanks,
                        days,
                        mediaDays -> TankCosts.basis(tank, variants.get(i).setup(), mediaDays)))
                .toList();
    }

    private static Tried tried(
            Tank tank,
            Variant variant,
            MediaAssumptions capacity,
            double evaporationLPerDay,
            TwinState today,
            TankParameters living) {
        Surroundings around =
                SetupOfTank.surroundings(tank, variant.setup(), capacity).evaporating(evaporationLPerDay);
        MeasureSet asked = variant.asked().on(around);
        OrdinaryDays days = new OrdinaryDays(variant.setup(), living);
        return new Tried(
                variant.setup(), asked, DoseLimit.of(days, variant.setup(), asked, today, around.evaporationLPerDay()));
    }

    /** What was asked for, of a tank in such a setup, and the limit that it passed. */
    private record Tried(
            Setup setup, MeasureSet asked, @Nullable DoseLimit limit) {
        MeasureSet drawn() {
            return limit == null ? asked : limit.within(asked);
        }

        @Nullable
        DoseStop stop() {
            Dose dose = asked.dose().orElse(null);
            if (limit == null || dose == null) {
                return null;
            }
            double share = limit.allowedMeqPerLPerDay() / dose.meqPerLPerDay();
            return new DoseStop(limit.because(), dose.kind(), dose.setting(), dose.set(), dose.set() * share);
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

    private Run run(Setup setup, TankParameters tank, Tried tried, Instant at, Duration length) {
        MeasureSet measures = tried.drawn();
        if (measures.isEmpty() && tried.setup().equals(setup)) {
            List<TwinState> asItIs = book.asItIs(setup, tank, at, length);
            return Run.of(asItIs, OrdinaryDays.settled(asItIs));
        }
        OrdinaryDays ordinary = new OrdinaryDays(tried.setup(), tank);
        TwinState today = book.settled(setup, tank, at);
        List<TwinState> states = ordinary.run(today, measures, length);
        MediaUse media =
                ordinary.rig(measures).withMedia().map(SkimmerRig::media).orElse(null);
        if (media == null) {
            return Run.of(states, OrdinaryDays.settled(states));
        }
        SettledDay fresh = ordinary.settledWithFreshMedia(today, measures, length);
        // Nobody knows how tight a loop is: its oxygen is that of a tight one.
        return media.loops()
                ? new Run(states, fresh, lowest(ordinary.runWithTightLoop(today, measures, length)))
                : Run.of(states, fresh);
    }

    private VariantView view(
            Setup setup,
            Instant at,
            Tried tried,
            List<Run> byTank,
            List<SettledDay> today,
            List<TankParameters> tanks,
            int days,
            Function<@Nullable Double, CostBasis> costs) {
        MeasureSet measures = tried.drawn();
        Setup changed = tried.setup();
        List<List<TwinState>> runs = byTank.stream().map(Run::states).toList();
        List<SettledDay> settled = byTank.stream().map(Run::settled).toList();
        List<Double> gains = IntStream.range(0, runs.size())
                .mapToObj(i -> settled.get(i).troughPh() - today.get(i).troughPh())
                .toList();
        // What ends badly on the way counts, too: media drown, and oxygen is lowest before that.
        Estimate oxygen =
                OrdinaryDays.band(byTank.stream().map(Run::lowestOxygen).toList());
        Instant until = runs.get(0).get(0).at().plus(Duration.ofDays(days));
        int every = days > DRAWN_DAYS ? QUARTERS_OF_AN_HOUR : 1;
        List<Integer> drawn = IntStream.range(0, runs.get(0).size())
                .filter(i -> i % every == 0 && runs.get(0).get(i).at().isBefore(until))
                .boxed()
                .toList();
        Rig rig = Rig.of(changed, tanks.get(0), measures);
        SkimmerRig.Hose hose = rig.skimmers().stream()
                .map(SkimmerRig::hose)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
        Skimmer skimmer = changed.skimmer();
        MediaLife life = MediaLife.of(changed, rig, runs.get(0));
        MediaLife.Life ahead = life == null ? null : life.life();
        return new VariantView(
                drawn.stream()
                        .map(i -> runs.get(0).get(i).at().getEpochSecond())
                        .toList(),
                BandCourse.of(runs, drawn, TwinState::phNbs),
                BandCourse.of(runs, drawn, TwinState::oxygenMgPerL),
                BandCourse.of(runs, drawn, TwinState::roomPpm),
                OrdinaryDays.band(settled.stream().map(SettledDay::troughPh).toList()),
                settled.get(0).troughAt(),
                OrdinaryDays.band(settled.stream().map(SettledDay::peakPh).toList()),
                OrdinaryDays.band(gains),
                oxygen,
                settled.stream()
                        .map(SettledDay::highestOmega)
                        .max(Comparator.naturalOrder())
                        .orElseThrow(),
                OrdinaryDays.band(tanks.stream()
                        .map(tank -> SETTLED_TAUS
                                * new OrdinaryDays(changed, tank)
                                        .timeConstantH(book.settled(setup, tank, at), measures))
                        .toList()),
                hose == null || skimmer == null ? null : hose.kept(skimmer),
                hose == null || skimmer == null ? null : hose.boreKeeping(0.95, skimmer),
                life == null || ahead == null
                        ? null
                        : new MediaForecast(ahead.end(), life.endDays(), ahead.colourDay(), ahead.halfDay()),
                chemistry(setup, runs.get(0), drawn),
                tried.stop(),
                costs.apply(ahead == null ? null : ahead.endDay()).of(measures),
                measures.all().stream().map(Measure::way).distinct().sorted().toList(),
                Cautions.of(measures, today.get(0), runs.get(0), oxygen.low()));
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

    private static List<Double> of(List<TwinState> run, List<Integer> drawn, ToDoubleFunction<TwinState> value) {
        return drawn.stream()
                .map(i -> BandCourse.rounded(value.applyAsDouble(run.get(i))))
                .toList();
    }

    private static double moved(List<Double> course) {
        return Math.abs(course.get(course.size() - 1) - course.get(0));
    }
}
