package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import jollytide.core.reef.Fish;

/**
 * What lives in a tank. Rates at {@link Twin#REFERENCE_C}.
 *
 * @param respirationMmolPerLPerH of rock, corals and bacteria without the fish, mmol O2/(L·h)
 * @param photosynthesisMmolPerLPerH gross, at full light, mmol O2/(L·h)
 * @param lightSaturation Ik as a share of full light: below it photosynthesis follows the light, above it bends over
 * @param refugiumMmolPerH gross photosynthesis of a refugium under its own lamp, mmol O2/h
 * @param fishActivity over rest
 * @param calcificationMeqPerLPerDay alkalinity that the animals use at {@code calcificationOmega}
 * @param calcificationOmega Ω of aragonite at which that use was seen; it rises with Ω − 1
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
        double calcificationOmega,
        double quotient) {
    /** Ω of an ordinary reef tank. From memory. */
    public static final double ORDINARY_OMEGA = 3.5;
    /** Corals of a mixed reef are half-saturated well below full light. From memory. */
    public static final double ASSUMED_SATURATION = 0.6;

    public Life {
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("lightSaturation", lightSaturation, 0.05, 20, "");
        within("refugiumMmolPerH", refugiumMmolPerH, 0, 10_000, "mmol/h");
        within("fishActivity", fishActivity, 0.5, 5, "");
        within("calcificationMeqPerLPerDay", calcificationMeqPerLPerDay, 0, 5, "meq/(L·day)");
        within("calcificationOmega", calcificationOmega, 1.1, 20, "");
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
                ORDINARY_OMEGA,
                1);
    }

    public Life withBreath(double respiration, double photosynthesis) {
        return new Life(
                respiration,
                photosynthesis,
                lightSaturation,
                refugiumMmolPerH,
                fish,
                fishActivity,
                calcificationMeqPerLPerDay,
                calcificationOmega,
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
                calcificationOmega,
                quotient);
    }

    /** Share of the full photosynthesis under a share of the full light: Jassby and Platt (1976), tanh(I/Ik). */
    double lightResponse(double light) {
        return Math.tanh(light / lightSaturation) / Math.tanh(1 / lightSaturation);
    }
}
