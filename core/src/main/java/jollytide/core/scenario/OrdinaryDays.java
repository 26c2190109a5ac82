package jollytide.core.scenario;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.SettlingTime;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Rig;
import jollytide.core.measure.Setup;
import jollytide.core.media.Media;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.twin.Exchange;
import jollytide.core.twin.GasBalance;
import jollytide.core.twin.Reef;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.Water;
import org.jspecify.annotations.Nullable;

/** Ordinary days of a setup with measures on, for one of the tanks that could be behind its log. */
public final class OrdinaryDays {
    private static final Duration EVERY = Duration.ofMinutes(15);
    private static final Duration SETTLING_IN = Duration.ofDays(7);
    private static final Duration DAY = Duration.ofDays(1);
    /** The ordinary day is run again and again until it ends as it began. */
    private static final int LEAST_SETTLING_DAYS = 7;

    private static final int MOST_SETTLING_DAYS = 60;
    private static final double SAME_PH = 2e-4;
    private static final double SAME_MG_PER_L = 2e-3;
    /** From this day on use follows the saturation. */
    private static final int BALANCED_FROM_DAY = 3;

    /** From where the water settles in, dry ppm: any value does, for a week is several settling times. */
    private static final double FIRST_WATER_PPM = 900;

    private final Setup setup;
    private final TankParameters metabolism;

    private final @Nullable RoomCourse logged;

    public OrdinaryDays(Setup setup, TankParameters metabolism) {
        this(setup, metabolism, null);
    }

    /** @param logged the room as it was, for days that have been; where it has gaps the room's ordinary day is taken */
    public OrdinaryDays(Setup setup, TankParameters metabolism, @Nullable RoomCourse logged) {
        this.setup = setup.with(setup.standing().keptUp()).corrected(metabolism);
        this.metabolism = metabolism;
        this.logged = logged == null ? null : logged.corrected(metabolism, setup.outdoorPpm());
    }

    /**
     * What a day brings once everything has settled.
     *
     * @param troughPh and its moment
     * @param lowestOxygenMgPerL of the day
     */
    public record SettledDay(
            double troughPh,
            Instant troughAt,
            double peakPh,
            Instant peakAt,
            double lowestOxygenMgPerL,
            Instant lowestOxygenAt,
            double highestOmega) {

        public static SettledDay of(List<TwinState> day) {
            TwinState trough = day.stream()
                    .min(Comparator.comparingDouble(TwinState::phNbs))
                    .orElseThrow();
            TwinState peak = day.stream()
                    .max(Comparator.comparingDouble(TwinState::phNbs))
                    .orElseThrow();
            TwinState least = day.stream()
                    .min(Comparator.comparingDouble(TwinState::oxygenMgPerL))
                    .orElseThrow();
            double omega =
                    day.stream().mapToDouble(TwinState::omegaAragonite).max().orElseThrow();
            return new SettledDay(
                    trough.phNbs(), trough.at(), peak.phNbs(), peak.at(), least.oxygenMgPerL(), least.at(), omega);
        }
    }

    /**
     * Settled under today's conditions: the state from which every variant starts, at {@code at}. Doses keep up with the
     * use, so at that hour of each day alkalinity and calcium stand at their tests; from day to day the mean saturation
     * is found at which a day's use is the described one.
     */
    public TwinState today(Instant at) {
        boolean uses = setup.useMeqPerLPerDay() > 0;
        Instant dayBefore = at.minus(DAY);
        Twin twin = twin(MeasureSet.NONE, dayBefore, DAY);
        TwinState start = twin.start(dayBefore, setup.alkalinityMeqPerL(), FIRST_WATER_PPM);
        TwinState state = start;
        TwinState end;
        int days = 0;
        do {
            TwinState begun = twin.carriedOver(state);
            List<TwinState> day = twin.run(begun, at, uses ? EVERY : DAY);
            end = lastOf(day);
            days++;
            if (uses && days >= BALANCED_FROM_DAY) {
                double surplus = end.alkalinityMolPerKg() - start.alkalinityMolPerKg();
                end = end.with(Water.DIC, dic -> Math.max(LEAST_DIC, dic - surplus / 2))
                        .with(Water.ALKALINITY, start.alkalinityMolPerKg())
                        .with(Water.CALCIUM, start.calciumMolPerKg())
                        .with(
                                Reef.USUAL_OVERSATURATION,
                                day.stream()
                                        .mapToDouble(TwinState::oversaturation)
                                        .average()
                                        .orElseThrow());
            }
            state = end.again(dayBefore);
            if (days >= LEAST_SETTLING_DAYS && settled(begun, end)) {
                break;
            }
        } while (days < MOST_SETTLING_DAYS);
        return end;
    }

    /** A tank whose algae leave it less carbon still is water, mol/kg. */
    private static final double LEAST_DIC = 1e-4;

    /** Whether a day ended as it began. */
    private static boolean settled(TwinState begun, TwinState end) {
        return Math.abs(end.phNbs() - begun.phNbs()) < SAME_PH
                && Math.abs(end.oxygenMgPerL() - begun.oxygenMgPerL()) < SAME_MG_PER_L;
    }

