package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.bench.SimulatedProbe.Today;
import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.dosing.DoseHours;
import jollytide.core.exchange.Stone;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.TwinFit;
import jollytide.core.measure.AirStone;
import jollytide.core.measure.Fault;
import jollytide.core.measure.Measure;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.MediaUse;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.Scrubber;
import jollytide.core.measure.Setup;
import jollytide.core.measure.SkimmerDraw;
import jollytide.core.media.Media;
import jollytide.core.media.MediaAssumptions;
import jollytide.core.reef.CalciumReactor;
import jollytide.core.suspects.Check;
import jollytide.core.suspects.Evidence;
import jollytide.core.suspects.Given;
import jollytide.core.suspects.Inquiry;
import jollytide.core.suspects.Ranking;
import jollytide.core.suspects.Suspect;
import jollytide.core.suspects.Suspicion;
import jollytide.core.twin.Air;
import jollytide.core.twin.OpenPath;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * Whether the right suspect comes first. In each log of thirty days one cause sets in four to twelve days before its end,
 * as large as makes somebody ask: without it the troughs since would have been higher by
 * {@link #ASKED} or more. Tanks, sensors and rooms are
 * those of {@link FitStudy}, with hoses, media, stones, cabinets, canopies and reactors on some. What happens is not what
 * the core makes of it where that can be: a hose takes draw, an inlet leaks by its width, a mouth is foul for some hours.
 * Checks are those that are proposed first; one answer in twenty is wrong.
 */
public final class SuspectStudy {
    private static final int DAYS = 30;
    private static final double ASKED = 0.05;
    private static final double WRONG = 0.05;
    private static final int CHECKS = 2;
    private static final int TRIES = 3;
    private static final Media KILO = new Media(1, MediaAssumptions.DEFAULT).endless();

    private SuspectStudy() {}

    public static void main(String[] args) {
        int logs = args.length > 0 ? Integer.parseInt(args[0]) : 10;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        System.out.printf(Locale.ROOT, "%d logs of %d days of each cause, seed %d%n", logs, DAYS, seed);
        System.out.println(
                "                     family first  first  |  after two checks: first  among three  | blamed instead");
        List<Case> all = new ArrayList<>();
        for (Suspect suspect : Suspect.values()) {
            if (args.length <= 2 || suspect.name().startsWith(args[2])) {
                List<Case> cases = IntStream.range(0, logs)
                        .parallel()
                        .mapToObj(i -> Case.of(
                                suspect,
                                new SplittableRandom(
                                        new SplittableRandom((seed * 31 + suspect.ordinal()) * 1_000_003 + i)
                                                .nextLong()),
                                i % 5 == 4))
                        .toList();
                print(suspect.name().toLowerCase(Locale.ROOT).replace('_', ' '), cases, true);
                all.addAll(cases);
            }
        }
        print("all", all, false);
    }

    private static void print(String name, List<Case> cases, boolean instead) {
        System.out.printf(
                Locale.ROOT,
                "%-20s %9.0f %% %6.0f %%  | %22.0f %% %11.0f %%  | %s%n",
                name,
                percent(cases, c -> c.log.get(0).family() == c.truth.family()),
                percent(cases, c -> c.log.get(0) == c.truth),
                percent(cases, c -> c.checked.get(0) == c.truth),
                percent(cases, c -> c.checked.subList(0, 3).contains(c.truth)),
                instead
                        ? cases.stream()
                                .filter(c -> c.log.get(0).family() != c.truth.family())
                                .map(c -> c.log.get(0).name().toLowerCase(Locale.ROOT))
                                .toList()
                        : "");
    }

    private static double percent(List<Case> cases, java.util.function.Predicate<Case> which) {
        return 100.0 * cases.stream().filter(which).count() / cases.size();
    }

    /** Who is suspected from the log alone, then after two checks; the first first. */
    private record Case(Suspect truth, List<Suspect> log, List<Suspect> checked) {
        static Case of(Suspect truth, RandomGenerator random, boolean wrong) {
            while (true) {
                try {
                    SimulatedTank world = world(truth, random, wrong);
                    for (int i = 0; i < TRIES; i++) {
                        Inquiry inquiry = inquiry(truth, world, random);
                        if (inquiry != null) {
                            return of(truth, Evidence.of(inquiry), random);
                        }
                    }
                } catch (InputException cannotBe) {
                    random.nextInt();
                }
            }
        }

        private static Case of(Suspect truth, Evidence evidence, RandomGenerator random) {
            List<Given> given = new ArrayList<>();
            Ranking first = Ranking.of(evidence, given);
            Ranking then = first;
            for (int i = 0; i < CHECKS && !then.next().isEmpty(); i++) {
                Check check = then.next().get(0).check();
                int answer = check.expected(truth);
                boolean right = random.nextDouble() >= WRONG;
                int others = check.answers().size() - 1;
                given.add(new Given(
                        check,
                        right
                                ? answer
                                : (answer + 1 + random.nextInt(others))
                                        % check.answers().size()));
                then = Ranking.of(evidence, given);
            }
            return new Case(
                    truth,
                    order(first),
                    then.suspicions().stream()
                            .sorted(Comparator.comparingDouble(s -> -s.share()))
                            .map(Suspicion::suspect)
                            .toList());
        }

        private static List<Suspect> order(Ranking ranking) {
            return ranking.suspicions().stream().map(Suspicion::suspect).toList();
        }
    }

    private static double between(RandomGenerator random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** A tank that can have it. */
    private static SimulatedTank world(Suspect truth, RandomGenerator random, boolean wrong) {
        while (true) {
            SimulatedTank plain =
                    SimulatedTank.livable(random, wrong, SimulatedTank.Kind.PLAIN, DAYS + 1 - SimulatedTank.DAYS, 1);
            if (plain.real().skimmer() == null && (onTheSkimmer(truth) || truth == Suspect.CABINET)) {
                continue;
            }
            SimulatedTank world = plain.equipped(equipment(truth, plain.real(), random)::on, random);
            DoubleSummaryStatistics ph =
                    world.log().ph().stream().mapToDouble(Reading::value).summaryStatistics();
            if (ph.getMin() > 7.4 && ph.getMax() < 8.7) {
                return world;
            }
        }
    }

    private static boolean onTheSkimmer(Suspect truth) {
        return switch (truth) {
            case SKIMMER, HOSE, FOUL_INTAKE, SECOND_INLET, MEDIA_SPENT, MEDIA_DROWNED -> true;
            default -> false;
        };
    }

    private record Equipment(
            List<Measure> measures,
            @Nullable Enclosure canopy,
            @Nullable Enclosure cabinet,
            @Nullable CalciumReactor reactor) {
        Setup on(Setup s) {
            List<OpenPath> open = canopy == null
                    ? s.open()
                    : s.open().stream()
                            .map(path -> new OpenPath(path.channel(), Air.CANOPY, path.path(), path.times()))
                            .toList();
            return new Setup(
                    s.netVolumeL(),
                    s.water(),
                    s.alkalinityMeqPerL(),
                    s.pressureHpa(),
                    open,
                    canopy,
                    cabinet,
                    s.skimmer(),
                    cabinet != null && s.skimmer() != null,
                    s.line(),
                    s.outdoorPpm(),
                    s.room(),
                    s.light(),
                    s.life(),
                    s.source(),
                    reactor,
                    s.refugiumLight(),
                    s.zone(),
                    s.withoutMains(),
                    new MeasureSet(measures),
                    DoseHours.EVENLY);
        }
    }

    private static Equipment equipment(Suspect truth, Setup real, RandomGenerator random) {
        List<Measure> measures = new ArrayList<>();
        boolean needsLine = truth == Suspect.HOSE || truth == Suspect.FOUL_INTAKE || truth == Suspect.SECOND_INLET;
        boolean needsMedia = truth == Suspect.MEDIA_SPENT || truth == Suspect.MEDIA_DROWNED;
        double draw = random.nextDouble();
        if (real.skimmer() != null && (needsLine || !needsMedia && draw < 0.35)) {
            measures.add(line(random, null, 0));
        } else if (real.skimmer() != null && (needsMedia || draw < 0.55)) {
            measures.add(new Scrubber(KILO, 1, MediaUse.Hours.ALWAYS, 8.2, false));
        }
        if (truth == Suspect.STONE || random.nextInt(4) == 0) {
            measures.add(new AirStone(new Stone(real.netVolumeL() * between(random, 0.3, 1), 2, 0.4), Air.ROOM));
        }
        return new Equipment(
                measures,
                truth == Suspect.CANOPY || random.nextInt(6) == 0
                        ? new Enclosure(Enclosure.Door.AJAR.exchangeLPerH())
                        : null,
                truth == Suspect.CABINET || random.nextInt(4) == 0
                        ? new Enclosure(Enclosure.Door.AJAR.exchangeLPerH())
                        : null,
                truth == Suspect.REACTOR || random.nextInt(6) == 0
                        ? new CalciumReactor(real.netVolumeL() * 0.004, 6.6, 20, 0, 0)
                        : null);
    }

    private static OutdoorLine line(RandomGenerator random, @Nullable DailyAir mouth, double leakMm) {
        return new OutdoorLine(new AirLine(4, 19, AirLine.ASSUMED_LOSS), mouth, leakMm);
    }

    /** What happened, and what its keeper has of it; null where nobody would ask. */
    private static @Nullable Inquiry inquiry(Suspect truth, SimulatedTank world, RandomGenerator random) {
        int onset = DAYS - 4 - random.nextInt(9);
        Instant from = SimulatedTank.START.plus(Duration.ofDays(onset));
        double times = truth == Suspect.ROOM ? between(random, 1.5, 2.3) : 1;
        RoomCourse room = times(world.trueRoom(), onset, times);
        double falls = truth == Suspect.DOSER || truth == Suspect.ALKALINITY_TEST ? between(random, 0.015, 0.05) : 0;
        double step = truth == Suspect.WATER_CHANGE ? between(random, 0.2, 0.45) : 0;
        Happens happens = Happens.drawn(truth, world, random);
        List<Today> days = new ArrayList<>();
        for (int d = SimulatedTank.DAYS; d < DAYS; d++) {
            boolean on = d >= onset;
            double share = Math.max(0, Math.min(1, (d - onset + 1.0) / happens.overDays));
            days.add(new Today(
                    on ? happens.of(world.truth(), share) : world.truth(),
                    world.real(),
                    room,
                    on ? MeasureSet.of(happens.measures.toArray(Measure[]::new)) : MeasureSet.NONE,
                    on ? (d == onset ? -step : 0) - falls : 0));
        }
        List<Reading> ph = world.probe().further(days).stream()
                .map(r -> r.at().isBefore(from) ? r : new Reading(r.at(), r.value() - happens.probeLow))
                .toList();
        if (truth != Suspect.NOTHING
                && truth != Suspect.READINGS
                && trough(ph, onset - 8, onset) - trough(ph, DAYS - 3, DAYS) < ASKED) {
            return null;
        }
        List<Reading> read = truth == Suspect.READINGS
                ? ph.stream()
                        .filter(r -> r.at().isBefore(from) || byDay(r.at()))
                        .toList()
                : ph;
        boolean seen = truth != Suspect.ALKALINITY_TEST;
        List<Reading> tests = world.tests().stream()
                .map(t -> new Reading(
                        t.at(),
                        t.value()
                                - (seen && !t.at().isBefore(from)
                                        ? step
                                                + falls
                                                        * Math.ceil(Duration.between(from, t.at())
                                                                        .toHours()
                                                                / 24.0)
                                        : 0)))
                .filter(t -> t.at().isBefore(SimulatedTank.START.plus(Duration.ofDays(DAYS))))
                .toList();
        TankLog log =
                new TankLog(read, List.of(), times(world.log().room(), onset, times), true, AlkalinityCourse.of(tests));
        return new Inquiry(
                log,
                world.described(),
                fitted(world, log, DAYS - 14),
                fitted(world, log, DAYS),
                SimulatedTank.ZONE,
                LocalDate.ofInstant(SimulatedTank.START.plus(Duration.ofDays(DAYS)), SimulatedTank.ZONE),
                null,
                d -> false,
                noted(truth, random),
                random.nextInt(5) == 0
                        ? null
                        : (long) between(random, truth == Suspect.PROBE ? 20 : 3, truth == Suspect.PROBE ? 150 : 90));
    }

    private static boolean byDay(Instant t) {
        int hour = t.atZone(SimulatedTank.ZONE).getHour();
        return hour >= 10 && hour < 20;
    }

    private static double trough(List<Reading> ph, int from, int until) {
        return IntStream.range(from, until)
                .mapToDouble(d -> ph.stream()
                        .filter(r ->
                                Duration.between(SimulatedTank.START, r.at()).toDays() == d)
                        .mapToDouble(Reading::value)
                        .min()
                        .orElseThrow())
                .average()
                .orElseThrow();
    }

    private static RoomCourse times(RoomCourse room, int onset, double times) {
        List<Double> ppm = new ArrayList<>(room.hourlyPpm());
        for (int h = 24 * onset; h < ppm.size(); h++) {
            ppm.set(h, 420 + times * (ppm.get(h) - 420));
        }
        return new RoomCourse(room.from(), Collections.unmodifiableList(ppm));
    }

    private static Set<Suspect> noted(Suspect truth, RandomGenerator random) {
        Set<Suspect> noted = EnumSet.noneOf(Suspect.class);
        Stream.of(Suspect.ROOM, Suspect.WATER_CHANGE)
                .filter(s -> random.nextDouble() < (s != truth ? 0.15 : s == Suspect.ROOM ? 0.5 : 0.8))
                .forEach(noted::add);
        return noted;
    }

    /** Null where no plausible tank is behind it, as the application has it. */
    private static @Nullable FittedTank fitted(SimulatedTank world, TankLog log, int until) {
        Instant then = SimulatedTank.START.plus(Duration.ofDays(until));
        Instant from = then.minus(Duration.ofDays(14));
        TankLog part = new TankLog(
                log.ph().stream()
                        .filter(r -> r.at().isAfter(from) && r.at().isBefore(then))
                        .toList(),
                List.of(),
                log.room(),
                true,
                log.alkalinity());
        try {
            FittedTank fitted =
                    TwinFit.of(world.described(), TankParameters.ORDINARY, part, Priors.ASSUMED, TwinFit.Progress.NONE);
            return fitted.implausible(world.described()) == null ? fitted : null;
        } catch (InputException nothingNear) {
            return null;
        }
    }

    /** What happens to the tank itself, as factors once it is all there. */
    private record Happens(
            double skimmer,
            double surface,
            double respiration,
            double photosynthesis,
            double probeLow,
            int overDays,
            List<Measure> measures) {

        static Happens drawn(Suspect truth, SimulatedTank world, RandomGenerator random) {
            return switch (truth) {
                case PROBE -> tank(1, 1, 1, 1, between(random, 0.05, 0.15), 1);
                case SKIMMER -> tank(between(random, 0.2, 0.6), 1, 1, 1, 0, 4);
                case SURFACE -> tank(1, between(random, 0.3, 0.65), 1, 1, 0, 1);
                case TANK_CO2 -> tank(1, 1, between(random, 1.25, 1.8), 1, 0, 1);
                case LIGHT_AGED -> tank(1, 1, 1, between(random, 0.5, 0.8), 0, 3);
                case LIGHT_SHORTENED -> measure(new Fault(Fault.Of.LAMPS, between(random, 1.5, 4)));
                case FOUL_INTAKE -> measure(line(random, foul(random), 0));
                case SECOND_INLET -> measure(line(random, null, between(random, 8, 16)));
                case HOSE, MEDIA_DROWNED -> measure(new SkimmerDraw(between(random, 0.2, 0.6)));
                case MEDIA_SPENT -> measure(new Fault(Fault.Of.MEDIA, 1));
                case CABINET -> measure(new Fault(Fault.Of.CABINET, -between(random, 1, 2.5)));
                case CANOPY -> measure(new Fault(Fault.Of.CANOPY, -between(random, 2, 4.5)));
                case STONE -> measure(new Fault(Fault.Of.STONES, -between(random, 0.8, 2.5)));
                case REACTOR -> measure(new Fault(Fault.Of.REACTOR, between(random, 0.2, 0.6)));
                default -> tank(1, 1, 1, 1, 0, 1);
            };
        }

        private static DailyAir foul(RandomGenerator random) {
            int from = 18 + random.nextInt(10);
            int hours = 4 + random.nextInt(7);
            double more = between(random, 300, 900);
            return new DailyAir(IntStream.range(0, 24)
                    .mapToObj(h -> 420 + ((h - from + 48) % 24 < hours ? more : 0))
                    .toList());
        }

        private static Happens tank(
                double skimmer,
                double surface,
                double respiration,
                double photosynthesis,
                double probeLow,
                int overDays) {
            return new Happens(skimmer, surface, respiration, photosynthesis, probeLow, overDays, List.of());
        }

        private static Happens measure(Measure measure) {
            return new Happens(1, 1, 1, 1, 0, 1, List.of(measure));
        }

        TankParameters of(TankParameters t, double share) {
            return new TankParameters(
                    t.skimmerFactor() * (1 + share * (skimmer - 1)),
                    t.surfaceFactor() * (1 + share * (surface - 1)),
                    t.respirationMmolPerLPerH() * (1 + share * (respiration - 1)),
                    t.photosynthesisMmolPerLPerH() * (1 + share * (photosynthesis - 1)));
        }
    }
}
