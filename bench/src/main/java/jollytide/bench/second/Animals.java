package jollytide.bench.second;

import java.util.random.RandomGenerator;

/**
 * What lives in a tank, per litre.
 *
 * @param respiration of oxygen in the dark at 25 °C, mmol/(L·h)
 * @param respiratoryQuotient moles of CO2 given off for each of oxygen
 * @param boost by what share respiration rises in full light
 * @param photosynthesis of CO2 in full light, gross, mmol/(L·h)
 * @param photosyntheticQuotient moles of oxygen made for each of CO2
 * @param saturation light, as a share of the most, at which photosynthesis bends (hyperbolic tangent)
 * @param fed by what share respiration rises after a meal
 * @param meals hours of the day
 * @param growth a day
 * @param ofDay how much each day differs, by respiration and by photosynthesis
 * @param useMeqPerL of alkalinity by skeletons, meq/(L·day)
 */
record Animals(
        double respiration,
        double respiratoryQuotient,
        double boost,
        double photosynthesis,
        double photosyntheticQuotient,
        double saturation,
        double fed,
        double[] meals,
        double growth,
        double[][] ofDay,
        double useMeqPerL) {
    private static final double Q10 = 2.2;
    /** A meal is felt for so long, hours. */
    private static final double DIGESTS = 2.5;
    /** Skeletons grow so much faster in full light than in the dark. */
    private static final double BY_LIGHT = 3;
    /** Below so much oxygen, mmol/L, animals take less of it. */
    private static final double CRITICAL = 0.03;

    /** Below so much CO2 algae take less of it. */
    private static final double SCARCE_ATM = 80e-6;

    /** @param lightH hours of full light that a day's light comes to */
    static Animals of(RandomGenerator random, int days, double useMeqPerL, double lightH) {
        double daily = Steps.between(random, 0.03, 0.07);
        double[][] ofDay = new double[days][2];
        for (double[] day : ofDay) {
            day[0] = Math.exp(daily * random.nextGaussian());
            day[1] = Math.exp(daily * random.nextGaussian());
        }
        double respiration = Steps.around(random, 0.018, 0.5);
        // Reefs make in a day about what they use: no tank is without either.
        double photosynthesis = respiration * 24 / lightH * Steps.between(random, 0.6, 1.6);
        double[] meals = random.nextBoolean() ? new double[] {19} : new double[] {12, 19};
        return new Animals(
                respiration,
                Steps.between(random, 0.85, 1.1),
                Steps.between(random, 0.1, 0.2),
                photosynthesis,
                Steps.between(random, 1, 1.2),
                Steps.between(random, 0.3, 0.9),
                Steps.between(random, 0.1, 0.3),
                meals,
                Steps.between(random, -0.004, 0.004),
                ofDay,
                useMeqPerL);
    }

    /** Oxygen used, mmol/(L·h). */
    double respires(int step, double light, double celsius, double oxygenMmolPerL) {
        double hour = Steps.hourOfDay(step);
        double meal = 0;
        for (double at : meals) {
            double since = (hour - at + 24) % 24;
            meal += fed * since / DIGESTS * Math.exp(1 - since / DIGESTS);
        }
        double days = (double) step / Steps.A_DAY;
        return respiration
                * ofDay[day(step)][0]
                * Math.exp(growth * days)
                * Math.pow(Q10, (celsius - 25) / 10)
                * (1 + boost * light + meal)
                * Math.max(0, Math.min(1, oxygenMmolPerL / CRITICAL));
    }

    /** CO2 taken up, mmol/(L·h); less where hardly any is left. */
    double fixes(int step, double light, double co2Atm) {
        double days = (double) step / Steps.A_DAY;
        return photosynthesis
                * ofDay[day(step)][1]
                * Math.exp(growth * days)
                * Math.tanh(light / saturation)
                / Math.tanh(1 / saturation)
                * Math.min(1, co2Atm / SCARCE_ATM);
    }

    /**
     * Alkalinity that skeletons take, meq/(L·h).
     *
     * @param meanLight of a day, so that a day's use is as said
     */
    double calcifies(double light, double meanLight) {
        double growing = 1 + (BY_LIGHT - 1) * light;
        return useMeqPerL / 24 * growing / (1 + (BY_LIGHT - 1) * meanLight);
    }

    private int day(int step) {
        return Math.min(ofDay.length - 1, step / Steps.A_DAY);
    }
}
