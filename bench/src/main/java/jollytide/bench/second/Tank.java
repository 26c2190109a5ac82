package jollytide.bench.second;

import java.util.Arrays;
import jollytide.core.exchange.Gas;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * A tank of the second world and what happens around it, step by step.
 *
 * @param celsius each step
 * @param alkalinityMeqPerL each step: doses follow use and tests, as a keeper does it
 * @param carbonPerEquivalent that doses bring along
 */
record Tank(
        double volumeL,
        double salinity,
        double[] celsius,
        double[] alkalinityMeqPerL,
        double carbonPerEquivalent,
        Home home,
        Lamps lamps,
        Animals animals,
        Exchanger exchanger) {
    /** So long it runs unseen, until nothing is left of how it began; a week, so that it begins on the weekday of what is seen. */
    static final int UNSEEN_DAYS = 7;

    private static final double PRESSURE_HPA = 1013.25;

    /**
     * What somebody does to it, from the beginning on.
     *
     * @param airTimes so much more air comes through the room
     * @param surfaceTimes so much more surface
     * @param alkalinityMeqPerL more of it
     * @param outdoors whether the skimmer breathes outdoor air
     * @param drawTimes of the skimmer
     */
    record Change(double airTimes, double surfaceTimes, double alkalinityMeqPerL, boolean outdoors, double drawTimes) {
        static final Change NONE = new Change(1, 1, 0, false, 1);
    }

    /**
     * What was in the water, each step.
     *
     * @param ph NBS
     */
    record Course(double[] ph, double[] oxygenMgPerL) {
        /** Lowest pH of a day that is seen. */
        double lowestPh(int day) {
            return lowest(ph, day);
        }

        double lowestOxygen(int day) {
            return lowest(oxygenMgPerL, day);
        }

        private static double lowest(double[] of, int day) {
            int from = (UNSEEN_DAYS + day) * Steps.A_DAY;
            return Arrays.stream(of, from, from + Steps.A_DAY).min().orElseThrow();
        }
    }

    Course run(Change change) {
        int steps = celsius.length;
        double[] room = home.ppm(change.airTimes);
        double meanLight = Arrays.stream(lamps.light()).average().orElseThrow();
        Exchanger trades = exchanger.with(change.surfaceTimes, exchanger.drawLPerH() * change.drawTimes);
        Water water = new Water(salinity, celsius[0]);
        double alkalinity = (alkalinityMeqPerL[0] + change.alkalinityMeqPerL) / 1000 / water.density;
        double dic = water.system.fromAlkalinityAndCo2(alkalinity, 600).dic();
        double oxygen = 0.9 * water.saturationMmolPerL();
        double hydrogen = CarbonateSystem.ANY_HYDROGEN;
        double[] ph = new double[steps];
        double[] oxygenMgPerL = new double[steps];
        for (int i = 0; i < steps; i++) {
            water = water.at(celsius[i]);
            double light = lamps.light()[i];
            double was = alkalinity;
            alkalinity = (alkalinityMeqPerL[i] + change.alkalinityMeqPerL) / 1000 / water.density;
            double used = animals.calcifies(light, meanLight) * Steps.HOURS / 1000 / water.density;
            // What skeletons took and more or less was dosed; the source brings its carbon, skeletons take half a mole.
            dic += (alkalinity - was + used) * carbonPerEquivalent - used / 2;
            hydrogen = water.system.hydrogen(alkalinity, dic, hydrogen);
            ph[i] = water.system.constants().toNbs(-Math.log10(hydrogen));
            oxygenMgPerL[i] = oxygen * Gases.OXYGEN_G_PER_MOL;

            double k0 = Gas.CO2.solubility(water.sea);
            double k0Oxygen = Gas.OXYGEN.solubility(water.sea);
            double inWater = water.system.uatm(hydrogen, dic) * 1e-6;
            double overWater = Gases.uatmOverWater(room[i], PRESSURE_HPA, water.sea) * 1e-6;
            double breathed =
                    change.outdoors ? Gases.uatmOverWater(Home.OUTDOORS, PRESSURE_HPA, water.sea) * 1e-6 : overWater;
            double co2 = trades.surface(i, Gases.schmidtCo2(celsius[i]), k0, true) * (overWater - inWater)
                    + trades.skimmer(i, k0, celsius[i], true) * (breathed - inWater);
            double inAir = Gas.OXYGEN_IN_AIR * (1 - Gases.waterVapourAtm(water.sea));
            double oxygenAtm = oxygen / 1000 / k0Oxygen;
            double gained = (trades.surface(i, Gases.schmidtOxygen(celsius[i]), k0Oxygen, false)
                            + trades.skimmer(i, k0Oxygen, celsius[i], false))
                    * (inAir - oxygenAtm);
            double respired = animals.respires(i, light, celsius[i], oxygen);
            double fixed = animals.fixes(i, light, inWater);
            double co2MmolPerL = co2 * 1000 / volumeL + respired * animals.respiratoryQuotient() - fixed;
            double oxygenMmolPerL = gained * 1000 / volumeL - respired + fixed * animals.photosyntheticQuotient();
            dic += co2MmolPerL * Steps.HOURS / 1000 / water.density;
            oxygen = Math.max(0, oxygen + oxygenMmolPerL * Steps.HOURS);
        }
        return new Course(ph, oxygenMgPerL);
    }

    /** What dark hours respire, CO2 at 25 °C, mmol/(L·h), on average of the days that are seen. */
    double darkRespiration() {
        double sum = 0;
        int n = 0;
        for (int i = UNSEEN_DAYS * Steps.A_DAY; i < celsius.length; i++) {
            if (lamps.light()[i] == 0) {
                sum += animals.respires(i, 0, 25, 1) * animals.respiratoryQuotient();
                n++;
            }
        }
        return sum / n;
    }

    /** Chemistry at one temperature, kept while it changes by less than a twentieth of a degree. */
    private record Water(Seawater sea, CarbonateSystem system, double density) {
        Water(double salinity, double celsius) {
            this(new Seawater(salinity, celsius));
        }

        private Water(Seawater sea) {
            this(sea, CarbonateSystem.of(sea), sea.densityKgPerL());
        }

        Water at(double celsius) {
            return Math.abs(celsius - sea.temperatureC()) < 0.05 ? this : new Water(sea.salinity(), celsius);
        }

        double saturationMmolPerL() {
            return Gases.oxygenSaturationMgPerL(sea, PRESSURE_HPA) / Gases.OXYGEN_G_PER_MOL;
        }
    }
}
