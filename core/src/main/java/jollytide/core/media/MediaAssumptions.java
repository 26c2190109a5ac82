package jollytide.core.media;

import static jollytide.core.units.Quantities.within;

/**
 * What is assumed of scrubber media; a keeper's own value replaces each. All from memory.
 *
 * @param capacityLPerKg CO2 that a kilogram takes up, litres of gas at room temperature; theory about 260
 * @param fullUntil share of the capacity up to which nearly everything is taken out
 * @param fillWater grams of water per gram of a fresh fill
 * @param worksFromWater below this the granules are too dry to work
 * @param worksUntilWater above this they begin to clog and pass CO2
 * @param drownedWater above this they have stopped
 * @param cooling K that media are colder than the tank
 */
public record MediaAssumptions(
        double capacityLPerKg,
        double fullUntil,
        double fillWater,
        double worksFromWater,
        double worksUntilWater,
        double drownedWater,
        double cooling) {
    public static final MediaAssumptions DEFAULT = new MediaAssumptions(150, 0.7, 0.15, 0.08, 0.25, 0.33, 3);
    public static final double LEAST_CAPACITY_L_PER_KG = 120;
    public static final double MOST_CAPACITY_L_PER_KG = 180;

    public MediaAssumptions {
        within("capacityLPerKg", capacityLPerKg, 10, 260, "L/kg");
        within("fullUntil", fullUntil, 0.1, 0.95, "");
        within("fillWater", fillWater, 0.02, 0.3, "g/g");
        within("worksFromWater", worksFromWater, 0, fillWater, "g/g");
        within("worksUntilWater", worksUntilWater, fillWater, 0.4, "g/g");
        within("drownedWater", drownedWater, worksUntilWater, 0.6, "g/g");
        within("cooling", cooling, 0, 15, "K");
    }

    public MediaAssumptions withCapacity(double litresPerKg) {
        return new MediaAssumptions(
                litresPerKg, fullUntil, fillWater, worksFromWater, worksUntilWater, drownedWater, cooling);
    }

    /** Between what media may be colder than the tank, K. From memory. */
    public static final double LEAST_COOLING = 0;

    public static final double MOST_COOLING = 5;

    public MediaAssumptions withCooling(double kelvin) {
        return new MediaAssumptions(
                capacityLPerKg, fullUntil, fillWater, worksFromWater, worksUntilWater, drownedWater, kelvin);
    }
}
