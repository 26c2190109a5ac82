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
import jollytide.core.outage.TankAtFailure;
import jollytide.core.twin.TwinState;

/** The hour of a night at which oxygen stands lowest, and the tank that loses its mains then. */
public final class WorstNight {
    /** How much warmer the hottest day makes a tank. From memory. */
    public static final double HOTTEST_K = 4;
    /** The room without heating or cooling, in a summer and a winter night. From memory. */
    public static final double SUMMER_C = 27;

    public static final double WINTER_C = 17;
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
     * A tank that loses its mains at that hour of a night so many degrees warmer than today. Of the tanks that could be
     * behind the log it is the worst; one whose animals would have suffocated long ago is none of them.
     *
     * @param settled one state for each of {@code tanks}, in their order
     * @param roomC the air around it from then on
     */
    public static TankAtFailure of(
            Setup setup, List<TankParameters> tanks, List<TwinState> settled, double warmerByK, double roomC) {
        MeasureSet heat = warmerByK == 0 ? MeasureSet.NONE : MeasureSet.of(new Warmth(warmerByK));
        List<TankAtFailure> all = IntStream.range(0, tanks.size())
                .parallel()
                .mapToObj(i -> {
                    TwinState lowest = lowest(setup, tanks.get(i), settled.get(i), heat);
                    return at(setup, tanks.get(i), lowest.oxygenMgPerL(), false, lowest.temperatureC(), roomC, FED_H);
                })
                .toList();
        return all.stream()
                .filter(tank -> !tank.contradictedByItsAnimals())
                .min(Comparator.comparingDouble(TankAtFailure::startMgPerL))
                .orElse(all.get(0));
    }

    /**
     * A tank of this setup that loses its mains.
     *
     * @param measured whether its oxygen was
     * @param fedH hours since the last meal
     */
    public static TankAtFailure at(
            Setup setup,
            TankParameters tank,
            double oxygenMgPerL,
            boolean measured,
            double celsius,
            double roomC,
            double fedH) {
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
                roomC,
                TankAtFailure.ordinaryCoolingPerH(setup.netVolumeL()),
                fedH,
                setup.withoutMains());
    }
}
