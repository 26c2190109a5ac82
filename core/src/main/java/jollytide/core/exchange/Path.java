package jollytide.core.exchange;

import jollytide.core.seawater.Seawater;

/** A way on which gases cross between air and water. */
public interface Path {
    /** Conductance for one gas in mol/(h·atm). */
    double conductance(Gas gas, Seawater water);

    default Conductance conductance(Seawater water) {
        return new Conductance(conductance(Gas.CO2, water), conductance(Gas.OXYGEN, water));
    }
}
