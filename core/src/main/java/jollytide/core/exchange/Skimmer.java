package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * A skimmer as a gas exchanger: air and water enter together and leave mixed, so the two streams are treated as a
 * co-current exchanger (effectiveness and number of transfer units, Kays and London).
 *
 * @param airDrawLPerH air drawn, 1 to 20 000 L/h
 */
public record Skimmer(double airDrawLPerH, SkimmerAssumptions assumed) implements Path {
    /** Rate at which CO2 forms from bicarbonate and so refills the water, 1/s: Johnson (1982). */
    static final double HYDRATION_PER_S = 0.05;

    public Skimmer {
        within("skimmerAirDrawLPerH", airDrawLPerH, 1, 20_000, "L/h");
    }

    public Skimmer(double airDrawLPerH) {
        this(airDrawLPerH, SkimmerAssumptions.DEFAULT);
    }

    @Override
    public double conductance(Gas gas, Seawater water) {
        double air = airConductance(water);
        double refill = gas == Gas.CO2 ? 1 + HYDRATION_PER_S * assumed.residenceS() : 1;
        double carried = assumed.waterPerAir() * airDrawLPerH * gas.solubility(water) * refill;
        double smaller = Math.min(air, carried);
        double ratio = smaller / Math.max(air, carried);
        return smaller * (1 - Math.exp(-assumed.transferUnits() * (1 + ratio))) / (1 + ratio);
    }

    /** What the air stream itself can carry, mol/(h·atm): the limit that no skimmer passes. */
    public double airConductance(Seawater water) {
        return airDrawLPerH / (Gases.R_L_ATM * water.temperatureK());
    }
}
