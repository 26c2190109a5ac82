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
 * @param leak share of fresh air that seeps into a loop however tightly it is closed
 * @param chokes whether drowned media stop the air; else it passes them as it is
 */
public record MediaAssumptions(
        double capacityLPerKg,
        double fullUntil,
        double fillWater,
        double worksFromWater,
        double worksUntilWater,
        double drownedWater,
        double cooling,
        double leak,
        boolean chokes) {
    public static final MediaAssumptions DEFAULT =
            new MediaAssumptions(150, 0.7, 0.15, 0.08, 0.25, 0.33, 3, 0.03, false);
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
        within("leak", leak, 0, 1, "");
    }

    public MediaAssumptions withCapacity(double litresPerKg) {
        return with(litresPerKg, cooling, leak, chokes);
    }

    /** Between what media may be colder than the tank, K. From memory. */
    public static final double LEAST_COOLING = 0;

    public static final double MOST_COOLING = 5;

    public MediaAssumptions withCooling(double kelvin) {
        return with(capacityLPerKg, kelvin, leak, chokes);
    }

    public MediaAssumptions choking(boolean whenDrowned) {
        return with(capacityLPerKg, cooling, leak, whenDrowned);
    }

    /** Nothing seeps in: the loop that safety holds to. */
    public MediaAssumptions tight() {
        return with(capacityLPerKg, cooling, 0, chokes);
    }

    private MediaAssumptions with(double litresPerKg, double kelvin, double seeps, boolean chokesWhenDrowned) {
        return new MediaAssumptions(
                litresPerKg,
                fullUntil,
                fillWater,
                worksFromWater,
                worksUntilWater,
                drownedWater,
                kelvin,
                seeps,
                chokesWhenDrowned);
    }

    /** Share of the air that is fresh where so much was meant to be, 0 to 1. */
    public double fresh(double freshShare) {
        return Math.max(leak, freshShare);
    }
}
