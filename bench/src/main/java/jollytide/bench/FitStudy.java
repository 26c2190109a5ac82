package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Sensor;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Edges;
import jollytide.core.fit.Experiment;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.TwinFit;
import jollytide.core.fit.Unknown;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.Water;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;

/**
 * Whether the fit's bands hold the truth: simulated tanks whose true exchange, metabolism, sensors and rooms nobody
 * knows, every fifth of them described wrongly, fitted to sixteen days of their logs. Prints for each decision how many of
 * the 90 % bands hold it and how wide they are.
 */
public final class FitStudy {
    private static final int DAYS = 16;
    /** Further ones in which an experiment is made. */
    private static final int MORE_DAYS = 2;

    private static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 14);
    private static final Instant START = FIRST.atStartOfDay(ZONE).toInstant();
    private static final Duration EVERY = Duration.ofMinutes(5);
    private static final double OUTDOORS = 420;
    /** What keepers' rooms are assumed to change an hour; the true ones differ. */
    private static final double ASSUMED_CHANGES = 0.3;
    /** Respiration and photosynthesis of one day against another's: fed more, a cloudier pane. No fit knows of it. */
    private static final double DAY_TO_DAY = 0.04;

    private static final double LEAST_PH = 7.4;
    private static final double MOST_PH = 8.7;

    private FitStudy() {}

    public static void main(String[] args) {
        int tanks = args.length > 0 ? Integer.parseInt(args[0]) : 200;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 11;
        boolean uses = args.length > 2 && args[2].equals("uses");
        long began = System.nanoTime();
        List<Case> cases = IntStream.range(0, tanks)
                .parallel()
                .mapToObj(i -> Case.of(random(seed, i), i % 5 == 4, uses))
                .toList();
        double seconds = (System.nanoTime() - began) / 1e9;
        System.out.printf(Locale.ROOT, "%d tanks, seed %d, %.0f s%n", tanks, seed, seconds);
        System.out.println("what                                        of   held   width   off/sd");
        for (String what : names()) {
            List<Answer> answers = cases.stream()
                    .flatMap(c -> c.answers.stream())
                    .filter(a -> a.what.equals(what) && !Double.isNaN(a.truth))
                    .toList();
            System.out.printf(
                    Locale.ROOT,
                    "%-42s %4d %5.1f %%  %6.3f   %5.2f%n",
                    what,
                    answers.size(),
                    100.0 * answers.stream().filter(Answer::held).count() / answers.size(),
                    median(answers.stream().mapToDouble(a -> a.high - a.low)),
                    median(answers.stream()
                            .mapToDouble(a -> Math.abs(a.truth - a.likely) / Math.max(1e-9, (a.high - a.low) / 3.29))));
        }
        for (boolean wrong : new boolean[] {false, true}) {
            List<Answer> answers = cases.stream()
                    .filter(c -> c.wrong == wrong)
                    .flatMap(c -> c.answers.stream())
                    .toList();
            System.out.printf(
                    Locale.ROOT,
                    "%s: %.1f %% of %d held%n",
                    wrong ? "described wrongly" : "described rightly",
                    100.0 * answers.stream().filter(Answer::held).count() / answers.size(),
                    answers.size());
        }
        System.out.printf(
                Locale.ROOT,
                "persistence %.2f, what is new each half hour %.4f, dispersion %.2f, fit %.2f s, edges %.2f s (medians)%n",
                median(cases.stream().mapToDouble(c -> c.fitted.persistence())),
                median(cases.stream().mapToDouble(c -> c.fitted.freshPh())),
                median(cases.stream().mapToDouble(c -> c.fitted.dispersion())),
                median(cases.stream().mapToDouble(c -> c.fitSeconds)),
                median(cases.stream().mapToDouble(c -> c.edgeSeconds)));
        for (Experiment experiment : Experiment.values()) {
            for (boolean allowed : new boolean[] {true, false}) {
                List<Made> made = cases.stream()
                        .flatMap(c -> c.made.stream())
                        .filter(m -> m.experiment == experiment && m.allowed == allowed)
                        .toList();
                if (!made.isEmpty()) {
                    System.out.printf(
                            Locale.ROOT,
                            "%s, %s: %d tanks; the trough with the skimmer off narrowed by %.0f %% promised, %.0f %%"
                                    + " achieved (medians); halved in %.0f %%; as promised in %.0f %%%n",
                            experiment,
                            allowed ? "allowed" : "not allowed",
                            made.size(),
                            100 * median(made.stream().mapToDouble(Made::promised)),
                            100 * median(made.stream().mapToDouble(Made::achieved)),
                            100.0 * made.stream().filter(m -> m.achieved >= 0.5).count() / made.size(),
                            100.0 * made.stream().filter(Made::asPromised).count() / made.size());
                }
            }
        }
        for (Unknown unknown : Unknown.values()) {
            double[] narrowed = cases.stream()
                    .flatMap(c -> c.fitted.learned().stream())
                    .filter(l -> l.unknown() == unknown)
                    .mapToDouble(l -> l.deviation() / l.before())
                    .toArray();
            if (narrowed.length > 0) {
                System.out.printf(
                        Locale.ROOT,
                        "  %-28s deviation after over before %.2f%n",
                        unknown.label(),
                        median(DoubleStream.of(narrowed)));
            }
        }
    }

    /** Far apart for seeds that are near. */
    private static RandomGenerator random(long seed, int tank) {
        return new SplittableRandom(new SplittableRandom(seed * 1_000_003 + tank).nextLong());
    }

    private static List<String> names() {
        List<String> names = new ArrayList<>(List.of("respiration, mmol/(L·h)"));
        Arrays.stream(Decision.values()).map(Decision::label).forEach(names::add);
        return names;
    }

    private static double median(DoubleStream values) {
        double[] sorted = values.sorted().toArray();
        return sorted.length == 0 ? Double.NaN : sorted[sorted.length / 2];
    }

    private record Answer(String what, double truth, double likely, double low, double high) {
        boolean held() {
            return truth >= low && truth <= high;
        }
    }

    /**
     * An experiment that was made.
     *
     * @param promised narrowing of the trough with the skimmer off
     * @param achieved by the fit to the longer log
     */
    private record Made(Experiment experiment, boolean allowed, double promised, double achieved) {
        static Made of(
                World world,
                Experiment.Promise promise,
                Instant from,
                Instant until,
                List<double[]> before,
                Instant at) {
            int which = Decision.of(world.described).indexOf(Decision.TROUGH_WITHOUT_SKIMMER);
            FittedTank after = TwinFit.of(
                    world.described,
                    TankParameters.ORDINARY,
                    world.with(from, until),
                    Priors.ASSUMED,
                    TwinFit.Progress.NONE);
            List<double[]> then = Edges.of(world.described, after, at).stream()
                    .map(tank -> Decision.values(world.described, tank, at))
                    .toList();
            return new Made(
                    promise.experiment(),
                    promise.allowed(),
                    promise.narrowing().get(which),
                    1 - width(then, which) / width(before, which));
        }

        private static double width(List<double[]> forecast, int which) {
            DoubleSummaryStatistics all = forecast.stream()
                    .mapToDouble(f -> f[which])
                    .filter(v -> !Double.isNaN(v))
                    .summaryStatistics();
            return all.getMax() - all.getMin();
        }

        /** Whether what is left of the band is as promised, within a factor of 1.5. */
        boolean asPromised() {
            double ratio = (1 - achieved) / (1 - promised);
            return ratio < 1.5 && ratio > 1 / 1.5;
        }
    }

    private record Case(
            boolean wrong,
            FittedTank fitted,
            List<Answer> answers,
            List<Made> made,
            double fitSeconds,
            double edgeSeconds) {
        static Case of(RandomGenerator random, boolean wrong, boolean uses) {
            World world = World.livable(random, wrong, uses);
            long began = System.nanoTime();
            FittedTank fitted = TwinFit.of(
                    world.described, TankParameters.ORDINARY, world.log, Priors.ASSUMED, TwinFit.Progress.NONE);
            double fitSeconds = (System.nanoTime() - began) / 1e9;
            began = System.nanoTime();
            Instant at = START.plus(Duration.ofDays(DAYS));
            List<TankParameters> tanks = Edges.of(world.described, fitted, at);
            double edgeSeconds = (System.nanoTime() - began) / 1e9;
            List<double[]> forecast = tanks.stream()
                    .map(tank -> Decision.values(world.described, tank, at))
                    .toList();
            double[] truth = Decision.values(world.real, world.truth, at);
            List<Answer> answers = new ArrayList<>();
            FittedTank.Learned respiration = fitted.learned().get(0);
            double likely = fitted.likely().respirationMmolPerLPerH();
            answers.add(new Answer(
                    names().get(0),
                    world.truth.respirationMmolPerLPerH(),
                    likely,
                    likely * Math.exp(-1.645 * respiration.deviation()),
                    likely * Math.exp(1.645 * respiration.deviation())));
            List<Decision> decisions = Decision.of(world.described);
            for (int i = 0; i < truth.length; i++) {
                int which = i;
                answers.add(new Answer(
                        decisions.get(i).label(),
                        truth[i],
                        forecast.get(0)[i],
                        forecast.stream().mapToDouble(f -> f[which]).min().orElseThrow(),
                        forecast.stream().mapToDouble(f -> f[which]).max().orElseThrow()));
            }
            List<Made> made = new ArrayList<>();
            for (Experiment.Promise promise : Experiment.ranked(world.described, fitted, tanks, at)) {
                if (promise.from() != null && promise.until() != null && promise.lowestOxygenMgPerL() != null) {
                    made.add(Made.of(world, promise, promise.from(), promise.until(), forecast, at));
                }
            }
            return new Case(wrong, fitted, answers, made, fitSeconds, edgeSeconds);
        }
    }

    /**
     * A tank as it is, as its keeper describes it, and what was logged.
     *
     * @param real with its true room, alkalinity and parts
     */
    private record World(
            Setup real, TankParameters truth, RoomCourse trueRoom, Setup described, TankLog log, Probe probe) {

        /** One in which animals live: no keeper logs another. */
        static World livable(RandomGenerator random, boolean wrong, boolean uses) {
            while (true) {
                try {
                    World world = of(random, wrong, uses);
                    DoubleSummaryStatistics ph =
                            world.log.ph().stream().mapToDouble(Reading::value).summaryStatistics();
                    if (ph.getMin() > LEAST_PH && ph.getMax() < MOST_PH) {
                        return world;
                    }
                } catch (InputException noTank) {
                    random.nextInt();
                }
            }
        }

        private static World of(RandomGenerator random, boolean wrong, boolean uses) {
            double volume = 60 * Math.exp(2.5 * random.nextDouble());
            double area = 0.016 * Math.pow(volume, 2.0 / 3) * (0.8 + 0.4 * random.nextDouble());
            SurfaceClass moving = SurfaceClass.values()[1 + random.nextInt(2)];
            boolean skims = random.nextInt(6) > 0;
            double draw = volume * (0.7 + 1.3 * random.nextDouble());
            Seawater water = new Seawater(33 + 3 * random.nextDouble(), 24.5 + 2 * random.nextDouble());
            double alkalinity = AlkalinityUnit.DKH.toMeqPerL(7 + 3 * random.nextDouble());
            LightClock lamps = new LightClock(
                    LocalTime.of(8 + random.nextInt(5), 0),
                    LocalTime.of(20 + random.nextInt(3), 0),
                    true,
                    30 * random.nextInt(3));
            TankParameters truth = new TankParameters(
                    Math.exp(0.3 * random.nextGaussian()),
                    Math.exp(0.35 * random.nextGaussian()),
                    0.018 * Math.exp(0.5 * random.nextGaussian()),
                    0.034 * Math.exp(0.5 * random.nextGaussian()));
            double changes = ASSUMED_CHANGES * Math.exp(0.4 * random.nextGaussian());
            double[] room = household(random, changes);
            double meter = 25 * random.nextGaussian();
            RoomCourse trueRoom = course(room, 0);
            Setup real = setup(volume, water, alkalinity, area, moving, skims ? draw : 0, day(room, 0), changes, lamps);

            SurfaceClass said = moving;
            double saidDraw = draw;
            LightClock saidLamps = lamps;
            if (wrong) {
                switch (random.nextInt(skims ? 3 : 2)) {
                    case 0 -> said = SurfaceClass.values()[moving.ordinal() + (random.nextBoolean() ? 1 : -1)];
                    case 1 -> saidLamps = lamps.later(random.nextBoolean() ? 60 : -60);
                    default -> saidDraw = draw * (random.nextBoolean() ? 2 : 0.5);
                }
            }
            double kit = AlkalinityUnit.DKH.toMeqPerL(0.2 * random.nextGaussian());
            List<Reading> tests = new ArrayList<>();
            for (int d = 1; d < DAYS; d += 7) {
                double step = AlkalinityUnit.DKH.toMeqPerL(0.1);
                double shown = alkalinity + kit + AlkalinityUnit.DKH.toMeqPerL(0.1 * random.nextGaussian());
                tests.add(new Reading(START.plus(Duration.ofHours(24L * d + 19)), Math.round(shown / step) * step));
            }
            AlkalinityCourse tested = AlkalinityCourse.of(tests);
            Setup described = setup(
                    volume,
                    water,
                    tested.at(START.plus(Duration.ofDays(DAYS)), alkalinity),
                    area,
                    said,
                    skims ? saidDraw : 0,
                    day(room, meter),
                    ASSUMED_CHANGES,
                    saidLamps);
            if (uses) {
                double dkhPerDay = 0.2 * Math.pow(10, random.nextDouble());
                real = using(real, dkhPerDay);
                described = using(described, dkhPerDay * Math.exp(0.2 * random.nextGaussian()));
            }
            Probe probe = new Probe(random, truth, real, trueRoom);
            return new World(
                    real,
                    truth,
                    trueRoom,
                    described,
                    new TankLog(List.copyOf(probe.ph), List.of(), course(room, meter), true, tested),
                    probe);
        }

        /** The same with animals that build skeletons: 0.2 to 2 dKH a day, as their keeper says it to a fifth. */
        private static Setup using(Setup s, double dkhPerDay) {
            return s.with(s.life().withUse(AlkalinityUnit.DKH.toMeqPerL(dkhPerDay)));
        }

        private static Setup setup(
                double volume,
                Seawater water,
                double alkalinity,
                double area,
                SurfaceClass moving,
                double draw,
                DailyAir air,
                double changes,
                LightClock lamps) {
            return Setup.plain(
                    volume,
                    water,
                    alkalinity,
                    1013.25,
                    List.of(new Surface(area, moving)),
                    draw == 0 ? null : new Skimmer(draw),
                    OUTDOORS,
                    RoomDay.of(air, OUTDOORS, changes),
                    lamps,
                    ZONE);
        }

        /** Ppm at the beginning of each hour: people who work on weekdays, guests now and then, a window opened. */
        private static double[] household(RandomGenerator random, double changes) {
            double perHour = 60 + 240 * random.nextDouble();
            double[] ppm = new double[24 * (DAYS + MORE_DAYS + 1) + 1];
            double now = OUTDOORS + perHour;
            for (int h = 0; h < ppm.length; h++) {
                ppm[h] = now;
                int hour = h % 24;
                int day = FIRST.plusDays(h / 24).getDayOfWeek().getValue();
                boolean away = day < 6 ? hour >= 8 && hour < 17 : hour >= 13 && hour < 16 && day == 6;
                double at = away ? 0 : hour < 7 || hour >= 23 ? 0.8 : 1;
                if (!away && hour >= 19 && hour < 23 && (h / 24 * 7 + 3) % 11 == 0) {
                    at *= 2.5;
                }
                double n = changes * (hour == 7 && random.nextInt(3) == 0 ? 6 : 1);
                double rests = OUTDOORS + at * perHour * (0.9 + 0.2 * random.nextDouble()) / n;
                now = rests + (now - rests) * Math.exp(-n);
            }
            return ppm;
        }

        private static RoomCourse course(double[] ppm, double off) {
            return new RoomCourse(
                    START,
                    Arrays.stream(ppm).map(p -> Math.max(100, p + off)).boxed().toList());
        }

        private static DailyAir day(double[] ppm, double off) {
            return new DailyAir(IntStream.range(0, 24)
                    .mapToObj(h -> off
                            + IntStream.range(0, DAYS)
                                    .mapToDouble(d -> ppm[24 * d + h])
                                    .average()
                                    .orElseThrow())
                    .toList());
        }

        /** The same log with two more days, the skimmer off for some hours of them. */
        TankLog with(Instant from, Instant until) {
            List<Reading> ph = probe.more(this, from, until);
            return new TankLog(
                    ph,
                    List.of(),
                    log.room(),
                    true,
                    log.alkalinity(),
                    List.of(new TankLog.Interlude(from, until, described.with(MeasureSet.of(new SkimmerDraw(0))))));
        }
    }

    /** A probe in the water: means of half hours of what it shows every five minutes. */
    private static final class Probe {
        private final RandomGenerator random;
        private final Sensor.AtWork work;
        private final List<Reading> ph = new ArrayList<>();
        private TwinState state;
        private double sum;
        private int n;

        Probe(RandomGenerator random, TankParameters truth, Setup real, RoomCourse room) {
            this.random = random;
            work = new Sensor(2, 0.04 * random.nextGaussian(), 0.001 * random.nextGaussian(), 0.005, 0.01)
            .new AtWork(random);
            state = new OrdinaryDays(real, truth, room).today(START);
            for (int d = 0; d < DAYS; d++) {
                day(truth, real, room, MeasureSet.NONE, state.at().plus(Duration.ofDays(1)));
            }
        }

        private void day(TankParameters truth, Setup real, RoomCourse room, MeasureSet measures, Instant until) {
            TankParameters today = new TankParameters(
                    truth.skimmerFactor(),
                    truth.surfaceFactor(),
                    truth.respirationMmolPerLPerH() * Math.exp(DAY_TO_DAY * random.nextGaussian()),
                    truth.photosynthesisMmolPerLPerH() * Math.exp(DAY_TO_DAY * random.nextGaussian()));
            Twin twin = new Twin(
                    Rig.of(real, today, measures).tank(state.at(), Duration.between(state.at(), until), room, false));
            if (real.useMeqPerLPerDay() > 0) {
                state = keptUp(state, real);
            }
            for (TwinState s : twin.run(twin.carriedOver(state), until, EVERY)) {
                double days = Duration.between(START, s.at()).toMinutes() / 1440.0;
                sum += work.read(s.phNbs(), 5, days);
                if (++n == 6) {
                    ph.add(new Reading(s.at().minus(Duration.ofMinutes(12)).minusSeconds(30), sum / n));
                    sum = 0;
                    n = 0;
                }
                state = s;
            }
        }

        /** Its keeper doses by tests: alkalinity is brought back each day, and the source brings its carbon along. */
        private static TwinState keptUp(TwinState state, Setup real) {
            double perKg = real.alkalinityMeqPerL() / 1000 / real.water().densityKgPerL();
            double change = perKg - state.alkalinityMolPerKg();
            return state.with(Water.ALKALINITY, perKg)
                    .with(Water.DIC, dic -> dic + change * real.source().carbonPerEquivalent());
        }

        /** From here on as it is, then with the skimmer off, then as it is; what was read before stays. */
        synchronized List<Reading> more(World world, Instant from, Instant until) {
            List<Reading> before = List.copyOf(ph);
            TwinState then = state;
            day(world.truth, world.real, world.trueRoom, MeasureSet.NONE, from);
            day(world.truth, world.real, world.trueRoom, MeasureSet.of(new SkimmerDraw(0)), until);
            Instant end = START.plus(Duration.ofDays(DAYS + MORE_DAYS));
            day(world.truth, world.real, world.trueRoom, MeasureSet.NONE, end);
            List<Reading> all = List.copyOf(ph);
            ph.clear();
            ph.addAll(before);
            state = then;
            return all;
        }
    }
}
