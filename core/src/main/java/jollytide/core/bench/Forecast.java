package jollytide.core.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import jollytide.core.evidence.Estimate;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.SettlingTime;
import jollytide.core.media.Media;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.twin.Ledger;
import jollytide.core.twin.Opening;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import org.jspecify.annotations.Nullable;

/** Runs a setup with remedies on, for one of the tanks that could be behind its log. */
public final class Forecast {
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

    /** So much that a week neither fills nor drowns it. */
    private static final double ENDLESS_KG = 50;

    private final Setup setup;
    private final Living living;

    private final @Nullable RoomCourse logged;

    public Forecast(Setup setup, Living living) {
        this(setup, living, null);
    }

    /** @param logged the room as it was, for days that have been; where it has gaps the room's ordinary day is taken */
    Forecast(Setup setup, Living living, @Nullable RoomCourse logged) {
        this.setup = setup;
        this.living = living;
        this.logged = logged;
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

        static SettledDay of(List<TwinState> day) {
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
        Twin twin = twin(Remedies.NONE, dayBefore, DAY);
        double room = setup.room().ppm().mean();
        TwinState start = twin.start(dayBefore, setup.alkalinityMeqPerL(), FIRST_WATER_PPM, room);
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
                end = end.withMinerals(
                                end.dicMolPerKg() - surplus / 2, start.alkalinityMolPerKg(), start.calciumMolPerKg())
                        .withUsualOversaturation(day.stream()
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

    /** Whether a day ended as it began. */
    private static boolean settled(TwinState begun, TwinState end) {
        return Math.abs(end.phNbs() - begun.phNbs()) < SAME_PH
                && Math.abs(end.oxygenMgPerL() - begun.oxygenMgPerL()) < SAME_MG_PER_L;
    }

    /** The water from {@code today} on with the remedies in place, every quarter of an hour. */
    public List<TwinState> run(TwinState today, Remedies remedies, Duration length) {
        return run(today, remedies, length, EVERY);
    }

    List<TwinState> run(TwinState today, Remedies remedies, Duration length, Duration every) {
        Twin twin = twin(remedies, today.at(), length);
        return twin.run(twin.carriedOver(raised(today, remedies)), today.at().plus(length), every);
    }

    /** Alkalinity that is brought up or down with soda ash: half a mole of carbon comes with each equivalent. */
    private TwinState raised(TwinState today, Remedies remedies) {
        double meqPerL = remedies.find(Remedy.AlkalinityChange.class)
                .map(Remedy.AlkalinityChange::meqPerL)
                .orElse(0.0);
        double perKg = meqPerL / 1000 / setup.water().densityKgPerL();
        return today.withCarbonate(today.dicMolPerKg() + perKg / 2, today.alkalinityMolPerKg() + perKg);
    }

    /** The same with media that never fill: what a fresh fill gives once the water has settled. Others as they are. */
    public static Remedies withFreshMedia(Remedies remedies) {
        return withMedia(remedies, media -> new Media(ENDLESS_KG, media.assumed()));
    }

    /** The same with a loop that lets no fresh air seep in: what its oxygen falls to at worst. Others as they are. */
    public static Remedies withTightLoop(Remedies remedies) {
        return withMedia(
                remedies, media -> new Media(media.massKg(), media.assumed().tight()));
    }

    private static Remedies withMedia(Remedies remedies, UnaryOperator<Media> change) {
        return new Remedies(remedies.all().stream()
                .map(remedy -> remedy instanceof Remedy.Scrubber s
                        ? new Remedy.Scrubber(
                                change.apply(s.media()), s.freshShare(), s.hours(), s.gatePh(), s.driesBetween())
                        : remedy)
                .toList());
    }

    /** The last day of a run long enough to have settled. */
    public SettledDay settled(TwinState today, Remedies remedies) {
        return settled(run(today, remedies, SETTLING_IN));
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
     * @param at of {@code rates}
     * @param rates mol/h at that moment
     * @param co2 pressures of CO2 at that moment
     * @param day what crossed in the 24 hours before, mol
     * @param storedCo2 by how much the water's inorganic carbon grew in those hours, mol
     * @param storedOxygen likewise
     */
    public record Balance(
            Instant at,
            TwinTank tank,
            Ledger rates,
            Twin.Pressures co2,
            Twin.Pressures oxygen,
            Ledger day,
            double storedCo2,
            double storedOxygen) {}

    /** The balance at a moment after {@code today}, at least a day later, and over the day before it. */
    public Balance balance(TwinState today, Remedies remedies, Instant at) {
        Duration before = Duration.between(today.at(), at).minus(DAY);
        TwinState first = before.isZero() ? today : lastOf(run(today, remedies, before, before));
        Twin twin = twin(remedies, first.at(), DAY);
        TwinState from = twin.carriedOver(first);
        TwinState then = lastOf(twin.run(from, at, DAY));
        double kg = setup.netVolumeL() * setup.water().densityKgPerL();
        return new Balance(
                at,
                Fitted.tank(setup, living, remedies),
                twin.rates(then),
                twin.pressures(then, Gas.CO2),
                twin.pressures(then, Gas.OXYGEN),
                then.flows(),
                (then.dicMolPerKg() - from.dicMolPerKg()) * kg,
                (then.oxygenMgPerL() - from.oxygenMgPerL()) * setup.netVolumeL() / Gases.OXYGEN_MG_PER_MOL);
    }

    /** How long the water takes to follow the air with these remedies on, h. */
    public double timeConstantH(Remedies remedies) {
        TwinTank tank = Fitted.tank(setup, living, remedies);
        double conductance = 1e-6;
        for (Opening opening : tank.openings()) {
            conductance += opening.conductance().co2();
        }
        if (tank.skimmer() != null) {
            conductance += tank.skimmer().full().co2()
                    * Fitted.Draw.of(setup, remedies).share();
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

    private Twin twin(Remedies remedies, Instant from, Duration length) {
        return new Twin(Fitted.tank(setup, living, remedies), new Placed(setup, remedies, from, length, logged));
    }
}
