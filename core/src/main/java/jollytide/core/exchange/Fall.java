package jollytide.core.exchange;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.Seawater;

/**
 * Water that falls through air: overflow, weir, drain pipe. It stops with the power.
 *
 * @param flowLPerH 0 to 200 000 L/h
 * @param efficiency how far one pass brings the water towards the air, 0 to 1
 */
public record Fall(double flowLPerH, double efficiency) implements Path {
    /** An overflow with a drain pipe. From memory. */
    public static final double ASSUMED_EFFICIENCY = 0.15;

    public Fall {
        within("fallFlowLPerH", flowLPerH, 0, 200_000, "L/h");
        within("fallEfficiency", efficiency, 0, 1, "");
    }

    @Override
    public double conductance(Gas gas, Seawater water) {
        return flowLPerH * gas.solubility(water) * efficiency;
    }
}
