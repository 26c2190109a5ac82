package jollytide.core.media;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * A fill of scrubber media in an air stream. It stops when its hydroxide is used up or when it is too wet.
 *
 * @param massKg of the fill, 0.01 to 50 kg
 */
public record Media(double massKg, MediaAssumptions assumed) {
    /** Litres of gas in a mole at 22 °C and one atmosphere. */
    public static final double L_PER_MOL = 24.2;

    private static final double WATER_KG_PER_MOL = 0.018015;
    /** Water per gram from which the granules are as wet to the air as open water. From memory. */
    private static final double WET_AS_WATER = 0.20;
    /** Activity of water in seawater of S 35 (Raoult's law with the salt's ions; 0.98). */
    private static final double SEAWATER_ACTIVITY = 0.98;

    public Media {
        within("mediaMassKg", massKg, 0.01, 50, "kg");
    }

    /** So much of them that a week neither fills nor drowns it. */
    public Media endless() {
        return new Media(50, assumed);
    }

    /**
     * What a fill holds.
     *
     * @param co2Mol taken up so far
     * @param waterKg in the granules
     */
    public record State(double co2Mol, double waterKg) {}

    /**
     * The air that enters.
     *
     * @param co2MolPerH that it carries
     * @param vapourGPerM3 water vapour in it
     */
    public record Stream(double litresPerH, double co2MolPerH, double vapourGPerM3) {
        /** Air of so many dry ppm, saturated with vapour at a tank's temperature by the time that it is counted. */
        public static Stream of(
                double litresPerH, double co2Ppm, double vapourGPerM3, Seawater tank, double pressureHpa) {
            double atm = Gases.uatmOverWater(co2Ppm, pressureHpa, tank) * 1e-6;
            return new Stream(litresPerH, litresPerH / (Gases.R_L_ATM * tank.temperatureK()) * atm, vapourGPerM3);
        }
    }

    /** Change per hour. */
    public record Rates(double co2MolPerH, double waterKgPerH) {}

    public State fresh() {
        return new State(0, massKg * assumed.fillWater());
    }

    public double capacityMol() {
        return massKg * assumed.capacityLPerKg() / L_PER_MOL;
    }

    /** Share of the capacity that is used, 0 to 1 and a little more. */
    public double used(State state) {
        return state.co2Mol() / capacityMol();
    }

    public double waterPerGram(State state) {
        return state.waterKg() / massKg;
    }

    public boolean drowned(State state) {
        return waterPerGram(state) >= assumed.drownedWater();
    }

    /** Share of the passing CO2 that is taken out: the lesser of what is left of the hydroxide and of the pores. */
    public double efficiency(State state) {
        double used = used(state);
        double byHydroxide = used <= assumed.fullUntil() ? 1 : Math.max(0, (1 - used) / (1 - assumed.fullUntil()));
        double water = waterPerGram(state);
        double byWater;
        if (water < assumed.worksFromWater()) {
            byWater = Math.max(0, water / assumed.worksFromWater());
        } else if (water > assumed.worksUntilWater()) {
            byWater = Math.max(
                    0, (assumed.drownedWater() - water) / (assumed.drownedWater() - assumed.worksUntilWater()));
        } else {
            byWater = 1;
        }
        return 0.98 * Math.min(byHydroxide, byWater);
    }

    /**
     * What an hour in this stream changes. Ca(OH)2 + CO2 gives one molecule of water each; the rest of the water is what
     * the entering air carries above what air over granules of this wetness holds at their temperature.
     */
    public Rates rates(State state, Stream stream, double tankC) {
        double taken = stream.co2MolPerH() * efficiency(state);
        double wetness = Math.min(1, waterPerGram(state) / WET_AS_WATER);
        double leaving = wetness * saturationGPerM3(tankC - assumed.cooling());
        double waterKg = stream.litresPerH() / 1e6 * (stream.vapourGPerM3() - leaving) + taken * WATER_KG_PER_MOL;
        return new Rates(taken, waterKg);
    }

    /** Vapour in the exhaust of a skimmer: in balance with the tank's water. */
    public static double exhaustGPerM3(Seawater tank) {
        return SEAWATER_ACTIVITY * saturationGPerM3(tank.temperatureC());
    }

    /** Saturation vapour density over water, g/m³: the Magnus form of WMO-No. 8 and the gas law. */
    public static double saturationGPerM3(double celsius) {
        return 216.7 * Gases.saturatedVapourHpa(celsius) / (celsius + Seawater.ZERO_CELSIUS_K);
    }
}
