package jollytide.core.haul;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Gas;
import jollytide.core.outage.Ammonia;
import jollytide.core.outage.Guess;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
import jollytide.core.twin.Air;
import jollytide.core.twin.Cooling;
import jollytide.core.twin.Headspace;
import jollytide.core.twin.OpenPath;
import jollytide.core.twin.Part;
import jollytide.core.twin.RoomSpace;
import jollytide.core.twin.Swimmers;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.Water;
import org.jspecify.annotations.Nullable;

/**
 * Animals in a container. Closed, the headspace's air is all they have: oxygen falls, CO2 rises and with it the poison in
 * their ammonia stays low. Aerated, CO2 leaves, pH rises and turns ammonium into ammonia: ventilate, but bind first.
 *
 * @param waterL water in the container
 * @param headspaceL air over it when it is closed
 * @param oxygenFilled whether that is pure oxygen
 * @param aeration what bubbles through, as carefully as safety asks: with a rigid skin; null without
 * @param bound whether a binder holds the ammonia, none of which is then counted as poison (taken as enough of it)
 * @param startC at departure
 * @param outsideC around the container
 * @param coolingPerH share of that gap lost in an hour: 0.25 a bare bucket, 0.05 a closed cool box (from memory)
 * @param alkalinityMeqPerL of the water
 * @param startPhNbs of the water
 * @param fastedHours before departure; 24 and more halves the ammonia (from memory)
 */
