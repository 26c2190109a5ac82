package jollytide.bench.second;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.RoomDay;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.fit.AlkalinityCourse;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TankLog;
import jollytide.core.fit.TemperatureCourse;
import jollytide.core.measure.Setup;
import jollytide.core.reef.LightClock;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;

/**
 * A tank of the second world as its keeper describes and logs it.
 *
 * @param tank as it is
 * @param asItIs what was in its water
 */
record Kept(Tank tank, Tank.Course asItIs, Setup described, TankLog log) {
    static final int DAYS = 16;
    static final ZoneId ZONE = ZoneId.of("UTC");
    /** A Monday. */
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 14);

    static final Instant START = FIRST.atStartOfDay(ZONE).toInstant();
    static final Instant END = START.plus(Duration.ofDays(DAYS));
    private static final int SEEN = Tank.UNSEEN_DAYS * Steps.A_DAY;
    private static final AlkalinitySource SOURCE = AlkalinitySource.SODA_ASH;
    private static final double ASSUMED_CHANGES = 0.3;
    private static final double LEAST_PH = 7.4;
    private static final double MOST_PH = 8.7;
    /** Nobody keeps animals below it in ordinary nights, mg/L. */
    private static final double LEAST_OXYGEN = 4.5;

    /** One in which animals live: no keeper logs another. */
    static Kept livable(RandomGenerator random) {
        while (true) {
            Kept one = of(random);
            double lowest = IntStream.range(0, DAYS)
                    .mapToDouble(one.asItIs::lowestPh)
                    .min()
                    .orElseThrow();
            double highest = Arrays.stream(one.asItIs.ph(), SEEN, one.asItIs.ph().length)
                    .max()
                    .orElseThrow();
            double oxygen = IntStream.range(0, DAYS)
                    .mapToDouble(one.asItIs::lowestOxygen)
                    .min()
                    .orElseThrow();
            if (lowest > LEAST_PH && highest < MOST_PH && oxygen > LEAST_OXYGEN) {
                return one;
            }
        }
    }

    private static Kept of(RandomGenerator random) {
        int days = Tank.UNSEEN_DAYS + DAYS;
        int steps = days * Steps.A_DAY;
        double volume = 60 * Math.exp(2.5 * random.nextDouble());
        double area = 0.016 * Math.pow(volume, 2.0 / 3) * Steps.between(random, 0.8, 1.2);
        SurfaceClass moving = SurfaceClass.values()[1 + random.nextInt(2)];
        double draw = random.nextInt(6) > 0 ? volume * Steps.between(random, 0.7, 2) : 0;
        double salinity = Steps.between(random, 33, 36);
        double celsius = Steps.between(random, 24.5, 26.5);
        double alkalinity = AlkalinityUnit.DKH.toMeqPerL(Steps.between(random, 7, 10));
        double use = random.nextBoolean() ? AlkalinityUnit.DKH.toMeqPerL(0.2 * Math.pow(10, random.nextDouble())) : 0;
        Lamps lamps = Lamps.of(random, steps);
        Home home = Home.of(random, steps);
        Exchanger exchanger = Exchanger.of(random, steps, area, Steps.around(random, moving.k600CmPerH(), 0.35), draw);
        double[] warmth = warmth(random, steps, celsius, lamps);
        double[] kept = alkalinity(random, steps, alkalinity);
        Tank tank = new Tank(
                volume,
                salinity,
                warmth,
                kept,
                SOURCE.carbonPerEquivalent(),
                home,
                lamps,
                Animals.of(
                        random,
                        days,
                        use,
                        24 * Arrays.stream(lamps.light()).average().orElseThrow()),
                exchanger);
        Tank.Course course = tank.run(Tank.Change.NONE);
        double meter = 25 * random.nextGaussian();
        AlkalinityCourse tested = tests(random, kept);
        Setup described = Setup.plain(
                volume,
                new Seawater(salinity, round(celsius, 0.5)),
                tested.at(END, alkalinity),
                1013.25,
                List.of(new Surface(area, moving)),
                draw == 0 ? null : new Skimmer(round(draw, 10)),
                Home.OUTDOORS,
                RoomDay.of(new DailyAir(meanDay(home, meter)), Home.OUTDOORS, ASSUMED_CHANGES),
                clock(lamps),
                ZONE);
        if (use > 0) {
            described = described.with(described.life().withUse(Steps.around(random, use, 0.2)));
        }
        TankLog log = new TankLog(
                probe(random, course),
                List.of(),
                new RoomCourse(START, metered(random, home, meter)),
                true,
                tested,
                random.nextBoolean() ? null : thermometer(random, warmth),
                List.of());
        return new Kept(tank, course, described, log);
    }

    /** A keeper's controller knows when lamps go on and off, and ramps; a bell is said to be a ramp of an hour. */
    private static LightClock clock(Lamps lamps) {
        int ramp = lamps.shape() == Lamps.Shape.BELL ? 60 : (int) Math.round(60 * lamps.rampH());
        return new LightClock(LocalTime.of((int) lamps.on(), 0), LocalTime.of((int) lamps.off(), 0), true, ramp);
    }

    /** Warmest when the lamps go off; weather on top. */
    private static double[] warmth(RandomGenerator random, int steps, double mean, Lamps lamps) {
        double swing = Steps.between(random, 1, 1.5);
        double[] weather = Steps.wandering(random, steps, 0.2, 48);
        return IntStream.range(0, steps)
                .mapToDouble(i ->
                        mean + weather[i] + swing / 2 * Math.cos(2 * Math.PI * (Steps.hourOfDay(i) - lamps.off()) / 24))
                .toArray();
    }

    /** Kept by doses that follow the tests: it wanders by a tenth of a dKH or two over days. */
    private static double[] alkalinity(RandomGenerator random, int steps, double mean) {
        double[] wanders = Steps.wandering(random, steps, AlkalinityUnit.DKH.toMeqPerL(0.15), 96);
        return IntStream.range(0, steps).mapToDouble(i -> mean + wanders[i]).toArray();
    }

    private static AlkalinityCourse tests(RandomGenerator random, double[] alkalinity) {
        double step = AlkalinityUnit.DKH.toMeqPerL(0.1);
        double kit = AlkalinityUnit.DKH.toMeqPerL(0.2 * random.nextGaussian());
        List<Reading> tests = new ArrayList<>();
        for (int day = 1; day < DAYS; day += 7) {
            int i = SEEN + day * Steps.A_DAY + 19 * 12;
            double shown = alkalinity[i] + kit + AlkalinityUnit.DKH.toMeqPerL(0.1 * random.nextGaussian());
            tests.add(new Reading(START.plus(Duration.ofHours(24L * day + 19)), round(shown, step)));
        }
        return AlkalinityCourse.of(tests);
    }

    /** Means of half hours of a probe that lags, is off, drifts, flickers and shows hundredths. */
    private static List<Reading> probe(RandomGenerator random, Tank.Course course) {
        double lag = Steps.between(random, 2, 8) / 60;
        double off = 0.04 * random.nextGaussian();
        double drift = 0.001 * random.nextGaussian();
        double follows = 1 - Math.exp(-Steps.HOURS / lag);
        double at = course.ph()[SEEN];
        List<Reading> readings = new ArrayList<>();
        double sum = 0;
        for (int i = SEEN; i < course.ph().length; i++) {
            at += follows * (course.ph()[i] - at);
            double days = (double) (i - SEEN) / Steps.A_DAY;
            sum += round(at + off + drift * days + 0.005 * random.nextGaussian(), 0.01);
            if ((i - SEEN) % 6 == 5) {
                Instant middle = START.plus(Duration.ofSeconds(300L * (i - SEEN) - 750));
                readings.add(new Reading(middle, sum / 6));
                sum = 0;
            }
        }
        return readings;
    }

    private static List<Double> metered(RandomGenerator random, Home home, double off) {
        double[] ppm = home.ppm(1);
        List<Double> hourly = new ArrayList<>();
        for (int i = SEEN; i < ppm.length; i += 12) {
            hourly.add(Math.max(100, ppm[i] + off + 10 * random.nextGaussian()));
        }
        hourly.add(hourly.get(hourly.size() - 1));
        return hourly;
    }

    private static List<Double> meanDay(Home home, double off) {
        double[] ppm = home.ppm(1);
        return IntStream.range(0, 24)
                .mapToObj(h -> off
                        + IntStream.range(0, DAYS)
                                .mapToDouble(d -> ppm[SEEN + d * Steps.A_DAY + h * 12])
                                .average()
                                .orElseThrow())
                .toList();
    }

    private static TemperatureCourse thermometer(RandomGenerator random, double[] celsius) {
        double off = 0.2 * random.nextGaussian();
        List<Reading> read = new ArrayList<>();
        for (int i = SEEN; i < celsius.length; i += 6) {
            read.add(new Reading(START.plus(Duration.ofMinutes(5L * (i - SEEN))), round(celsius[i] + off, 0.1)));
        }
        return TemperatureCourse.of(read);
    }

    private static double round(double value, double to) {
        return Math.round(value / to) * to;
    }
}
