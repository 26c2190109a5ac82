package jollytide.server.outage;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.core.bench.Forecast;
import jollytide.core.bench.Living;
import jollytide.core.bench.Remedies;
import jollytide.core.bench.Remedy;
import jollytide.core.bench.Setup;
import jollytide.core.evidence.Quantity;
import jollytide.core.exchange.Surface;
import jollytide.core.outage.Backup;
import jollytide.core.outage.OxygenClock;
import jollytide.core.outage.Plan;
import jollytide.core.outage.Stricken;
import jollytide.core.twin.TwinState;
import jollytide.server.bench.TwinBook;
import jollytide.server.bench.TwinBook.Described;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.reading.ReadingRow;
import jollytide.server.tank.Tank;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What an outage meets: a tank at its hour, as the log and the twin know it. */
@Component
class Stricture {
    /** Oxygen that was read so shortly before counts as that of the start. */
    private static final Duration FRESH = Duration.ofHours(3);

    private static final double HOLD_MG_PER_L = 4;
    private static final double BUCKET_L = 10;
    /** Hours since the last meal where nobody said. From memory. */
    static final double FED_H = 12;
    /** The room without heating, in a summer and a winter night. From memory. */
    static final double SUMMER_C = 27;

    static final double WINTER_C = 17;
    private static final int SAMPLES_A_DAY = 96;

    private final TwinBook book;
    private final LogSnapshots log;

    Stricture(TwinBook book, LogSnapshots log) {
        this.book = book;
        this.log = log;
    }

    /**
     * A tank struck at an instant.
     *
     * @param oxygen newest reading of the hours before; null without one
     * @param roomC of the air around it from then on
     * @param fedH hours since the last meal; null where nobody said
     */
    Stricken at(Described known, Instant at, @Nullable ReadingRow oxygen, double roomC, @Nullable Double fedH) {
        return at(known, at, oxygen, roomC, fedH, null);
    }

    /** Water that was measured on the way. */
    record WaterReading(double hours, double celsius) {}

    /** @param water moves the temperature at the start so that its cooling passes through the reading */
    Stricken at(
            Described known,
            Instant at,
            @Nullable ReadingRow oxygen,
            double roomC,
            @Nullable Double fedH,
            @Nullable WaterReading water) {
        TwinState then = twinAt(known, at);
        double mgPerL = oxygen == null ? then.oxygenMgPerL() : value(oxygen, known.setup());
        double startC = then.temperatureC();
        if (water != null) {
            double cooling = Stricken.ordinaryCoolingPerH(known.setup().netVolumeL());
            double passes = roomC + (water.celsius() - roomC) * Math.exp(cooling * water.hours());
            startC = Math.max(5, Math.min(38, passes));
        }
        return stricken(
                known, known.tanks().get(0), mgPerL, oxygen != null, startC, roomC, fedH == null ? FED_H : fedH);
    }

    /** What was read so shortly before an instant that it counts as the oxygen of the start, by tank. */
    Map<UUID, ReadingRow> oxygenBefore(List<Tank> tanks, Instant at) {
        return log.newestInWater(tanks, Quantity.OXYGEN, at.minus(FRESH), at);
    }

    /**
     * A tank struck at the worst hour of a night: before lights-on, so many degrees warmer than today. Of the tanks that
     * could be behind the log it is the worst; one whose animals would have suffocated long ago is none of them.
     */
    Stricken atNight(Described known, double warmerByK, double roomC) {
        double celsius = known.setup().water().temperatureC() + warmerByK;
        List<Stricken> all = known.tanks().stream()
                .map(living -> stricken(known, living, lowest(known, living, warmerByK), false, celsius, roomC, FED_H))
                .toList();
        return all.stream()
                .filter(tank -> !tank.contradictedByItsAnimals())
                .min(Comparator.comparingDouble(Stricken::startMgPerL))
                .orElse(all.get(0));
    }

    private double lowest(Described known, Living living, double warmerByK) {
        TwinState settled = book.settled(known.setup(), living, known.start());
        Remedies heat = warmerByK == 0 ? Remedies.NONE : Remedies.of(new Remedy.Warmth(warmerByK));
        List<TwinState> run = new Forecast(known.setup(), living).run(settled, heat, Duration.ofDays(3));
        return run.subList(run.size() - SAMPLES_A_DAY, run.size()).stream()
                .mapToDouble(TwinState::oxygenMgPerL)
                .min()
                .orElseThrow();
    }

    private static Stricken stricken(
            Described known,
            Living living,
            double oxygen,
            boolean measured,
            double celsius,
            double roomC,
            double fedH) {
        Setup setup = known.setup();
        double surface = setup.parts().stream()
                .mapToDouble(part -> part.path() instanceof Surface s ? s.areaM2() : 0)
                .sum();
        return new Stricken(
                setup.netVolumeL(),
                setup.water().salinity(),
                setup.pressureHpa(),
                surface,
                living.respirationMmolPerLPerH(),
                setup.life().fish(),
                oxygen,
                measured,
                celsius,
                roomC,
                Stricken.ordinaryCoolingPerH(setup.netVolumeL()),
                fedH);
    }

    /** The twin's day at that hour: an ordinary day tells it, whichever day it was. */
    private TwinState twinAt(Described known, Instant at) {
        Living living = known.tanks().get(0);
        TwinState settled = book.settled(known.setup(), living, known.start());
        long seconds = Math.floorMod(Duration.between(known.start(), at).toSeconds(), 86_400L);
        List<TwinState> day = new Forecast(known.setup(), living).run(settled, Remedies.NONE, Duration.ofDays(1));
        return day.get(Math.min(day.size() - 1, (int) (seconds / 900)));
    }

    private static double value(ReadingRow row, Setup setup) {
        return row.standard(setup.water(), setup.pressureHpa()).value();
    }

    /** Tanks as the twin knows them. */
    Map<UUID, Described> describe(List<Tank> tanks) {
        return book.describe(tanks);
    }

    /** What the plan must know of a tank, with these things at hand. */
    Plan.Situation situation(
            Tank tank, Stricken stricken, List<OxygenClock.Running> schedule, OxygenClock.OxygenCourse course) {
        boolean doser = tank.parts().alkalinityUseDkhPerDay() != null;
        return new Plan.Situation(
                Boolean.TRUE.equals(tank.parts().canister()),
                doser,
                tank.skimmerAirDrawLPerH() != null,
                tank.parts().lives().corals(),
                Backup.Pouring.bucketsPerH(stricken, HOLD_MG_PER_L, BUCKET_L),
                stricken,
                schedule,
                course);
    }
}
