package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

import jollytide.core.dosing.Inflow;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.PhScale;

/**
 * A chamber of lime that CO2 dissolves. Its effluent brings alkalinity and calcium, and CO2 that was not used up.
 *
 * @param effluentLPerH 0 to 200 L/h
 * @param effluentPhNbs of the first chamber, 5.5 to 8
 * @param effluentMeqPerL its alkalinity
 * @param secondChamberShare of the free CO2 that a second chamber uses up on more lime, 0 to 1
 * @param dripShare of the free CO2 that an aerated drip cup drives off, 0 to 1
 */
public record CalciumReactor(
        double effluentLPerH,
        double effluentPhNbs,
        double effluentMeqPerL,
        double secondChamberShare,
        double dripShare) {
    public CalciumReactor {
        within("effluentLPerH", effluentLPerH, 0, 200, "L/h");
        within("effluentPhNbs", effluentPhNbs, 5.5, 8.2, "pH");
        within("effluentMeqPerL", effluentMeqPerL, 1, 40, "meq/L");
        within("secondChamberShare", secondChamberShare, 0, 1, "");
        within("dripShare", dripShare, 0, 1, "");
    }

    /**
     * What it adds to a tank whose water it takes in. CO2 + CaCO3 + H2O gives Ca and two bicarbonates, so a mole of CO2
     * that the second chamber uses comes back as two equivalents and two moles of bound carbon.
     */
    public Inflow perDay(CarbonateSystem system, CarbonateState tank, double litres) {
        double density = system.water().densityKgPerL();
        double alkalinity = effluentMeqPerL / 1000 / density;
        CarbonateState first =
                system.fromPhAndAlkalinity(system.constants().toTotal(effluentPhNbs, PhScale.NBS), alkalinity);
        double spare = Math.max(0, first.co2() - tank.co2());
        double used = spare * secondChamberShare;
        double driven = (spare - used) * dripShare;
        double gainedAlkalinity = alkalinity - tank.alkalinity() + 2 * used;
        double gainedCarbon = first.dic() - tank.dic() + used - driven;
        double perDay = effluentLPerH * 24 * density / litres * 1000;
        return new Inflow(gainedAlkalinity * perDay, gainedCarbon * perDay, gainedAlkalinity / 2 * perDay, 0);
    }
}