    /** The water from {@code today} on with the measures in place, every quarter of an hour. */
    public List<TwinState> run(TwinState today, MeasureSet measures, Duration length) {
        return run(today, measures, length, EVERY);
    }

    public List<TwinState> run(TwinState today, MeasureSet measures, Duration length, Duration every) {
        return run(rig(measures), today, length, every);
    }

    private List<TwinState> run(Rig rig, TwinState today, Duration length, Duration every) {
        Twin twin = new Twin(rig.tank(today.at(), length, logged, false));
        return twin.run(twin.carriedOver(rig.startsFrom(today)), today.at().plus(length), every);
    }

    /** The same with media that never fill: what a fresh fill gives once the water has settled. Others as they are. */
    public SettledDay settledWithFreshMedia(TwinState today, MeasureSet measures, Duration length) {
        Rig rig = rig(measures).media(Media::endless);
        return settled(run(rig, today, length, EVERY));
    }

    /** The same with a loop that lets no fresh air seep in: what its oxygen falls to at worst. Others as they are. */
    public List<TwinState> runWithTightLoop(TwinState today, MeasureSet measures, Duration length) {
        Rig rig = rig(measures)
                .media(media -> new Media(media.massKg(), media.assumed().tight()));
        return run(rig, today, length, EVERY);
    }

    /** The last day of a run long enough to have settled. */
    public SettledDay settled(TwinState today, MeasureSet measures) {
        return settled(today, measures, SETTLING_IN);
    }

    public SettledDay settled(TwinState today, MeasureSet measures, Duration length) {
        return settled(run(today, measures, length));
    }

    /** The last day of such a run. */
    public static SettledDay settled(List<TwinState> run) {
        Instant from = run.get(run.size() - 1).at().minus(DAY);
        return SettledDay.of(run.stream().filter(s -> s.at().isAfter(from)).toList());
    }

    /** From the lowest to the highest of what several tanks give, with the first one's value. */
    public static Estimate band(List<Double> values) {
        double low = values.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double high = values.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        return new Estimate(values.get(0), low, high);
    }

    /**
     * The balance of both gases.
     *
     * @param state at the moment of {@code rates}
     * @param rates mol/h at that moment
     * @param exchanges the ways between water and air at that moment
     * @param day what crossed in the 24 hours before, mol
     * @param storedCo2 by how much the water's inorganic carbon grew in those hours, mol
     * @param storedOxygen likewise
     */
    public record Balance(
            TwinState state,
            GasBalance rates,
            List<Exchange> exchanges,
            GasBalance day,
            double storedCo2,
            double storedOxygen) {

        /** Pressure of a gas in the water, atm. */
        public double waterAtm(Gas gas) {
            double perL = state.oxygenMgPerL() / Gases.OXYGEN_MG_PER_MOL;
            return gas == Gas.CO2 ? state.co2Uatm() * 1e-6 : perL / Gas.OXYGEN.solubility(state.seawater());
        }
    }

    /** The balance at a moment after {@code today}, at least a day later, and over the day before it. */
    public Balance balance(TwinState today, MeasureSet measures, Instant at) {
        Duration before = Duration.between(today.at(), at).minus(DAY);
        TwinState first = before.isZero() ? today : lastOf(run(today, measures, before, before));
        Twin twin = new Twin(rig(measures).tank(first.at(), DAY, logged, true));
        TwinState from = twin.carriedOver(first);
        TwinState then = lastOf(twin.run(from, at, DAY));
        double kg = then.tank().water().kg();
        return new Balance(
                then,
                Twin.rates(then),
                Twin.exchanges(then),
                then.flows(),
                (then.dicMolPerKg() - from.dicMolPerKg()) * kg,
                (then.oxygenMolPerKg() - from.oxygenMolPerKg()) * kg);
    }

    /** How long the water takes to follow the air with these measures on, h. */
    public double timeConstantH(TwinState today, MeasureSet measures) {
        Twin twin = twin(measures, today.at(), DAY);
        double conductance = 1e-6;
        for (Exchange way : Twin.exchanges(twin.carriedOver(today))) {
            conductance += way.conductance().co2() * way.open();
        }
        return SettlingTime.hours(
                        CarbonateSystem.of(setup.water()),
                        setup.alkalinityMeqPerL() / 1000 / setup.water().densityKgPerL(),
                        FIRST_WATER_PPM,
                        setup.netVolumeL(),
                        conductance)
                .value();
    }

    private static TwinState lastOf(List<TwinState> run) {
        return run.get(run.size() - 1);
    }

    /** The tank with measures on, before it is laid out in time. */
    public Rig rig(MeasureSet measures) {
        return Rig.of(setup, metabolism, measures);
    }

    private Twin twin(MeasureSet measures, Instant from, Duration length) {
        return new Twin(rig(measures).tank(from, length, logged, false));
    }
}
