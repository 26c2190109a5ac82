package jollytide.server.outage;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Quantity;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.outage.Backup;
import jollytide.core.outage.NightWithoutMains;
import jollytide.core.outage.Plan;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.WorstNight;
import jollytide.core.twin.TwinState;
import jollytide.server.reading.LogSnapshots;
import jollytide.server.reading.ReadingRow;
import jollytide.server.tank.Tank;
import jollytide.server.twin.TwinBook;
import jollytide.server.twin.TwinBook.Described;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What an outage meets: a tank at its hour, as the log and the twin know it. */
@Component
class Failures {
    /** Oxygen that was read so shortly before counts as that of the start. */
    private static final Duration FRESH = Duration.ofHours(3);

    private final TwinBook book;
    private final LogSnapshots log;

    Failures(TwinBook book, LogSnapshots log) {
        this.book = book;
        this.log = log;
    }

    /**
     * A tank that loses its mains at an instant.
     *
     * @param oxygen newest reading of the hours before; null without one
     * @param room the air around it from then on
     * @param fedH hours since the last meal; null where nobody said
     */
    TankAtFailure at(Described known, Instant at, @Nullable ReadingRow oxygen, RoomAround room, @Nullable Double fedH) {
        return at(known, at, oxygen, room, fedH, null);
    }

    /** Water that was measured on the way. */
    record WaterReading(double hours, double celsius) {}

    /** @param water moves the temperature at the start so that its cooling passes through the reading */
    TankAtFailure at(
            Described known,
            Instant at,
            @Nullable ReadingRow oxygen,
            RoomAround room,
            @Nullable Double fedH,
            @Nullable WaterReading water) {
        TwinState then = twinAt(known, at);
        double mgPerL = oxygen == null ? then.oxygenMgPerL() : value(oxygen, known.setup());
        double startC = then.temperatureC();
        if (water != null) {
            double cooling = TankAtFailure.ordinaryCoolingPerH(known.setup().netVolumeL());
            double passes = room.celsius() + (water.celsius() - room.celsius()) * Math.exp(cooling * water.hours());
            startC = Math.max(5, Math.min(38, passes));
        }
        return WorstNight.at(
                known.setup(),
                known.tanks().get(0),
                mgPerL,
                oxygen != null,
                startC,
                room,
                fedH == null ? WorstNight.FED_H : fedH,
                known.respirationLnSd());
    }

    /** What was read so shortly before an instant that it counts as the oxygen of the start, by tank. */
    Map<UUID, ReadingRow> oxygenBefore(List<Tank> tanks, Instant at) {
        return log.newestInWater(tanks, Quantity.OXYGEN, at.minus(FRESH), at);
    }

    /** A tank that loses its mains at the worst hour of a night, so many degrees warmer than today. */
    WorstNight.Night atNight(Described known, double warmerByK, double roomC) {
        List<TwinState> settled = known.tanks().stream()
                .map(tank -> book.settled(known.setup(), tank, known.start()))
                .toList();
        return WorstNight.of(
                known.setup(), known.tanks(), settled, warmerByK, RoomAround.expected(roomC), known.respirationLnSd());
    }

    /** The twin's day at that hour: an ordinary day tells it, whichever day it was. */
    private TwinState twinAt(Described known, Instant at) {
        TankParameters tank = known.tanks().get(0);
        TwinState settled = book.settled(known.setup(), tank, known.start());
        long seconds = Math.floorMod(Duration.between(known.start(), at).toSeconds(), 86_400L);
        List<TwinState> day = new OrdinaryDays(known.setup(), tank).run(settled, MeasureSet.NONE, Duration.ofDays(1));
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
            Tank tank,
            TankAtFailure failed,
            List<NightWithoutMains.Running> schedule,
            NightWithoutMains.OxygenCourse course) {
        boolean doser = tank.parts().alkalinityUseDkhPerDay() != null;
        return new Plan.Situation(
                Boolean.TRUE.equals(tank.parts().canister()),
                doser,
                !tank.parts().fallParts().isEmpty() || tank.parts().cabinet() != null,
                tank.skimmerAirDrawLPerH() != null
                        || Boolean.TRUE.equals(tank.parts().skimmerDrawUnknown()),
                tank.parts().lives().corals(),
                Backup.Pouring.bucketsPerH(failed),
                failed,
                schedule,
                course);
    }
}
