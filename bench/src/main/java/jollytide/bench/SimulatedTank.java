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
import java.util.function.UnaryOperator;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.air.IntakeAir;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.measure.Setup;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.InputException;

/**
 * A tank as it is, as its keeper describes it, and what was logged.
 *
 * @param real with its true room, alkalinity and parts
 * @param tests of alkalinity, those after the log's end, too
 */
record SimulatedTank(
        Setup real,
        TankParameters truth,
        RoomCourse trueRoom,
        Setup described,
        TankLog log,
        SimulatedProbe probe,
        List<Reading> tests) {
    static final int DAYS = 16;
    /** Further ones in which an experiment is made. */
    static final int MORE_DAYS = 2;

    /** What sort of tank is drawn. */
    enum Kind {
        PLAIN,
        /** Its animals build skeletons. */
        USES,
        /** Its skimmer breathes through a hose, how much of its air nobody knows. */
        HOSED;

        static Kind of(String named) {
            return switch (named) {
                case "" -> PLAIN;
                case "uses" -> USES;
                case "hose" -> HOSED;
                default -> throw new IllegalArgumentException(named + ": uses, hose, or nothing");
            };
        }
    }

    private static final MeasureSet HOSE =
            MeasureSet.of(new OutdoorLine(new AirLine(4, 19, AirLine.ASSUMED_LOSS), null, 0));

    static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 14);
    static final Instant START = FIRST.atStartOfDay(ZONE).toInstant();
    private static final double OUTDOORS = 420;
    /** What keepers' rooms are assumed to change an hour; the true ones differ. */
    private static final double ASSUMED_CHANGES = 0.3;

    private static final double LEAST_PH = 7.4;
    private static final double MOST_PH = 8.7;

    /** One in which animals live: no keeper logs another. */
    static SimulatedTank livable(RandomGenerator random, boolean wrong, Kind kind) {
        return livable(random, wrong, kind, MORE_DAYS, 1);
    }

    /**
     * The same with a room whose air changes are others from the log's end on.
     *
     * @param moreDays for which there is a room after the log's end
     * @param times what the room holds over outdoors, in those days
     */
    static SimulatedTank livable(RandomGenerator random, boolean wrong, Kind kind, int moreDays, double times) {
        while (true) {
            try {
                SimulatedTank world = of(random, wrong, kind, moreDays, times);
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

    private static SimulatedTank of(RandomGenerator random, boolean wrong, Kind kind, int moreDays, double times) {
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
        double[] room = household(random, changes, DAYS + moreDays, times);
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
        for (int d = 1; d < DAYS + moreDays; d += 7) {
            double step = AlkalinityUnit.DKH.toMeqPerL(0.1);
            double shown = alkalinity + kit + AlkalinityUnit.DKH.toMeqPerL(0.1 * random.nextGaussian());
            tests.add(new Reading(START.plus(Duration.ofHours(24L * d + 19)), Math.round(shown / step) * step));
        }
        Instant end = START.plus(Duration.ofDays(DAYS));
        AlkalinityCourse tested = AlkalinityCourse.of(
                tests.stream().filter(t -> t.at().isBefore(end)).toList());
        Setup described = setup(
                volume,
                water,
                tested.at(end, alkalinity),
                area,
                said,
                skims ? saidDraw : 0,
                day(room, meter),
                ASSUMED_CHANGES,
                saidLamps);
        if (kind == Kind.USES) {
            double dkhPerDay = 0.2 * Math.pow(10, random.nextDouble());
            real = using(real, dkhPerDay);
            described = using(described, dkhPerDay * Math.exp(0.2 * random.nextGaussian()));
        }
        if (kind == Kind.HOSED && skims) {
            real = real.with(HOSE);
            described = described.with(HOSE);
            double odds = Math.exp(IntakeAir.Share.ASSUMED.lnOddsDeviation() * random.nextGaussian());
            truth = truth.withIntakeOdds(odds);
        }
        SimulatedProbe probe = new SimulatedProbe(random, truth, real, trueRoom);
        return new SimulatedTank(
                real,
                truth,
                trueRoom,
                described,
                new TankLog(probe.ph(), List.of(), course(room, meter), true, tested),
                probe,
                List.copyOf(tests));
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
    private static double[] household(RandomGenerator random, double changes, int days, double times) {
        double perHour = 60 + 240 * random.nextDouble();
        double[] ppm = new double[24 * (days + 1) + 1];
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
            double more = h >= 24 * DAYS ? times : 1;
            double rests = OUTDOORS + more * at * perHour * (0.9 + 0.2 * random.nextDouble()) / n;
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

    /** The same tank with other equipment, described as it is, and a log of that. */
    SimulatedTank equipped(UnaryOperator<Setup> with, RandomGenerator random) {
        Setup is = with.apply(real);
        SimulatedProbe reads = new SimulatedProbe(random, truth, is, trueRoom);
        return new SimulatedTank(
                is,
                truth,
                trueRoom,
                with.apply(described),
                new TankLog(reads.ph(), List.of(), log.room(), true, log.alkalinity()),
                reads,
                tests);
    }

    /** A log of other readings of this tank, with the tests up to its end. */
    TankLog log(List<Reading> ph) {
        Instant last = ph.get(ph.size() - 1).at();
        return new TankLog(
                ph,
                List.of(),
                log.room(),
                true,
                AlkalinityCourse.of(
                        tests.stream().filter(t -> !t.at().isAfter(last)).toList()));
    }

    /** The same log with two more days, an experiment in some hours of them. */
    TankLog with(MeasureSet during, Instant from, Instant until) {
        List<Reading> ph = probe.more(this, during, from, until);
        return new TankLog(ph, List.of(), log.room(), true, log.alkalinity())
                .with(List.of(new TankLog.Interlude(from, until, described.with(during))));
    }
}
