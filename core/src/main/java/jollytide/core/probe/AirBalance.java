package jollytide.core.probe;

import jollytide.core.evidence.Estimate;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * The glass of air: tank water through which outdoor air bubbles until its pH rests must show the pH of the balance with
 * that air. It checks the probe and the alkalinity test together.
 */
public final class AirBalance {
    /** What the check can tell, ± pH. From memory. */
    public static final double TELLS_PH = 0.05;

    private AirBalance() {}

    /**
     * pH of the balance, NBS scale, and between which values it may be.
     *
     * @param glass salinity and the glass's own temperature
     * @param alkalinityErrorMeqPerL of the test
     * @param airPpm dry ppm of the air that bubbles
     */
    public static Estimate expected(
            Seawater glass,
            double alkalinityMeqPerL,
            double alkalinityErrorMeqPerL,
            double airPpm,
            double pressureHpa) {
        return new Estimate(
                ph(glass, alkalinityMeqPerL, airPpm, pressureHpa),
                ph(glass, alkalinityMeqPerL - alkalinityErrorMeqPerL, airPpm, pressureHpa) - TELLS_PH,
                ph(glass, alkalinityMeqPerL + alkalinityErrorMeqPerL, airPpm, pressureHpa) + TELLS_PH);
    }

    private static double ph(Seawater glass, double alkalinityMeqPerL, double airPpm, double pressureHpa) {
        double perKg = alkalinityMeqPerL / 1000 / glass.densityKgPerL();
        double uatm = Gases.uatmOverWater(airPpm, pressureHpa, glass);
        return CarbonateSystem.of(glass).fromAlkalinityAndCo2(perKg, uatm).phNbs();
    }
}
