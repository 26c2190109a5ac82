package jollytide.core.scenario;

import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.exchange.Surface;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.measure.Warmth;
import jollytide.core.outage.RoomAround;
import jollytide.core.outage.TankAtFailure;
import jollytide.core.reef.Fish;
import jollytide.core.twin.TwinState;

/** The hour of a night at which oxygen stands lowest, and the tank that loses its mains then. */
public final class WorstNight {
    /** How much warmer the hottest day makes a tank. From memory. */
    public static final double HOTTEST_K = 4;
    /** Hours since the last meal where nobody said. From memory. */
    public static final double FED_H = 12;
    /** Beyond two days nothing is said of a night without mains. */
    public static final double LOOKED_AHEAD_H = 48;

    /** Oxygen settles within hours; the last of these days counts. */
    private static final Duration RUN = Duration.ofDays(3);

    private static final int SAMPLES_A_DAY = 96;

    private WorstNight() {}

    /** The state with the least oxygen of a settled day with these measures on. */
    static TwinState lowest(Setup setup, TankParameters tank, TwinState settled, MeasureSet measures) {
        List<TwinState> run = new OrdinaryDays(setup, tank).run(settled, measures, RUN);
        return run.subList(run.size() - SAMPLES_A_DAY, run.size()).stream()
                .min(Comparator.comparingDouble(TwinState::oxygenMgPerL))
                .orElseThrow();
    }

    /**
     * A night, and the tank that loses its mains in it.
     *
     * @param lowestMgPerL oxygen at its worst hour in the worst of the tanks that could be behind the log
     * @param contradicted whether even ordinary nights are computed where no animals would live: the sum is no ground for
     *     alarm
     */
    public record Night(TankAtFailure tank, double lowestMgPerL, boolean contradicted) {}

    /**
     * A tank that loses its mains at that hour of a night so many degrees warmer than today. Of the tanks that could be
     * behind the log it is the worst; one whose animals would have suffocated on an ordinary night is none of them, however
     * warm this night is. Without a log it is the expected one: how little is known of its respiration goes along.
     *
     * @param settled one state for each of {@code tanks}, in their order
     * @param room the air around it from then on
     * @param respirationLnSd of a tank without a log; 0 with one
     */
    public static Night of(
            Setup setup,
            List<TankParameters> tanks,
            List<TwinState> settled,
            double warmerByK,
            RoomAround room,
            double respirationLnSd) {
        MeasureSet heat = warmerByK == 0 ? MeasureSet.NONE : MeasureSet.of(new Warmth(warmerByK));
        List<TwinState> ordinary = lowest(setup, tanks, settled, MeasureSet.NONE);
        List<TwinState> lowest = warmerByK == 0 ? ordinary : lowest(setup, tanks, settled, heat);
        List<Integer> living = IntStream.range(0, tanks.size())
                .filter(i -> ordinary.get(i).oxygenMgPerL() >= Fish.UNLIKELY_MG_PER_L)
                .boxed()
                .toList();
        List<Integer> possible =
                living.isEmpty() ? IntStream.range(0, tanks.size()).boxed().toList() : living;
        int worst = possible.stream()
                .min(Comparator.comparingDouble(i -> lowest.get(i).oxygenMgPerL()))
                .orElseThrow();
        int meant = respirationLnSd > 0 || living.isEmpty() ? possible.get(0) : worst;
        TwinState then = lowest.get(meant);
        TankAtFailure tank = at(
                setup, tanks.get(meant), then.oxygenMgPerL(), false, then.temperatureC(), room, FED_H, respirationLnSd);
        return new Night(tank, lowest.get(worst).oxygenMgPerL(), living.isEmpty());
    }

    private static List<TwinState> lowest(
            Setup setup, List<TankParameters> tanks, List<TwinState> settled, MeasureSet measures) {
        return IntStream.range(0, tanks.size())
                .parallel()
                .mapToObj(i -> lowest(setup, tanks.get(i), settled.get(i), measures))
                .toList();
    }

    /**
     * A tank of this setup that loses its mains.
     *
     * @param measured whether its oxygen was
     * @param fedH hours since the last meal
     * @param respirationLnSd of a tank without a log; 0 with one
     */
    public static TankAtFailure at(
            Setup setup,
            TankParameters tank,
            double oxygenMgPerL,
            boolean measured,
            double celsius,
            RoomAround room,
            double fedH,
            double respirationLnSd) {
        double surface = setup.open().stream()
                .mapToDouble(open -> open.path() instanceof Surface s ? s.areaM2() : 0)
                .sum();
        return new TankAtFailure(
                setup.netVolumeL(),
                setup.water().salinity(),
                setup.pressureHpa(),
                surface,
                tank.respirationMmolPerLPerH(),
                setup.life().fish(),
                oxygenMgPerL,
                measured,
                celsius,
                room,
                TankAtFailure.ordinaryCoolingPerH(setup.netVolumeL()),
                fedH,
                setup.withoutMains(),
                0,
                respirationLnSd);
    }
}
