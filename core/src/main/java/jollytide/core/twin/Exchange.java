package jollytide.core.twin;

import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Gas;
import org.jspecify.annotations.Nullable;

/**
 * A way between water and air at one moment.
 *
 * @param conductance mol/(h·atm), when it is all open
 * @param open share of it that is
 * @param airCo2Atm pressure of CO2 in the air that it meets
 * @param airOxygenAtm likewise
 * @param airLimit what its air stream can carry, mol/(h·atm); null where there is none
 */
public record Exchange(
        Channel channel,
        Conductance conductance,
        double open,
        double airCo2Atm,
        double airOxygenAtm,
        @Nullable Double airLimit) {
    public double airAtm(Gas gas) {
        return gas == Gas.CO2 ? airCo2Atm : airOxygenAtm;
    }
}
