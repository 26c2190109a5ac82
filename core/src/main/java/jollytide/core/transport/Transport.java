package jollytide.core.transport;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.outage.Ammonia;
import jollytide.core.outage.Energy;
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
import jollytide.core.twin.Heater;
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
 * @param coolingPerH share of that gap lost in an hour: 0.25 a bare bucket or bag, 0.15 one with a lid, 0.05 in a closed
 *     cool box (from memory)
 * @param alkalinityMeqPerL of the water
 * @param startPhNbs of the water
 * @param fastedHours before departure; 24 and more halves the ammonia (from memory)
 * @param heaterW power that reaches the water through a thermostat; 0 without
 */
public record Transport(
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
        double fastedHours,
        double heaterW) {
    /** Without a heater. */
    public Transport(
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
        this(
                fish,
                waterL,
                headspaceL,
                oxygenFilled,
                aeration,
                bound,
                startC,
                outsideC,
                coolingPerH,
                salinity,
                alkalinityMeqPerL,
                startPhNbs,
                fastedHours,
                0);
    }

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

    /** Of the air in a car or a hall. From memory. */
    private static final double OUTSIDE_PPM = 500;

    public Transport {
        within("waterL", waterL, 0.2, 2000, "L");
        within("headspaceL", headspaceL, 0, 2000, "L");
        within("startC", startC, 10, 35, "°C");
        within("outsideC", outsideC, -20, 45, "°C");
        within("coolingPerH", coolingPerH, 0, 2, "1/h");
        within("salinity", salinity, 0, 45, "psu");
        within("alkalinityMeqPerL", alkalinityMeqPerL, 0.5, 8, "meq/L");
        within("startPhNbs", startPhNbs, 7, 9, "pH");
        within("fastedHours", fastedHours, 0, 500, "h");
        within("heaterW", heaterW, 0, 3000, "W");
    }

    /**
     * How deep a stone can lie in so much water, m: no bag or bucket is more than twice as tall as a cube of its water
     * (common practice, no source).
     */
    public static double deepestM(double waterL) {
        return 2 * Math.cbrt(waterL / 1000);
    }

    /**
     * One side of what is not known. The early side is a still bag throughout: nobody can count on the road.
     *
     * @param guess of the animals, frightened ones on the early side, as without mains
     * @param cmPerH transfer velocity of the water's surface, at Schmidt number 600: still; rolling while it is driven;
     *     breaking
     */
    private record Way(Guess guess, double cmPerH) {}

    /** Which side. */
    public enum Side {
        EARLY,
        LIKELY,
        LATE;

        private Way way() {
            OutageAssumptions assumed = OutageAssumptions.DEFAULT;
            return switch (this) {
                case EARLY -> new Way(assumed.early(), assumed.early().stillCmPerH());
                case LIKELY -> new Way(assumed.likely(), SurfaceClass.ROLLING.k600CmPerH());
                case LATE -> new Way(assumed.late(), SurfaceClass.BROKEN.k600CmPerH());
            };
        }
    }

    /**
     * What the animals bear on the way.
     *
     * @param kelvinPerH the fastest change
     */
    public record Limits(double leastC, double mostC, double kelvinPerH) {
        /** Of reef animals. From memory; a keeper's own replace them. */
        public static final Limits REEF = new Limits(22, 29, 1);

        public Limits {
            within("leastC", leastC, 0, 40, "°C");
            within("mostC", mostC, leastC, 45, "°C");
            within("kelvinPerH", kelvinPerH, 0.1, 20, "K/h");
        }
    }

    /** A moment of the trip. */
    public record TransportMoment(
            double hours,
            double oxygenMgPerL,
            double phNbs,
            double ammoniaMgPerL,
            double unionisedMgPerL,
            double celsius) {}

    /**
     * The whole trip.
     *
     * @param hoursToCaution until oxygen, poison or temperature passes its limit; null when none does
     * @param limit which it is: OXYGEN, AMMONIA or TEMPERATURE; null when none
     * @param lowestOxygenMgPerL and the highest poison, mg/L of un-ionised ammonia
     * @param openedUnionisedMgPerL poison on arrival once the container is open and its CO2 has left, with nothing bound
     * @param fastestKPerH change of temperature in an hour
     * @param weightKg of water and animals
     */
    public record Trip(
            List<TransportMoment> moments,
            @Nullable Double hoursToCaution,
            @Nullable String limit,
            double lowestOxygenMgPerL,
            double highestUnionisedMgPerL,
            double openedUnionisedMgPerL,
            double fastestKPerH,
            double weightKg) {}

    /** So many hours, delays included, as it is likely to go. */
    public Trip trip(double hours) {
        return trip(hours, Side.LIKELY, Limits.REEF);
    }

    /** The same on one side of what is not known. */
    public Trip trip(double hours, Side side, Limits limits) {
        within("tripHours", hours, 0.1, 96, "h");
        TwinTank tank = tank(side.way());
        Twin twin = new Twin(tank);
        TwinState start = twin.start(DEPARTURE, alkalinityMeqPerL, OUTSIDE_PPM);
        TwinState atItsPh = start.with(Water.DIC, dic(start.alkalinityMolPerKg()));
        Instant until = DEPARTURE.plusSeconds(Math.round(hours * 3600));
        List<TwinState> run = new ArrayList<>(List.of(atItsPh));
        run.addAll(twin.run(atItsPh, until, EVERY));
        List<TransportMoment> moments = new ArrayList<>();
        List<TransportMoment> drawn = new ArrayList<>();
        for (TwinState state : run) {
            TransportMoment moment = moment(state);
            moments.add(moment);
            if (moments.size() % DRAWN_EVERY == 1) {
                drawn.add(moment);
            }
        }
        String limit = null;
        Double passed = null;
        for (int i = 0; i < moments.size() && limit == null; i++) {
            limit = passed(moments, i, limits);
            passed = limit == null ? null : moments.get(i).hours();
        }
        return new Trip(
                drawn,
                passed,
                limit,
                moments.stream()
                        .mapToDouble(TransportMoment::oxygenMgPerL)
                        .min()
                        .orElseThrow(),
                moments.stream()
                        .mapToDouble(TransportMoment::unionisedMgPerL)
                        .max()
                        .orElseThrow(),
                bound ? 0 : opened(run.get(run.size() - 1)),
                IntStream.range(0, moments.size())
                        .mapToDouble(i -> Math.abs(kelvinWithinAnHour(moments, i)))
                        .max()
                        .orElseThrow(),
                tank.water().kg() + fish.massG() / 1000);
    }

    private static @Nullable String passed(List<TransportMoment> moments, int i, Limits limits) {
        TransportMoment now = moments.get(i);
        if (now.oxygenMgPerL() < OxygenLines.CAUTION) {
            return "OXYGEN";
        }
        if (now.unionisedMgPerL() > Ammonia.HARMFUL_MG_PER_L) {
            return "AMMONIA";
        }
        boolean outside = now.celsius() < limits.leastC() || now.celsius() > limits.mostC();
        return outside || Math.abs(kelvinWithinAnHour(moments, i)) > limits.kelvinPerH() ? "TEMPERATURE" : null;
    }

    /** Change over the hour before; over what there is of it at the beginning. */
    private static double kelvinWithinAnHour(List<TransportMoment> moments, int i) {
        int anHour = (int) (Duration.ofHours(1).toMinutes() / EVERY.toMinutes());
        return moments.get(i).celsius() - moments.get(Math.max(0, i - anHour)).celsius();
    }

    /** Water in balance with the air around it: its CO2 gone, its pH as high as its alkalinity holds it. */
    private double opened(TwinState arrived) {
        Seawater water = arrived.seawater();
        CarbonateSystem system = CarbonateSystem.of(water);
        double uatm = Gases.uatmOverWater(OUTSIDE_PPM, Gases.STANDARD_HPA, water);
        double ph =
                system.fromAlkalinityAndCo2(arrived.alkalinityMolPerKg(), uatm).phTotal();
        return arrived.ammoniaMgPerL() * Ammonia.unionisedShare(water, ph, PhScale.TOTAL);
    }

    private TransportMoment moment(TwinState state) {
        double share = Ammonia.unionisedShare(state.seawater(), state.phTotal(), PhScale.TOTAL);
        return new TransportMoment(
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
    private TwinTank tank(Way way) {
        List<Part> parts = new ArrayList<>();
        parts.add(new RoomSpace(OUTSIDE_PPM, RoomSpace.Hours.known(OUTSIDE_PPM)));
        double deepM = Math.cbrt(waterL / 1000);
        if (aeration != null) {
            // Whatever is aerated is open: its surface breathes as well.
            parts.add(OpenPath.stone("air pump", Air.ROOM, aeration));
            double areaM2 = waterL / 1000 / deepM;
            parts.add(OpenPath.surface("open water", Air.ROOM, new Surface(areaM2, way.cmPerH(), 2.0 / 3)));
        } else if (headspaceL > LEAST_HEADSPACE_L) {
            double oxygen = oxygenFilled ? FILLED_WITH : Gas.OXYGEN_IN_AIR;
            parts.add(new Headspace(headspaceL, oxygen, OUTSIDE_PPM * 1e-6, startC, way.cmPerH() / 100 / deepM));
        }
        parts.add(new Swimmers(
                fish,
                way.guess().fishActivity() * way.guess().demandTimes(),
                Fish.CHASED / Fish.ACTIVE,
                DEPARTURE.plusSeconds(Math.round(CHASED_H * 3600)),
                1,
                fastedHours >= FASTED_H ? FASTED_SHARE : 1));
        parts.add(new Cooling(outsideC, coolingPerH));
        if (heaterW > 0) {
            parts.add(new Heater(heaterW, startC));
        }
        return new TwinTank(new Water(waterL, salinity, Gases.STANDARD_HPA, startC, true), parts, false);
    }

    /** Water with which a load of that much weighs at most {@code limitKg}, L. */
    public double mostWaterL(double limitKg) {
        double dryKg = fish.massG() / 1000;
        double kgPerL = new Seawater(salinity, startC).densityKgPerL();
        return Math.max(0, (within("weightLimitKg", limitKg, 0.2, 2000, "kg") - dryKg) / kgPerL);
    }

    /** Of a car's battery, so much may be taken with its engine off before it no longer starts. From memory. */
    public static final double USABLE_OF_CAR_BATTERY = 0.3;

    /** Hours that a vehicle's battery drives a load through an inverter with the engine off, on the careful side. */
    public static double engineOffH(double volts, double ampereHours, double loadW) {
        double wattHours = within("volts", volts, 5, 60, "V") * within("batteryAh", ampereHours, 1, 1000, "Ah");
        return USABLE_OF_CAR_BATTERY * wattHours / inverterW(loadW);
    }

    /** What an inverter takes to give so much. */
    public static double inverterW(double loadW) {
        return within("loadW", loadW, 0, 6000, "W") / Energy.Battery.ASSUMED_EFFICIENCY + Energy.Battery.ASSUMED_IDLE_W;
    }

    /** Watts that a fused vehicle socket gives, with a fifth spared. */
    public static double socketW(double volts, double fuseA) {
        return 0.8 * within("volts", volts, 5, 60, "V") * within("fuseA", fuseA, 0.5, 200, "A");
    }
}
