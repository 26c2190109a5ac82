package jollytide.bench.second;

import java.util.random.RandomGenerator;

/**
 * What trades gas with the air: a surface stirred by gusts, and a skimmer.
 *
 * @param k600 of the surface, cm/h
 * @param gusts logarithm of what they do to it, each step
 * @param drawLPerH air of the skimmer; 0 without one
 * @param waterPerAir litres of water through it for each litre of air
 * @param nearCo2 how near to balance air and water part, of CO2
 * @param nearOxygen the same of oxygen
 * @param foam logarithm of what a full cup and a fresh film do to it, each step
 */
record Exchanger(
        double areaM2,
        double k600,
        double[] gusts,
        double drawLPerH,
        double waterPerAir,
        double nearCo2,
        double nearOxygen,
        double[] foam) {
    private static final double R_L_ATM = 0.082057;
    /** Diffusion of CO2, m²/s, and how fast it forms from bicarbonate at a reef's pH, 1/s. From memory. */
    private static final double DIFFUSION = 1.9e-9;

    private static final double REACTS = 0.06;
    /** Water in a skimmer gets so much more CO2 from bicarbonate on its way. */
    private static final double REFILLED = 1.8;

    static Exchanger of(RandomGenerator random, int steps, double areaM2, double k600, double drawLPerH) {
        return new Exchanger(
                areaM2,
                k600,
                Steps.wandering(random, steps, 0.2, 4),
                drawLPerH,
                Steps.around(random, 1.5, 0.35),
                Steps.between(random, 0.6, 0.95),
                Steps.between(random, 0.5, 0.95),
                Steps.wandering(random, steps, 0.06, 30));
    }

    Exchanger with(double surfaceTimes, double draw) {
        return new Exchanger(areaM2 * surfaceTimes, k600, gusts, draw, waterPerAir, nearCo2, nearOxygen, foam);
    }

    /**
     * Conductance of the surface, mol/(h·atm): transfer velocity by the root of the Schmidt number, CO2's raised by its
     * reaction (Danckwerts' surface renewal).
     *
     * @param solubility mol/(L·atm)
     */
    double surface(int step, double schmidt, double solubility, boolean co2) {
        double k = k600 * Math.exp(gusts[step]) / 100 * Math.sqrt(600 / schmidt);
        double perS = k / 3600;
        double raised = co2 ? Math.sqrt(1 + DIFFUSION * REACTS / (perS * perS)) : 1;
        return k * raised * areaM2 * 1000 * solubility;
    }

    /** Conductance of the skimmer, mol/(h·atm): two streams that leave nearly in balance. */
    double skimmer(int step, double solubility, double celsius, boolean co2) {
        if (drawLPerH == 0) {
            return 0;
        }
        double air = drawLPerH / (R_L_ATM * (celsius + 273.15));
        double water = waterPerAir * drawLPerH * solubility * (co2 ? REFILLED : 1);
        return (co2 ? nearCo2 : nearOxygen) * Math.exp(foam[step]) * air * water / (air + water);
    }
}
