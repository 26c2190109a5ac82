package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

/**
 * What lives in a tank. Rates at {@link #REFERENCE_C}.
 *
 * @param respirationMmolPerLPerH of rock, corals and bacteria without the fish, mmol O2/(L·h)
 * @param photosynthesisMmolPerLPerH gross, at full light, mmol O2/(L·h)
 * @param lightSaturation Ik as a share of full light: below it photosynthesis follows the light, above it bends over
 * @param refugiumMmolPerH gross photosynthesis of a refugium under its own lamp, mmol O2/h
 * @param fishActivity over rest
 * @param calcificationMeqPerLPerDay alkalinity that the animals use on this tank's ordinary day; it rises and falls with
 *     Ω − 1 around that day's mean
 * @param quotient moles of CO2 breathed out for a mole of oxygen, 1 ± 0.2
 */
public record Life(
        double respirationMmolPerLPerH,
        double photosynthesisMmolPerLPerH,
        double lightSaturation,
        double refugiumMmolPerH,
        Fish fish,
        double fishActivity,
        double calcificationMeqPerLPerDay,
        double quotient) {
    /** The temperature at which a tank's respiration and photosynthesis are stated, °C. */
    public static final double REFERENCE_C = 25;

    /** Metabolism doubles with ten degrees. Common practice (Q10 of 2), no source. */
    private static final double Q10 = 2;

    /** Corals of a mixed reef are half-saturated well below full light. From memory. */
    public static final double ASSUMED_SATURATION = 0.6;

    /** No reef is known to use more. From memory. */
    public static final double MOST_USE_MEQ_PER_L_PER_DAY = 5;

    public Life {
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("lightSaturation", lightSaturation, 0.05, 20, "");
        within("refugiumMmolPerH", refugiumMmolPerH, 0, 10_000, "mmol/h");
        within("fishActivity", fishActivity, 0.5, 5, "");
        within("calcificationMeqPerLPerDay", calcificationMeqPerLPerDay, 0, MOST_USE_MEQ_PER_L_PER_DAY, "meq/(L·day)");
        within("quotient", quotient, 0.5, 1.5, "");
    }

    /** Reef and light alone. */
    public static Life reef(double respirationMmolPerLPerH, double photosynthesisMmolPerLPerH) {
        return new Life(
                respirationMmolPerLPerH,
                photosynthesisMmolPerLPerH,
                ASSUMED_SATURATION,
                0,
                Fish.NONE,
                Fish.ACTIVE,
                0,
                1);
    }

    public Life withRespiration(double respiration, double photosynthesis) {
        return new Life(
                respiration,
                photosynthesis,
                lightSaturation,
                refugiumMmolPerH,
                fish,
                fishActivity,
                calcificationMeqPerLPerDay,
                quotient);
    }

    /** @param meqPerLPerDay of alkalinity */
    public Life withUse(double meqPerLPerDay) {
        return new Life(
                respirationMmolPerLPerH,
                photosynthesisMmolPerLPerH,
                lightSaturation,
                refugiumMmolPerH,
                fish,
                fishActivity,
                meqPerLPerDay,
                quotient);
    }

    public Life withRefugium(double mmolPerH) {
        return new Life(
                respirationMmolPerLPerH,
                photosynthesisMmolPerLPerH,
                lightSaturation,
                mmolPerH,
                fish,
                fishActivity,
                calcificationMeqPerLPerDay,
                quotient);
    }

    /** What lives at this temperature does, over what it does at the reference. */
    public static double metabolism(double celsius) {
        return Math.pow(Q10, (celsius - REFERENCE_C) / 10);
    }

    /** Share of the full photosynthesis under a share of the full light: Jassby and Platt (1976), tanh(I/Ik). */
    public double lightResponse(double light) {
        return light == 1 ? 1 : Math.tanh(light / lightSaturation) / Math.tanh(1 / lightSaturation);
    }
}
