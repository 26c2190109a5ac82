package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.IntFunction;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import jollytide.core.description.DailyAir;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.RoomDay;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.reef.LightClock;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;

/** A tank whose truth is known, and the log that a perfect probe would keep of it. */
public final class Logged {
    public static final ZoneId ZONE = ZoneId.of("Europe/Amsterdam");
    public static final Instant START = Instant.parse("2026-09-13T22:00:00Z");
    public static final Setup TANK = tank(new Skimmer(500));
    /** A home that empties on working days. */
    public static final IntToDoubleFunction HOME = h -> h % 24 >= 9 && h % 24 < 17 && h / 24 % 7 < 5 ? 560 : 900;

    private Logged() {}

    public static Setup tank(@Nullable Skimmer skimmer) {
        return Setup.plain(
                420,
                new Seawater(35, 25.5),
                3.03,
                1013.25,
                List.of(new Surface(0.9, SurfaceClass.ROLLING)),
                skimmer,
                420,
                RoomDay.of(
                        new DailyAir(IntStream.range(0, 24)
                                .mapToObj(h -> h >= 9 && h < 17 ? 657.0 : 900.0)
                                .toList()),
                        420,
                        0.3),
                new LightClock(LocalTime.of(10, 0), LocalTime.of(21, 0), true, 30),
                ZONE);
    }

    /** The same with animals that build skeletons. */
    static Setup using(Setup s, double meqPerLPerDay) {
        return s.with(s.life().withUse(meqPerLPerDay));
    }

    public static RoomCourse room(int days, IntToDoubleFunction ppm) {
        return new RoomCourse(
                START,
                IntStream.range(0, 24 * days + 2).mapToObj(ppm::applyAsDouble).toList());
    }

    /** So many days of such a tank, from {@link #START} on. */
    static List<TwinState> states(Setup setup, TankParameters truth, int days, RoomCourse room) {
        OrdinaryDays ordinary = new OrdinaryDays(setup, truth, room);
        return ordinary.run(ordinary.today(START), MeasureSet.NONE, Duration.ofDays(days));
    }

    /** Its pH every half hour. */
    public static List<Reading> ph(List<TwinState> states) {
        List<Reading> ph = new ArrayList<>();
        for (int i = 0; i < states.size(); i += 2) {
            ph.add(new Reading(states.get(i).at(), states.get(i).phNbs()));
        }
        return ph;
    }

    static TankLog log(List<Reading> ph, RoomCourse room) {
        return new TankLog(ph, List.of(), room, true, AlkalinityCourse.of(List.of(new Reading(START, 3.03))));
    }

    public static FittedTank fit(Setup setup, TankLog log) {
        return TwinFit.of(setup, TankParameters.ORDINARY, log, Priors.ASSUMED, TwinFit.Progress.NONE);
    }

    /** Days of {@link #TANK}, a reef a little livelier or lazier each day, read by a probe that is a little restless. */
    public static List<Reading> restless(
            RoomCourse room, TankParameters first, IntFunction<TankParameters> ofDay, int days, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<TwinState> states = new ArrayList<>();
        TwinState state = new OrdinaryDays(TANK, first, room).today(START);
        for (int d = 0; d < days; d++) {
            TankParameters t = ofDay.apply(d);
            TankParameters today = new TankParameters(
                    t.skimmerFactor(),
                    t.surfaceFactor(),
                    t.respirationMmolPerLPerH() * Math.exp(0.04 * random.nextGaussian()),
                    t.photosynthesisMmolPerLPerH() * Math.exp(0.04 * random.nextGaussian()));
            List<TwinState> day = new OrdinaryDays(TANK, today, room).run(state, MeasureSet.NONE, Duration.ofDays(1));
            states.addAll(day.subList(0, day.size() - 1));
            state = day.get(day.size() - 1);
        }
        return ph(states).stream()
                .map(r -> new Reading(r.at(), r.value() + 0.003 * random.nextGaussian()))
                .toList();
    }
}