public record Haul(
        Fish fish,
        double waterL,
        double headspaceL,
        boolean oxygenFilled,
        @Nullable Bubbles aeration,
        boolean bound,
        double startC,
        double outsideC,
        double coolingPerH,
        double salinity,
        double alkalinityMeqPerL,
        double startPhNbs,
        double fastedHours) {
    /** Fish that were caught breathe so much more at first. From memory. */
    private static final double CHASED_H = 1;

    private static final Instant DEPARTURE = Instant.EPOCH;
    private static final Duration EVERY = Duration.ofMinutes(2);
    private static final int DRAWN_EVERY = 5;
    private static final double LEAST_HEADSPACE_L = 0.01;
    /** A bag that is blown up with oxygen still holds a little air. From memory. */
    private static final double FILLED_WITH = 0.95;

    private static final double FASTED_H = 24;
    private static final double FASTED_SHARE = 0.5;
    /** Still water in a closed bag follows its headspace slowly unless the road shakes it. From memory. */
    private static final double SHAKEN_PER_H = 4;

    /** Of the air in a car or a hall. From memory. */
    private static final double OUTSIDE_PPM = 500;

    public Haul {
        within("waterL", waterL, 0.2, 2000, "L");
        within("headspaceL", headspaceL, 0, 2000, "L");
        within("startC", startC, 10, 35, "°C");
        within("outsideC", outsideC, -20, 45, "°C");
        within("coolingPerH", coolingPerH, 0, 2, "1/h");
        within("salinity", salinity, 0, 45, "psu");
        within("alkalinityMeqPerL", alkalinityMeqPerL, 0.5, 8, "meq/L");
        within("startPhNbs", startPhNbs, 7, 9, "pH");
        within("fastedHours", fastedHours, 0, 500, "h");
    }

    /**
     * How deep a stone can lie in so much water, m: no bag or bucket is more than twice as tall as a cube of its water
     * (common practice, no source).
     */
    public static double deepestM(double waterL) {
        return 2 * Math.cbrt(waterL / 1000);
    }

    /** A moment of the trip. */
    public record HaulMoment(
            double hours,
            double oxygenMgPerL,
            double phNbs,
            double ammoniaMgPerL,
            double unionisedMgPerL,
            double celsius) {}

    /**
     * The whole trip.
     *
     * @param hoursToCaution until oxygen or poison passes its limit; null when neither does
     * @param limit which it is: OXYGEN or AMMONIA; null when neither
     * @param lowestOxygenMgPerL and the highest poison, mg/L of un-ionised ammonia
     * @param weightKg of water and animals
     */
    public record Trip(
            List<HaulMoment> moments,
            @Nullable Double hoursToCaution,
            @Nullable String limit,
            double lowestOxygenMgPerL,
            double highestUnionisedMgPerL,
            double weightKg) {}

    /** So many hours, delays included, as it is likely to go. */
    public Trip trip(double hours) {
        return trip(hours, OutageAssumptions.DEFAULT.likely());
    }

    /** The same on another side of what is not known: animals that breathe more, or less. */
    public Trip trip(double hours, Guess guess) {
        within("tripHours", hours, 0.1, 96, "h");
        TwinTank tank = tank(guess);
        Twin twin = new Twin(tank);
        TwinState start = twin.start(DEPARTURE, alkalinityMeqPerL, OUTSIDE_PPM);
        TwinState atItsPh = start.with(Water.DIC, dic(start.alkalinityMolPerKg()));
        Instant until = DEPARTURE.plusSeconds(Math.round(hours * 3600));
        List<TwinState> run = new ArrayList<>(List.of(atItsPh));
        run.addAll(twin.run(atItsPh, until, EVERY));
        List<HaulMoment> moments = new ArrayList<>();
        List<HaulMoment> drawn = new ArrayList<>();
        for (TwinState state : run) {
            HaulMoment moment = moment(state);
            moments.add(moment);
            if (moments.size() % DRAWN_EVERY == 1) {
                drawn.add(moment);
            }
        }
        Optional<HaulMoment> passed = moments.stream()
                .filter(m -> m.oxygenMgPerL() < OxygenLines.CAUTION || m.unionisedMgPerL() > Ammonia.HARMFUL_MG_PER_L)
                .findFirst();
        return new Trip(
                drawn,
                passed.map(HaulMoment::hours).orElse(null),
                passed.map(m -> m.oxygenMgPerL() < OxygenLines.CAUTION ? "OXYGEN" : "AMMONIA")
                        .orElse(null),
                moments.stream().mapToDouble(HaulMoment::oxygenMgPerL).min().orElseThrow(),
                moments.stream().mapToDouble(HaulMoment::unionisedMgPerL).max().orElseThrow(),
                tank.water().kg() + fish.massG() / 1000);
    }

    private HaulMoment moment(TwinState state) {
        double share = Ammonia.unionisedShare(state.seawater(), state.phTotal(), PhScale.TOTAL);
        return new HaulMoment(
                Duration.between(DEPARTURE, state.at()).toMillis() / 3.6e6,
                state.oxygenMgPerL(),
                state.phNbs(),
                state.ammoniaMgPerL(),
                bound ? 0 : state.ammoniaMgPerL() * share,
                state.temperatureC());
    }

    private double dic(double alkalinityMolPerKg) {
        CarbonateSystem system = CarbonateSystem.of(new Seawater(salinity, startC));
        return system.fromPhAndAlkalinity(system.constants().toTotal(startPhNbs, PhScale.NBS), alkalinityMolPerKg)
                .dic();
    }

    /** The twin on the road: little water, what air is shut in or bubbled through, and animals that were caught. */
    private TwinTank tank(Guess guess) {
        List<Part> parts = new ArrayList<>();
        parts.add(new RoomSpace(OUTSIDE_PPM, RoomSpace.Hours.known(OUTSIDE_PPM)));
        if (aeration != null) {
            parts.add(OpenPath.stone("air pump", Air.ROOM, aeration));
        } else if (headspaceL > LEAST_HEADSPACE_L) {
            double oxygen = oxygenFilled ? FILLED_WITH : Gas.OXYGEN_IN_AIR;
            parts.add(new Headspace(headspaceL, oxygen, OUTSIDE_PPM * 1e-6, startC, SHAKEN_PER_H));
        }
        parts.add(new Swimmers(
                fish,
                Fish.ACTIVE * guess.demandTimes(),
                Fish.CHASED / Fish.ACTIVE,
                DEPARTURE.plusSeconds(Math.round(CHASED_H * 3600)),
                1,
                fastedHours >= FASTED_H ? FASTED_SHARE : 1));
        parts.add(new Cooling(outsideC, coolingPerH));
        return new TwinTank(new Water(waterL, salinity, Gases.STANDARD_HPA, startC, true), parts, false);
    }

    /** Water with which a load of that much weighs at most {@code limitKg}, L. */
    public double mostWaterL(double limitKg) {
        double dryKg = fish.massG() / 1000;
        double kgPerL = new Seawater(salinity, startC).densityKgPerL();
        return Math.max(0, (within("weightLimitKg", limitKg, 0.2, 2000, "kg") - dryKg) / kgPerL);
    }

    /** Watts that a fused vehicle socket gives, with a fifth spared. */
    public static double socketW(double volts, double fuseA) {
        return 0.8 * within("volts", volts, 5, 60, "V") * within("fuseA", fuseA, 0.5, 200, "A");
    }
}
