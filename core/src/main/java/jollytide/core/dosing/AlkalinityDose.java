package jollytide.core.dosing;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;

/**
 * A dose of one source into a tank's water.
 *
 * @param meqPerL change of alkalinity that is wanted, 0 to 5 meq/L
 * @param litres net volume
 */
public record AlkalinityDose(AlkalinitySource source, double meqPerL, double litres) {
    public AlkalinityDose {
        within("meqPerL", meqPerL, 0, 5, "meq/L");
        within("litres", litres, 1, 100_000, "L");
    }

    /** Of the dry, pure substance. */
    public double grams() {
        return meqPerL / 1000 * litres * source.gramsPerEquivalent();
    }

    /** Of saturated limewater; for limewater only. */
    public double limewaterLitres() {
        return meqPerL / 1000 * litres / (2 * Limewater.SATURATED_MOL_PER_L);
    }

    public double calciumMgPerL() {
        return meqPerL * source.calciumPerEquivalent() * AlkalinitySource.CALCIUM_G_PER_MOL;
    }

    public double potassiumMgPerL() {
        return meqPerL * source.potassiumPerEquivalent() * AlkalinitySource.POTASSIUM_G_PER_MOL;
    }

    /** The water right after mixing, before the air has answered. */
    public CarbonateState atOnce(CarbonateSystem system, CarbonateState before) {
        double perKg = meqPerL / 1000 / system.water().densityKgPerL();
        double alkalinity = before.alkalinity() + perKg;
        double dic = before.dic() + perKg * source.carbonPerEquivalent();
        return system.fromAlkalinityAndDic(alkalinity, dic);
    }

    /** The water once its CO2 is again what it was: the air has brought or taken the difference. */
    public CarbonateState settled(CarbonateSystem system, CarbonateState before) {
        double perKg = meqPerL / 1000 / system.water().densityKgPerL();
        return system.fromAlkalinityAndCo2(before.alkalinity() + perKg, before.pco2Uatm());
    }
}
