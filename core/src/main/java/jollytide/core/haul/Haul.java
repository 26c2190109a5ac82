package jollytide.core.haul;

import static jollytide.core.units.Quantities.within;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Gas;
import jollytide.core.outage.Ammonia;
import jollytide.core.outage.Guess;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.PhScale;
import jollytide.core.seawater.Seawater;
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

    private static final double STEP_H = 1.0 / 60;
    private static final double FASTED_H = 24;
    private static final double FASTED_SHARE = 0.5;
    /** Still water in a closed bag follows its headspace slowly unless the road shakes it. From memory. */
    private static final double SHAKEN_PER_H = 4;

    private static final double OUTSIDE_CO2_ATM = 0.0005;
    private static final double KG_PER_L = 1.024;
    private static final int POINT_EVERY = 10;

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

    public double celsius(double hours) {
        return outsideC + (startC - outsideC) * Math.exp(-coolingPerH * hours);
    }

    /** So many hours, delays included, as it is likely to go. */
    public Trip trip(double hours) {
        return trip(hours, Guess.LIKELY);
    }

    /** The same on another side of what is not known: animals that breathe more, or less. */
    public Trip trip(double hours, Guess guess) {
        within("tripHours", hours, 0.1, 96, "h");
        Seawater start = new Seawater(salinity, startC);
        CarbonateSystem system = CarbonateSystem.of(start);
        double alkalinity = alkalinityMeqPerL / 1000 / start.densityKgPerL();
        double dic = system.fromPhAndAlkalinity(system.constants().toTotal(startPhNbs, PhScale.NBS), alkalinity)
                .dic();
        double oxygen = Gases.oxygenSaturationMgPerL(start, Gases.STANDARD_HPA);
        double airOxygen = headspaceMol(oxygenFilled ? 0.95 : Gas.OXYGEN_IN_AIR);
        double airCo2 = headspaceMol(OUTSIDE_CO2_ATM);
        double nitrogen = 0;
        double lowest = oxygen;
        double highest = 0;
        List<HaulMoment> moments = new ArrayList<>();
        Double caution = null;
        String limit = null;
        int steps = (int) Math.round(hours / STEP_H);
        for (int i = 0; i <= steps; i++) {
            double t = i * STEP_H;
            double c = Math.max(1, Math.min(39, celsius(t)));
            Seawater water = new Seawater(salinity, c);
            CarbonateSystem now = i % POINT_EVERY == 0 ? CarbonateSystem.of(water) : system;
            system = now;
            CarbonateState state = now.fromAlkalinityAndDic(alkalinity, Math.max(1e-6, dic));
            double share = Ammonia.unionisedShare(water, state.phTotal(), PhScale.TOTAL);
            double poison = bound ? 0 : nitrogen / waterL * share;
            lowest = Math.min(lowest, oxygen);
            highest = Math.max(highest, poison);
            if (limit == null && oxygen < OxygenLines.CAUTION) {
                caution = t;
                limit = "OXYGEN";
            } else if (limit == null && poison > Ammonia.HARMFUL_MG_PER_L) {
                caution = t;
                limit = "AMMONIA";
            }
            if (i % POINT_EVERY == 0) {
                moments.add(new HaulMoment(t, oxygen, state.phNbs(), nitrogen / waterL, poison, c));
            }
            double activity = t < CHASED_H ? Fish.CHASED : Fish.ACTIVE;
            double breathed =
                    fish.oxygenMmolPerH(c) * activity / 1000 * STEP_H * guess.demandTimes() * Math.min(1, oxygen);
            nitrogen += Ammonia.nitrogenMgPerH(breathed * 1000) * (fastedHours >= FASTED_H ? FASTED_SHARE : 1);
            oxygen -= breathed * Gases.OXYGEN_MG_PER_MOL / waterL;
            dic += breathed / (waterL * water.densityKgPerL());
            double oxygenPerMg = Gas.OXYGEN.solubility(water);
            double waterAtm = oxygen / Gases.OXYGEN_MG_PER_MOL / oxygenPerMg;
            double waterCo2Atm = state.pco2Uatm() * 1e-6;
            if (aeration != null) {
                double settle = settles(Gas.OXYGEN, water);
                oxygen += settle * (Gases.oxygenSaturationMgPerL(water, Gases.STANDARD_HPA) - oxygen);
                dic -= settles(Gas.CO2, water)
                        * (waterCo2Atm - OUTSIDE_CO2_ATM)
                        * Gas.CO2.solubility(water)
                        / water.densityKgPerL();
            } else if (headspaceL > 0.01) {
                double perAtm = headspaceL / (Gases.R_L_ATM * water.temperatureK());
                double shaken = 1 - Math.exp(-SHAKEN_PER_H * STEP_H);
                double moved = shaken * (airOxygen / perAtm - waterAtm) * Math.min(perAtm, oxygenPerMg * waterL);
                airOxygen -= moved;
                oxygen += moved * Gases.OXYGEN_MG_PER_MOL / waterL;
                double movedCo2 =
                        shaken * (airCo2 / perAtm - waterCo2Atm) * Math.min(perAtm, Gas.CO2.solubility(water) * waterL);
                airCo2 -= movedCo2;
                dic += movedCo2 / (waterL * water.densityKgPerL());
            }
            oxygen = Math.max(0, oxygen);
        }
        return new Trip(moments, caution, limit, lowest, highest, waterL * KG_PER_L + fish.massG() / 1000);
    }

    /** Share of the way to the outside air that the bubbles bring the water in a step. */
    private double settles(Gas gas, Seawater water) {
        double perH = aeration == null ? 0 : aeration.conductance(gas, water) / (gas.solubility(water) * waterL);
        return 1 - Math.exp(-perH * STEP_H);
    }

    private double headspaceMol(double share) {
        return share * headspaceL / (Gases.R_L_ATM * (startC + Seawater.ZERO_CELSIUS_K));
    }

    /** Watts that a fused vehicle socket gives, with a fifth spared. */
    public static double socketW(double volts, double fuseA) {
        return 0.8 * within("volts", volts, 5, 60, "V") * within("fuseA", fuseA, 0.5, 200, "A");
    }
}
